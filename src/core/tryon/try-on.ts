/** One pair on the patient's feet, as the fitter records it. Everything may be missing. */
export interface TryOn {
  model: string;
  sizeLeft?: number;
  sizeRight?: number;
  width?: string;
  /** Room beyond the longest toe, standing, longer foot. */
  roomMm?: number;
  widthFit?: 'tight' | 'right' | 'loose';
  depth?: 'tight' | 'right' | 'loose';
  heelSlip?: 'none' | 'slight' | 'clear';
  collar?: 'clear' | 'presses';
  archFeel?: 'right' | 'presses' | 'missing';
  bend?: 'under-ball' | 'too-far-back';
  task?: 'good' | 'fair' | 'poor';
  seen?: 'moves-less' | 'same' | 'moves-more';
  comfort?: number;
  words?: string;
  verdict?: 'chosen' | 'possible' | 'rejected';
}

export interface FitAdvice {
  /** `stop`: this pair cannot be handed over as it is. */
  level: 'stop' | 'change' | 'good';
  field: keyof TryOn;
  sentence: string;
}

/** One half size, for the advice. */
const HALF_SIZE_MM = 4.23;

/**
 * What the checks say about a pair. Room 10–15 mm is common practice, wider where the specification says so
 * (at-risk foot 10–20 mm, IWGDF 2023, from memory; child 12–17 mm, common practice).
 */
export function fitAdvice(tryOn: TryOn, room: { from: number; to: number }): FitAdvice[] {
  const advice: FitAdvice[] = [];
  const add = (level: FitAdvice['level'], field: keyof TryOn, sentence: string) =>
    advice.push({ level, field, sentence });
  if (tryOn.roomMm !== undefined) {
    const short = room.from - tryOn.roomMm;
    const long = tryOn.roomMm - room.to;
    if (short > 0) add('stop', 'roomMm', `${tryOn.roomMm} mm in front: too short. Try ${sizes(short)} up.`);
    else if (long > 0) add('change', 'roomMm', `${tryOn.roomMm} mm in front: long. Try ${sizes(long)} down.`);
    else add('good', 'roomMm', `${tryOn.roomMm} mm in front: right.`);
  }
  if (tryOn.widthFit === 'tight') add('stop', 'widthFit', 'Tight at the ball: next width, or a wider last.');
  if (tryOn.widthFit === 'loose')
    add('change', 'widthFit', 'Loose at the ball: narrower width, or a filler.');
  if (tryOn.depth === 'tight') add('stop', 'depth', 'Toes touch the roof: a deeper model.');
  if (tryOn.depth === 'loose') add('change', 'depth', 'Too deep makes toes grip: a flat insert.');
  if (tryOn.heelSlip === 'slight') add('change', 'heelSlip', 'Heel slips a little: lace the heel lock.');
  if (tryOn.heelSlip === 'clear')
    add('stop', 'heelSlip', 'Heel slips: heel lock, a narrower heel, or a filler.');
  if (tryOn.collar === 'presses') add('change', 'collar', 'Collar meets the ankle bones: another model.');
  if (tryOn.archFeel === 'presses') add('change', 'archFeel', 'Arch presses: a flatter insole.');
  if (tryOn.archFeel === 'missing')
    add('change', 'archFeel', 'Arch misses its support: check the size first.');
  if (tryOn.bend === 'too-far-back') add('stop', 'bend', 'Folds behind the ball: the shoe fights the foot.');
  if (tryOn.seen === 'moves-more') add('change', 'seen', 'Moves more than barefoot: firmer or broader.');
  if (tryOn.task === 'poor') add('change', 'task', 'Fails the real task: not this one.');
  return advice;
}

const sizes = (mm: number): string => {
  const halves = Math.max(1, Math.ceil(mm / HALF_SIZE_MM - 0.3));
  return halves === 1 ? 'half a size' : halves === 2 ? 'one size' : `${halves / 2} sizes`;
};

/** Comfort decides among the pairs that no check stops. Null while no such pair has been rated. */
export function mostComfortable(tryOns: readonly TryOn[], room: { from: number; to: number }): TryOn | null {
  const fitting = tryOns.filter(
    (tryOn) =>
      tryOn.comfort !== undefined &&
      tryOn.verdict !== 'rejected' &&
      !fitAdvice(tryOn, room).some((entry) => entry.level === 'stop'),
  );
  return fitting.reduce<TryOn | null>(
    (best, next) => (best && best.comfort! >= next.comfort! ? best : next),
    null,
  );
}
