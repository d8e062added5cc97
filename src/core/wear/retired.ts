/** Why a pair was retired: only what was worn out tells how long such pairs last. */
export const RETIRED_BECAUSE = {
  'worn-out': 'worn out',
  hurt: 'it hurt',
  lost: 'lost or given away',
  other: 'another reason',
} as const;
export type RetiredBecause = keyof typeof RETIRED_BECAUSE;
