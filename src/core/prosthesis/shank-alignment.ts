import { fail, ok, type Result } from '../result/result';

export interface ShankInput {
  /** Effective heel rise of the shoe, insoles included, mm. */
  shoeRiseMm: number;
  /** Heel rise the prosthetic foot is set for, mm. */
  setRiseMm: number;
  /** Heel–ball length of the prosthetic foot, mm. */
  leverMm: number;
  /** The highest rise that an adjustable ankle can be set for, mm; absent for a fixed one. */
  ankleToMm?: number | undefined;
  /** The thickest wedge that heel depth and counter of this shoe hold, mm; absent where nobody looked. */
  holdsWedgeMm?: number | undefined;
}

export type ShankVerdict = 'fine' | 'caution' | 'set-ankle' | 'prosthetist' | 'do-not-walk';

export interface ShankAnswer {
  /** Degrees; positive leans forward. */
  angleDeg: number;
  leans: 'vertical' | 'forward' | 'back';
  /** Under the heel of the shoe; null where none is needed or none can stand. */
  wedgeMm: number | null;
  /** What is left after the wedge, mm; positive: the heel is too high. */
  remainsMm: number;
  verdict: ShankVerdict;
  /** Too high for the foot beyond tolerance, and no ankle that follows, or so far off that nobody walks on it: not proposed. */
  refused: boolean;
  sentence: string;
}

/** How much may remain, mm and degrees, and the largest wedge, mm. */
export interface ShankTolerance {
  fineMm: number;
  cautionMm: number;
  cautionDeg: number;
  stopMm: number;
  largestWedgeMm: number;
}

/** Largest wedge under the heel. Ours, a clinic setting (handbook 06). */
export const LARGEST_WEDGE_MM = 10;

/** Expert opinion, a clinic setting (handbook 06). */
export const ALIGNMENT_TOLERANCE = {
  fineMm: 3,
  cautionMm: 5,
  cautionDeg: 2,
  stopMm: 10,
  largestWedgeMm: LARGEST_WEDGE_MM,
} as const satisfies ShankTolerance;

/** Closer than this nobody measures a heel. */
const LEVEL_MM = 0.05;
const DEGREES = 180 / Math.PI;

/** Lean of a shank, degrees, by how much a heel is too high over its lever: positive leans forward. By arithmetic. */
export const leanOf = (excessMm: number, leverMm: number): number => Math.atan(excessMm / leverMm) * DEGREES;

/**
 * Lean of the shank in a shoe: angle = atan((shoe rise − set rise) / lever), by arithmetic (handbook 06). Too low is filled by a
 * wedge of the shortfall, as thick as this shoe holds; too high cannot be corrected in the shoe. The verdict is on the
 * mismatch that remains, forward or back.
 *
 * @example shankAlignment({ shoeRiseMm: 20, setRiseMm: 9.5, leverMm: 180 }) // 3.3° forward
 */
export function shankAlignment(
  input: ShankInput,
  tolerance: ShankTolerance = ALIGNMENT_TOLERANCE,
): Result<ShankAnswer> {
  const { shoeRiseMm, setRiseMm, leverMm } = input;
  if (!(leverMm >= 80 && leverMm <= 260))
    return fail('impossible', 'The heel–ball length of a prosthetic foot lies between 80 and 260 mm.');
  if (!(shoeRiseMm >= 0 && shoeRiseMm <= 120 && setRiseMm >= 0 && setRiseMm <= 60))
    return fail('impossible', 'Heel rises lie between 0 and 120 mm for a shoe, 0 and 60 mm for a foot.');
  return ok(shankAnswer(input, tolerance));
}

/** The same for numbers that are known to be possible. */
export function shankAnswer(input: ShankInput, tolerance: ShankTolerance): ShankAnswer {
  const { shoeRiseMm, setRiseMm, leverMm, ankleToMm } = input;
  const excess = shoeRiseMm - setRiseMm;
  const angleDeg = leanOf(excess, leverMm);
  const most = Math.min(tolerance.largestWedgeMm, input.holdsWedgeMm ?? tolerance.largestWedgeMm);
  // Within tolerance nobody cuts a wedge.
  const wedgeMm = -excess > tolerance.fineMm && most > 0 ? Math.min(-excess, most) : null;
  const remainsMm = excess + (wedgeMm ?? 0);
  const leans = Math.abs(excess) < LEVEL_MM ? 'vertical' : excess > 0 ? 'forward' : 'back';
  const plain = verdictOn(Math.abs(remainsMm), leverMm, tolerance);
  const follows = excess > 0 && ankleToMm !== undefined && shoeRiseMm <= ankleToMm + tolerance.fineMm;
  const verdict = follows && plain !== 'fine' ? 'set-ankle' : plain;
  const refused = verdict === 'do-not-walk' || (verdict === 'prosthetist' && leans === 'forward');
  const answer = { angleDeg, leans, wedgeMm, remainsMm, verdict, refused } as const;
  return { ...answer, sentence: inWords(answer, input, most) };
}

function verdictOn(
  offMm: number,
  leverMm: number,
  { fineMm, cautionMm, cautionDeg, stopMm }: ShankTolerance,
): Exclude<ShankVerdict, 'set-ankle'> {
  if (offMm > stopMm) return 'do-not-walk';
  if (offMm > cautionMm || leanOf(offMm, leverMm) > cautionDeg) return 'prosthetist';
  return offMm > fineMm ? 'caution' : 'fine';
}

/** What each verdict means for this shoe, after whatever a wedge can do. */
const VERDICT: Record<Exclude<ShankVerdict, 'set-ankle'>, string> = {
  fine: 'Within tolerance.',
  caution: 'Usable with caution: watch the knee and look at it again soon.',
  prosthetist: 'The prosthetist decides before it is worn.',
  'do-not-walk': 'Not on this shoe: do not walk on it.',
};

function inWords(
  { leans, angleDeg, wedgeMm, remainsMm, verdict }: Omit<ShankAnswer, 'sentence'>,
  { shoeRiseMm }: ShankInput,
  most: number,
): string {
  if (leans === 'vertical') return 'Shank vertical: right.';
  const angle = `${Math.abs(angleDeg).toFixed(1)}°`;
  if (verdict === 'set-ankle')
    return `Shank leans forward ${angle} until the ankle is set to ${round(shoeRiseMm)} mm: that costs energy return and stability.`;
  if (leans === 'forward')
    return verdict === 'fine'
      ? `Shank leans forward ${angle}. ${VERDICT.fine}`
      : `Shank leans forward ${angle}, the knee is pushed to bend: this cannot be corrected in the shoe. ${
          verdict === 'prosthetist'
            ? 'Not on this foot, unless the prosthetist sets it anew.'
            : VERDICT[verdict]
        }`;
  const short = Math.abs(remainsMm);
  if (wedgeMm === null && verdict === 'fine') return `Shank leans back ${angle}. ${VERDICT.fine}`;
  if (wedgeMm === null)
    return `Shank leans back ${angle}: heel depth and counter hold no wedge. ${VERDICT[verdict]}`;
  if (short < LEVEL_MM)
    return `Shank leans back ${angle}: a wedge of ${round(wedgeMm)} mm under the heel brings it upright, where heel depth and counter hold it.`;
  return `Shank leans back ${angle}: even the thickest wedge that holds, ${round(most)} mm, leaves the heel ${round(short)} mm too low. ${VERDICT[verdict]}`;
}

const round = (mm: number): number => Math.round(mm * 10) / 10;
