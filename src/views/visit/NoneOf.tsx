import type { Side } from '@/core/findings/finding-kinds';
import { optionsIn } from '@/core/findings/findings';
import { useFinding } from './use-findings';

/** “None” and “not asked” are two answers: a mark is a third. */
export function NoneOf({ id, side, what }: { id: 'pain' | 'injuries' | 'skin'; side: Side; what: string }) {
  const field = useFinding(id, side);
  const known = optionsIn(field.value);
  if (known !== undefined && known.length > 0) return <span />;
  return (
    <p className="text-faint">
      {known === undefined ? `${what}, ${side}: not asked` : `no ${what}, ${side}`}
      <button
        type="button"
        className="press press-quiet ml-1"
        onClick={() => field.set(known === undefined ? [] : undefined)}
      >
        {known === undefined ? `No ${what} ${side}` : 'Not asked'}
      </button>
    </p>
  );
}
