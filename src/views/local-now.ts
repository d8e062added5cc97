const two = (value: number): string => String(value).padStart(2, '0');

/** A moment on the clock of this place. @example '2030-06-15T17:30' */
export const localNow = (now = new Date()): string =>
  `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}T${two(now.getHours())}:${two(now.getMinutes())}`;
