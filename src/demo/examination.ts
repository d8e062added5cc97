import {
  type AcheMark,
  type BodyMark,
  type InjuryMark,
  SKIN_KINDS,
  type SkinKind,
  type SkinMark,
} from '@/core/body-map/mark';
import { SITES, siteOf } from '@/core/body-map/sites';
import { addDays } from '@/core/calendar/days';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import type { Findings, FootFindings } from '@/core/findings/picture';
import type { SwellingReading } from '@/core/swelling/course';
import type { StepContents } from '@/core/visit/contents';
import type { Persona } from './personas/persona';
import type { Random } from './random';

const half = (value: number) => Math.round(value * 2) / 2;

/** Measures that follow roughly from length and width, so that every demo foot is examined in full. */
function measuredFoot(foot: FootFindings, age: number, random: Random): FootFindings {
  const { footLength: length, ballWidth: width } = foot;
  if (length === undefined || width === undefined) return foot;
  const tilt = foot.arch === 'low' ? 1 : foot.arch === 'high' ? -1 : 0;
  const dorsum = half(length * (0.245 - tilt * 0.02) + random.int(-1, 1));
  const item = () => Math.max(-2, Math.min(2, tilt + random.int(-1, 1)));
  const felt = foot.sensation === 'felt' ? 3 : foot.sensation === 'lost' ? 1 : undefined;
  const navicular = 44 - tilt * 6 + random.int(-2, 2);
  return {
    ballGirth: Math.round(width * 2.45 + random.int(-3, 3)),
    instepGirth: Math.round(width * 2.5 + random.int(-4, 4)),
    heelWidth: Math.round(width * 0.66),
    dorsumHeight: dorsum,
    dorsumHeightSeated: dorsum + half(2 + random.int(0, 6) / 2),
    footLengthSeated: length - random.int(2, 4),
    ballWidthSeated: width - random.int(2, 5),
    ...(age >= 18
      ? {
          postureTalarHead: item(),
          postureMalleolarCurves: item(),
          postureHeel: item(),
          postureTalonavicular: item(),
          postureInnerArch: item(),
          postureForefoot: item(),
          navicularStart: navicular,
          navicularRelaxed: navicular - 6 - tilt * 3 - random.int(0, 2),
        }
      : {}),
    ...(felt === undefined
      ? {}
      : { monofilamentBigToe: felt, monofilamentFirstHead: felt, monofilamentFifthHead: 3 }),
    ...foot,
  };
}

/** The persona’s findings in full: what the table of personas says wins. */
export const examined = (persona: Persona, random: Random): Findings => ({
  body: { navicularMethod: 'neutral', ...persona.findings.body },
  left: measuredFoot(persona.findings.left ?? {}, persona.age, random),
  right: measuredFoot(persona.findings.right ?? {}, persona.age, random),
});

const GROWING_UNTIL = 15;
const MM_PER_YEAR = 9;
const VARYING = [
  'footLength',
  'heelBallLength',
  'ballWidth',
  'ballGirth',
  'instepGirth',
  'dorsumHeight',
] as const;

/** The same person some days ago: children were smaller, and no tape reads the same twice. */
export function daysAgo(findings: Findings, age: number, days: number, random: Random): Findings {
  const years = days / 365.25;
  const before = (foot: FootFindings | undefined): FootFindings => {
    const was: FootFindings = { ...foot };
    for (const id of VARYING) {
      const now = foot?.[id];
      if (now === undefined) continue;
      const length = foot?.footLength ?? 250;
      const grown = age - years < GROWING_UNTIL ? (MM_PER_YEAR * years * now) / length : 0;
      was[id] = half(now - grown + random.int(-1, 1) / 2);
    }
    return was;
  };
  return { ...findings, left: before(findings.left), right: before(findings.right) };
}

const isSkinKind = (kind: string): kind is SkinKind => kind in SKIN_KINDS;

/** Places for what the findings name: the first site that stands for it. */
export function marksOf(findings: Findings, day: string, random: Random): BodyMark[] {
  const marks: BodyMark[] = [];
  const at = (siteId: string, side: Side) => {
    const { id, view, x, y } = siteOf(siteId)!;
    return { id: `demo${marks.length}${side}`, side, view, site: id, x, y };
  };
  const year = Number(day.slice(0, 4));
  for (const side of SIDES) {
    const foot = findings[side] ?? {};
    for (const [index, ache] of (foot.pain ?? []).entries()) {
      const site = SITES.find((entry) => entry.ache === ache);
      const score = index === 0 ? foot.worstPain : undefined;
      if (site)
        marks.push({
          ...at(site.id, side),
          layer: 'ache',
          ...(score === undefined ? {} : { score }),
          when: [random.pick(['start-up', 'during', 'after'] as const)],
          since: addDays(day, -(14 + ((marks.length * 9) % 40))),
        } satisfies AcheMark);
    }
    for (const what of foot.injuries ?? []) {
      const place = what.includes('sprain')
        ? 'ankle-outer'
        : what === 'foot-ulcer'
          ? 'first-head'
          : 'midfoot';
      marks.push({
        ...at(place, side),
        layer: 'injury',
        what,
        on: `${year - random.int(1, 9)}-0${random.int(1, 9)}`,
        state: what === 'repeated-sprain' ? 'troubling' : 'healed',
      } satisfies InjuryMark);
    }
    for (const kind of foot.skin ?? [])
      if (isSkinKind(kind))
        marks.push({
          ...at(kind === 'nail' ? 'big-toe-nail' : 'first-head', side),
          layer: 'skin',
          kind,
        } satisfies SkinMark);
  }
  return marks;
}

/** Girths of one day, morning and late afternoon, of feet that swell. */
export function swellingOfDay(findings: Findings, day: string, random: Random): SwellingReading[] {
  const swells = SIDES.filter((side) => findings[side]?.swelling === 'changes');
  if (swells.length === 0) return [];
  const girths = (side: Side, gain: number) => {
    const length = findings[side]?.footLength ?? 250;
    const base = Math.round(length * 1.98);
    const more = swells.includes(side) ? gain : 2;
    return { figureOfEight: base + more, ankleGirth: Math.round(base * 0.45) + Math.round(more * 0.8) };
  };
  const reading = (hour: string, gain: number): SwellingReading => ({
    at: `${day}T${hour}`,
    left: girths('left', gain),
    right: girths('right', gain),
  });
  return [reading('08:30', 0), reading('17:15', random.int(11, 19))];
}

/** Marks and girths put with the steps that hold them. */
export function withDetails(
  steps: Partial<StepContents>,
  findings: Findings,
  day: string,
  random: Random,
): Partial<StepContents> {
  const marks = marksOf(findings, day, random);
  const swelling = swellingOfDay(findings, day, random);
  const askedMarks = marks.filter((mark) => mark.layer !== 'skin');
  const skin = marks.filter((mark) => mark.layer === 'skin');
  return {
    ...steps,
    ...(steps.ask ? { ask: { ...steps.ask, ...(askedMarks.length > 0 ? { marks: askedMarks } : {}) } } : {}),
    ...(steps.feet
      ? {
          feet: {
            ...steps.feet,
            ...(skin.length > 0 ? { marks: skin } : {}),
            ...(swelling.length > 0 ? { swelling } : {}),
          },
        }
      : {}),
  };
}
