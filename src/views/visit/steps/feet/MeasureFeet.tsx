import { SIDES } from '@/core/findings/finding-kinds';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { footDifference, heelBallRatio } from '@/core/sizing/foot-difference';
import { BothFeet } from '../../FindingField';
import { useExamined } from '../../visit-context';

/** Tape and scale: standing with weight even, then seated where the difference matters. */
export function MeasureFeet() {
  return (
    <div className="grid gap-2">
      <BothFeet
        ids={[
          'footLength',
          'heelBallLength',
          'ballWidth',
          'ballGirth',
          'instepGirth',
          'heelWidth',
          'dorsumHeight',
          'toeHeight',
        ]}
      />
      <Difference />
      <h2 className="text-base text-center border-t border-line pt-2">Seated</h2>
      <BothFeet ids={['footLengthSeated', 'ballWidthSeated', 'dorsumHeightSeated']} />
    </div>
  );
}

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** What the two lengths mean together, when they were taken, and what to take again. */
function Difference() {
  const { picture } = useExamined();
  const { left, right } = picture;
  if (left.footLength === NOT_EXAMINED || right.footLength === NOT_EXAMINED) return null;
  const difference = footDifference(left.footLength, right.footLength);
  const again = SIDES.filter((side) => {
    const { footLength, heelBallLength } = picture[side];
    return (
      footLength !== NOT_EXAMINED &&
      heelBallLength !== NOT_EXAMINED &&
      heelBallRatio(footLength, heelBallLength).remeasure
    );
  });
  const at = (picture.taken['left.footLength'] ?? picture.taken['right.footLength'])?.at;
  const taken = at === undefined ? null : new Date(at);
  return (
    <p role="status" className="text-center">
      {difference.mm > 0 && <span className="figure">{Math.round(difference.mm * 10) / 10} mm apart. </span>}
      {difference.sentence}
      {taken && (
        <span className="text-faint">
          {' '}
          Taken at {clock.format(taken)}
          {taken.getHours() < 14 ? ': feet are longest and widest late in the day.' : '.'}
        </span>
      )}
      {again.length > 0 && (
        <span className="problem block">
          Heel–ball length {again.join(' and ')} lies outside 0.68–0.78 of the foot: measure again.
        </span>
      )}
    </p>
  );
}
