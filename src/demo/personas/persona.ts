import type { SizingGroup } from '@/core/findings/findings';
import type { BodyFindings, Findings, FootFindings } from '@/core/findings/picture';
import type { PairBefore } from '@/core/history/before';
import type { OrderState } from '@/core/orders/order';
import type { Activity } from '@/core/purpose/serves';
import type { Choices, DatedEvent } from '@/core/visit/contents';
import type { WearSurface } from '@/core/wear/learned/life-factors';

/** An invented patient with what an examination of them finds. */
export interface Persona {
  given: string;
  family: string;
  age: number;
  group: SizingGroup;
  occupation: string;
  /** In which their sheets are written; English where nothing is said. */
  language?: string;
  findings: Findings;
  weeklyKm: number | null;
  surface: WearSurface;
  /** Days since each hand-over, oldest first; empty: never seen. */
  visits: readonly number[];
  /** Wears the pair before the last one on beside it. */
  keepsPairBefore?: boolean;
  /** What the clinician decided at every visit. */
  choices?: Pick<Choices, 'decisions' | 'setAside'>;
  /** Which of several pairs was handed over. */
  pair?: Activity;
  /** An examination begun today and not handed over. */
  openVisit?: boolean;
  /** Events that it writes down, by days from today. */
  ahead?: readonly (Omit<DatedEvent, 'on'> & { inDays: number })[];
  /** What it says of the pair that was handed over last. */
  lastPair?: Pick<PairBefore, 'verdict' | 'months' | 'good' | 'bad'>;
  /** The pair of the last visit was ordered, and how far that has come. */
  order?: Extract<OrderState, 'wanted' | 'ordered' | 'arrived' | 'checked'>;
}

export const foot = (length: number, width: number, rest: FootFindings = {}): FootFindings => ({
  footLength: length,
  heelBallLength: Math.round(length * 0.735),
  ballWidth: width,
  pain: [],
  injuries: [],
  swelling: 'none',
  insert: 'none',
  ...rest,
});
export const feet = (left: FootFindings, right: FootFindings, body: BodyFindings): Findings => ({
  body,
  left,
  right,
});
export const well: FootFindings = { sensation: 'felt', pulses: 'present' };
