import { SIDES } from '../findings/finding-kinds';
import type { ClinicalPicture } from '../findings/picture';
import { NOT_EXAMINED } from '../findings/picture';
import { type LacingPattern, PATTERNS } from './lacing-patterns';
import { heelSlipOf, type TryOn } from './try-on';

export interface LacingAdvice {
  pattern: LacingPattern;
  name: string;
  how: string;
  because: string;
}

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
  const slip = tryOn ? heelSlipOf(tryOn) : undefined;
  if (slip === 'slight' || slip === 'clear')
    return pick('heel-lock', 'the heel slipped a little at the fitting');
  if (tryOn && SIDES.some((side) => tryOn[side]?.instep === 'presses'))
    return pick('window', 'it pressed over the instep at the fitting');
  const swells = SIDES.some(
    (side) => picture[side].swelling === 'changes' || picture[side].swelling === 'constant',
  );
  if (swells) return pick('parallel', 'the foot swells');
  const wide = SIDES.some((side) => picture[side].bunion !== NOT_EXAMINED && picture[side].bunion !== 'none');
  if (wide) return pick('skip-lowest', 'the big-toe joint needs room');
  return pick('plain', 'nothing asks for more');
}
