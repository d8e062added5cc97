/** What a value was taken with. */
export const INSTRUMENTS = {
  hand: 'by hand',
  stopwatch: 'stopwatch',
  footprint: 'footprint picture',
  scan: 'foot scan',
  clip: 'gait clip',
  taps: 'tapped steps',
  plate: 'pressure plate',
} as const;
export type Instrument = keyof typeof INSTRUMENTS;

/** How a finding came about, beside its value: when, by whom, with what and in which variant of the method. */
export interface Taken {
  /** ISO moment. */
  at: string;
  /** The observer's name. */
  by: string;
  with: Instrument;
  /** A variant or setting that the value depends on. */
  method?: string;
}

/** `left.footLength`, `body.falls`: one key for each finding at its place. */
export type TakenKey = string;
