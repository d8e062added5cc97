import { useState } from 'react';
import type { LimbPage } from '@/contract/limb';
import { SUSPENSIONS } from '@/core/prosthesis/drawer';
import { LIMB_LEVELS, type LimbRecord } from '@/core/prosthesis/limb-record';
import { DayInput } from '@/ui/fields/DayInput';
import { Field } from '@/ui/fields/Field';
import { Select } from '@/ui/fields/Select';
import { writtenDay } from '@/ui/formats';
import type { Limb } from './use-limb';

/** Level, suspension, socket, foot and days of therapy; what a visit measures of the foot beside it. */
export function LimbForm({ limb, page }: { limb: Limb; page: LimbPage }) {
  const [draft, setDraft] = useState<Partial<LimbRecord>>({});
  const [day, setDay] = useState('');
  const record = { ...page.record, ...draft };
  const put = (part: Partial<LimbRecord>) => setDraft({ ...draft, ...part });
  const { foot } = page;
  const mm = (value: number | null) => (value === null ? 'not measured' : `${value} mm`);
  return (
    <div className="grid grid-cols-2 max-md:grid-cols-1 gap-8 items-start">
      <section aria-label="Record of the prosthesis" className="grid gap-3">
        <div className="flex flex-wrap gap-4">
          <Select
            label="Level"
            options={LIMB_LEVELS}
            none="not said"
            value={record.level}
            onChange={(level) => put({ level })}
          />
          <Select
            label="Held by"
            options={SUSPENSIONS}
            none="not said"
            value={record.suspension}
            onChange={(suspension) => put({ suspension })}
          />
          <Field label="Socket made on" hint="its log begins then">
            {(control) => (
              <DayInput
                value={record.socketOn ?? ''}
                onChange={(socketOn) => put({ socketOn: socketOn || undefined })}
                {...control}
              />
            )}
          </Field>
        </div>
        <Field label="Foot, as its maker calls it">
          {(control) => (
            <input
              className="w-80"
              maxLength={120}
              value={record.foot ?? ''}
              onChange={({ target }) => put({ foot: target.value || undefined })}
              {...control}
            />
          )}
        </Field>
        <div className="grid gap-1">
          <span className="text-faint">Days of therapy: no new pair on them or the day before</span>
          <ul className="flex flex-wrap gap-2">
            {record.therapyOn.map((on) => (
              <li key={on} className="flex gap-1 items-baseline">
                {writtenDay(on)}
                <button
                  type="button"
                  className="press press-quiet"
                  aria-label={`Take out ${writtenDay(on)}`}
                  onClick={() => put({ therapyOn: record.therapyOn.filter((one) => one !== on) })}
                >
                  ×
                </button>
              </li>
            ))}
          </ul>
          <p className="flex gap-2">
            <DayInput aria-label="Another day of therapy" value={day} onChange={setDay} />
            <button
              type="button"
              className="press"
              disabled={day === ''}
              onClick={() => {
                put({ therapyOn: [...new Set([...record.therapyOn, day])].toSorted() });
                setDay('');
              }}
            >
              Add the day
            </button>
          </p>
        </div>
        {Object.keys(draft).length > 0 && (
          <button
            type="button"
            className="press press-main justify-self-start"
            onClick={() => void limb.save(draft).then((answer) => answer?.ok && setDraft({}))}
          >
            Keep the record
          </button>
        )}
      </section>
      <section aria-label="The foot, from the latest visit">
        <h2>The foot, from the latest visit</h2>
        {foot ? (
          <dl className="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
            <dt className="text-faint">Side</dt>
            <dd>{foot.side}</dd>
            <dt className="text-faint">Set for a heel rise of</dt>
            <dd className={foot.setRiseMm === null ? 'text-hold' : 'figure'}>{mm(foot.setRiseMm)}</dd>
            <dt className="text-faint">Heel to ball</dt>
            <dd className="figure">{mm(foot.leverMm)}</dd>
            <dt className="text-faint">Heel point from the back</dt>
            <dd className="figure">{mm(foot.heelAtMm)}</dd>
            <dt className="text-faint">Ankle</dt>
            <dd>
              {foot.ankleToMm === null
                ? 'fixed, or not said'
                : `adjustable up to ${foot.ankleToMm} mm: costs energy return and stability`}
            </dd>
          </dl>
        ) : (
          <p className="text-faint">
            No prosthesis has been recorded yet. Enter it at a visit, under Prosthesis.
          </p>
        )}
      </section>
    </div>
  );
}
