/** This moment on the clock of this place. @example '2030-06-15T17:30' */
export const localNow = (): string => {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};
