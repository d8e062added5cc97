import { modelTitle } from '@/core/catalogue/model';
import { leftOutTogether } from '@/core/match/left-out';
import type { CandidatesView } from '../../use-candidates';

/** What is no candidate, and why: by which limit, or for want of a size; one reason once, with all that it leaves out. */
export function LeftOut({ candidates }: { candidates: CandidatesView }) {
  const { excluded, noSize, byId } = candidates;
  const byLimit = excluded.flatMap(({ id, by }) => {
    const model = byId.get(id);
    return model ? [{ title: modelTitle(model), because: by.map((limit) => limit.sentence).join('; ') }] : [];
  });
  const bySize = noSize.map(({ model, message }) => ({ title: modelTitle(model), because: message }));
  return (
    <div className="grid gap-3 text-sm">
      <Reasons title={`${excluded.length} excluded by a limit`} models={byLimit} />
      <Reasons title={`${noSize.length} not available in the size needed`} models={bySize} />
    </div>
  );
}

function Reasons({ title, models }: { title: string; models: Parameters<typeof leftOutTogether>[0] }) {
  return (
    <section>
      <h2>{title}</h2>
      <ul>
        {leftOutTogether(models).map(({ because, titles }) => (
          <li
            key={because}
            className="grid grid-cols-[2.5rem_minmax(0,2fr)_minmax(0,3fr)] gap-x-3 border-b border-line py-1"
          >
            <span className="figure text-right">{titles.length}</span>
            <span className="font-medium">{because}</span>
            <span className="text-faint">{titles.join(', ')}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
