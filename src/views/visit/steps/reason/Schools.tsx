import { useMemo, useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { DISAGREEMENTS, type Disagreement } from '@/core/knowledge/disagreements';
import { SCHOOL_CHOICES, type SchoolChoice } from '@/core/knowledge/schools';
import type { Target } from '@/core/prescribe/engine/specification';
import { type ComparedTargetRow, compareSchools } from '@/core/prescribe/explain/compare-schools';
import { firmnessWord, targetInWords } from '@/core/prescribe/explain/in-words';
import { featureOf } from '@/core/shoe/features';
import { DataTable } from '@/ui/table/DataTable';
import { useVisit } from '../../visit-context';
import { useChoices } from './use-choices';

const CAMPS = ['comfort', 'load', 'shape'] as const satisfies readonly SchoolChoice[];
const COLUMNS: readonly SchoolChoice[] = [...CAMPS, 'balanced'];

/** The schools beside each other: what each would prescribe for this picture, differences lit. */
export function Schools() {
  const { picture, options, school, visit } = useVisit();
  const { save, readOnly } = useChoices();
  const [all, setAll] = useState(false);
  const [own, setOwn] = useState(visit.patient.school);
  const [message, setMessage] = useState('');
  const { schools, rows } = useMemo(() => compareSchools(picture, options), [picture, options]);
  const differing = rows.filter((row) => row.differs);
  const shown = all || differing.length === 0 ? rows : differing;
  const keep = async (choice: SchoolChoice | null) => {
    const answer = await call('changePatient', {
      params: { id: visit.patient.id },
      body: { school: choice },
    });
    if (answer.ok) setOwn(choice);
    setMessage(answer.ok ? 'Kept with the patient.' : failureInWords(answer));
  };
  const targetUnder = (row: ComparedTargetRow, choice: SchoolChoice): Target | null =>
    row.targets[schools.indexOf(choice)] ?? null;
  const wordsUnder = (row: ComparedTargetRow, choice: SchoolChoice): string => {
    const target = targetUnder(row, choice);
    return target ? targetInWords(target) : '';
  };
  /** One of the three camps alone asks for this: it is lit by ground and a rule beside it. */
  const standsAlone = (row: ComparedTargetRow, choice: SchoolChoice): boolean =>
    row.differs &&
    choice !== 'balanced' &&
    CAMPS.filter((camp) => wordsUnder(row, camp) === wordsUnder(row, choice)).length === 1;
  return (
    <div className="grid gap-2">
      <p className="text-sm">
        Clinic’s default: <strong>{SCHOOL_CHOICES[visit.clinic.school].label}</strong>. Patient’s own:{' '}
        <strong>{own ? SCHOOL_CHOICES[own].label : 'none'}</strong>. This visit:{' '}
        <strong>{SCHOOL_CHOICES[school].label}</strong>.{' '}
        {!readOnly && own !== school && (
          <button type="button" className="press press-quiet" onClick={() => keep(school)}>
            Keep {SCHOOL_CHOICES[school].label} as this patient’s own
          </button>
        )}
        {!readOnly && own && (
          <button type="button" className="press press-quiet" onClick={() => keep(null)}>
            No school of the patient’s own
          </button>
        )}{' '}
        <span role="status">{message}</span>
      </p>
      <DataTable
        spacing="close"
        rows={shown}
        keyOf={(row) => row.feature + (row.side ?? '')}
        columns={[
          {
            id: 'feature',
            namesRow: true,
            head: (
              <>
                {differing.length} of {rows.length} differ{' '}
                {differing.length > 0 && (
                  <button type="button" className="press press-quiet" onClick={() => setAll(!all)}>
                    {all ? 'Only these' : 'Show all'}
                  </button>
                )}
              </>
            ),
            cell: (row) => (
              <>
                {featureOf(row.feature).label}
                {row.side && `, ${row.side}`}
              </>
            ),
          },
          ...COLUMNS.map((choice) => ({
            id: choice,
            head: (
              <span aria-current={choice === school || undefined}>
                <span className={choice === school ? 'text-ink font-semibold' : ''}>
                  {SCHOOL_CHOICES[choice].label}
                </span>{' '}
                {choice !== school && !readOnly && (
                  <button
                    type="button"
                    className="press press-quiet"
                    onClick={() => save({ school: choice })}
                  >
                    Use
                  </button>
                )}
              </span>
            ),
            className: (row: ComparedTargetRow) => (standsAlone(row, choice) ? 'alone' : ''),
            cell: (row: ComparedTargetRow) => <AskedFor target={targetUnder(row, choice)} />,
          })),
        ]}
      />
      {rows.length === 0 && <p className="text-faint">No school asks for anything yet.</p>}
      <p className="text-faint text-xs">{SCHOOL_CHOICES.balanced.says}</p>
      <details>
        <summary className="cursor-pointer">Where they disagree, beyond features</summary>
        <DataTable
          spacing="close"
          rows={DISAGREEMENTS}
          keyOf={({ question }) => question}
          columns={[
            { id: 'question', head: 'Question', namesRow: true, cell: ({ question }) => question },
            ...CAMPS.map((camp) => ({
              id: camp,
              head: SCHOOL_CHOICES[camp].label,
              cell: ({ answers }: Disagreement) =>
                answers[camp] ?? <span className="text-faint">no view</span>,
            })),
            {
              id: 'single',
              head: 'Some practitioners',
              cell: ({ single }) => single ?? '',
            },
          ]}
        />
      </details>
    </div>
  );
}

/** What one school asks of a feature, and how firmly. */
function AskedFor({ target }: { target: Target | null }) {
  if (!target) return <span className="text-faint">asks nothing</span>;
  return (
    <>
      {targetInWords(target)} <span className="text-faint text-xs">{firmnessWord(target)}</span>
    </>
  );
}
