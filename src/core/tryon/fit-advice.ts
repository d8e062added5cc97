import { PATTERNS } from '../aftercare/lacing-patterns';
import { type ShoeModel, stockOf } from '../match/model';
import { SIDES, type Side } from '../picture/finding-kinds';
import type { FeatureId, FeatureValue } from '../shoe/features';
import { insideLength, sizeInWords } from '../sizing/start-size';
import { WIDTH_LETTERS, type WidthLetter } from '../sizing/widths';
import { placeOn } from './sizes';
import type { FootFit, TryOn } from './try-on';

/** What the advice may draw on; without a model it stays general. */
export interface FitContext {
  /** Room that the specification asks for, mm. */
  room: { least: number; wished: number; most: number };
  model?: ShoeModel | undefined;
  /** Other models in reach, the best first. */
  others?: readonly ShoeModel[];
}

export type Remedy =
  | { kind: 'size'; size: number; width: string; roomMm: number; inStock: number }
  | { kind: 'width'; width: string; inStock: number }
  | { kind: 'lacing'; pattern: keyof typeof PATTERNS }
  | { kind: 'models'; ids: string[] };

export interface FitAdvice {
  /** `stop`: this pair cannot be handed over as it is. */
  level: 'stop' | 'change' | 'good';
  side: Side | null;
  field: keyof FootFit | 'seen' | 'tasks' | 'points';
  sentence: string;
  remedies: Remedy[];
}

/** Half a size in barleycorns, for advice without a model. */
const HALF_SIZE_MM = 4.23;

const halves = (mm: number): string => {
  const count = Math.max(1, Math.ceil(mm / HALF_SIZE_MM - 0.3));
  return count === 1 ? 'half a size' : count === 2 ? 'one size' : `${count / 2} sizes`;
};

/** The size of this model that should leave the wished room, told from the room that this size left. */
function sizeThatFits(
  { model, room }: FitContext,
  tryOn: TryOn,
  side: Side,
  roomMm: number,
): Extract<Remedy, { kind: 'size' }> | null {
  const place = placeOn(tryOn, side);
  if (!model || !place) return null;
  const { size, width } = place;
  const roomIn = (other: number) =>
    roomMm + insideLength(model.sizing, other) - insideLength(model.sizing, size);
  const fitting = model.sizing.sizes
    .filter((other) => other !== size && roomIn(other) >= room.least && roomIn(other) <= room.most)
    .toSorted((a, b) => Math.abs(roomIn(a) - room.wished) - Math.abs(roomIn(b) - room.wished));
  const best = fitting[0];
  if (best === undefined) return null;
  return { kind: 'size', size: best, width, roomMm: roomIn(best), inStock: stockOf(model, best, width) };
}

function nextWidth({ model }: FitContext, tryOn: TryOn, side: Side, way: 1 | -1): Remedy | null {
  const place = placeOn(tryOn, side);
  if (!model || !place) return null;
  const offered = model.sizing.widths.toSorted((a, b) => WIDTH_LETTERS.indexOf(a) - WIDTH_LETTERS.indexOf(b));
  const width = offered[offered.indexOf(place.width as WidthLetter) + way];
  return width === undefined ? null : { kind: 'width', width, inStock: stockOf(model, place.size, width) };
}

/** How many other models one piece of advice names. */
const NAMED = 2;

/** Other models whose value of a feature answers the complaint. */
function others(
  { model, others: list = [] }: FitContext,
  feature: FeatureId,
  answers: (value: FeatureValue, here: FeatureValue | undefined) => boolean,
): Remedy[] {
  const here = model?.features[feature];
  const ids = list
    .filter(({ id, features }) => {
      const value = features[feature];
      return id !== model?.id && value !== undefined && answers(value, here);
    })
    .slice(0, NAMED)
    .map(({ id }) => id);
  return ids.length === 0 ? [] : [{ kind: 'models', ids }];
}
const less = (value: FeatureValue, here: FeatureValue | undefined) => Number(value) < Number(here ?? 2);
const more = (value: FeatureValue, here: FeatureValue | undefined) => Number(value) > Number(here ?? 2);

/**
 * What the checks say about a pair, foot by foot, with what to do: this size, this lacing, these other models. Room 10–15 mm
 * is common practice, wider where the specification says so (at-risk foot 10–20 mm, IWGDF 2023, from memory; child
 * 12–17 mm, common practice).
 */
export function fitAdvice(tryOn: TryOn, context: FitContext): FitAdvice[] {
  const advice = SIDES.flatMap((side) => footAdvice(tryOn, side, context));
  const add = (field: FitAdvice['field'], sentence: string, remedies: Remedy[]) =>
    advice.push({ level: 'change', side: null, field, sentence, remedies });
  if (tryOn.seen === 'moves-more')
    add('seen', 'Moves more than barefoot: firmer or broader.', others(context, 'torsionalStiffness', more));
  if (Object.values(tryOn.tasks ?? {}).includes('poor'))
    add('tasks', 'Fails a real task: not this one for that use.', []);
  const rubs = (tryOn.points ?? []).filter((point) => point.kind !== 'gapes');
  if (rubs.length > 0)
    add(
      'points',
      `${rubs.length} place${rubs.length === 1 ? '' : 's'} pressed or rubbed: stretch there, or another last.`,
      others(context, 'seamFree', (value) => value === 'yes'),
    );
  return advice;
}

function footAdvice(tryOn: TryOn, side: Side, context: FitContext): FitAdvice[] {
  const fit = tryOn[side];
  if (!fit) return [];
  const advice: FitAdvice[] = [];
  const add = (
    level: FitAdvice['level'],
    field: keyof FootFit,
    sentence: string,
    remedies: (Remedy | null)[] = [],
  ) => advice.push({ level, side, field, sentence, remedies: remedies.filter((one) => one !== null) });
  if (fit.roomMm !== undefined) advice.push(roomAdvice(tryOn, side, fit.roomMm, context));
  if (fit.widthFit === 'tight')
    add('stop', 'widthFit', 'Tight at the ball: next width, or a wider last.', [
      nextWidth(context, tryOn, side, 1),
      ...others(context, 'width', more),
    ]);
  if (fit.widthFit === 'loose')
    add('change', 'widthFit', 'Loose at the ball: narrower width, or a filler.', [
      nextWidth(context, tryOn, side, -1),
    ]);
  if (fit.depth === 'tight')
    add('stop', 'depth', 'Toes touch the roof: a deeper model.', others(context, 'toeBoxDepth', more));
  if (fit.depth === 'loose') add('change', 'depth', 'Too deep makes toes grip: a flat insert.');
  if (fit.heelSlip === 'slight')
    add('change', 'heelSlip', `Heel slips a little: ${PATTERNS['heel-lock'].name.toLowerCase()}.`, [
      { kind: 'lacing', pattern: 'heel-lock' },
    ]);
  if (fit.heelSlip === 'clear')
    add('stop', 'heelSlip', 'Heel slips: heel lock, a narrower heel, or a filler.', [
      { kind: 'lacing', pattern: 'heel-lock' },
      nextWidth(context, tryOn, side, -1),
      ...others(context, 'heelCounter', more),
    ]);
  if (fit.collar === 'presses')
    add(
      'change',
      'collar',
      'Collar meets the ankle bones: another model.',
      others(context, 'collarPadding', less),
    );
  if (fit.archFeel === 'presses')
    add('change', 'archFeel', 'Arch presses: flatter under the arch.', others(context, 'archContour', less));
  if (fit.archFeel === 'missing')
    add(
      'change',
      'archFeel',
      'Arch misses its support: check the size first.',
      others(context, 'archContour', more),
    );
  if (fit.instep === 'presses')
    add('change', 'instep', 'Presses over the instep: lace past it.', [
      { kind: 'lacing', pattern: 'window' },
      ...others(context, 'opening', more),
    ]);
  if (fit.bend === 'too-far-back')
    add(
      'stop',
      'bend',
      'Folds behind the ball: the shoe fights the foot.',
      others(context, 'bendPoint', more),
    );
  return advice;
}

function roomAdvice(tryOn: TryOn, side: Side, roomMm: number, context: FitContext): FitAdvice {
  const { least, most } = context.room;
  const base = { side, field: 'roomMm' as const };
  if (roomMm >= least && roomMm <= most)
    return { ...base, level: 'good', sentence: `${roomMm} mm in front: right.`, remedies: [] };
  const short = roomMm < least;
  const remedy = sizeThatFits(context, tryOn, side, roomMm);
  const what = remedy
    ? `Try ${sizeInWords(context.model!.sizing, remedy.size, remedy.width)}, about ${Math.round(remedy.roomMm)} mm.`
    : `Try ${halves(short ? least - roomMm : roomMm - most)} ${short ? 'up' : 'down'}.`;
  return {
    ...base,
    level: short ? 'stop' : 'change',
    sentence: `${roomMm} mm in front: ${short ? 'too short' : 'long'}. ${what}`,
    remedies: remedy ? [remedy] : [],
  };
}

/** Whether a check stops this pair. */
export const isStopped = (tryOn: TryOn, context: FitContext): boolean =>
  fitAdvice(tryOn, context).some((entry) => entry.level === 'stop');
