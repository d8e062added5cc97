import type { ShoeModel } from '../catalogue/model';
import { SIDES, type Side } from '../findings/finding-kinds';
import type { ClinicalPicture } from '../findings/picture';
import type { FeatureValues } from '../shoe/features';
import type { Candidate } from './candidates';
import type { Insert } from './insert';

/** Shoe and insert as one, on one foot. */
export interface WithInsert {
  side: Side;
  insert: Insert;
  /** Whether the shoe’s own insole comes out for it. */
  insoleOut: boolean;
  /** Heights that the foot then stands on, mm; null where shoe or insert does not say. */
  heelMm: number | null;
  forefootMm: number | null;
  dropMm: number | null;
  /** Depth that is left beyond what the shoe’s own insole took, mm: less than 0 lifts the foot out of the shoe. */
  depthLeftMm: { heel: number | null; forefoot: number | null };
  /** What has to be put right or looked at. */
  problems: string[];
}

/** Heel and forefoot may lie so much above the seat that the shoe was made for, mm. Ours. */
const LIFTED_MM = 3;
/** A lift inside a shoe: more goes under the sole (handbook 04). */
const MOST_INSIDE_MM = 10;
const BEND = { from: 70, to: 76 } as const;
const CONTOUR_FROM = 2.25;
/** Two sides may differ by so much before the pelvis or a shank tells. Ours. */
const BETWEEN_SIDES_MM = 3;

const known = (value: FeatureValues[keyof FeatureValues]): number | null =>
  typeof value === 'number' ? value : null;
const sum = (...parts: (number | null)[]): number | null =>
  parts.some((part) => part === null) ? null : parts.reduce<number>((all, part) => all + part!, 0);

/** Heights of a shoe as they are stated, or as they follow from its drop. */
function stacksOf({ heelStack, forefootStack, drop }: FeatureValues) {
  const stated = { heel: known(heelStack), forefoot: known(forefootStack), drop: known(drop) };
  const between = sum(stated.heel, stated.forefoot === null ? null : -stated.forefoot);
  return {
    heel: stated.heel ?? sum(stated.forefoot, stated.drop),
    forefoot: stated.forefoot ?? sum(stated.heel, stated.drop === null ? null : -stated.drop),
    drop: between ?? stated.drop,
  };
}

/**
 * A shoe and what goes into it, read as one: heights, drop, the depth that is left, contour and bend. The shoe’s own insole counts as
 * thick in front as under the heel: its heel is what is measured.
 */
export function withInsert(
  { features }: Pick<ShoeModel, 'features'>,
  insert: Insert,
  side: Side,
): WithInsert {
  const insoleOut = features.removableInsole === 'yes';
  const freed = insoleOut ? known(features.insoleDepth) : 0;
  const taken = freed === null ? null : -freed;
  const stacks = stacksOf(features);
  const heelMm = sum(stacks.heel, taken, insert.heelMm);
  const forefootMm = sum(stacks.forefoot, taken, insert.forefootMm);
  const depthLeftMm = {
    heel: sum(freed, insert.heelMm === null ? null : -insert.heelMm),
    forefoot: sum(freed, insert.forefootMm === null ? null : -insert.forefootMm),
  };
  // The insole is as thick in front as under the heel: however thick, it leaves the drop as it is.
  const dropMm = sum(stacks.drop, insert.heelMm, insert.forefootMm === null ? null : -insert.forefootMm);
  return {
    side,
    insert,
    insoleOut,
    heelMm,
    forefootMm,
    dropMm,
    depthLeftMm,
    problems: [
      ...(freed === null
        ? ['Its insole’s thickness is not stated: measure it, heights and depth follow from it.']
        : []),
      ...problemsOf(features, insert, insoleOut, depthLeftMm),
    ],
  };
}

function problemsOf(
  features: FeatureValues,
  insert: Insert,
  insoleOut: boolean,
  { heel, forefoot }: WithInsert['depthLeftMm'],
): string[] {
  const problems: string[] = [];
  const { archContour, bendPoint, closure } = features;
  if (!insoleOut) problems.push('Its insole does not come out: the insert lies on top of it.');
  if (insert.heelMm === null || insert.forefootMm === null)
    problems.push('Measure the insert under heel and forefoot: heights and depth follow from it.');
  if (insert.heelMm !== null && insert.heelMm > MOST_INSIDE_MM)
    problems.push(
      `${insert.heelMm} mm under the heel: more than ${MOST_INSIDE_MM} mm goes under the sole, not into the shoe.`,
    );
  if (heel !== null && heel < -LIFTED_MM)
    problems.push(`The heel sits ${-heel} mm higher than the counter was made for: it will slip.`);
  if (forefoot !== null && forefoot < -LIFTED_MM)
    problems.push(`${-forefoot} mm less depth over the toes: look at them with the insert in.`);
  if (insert.kind === 'orthosis' && typeof archContour === 'number' && archContour >= CONTOUR_FROM)
    problems.push('Its arch contour lies under the orthosis’ own: two arches, one too many.');
  if (
    insert.kind === 'orthosis' &&
    typeof bendPoint === 'number' &&
    (bendPoint < BEND.from || bendPoint > BEND.to)
  )
    problems.push(`Bends at ${bendPoint} % of its length: shoe and shell must fold at the ball.`);
  if (insert.kind === 'brace' && closure === 'slip-on')
    problems.push('A slip-on does not open for foot and brace together.');
  if (insert.kind === 'filler' && typeof features.rocker !== 'number')
    problems.push('A filled front does not bend: the sole has to roll or be stiff in front.');
  return problems;
}

/** What must match between the two shoes once the inserts are in; empty where it does. */
export function betweenSides(
  features: FeatureValues,
  left: WithInsert | null,
  right: WithInsert | null,
  picture: Pick<ClinicalPicture, 'body'>,
): string[] {
  const bare = stacksOf(features);
  const of = (side: WithInsert | null) => (side ? { heel: side.heelMm, drop: side.dropMm } : bare);
  const heels = difference(of(left).heel, of(right).heel);
  const drops = difference(of(left).drop, of(right).drop);
  const lines: string[] = [];
  const meant = typeof picture.body.legLengthDifference === 'number' ? picture.body.legLengthDifference : 0;
  if (heels !== null && Math.abs(heels) > BETWEEN_SIDES_MM && meant < BETWEEN_SIDES_MM)
    lines.push(
      `The ${heels > 0 ? 'left' : 'right'} heel stands ${mm(heels)} mm higher: raise the other, or say why the legs want it.`,
    );
  if (drops !== null && Math.abs(drops) > BETWEEN_SIDES_MM && hasProsthesis(picture))
    lines.push(`The drops differ by ${mm(drops)} mm: beside a prosthesis both shoes keep one heel height.`);
  return lines;
}

const difference = (a: number | null, b: number | null) => (a === null || b === null ? null : a - b);
const mm = (value: number) => Math.round(10 * Math.abs(value)) / 10;
const hasProsthesis = ({ body }: Pick<ClinicalPicture, 'body'>) =>
  SIDES.some((side) => side === body.prosthesisSide);

/** The three ways to one end (handbook 04): a shoe by itself, a neutral one with an insert, a supportive one. */
export const ROUTES = {
  alone: 'Shoe alone',
  insert: 'Neutral shoe with insert',
  supportive: 'Supportive shoe',
} as const;
export type RouteId = keyof typeof ROUTES;

/** One way, with the best candidate that takes it; null where none does. */
export interface Route {
  id: RouteId;
  candidate: Candidate | null;
}

const isSupportive = ({ features }: ShoeModel): boolean =>
  (features.medialSupport !== undefined && features.medialSupport !== 'none') ||
  (features.lateralSupport !== undefined && features.lateralSupport !== 'none');
const takesInsert = ({ features }: ShoeModel): boolean =>
  features.removableInsole === 'yes' && !(Number(features.archContour ?? 0) >= CONTOUR_FROM);

/** The best candidate of each route, in the order of the ranking. */
export function threeRoutes(usable: readonly Candidate[]): Route[] {
  const first = (serves: (model: ShoeModel) => boolean) => usable.find(({ model }) => serves(model)) ?? null;
  return [
    { id: 'alone', candidate: first((model) => !isSupportive(model)) },
    { id: 'insert', candidate: first((model) => !isSupportive(model) && takesInsert(model)) },
    { id: 'supportive', candidate: first(isSupportive) },
  ];
}
