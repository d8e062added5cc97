import { median } from 'simple-statistics';
import { REAL_GIRTH_MM } from '../swelling/course';

/** Latest readings that a new one is held against. Ours. */
const HELD_AGAINST = 5;
/** Readings within so many hours of the day are alike: an evening is held against evenings. Ours. */
const ALIKE_HOURS = 3;
/** So many of other hours stand in where none is alike. Ours. */
const STAND_IN = 3;

/** One girth of one place. */
export interface GirthAt {
  /** Local moment. */
  at: string;
  mm: number;
}

const hourOf = ({ at }: GirthAt): number => Number(at.slice(11, 13)) + Number(at.slice(14, 16)) / 60;

/** What is usual at that hour of the day; null where too little is known of it. */
function usualAt(earlier: readonly GirthAt[], now: GirthAt): number | null {
  const alike = earlier.filter((one) => Math.abs(hourOf(one) - hourOf(now)) <= ALIKE_HOURS);
  const held = alike.length > 0 ? alike : earlier.length >= STAND_IN ? earlier : [];
  return held.length === 0 ? null : median(held.slice(-HELD_AGAINST).map(({ mm }) => mm));
}

/**
 * Why a girth asks to be seen: it rose for real against the same hours of the days before. New swelling of one side is a warning sign
 * (handbook 06); what each evening brings is none. The real change is that of the figure of eight; taking it for ankle and calf too is ours.
 *
 * @param earlier of the same place, oldest first
 */
export function girthAlarm(earlier: readonly GirthAt[], now: GirthAt): string | null {
  const usual = usualAt(earlier, now);
  return usual !== null && now.mm - usual >= REAL_GIRTH_MM
    ? `${Math.round(now.mm - usual)} mm more than before: new swelling of one side is seen at once`
    : null;
}
