import { entryKey } from '../catalogue/catalogue-entry';
import type { ShoeModel } from '../catalogue/model';
import type { PairBefore } from '../history/before';
import type { SchoolChoice } from '../knowledge/schools';
import { dissimilarity, feelDifference } from './feel';

/** How a model is related to one that served or failed this patient. */
export interface Kinship {
  verdict: PairBefore['verdict'];
  /** The pair that was named. */
  title: string;
  /** The very version, a later or earlier one, or one whose design has changed so much that the past says little. */
  as: 'same' | 'version' | 'redesigned';
  /** How long the pair was worn, months; null where nobody said. */
  months: number | null;
}

/** What a named pair weighs in the ranking: as one moderate wish, as a strong one after years of service. Ours. */
const WEIGHT = { usual: 2, years: 4 } as const;
const YEARS_MONTHS = 24;
/** From here a wearer would not know a version for the same shoe, in felt steps. Ours. */
const REDESIGNED = 1.5;

export type Lineage = ReadonlyMap<string, Kinship>;

const lineOf = ({ maker, name }: Pick<ShoeModel, 'maker' | 'name'>): string =>
  entryKey({ maker, name, version: '' });

/** The model that a version took the place of, that one's forerunner, and so on. */
function forerunners(model: ShoeModel, byId: ReadonlyMap<string, ShoeModel>): ShoeModel[] {
  const found: ShoeModel[] = [];
  for (
    let at = model.replaces === null ? undefined : byId.get(model.replaces);
    at && !found.includes(at);
    at = at.replaces === null ? undefined : byId.get(at.replaces)
  )
    found.push(at);
  return found;
}

/**
 * Which models of a catalogue are one that served or failed, or another version of it. A failure of the same model counts
 * before a success; of several pairs of one kind the longest worn is named.
 */
export function lineageOf(models: readonly ShoeModel[], before: readonly PairBefore[]): Lineage {
  const named = before.filter(({ model }) => model !== undefined);
  if (named.length === 0) return new Map();
  const byId = new Map(models.map((model) => [model.id, model]));
  const kin = new Map<string, Kinship>();
  const ordered = named.toSorted(
    (a, b) =>
      Number(a.verdict === 'failed') - Number(b.verdict === 'failed') || (a.months ?? 0) - (b.months ?? 0),
  );
  for (const pair of ordered) {
    const worn = byId.get(pair.model!);
    if (!worn) continue;
    for (const model of models) {
      const isSame = model.id === worn.id;
      const isOfLine =
        isSame ||
        lineOf(model) === lineOf(worn) ||
        forerunners(model, byId).includes(worn) ||
        forerunners(worn, byId).includes(model);
      if (!isOfLine || (kin.get(model.id)?.as === 'same' && !isSame)) continue;
      const unlike = dissimilarity(feelDifference(pair.values ?? worn.features, model.features));
      kin.set(model.id, {
        verdict: pair.verdict,
        title: pair.title,
        as: isSame ? 'same' : unlike >= REDESIGNED ? 'redesigned' : 'version',
        months: pair.months ?? null,
      });
    }
  }
  return kin;
}

/** How well a model's kinship serves, 0 … 1: nothing known lies between, and a redesigned version is as if nothing were known. */
const serves = (kinship: Kinship | undefined): number =>
  kinship === undefined || kinship.as === 'redesigned' ? 0.5 : kinship.verdict === 'served' ? 1 : 0;

/** What the past weighs, and how it speaks of one model; null where no pair is named, or to a school that knows no loyalty. */
export function pullOfLineage(
  lineage: Lineage,
  school: SchoolChoice,
): { weight: number; serves: (id: string) => number } | null {
  if (lineage.size === 0 || school === 'shape') return null;
  const isLong = [...lineage.values()].some(
    ({ verdict, months }) => verdict === 'served' && (months ?? 0) >= YEARS_MONTHS,
  );
  return { weight: isLong ? WEIGHT.years : WEIGHT.usual, serves: (id) => serves(lineage.get(id)) };
}

const span = (months: number | null): string =>
  months === null
    ? ''
    : months >= 24
      ? ` for ${Math.round(months / 12)} years`
      : ` for ${Math.round(months)} months`;

/** How a model stands to the past, in a sentence: `Another version of Aldis 2, which served for 3 years.` */
export function kinshipInWords({ verdict, title, as, months }: Kinship): string {
  const what = verdict === 'served' ? `served${span(months)}` : 'failed';
  if (as === 'same') return verdict === 'served' ? `This model ${what}.` : 'This model failed before.';
  return as === 'version'
    ? `Another version of ${title}, which ${what}.`
    : `Named after ${title}, which ${what}, but changed too much to say the same.`;
}
