import type { Specification, Target } from '../prescribe/engine/specification';
import { acceptsEverything } from '../prescribe/explain/in-words';
import { type FeatureId, featureOf } from '../shoe/features';
import { isSheetText } from '../texts/english';
import type { Say, SheetText } from '../texts/speech';

/** One thing that matters in the pair, with its number on the drawing. */
export interface SheetPoint {
  /** Null where the sheet is older than the numbers on its drawing. */
  feature: FeatureId | null;
  text: string;
}

/** What a page can carry. */
export const MOST_POINTS = 6;

/** Which way a target pulls against a usual shoe. */
function wayOf(target: Target): 'more' | 'less' | 'in' | 'is' {
  if (target.kind === 'options') return 'is';
  const { usual } = featureOf(target.feature);
  if (typeof usual !== 'number') return 'is';
  const { from, to } = target.band;
  return from > usual
    ? 'more'
    : to < usual
      ? 'less'
      : target.best > usual
        ? 'more'
        : target.best < usual
          ? 'less'
          : 'in';
}

/** The sentence for a target: its own way first, else whatever is written of the feature, else the general one. */
export function sentenceOf(target: Target): SheetText {
  const ways = [wayOf(target), 'in', 'is', 'more', 'less'];
  return ways.map((way) => `feature.${target.feature}.${way}`).find(isSheetText) ?? 'feature.any';
}

/** What a pair lacks on purpose is nothing to point at, and what it is made for the patient knows. */
const isShown = (target: Target): boolean =>
  !(target.kind === 'options' && (target.best === 'none' || target.best === 'no')) &&
  !SAYS_LITTLE.has(target.feature);
const SAYS_LITTLE: ReadonlySet<FeatureId> = new Set(['use', 'madeForSport', 'category']);

/** A want that somebody set aside is not told to the patient. */
const standing = (target: Target) =>
  target.pushes.filter((push) => push.setAside === undefined).map(({ weight }) => weight || 8);

/** What matters most in the pair, in plain words, each once; the firmest first. */
export function sheetPoints({ targets }: Pick<Specification, 'targets'>, say: Say): SheetPoint[] {
  const ranked = targets
    .filter((target) => !acceptsEverything(target) && isShown(target) && standing(target).length > 0)
    .toSorted((a, b) => b.firmness - a.firmness || Math.max(...standing(b)) - Math.max(...standing(a)));
  const points: SheetPoint[] = [];
  for (const target of ranked) {
    const text = say(sentenceOf(target));
    if (points.length < MOST_POINTS && points.every((point) => point.text !== text))
      points.push({ feature: target.feature, text });
  }
  return points;
}
