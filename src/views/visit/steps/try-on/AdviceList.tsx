import { PATTERNS } from '@/core/aftercare/lacing-patterns';
import { modelTitle } from '@/core/match/model';
import { sizeInWords } from '@/core/sizing/start-size';
import type { FitAdvice, Remedy } from '@/core/tryon/fit-advice';
import type { FittedPair, FittingView } from './use-fitting';

const ORDER: Record<FitAdvice['level'], number> = { stop: 0, change: 1, good: 2 };
const LOOK: Record<FitAdvice['level'], string> = { stop: 'problem', change: 'text-hold', good: 'text-faint' };

const worstFirst = (advice: readonly FitAdvice[]): FitAdvice[] =>
  advice.toSorted((a, b) => ORDER[a.level] - ORDER[b.level]);

/** The worst of what the checks say about a pair, in a line, and whether it is the one that is liked best. */
export function AdviceInShort({ pair, fitting }: { pair: FittedPair; fitting: FittingView }) {
  const [worst, ...rest] = worstFirst(pair.advice).filter(({ level }) => level !== 'good');
  const best = fitting.outcome.best?.model === pair.model.id;
  return (
    <div role="status" aria-label={`Pair ${pair.letter} in short`} className="text-sm">
      {worst && (
        <p className={LOOK[worst.level]}>
          {worst.side && <span className="capitalize">{worst.side}: </span>}
          {worst.sentence}
          {rest.length > 0 && <span className="text-faint font-normal"> {rest.length} more.</span>}
        </p>
      )}
      {!worst && pair.advice.length > 0 && <p className="text-faint">Nothing speaks against it.</p>}
      {best && <p className="font-medium">{fitting.outcome.sentence}</p>}
    </div>
  );
}

/** What the checks say about a pair, worst first, each with what to do about it. */
export function AdviceList({ pair, fitting }: { pair: FittedPair; fitting: FittingView }) {
  if (pair.advice.length === 0)
    return <p className="text-faint text-sm">Advice stands here as the checks are made.</p>;
  return (
    <div role="status" aria-label={`Advice on pair ${pair.letter}`}>
      <ul className="text-sm grid gap-1 content-start">
        {worstFirst(pair.advice).map((line) => (
          <li key={`${line.side} ${line.sentence}`} className={LOOK[line.level]}>
            {line.side && <span className="capitalize">{line.side}: </span>}
            {line.sentence}
            {line.remedies.map((remedy) => (
              <span key={JSON.stringify(remedy)} className="block text-ink font-normal">
                <RemedyLine remedy={remedy} pair={pair} fitting={fitting} />
              </span>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}

const onShelf = (count: number): string => (count > 0 ? `${count} on the shelf` : 'not on the shelf');

function RemedyLine({ remedy, pair, fitting }: { remedy: Remedy; pair: FittedPair; fitting: FittingView }) {
  const { model, tryOn } = pair;
  const take = (part: Partial<typeof tryOn>, label: string) => (
    <button
      type="button"
      className="press press-quiet"
      disabled={fitting.readOnly}
      // Another size is another fit: what was found in the old one does not hold.
      onClick={() => fitting.change(model.id, { ...part, left: undefined, right: undefined })}
    >
      {label}
    </button>
  );
  switch (remedy.kind) {
    case 'size':
      return (
        <>
          {take(
            { sizeLeft: remedy.size, sizeRight: remedy.size, width: remedy.width },
            `Take ${sizeInWords(model.sizing, remedy.size, remedy.width)}`,
          )}
          {onShelf(remedy.inStock)}
        </>
      );
    case 'width':
      return (
        <>
          {take({ width: remedy.width }, `Take width ${remedy.width}`)} {onShelf(remedy.inStock)}
        </>
      );
    case 'lacing':
      return (
        <>
          {PATTERNS[remedy.pattern].name}: {PATTERNS[remedy.pattern].how}
        </>
      );
    case 'models':
      return fitting.blind ? (
        <>{remedy.ids.length} other models answer this.</>
      ) : (
        <>
          Or:{' '}
          {remedy.ids
            .flatMap((id) => {
              const other = fitting.candidates.byId.get(id);
              return other ? [modelTitle(other)] : [];
            })
            .join(', ')}
        </>
      );
  }
}
