import type { Choices, StepContents } from '@/api/visit-schema';
import { dayAfter, type PatientSheet, patientSheet, reviewDay } from '@/core/aftercare/patient-sheet';
import { knowledgeOf, NO_HOUSE_RULES } from '@/core/knowledge/house-rules';
import { modelTitle, type ShoeModel } from '@/core/match/model';
import { proposeTrial } from '@/core/match/propose';
import { rank } from '@/core/match/rank';
import { clinicalPicture, type Findings, greaterOf } from '@/core/picture/clinical-picture';
import { SIDES } from '@/core/picture/finding-kinds';
import { FINDINGS, type FindingId } from '@/core/picture/findings';
import { resolve } from '@/core/prescribe/resolve';
import type { Specification } from '@/core/prescribe/specification';
import { type AtRiskCategory, atRiskCategory } from '@/core/safety/at-risk-category';
import { type StartSize, startSize } from '@/core/sizing/start-size';
import { SIZE_SYSTEM_LABEL } from '@/core/sizing/systems';
import { wearForecast } from '@/core/wear/forecast';
import { daysAgo, examined, withDetails } from './examination';
import { DEMO_HOUSE_RULES } from './house-rules';
import type { Persona } from './personas';
import type { Random } from './random';

export interface DemoLogEntry {
  on: string;
  distanceKm: number | null;
  comfort: number | null;
}

export interface DemoVisit {
  day: string;
  steps: Partial<StepContents>;
  /** Why nothing was handed over, for a review. */
  closedBecause: string | null;
  handOver: {
    findings: Findings;
    choices: Choices;
    specification: Specification;
    sheet: PatientSheet;
    model: ShoeModel;
    sizeLeft: string;
    sizeRight: string;
    racing: boolean;
    endedOn: string | null;
    log: DemoLogEntry[];
  } | null;
}

/** Who examined, in the demo. */
const OBSERVER = 'Tomas Brekkan';

/** Findings split into the steps in which they are taken, each with when and by whom. */
function intoSteps(findings: Findings, day: string): Partial<StepContents> {
  const steps: Partial<StepContents> = {};
  for (const step of ['ask', 'old-pair', 'feet', 'load', 'move'] as const) {
    const part = (place: 'body' | 'left' | 'right') =>
      Object.fromEntries(
        Object.entries(findings[place] ?? {}).filter(([id]) => FINDINGS[id as FindingId].step === step),
      );
    const split = { body: part('body'), left: part('left'), right: part('right') };
    const taken = Object.fromEntries(
      Object.entries(split).flatMap(([place, values]) =>
        Object.keys(values).map((id) => [
          `${place}.${id}`,
          { at: `${day}T09:40:00Z`, by: OBSERVER, with: 'hand' as const },
        ]),
      ),
    );
    if (Object.values(split).some((place) => Object.keys(place).length > 0))
      steps[step] = { findings: { ...(split as Findings), taken } };
  }
  return steps;
}

const CLINIC = 'Harbour Clinic, Skarholm';

/** A persona's visits: the engine prescribes, the catalogue serves, the patient wears. */
export function demoHistory(
  persona: Persona,
  models: readonly ShoeModel[],
  today: string,
  random: Random,
): DemoVisit[] {
  const now = examined(persona, random);
  const visits = persona.visits.map((ago, index) => {
    const next = persona.visits[index + 1];
    const day = dayAfter(today, -ago);
    return handedOver(
      { ...persona, findings: daysAgo(now, persona.age, ago, random) },
      models,
      day,
      next === undefined ? null : dayAfter(today, -next),
      today,
      random,
    );
  });
  const latest = persona.visits.at(-1);
  if (latest !== undefined && latest > 16 && !persona.openVisit && random.chance(0.85))
    visits.push({
      day: dayAfter(today, -latest + random.int(13, 16)),
      steps: {},
      handOver: null,
      closedBecause: 'review: pair kept',
    });
  if (persona.openVisit)
    visits.push({
      day: today,
      closedBecause: null,
      steps: withDetails(intoSteps(begun(now), today), now, today, random),
      handOver: null,
    });
  return visits;
}

/** An examination that has got as far as the feet: sensation is still open, nothing is loaded yet. */
function begun(findings: Findings): Findings {
  const open = <F extends object>(part: F | undefined): F =>
    Object.fromEntries(
      Object.entries(part ?? {}).filter(([id]) => {
        const { step } = FINDINGS[id as FindingId];
        return (step === 'ask' || step === 'feet') && id !== 'sensation' && !id.startsWith('monofilament');
      }),
    ) as F;
  return { body: open(findings.body), left: open(findings.left), right: open(findings.right) };
}

function handedOver(
  persona: Persona,
  models: readonly ShoeModel[],
  day: string,
  replacedOn: string | null,
  today: string,
  random: Random,
): DemoVisit {
  const findings: Findings = {
    ...persona.findings,
    body: { ...persona.findings.body, ageYears: persona.age, sizingGroup: persona.group },
  };
  const picture = clinicalPicture(findings);
  const inForce = DEMO_HOUSE_RULES.findLast(({ daysAgo }) => dayAfter(today, -daysAgo) <= day);
  const choices = { school: 'balanced' as const, ...persona.choices };
  const specification = resolve(picture, { ...choices, knowledge: knowledgeOf(inForce ?? NO_HOUSE_RULES) });
  const group = models.filter((model) => model.sizing.group === persona.group);
  const { ranked } = rank(group, specification);
  const byId = new Map(group.map((model) => [model.id, model]));
  const sized = ranked.filter((entry) => sizeFor(byId.get(entry.id)!, picture) !== null);
  const tried = proposeTrial(sized, byId);
  const model = byId.get(tried.length > 0 ? random.pick(tried) : group[0]!.id)!;
  const size = sizeFor(model, picture);
  const label = size?.label ?? `${SIZE_SYSTEM_LABEL[model.sizing.system]} ${model.sizing.sizes[8]}`;
  const categories = SIDES.map((side) => atRiskCategory(picture, side)).filter((answer) => answer.known);
  const category =
    categories.length === 0
      ? null
      : (Math.max(...categories.map((answer) => answer.category)) as AtRiskCategory);
  const racing = model.features.use === 'racing';
  const forecast = wearForecast({
    school: 'median',
    racing,
    bodyMassKg: findings.body?.bodyMass ?? null,
    surface: persona.surface,
    ageDays: 0,
    log: [],
    expectedWeeklyKm: persona.weeklyKm,
  });
  const comfort = random.int(58, 78);
  const sheet = patientSheet({
    patient: `${persona.given} ${persona.family}`,
    clinic: CLINIC,
    shoe: modelTitle(model),
    size: label,
    startedOn: day,
    picture,
    specification,
    values: model.features,
    tryOn: { model: model.id, heelSlip: 'none', roomMm: 12 },
    category,
    usualMinutes: 60,
    windowDays: forecast.windowDays,
    startNextDay: forecast.startNextDay,
    reviewOn: reviewDay(day, category),
  });
  return {
    day,
    closedBecause: null,
    steps: {
      ...withDetails(intoSteps(persona.findings, day), persona.findings, day, random),
      warnings: { checked: true, present: [] },
      reason: persona.choices ?? {},
      candidates: { chosen: tried },
      'try-on': {
        tryOns: tried.map((id) => ({
          model: id,
          roomMm: 12,
          widthFit: 'right' as const,
          heelSlip: 'none' as const,
          comfort: id === model.id ? comfort : comfort - random.int(5, 20),
          verdict: id === model.id ? ('chosen' as const) : ('possible' as const),
          ...(id === model.id && size
            ? { sizeLeft: size.size, sizeRight: size.size, width: size.width }
            : {}),
        })),
      },
      'hand-over': {
        surface: persona.surface,
        ...(persona.weeklyKm === null ? {} : { weeklyKm: persona.weeklyKm }),
      },
    },
    handOver: {
      findings,
      choices,
      specification,
      sheet,
      model,
      sizeLeft: label,
      sizeRight: label,
      racing,
      endedOn: replacedOn,
      log: logOfUse(persona, day, replacedOn ?? today, comfort, random),
    },
  };
}

function sizeFor(model: ShoeModel, picture: ReturnType<typeof clinicalPicture>): StartSize | null {
  const lengthMm = greaterOf(picture, 'footLength');
  if (lengthMm === null) return null;
  const start = startSize(
    model.sizing,
    { lengthMm, ballWidthMm: greaterOf(picture, 'ballWidth') },
    { room: { least: 10, wished: 12, most: 15 } },
  );
  return start.ok ? start.value : null;
}

/** A report every week or two: distance about the usual week, comfort drifting up, then down as the pair ages. */
function logOfUse(
  persona: Persona,
  from: string,
  until: string,
  comfort: number,
  random: Random,
): DemoLogEntry[] {
  const log: DemoLogEntry[] = [{ on: from, distanceKm: null, comfort }];
  if (persona.weeklyKm === null) return log;
  for (let day = random.int(6, 9), entry = 0; dayAfter(from, day) < until; day += 7, entry += 1) {
    const drift = Math.min(14, entry * 2) - Math.max(0, entry - 20) * 1.5;
    log.push({
      on: dayAfter(from, day),
      distanceKm: Math.round(persona.weeklyKm * (0.6 + random.int(0, 80) / 100) * 10) / 10,
      comfort:
        entry % 4 === 1 ? Math.max(20, Math.min(100, Math.round(comfort + drift + random.int(-4, 4)))) : null,
    });
  }
  return log;
}
