import { type Mark, markInWords } from '@/core/examination/sources';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { definitionOf, type FindingId } from '@/core/findings/findings';
import { numberAt } from '@/core/findings/picture';
import { figureIn, UNIT_LABEL } from '@/core/units/parse';
import { BandLine } from './BandLine';
import { useExamined } from './visit-context';

interface Props {
  id: FindingId;
  /** What is still missing, where nothing could be derived. */
  needs: string;
  note?: string;
  /** Where a formula without bands comes from. */
  mark?: Mark;
}

/** A value that follows from others, both feet: raw number first, its band under it, or what is missing. */
export function DerivedRow({ id, needs, note, mark }: Props) {
  const { picture } = useExamined();
  const definition = definitionOf(id);
  const unit = definition.kind === 'number' ? definition.unit : 'score';
  const cell = (side: Side) => {
    const value = numberAt(picture, id, side);
    return (
      <div key={side} className={side === 'left' ? 'justify-self-end text-right' : ''}>
        {value === null ? (
          <span className="text-faint text-sm">{needs}</span>
        ) : (
          <>
            <strong className="figure text-base">{figureIn(unit, value)}</strong>{' '}
            <span className="text-faint">{UNIT_LABEL[unit]}</span>
            <BandLine id={id} value={value} />
          </>
        )}
      </div>
    );
  };
  const [left, right] = SIDES.map(cell);
  return (
    <div className="contents">
      {left}
      <div className="text-center leading-tight">
        {definition.label}
        {note && <span className="block text-faint text-xs">{note}</span>}
        {mark && <span className="block text-faint text-xs">{markInWords(mark)}</span>}
      </div>
      {right}
    </div>
  );
}

/** The three columns of both feet, for rows that are derived. */
export function DerivedRows({ children }: { children: React.ReactNode }) {
  return (
    <div className="grid grid-cols-[1fr_15rem_1fr] gap-x-4 gap-y-1 items-start bg-desk py-1" role="status">
      {children}
    </div>
  );
}
