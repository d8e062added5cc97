/** Largest file that is opened, and longest side and size of what is kept. */
export const LARGEST_FILE = 25 * 1024 * 1024;
export const LONGEST_PX = 1600;
export const THUMBNAIL_PX = 240;
export const LARGEST_KEPT = 1_500_000;

/** A film from home comes as small still pictures, without sound: so many, together so large in base64. Ours. */
export const FILM = { mostFrames: 60, perSecond: 25, longestPx: 640, largest: 4_000_000 } as const;
