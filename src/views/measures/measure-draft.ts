import { z } from 'zod';
import { definitionOf } from '@/core/findings/findings';
import { COMFORT_ZONES, type ComfortZone } from '@/core/fitting/try-on';
import { GAIT_MEASURES, type GaitNumber, sidesOf } from '@/core/outcomes/gait-number';
import { type Measures, MOST_ACTIVITIES, measuresSchema } from '@/core/outcomes/schema';
import { keysOf } from '@/core/tables/keys-of';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { parseNumber } from '@/core/units/quantity';

/** Numbers of a day that stand alone, and what is said where one is none. */
const PLAIN = {
  comfort: { says: 'Comfort is a number from 0 to 100.', most: 100 },
  pain: { says: 'Pain is a number from 0 to 10.', most: 10 },
  hoursADay: { says: 'Hours a day are a number up to 24.', most: 24 },
  daysAWeek: { says: 'Days a week are a number up to 7.', most: 7 },
  falls: { says: 'Falls are a whole number.', most: 200 },
} as const;
export type PlainMeasure = keyof typeof PLAIN;

const texts = z.record(z.string(), z.string());
/** What was typed of a day’s measures, letter by letter: nothing typed is lost, whether it can be read or not. */
export const measureDraftSchema = z.object({
  /** By the name of its field; see `fieldOf`. */
  texts,
  activities: z.array(z.object({ name: z.string(), score: z.string() })),
  skinAt: measuresSchema.shape.skinAt.unwrap(),
  moreIsBetter: z.boolean(),
});
export type MeasureDraft = z.infer<typeof measureDraftSchema>;

/** Fields beside the plain ones: comfort of a part of the foot, and a number of the gait. */
export const fieldOf = {
  zone: (zone: ComfortZone): string => `zone ${zone}`,
  gait: ({ measure, side }: Pick<GaitNumber, 'measure' | 'side'>): string => `gait ${measure} ${side ?? ''}`,
};

/** A blank day; activities that were named before are asked again by the same names. */
export const blankMeasures = (activities: readonly string[]): MeasureDraft => ({
  texts: {},
  activities: Array.from({ length: MOST_ACTIVITIES }, (_, at) => ({ name: activities[at] ?? '', score: '' })),
  skinAt: [],
  moreIsBetter: true,
});

export interface MeasuresRead {
  measures: Measures;
  /** By field: what was typed there and is no such number. */
  problems: Readonly<Record<string, string>>;
}

/** Reads what was typed; what is left empty was not asked. */
export function measuresOf({ texts: typed, activities, skinAt, moreIsBetter }: MeasureDraft): MeasuresRead {
  const problems: Record<string, string> = {};
  const read = (field: string, text: string, says: string, most?: number): number | undefined => {
    if (text.trim() === '') return undefined;
    const number = parseNumber(text, says);
    if (!number.ok || (most !== undefined && (number.value < 0 || number.value > most))) {
      problems[field] = says;
      return undefined;
    }
    return number.value;
  };
  const plain = (id: PlainMeasure) => read(id, typed[id] ?? '', PLAIN[id].says, PLAIN[id].most);
  const zones = keysOf(COMFORT_ZONES).flatMap((zone) => {
    const value = read(fieldOf.zone(zone), typed[fieldOf.zone(zone)] ?? '', PLAIN.comfort.says, 100);
    return value === undefined ? [] : [[zone, value] as const];
  });
  const gait = GAIT_MEASURES.flatMap((measure) =>
    sidesOf(measure).flatMap((side): GaitNumber[] => {
      const field = fieldOf.gait({ measure, side });
      const value = read(field, typed[field] ?? '', `${definitionOf(measure).label} is a number.`);
      return value === undefined ? [] : [{ measure, side, value }];
    }),
  );
  const own = activities.flatMap(({ name, score }, at) => {
    const value = read(`activity ${at}`, score, 'From 0 to 10.', 10);
    if (value === undefined || name.trim() === '') return [];
    return [{ name: name.trim(), score: value }];
  });
  const name = (typed.questionnaire ?? '').trim();
  const total = read('total', typed.total ?? '', 'A total is a number.');
  const realChange = read('realChange', typed.realChange ?? '', 'This is a number.');
  const measures = omitUndefined<Measures>({
    comfort: plain('comfort'),
    zones: zones.length > 0 ? Object.fromEntries(zones) : undefined,
    pain: plain('pain'),
    hoursADay: plain('hoursADay'),
    daysAWeek: plain('daysAWeek'),
    falls: plain('falls'),
    activities: own.length > 0 ? own : undefined,
    skinAt: skinAt.length > 0 ? skinAt : undefined,
    gait: gait.length > 0 ? gait : undefined,
    questionnaires:
      name !== '' && total !== undefined
        ? [omitUndefined({ name, total, moreIsBetter, realChange })]
        : undefined,
  });
  return { measures, problems };
}
