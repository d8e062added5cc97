import type { ClinicalPicture } from '../picture/clinical-picture';
import { NOT_EXAMINED } from '../picture/clinical-picture';
import { SIDES } from '../picture/finding-kinds';
import type { TryOn } from '../tryon/try-on';

export interface LacingAdvice {
  pattern: 'heel-lock' | 'skip-lowest' | 'parallel' | 'window' | 'no-lace' | 'plain';
  name: string;
  how: string;
  because: string;
}

const PATTERNS: Record<LacingAdvice['pattern'], Pick<LacingAdvice, 'name' | 'how'>> = {
  'heel-lock': {
    name: 'Heel lock',
    how: 'Make a small loop at the top eyelet on each side, cross the laces through the loops, pull down, tie.',
  },
  'skip-lowest': { name: 'Open toe', how: 'Leave the lowest eyelets out, begin one pair higher.' },
  parallel: { name: 'Parallel ladder', how: 'Run the lace straight across at each pair, up on the inside.' },
  window: { name: 'Window', how: 'Go straight up past the sore place instead of crossing over it.' },
  'no-lace': {
    name: 'Straps or elastic',
    how: 'Open fully, heel back, close from the toes up, snug, not tight.',
  },
  plain: {
    name: 'Criss-cross',
    how: 'Heel back first, lace from the toes up, snug, not tight. Double knot.',
  },
};

/** The lacing that the fitting and the findings ask for. Common practice. */
export function lacingAdvice(
  picture: ClinicalPicture,
  closure: string | undefined,
  tryOn: TryOn | null,
): LacingAdvice {
  const pick = (pattern: LacingAdvice['pattern'], because: string): LacingAdvice => ({
    pattern,
    ...PATTERNS[pattern],
    because,
  });
  if (closure && !['laces', 'laces-extra-eyelet'].includes(closure))
    return pick('no-lace', 'this pair closes without tying');
  if (tryOn?.heelSlip === 'slight' || tryOn?.heelSlip === 'clear')
    return pick('heel-lock', 'the heel slipped a little at the fitting');
  const swells = SIDES.some(
    (side) => picture[side].swelling === 'changes' || picture[side].swelling === 'constant',
  );
  if (swells) return pick('parallel', 'the foot swells');
  const wide = SIDES.some((side) => picture[side].bunion !== NOT_EXAMINED && picture[side].bunion !== 'none');
  if (wide) return pick('skip-lowest', 'the big-toe joint needs room');
  return pick('plain', 'nothing asks for more');
}
