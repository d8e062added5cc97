import { TEMPERATURE_SITES } from '../findings/catalogue/warmth';
import { SIDES, type Side } from '../findings/finding-kinds';
import {
  definitionOf,
  FINDING_IDS,
  type FindingId,
  isFindingId,
  type NumberFindingId,
} from '../findings/findings';
import {
  type ClinicalPicture,
  type EnteredPicture,
  type FindingPlace,
  type FootFindings,
  NOT_EXAMINED,
  type NotExamined,
  numberAt,
  type Picture,
} from '../findings/picture';
import { demandOf, sportsUnder } from '../findings/sports';
import { atRiskCategory } from './at-risk-category';
import { BANDS, cutIndexOf } from './bands';
import { kneeBendClass } from './gait/knee-bend';
import { pittingGrade } from './pitting';
import { archFlexibility, archHeightIndex, footMobility } from './posture/arch-height';
import { POSTURE_ITEMS, postureTotal } from './posture/six-items';
import { MONOFILAMENT_SITES, protectiveSensation } from './sensation';

const ADULT_YEARS = 16;
/** Redmond 2006, from memory: +6 and more is a pronated posture. */
const PRONATED_FROM = 6;

/**
 * Findings from which others follow; leaving out any other changes nothing but itself. One that can be entered and also
 * derived is among them: without what was entered, what is derived takes its place.
 */
export const DERIVED_FROM: ReadonlySet<FindingId> = new Set(
  FINDING_IDS.flatMap((id): FindingId[] => {
    const { derivedFrom = [], step } = definitionOf(id);
    const sources = derivedFrom.filter(isFindingId);
    return sources.length > 0 && step !== null ? [id, ...sources] : sources;
  }),
);

/** Class of the arch in each band of a measured index, in the order of the bands. */
const ARCH_BY_BAND = {
  archIndex: ['high', 'medium', 'low'],
  archHeightIndex: ['low', 'medium', 'high'],
} as const satisfies Partial<Record<NumberFindingId, readonly FootFindings['arch'][]>>;

/** Arch class from a measured index where nobody has judged the arch: the print first, then the arch height. */
function archClass(picture: Picture, side: Side, standing: number | null): FootFindings['arch'] {
  const entered = picture[side].arch;
  if (entered !== NOT_EXAMINED) return entered;
  const age = picture.body.ageYears;
  if (age === NOT_EXAMINED || age < ADULT_YEARS) return undefined;
  const read = (id: keyof typeof ARCH_BY_BAND, value: number | null) =>
    value === null ? undefined : ARCH_BY_BAND[id][cutIndexOf(BANDS[id], value)];
  return read('archIndex', numberAt(picture, 'archIndex', side)) ?? read('archHeightIndex', standing);
}

/** Where the kneecap falls, from millimetres on a frame where nobody has judged it. */
function kneeBendOf(picture: Picture, side: Side): FootFindings['kneeBend'] {
  const insideMm = numberAt(picture, 'kneeBendMm', side);
  return picture[side].kneeBend === NOT_EXAMINED && insideMm !== null ? kneeBendClass(insideMm) : undefined;
}

/** A site that is lost counts whatever was said of the foot as a whole; sites that are felt only fill a gap. */
function sensationOf(picture: Picture, side: Side): FootFindings['sensation'] {
  const sites = protectiveSensation(MONOFILAMENT_SITES.map((site) => numberAt(picture, site.id, side)));
  if (sites === 'lost' || picture[side].sensation === NOT_EXAMINED) return sites ?? undefined;
  return undefined;
}

/** How much warmer than the other foot the warmest of the sites is that both feet have, °C. */
function temperatureExcess(picture: Picture, side: Side, other: Side): number | undefined {
  const differences = TEMPERATURE_SITES.flatMap((site) => {
    const [own, theirs] = [numberAt(picture, site, side), numberAt(picture, site, other)];
    return own === null || theirs === null ? [] : [own - theirs];
  });
  return differences.length === 0 ? undefined : Math.round(Math.max(...differences) * 100) / 100;
}

/** Whether nothing of a kind that is here is on the other foot too; a foot that nobody looked at shares nothing. */
function isOneSided(
  here: readonly string[] | NotExamined,
  there: readonly string[] | NotExamined,
): 'yes' | 'no' | undefined {
  if (here === NOT_EXAMINED) return undefined;
  const shared = there !== NOT_EXAMINED && here.some((entry) => there.includes(entry));
  return here.length > 0 && !shared ? 'yes' : 'no';
}

function derivedOf(picture: Picture, side: Side): FootFindings {
  const at = (id: FindingId) => numberAt(picture, id, side);
  const other = side === 'left' ? 'right' : 'left';
  const both = <T>(a: number | null, b: number | null, make: (a: number, b: number) => T): T | null =>
    a === null || b === null ? null : make(a, b);
  const mass = picture.body.bodyMass;
  const standing = both(at('dorsumHeight'), at('heelBallLength'), archHeightIndex);
  const fall = both(at('dorsumHeightUnloaded'), at('dorsumHeight'), (free, loaded) => free - loaded);
  const spread = both(at('midfootWidth'), at('midfootWidthUnloaded'), (loaded, free) => loaded - free);
  const pit = at('pittingDepth');
  return {
    postureTotal: postureTotal(POSTURE_ITEMS.map((item) => at(item.id))) ?? undefined,
    navicularDrop:
      both(at('navicularStart'), at('navicularRelaxed'), (start, relaxed) => start - relaxed) ?? undefined,
    archHeightIndex: standing ?? undefined,
    archHeightIndexSeated: both(at('dorsumHeightSeated'), at('heelBallLength'), archHeightIndex) ?? undefined,
    archFlexibility:
      mass === NOT_EXAMINED
        ? undefined
        : (both(at('dorsumHeightSeated'), at('dorsumHeight'), (seated, loaded) =>
            archFlexibility(seated, loaded, mass),
          ) ?? undefined),
    footMobility:
      both(fall, spread, (dorsumFallMm, spreadMm) => footMobility({ dorsumFallMm, spreadMm })) ?? undefined,
    temperatureExcess: temperatureExcess(picture, side, other),
    pittingGrade: pit === null ? undefined : pittingGrade(pit, at('pittingSeconds')),
    ballHeelRatio: both(at('ballWidth'), at('heelWidth'), (ball, heel) => ball / heel) ?? undefined,
    shorterLeg:
      both(at('legLength'), numberAt(picture, 'legLength', other), (own, theirs) =>
        own < theirs ? 'yes' : 'no',
      ) ?? undefined,
    rubbedOneSided: isOneSided(picture[side].rubbedAt, picture[other].rubbedAt),
    acheOneSided: isOneSided(picture[side].pain, picture[other].pain),
    arch: archClass(picture, side, standing),
    kneeBend: kneeBendOf(picture, side),
    sensation: sensationOf(picture, side),
  };
}

/** What follows, and where nothing does what was entered. */
const asEntered = <D extends FootFindings>(entered: Picture[Side], derived: D) => {
  const whole: Record<string, unknown> = derived;
  const before: Readonly<Record<string, unknown>> = entered;
  for (const id in whole) whole[id] ??= before[id];
  return derived;
};

const isOneOf = <V extends string>(value: string, ...wanted: V[]): boolean =>
  wanted.some((entry) => entry === value);

/**
 * Whether some finding asks for a shoe that is made for feet that are deformed, swollen or without feeling; open only
 * while nobody has said what the shoes are for.
 */
function therapeuticAsked({
  body,
  left,
  right,
}: Pick<Picture, 'body' | Side>): ClinicalPicture['body']['therapeuticAsked'] {
  if (body.activities === NOT_EXAMINED) return NOT_EXAMINED;
  const has = (value: readonly string[] | typeof NOT_EXAMINED, ...wanted: string[]) =>
    value !== NOT_EXAMINED && wanted.some((entry) => value.includes(entry));
  const asked =
    has(body.conditions, 'lymphoedema', 'inflammatory-arthritis') ||
    [left, right].some(
      (foot) =>
        (foot.atRiskCategory !== NOT_EXAMINED && foot.atRiskCategory >= 1) ||
        isOneOf(foot.sensation, 'lost') ||
        isOneOf(foot.bunion, 'severe') ||
        isOneOf(foot.lesserToes, 'rigid') ||
        isOneOf(foot.swelling, 'constant') ||
        isOneOf(foot.insert, 'brace') ||
        has(foot.injuries, 'foot-ulcer', 'amputation'),
    );
  return asked ? 'yes' : 'no';
}

/** Whether some finding could ask for hold on the inner side: a foot that leans or rolls in, or a sore inner tissue. */
function correctionAsked({
  body,
  left,
  right,
}: Pick<Picture, 'body' | Side>): ClinicalPicture['body']['correctionAsked'] {
  if (body.activities === NOT_EXAMINED) return NOT_EXAMINED;
  const asked = [left, right].some(
    (foot) =>
      isOneOf(foot.roll, 'in') ||
      isOneOf(foot.arch, 'low') ||
      isOneOf(foot.archFlattening, 'yes') ||
      (foot.postureTotal !== NOT_EXAMINED && foot.postureTotal >= PRONATED_FROM) ||
      (foot.pain !== NOT_EXAMINED &&
        foot.pain.some((site) => isOneOf(site, 'ankle-inner', 'arch', 'plantar-heel', 'shin'))),
  );
  return asked ? 'yes' : 'no';
}

/**
 * Whether the load has risen: harder or more training, or three tenths more distance a week than a month ago. Nielsen 2014
 * found more injuries of some kinds above 30 % in two weeks, from memory; over a month it is ours. What was said counts first.
 */
function loadRise({
  loadRise: said,
  trainingChange,
  weeklyDistance,
  weeklyDistanceBefore,
}: EnteredPicture['body']): ClinicalPicture['body']['loadRise'] {
  if (said !== NOT_EXAMINED) return said;
  if (
    trainingChange !== NOT_EXAMINED &&
    trainingChange.some((change) => isOneOf(change, 'intensity', 'volume'))
  )
    return 'yes';
  if (weeklyDistance === NOT_EXAMINED || weeklyDistanceBefore === NOT_EXAMINED) return NOT_EXAMINED;
  return weeklyDistance > weeklyDistanceBefore * RISE ? 'yes' : 'no';
}
const RISE = 1.3;

/** How high a heel a prosthetic foot can be set for: what it is set for, unless its ankle adjusts beyond that. */
function highestHeel({
  prosthesisSetRise: set,
  prosthesisAnkle: ankle,
  prosthesisAnkleTo: to,
}: EnteredPicture['body']): ClinicalPicture['body']['prosthesisHighest'] {
  if (set === NOT_EXAMINED || ankle !== 'adjustable' || to === NOT_EXAMINED) return set;
  return Math.max(set, to);
}

/** The ground that a pair is for: rough where a purpose or a surface says so, indoors where nothing else is named. */
function groundOf({ activities, surfaces }: EnteredPicture['body']): ClinicalPicture['body']['ground'] {
  if (activities === NOT_EXAMINED) return NOT_EXAMINED;
  const named = surfaces === NOT_EXAMINED ? [] : surfaces;
  if (activities.some((activity) => isOneOf(activity, 'trail', 'hiking')) || named.includes('trail'))
    return 'rough';
  const inside =
    named.length > 0
      ? named.every((surface) => isOneOf(surface, 'home', 'gym-floor'))
      : activities.length > 0 && activities.every((activity) => isOneOf(activity, 'indoor-court'));
  return inside ? 'indoors' : 'even';
}

type Demand = Pick<
  ClinicalPicture['body'],
  'sports' | 'sidewaysShare' | 'jumpShare' | 'pivotShare' | 'toeDrag'
>;

/** The sports that are played under the purposes of this pair, and what they ask; open while nobody has said which. */
function sportDemand({ sports, activities }: EnteredPicture['body']): Demand {
  const played =
    sports === NOT_EXAMINED || activities === NOT_EXAMINED
      ? NOT_EXAMINED
      : sportsUnder(activities).filter((id) => sports.includes(id));
  if (played === NOT_EXAMINED || played.length === 0)
    return {
      sports: played,
      sidewaysShare: NOT_EXAMINED,
      jumpShare: NOT_EXAMINED,
      pivotShare: NOT_EXAMINED,
      toeDrag: NOT_EXAMINED,
    };
  const { sideways, jump, pivot, toeDrag } = demandOf(played);
  return { sports: played, sidewaysShare: sideways, jumpShare: jump, pivotShare: pivot, toeDrag };
}

/** A picture that its owner, and nobody else, writes into. */
export type Draft = {
  [Place in FindingPlace]: { -readonly [Id in keyof Picture[Place]]: Picture[Place][Id] };
};

export const draftOf = ({ body, left, right }: Picture): Draft => ({
  body: { ...body },
  left: { ...left },
  right: { ...right },
});

/** Writes what follows from a picture into one that is otherwise the same; what follows no longer is as it was entered. */
export function deriveInto(entered: EnteredPicture, into: Draft): void {
  const { hypermobilitySigns, legLengthDifference } = entered.body;
  const left = numberAt(entered, 'legLength', 'left');
  const right = numberAt(entered, 'legLength', 'right');
  const { body } = into;
  body.loadRise = loadRise(entered.body);
  body.legLengthDifference =
    legLengthDifference === NOT_EXAMINED && left !== null && right !== null
      ? Math.abs(left - right)
      : legLengthDifference;
  body.hypermobilityScore = hypermobilitySigns === NOT_EXAMINED ? NOT_EXAMINED : hypermobilitySigns.length;
  Object.assign(body, sportDemand(entered.body));
  for (const side of SIDES) Object.assign(into[side], asEntered(entered[side], derivedOf(entered, side)));
  for (const side of SIDES) {
    const answer = atRiskCategory(into, side);
    into[side].atRiskCategory = answer.known ? answer.category : NOT_EXAMINED;
  }
  body.ground = groundOf(entered.body);
  body.prosthesisHighest = highestHeel(entered.body);
  body.correctionAsked = correctionAsked(into);
  body.therapeuticAsked = therapeuticAsked(into);
}

/**
 * Adds what follows from other findings: indices by arithmetic, the arch class from a measured index and
 * sensation from its sites where nobody has said otherwise, the at-risk category. Derived values are never typed in.
 */
export function deriveFindings(entered: EnteredPicture): ClinicalPicture {
  const draft = draftOf(entered);
  deriveInto(entered, draft);
  return { ...draft, taken: entered.taken, derived: true };
}
