/** How a file's bytes became text. */
export interface Decoded {
  encoding: 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';
  /** Worth telling the person. */
  note: string | null;
}

/** Bytes that are looked at before an encoding is settled on. */
export const ENCODING_LOOK = 65_536;

/**
 * Tells an encoding from the first bytes: by mark, by the zeros of UTF-16, by whether it is valid UTF-8; what is none of
 * these is read as Windows-1252, which spreadsheets still write.
 */
export function encodingOf(first: Uint8Array): Decoded {
  const [a, b, c] = first;
  if (a === 0xef && b === 0xbb && c === 0xbf) return { encoding: 'utf-8', note: null };
  if (a === 0xff && b === 0xfe) return { encoding: 'utf-16le', note: 'Read as UTF-16.' };
  if (a === 0xfe && b === 0xff) return { encoding: 'utf-16be', note: 'Read as UTF-16.' };
  const look = first.subarray(0, 2000);
  const zeros = (odd: 0 | 1) => look.filter((byte, at) => byte === 0 && at % 2 === odd).length;
  if (zeros(1) > look.length * 0.3) return { encoding: 'utf-16le', note: 'Read as UTF-16.' };
  if (zeros(0) > look.length * 0.3) return { encoding: 'utf-16be', note: 'Read as UTF-16.' };
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(first, { stream: true });
    return { encoding: 'utf-8', note: null };
  } catch {
    return {
      encoding: 'windows-1252',
      note: 'Not UTF-8: read as Windows-1252. Check names with accents before you import.',
    };
  }
}
