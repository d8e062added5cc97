import { modelTitle } from '@/core/catalogue/model';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import type { FitAdvice, Remedy } from '@/core/fitting/fit-advice';
import { PATTERNS } from '@/core/fitting/lacing-patterns';
import { placeOn } from '@/core/fitting/sizes';
import type { TriedSizes } from '@/core/fitting/try-on';
import { sizeInWords } from '@/core/sizing/start-size';
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
      {!worst && pair.advice.length > 0 && <p className="text-faint">Nothing against it.</p>}
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
                <RemedyLine remedy={remedy} side={line.side} pair={pair} fitting={fitting} />
              </span>
            ))}
          </li>
        ))}
      </ul>
    </div>
  );
}

const isAlike = (tryOn: TriedSizes): boolean => {
  const [left, right] = SIDES.map((side) => placeOn(tryOn, side));
  return left?.size === right?.size && left?.width === right?.width;
};

const onShelf = (count: number): string => (count > 0 ? `${count} on the shelf` : 'not on the shelf');

interface RemedyProps {
  remedy: Remedy;
  side: Side | null;
  pair: FittedPair;
  fitting: FittingView;
}

/** What can be done about one complaint; a size or width is taken with a press. */
function RemedyLine({ remedy, side, pair, fitting }: RemedyProps) {
  const { model, tryOn } = pair;
  const take = (size: number | undefined, width: string, label: string) => {
    const split = SIDES.every((foot) => placeOn(tryOn, foot)) && !isAlike(tryOn);
    const sizes = (foot: Side) =>
      foot === 'left'
        ? { ...(size === undefined ? {} : { sizeLeft: size }), width }
        : { ...(size === undefined ? {} : { sizeRight: size }), widthRight: width };
    return (
      <button
        type="button"
        className="press press-quiet"
        disabled={fitting.readOnly}
        onClick={() =>
          fitting.changeSize(
            model.id,
            // The two shoes of a split pair change one by one.
            split && side ? sizes(side) : { ...sizes('left'), ...sizes('right'), widthRight: undefined },
          )
        }
      >
        {label}
      </button>
    );
  };
  switch (remedy.kind) {
    case 'size':
      return (
        <>
          {take(remedy.size, remedy.width, `Take ${sizeInWords(model.sizing, remedy.size, remedy.width)}`)}
          {onShelf(remedy.inStock)}
        </>
      );
    case 'width':
      return (
        <>
          {take(undefined, remedy.width, `Take width ${remedy.width}`)} {onShelf(remedy.inStock)}
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
