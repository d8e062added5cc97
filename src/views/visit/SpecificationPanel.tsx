import { useEffect, useMemo, useRef, useState } from 'react';
import { greaterOf } from '@/core/findings/picture';
import { costInWords, costsOfUnknown } from '@/core/prescribe/counterfactual/cost-of-unknown';
import { shoeValues } from '@/core/prescribe/engine/shoe-values';
import type { Specification, Target } from '@/core/prescribe/engine/specification';
import {
  awaitedInWords,
  firmnessWord,
  isTense,
  leadingTargets,
  targetInWords,
} from '@/core/prescribe/explain/in-words';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { solePlan } from '@/core/shoe/drawing/sole-plan';
import { type FeatureId, featureOf } from '@/core/shoe/features';
import { MarkShape } from '@/ui/drawing/Marks';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { useVisit } from './visit-context';

interface Props {
  onLight: (target: Target | null) => void;
  lit: Target | null;
  onOpen: (feature: FeatureId) => void;
}

/** Targets that came or changed their words since the last look. */
function useMoved(targets: readonly Target[]): ReadonlySet<FeatureId> {
  const [moved, setMoved] = useState<ReadonlySet<FeatureId>>(new Set());
  const before = useRef<Map<FeatureId, string> | null>(null);
  useEffect(() => {
    const now = new Map(targets.map((target) => [target.feature, targetInWords(target)]));
    const old = before.current;
    before.current = now;
    if (!old) return;
    const changed = [...now]
      .filter(([feature, words]) => old.get(feature) !== words)
      .map(([feature]) => feature);
    if (changed.length > 0) setMoved(new Set(changed));
  }, [targets]);
  return moved;
}

/** The shoe being prescribed, always there: drawn, and under the drawing what it must be. */
export function SpecificationPanel({ onLight, lit, onOpen }: Props) {
  const { specification, picture } = useVisit();
  const values = useMemo(() => shoeValues(specification), [specification]);
  const lengthMm = greaterOf(picture, 'footLength');
  const sole = Math.round((lengthMm ?? 262) + 12 + 11);
  const profile = useMemo(() => sideProfile(values, sole), [values, sole]);
  const plan = useMemo(() => {
    const foot =
      lengthMm === null
        ? null
        : {
            lengthMm,
            ballWidthMm: greaterOf(picture, 'ballWidth'),
            heelBallMm: greaterOf(picture, 'heelBallLength'),
          };
    return solePlan(values, foot, sole);
  }, [values, lengthMm, picture, sole]);
  const targets = useMemo(() => leadingTargets(specification), [specification]);
  const moved = useMoved(targets);
  const litFeatures = useMemo(() => new Set<FeatureId>(lit ? [lit.feature] : moved), [lit, moved]);
  return (
    <>
      <ShoeDrawing drawing={profile} lit={litFeatures} ruler className="w-full shrink-0" />
      <ShoeDrawing drawing={plan} lit={litFeatures} className="w-full shrink-0 max-h-32" />
      {specification.deadlocks.map((deadlock) => (
        <p key={deadlock.feature} role="alert" className="problem">
          {deadlock.message}
        </p>
      ))}
      {targets.length === 0 ? (
        <p className="text-faint mt-3">
          Nothing found so far calls for a particular shoe. A typical one is drawn; it changes as you examine.
        </p>
      ) : (
        <>
          <p className="text-faint text-xs border-b border-line pb-1 mt-1">
            {targets.length} targets; everything else is drawn as on a typical shoe.
          </p>
          <ul className="grow overflow-y-auto min-h-0 pr-2 ends-softly" tabIndex={0} aria-label="Targets">
            {targets.map((target) => (
              <li
                key={target.feature}
                className={`border-b border-line ${moved.has(target.feature) ? 'moved' : ''}`}
              >
                <button
                  type="button"
                  className="w-full text-left py-0.5 cursor-pointer grid grid-cols-[1rem_1fr_auto] items-baseline gap-1"
                  onFocus={() => onLight(target)}
                  onBlur={() => onLight(null)}
                  onMouseEnter={() => onLight(target)}
                  onMouseLeave={() => onLight(null)}
                  onClick={() => onOpen(target.feature)}
                >
                  <StrengthMark target={target} />
                  <span>{featureOf(target.feature).label}</span>
                  <span className="figure font-medium text-right">
                    {isTense(target) && (
                      <span className="text-hold">
                        <MarkShape mark="tension" />{' '}
                      </span>
                    )}
                    {targetInWords(target)}
                  </span>
                  {target.awaits.length > 0 && (
                    <span className="col-span-3 text-xs text-hold text-right">{awaitedInWords(target)}</span>
                  )}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <UnknownCosts specification={specification} />
      <p className="text-faint text-xs pt-1">Decision support for licensed practitioners; not a diagnosis.</p>
    </>
  );
}

/** What has not been examined and what that costs: which features cannot be limited or pushed. */
function UnknownCosts({ specification }: { specification: Specification }) {
  const { picture, options } = useVisit();
  const costs = useMemo(
    () => costsOfUnknown(specification, picture, options.knowledge?.rules),
    [specification, picture, options.knowledge],
  );
  if (costs.length === 0) return null;
  const blind = new Set(costs.flatMap((cost) => cost.limits)).size;
  return (
    <details className="border-t border-rule pt-1 max-h-[45%] overflow-y-auto shrink-0">
      <summary className="cursor-pointer text-sm">
        <MarkShape mark="unknown" /> {costs.length} findings open
        {blind > 0 && `; ${blind} ${blind === 1 ? 'feature waits' : 'features wait'} for them`}
      </summary>
      <ul className="text-xs grid gap-1 py-1">
        {costs.map((cost) => (
          <li key={cost.finding}>{costInWords(cost)}</li>
        ))}
      </ul>
    </details>
  );
}

/** Strength by shape: two posts for a limit, else one to three bars. */
function StrengthMark({ target }: { target: Target }) {
  const word = firmnessWord(target);
  if (target.decision && !target.decision.refused) return <MarkShape mark="decided" label={word} />;
  if (word === 'limit') return <MarkShape mark="limit" label="limit" />;
  const bars = word === 'strong' ? 3 : word === 'moderate' ? 2 : 1;
  return (
    <svg viewBox="0 0 12 12" width="12" height="12" role="img" aria-label={word}>
      {Array.from({ length: bars }, (_, index) => (
        <rect
          key={index}
          x={1 + index * 4}
          y={8 - index * 3}
          width={2.4}
          height={4 + index * 3}
          fill="currentColor"
        />
      ))}
    </svg>
  );
}
