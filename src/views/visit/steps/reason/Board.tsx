import { type KeyboardEvent, useMemo, useRef, useState } from 'react';
import { definitionOf } from '@/core/findings/findings';
import { BUILT_IN } from '@/core/prescribe/engine/resolve';
import type { Push } from '@/core/prescribe/engine/specification';
import { type Board as BoardData, boardOf, wayOf } from '@/core/prescribe/explain/board';
import { isTense, targetInWords } from '@/core/prescribe/explain/in-words';
import { featureOf } from '@/core/shoe/features';
import { PushMark, WAY_WORD } from '@/ui/drawing/PushMark';
import { useVisit } from '../../visit-context';
import { PushLine } from './PushLine';
import { TargetPane } from './TargetPane';

/** A place on the board; row −1 is the head of a column. */
interface Place {
  row: number;
  column: number;
}

const STEP: Record<string, readonly [row: number, column: number]> = {
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
};

/** The next place in a direction that has something to say. */
function nextPlace(board: BoardData, from: Place, [down, right]: readonly [number, number]): Place {
  let { row, column } = from;
  for (;;) {
    row += down;
    column += right;
    if (row < -1 || column < 0 || row >= board.rows.length || column >= board.columns.length) return from;
    if (row === -1 || board.cells[row]![column]!.length > 0) return { row, column };
  }
}

const cellName = (board: BoardData, { row, column }: Place, pushes: readonly Push[]): string => {
  const { target, side } = board.columns[column]!;
  const first = pushes[0]!;
  return `${definitionOf(board.rows[row]!.finding).label} on ${featureOf(target.feature).label.toLowerCase()}${side ? `, ${side}` : ''}: ${first.strength}, ${WAY_WORD[wayOf(target.feature, first.want)]}, evidence ${first.evidence}${pushes.length > 1 ? `, and ${pushes.length - 1} more` : ''}`;
};

/** What was found, with its side where one foot alone has it. */
const saidIn = ({ finding, says, sides }: BoardData['rows'][number]): string =>
  sides.length === 1 && definitionOf(finding).scope === 'foot' ? `${says} (${sides[0]})` : says;

/** A row whole, where its cell has no room for all of it. */
const rowName = (row: BoardData['rows'][number]): string =>
  `${definitionOf(row.finding).label} ${saidIn(row)}`;

/** Findings against features, every push a mark; arrows go from mark to mark, the sentence stands below. */
export function Board() {
  const { specification, picture, options } = useVisit();
  const board = useMemo(
    () => boardOf(specification, picture, options.knowledge ?? BUILT_IN),
    [specification, picture, options.knowledge],
  );
  const tense = board.columns.findIndex(({ target }) => isTense(target));
  // Where it opens stays where it is, whatever a decision changes.
  const [chosen, setChosen] = useState<Place>({ row: -1, column: Math.max(0, tense) });
  const grid = useRef<HTMLTableElement>(null);
  if (board.columns.length === 0)
    return <p className="text-faint">No finding calls for anything yet: go back and examine.</p>;
  const inside = chosen.row < board.rows.length && chosen.column < board.columns.length;
  const place = inside ? chosen : { row: -1, column: 0 };
  const go = (to: Place) => {
    setChosen(to);
    grid.current?.querySelector<HTMLElement>(`[data-place="${to.row} ${to.column}"]`)?.focus();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = STEP[event.key];
    if (!step) return;
    event.preventDefault();
    go(nextPlace(board, place, step));
  };
  const at = (row: number, column: number) => ({
    'data-place': `${row} ${column}`,
    tabIndex: row === place.row && column === place.column ? 0 : -1,
    onKeyDown,
    onFocus: () => setChosen({ row, column }),
    onMouseEnter: () => setChosen({ row, column }),
  });
  const column = board.columns[place.column]!;
  const pushes = place.row >= 0 ? board.cells[place.row]![place.column]! : [];
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-2">
      <div className="overflow-x-auto">
        <table ref={grid} aria-label="Findings against features" className="board w-auto text-xs">
          <thead>
            <tr>
              <th scope="col" className="align-bottom w-44">
                <Legend />
              </th>
              {board.columns.map(({ target, side }, index) => (
                <th
                  key={target.feature + (side ?? '')}
                  scope="col"
                  data-here={index === place.column || undefined}
                  className="board-column"
                >
                  <button
                    type="button"
                    {...at(-1, index)}
                    aria-label={`${featureOf(target.feature).label}${side ? `, ${side}` : ''}: ${targetInWords(target)}`}
                    className="board-head"
                  >
                    <span>
                      {featureOf(target.feature).label}
                      {side && `, ${side}`}
                    </span>
                  </button>
                  <Tension share={target.tension} decided={target.decision !== undefined} />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {board.rows.map((row, index) => (
              <tr key={row.finding} data-here={index === place.row || undefined}>
                <th scope="row" className="board-row" title={rowName(row)}>
                  {definitionOf(row.finding).label} <span className="text-ink">{saidIn(row)}</span>
                </th>
                {board.cells[index]!.map((cell, columnIndex) => (
                  <td
                    key={
                      board.columns[columnIndex]!.target.feature + (board.columns[columnIndex]!.side ?? '')
                    }
                    className="board-cell"
                    data-here={columnIndex === place.column || undefined}
                  >
                    {cell[0] && (
                      <button
                        type="button"
                        {...at(index, columnIndex)}
                        aria-label={cellName(board, { row: index, column: columnIndex }, cell)}
                        className="board-mark"
                      >
                        <PushMark
                          way={wayOf(board.columns[columnIndex]!.target.feature, cell[0].want)}
                          strength={cell[0].strength}
                          evidence={cell[0].evidence}
                          contested={cell.some((push) => push.contestedBy.length > 0)}
                          aside={cell.every((push) => push.setAside !== undefined)}
                          size={15}
                        />
                        {cell.length > 1 && <sub aria-hidden="true">{cell.length}</sub>}
                      </button>
                    )}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div aria-live="polite" className="border-t border-rule pt-2">
        {place.row === -1 ? (
          <TargetPane
            key={column.target.feature + (column.side ?? '')}
            target={column.target}
            side={column.side}
          />
        ) : (
          <section aria-label="Push" className="grid gap-1.5">
            <h2>
              {featureOf(column.target.feature).label}
              {column.side && `, ${column.side}`}: {targetInWords(column.target)}
            </h2>
            <ul className="grid gap-1.5">
              {pushes.map((push) => (
                <PushLine
                  key={push.rule + push.strength + JSON.stringify(push.want)}
                  target={column.target}
                  push={push}
                />
              ))}
            </ul>
          </section>
        )}
      </div>
    </div>
  );
}

/** Tension under a column's head: the taller, the further its pushes pull apart; a dot where a clinician decided. */
function Tension({ share, decided }: { share: number; decided: boolean }) {
  const height = Math.min(14, Math.round(share * 28));
  return (
    <svg viewBox="0 0 16 16" width="16" height="14" className="mx-auto block text-hold" aria-hidden="true">
      <rect x="2" y={15 - height} width="12" height={height} fill="currentColor" />
      <line x1="1" x2="15" y1="15.5" y2="15.5" stroke="currentColor" strokeWidth="0.8" />
      {decided && <circle cx="8" cy="5" r="3.4" fill="var(--accent)" />}
    </svg>
  );
}

function Legend() {
  const entry = (mark: React.ReactNode, words: string) => (
    <span className="flex gap-1 items-center">
      {mark}
      {words}
    </span>
  );
  return (
    <span className="grid grid-cols-[auto_auto] gap-x-2 gap-y-0.5 font-normal leading-tight pb-1 text-xs">
      {entry(<PushMark way="up" strength="strong" evidence="A" size={11} />, 'more, grade A')}
      {entry(<PushMark way="down" strength="moderate" evidence="B" size={11} />, 'less, grade B')}
      {entry(<PushMark way="toward" strength="slight" evidence="C" size={11} />, 'toward, grade C')}
      {entry(<PushMark way="away" strength="strong" evidence="C" size={11} />, 'away from')}
      {entry(<PushMark way="holds" strength="limit" evidence="A" size={11} />, 'limit')}
      {entry(<PushMark way="holds" strength="slight" evidence="C" contested size={11} />, 'contested')}
      <span className="col-span-2">larger is stronger; bar: tension</span>
    </span>
  );
}
