import { modelTitle } from '@/core/catalogue/model';
import type { CandidatesView } from '../../use-candidates';

/** What is no candidate, and why: by which limit, or for want of a size. */
export function LeftOut({ candidates }: { candidates: CandidatesView }) {
  const { excluded, noSize, byId } = candidates;
  return (
    <div className="grid gap-3 text-sm">
      <section>
        <h2>{excluded.length} excluded by a limit</h2>
        <ul className="columns-2 gap-6">
          {excluded.map((entry) => (
            <li key={entry.id} className="break-inside-avoid">
              <span className="font-medium">{byId.get(entry.id) && modelTitle(byId.get(entry.id)!)}</span>:{' '}
              {entry.by.map((limit) => limit.sentence).join('; ')}
            </li>
          ))}
        </ul>
      </section>
      <section>
        <h2>{noSize.length} not available in the size needed</h2>
        <ul className="columns-2 gap-6">
          {noSize.map(({ model, message }) => (
            <li key={model.id} className="break-inside-avoid">
              <span className="font-medium">{modelTitle(model)}</span>: {message}
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
