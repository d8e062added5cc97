import type { Side } from '@/core/picture/finding-kinds';
import { useFinding } from './use-findings';

/** “None” and “not asked” are two answers: a mark is a third. */
export function NoneOf({ id, side, what }: { id: 'pain' | 'injuries' | 'skin'; side: Side; what: string }) {
  const field = useFinding(id, side);
  const said = field.value as string[] | undefined;
  if (said !== undefined && said.length > 0) return <span />;
  return (
    <p className="text-faint">
      {said === undefined ? `${what}, ${side}: not asked` : `no ${what}, ${side}`}
      <button
        type="button"
        className="press press-quiet ml-1"
        onClick={() => field.set(said === undefined ? [] : undefined)}
      >
        {said === undefined ? `No ${what} ${side}` : 'Not asked'}
      </button>
    </p>
  );
}
