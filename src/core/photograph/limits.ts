/** Largest file that is opened, and longest side and size of what is kept. */
export const LARGEST_FILE = 25 * 1024 * 1024;
export const LONGEST_PX = 1600;
export const THUMBNAIL_PX = 240;
export const LARGEST_KEPT = 1_500_000;
