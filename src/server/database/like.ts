/** A pattern for `like` that finds a text anywhere; signs that the search language knows are letters in it. */
export const containing = (text: string): string => `%${text.replace(/[\\%_]/g, '\\$&')}%`;
