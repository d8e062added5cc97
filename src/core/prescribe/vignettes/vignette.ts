import type { SchoolChoice } from '../../knowledge/schools';
import { clinicalPicture, type Findings } from '../../picture/clinical-picture';
import type { Side } from '../../picture/finding-kinds';
import { type FeatureId, printFeature } from '../../shoe/features';
import { resolve } from '../resolve';
import type { Specification, Target } from '../specification';

/** What a textbook answer says of one feature; on one foot where a side is named. */
export type Expectation = { feature: FeatureId; side?: Side } & (
  | { best: readonly [from: number, to: number] }
  | { within: readonly string[] }
  | { excludes: readonly string[] }
  | { limit: readonly [from: number, to: number] }
  | { tense: true }
  | { silent: true }
);

/** A patient in a few findings, and the features that a specialist would write down. */
export interface Vignette {
  name: string;
  findings: Findings;
  school?: SchoolChoice;
  expects: readonly Expectation[];
  /** Where the expectation comes from. */
  source: string;
}

const targetOf = (specification: Specification, { feature, side }: Expectation): Target | undefined =>
  (side ? specification.feet[side] : specification.targets).find((target) => target.feature === feature);

function unmet(expectation: Expectation, specification: Specification): string | null {
  const target = targetOf(specification, expectation);
  const said = (found: string) => `${expectation.feature}: wanted ${JSON.stringify(expectation)}, ${found}`;
  if ('silent' in expectation) return target ? said(`found ${target.best}`) : null;
  if (!target) return said('found no target');
  if ('tense' in expectation) return target.tension >= 0.05 ? null : said(`tension ${target.tension}`);
  if ('best' in expectation) {
    const best = Number(target.best);
    const [from, to] = expectation.best;
    return best >= from && best <= to ? null : said(`found ${printFeature(target.feature, target.best)}`);
  }
  if ('limit' in expectation) {
    const limit = target.kind === 'band' ? target.limit : null;
    const [from, to] = expectation.limit;
    return limit?.from === from && limit.to === to ? null : said(`found ${JSON.stringify(limit)}`);
  }
  if (target.kind !== 'options') return said('found a number');
  if ('within' in expectation)
    return target.options.every((option) => expectation.within.includes(option))
      ? null
      : said(`found ${target.options.join(', ')}`);
  return expectation.excludes.every((option) => !target.options.includes(option))
    ? null
    : said(`found ${target.options.join(', ')}`);
}

/** Expectations that the resolved specification does not meet, in words; empty when all hold. */
export function unmetBy(vignette: Vignette): string[] {
  const specification = resolve(
    clinicalPicture(vignette.findings),
    vignette.school ? { school: vignette.school } : {},
  );
  return vignette.expects.flatMap((expectation) => unmet(expectation, specification) ?? []);
}
