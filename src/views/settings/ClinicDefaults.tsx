import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { ClinicRecord } from '@/contract/records';
import { BREAK_IN_SCHOOLS, type BreakInSchool } from '@/core/break-in/schools';
import { SCHOOL_CHOICES, type SchoolChoice } from '@/core/knowledge/schools';
import { mapTable } from '@/core/tables/keys-of';
import { milesToKm } from '@/core/units/distance';
import { BRING_IN, type BringIn } from '@/core/wear/bring-in';
import { LIFE_SCHOOLS, type LifeSchool } from '@/core/wear/life-schools';
import { Select } from '@/ui/fields/Select';
import { clinicFormats } from '@/ui/formats';

const PRESCRIBING = mapTable(SCHOOL_CHOICES, ({ label }) => label);
const REPLACING = mapTable(LIFE_SCHOOLS, ({ label }) => label);

/** The range that a camp states, in the clinic’s unit; it was stated in miles. */
function rangeOf(school: LifeSchool): string {
  const [least, most] = LIFE_SCHOOLS[school].miles;
  const stated = `${least}–${most} miles`;
  const km = (miles: number) => Math.round(milesToKm(miles) / 10) * 10;
  return clinicFormats().distance === 'mi' ? stated : `${km(least)}–${km(most)} km (stated as ${stated})`;
}

/** What a camp says of the calendar, where it says anything. */
const monthsOf = (school: LifeSchool): string => {
  const stated = LIFE_SCHOOLS[school];
  return 'months' in stated
    ? `; without distances ${stated.months.join('–')} months`
    : '; no months are stated: without a distance only the ageing of the foam is mentioned';
};

const HOURS = Object.fromEntries(Array.from({ length: 24 }, (_, hour) => [String(hour), `${hour}:00`]));

/** The clinic's school of prescribing and of replacing; only the lead changes them. */
export function ClinicDefaults({ clinic, mayChange }: { clinic: ClinicRecord; mayChange: boolean }) {
  const [school, setSchool] = useState(clinic.school);
  const [lifeSchool, setLifeSchool] = useState(clinic.lifeSchool);
  const [bringIn, setBringIn] = useState(clinic.bringIn);
  const [message, setMessage] = useState('');
  const [breakIn, setBreakIn] = useState(clinic.breakInSchool);
  const [phone, setPhone] = useState(clinic.phone);
  const [quiet, setQuiet] = useState({ from: clinic.quietFrom, to: clinic.quietTo });
  const [digest, setDigest] = useState(clinic.digest);
  const save = async (change: {
    quietFrom?: number;
    quietTo?: number;
    digest?: boolean;
    school?: SchoolChoice;
    lifeSchool?: LifeSchool;
    bringIn?: BringIn;
    breakInSchool?: BreakInSchool;
    phone?: string;
  }) => {
    const answer = await call('changeClinic', { body: change });
    setMessage(
      answer.ok ? 'Saved. New visits use it; what was issued stays as it was.' : failureInWords(answer),
    );
  };
  return (
    <section aria-labelledby="defaults" className="border-t border-rule pt-2">
      <h2 id="defaults">Clinic defaults</h2>
      <div className="grid md:grid-cols-2 gap-8 mt-2">
        <div>
          <Select
            label="School of prescribing"
            options={PRESCRIBING}
            value={school}
            disabled={!mayChange}
            onChange={(value) => {
              if (!value) return;
              setSchool(value);
              void save({ school: value });
            }}
          />
          <span className="block text-faint mt-1">{SCHOOL_CHOICES[school].says}</span>
        </div>
        <div>
          <Select
            label="School of replacing"
            options={REPLACING}
            value={lifeSchool}
            disabled={!mayChange}
            onChange={(value) => {
              if (!value) return;
              setLifeSchool(value);
              void save({ lifeSchool: value });
            }}
          />
          <span className="block text-faint mt-1">
            Most pairs {rangeOf(lifeSchool)}
            {monthsOf(lifeSchool)}. Common practice.
          </span>
        </div>
        <div>
          <Select
            label="The next pair comes in"
            options={BRING_IN}
            value={bringIn}
            disabled={!mayChange}
            onChange={(value) => {
              if (!value) return;
              setBringIn(value);
              void save({ bringIn: value });
            }}
          />
          <span className="block text-faint mt-1">
            Each is common practice somewhere; Today lists a pair from that day on.
          </span>
        </div>
        <div>
          <Select
            label="New pairs are broken in"
            options={BREAK_IN_SCHOOLS}
            value={breakIn}
            disabled={!mayChange}
            onChange={(value) => {
              if (!value) return;
              setBreakIn(value);
              void save({ breakInSchool: value });
            }}
          />
          <span className="block text-faint mt-1">
            Each is common practice somewhere. Feet at risk, a new prosthesis and a brace have plans of their
            own.
          </span>
        </div>
        <div>
          <div className="flex gap-3">
            <Select
              label="No letters from"
              options={HOURS}
              value={String(quiet.from)}
              disabled={!mayChange}
              onChange={(value) => {
                setQuiet({ ...quiet, from: Number(value) });
                void save({ quietFrom: Number(value) });
              }}
            />
            <Select
              label="until"
              options={HOURS}
              value={String(quiet.to)}
              disabled={!mayChange}
              onChange={(value) => {
                setQuiet({ ...quiet, to: Number(value) });
                void save({ quietTo: Number(value) });
              }}
            />
          </div>
          <label className="flex gap-2 items-center mt-2">
            <input
              type="checkbox"
              checked={digest}
              disabled={!mayChange}
              onChange={(event) => {
                setDigest(event.currentTarget.checked);
                void save({ digest: event.currentTarget.checked });
              }}
            />
            A letter to the leads each Monday: how many are waiting, and for what
          </label>
        </div>
        <div>
          <label>
            <span className="block text-faint">Number on the patients’ sheets</span>
            <input
              type="tel"
              maxLength={60}
              value={phone}
              disabled={!mayChange}
              onChange={({ target }) => setPhone(target.value)}
              onBlur={() => phone.trim() !== clinic.phone && save({ phone: phone.trim() })}
            />
          </label>
          <span className="block text-faint mt-1">Whom to call when a pair must come off.</span>
        </div>
      </div>
      <p role="status">{mayChange ? message : 'Only the clinic lead changes these.'}</p>
    </section>
  );
}
