/** What makes somebody stop and be seen, as they feel or see it (handbook 07, when to stop and call). */
export const HOME_SIGNS = {
  hot: 'hot or red',
  swollen: 'newly swollen',
  numb: 'numb',
  open: 'skin open',
  dark: 'blue, white or black',
  pain: 'pain that stops them from walking',
  fall: 'fell',
} as const;
export type HomeSign = keyof typeof HOME_SIGNS;
