import { TEMPERATURE_LINE } from '@/core/examination/bands';
import { markInWords } from '@/core/examination/sources';
import { TEMPERATURE_SITES } from '@/core/findings/catalogue/warmth';
import { SIDES } from '@/core/findings/finding-kinds';
import { numberAt } from '@/core/findings/picture';
import { printIn } from '@/core/units/parse';
import { BothFeet } from '../../FindingField';
import { useExamined } from '../../visit-context';

/** Warmth and colour by hand and eye, and by thermometer where there is one; one foot against the other. */
export function Warmth() {
  return (
    <div className="grid gap-3">
      <p className="text-faint text-sm max-w-prose">
        Both feet bare for ten minutes, out of the draught, legs not crossed. The back of the hand tells
        warmer, the same or colder, no more; a skin thermometer tells how much.
      </p>
      <BothFeet ids={['skinWarmth', 'skinColour', 'heatFelt']} />
      <BothFeet ids={TEMPERATURE_SITES} />
      <Excess />
    </div>
  );
}

/** The largest difference of one foot, against the line for feet at risk. */
function Excess() {
  const { picture } = useExamined();
  const lines = SIDES.flatMap((side) => {
    const excess = numberAt(picture, 'temperatureExcess', side);
    if (excess === null || excess <= 0) return [];
    const isPast = excess > TEMPERATURE_LINE;
    return [
      <span key={side} className={`block ${isPast ? 'text-warn' : ''}`}>
        The {side} foot is up to <span className="figure">{printIn('degC', excess)}</span> warmer
        {isPast && ': in a foot that may not feel, it is unloaded and seen'}.
      </span>,
    ];
  });
  return (
    <div role="status" className="text-center">
      {lines}
      <span className="block text-faint text-xs">
        Line {printIn('degC', TEMPERATURE_LINE)} (4 °F): {markInWords('lavery-2007')}. An inflamed corn or a
        foot just out of its shoe does the same: measure again, and on the next day.
      </span>
    </div>
  );
}
