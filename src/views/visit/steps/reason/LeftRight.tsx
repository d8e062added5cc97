import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { numberAt } from '@/core/findings/picture';
import type { Target } from '@/core/prescribe/engine/specification';
import { utilityAt } from '@/core/prescribe/engine/utility';
import {
  acceptsEverything,
  firmnessWord,
  targetInWords,
  wantInWords,
} from '@/core/prescribe/explain/in-words';
import { MUST_MATCH, oneSidedWishes } from '@/core/prescribe/explain/left-and-right';
import { liftStages, liftStagesInWords } from '@/core/prescribe/explain/lift-stages';
import { type FeatureId, featureOf, printFeature } from '@/core/shoe/features';
import { figureIn } from '@/core/units/parse';
import { useVisit } from '../../visit-context';
import { Decide } from './Decide';

/** Both feet resolved together: what the pair has alike, what each foot gets for itself, what one foot misses. */
export function LeftRight() {
  const { specification } = useVisit();
  const wishes = oneSidedWishes(specification);
  const alike = specification.targets.filter(
    (target) => target.feature in MUST_MATCH && !acceptsEverything(target),
  );
  return (
    <div className="grid gap-3">
      <div className="grid grid-cols-2 gap-6">
        {SIDES.map((side) => (
          <Foot key={side} side={side} />
        ))}
      </div>
      <section>
        <h2>Alike in both shoes</h2>
        {alike.length === 0 ? (
          <p className="text-faint">Nothing that must match is asked for yet.</p>
        ) : (
          <ul className="grid grid-cols-2 gap-x-6">
            {alike.map((target) => (
              <li key={target.feature}>
                {featureOf(target.feature).label}: <strong>{targetInWords(target)}</strong>
                <span className="text-faint text-sm">; {MUST_MATCH[target.feature]}</span>
              </li>
            ))}
          </ul>
        )}
      </section>
      <section>
        <h2>What one foot goes without in this pair</h2>
        {wishes.length === 0 ? (
          <p className="text-faint">Nothing that only one foot needs is left out.</p>
        ) : (
          <ul>
            {wishes.map(({ feature, side, push, served, remedy }) => (
              <li key={feature + side + push.rule}>
                <strong className="capitalize">{side}</strong>: {push.finding} wants{' '}
                {wantInWords(feature, push.want)} of {featureOf(feature).label.toLowerCase()}; the pair has{' '}
                {printFeature(feature, bestOf(specification.targets, feature))} and serves it to{' '}
                {Math.round(served * 100)} %. May help: {remedy}.
              </li>
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}

const bestOf = (targets: readonly { feature: FeatureId; best: number | string }[], feature: FeatureId) =>
  targets.find((target) => target.feature === feature)!.best;

/** Why, by the heaviest push that the target serves. */
const mainReason = (target: Target): string =>
  target.pushes
    .filter((push) => push.setAside === undefined && utilityAt(push.want, target.best) > 0.9)
    .toSorted((a, b) => b.weight - a.weight)[0]?.because ?? '';

function Foot({ side }: { side: Side }) {
  const { specification, picture } = useVisit();
  const targets = specification.feet[side].filter((target) => !acceptsEverything(target));
  const length = numberAt(picture, 'footLength', side);
  const other = numberAt(picture, 'footLength', side === 'left' ? 'right' : 'left');
  const stages = liftStagesInWords(liftStages(specification, side));
  const longer = length !== null && other !== null && length - other;
  return (
    <section aria-label={`${side} foot`} className="border-t-2 border-rule pt-1">
      <h2 className="capitalize">{side}</h2>
      <p className="text-faint text-sm">
        {length === null ? 'Length not measured.' : `${figureIn('mm', length)} mm long.`}{' '}
        {typeof longer === 'number' &&
          longer >= 4 &&
          `${longer >= 8 ? 'A size' : 'Half a size'} more than the other: own size or a filler there.`}
      </p>
      {targets.length === 0 ? (
        <p className="text-faint">No lift, insert or pad asked for.</p>
      ) : (
        <ul className="grid gap-2">
          {targets.map((target) => (
            <li key={target.feature}>
              {featureOf(target.feature).label}: <strong>{targetInWords(target)}</strong>{' '}
              <span className="text-faint text-sm">{firmnessWord(target)}</span>
              <span className="block text-sm">{mainReason(target)}</span>
              <Decide target={target} side={side} />
            </li>
          ))}
        </ul>
      )}
      {stages && (
        <p>
          The lift is reached <strong>{stages}</strong>, each worn until it is not noticed.
        </p>
      )}
    </section>
  );
}
