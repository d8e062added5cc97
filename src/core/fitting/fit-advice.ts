import { ONE_SIDE_FIRST, RUBBED_PLACES, type RubbedPlace, rubbedPlaceOf } from '../body-map/rubbed-places';
import { SIDES, type Side } from '../findings/finding-kinds';
import { FINDINGS } from '../findings/findings';
import { PUSH_OFF_OVER } from '../knowledge/push-off-over';
import { sizeInWords } from '../sizing/start-size';
import { PATTERNS } from './lacing-patterns';
import type { PushOff } from './push-off';
import {
  type FitContext,
  halves,
  nextWidth,
  otherModels,
  otherModelsWith,
  type Remedy,
  sizeThatFits,
} from './remedies';
import type { FootFit, TryOn } from './try-on';
import { SLIP_CAUSES, whyItSlips } from './why-it-slips';

export type { FitContext, Remedy } from './remedies';

/** `stop`: this pair cannot be handed over as it is. */
export type FitLevel = 'stop' | 'change' | 'good';

export interface FitAdvice {
  level: FitLevel;
  side: Side | null;
  field: keyof FootFit | 'seen' | 'seenFast' | 'tasks' | 'points';
  sentence: string;
  remedies: Remedy[];
  /** What the advice rests on. */
  mark: string;
}

const PRACTICE = 'common practice';
const ROOM_MARK = 'common practice; an at-risk foot: IWGDF 2023, from memory';

type Check = Exclude<keyof FootFit, 'roomMm' | 'pushOff'>;

/** What one answer to one check means, and what can be done about it. */
interface CheckRow<C extends Check = Check> {
  check: C;
  is: NonNullable<FootFit[C]>;
  level: FitLevel;
  sentence: string;
  remedies: (context: FitContext, tryOn: TryOn, side: Side) => readonly (Remedy | null)[];
  mark: string;
}

const row = <C extends Check>(
  check: C,
  is: NonNullable<FootFit[C]>,
  level: FitLevel,
  sentence: string,
  remedies: CheckRow['remedies'] = () => [],
): CheckRow<C> => ({ check, is, level, sentence, remedies, mark: PRACTICE });

/** The checks of each foot by what they found (handbook 05). */
const CHECKS = [
  row(
    'widthFit',
    'tight',
    'stop',
    'Tight at the ball: next width, or a wider last.',
    (context, tryOn, side) => [nextWidth(context, tryOn, side, 1), ...otherModels(context, 'width', 1)],
  ),
  row(
    'widthFit',
    'loose',
    'change',
    'Loose at the ball: narrower width, or a filler.',
    (context, tryOn, side) => [nextWidth(context, tryOn, side, -1)],
  ),
  row('depth', 'tight', 'stop', 'Toes touch the roof: a deeper model.', (context) =>
    otherModels(context, 'toeBoxDepth', 1),
  ),
  row('depth', 'loose', 'change', 'Too deep makes toes grip: a flat insert.'),
  row(
    'heelSlip',
    'slight',
    'change',
    `Heel slips a little: ${PATTERNS['heel-lock'].name.toLowerCase()}.`,
    () => [{ kind: 'lacing', pattern: 'heel-lock' }],
  ),
  row(
    'heelSlip',
    'clear',
    'stop',
    'Heel slips: heel lock, a narrower heel, or a filler.',
    (context, tryOn, side) => [
      { kind: 'lacing', pattern: 'heel-lock' },
      nextWidth(context, tryOn, side, -1),
      ...otherModels(context, 'heelCounter', 1),
    ],
  ),
  row('midfootHold', 'loose', 'change', 'Midfoot not held: lace it snug over the instep first.'),
  row('collar', 'presses', 'change', 'Collar meets the ankle bones: another model.', (context) =>
    otherModels(context, 'collarPadding', -1),
  ),
  row('archFeel', 'presses', 'change', 'Arch presses: flatter under the arch.', (context) =>
    otherModels(context, 'archContour', -1),
  ),
  row('archFeel', 'missing', 'change', 'Arch misses its support: check the size first.', (context) =>
    otherModels(context, 'archContour', 1),
  ),
  row('instep', 'presses', 'change', 'Presses over the instep: lace past it.', (context) => [
    { kind: 'lacing', pattern: 'window' },
    ...otherModels(context, 'opening', 1),
  ]),
  row('bend', 'too-far-back', 'stop', 'Folds behind the ball: the shoe fights the foot.', (context) =>
    otherModels(context, 'bendPoint', 1),
  ),
];

/**
 * What the checks say about a pair, foot by foot, with what to do: this size, this lacing, these other models. Room 10–15 mm
 * is common practice, wider where the specification says so (at-risk foot 10–20 mm, IWGDF 2023, from memory; child
 * 12–17 mm, common practice).
 */
export const fitAdvice = (tryOn: TryOn, context: FitContext): FitAdvice[] => [
  ...SIDES.flatMap((side) => footAdvice(tryOn, side, context)),
  ...pairAdvice(tryOn, context),
];

/** Why it slips, before anything is done about it. */
function slipInWords(fit: FootFit, { room, model }: FitContext): string {
  const causes = whyItSlips(fit, room.most, model?.features).map((cause) => SLIP_CAUSES[cause]);
  return causes.length === 0 ? '' : ` First: ${causes.join('; then ')}.`;
}

function footAdvice(tryOn: TryOn, side: Side, context: FitContext): FitAdvice[] {
  const fit = tryOn[side];
  if (!fit) return [];
  const room = fit.roomMm === undefined ? [] : [roomAdvice(tryOn, side, fit.roomMm, context)];
  const found = CHECKS.filter(({ check, is }) => fit[check] === is).map(
    ({ check, level, sentence, remedies, mark }): FitAdvice => ({
      level,
      side,
      field: check,
      sentence: check === 'heelSlip' ? `${sentence}${slipInWords(fit, context)}` : sentence,
      remedies: remedies(context, tryOn, side).filter((remedy) => remedy !== null),
      mark,
    }),
  );
  return [...room, ...found, ...pushOffAdvice(fit.pushOff, side, context)];
}

/** Where the foot leaves the ground in this shoe, where that place hurts; or that it no longer pushes off. */
function pushOffAdvice(pushOff: PushOff | undefined, side: Side, context: FitContext): FitAdvice[] {
  const foot = context.feet?.[side];
  if (!foot || pushOff === undefined) return [];
  const advise = (sentence: string, remedies: Remedy[]): FitAdvice[] => [
    { level: 'change', side, field: 'pushOff', sentence, remedies, mark: PRACTICE },
  ];
  if (pushOff === 'none')
    return foot.pushOff === null || foot.pushOff === 'none'
      ? []
      : advise(
          'Does not push off in it, but does barefoot: easier to bend, or lighter.',
          otherModels(context, 'forefootStiffness', -1),
        );
  const isSore = PUSH_OFF_OVER[pushOff].some((place) => foot.sore.includes(place));
  return isSore
    ? advise(
        'Pushes off over the sore place in it: a sole that rolls before it.',
        otherModels(context, 'rocker', 1),
      )
    : [];
}

/** What concerns the pair as a whole: how one moves in it, the tasks, the places that it presses. */
function pairAdvice(tryOn: TryOn, context: FitContext): FitAdvice[] {
  const advise = (field: FitAdvice['field'], sentence: string, remedies: Remedy[] = []): FitAdvice => ({
    level: 'change',
    side: null,
    field,
    sentence,
    remedies,
    mark: PRACTICE,
  });
  const advice: FitAdvice[] = [];
  if (tryOn.seen === 'moves-more')
    advice.push(
      advise(
        'seen',
        'Moves more than barefoot: firmer or broader.',
        otherModels(context, 'torsionalStiffness', 1),
      ),
    );
  if (tryOn.seenFast === 'moves-more')
    advice.push(
      advise(
        'seenFast',
        tryOn.seen === 'moves-more'
          ? 'And more at speed.'
          : 'Moves more than barefoot at speed, though not walking: firmer or broader for running in.',
        otherModels(context, 'torsionalStiffness', 1),
      ),
    );
  if (Object.values(tryOn.tasks ?? {}).includes('poor'))
    advice.push(advise('tasks', 'Fails a real task: not this one for that use.'));
  return [...advice, ...pressedAdvice(tryOn, context)];
}

/** What is done where a pair presses or rubs: the place says what, and one foot alone asks about the foot first. */
const AT_PLACE: Readonly<Record<RubbedPlace, { says: string; remedies: (context: FitContext) => Remedy[] }>> =
  {
    'toe-tips': {
      says: 'longer, or hold the foot back from the front',
      remedies: () => [{ kind: 'lacing', pattern: 'heel-lock' }],
    },
    'between-toes': {
      says: 'a broader, rounder front',
      remedies: (context) => otherModelsWith(context, 'toeBoxShape', 'anatomic'),
    },
    knuckles: { says: 'deeper over the toes', remedies: (context) => otherModels(context, 'toeBoxDepth', 1) },
    ball: {
      says: 'the foot slides: lace the midfoot firmer, a drier sock',
      remedies: (context) => otherModels(context, 'forefootCushioning', 1),
    },
    arch: { says: 'flatter under the arch', remedies: (context) => otherModels(context, 'archContour', -1) },
    instep: {
      says: 'leave out the crossing over the spot',
      remedies: (context) => [{ kind: 'lacing', pattern: 'window' }, ...otherModels(context, 'opening', 1)],
    },
    'heel-back': {
      says: 'hold the heel, or a softer rim',
      remedies: (context) => [
        { kind: 'lacing', pattern: 'heel-lock' },
        ...otherModelsWith(context, 'softCounterEdge', 'yes'),
      ],
    },
    'outer-edge': { says: 'wider, or less arch', remedies: (context) => otherModels(context, 'width', 1) },
    'inner-edge': {
      says: 'wider at the big-toe joint, stretch there',
      remedies: (context) => otherModelsWith(context, 'toeBoxShape', 'anatomic'),
    },
    ankle: {
      says: 'a collar clear of the ankle bones',
      remedies: (context) => otherModelsWith(context, 'collarClear', 'yes'),
    },
  };

function pressedAdvice(tryOn: TryOn, context: FitContext): FitAdvice[] {
  const pressed = (tryOn.points ?? []).filter((point) => point.kind !== 'gapes');
  return RUBBED_PLACES.flatMap((place): FitAdvice[] => {
    const here = pressed.filter((point) => rubbedPlaceOf(point.site) === place);
    const [first] = here;
    if (!first) return [];
    const oneSided = here.every((point) => point.side === first.side);
    const { says, remedies } = AT_PLACE[place];
    const where = FINDINGS.rubbedAt.options[place];
    return [
      {
        level: 'change',
        side: oneSided ? first.side : null,
        field: 'points',
        sentence: `Pressed or rubbed, ${where}: ${says}.${oneSided ? ` Only ${ONE_SIDE_FIRST}.` : ''}`,
        remedies: remedies(context),
        mark: PRACTICE,
      },
    ];
  });
}

function roomAdvice(tryOn: TryOn, side: Side, roomMm: number, context: FitContext): FitAdvice {
  const { room, model } = context;
  const base = { side, field: 'roomMm' as const, mark: ROOM_MARK };
  if (roomMm >= room.least && roomMm <= room.most)
    return { ...base, level: 'good', sentence: `${roomMm} mm in front: right.`, remedies: [] };
  const isShort = roomMm < room.least;
  const remedy = sizeThatFits(context, tryOn, side, roomMm);
  const what =
    remedy && model
      ? `Try ${sizeInWords(model.sizing, remedy.size, remedy.width)}, about ${Math.round(remedy.roomMm)} mm.`
      : `Try ${halves(isShort ? room.least - roomMm : roomMm - room.most)} ${isShort ? 'up' : 'down'}.`;
  return {
    ...base,
    level: isShort ? 'stop' : 'change',
    sentence: `${roomMm} mm in front: ${isShort ? 'too short' : 'long'}. ${what}`,
    remedies: remedy ? [remedy] : [],
  };
}

/** Whether a check stops this pair. */
export const isStopped = (tryOn: TryOn, context: FitContext): boolean =>
  fitAdvice(tryOn, context).some(({ level }) => level === 'stop');
