import { useState } from 'react';
import type { OutcomeRecord } from '@/contract/answers/outcomes';
import { alarmsOf, compareOutcomes, NEXT_STEPS, nextSteps, SKIN_SIGNS } from '@/core/outcomes/outcome';
import { ChangeBand } from '@/ui/drawing/ChangeBand';
import { writtenDay } from '@/ui/formats';
import { DataTable } from '@/ui/table/DataTable';
import { OutcomeForm } from './OutcomeForm';

const WORD = {
  better: 'better',
  worse: 'worse',
  'no real change': 'no real change',
  'not judged': 'not judged',
} as const;

/** What became of a pair: the first measures against the last, what comes next, and the measures of one more day. */
export function Outcomes({
  pairId,
  given,
  today,
  readOnly,
}: {
  pairId: string;
  given: OutcomeRecord;
  today: string;
  readOnly: boolean;
}) {
  const [record, setRecord] = useState(given);
  const { taken, dueOn } = record;
  const [baseline] = taken;
  const now = taken.at(-1);
  const changes = baseline && now && taken.length > 1 ? compareOutcomes(baseline, now) : [];
  const alarms = now ? alarmsOf(now) : [];
  const steps = nextSteps(changes, alarms);
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_22rem] gap-8">
      <div className="grid gap-3 content-start">
        {!readOnly && dueOn && (
          <p className={dueOn <= today ? 'text-hold' : ''}>
            {dueOn <= today ? 'Due since' : 'Next'} <strong>{writtenDay(dueOn)}</strong>: at two, six and
            twelve weeks, then every half year, or as the feet ask.
          </p>
        )}
        {alarms.map((alarm) => (
          <p key={alarm} role="alert" className="problem">
            {alarm}
          </p>
        ))}
        {!baseline && (
          <p className="text-faint">Nothing was measured yet: the first measures are the baseline.</p>
        )}
        {baseline && taken.length === 1 && (
          <p>Only the baseline of {writtenDay(baseline.on)}: what is measured next is held against it.</p>
        )}
        {changes.length > 0 && baseline && now && (
          <>
            <p>
              {writtenDay(baseline.on)} (line) against {writtenDay(now.on)} (dot). Inside the band a
              difference means nothing.
            </p>
            <ul className="grid gap-1.5">
              {changes.map((change) => (
                <li
                  key={change.measure}
                  className="grid grid-cols-[9rem_14rem_minmax(0,1fr)] gap-3 items-center"
                >
                  <span>{change.measure}</span>
                  <ChangeBand change={change} />
                  <span>
                    <strong className={change.reading === 'worse' ? 'text-warn' : ''}>
                      {WORD[change.reading]}
                    </strong>
                    , {change.baseline} then {change.now}
                    <span className="block text-faint text-xs">{change.mark}</span>
                  </span>
                </li>
              ))}
            </ul>
          </>
        )}
        {steps.length > 0 && (
          <section aria-label="What comes next">
            <h3>What comes next</h3>
            <ol className="list-decimal ps-5">
              {steps.map((step) => (
                <li key={step}>{NEXT_STEPS[step]}</li>
              ))}
            </ol>
          </section>
        )}
        {taken.length > 0 && <Taken record={record} />}
      </div>
      {!readOnly && (
        <OutcomeForm
          key={taken.length}
          pairId={pairId}
          today={today}
          activities={now?.activities?.map(({ name }) => name) ?? []}
          onKept={setRecord}
        />
      )}
    </div>
  );
}

/** Every day on which something was measured, newest first. */
function Taken({ record }: { record: OutcomeRecord }) {
  const figure = (value: number | undefined) => value ?? '';
  return (
    <DataTable
      spacing="close"
      rows={record.taken.toReversed()}
      keyOf={({ on }) => on}
      columns={[
        { id: 'on', head: 'Day', namesRow: true, cell: ({ on }) => writtenDay(on) },
        { id: 'comfort', head: 'Comfort', figure: true, cell: ({ comfort }) => figure(comfort) },
        { id: 'pain', head: 'Pain', figure: true, cell: ({ pain }) => figure(pain) },
        {
          id: 'activities',
          head: 'Own activities',
          cell: ({ activities = [] }) => activities.map(({ name, score }) => `${name} ${score}`).join(', '),
        },
        {
          id: 'worn',
          head: 'Worn',
          cell: ({ hoursADay, daysAWeek }) =>
            [
              ...(hoursADay === undefined ? [] : [`${hoursADay} h a day`]),
              ...(daysAWeek === undefined ? [] : [`${daysAWeek} days a week`]),
            ].join(', '),
        },
        {
          id: 'seen',
          head: 'Skin, falls',
          cell: ({ skin = [], falls }) =>
            [...skin.map((sign) => SKIN_SIGNS[sign]), ...(falls ? [`falls: ${falls}`] : [])].join(', '),
        },
        { id: 'by', head: 'By', cell: ({ by }) => by },
      ]}
    />
  );
}
