import { useState } from 'react';
import { type Answer, failureInWords } from '@/contract/answer';
import type { ModelLifeRecord } from '@/contract/answers/pairs';
import { call } from '@/contract/client';
import type { ModelRecord } from '@/contract/records';
import { profileOf } from '@/core/catalogue/drawing-of-model';
import { pairsInStock } from '@/core/catalogue/model';
import { printPrice } from '@/core/formats/formats';
import { versionDifferences } from '@/core/match/version-differences';
import { FEATURE_IDS, FEATURES, isPerFoot, printFeature } from '@/core/shoe/features';
import { minimalistIndexOf } from '@/core/shoe/minimalist-index';
import { MOTION_CONTROL_MOST, motionControlScaleOf } from '@/core/shoe/motion-control-scale';
import { decidingReading, disagreements, VALUE_SOURCES } from '@/core/shoe/readings/readings';
import { offsetInWords } from '@/core/sizing/learned/offset-in-words';
import { SIZE_SYSTEM_LABEL } from '@/core/sizing/systems';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { DayInput } from '@/ui/fields/DayInput';
import { Field } from '@/ui/fields/Field';
import { clinicFormats, writtenDay } from '@/ui/formats';
import { DataTable } from '@/ui/table/DataTable';
import { ModelLife } from './ModelLife';
import { ShelfGrid } from './ShelfGrid';

/** What a model has: room in front of the toes and what each foot has for itself are no property of it. */
const SHOWN = FEATURE_IDS.filter((id) => id !== 'toeRoom' && !isPerFoot(id));

/** All that is known of one model: values with source and day, shelf, versions, wearers, tests, changes. */
export function ModelPage({ record: given, life }: { record: ModelRecord; life: ModelLifeRecord }) {
  const [record, setRecord] = useState(given);
  const [answer, setAnswer] = useState<Answer<ModelRecord> | null>(null);
  const { model, readings, versions, wearers } = record;
  const change = async (part: object) => {
    const result = await call('changeModel', { params: { id: model.id }, body: part });
    setAnswer(result);
    if (result.ok) setRecord(result.value);
  };
  const differ = new Set(disagreements(readings).map(({ feature }) => feature));
  const scale = motionControlScaleOf(model.features);
  const index = minimalistIndexOf(model.features);
  const range = ({ least, most }: { least: number; most: number }) =>
    least === most ? String(most) : `${least} to ${most}`;
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_24rem] gap-8">
      <section aria-labelledby="values">
        <h2 id="values">Values, and where each comes from</h2>
        <p className="text-faint">
          Motion-control scale {range(scale)} of {MOTION_CONTROL_MOST}; minimalist index {range(index)} %. A
          bench test counts before the maker.
        </p>
        <DataTable
          spacing="tight"
          rows={SHOWN}
          keyOf={String}
          rowProps={(id) => ({ className: differ.has(id) ? 'bg-desk' : '' })}
          columns={[
            { id: 'feature', head: 'Feature', namesRow: true, cell: (id) => FEATURES[id].label },
            {
              id: 'value',
              head: 'Value',
              cell: (id) => {
                const counts = decidingReading(readings[id]);
                return counts ? (
                  printFeature(id, counts.value)
                ) : (
                  <span className="italic text-faint">not known</span>
                );
              },
            },
            {
              id: 'from',
              head: 'From',
              className: 'text-faint',
              cell: (id) => {
                const counts = decidingReading(readings[id]);
                return counts && `${VALUE_SOURCES[counts.from]}, ${writtenDay(counts.on)}`;
              },
            },
            {
              id: 'otherwise',
              head: 'Otherwise said',
              className: (id) => (differ.has(id) ? 'text-hold' : 'text-faint'),
              cell: (id) => {
                const counts = decidingReading(readings[id]);
                return readings[id]
                  ?.filter((reading) => reading !== counts)
                  .map(
                    (reading) =>
                      `${VALUE_SOURCES[reading.from]} ${printFeature(id, reading.value)}, ${writtenDay(reading.on)}`,
                  )
                  .join('; ');
              },
            },
          ]}
        />
      </section>
      <div className="grid grid-cols-[minmax(0,1fr)] gap-4 content-start min-w-0">
        <ShoeDrawing drawing={profileOf(model)} ruler className="w-full" />
        <p>
          <a className="press press-main" href={`/shoes/${model.id}/bench`}>
            Bench test
          </a>
        </p>
        <section aria-labelledby="sizes">
          <h2 id="sizes">Sizes and shelf</h2>
          <p>
            {SIZE_SYSTEM_LABEL[model.sizing.system]}, {model.sizing.group}; the maker adds{' '}
            {model.sizing.allowanceMm} mm. {pairsInStock(model)} pairs on the shelf
            {model.price !== null && `, ${printPrice(model.price, clinicFormats())}`}
            {model.status === 'discontinued' && '; no longer made'}.
          </p>
          {model.learned && (
            <ul className="text-sm">
              <li>Length, from fittings here: {offsetInWords('length', model.learned.length)}.</li>
              <li>Width: {offsetInWords('width', model.learned.width)}.</li>
            </ul>
          )}
          <ShelfGrid model={model} onCount={(key, count) => change({ stock: { [key]: count } })} />
          <div className="flex flex-wrap gap-4 items-end mt-2 text-sm">
            <label>
              <span className="block text-faint">Batch, as the boxes there say</span>
              <input
                className="w-32"
                maxLength={60}
                key={model.boxes.batch}
                defaultValue={model.boxes.batch ?? ''}
                onBlur={({ target }) => {
                  const batch = target.value.trim();
                  if (batch !== (model.boxes.batch ?? '')) change({ batch: batch || null });
                }}
              />
            </label>
            <MadeOn
              key={model.boxes.madeOn}
              kept={model.boxes.madeOn ?? ''}
              onKeep={(madeOn) => change({ madeOn: madeOn || null })}
            />
          </div>
          {answer && !answer.ok && (
            <p role="alert" className="problem">
              {failureInWords(answer)}
            </p>
          )}
        </section>
        <ModelLife life={life} />
        <section aria-labelledby="versions">
          <h2 id="versions">Versions</h2>
          <ul className="text-sm">
            {versions.map((version) => {
              const before = versions.find(({ id }) => id === version.replaces);
              return (
                <li key={version.id} className="border-b border-line py-1">
                  {version.id === model.id ? (
                    <strong>{version.version}</strong>
                  ) : (
                    <a href={`/shoes/${version.id}`}>{version.version}</a>
                  )}{' '}
                  {version.status === 'discontinued' ? 'no longer made' : 'made now'}
                  {before && (
                    <span className="block text-faint">
                      Against {before.version}:{' '}
                      {versionDifferences(before, version).join('; ') || 'nothing that is stated'}
                    </span>
                  )}
                </li>
              );
            })}
          </ul>
        </section>
        <section aria-labelledby="wearers">
          <h2 id="wearers">Worn by</h2>
          {wearers.length === 0 ? (
            <p className="text-faint">Nobody at present.</p>
          ) : (
            <ul className="text-sm">
              {wearers.map((wearer) => {
                const version = versions.find(({ id }) => id === wearer.modelId);
                const forerunner = versions.some(({ replaces }) => replaces === wearer.modelId);
                return (
                  <li key={wearer.patientId + wearer.since}>
                    <a href={`/patients/${wearer.patientId}`}>{wearer.name}</a>, version {version?.version},
                    since {wearer.since}
                    {forerunner && <span className="text-hold"> a later version has taken its place</span>}
                  </li>
                );
              })}
            </ul>
          )}
        </section>
        {record.changes.length > 0 && (
          <section aria-labelledby="changes">
            <h2 id="changes">What changed</h2>
            <ul className="text-sm">
              {record.changes.map((entry) => (
                <li key={entry.at + entry.what}>
                  {writtenDay(entry.at)} {entry.what} <span className="text-faint">({entry.by})</span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </div>
    </div>
  );
}

/** The day of making on the boxes of the shelf; kept when the field is left. */
function MadeOn({ kept, onKeep }: { kept: string; onKeep: (day: string) => void }) {
  const [day, setDay] = useState(kept);
  return (
    <Field label="Made on">
      {(control) => (
        <DayInput
          value={day}
          onChange={setDay}
          onBlur={() => {
            if (day !== kept) onKeep(day);
          }}
          {...control}
        />
      )}
    </Field>
  );
}
