export const LACE_KINDS = { flat: 'flat', round: 'round', elastic: 'elastic' } as const;
export type LaceKind = keyof typeof LACE_KINDS;

/** Minutes until a synthetic lace is tied again (handbook 07: they loosen); how many is ours. */
export const RETIE_MINUTES: Readonly<Record<LaceKind, number | null>> = {
  flat: 45,
  round: 30,
  elastic: null,
};
