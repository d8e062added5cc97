/** A step of the break-in plan, dated in days from hand-over. */
export interface BreakInStep {
  day: number;
  do: string;
  check: string;
}

export interface BreakInInput {
  atRisk: boolean;
  /** Change of drop against the old pair, mm; null when unknown. */
  dropChangeMm: number | null;
  towardMinimal: boolean;
  /** Longest usual outing, minutes. */
  usualMinutes: number;
  /** New to the sport that the pair is for. */
  beginner: boolean;
  eventAhead: boolean;
  prosthesisNew: boolean;
}

const REFIT =
  'Mild discomfort may be given three outings. Still there after the third: come back for a refit.';

/**
 * Dated break-in steps. Default of common practice: indoors first so that the pair can go back unworn, then
 * shorter than usual, never a long outing first. At-risk feet begin with 30 minutes and a skin check.
 */
export function breakInPlan(input: BreakInInput): BreakInStep[] {
  if (input.atRisk) return atRiskPlan();
  const steps: BreakInStep[] = [
    { day: 0, do: 'Indoors only, an hour at a time, for the first week.', check: 'Any place that presses?' },
    { day: 7, do: `First outing: about ${half(input.usualMinutes)} minutes.`, check: REFIT },
    {
      day: 10,
      do: `Second outing: about ${half(input.usualMinutes)} minutes.`,
      check: 'Hot spots, toes, heel.',
    },
    { day: 13, do: 'Third outing: as long as usual.', check: 'Still sore? Come back for a refit.' },
  ];
  const large = input.dropChangeMm !== null && Math.abs(input.dropChangeMm) > 4;
  const slowly = input.beginner && input.towardMinimal;
  if (large || input.towardMinimal)
    steps.push(
      {
        day: 14,
        do: slowly
          ? 'Wear the new pair for a tenth of the week, the old one for the rest; a tenth more every second week.'
          : 'Wear old and new on alternate days; a tenth more in the new pair each week.',
        check: 'Calf and heel cord.',
      },
      {
        day: slowly ? 112 : 56,
        do: 'All outings in the new pair.',
        check: slowly
          ? 'Sixteen weeks: who is new to the sport takes twice as long.'
          : 'Eight weeks: a large change takes weeks, not days.',
      },
    );
  if (input.eventAhead)
    steps.push({
      day: 14,
      do: 'Long outings before the event only in a pair you know.',
      check: 'Never new to a long event.',
    });
  if (input.prosthesisNew)
    steps.push({
      day: 0,
      do: 'Keep to this same pair for the first two to three months of walking.',
      check: 'Never change shoes on a day of therapy.',
    });
  return steps.sort((a, b) => a.day - b.day);
}

function atRiskPlan(): BreakInStep[] {
  const check = 'Shoes off: look and feel for red marks. Red after 30 minutes: stop and call.';
  return [
    { day: 0, do: 'At home, 30 to 60 minutes. Feel inside the shoe first.', check },
    { day: 1, do: 'An hour longer each day, only while the skin stays clear.', check },
    { day: 7, do: 'Half the day.', check },
    { day: 14, do: 'All day, indoors too. Never barefoot.', check: 'Skin every evening.' },
  ];
}

const half = (minutes: number): number => Math.max(10, Math.round(minutes / 2 / 5) * 5);
