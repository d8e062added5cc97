import { useState } from 'react';
import { isOurs } from '@/core/knowledge/rule';
import { BUILT_IN } from '@/core/prescribe/engine/resolve';
import { indexOf } from '@/core/prescribe/engine/rule-index';
import type { Push, Target } from '@/core/prescribe/engine/specification';
import { wayOf } from '@/core/prescribe/explain/board';
import { movedInWords, wantInWords } from '@/core/prescribe/explain/in-words';
import { recallMark } from '@/core/sources/source';
import { isPublished, isSourceId, SOURCES } from '@/core/sources/sources';
import { PushMark } from '@/ui/drawing/PushMark';
import { useVisit } from '../../visit-context';
import { ReasonForm } from './ReasonForm';
import { useChoices } from './use-choices';

/** Sources in full, each with how surely it is recalled. */
function Sources({ ids }: { ids: readonly string[] }) {
  return (
    <>
      {ids.map((id) => {
        if (!isSourceId(id) || !isPublished(id)) return `${isSourceId(id) ? SOURCES[id].cite : id}. `;
        const { cite, says, recall } = SOURCES[id];
        return `${cite}: ${says} (${recallMark(recall)}, ${recall} %) `;
      })}
    </>
  );
}

/** One push in full: what it wants, how far it moved things, why, by which evidence, and who says otherwise. */
export function PushLine({ target, push }: { target: Target; push: Push }) {
  const { setAside, takeBack, readOnly } = useChoices();
  const { options } = useVisit();
  const index = indexOf((options.knowledge ?? BUILT_IN).rules);
  const rule = index.byId.get(push.rule);
  const [asking, setAsking] = useState(false);
  return (
    <li className={push.setAside ? 'text-faint' : ''}>
      <p className="flex gap-2 items-baseline">
        <span className="self-center">
          <PushMark
            way={wayOf(target.feature, push.want)}
            strength={push.strength}
            evidence={push.evidence}
            contested={push.contestedBy.length > 0}
            aside={push.setAside !== undefined}
          />
        </span>
        <span>
          <strong>{push.finding}</strong>
          {push.sides.length === 1 && <span className="text-faint"> ({push.sides[0]})</span>} wants{' '}
          {wantInWords(target.feature, push.want)}
          <span className="text-faint">; {movedInWords(target, push)}.</span>{' '}
          <span className={push.setAside ? 'line-through' : ''}>{push.because}</span>
        </span>
      </p>
      <p className="text-faint text-xs pl-6">
        {push.strength}, evidence {push.evidence}
        {push.schools.length > 0 && `, ${push.schools.join(' and ')} school`}. <Sources ids={push.sources} />
        {rule && isOurs(rule) && (
          <span className="text-hold">Its cut-off is ours and can be set: none is published. </span>
        )}
        {push.contestedBy.length > 0 && (
          <>
            Contested by{' '}
            {push.contestedBy.map((id, at) => (
              <span key={id}>
                {at > 0 && ', '}
                <a href={`/knowledge#${id}`}>{index.byId.get(id)?.finding ?? id}</a>
              </span>
            ))}
            .{' '}
          </>
        )}
        {push.caution && <span className="text-hold">{push.caution} </span>}
        {push.setAside === undefined && !asking && !readOnly && (
          <button type="button" className="underline cursor-pointer" onClick={() => setAsking(true)}>
            Set aside with a reason
          </button>
        )}
      </p>
      {push.setAside !== undefined && (
        <p className="pl-6">
          Set aside: {push.setAside}{' '}
          {!readOnly && (
            <button
              type="button"
              className="press press-quiet"
              onClick={() => takeBack(push.rule, target.feature)}
            >
              Take back
            </button>
          )}
        </p>
      )}
      {asking && push.setAside === undefined && (
        <div className="pl-6 mt-1">
          <ReasonForm
            onReason={(reason) => {
              setAside(push.rule, target.feature, reason);
              setAsking(false);
            }}
          />
        </div>
      )}
    </li>
  );
}
