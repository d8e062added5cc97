import { useState } from 'react';
import { markInWords } from '@/core/examination/sources';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { legVolume, parseGirths, volumeBand, volumeDifference } from '@/core/swelling/leg-volume';
import { figureIn } from '@/core/units/parse';
import { useRecord, useStepContent } from '../../use-findings';
import { useExamined } from '../../visit-context';

/** Leg volume by truncated cones from girths at equal spacing, both sides, and their difference. */
export function LegVolume() {
  const { picture, readOnly } = useExamined();
  const { content } = useStepContent('feet');
  const record = useRecord('feet');
  const ladder = content.girthLadder ?? { spacingMm: 40 };
  const [typed, setTyped] = useState<Partial<Record<Side, string>>>({});
  const textOf = (side: Side) => typed[side] ?? (ladder[side] ?? []).join(' ');
  const problemOf = (side: Side) => {
    const girths = parseGirths(textOf(side));
    return girths.ok ? null : girths.problem.message;
  };
  const take = (side: Side, text: string) => {
    setTyped({ ...typed, [side]: text });
    const girths = parseGirths(text);
    if (!girths.ok) return;
    const volume = legVolume({ girthsMm: girths.value, spacingMm: ladder.spacingMm });
    record(
      [{ place: side, id: 'legVolume', value: volume.ok ? Math.round(volume.value) : undefined }],
      { with: 'hand', method: `truncated cones, ${ladder.spacingMm} mm apart` },
      { girthLadder: { ...ladder, [side]: girths.value } },
    );
  };
  const space = (spacingMm: number) => {
    if (!(spacingMm >= 10 && spacingMm <= 150)) return;
    const values = SIDES.flatMap((side) => {
      const volume = legVolume({ girthsMm: ladder[side] ?? [], spacingMm });
      return volume.ok ? [{ place: side, id: 'legVolume' as const, value: Math.round(volume.value) }] : [];
    });
    record(
      values,
      { with: 'hand', method: `truncated cones, ${spacingMm} mm apart` },
      { girthLadder: { ...ladder, spacingMm } },
    );
  };
  const [left, right] = [picture.left.legVolume, picture.right.legVolume];
  const both = left !== NOT_EXAMINED && right !== NOT_EXAMINED;
  const larger = both && left > right ? 'left' : 'right';
  const percent = both ? volumeDifference(Math.max(left, right), Math.min(left, right)) : null;
  return (
    <details open={content.girthLadder !== undefined}>
      <summary className="cursor-pointer font-medium">Leg volume from girths</summary>
      <div className="grid grid-cols-[1fr_auto_1fr] gap-4 items-end mt-1">
        {SIDES.map((side) => (
          <label key={side} className={side === 'right' ? 'order-3' : ''}>
            <span className="block text-faint">Girths from the ankle up, {side}, mm</span>
            <input
              className="figure w-full"
              placeholder="214 226 240 262"
              disabled={readOnly}
              value={textOf(side)}
              aria-invalid={problemOf(side) !== null}
              onChange={(event) => take(side, event.target.value)}
            />
            {problemOf(side) && <span className="problem block text-xs">{problemOf(side)}</span>}
            {picture[side].legVolume !== NOT_EXAMINED && (
              <span className="figure">{figureIn('ml', picture[side].legVolume as number)} ml</span>
            )}
          </label>
        ))}
        <label className="order-2">
          <span className="block text-faint">apart, mm</span>
          <input
            type="number"
            className="figure w-20"
            min={10}
            max={150}
            defaultValue={ladder.spacingMm}
            disabled={readOnly}
            onChange={(event) => space(Number(event.target.value))}
          />
        </label>
      </div>
      <p role="status">
        {percent !== null &&
          `The ${larger} leg holds ${percent.toFixed(1)} % more: ${volumeBand(percent)}. New, one-sided, hot or painful is a warning sign, not a matter of fit. `}
        <span className="text-faint text-xs">
          Truncated cones ({markInWords('casley-1994')}); not valid for foot and ankle. Bands:{' '}
          {markInWords('isl-2020')}.
        </span>
      </p>
    </details>
  );
}
