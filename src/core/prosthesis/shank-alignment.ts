import { fail, ok, type Result } from '../result/result';

export interface ShankInput {
  /** Effective heel rise of the shoe, insoles included, mm. */
  shoeRiseMm: number;
  /** Heel rise the prosthetic foot is set for, mm. */
  setRiseMm: number;
  /** Heel–ball length of the prosthetic foot, mm. */
  leverMm: number;
  /** An adjustable ankle can be re-set by the prosthetist. */
  adjustable?: boolean;
}

export interface ShankAnswer {
  /** Degrees; positive leans forward. */
  angleDeg: number;
  leans: 'vertical' | 'forward' | 'back';
  wedgeMm: number | null;
  verdict: 'fine' | 'caution' | 'prosthetist' | 'do-not-walk';
  sentence: string;
}

/** Expert opinion, a clinic setting: handbook of prosthetic practice, from memory, check (60 %). */
export const ALIGNMENT_TOLERANCE = { fineMm: 3, cautionMm: 5, cautionDeg: 2, stopMm: 10 } as const;

/** Largest wedge under the heel that depth and counter of a shoe still hold. Ours, a clinic setting. */
export const LARGEST_WEDGE_MM = 10;

/**
 * Lean of the shank in a shoe: angle = atan((shoe rise − set rise) / lever). By arithmetic.
 * Too low is filled by a wedge of the shortfall, up to the largest that a shoe holds; too high cannot be corrected in the
 * shoe. The verdict is on the mismatch that remains.
 *
 * @example shankAlignment({ shoeRiseMm: 20, setRiseMm: 9.5, leverMm: 180 }) // 3.3° forward
 */
export function shankAlignment(
  input: ShankInput,
  tolerance: { fineMm: number; cautionMm: number; cautionDeg: number; stopMm: number } = ALIGNMENT_TOLERANCE,
): Result<ShankAnswer> {
  if (!(input.leverMm >= 80 && input.leverMm <= 260))
    return fail('impossible', 'The heel–ball length of a prosthetic foot lies between 80 and 260 mm.');
  if (!(input.shoeRiseMm >= 0 && input.shoeRiseMm <= 120 && input.setRiseMm >= 0 && input.setRiseMm <= 60))
    return fail('impossible', 'Heel rises lie between 0 and 120 mm for a shoe, 0 and 60 mm for a foot.');
  const excess = input.shoeRiseMm - input.setRiseMm;
  const angleDeg = (Math.atan(excess / input.leverMm) * 180) / Math.PI;
  const wedgeMm = excess < -0.05 ? Math.min(-excess, LARGEST_WEDGE_MM) : null;
  const rest = excess + (wedgeMm ?? 0);
  const off = Math.abs(rest);
  const restDeg = (Math.atan(off / input.leverMm) * 180) / Math.PI;
  const leans = Math.abs(excess) < 0.05 ? 'vertical' : excess > 0 ? 'forward' : 'back';
  const verdict =
    off > tolerance.stopMm
      ? 'do-not-walk'
      : off > tolerance.cautionMm || restDeg > tolerance.cautionDeg
        ? 'prosthetist'
        : off > tolerance.fineMm
          ? 'caution'
          : 'fine';
  return ok({
    angleDeg,
    leans,
    wedgeMm,
    verdict,
    sentence: inWords({ leans, angleDeg, wedgeMm, verdict }, off, input.adjustable),
  });
}

/** What each verdict means for this shoe, after whatever a wedge can do. */
const VERDICT: Record<ShankAnswer['verdict'], string> = {
  fine: 'Within tolerance.',
  caution: 'Usable with caution: watch the knee and look at it again soon.',
  prosthetist: 'The prosthetist decides before it is worn.',
  'do-not-walk': 'Not on this shoe: do not walk on it.',
};

function inWords(
  { leans, angleDeg, wedgeMm, verdict }: Omit<ShankAnswer, 'sentence'>,
  restMm: number,
  adjustable = false,
): string {
  if (leans === 'vertical') return 'Shank vertical: right.';
  const angle = `${Math.abs(angleDeg).toFixed(1)}°`;
  if (leans === 'back') {
    if (restMm < 0.05)
      return `Shank leans back ${angle}: a wedge of ${round(wedgeMm!)} mm under the heel brings it upright, where heel depth and counter hold it.`;
    return `Shank leans back ${angle}: even the largest wedge, ${LARGEST_WEDGE_MM} mm, leaves the heel ${round(restMm)} mm too low. ${VERDICT[verdict]}`;
  }
  if (verdict === 'fine') return `Shank leans forward ${angle}. ${VERDICT.fine}`;
  const cure = adjustable
    ? 'the prosthetist may re-set the adjustable ankle'
    : 'this cannot be corrected in the shoe';
  return `Shank leans forward ${angle}, the knee wants to buckle: ${cure}. ${VERDICT[verdict]}`;
}

const round = (mm: number): number => Math.round(mm * 10) / 10;
