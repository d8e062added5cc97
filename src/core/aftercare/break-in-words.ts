import type { BreakInDay, BreakInInput, BreakInNote, BreakInPlan, BreakInWeek } from '../break-in/plan';
import type { Speech } from '../texts/speech';

/** One week on the strip: how much of it is in the new pair, and what to do. */
export interface StripWeek {
  label: string;
  from: string;
  fromInWords: string;
  /** 0 to 1. */
  share: number;
  text: string;
}

export interface SheetBreakIn {
  weeks: StripWeek[];
  lines: string[];
}

/** Weeks that a strip shows one by one; of a longer plan every second one. */
const WEEKS_SHOWN = 8;

interface Writing {
  speech: Speech;
  unit: BreakInInput['unit'];
}

function outingsInWords(
  days: readonly BreakInDay[],
  { speech: { say, amount: written }, unit }: Writing,
): string[] {
  const inNew = days.filter((day) => day.inNew > 0);
  const short = inNew.filter(({ step }) => step === 'short');
  const rising = inNew.filter(({ step }) => step === 'rising');
  const amount = (of: readonly BreakInDay[]) => written(Math.max(...of.map((day) => day.inNew)), unit);
  return [
    ...(short.length > 0 ? [say('break-in.short', { count: short.length, amount: amount(short) })] : []),
    ...(rising.length > 0
      ? [
          say('break-in.part', {
            amount: written(
              rising.reduce((sum, day) => sum + day.inNew, 0),
              unit,
            ),
          }),
        ]
      : []),
    ...(inNew.some(({ step }) => step === 'full')
      ? [say(short.length > 0 ? 'break-in.then-all' : 'break-in.all')]
      : []),
  ];
}

function weekInWords({ days }: BreakInWeek, writing: Writing): string {
  const { say, amount } = writing.speech;
  const atHome = days.flatMap(({ hoursAtHome, step }) =>
    step !== 'indoors' && hoursAtHome ? [hoursAtHome] : [],
  );
  if (atHome.length > 0)
    return say('break-in.hours', {
      from: amount(Math.min(...atHome), 'hours'),
      to: amount(Math.max(...atHome), 'hours'),
    });
  const parts = [
    ...(days.some(({ step }) => step === 'indoors') ? [say('break-in.indoors')] : []),
    ...outingsInWords(days, writing),
  ];
  return parts.length > 0 ? parts.join(' ') : say('break-in.none-yet');
}

const noteInWords = (note: BreakInNote, { speech: { say, day } }: Writing): string =>
  note.kind === 'large-change'
    ? say('break-in.large-change', { weeks: note.weeks })
    : say(`break-in.event.${note.old}`, { name: note.name, on: day(note.on) });

/** A break-in plan as the patient reads it. */
export function breakInWords(
  plan: BreakInPlan,
  input: Pick<BreakInInput, 'plan' | 'unit' | 'changeWeeks'>,
  speech: Speech,
  { returnBy, isMuchSofter }: { returnBy: string | null; isMuchSofter: boolean },
): SheetBreakIn {
  const { say, day } = speech;
  const writing = { speech, unit: input.unit };
  const every = plan.weeks.length > WEEKS_SHOWN ? 2 : 1;
  const weeks = plan.weeks
    .map((week, at) => ({
      label: say('break-in.week', { week: at + 1 }),
      from: week.from,
      fromInWords: day(week.from),
      share: week.share,
      text: weekInWords(week, writing),
    }))
    .filter((_, at, all) => at % every === 0 || at === all.length - 1);
  const isLookedAt = input.plan === 'at-risk' || input.plan === 'prosthesis' || input.plan === 'orthosis';
  return {
    weeks,
    lines: [
      ...(plan.weeks.length === 0 && input.plan === 'none' ? [say('break-in.none')] : []),
      ...(input.plan === 'prosthesis' ? [say('break-in.one-pair')] : []),
      ...(input.plan === 'race' ? [say('break-in.kept')] : []),
      ...(input.plan === 'home-trial' && returnBy ? [say('break-in.return', { on: day(returnBy) })] : []),
      ...(!isLookedAt && plan.weeks.length > 0 && input.plan !== 'race'
        ? [say('break-in.long', { on: day(plan.doneOn) })]
        : []),
      ...plan.notes.map((note) => noteInWords(note, writing)),
      ...(isMuchSofter ? [say('break-in.soft')] : []),
      ...(isLookedAt ? [say('break-in.look')] : [say('break-in.mild'), say('break-in.severe')]),
    ],
  };
}
