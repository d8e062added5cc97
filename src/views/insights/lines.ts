/** As many groups as one picture can hold; lines differ by their dashes too, for colour alone says nothing in print. */
export const LINES = [
  { colour: '--accent', dash: [] },
  { colour: '--ink', dash: [8, 4] },
  { colour: '--warn', dash: [2, 3] },
  { colour: '--hold', dash: [10, 3, 2, 3] },
] as const;
