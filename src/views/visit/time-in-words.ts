/** How long something takes, roughly: `45 s`, `2 min`. */
export const timeInWords = (seconds: number): string =>
  seconds < 60 ? `${seconds} s` : `${Math.round((seconds / 60) * 2) / 2} min`;
