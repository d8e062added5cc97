import { useState } from 'react';
import { call, sayWhy } from '@/api/client';
import type { ClinicRecord } from '@/api/records';
import { SCHOOL_CHOICES, type SchoolChoice } from '@/core/knowledge/schools';
import { LIFE_SCHOOLS, type LifeSchool } from '@/core/wear/life-schools';

/** The clinic's school of prescribing and of replacing; only the lead changes them. */
export function ClinicDefaults({ clinic, mayChange }: { clinic: ClinicRecord; mayChange: boolean }) {
  const [school, setSchool] = useState(clinic.school);
  const [lifeSchool, setLifeSchool] = useState(clinic.lifeSchool);
  const [said, setSaid] = useState('');
  const save = async (change: { school?: SchoolChoice; lifeSchool?: LifeSchool }) => {
    const answer = await call('PATCH', '/clinic', change);
    setSaid(answer.ok ? 'Saved. New visits use it; what was issued stays as it was.' : sayWhy(answer));
  };
  return (
    <section aria-labelledby="defaults" className="border-t border-rule pt-2">
      <h2 id="defaults">Clinic defaults</h2>
      <div className="grid grid-cols-2 gap-8 mt-2">
        <label>
          <span className="block text-faint">School of prescribing</span>
          <select
            value={school}
            disabled={!mayChange}
            onChange={(event) => {
              const value = event.target.value as SchoolChoice;
              setSchool(value);
              void save({ school: value });
            }}
          >
            {Object.entries(SCHOOL_CHOICES).map(([id, { label }]) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
          <span className="block text-faint mt-1">{SCHOOL_CHOICES[school].says}</span>
        </label>
        <label>
          <span className="block text-faint">School of replacing</span>
          <select
            value={lifeSchool}
            disabled={!mayChange}
            onChange={(event) => {
              const value = event.target.value as LifeSchool;
              setLifeSchool(value);
              void save({ lifeSchool: value });
            }}
          >
            {Object.entries(LIFE_SCHOOLS).map(([id, { label }]) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
          <span className="block text-faint mt-1">
            Most pairs {LIFE_SCHOOLS[lifeSchool].miles[0]}–{LIFE_SCHOOLS[lifeSchool].miles[1]} miles; without
            distances {LIFE_SCHOOLS[lifeSchool].months.join('–')} months. Common practice.
          </span>
        </label>
      </div>
      <p role="status">{mayChange ? said : 'Only the clinic lead changes these.'}</p>
    </section>
  );
}
