import { z } from 'zod';
import { addMonths, ageOn, type IsoDay } from '../calendar/days';
import { type Formats, printDay } from '../formats/formats';

/**
 * How long a clinic keeps records. The numbers are the clinic's: they come from the law of its country and its insurer, and
 * Sovet proposes none.
 */
export const retentionSchema = z.strictObject({
  /** Years after the last visit. */
  yearsAfterLastVisit: z.int('Write whole years.').min(1).max(60, 'At most 60 years.').nullish(),
  /** Of somebody who was a child at the last visit: at least until this age. */
  childrenUntilAge: z.int('Write whole years.').min(18, 'At least 18.').max(40, 'At most 40.').nullish(),
});
export type Retention = z.infer<typeof retentionSchema>;

export interface Kept {
  /** Born on. */
  bornOn: IsoDay;
  /** Of the last visit, or of the day when the record was begun where there was none. */
  lastOn: IsoDay;
}

/** Until when a record is kept, and by which rule. */
export interface KeepUntil {
  until: IsoDay;
  rule: keyof Retention;
}

/**
 * The last day on which a clinic's rules oblige it to keep a record, or null where it has no rule. Of two rules the later
 * day counts.
 *
 * @example keepUntil({ bornOn: '1980-05-06', lastOn: '2030-03-01' }, { yearsAfterLastVisit: 8 })
 * // { until: '2038-03-01', rule: 'yearsAfterLastVisit' }
 */
export function keepUntil({ bornOn, lastOn }: Kept, rules: Retention): KeepUntil | null {
  const ends: KeepUntil[] = [];
  if (rules.yearsAfterLastVisit)
    ends.push({ until: addMonths(lastOn, rules.yearsAfterLastVisit * 12), rule: 'yearsAfterLastVisit' });
  if (rules.childrenUntilAge && ageOn(bornOn, lastOn) < 18)
    ends.push({ until: addMonths(bornOn, rules.childrenUntilAge * 12), rule: 'childrenUntilAge' });
  return ends.reduce<KeepUntil | null>((last, end) => (last && last.until >= end.until ? last : end), null);
}

/** The rule in words, for whoever asks why a record is not erased. */
export function keepUntilInWords({ until, rule }: KeepUntil, rules: Retention, formats: Formats): string {
  const why =
    rule === 'yearsAfterLastVisit'
      ? `records are kept for ${rules.yearsAfterLastVisit} years after the last visit`
      : `the record of a child is kept until the age of ${rules.childrenUntilAge}`;
  return `Kept until ${printDay(until, formats)}: ${why}.`;
}
