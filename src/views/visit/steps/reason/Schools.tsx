import { useMemo, useState } from 'react';
import { call, failureInWords } from '@/contract/client';
import { SCHOOL_CHOICES, type SchoolChoice } from '@/core/knowledge/schools';
import { type ComparedTargetRow, compareSchools } from '@/core/prescribe/explain/compare-schools';
import { firmnessWord, targetInWords } from '@/core/prescribe/explain/in-words';
import { featureOf } from '@/core/shoe/features';
import { useVisit } from '../../visit-context';
import { useChoices } from './use-choices';

const COLUMNS: readonly SchoolChoice[] = ['comfort', 'load', 'shape', 'balanced'];

/** The schools beside each other: what each would prescribe for this picture, differences lit. */
export function Schools() {
  const { picture, options, school, visit, readOnly } = useVisit();
  const { save } = useChoices();
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
      <table className="text-sm schools">
        <thead>
          <tr>
            <th scope="col">
              {differing.length} of {rows.length} differ{' '}
              {differing.length > 0 && (
                <button type="button" className="press press-quiet" onClick={() => setAll(!all)}>
                  {all ? 'Only these' : 'Show all'}
                </button>
              )}
            </th>
            {COLUMNS.map((choice) => (
              <th key={choice} scope="col" aria-current={choice === school || undefined}>
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
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row) => (
            <SchoolRow key={row.feature + (row.side ?? '')} row={row} schools={schools} />
          ))}
        </tbody>
      </table>
      {rows.length === 0 && <p className="text-faint">No school asks for anything yet.</p>}
      <p className="text-faint text-xs">{SCHOOL_CHOICES.balanced.says}</p>
    </div>
  );
}

/** One feature under each school; what stands alone among the three camps is lit by weight and a rule under it. */
function SchoolRow({ row, schools }: { row: ComparedTargetRow; schools: readonly SchoolChoice[] }) {
  const targetOf = (choice: SchoolChoice) => row.targets[schools.indexOf(choice)] ?? null;
  const says = (choice: SchoolChoice) => {
    const target = targetOf(choice);
    return target ? targetInWords(target) : '';
  };
  const camps = (['comfort', 'load', 'shape'] as const).map(says);
  return (
    <tr>
      <th scope="row">
        {featureOf(row.feature).label}
        {row.side && `, ${row.side}`}
      </th>
      {COLUMNS.map((choice) => {
        const words = says(choice);
        const alone =
          row.differs && camps.filter((other) => other === words).length === 1 && choice !== 'balanced';
        const target = targetOf(choice);
        return (
          <td key={choice} data-alone={alone || undefined}>
            {target ? (
              <>
                {words} <span className="text-faint text-xs">{firmnessWord(target)}</span>
              </>
            ) : (
              <span className="text-faint">asks nothing</span>
            )}
          </td>
        );
      })}
    </tr>
  );
}
