import { definitionOf } from '@/core/findings/findings';
import { SCHOOL_CHOICES } from '@/core/knowledge/schools';
import { ruledTarget } from '@/core/prescribe/engine/decide';
import type { Push, Specification, Target } from '@/core/prescribe/engine/specification';
import type { Board, BoardColumn } from '@/core/prescribe/explain/board';
import {
  DECISION_WORD,
  firmnessWord,
  isTense,
  targetInWords,
  wantInWords,
} from '@/core/prescribe/explain/in-words';
import { LIMITS_OF_USE, SHEET_CAUTION } from '@/core/safety/cautions';
import { featureOf } from '@/core/shoe/features';
import { sourceInWords } from '@/core/sources/sources';
import { DataTable } from '@/ui/table/DataTable';

interface Props {
  specification: Specification;
  board: Board;
  note: string;
}

/** Most open questions named in a letter. */
const OPEN = 8;

const nameOf = ({ target, side }: BoardColumn): string =>
  `${featureOf(target.feature).label}${side ? `, ${side}` : ''}`;

/** Why this shoe: for the record and for the doctor who referred. Every line can be argued with. */
export function RationaleSheet({ specification, board, note }: Props) {
  const decided = board.columns.filter(({ target }) => target.decision);
  const aside = board.columns.flatMap((column) =>
    column.target.pushes.filter((push) => push.setAside !== undefined).map((push) => ({ column, push })),
  );
  return (
    <article className="grid gap-4">
      {specification.deadlocks.length > 0 && (
        <section>
          <h2>Not yet to be issued</h2>
          {specification.deadlocks.map((deadlock) => (
            <p key={deadlock.message} className="problem">
              {deadlock.message}
            </p>
          ))}
        </section>
      )}
      <section>
        <h2>Found</h2>
        <p>
          {board.rows.map((row, at) => (
            <span key={row.finding}>
              {at > 0 && '; '}
              {definitionOf(row.finding).label.toLowerCase()}: <strong>{row.says}</strong>
              {row.sides.length === 1 && definitionOf(row.finding).scope === 'foot' && ` (${row.sides[0]})`}
            </span>
          ))}
          .
        </p>
      </section>
      <section>
        <h2>Prescribed, and why</h2>
        <DataTable
          rows={board.columns}
          keyOf={(column) => column.target.feature + (column.side ?? '')}
          columns={[
            { id: 'feature', head: 'Feature', namesRow: true, cell: nameOf },
            {
              id: 'target',
              head: 'Target',
              cell: ({ target }) => (
                <>
                  <strong>{targetInWords(target)}</strong>
                  <span className="block text-faint">
                    {firmnessWord(target)}
                    {isTense(target) && ', a compromise'}
                  </span>
                </>
              ),
            },
            { id: 'because', head: 'Because', cell: ({ target }) => <Reasons target={target} /> },
          ]}
        />
      </section>
      {(decided.length > 0 || aside.length > 0) && (
        <section>
          <h2>Decided by the clinician</h2>
          <ul>
            {decided.map((column) => (
              <li key={nameOf(column)}>
                {nameOf(column)} {DECISION_WORD[column.target.decision!.kind]}:{' '}
                {column.target.decision!.reason}.
                <WhatRulesSaid target={column.target} />
              </li>
            ))}
            {aside.map(({ column, push }) => (
              <li key={nameOf(column) + push.rule}>
                {nameOf(column)}: “{push.finding}” set aside: {push.setAside}.
              </li>
            ))}
          </ul>
        </section>
      )}
      {note && (
        <section>
          <h2>Note</h2>
          <p className="whitespace-pre-line">{note}</p>
        </section>
      )}
      <section>
        <h2>Not examined, though rules ask for it</h2>
        <p>
          {specification.open
            .slice(0, OPEN)
            .map(
              (question) =>
                `${definitionOf(question.finding).label}${question.sides.length === 1 ? ` (${question.sides[0]})` : ''}`,
            )
            .join('; ')}
          {specification.open.length > OPEN && `; ${specification.open.length - OPEN} more`}.
        </p>
      </section>
      {specification.cautions.length > 0 && (
        <section>
          <h2>Cautions</h2>
          <ul>
            {specification.cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        </section>
      )}
      <p className="text-faint text-sm">
        School: {SCHOOL_CHOICES[specification.school].label}. Rules: {specification.knowledge}.{' '}
        {LIMITS_OF_USE} {SHEET_CAUTION}
      </p>
    </article>
  );
}

/** Reasons of one target, heaviest first, each with evidence and source. */
function Reasons({ target }: { target: Target }) {
  const displayWeight = (push: Push) => (push.strength === 'limit' ? 100 : push.weight);
  const active = target.pushes
    .filter((push) => push.setAside === undefined)
    .toSorted((a, b) => displayWeight(b) - displayWeight(a));
  return (
    <ul>
      {active.map((push) => (
        <li key={push.rule + push.strength + JSON.stringify(push.want)}>
          {push.finding} ({wantInWords(target.feature, push.want)}): {push.because}{' '}
          <span className="text-faint">
            {push.strength}, {push.evidence}; {push.sources.map(sourceInWords).join('; ')}
            {push.contestedBy.length > 0 && '; contested'}
          </span>
        </li>
      ))}
      {active.length === 0 && <li>The clinician’s decision alone.</li>}
    </ul>
  );
}

/** What the rules said of a target that was decided otherwise. */
function WhatRulesSaid({ target }: { target: Target }) {
  const ruled = ruledTarget(target);
  return ruled && <> The rules said {targetInWords(ruled)}.</>;
}
