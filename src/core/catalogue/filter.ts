import type { SizingGroup } from '../findings/findings';
import { fail, ok, type Result } from '../result/result';
import { type FeatureId, type FeatureValue, featureOf, printFeature } from '../shoe/features';
import { parseIn, printIn } from '../units/parse';
import { type ModelStatus, modelTitle, pairsInStock, type ShoeModel } from './model';

/** What is asked of one feature: between two numbers (grades by number), or one of some options. */
export interface FeatureFilter {
  feature: FeatureId;
  from?: number;
  to?: number;
  options?: readonly string[];
}

export interface CatalogueQuery {
  /** Every word must stand in maker, name or version. */
  words?: string;
  group?: SizingGroup;
  inStock?: boolean;
  /** Price at most; a model without a price is an unknown. */
  mostPrice?: number;
  status?: ModelStatus;
  features?: readonly FeatureFilter[];
}

export interface Filtered<M> {
  matching: M[];
  /** Nothing speaks against them, but a value that was asked for is not known. */
  unknown: M[];
}

const allows = (filter: FeatureFilter, value: FeatureValue): boolean =>
  filter.options
    ? filter.options.includes(String(value))
    : Number(value) >= (filter.from ?? Number.NEGATIVE_INFINITY) &&
      Number(value) <= (filter.to ?? Number.POSITIVE_INFINITY);

/** Models that satisfy every part of a query; those that may, because a value is not known, apart from them. */
export function filterModels<M extends ShoeModel>(models: readonly M[], query: CatalogueQuery): Filtered<M> {
  const words = (query.words ?? '').toLowerCase().split(/\s+/).filter(Boolean);
  const matching: M[] = [];
  const unknown: M[] = [];
  for (const model of models) {
    if (query.group && model.sizing.group !== query.group) continue;
    if (query.status && model.status !== query.status) continue;
    if (query.inStock && pairsInStock(model) === 0) continue;
    if (words.length > 0) {
      const title = modelTitle(model).toLowerCase();
      if (!words.every((word) => title.includes(word))) continue;
    }
    let missing = query.mostPrice !== undefined && model.price === null;
    if (query.mostPrice !== undefined && model.price !== null && model.price > query.mostPrice) continue;
    let out = false;
    for (const filter of query.features ?? []) {
      const value = model.features[filter.feature];
      if (value === undefined) missing = true;
      else if (!allows(filter, value)) {
        out = true;
        break;
      }
    }
    if (out) continue;
    (missing ? unknown : matching).push(model);
  }
  return { matching, unknown };
}

/**
 * Reads what a person types for a numeric feature: `4-8 mm`, `< 250 g`, `over 1/2 in`, `soft`, `medium to firm`. A bare
 * value is that value, within the feature's own grid.
 *
 * @returns a filter, or what is wrong with the text in a sentence
 */
export function readFeatureFilter(feature: FeatureId, text: string): Result<FeatureFilter> {
  const definition = featureOf(feature);
  const typed = text.trim().toLowerCase();
  if (typed === '') return fail('empty', 'Enter a value or a range.');
  if (definition.kind === 'choice') {
    const wanted = typed.split(/\s*,\s*|\s+or\s+/);
    const options = Object.entries(definition.options).filter(([id, label]) =>
      wanted.some((word) => id === word || label.toLowerCase() === word),
    );
    return options.length === wanted.length
      ? ok({ feature, options: options.map(([id]) => id) })
      : fail('unknown-option', `Choose of: ${Object.values(definition.options).join(', ')}.`);
  }
  const number = (part: string): Result<number> => {
    if (definition.kind === 'scale')
      return definition.unit === 'g' ? gramsOf(part) : parseIn(definition.unit, part);
    const at = definition.anchors.findIndex((anchor) => anchor.toLowerCase() === part.trim());
    if (at >= 0) return ok(at + 1);
    const grade = Number(part);
    return grade >= 1 && grade <= definition.anchors.length
      ? ok(grade)
      : fail('no-grade', `Grades are ${definition.anchors.join(', ')}.`);
  };
  const under = /^(?:<=?|≤|under|below|at most)\s*(.+)$/.exec(typed);
  const over = /^(?:>=?|≥|over|above|at least)\s*(.+)$/.exec(typed);
  const range = /^(.+?)\s*(?:–|—|\bto\b|(?<=\S)-(?=\s*[\d.¼½¾]))\s*(.+)$/.exec(typed);
  const half = definition.kind === 'scale' ? definition.step / 2 : 0.5;
  if (under || over) {
    const value = number((under ?? over)![1]!);
    return value.ok ? ok(under ? { feature, to: value.value } : { feature, from: value.value }) : value;
  }
  if (range) {
    const to = number(range[2]!);
    if (!to.ok) return to;
    // The unit may stand at the end only: 4-8 in.
    const unit = /[a-z"″]+\s*$/.exec(range[2]!)?.[0] ?? '';
    const from = number(/[a-z"″]\s*$/.test(range[1]!) ? range[1]! : `${range[1]} ${unit}`.trim());
    if (!from.ok) return from;
    return from.value <= to.value
      ? ok({ feature, from: from.value, to: to.value })
      : fail('reversed', 'The range runs backwards: the smaller value first.');
  }
  const value = number(typed);
  return value.ok ? ok({ feature, from: value.value - half, to: value.value + half }) : value;
}

/** Shoe masses are typed in grams or ounces. */
function gramsOf(text: string): Result<number> {
  const ounces = /^(.+?)\s*oz$/.exec(text.trim());
  const read = parseIn('g', ounces ? ounces[1]! : text);
  return read.ok && ounces ? ok(read.value * 28.349523125) : read;
}

/** A filter as it stands on its label: `heel-to-toe drop 4–8 mm`. */
export function filterInWords({ feature, from, to, options }: FeatureFilter): string {
  const definition = featureOf(feature);
  if (options || definition.kind === 'choice')
    return `${definition.label}: ${(options ?? []).map((option) => printFeature(feature, option)).join(' or ')}`;
  const print = (value: number) =>
    definition.kind === 'scale' ? printIn(definition.unit, value) : printFeature(feature, value);
  if (from === undefined) return `${definition.label} at most ${print(to ?? 0)}`;
  if (to === undefined) return `${definition.label} at least ${print(from)}`;
  return `${definition.label} ${print(from)} to ${print(to)}`;
}
