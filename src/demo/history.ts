import { type PatientSheet, patientSheet, reviewDay } from '@/core/aftercare/patient-sheet';
import { breakInFor } from '@/core/break-in/for-patient';
import { type BreakInInput, planBreakIn } from '@/core/break-in/plan';
import { addDays } from '@/core/calendar/days';
import { modelTitle, type ShoeModel } from '@/core/catalogue/model';
import { categoryOfPerson } from '@/core/examination/at-risk-category';
import { FINDING_STEPS } from '@/core/findings/finding-kinds';
import { definitionOf, FINDING_IDS, FINDINGS, type FindingId } from '@/core/findings/findings';
import { contributedAt, type Findings, placesOf } from '@/core/findings/picture';
import { withValues } from '@/core/findings/with-values';
import { valuesToKeep } from '@/core/history/before';
import { NO_HOUSE_RULES } from '@/core/knowledge/house-rules';
import { eyeletsOf } from '@/core/lacing/eyelets';
import { eligible, proposeTrial } from '@/core/match/propose';
import { rank } from '@/core/match/rank';
import { RETURN_DAYS } from '@/core/orders/order';
import type { Specification } from '@/core/prescribe/engine/specification';
import type { Activity } from '@/core/purpose/serves';
import { againOf } from '@/core/repeat/again';
import { batchSpread } from '@/core/repeat/batch-spread';
import { sizePair } from '@/core/sizing/size-pair';
import { sizeInWords } from '@/core/sizing/start-size';
import type { Choices, VisitContents } from '@/core/visit/contents';
import { readVisit } from '@/core/visit/read-visit';
import { CLOCK_OF_USE, madeForUse } from '@/core/wear/clocks';
import { wearForecast } from '@/core/wear/forecast';
import type { RetiredBecause } from '@/core/wear/retired';
import { daysAgo, examined, withDetails } from './examination';
import { type DemoOrder, ordered, triedOn } from './fitting';
import { DEMO_HOUSE_RULES } from './house-rules';
import type { DemoModel } from './models';
import type { Persona } from './personas/persona';
import type { Random } from './random';
import { type DemoLogEntry, endedBecause, halved, logOfUse, weeklyIn } from './use-of-a-pair';

export interface DemoVisit {
  day: string;
  steps: VisitContents;
  /** Why nothing was handed over, for a review. */
  closedBecause: string | null;
  handOver: {
    purpose: Activity | null;
    findings: Findings;
    choices: Choices;
    specification: Specification;
    houseVersion: number;
    sheet: PatientSheet;
    breakIn: BreakInInput;
    model: ShoeModel;
    sizeLeft: string;
    sizeRight: string;
    racing: boolean;
    /** Use a week in the unit of its clock, where that is not kilometres. */
    weeklyUse: number | null;
    endedOn: string | null;
    endedBecause: RetiredBecause | null;
    log: DemoLogEntry[];
  } | null;
  /** A pair that was chosen and ordered. */
  order: DemoOrder | null;
  /** What the try-ons teach about their models. */
}

/** A persona with a birthday. */
export type BornPersona = Persona & { bornOn: string };

/** Who examined, in the demo. */
const OBSERVER = 'Tomas Brekkan';

/** Findings split into the steps in which they are taken, each with when and by whom. */
function intoSteps(findings: Findings, day: string): VisitContents {
  const taken = { at: `${day}T09:40:00Z`, by: OBSERVER, with: 'hand' } as const;
  const steps = FINDING_STEPS.flatMap((step) => {
    const values = FINDING_IDS.filter((id) => definitionOf(id).step === step).flatMap((id) =>
      placesOf(id).flatMap((place) => {
        const value = contributedAt(findings, place, id);
        return value === undefined ? [] : [{ place, id, value }];
      }),
    );
    return values.length === 0 ? [] : [[step, { findings: withValues({}, values, taken) }]];
  });
  return Object.fromEntries(steps);
}

const CLINIC = 'Harbour Clinic, Skarholm';
export const PHONE = '055 010100';

/** A persona's visits: the engine prescribes, the catalogue serves, the patient wears. */
export function demoHistory(
  persona: BornPersona,
  models: readonly DemoModel[],
  today: string,
  random: Random,
): DemoVisit[] {
  const now = examined(persona, random);
  const visits = persona.visits.map((ago, index) => {
    const last = index === persona.visits.length - 1;
    // A pair that is only ordered replaces nothing yet.
    const orderedNext = persona.order !== undefined && index === persona.visits.length - 2;
    const next = orderedNext ? undefined : persona.visits[index + 1];
    const day = addDays(today, -ago);
    return handedOver(
      { ...persona, findings: daysAgo(now, persona.age, ago, random) },
      models,
      day,
      next === undefined ? null : addDays(today, -next),
      today,
      random,
      last ? (persona.order ?? null) : null,
    );
  });
  if (persona.keepsPairBefore) keepOn(visits, today);
  const latest = persona.visits.at(-1);
  if (latest !== undefined && latest > 16 && !persona.openVisit && !persona.order && random.chance(0.85))
    visits.push({
      day: addDays(today, -latest + random.int(13, 16)),
      steps: {},
      handOver: null,
      order: null,
      closedBecause: 'review: pair kept',
    });
  if (persona.openVisit)
    visits.push({
      day: today,
      closedBecause: null,
      steps: withHistory(
        withDetails(intoSteps(begun(now), today), now, today, random),
        persona,
        models.find(({ id }) => id === visits.findLast(({ handOver }) => handOver)?.handOver?.model.id),
        today,
      ),
      handOver: null,
      order: null,
    });
  return visits;
}

/** What a visit begun today says of events and of the pair that was worn last. */
function withHistory(
  steps: VisitContents,
  { ahead, lastPair }: Persona,
  worn: DemoModel | undefined,
  today: string,
): VisitContents {
  if (!ahead && !lastPair) return steps;
  return {
    ...steps,
    ask: {
      ...steps.ask,
      findings: steps.ask?.findings ?? {},
      ...(ahead
        ? { events: ahead.map(({ inDays, ...event }) => ({ ...event, on: addDays(today, inDays) })) }
        : {}),
      ...(lastPair && worn
        ? {
            before: [
              {
                id: 'last-pair',
                ...lastPair,
                good: [...(lastPair.good ?? [])],
                bad: [...(lastPair.bad ?? [])],
                title: modelTitle(worn),
                model: worn.id,
                values: { ...valuesToKeep(worn.features) },
              },
            ],
          }
        : {}),
    },
  };
}

/** An examination that has got as far as the feet: sensation is still open, of the load only leg lengths are known. */
function begun(findings: Findings): Findings {
  const open = <F extends object>(part: F | undefined): F =>
    Object.fromEntries(
      Object.entries(part ?? {}).filter(([id]) => {
        const { step } = FINDINGS[id as FindingId];
        const reached = step === 'ask' || step === 'feet' || id === 'legLength';
        return reached && id !== 'sensation' && !id.startsWith('monofilament');
      }),
    ) as F;
  return { body: open(findings.body), left: open(findings.left), right: open(findings.right) };
}

/** Before this many days a model's forerunner stood on the shelf. */
const FORERUNNERS_UNTIL_DAYS = 200;

/** What stood on the shelf for somebody at a visit: that day's version of each model. */
function shelfOf(models: readonly DemoModel[], persona: Persona, day: string, today: string): DemoModel[] {
  const old = addDays(today, -FORERUNNERS_UNTIL_DAYS) > day;
  const forerunners = new Set(models.map((model) => model.replaces));
  return models.filter(
    (model) =>
      model.sizing.group === persona.group &&
      (model.status === 'current'
        ? !old || model.replaces === null
        : old &&
          forerunners.has(model.id) &&
          models.some((next) => next.replaces === model.id && next.status === 'current')),
  );
}

/** The pair before the last one stays in use: from then on each of both takes half. */
function keepOn(visits: DemoVisit[], today: string): void {
  const [before, last] = visits.flatMap(({ handOver }) => handOver ?? []).slice(-2);
  if (!before || !last) return;
  last.log = last.log.map(halved);
  before.log = [...before.log, ...last.log.filter(({ comfort }) => comfort === null)].filter(
    ({ on }) => on <= today,
  );
  before.endedOn = null;
  before.endedBecause = null;
}

function handedOver(
  persona: BornPersona,
  models: readonly DemoModel[],
  day: string,
  replacedOn: string | null,
  today: string,
  random: Random,
  order: NonNullable<Persona['order']> | null,
): DemoVisit {
  const house = DEMO_HOUSE_RULES.findLast(({ daysAgo }) => addDays(today, -daysAgo) <= day) ?? NO_HOUSE_RULES;
  const examined: VisitContents = {
    ...withDetails(intoSteps(persona.findings, day), persona.findings, day, random),
    warnings: { checked: true, present: [] },
    reason: { ...persona.choices, ...(persona.pair ? { pair: persona.pair } : {}) },
  };
  const { pairs, pair, findings, picture, specification, options } = readVisit(
    {
      startedAt: `${day}T09:00:00.000Z`,
      patient: { bornOn: persona.bornOn, sizingGroup: persona.group, school: null },
      clinic: { school: 'balanced', lifeSchool: 'median' },
      limb: null,
      carried: null,
      house,
      issued: [],
    },
    examined,
    undefined,
  );
  const choices = { ...persona.choices, school: options.school };
  const group = shelfOf(models, persona, day, today);
  const { ranked } = rank(group, specification);
  const byId = new Map(group.map((model) => [model.id, model]));
  const sized = ranked.filter((entry) => sizePair(byId.get(entry.id)!, picture, specification).ok);
  const suited = eligible(sized, byId, specification);
  // Where nothing suits in everything, the nearest is tried.
  const proposed = proposeTrial(suited.length > 0 ? suited : sized.slice(0, 1), byId);
  const tried = proposed.map(({ id }) => byId.get(id)!);
  const model = tried.length > 0 ? random.pick(tried) : group[0]!;
  const comfort = random.int(58, 78);
  const tryOns = (tried.length > 0 ? tried : [model]).map((entry) => ({
    ...triedOn(entry, picture, specification, random),
    comfort: entry === model ? comfort : comfort - random.int(5, 20),
    verdict: entry === model ? ('chosen' as const) : ('possible' as const),
  }));
  const chosen = tryOns.find((tryOn) => tryOn.model === model.id)!;
  const label = sizeInWords(model.sizing, chosen.sizeLeft ?? model.sizing.sizes[8]!, chosen.width);
  const steps: VisitContents = {
    ...examined,
    candidates: { chosen: tried.map(({ id }) => id) },
    'try-on': { tryOns },
    'hand-over': {
      surface: persona.surface,
      ...(persona.weeklyKm === null ? {} : { weeklyKm: persona.weeklyKm }),
    },
  };
  const purpose = pairs.length > 1 && pair ? pair.id : null;
  const issued = { purpose, findings, choices, specification, houseVersion: house.version, model };
  if (order)
    return {
      day,
      steps,
      closedBecause: `ordered: ${modelTitle(model)}, ${label}`,
      handOver: null,
      order: { ...issued, ...ordered(order, day, today), size: label, tryOn: chosen },
    };
  const category = categoryOfPerson(picture);
  const use = madeForUse(model.features);
  const clock = CLOCK_OF_USE[use];
  const racing = use === 'racing';
  const log = logOfUse(persona, clock, day, replacedOn ?? today, comfort, random);
  const forecast = wearForecast({
    school: 'median',
    use,
    racing: racing ? 'also-trained' : undefined,
    bodyMassKg: findings.body?.bodyMass ?? null,
    surface: persona.surface,
    ageDays: 0,
    log: [],
    expectedWeekly: weeklyIn(clock, persona),
  });
  const breakIn = breakInFor({
    picture,
    category,
    startOn: day,
    to: model.features,
    from: null,
    newInsert: false,
    weekly: weeklyIn(clock, persona),
    sessions: [],
    events: steps.ask?.events ?? [],
    school: 'home-trial',
    oldLeft: null,
  });
  const sheet = patientSheet({
    patient: `${persona.given} ${persona.family}`,
    clinic: CLINIC,
    shoe: modelTitle(model),
    size: label,
    startedOn: day,
    picture,
    specification,
    values: model.features,
    tryOn: chosen,
    phone: PHONE,
    usualMinutes: 60,
    eyelets: eyeletsOf(model.features),
    laces: 'flat',
    breakIn: { input: breakIn, plan: planBreakIn(breakIn), isMuchSofter: false },
    returnBy: addDays(day, RETURN_DAYS),
    windowDays: forecast.windowDays,
    startNextDay: forecast.startNextDay,
    again: againOf({
      picture,
      ageYears: persona.age,
      tryOn: chosen,
      specification,
      batchSdMm: batchSpread([]).sdMm,
      isStillMade: model.status === 'current',
    }).may,
    shelf: models.flatMap(({ id, features }) => (id === model.id ? [] : [features])),
    language: persona.language ?? 'en',
    reviewOn: reviewDay(day, category),
  });
  return {
    day,
    closedBecause: null,
    steps,
    order: null,
    handOver: {
      ...issued,
      sheet,
      breakIn,
      sizeLeft: label,
      sizeRight: label,
      racing,
      endedOn: replacedOn,
      endedBecause: replacedOn === null ? null : endedBecause(log, use, racing),
      weeklyUse: clock === 'km' ? null : weeklyIn(clock, persona),
      log,
    },
  };
}
