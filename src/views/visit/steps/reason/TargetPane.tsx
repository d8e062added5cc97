import type { Side } from '@/core/findings/finding-kinds';
import { definitionOf } from '@/core/findings/findings';
import type { Alternative, EndCost, NumericTarget, Target } from '@/core/prescribe/engine/specification';
import { awaitedInWords, firmnessWord, isTense, targetInWords } from '@/core/prescribe/explain/in-words';
import { type FeatureValue, featureOf, printFeature } from '@/core/shoe/features';
import { useExamined } from '../../visit-context';
import { Decide } from './Decide';
import { PushLine } from './PushLine';

const percent = (share: number) => `${Math.round(share * 100)} %`;

/** One target in full: band, firmness, tension, what it hangs on, other resolutions, the clinician's word, its pushes. */
export function TargetPane({ target, side }: { target: Target; side: Side | undefined }) {
  const feature = featureOf(target.feature);
  return (
    <section aria-label="Target" className="grid gap-1.5">
      <h2>
        {feature.label}
        {side && `, ${side}`}: {targetInWords(target)}
      </h2>
      <p className="text-faint text-sm">
        {feature.plain}; {firmnessWord(target)}, {percent(target.firmness)} of full strength
        {isTense(target) &&
          `; tension ${percent(target.tension)}: the pushes pull apart, this is the compromise`}
      </p>
      {target.kind === 'band' && <HowFar target={target} />}
      {target.awaits.length > 0 && (
        <p className="text-hold">
          {feature.label} {awaitedInWords(target)}.
        </p>
      )}
      <Decide target={target} side={side} />
      <HangsOn target={target} />
      <Alternatives target={target} />
      <ul className="grid gap-1.5 border-t border-line pt-1.5">
        {target.pushes.map((push) => (
          <PushLine key={push.rule + push.strength + JSON.stringify(push.want)} target={target} push={push} />
        ))}
      </ul>
    </section>
  );
}

/** The best value, and what going beyond either end of the band costs. */
function HowFar({ target }: { target: NumericTarget }) {
  const { best, band, ends } = target;
  const say = (value: number) => printFeature(target.feature, value);
  const beyond = (where: string, cost: EndCost | null) =>
    cost && `${where} ${cost.limit ? 'a limit forbids it' : 'it costs'}: ${cost.finding}`;
  const parts = [beyond(`below ${say(band.from)}`, ends.low), beyond(`over ${say(band.to)}`, ends.high)];
  return (
    <p className="text-sm">
      <strong>{target.awaits.length > 0 ? 'So far' : 'Best'}</strong> {say(best)}
      {parts.some(Boolean) && `; ${parts.filter(Boolean).join('; ')}`}.
    </p>
  );
}

/** Most findings named at once. */
const NAMED = 4;

function HangsOn({ target }: { target: Target }) {
  const { reasoning } = useExamined();
  const list = reasoning.answer?.reliance[target.feature] ?? [];
  if (!reasoning.answer) return null;
  const now = target.kind === 'band' ? printFeature(target.feature, target.best) : null;
  const without = (value: FeatureValue | null): string => {
    if (value === null) return 'nothing asks for this';
    const then = printFeature(target.feature, value);
    return then === now ? `still ${then}, less firmly` : then;
  };
  if (list.length === 0)
    return (
      <p className="text-sm">
        <strong>Depends on</strong> no single finding: several say the same.
      </p>
    );
  return (
    <p className="text-sm">
      <strong>Depends on</strong>{' '}
      {list.slice(0, NAMED).map((hanging, at) => (
        <span key={hanging.finding}>
          {at > 0 && '; '}
          {definitionOf(hanging.finding).label.toLowerCase()}{' '}
          <span className="text-faint">(without it {without(hanging.value)})</span>
        </span>
      ))}
      .
    </p>
  );
}

function Alternatives({ target }: { target: Target }) {
  if (target.alternatives.length === 0) return null;
  const finding = (rule: string) => target.pushes.find((push) => push.rule === rule)?.finding ?? rule;
  const say = (alternative: Alternative) => {
    const serves = alternative.serves.map(finding);
    const costs = alternative.costs
      .slice(0, 2)
      .map((cost) => `${finding(cost.rule)} ${percent(cost.loses)} of its wish`);
    return `${printFeature(target.feature, alternative.value)}${serves.length > 0 ? ` for ${serves.slice(0, 2).join(' and ')}` : ''}; costs ${costs.join(', ') || 'nothing'}`;
  };
  return (
    <ul className="text-sm">
      {target.alternatives.map((alternative) => (
        <li key={String(alternative.value)}>
          <strong>{alternative.peak ? 'Second peak' : 'Or'}</strong>: {say(alternative)}. Serves{' '}
          {percent(alternative.utility)} of all wishes, the present one {percent(target.utility)}.
        </li>
      ))}
    </ul>
  );
}
