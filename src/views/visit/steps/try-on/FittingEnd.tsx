import { modelTitle } from '@/core/catalogue/model';
import { useBrought } from '../candidates/use-brought';
import type { FittingView } from './use-fitting';

/** Where the fitting stands: which fallback to go next, and what to do when nothing fits. */
export function FittingEnd({ fitting }: { fitting: FittingView }) {
  const { outcome, next, fallbacks, candidates, blind, readOnly, pairs, putBy } = fitting;
  const { chosen, choose } = useBrought();
  if (readOnly) return null;
  // The pair that was liked least makes room for the next.
  const least = pairs
    .filter(({ tryOn }) => tryOn.verdict !== 'chosen')
    .toSorted((a, b) => (a.tryOn.comfort ?? 101) - (b.tryOn.comfort ?? 101))[0];
  const bring = (id: string) =>
    choose(
      chosen.length < 3 || !least
        ? [...chosen, id].slice(-3)
        : [...chosen.filter((one) => one !== least.model.id), id],
    );
  const sizeOf = (id: string) => {
    const model = candidates.byId.get(id)!;
    const sized = candidates.sizeOf(model);
    return sized.ok ? sized.value.label : '';
  };
  const { ratedBefore, withoutEarlier, setWithoutEarlier } = fitting;
  if (!next && fallbacks.length === 0 && !outcome.nothingFits && putBy.length === 0 && !withoutEarlier)
    return null;
  return (
    <section
      aria-label="Where the fitting stands"
      className="bg-desk px-3 py-2 text-sm grid gap-0.5 pointer-fine:[&_.press-quiet]:min-h-0 pointer-fine:[&_.press-quiet]:py-0"
    >
      {outcome.nothingFits && <p className="problem">{outcome.sentence}</p>}
      {putBy.length > 0 && (
        <p className="text-faint">
          Put by:{' '}
          {putBy.map((pair) => (
            <span key={pair.model.id}>
              {pair.name}
              {pair.tryOn.comfort !== undefined && `, comfort ${pair.tryOn.comfort}`}
              {pair.tryOn.verdict && `, ${pair.tryOn.verdict}`}{' '}
              <button type="button" className="press press-quiet" onClick={() => bring(pair.model.id)}>
                Bring it back
              </button>{' '}
            </span>
          ))}
        </p>
      )}
      {fallbacks.map((fallback) =>
        fallback.kind === 'refer' ? (
          <p key={fallback.sentence}>{fallback.sentence}</p>
        ) : (
          <p key={fallback.id}>
            {fallback.kind === 'fetch' ? 'On the shelf, untried: ' : 'To order: '}
            <strong>{modelTitle(candidates.byId.get(fallback.id)!)}</strong>{' '}
            <span className="figure">{fallback.label}</span>{' '}
            <button type="button" className="press press-quiet" onClick={() => bring(fallback.id)}>
              {fallback.kind === 'fetch' ? 'Bring it' : 'Choose it to order'}
            </button>
          </p>
        ),
      )}
      {ratedBefore > 0 && (
        <p className="text-faint">
          {withoutEarlier
            ? 'What was felt at earlier visits is left out. '
            : next && next.earlier > 0
              ? `${next.earlier} ${next.earlier === 1 ? 'pair' : 'pairs'} of earlier visits speak too, less surely. `
              : ''}
          <button
            type="button"
            className="press press-quiet"
            aria-pressed={withoutEarlier}
            onClick={() => setWithoutEarlier(!withoutEarlier)}
          >
            {withoutEarlier ? 'Count them again' : 'Leave earlier visits out'}
          </button>
        </p>
      )}
      {next && (
        <p>
          {next.direction ? (
            <>
              What was felt points to <strong>{next.direction}</strong>.{' '}
            </>
          ) : (
            'What was felt does not point to one pair yet. '
          )}
          {next.candidates.slice(0, 2).map((candidate, at) => (
            <span key={candidate.id}>
              {' '}
              {at === 0 ? 'Next best guess' : 'Or'}:{' '}
              {blind ? 'another pair' : modelTitle(candidates.byId.get(candidate.id)!)}{' '}
              <span className="figure">{sizeOf(candidate.id)}</span>, about {Math.round(candidate.points)} of
              100{candidate.differs ? `, ${candidate.differs}` : ''}.{' '}
              <button type="button" className="press press-quiet" onClick={() => bring(candidate.id)}>
                Bring it
              </button>
            </span>
          ))}
          <span className="text-faint">
            Two or three ratings settle little: this is a guess, set against the specification.
          </span>
        </p>
      )}
    </section>
  );
}
