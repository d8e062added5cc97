/** Where Debian's Chromium is; undefined where none is installed. */
export function chromiumPath(): string | undefined;
