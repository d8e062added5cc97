import { useState } from 'react';
import type { OutcomeRecord } from '@/contract/answers/outcomes';
import type { PairLogEntry } from '@/contract/records';
import { FINDINGS } from '@/core/findings/findings';
import { COMFORT_ZONES } from '@/core/fitting/try-on';
import { gaitName } from '@/core/outcomes/gait-number';
import {
  alarmsOf,
  compareOutcomes,
  NEXT_STEPS,
  type NextStep,
  nextSteps,
  type OutcomeChange,
  SKIN_SIGNS,
} from '@/core/outcomes/outcome';
import { keysOf } from '@/core/tables/keys-of';
import { writtenDay } from '@/ui/formats';
import { DataTable } from '@/ui/table/DataTable';
import { ChangeList } from '../measures/ChangeList';
import { OutcomeForm } from './OutcomeForm';

/** Steps that a review of the pair takes; the others ask for a visit. */
const IN_A_REVIEW: ReadonlySet<NextStep> = new Set(['refit', 'refer']);

/** What became of a pair: the first measures against the last, what comes next, and the measures of one more day. */
export function Outcomes({
  pairId,
  given,
  log,
  today,
  readOnly,
}: {
  pairId: string;
  /** How far it had gone by each day is read from it. */
  log: readonly PairLogEntry[];
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
            {dueOn <= today ? 'Due since' : 'Next'} <strong>{writtenDay(dueOn)}</strong>.
          </p>
        )}
        {alarms.map((alarm) => (
          <p key={alarm} role="alert" className="problem">
            {alarm}
          </p>
        ))}
        {!baseline && (
          <p className="text-faint">Nothing has been measured yet: the first measures are the baseline.</p>
        )}
        {baseline && taken.length === 1 && (
          <p>Only the baseline of {writtenDay(baseline.on)}: what is measured next is compared with it.</p>
        )}
        {changes.length > 0 && baseline && now && (
          <>
            <p>
              {writtenDay(baseline.on)} (line) against {writtenDay(now.on)} (dot). Inside the band a
              difference means nothing.
            </p>
            <ChangeList changes={changes} />
            <Marks changes={changes} />
          </>
        )}
        {steps.length > 0 && (
          <section aria-label="What comes next">
            <h3>What comes next</h3>
            <ol className="list-decimal ps-5">
              {steps.map((step) => (
                <li key={step}>
                  {readOnly || !IN_A_REVIEW.has(step) ? (
                    NEXT_STEPS[step]
                  ) : (
                    <a href={`/pairs/${pairId}/review`}>{NEXT_STEPS[step]}</a>
                  )}
                </li>
              ))}
            </ol>
          </section>
        )}
        {taken.length > 0 && <Taken record={record} log={log} />}
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

/** Where each smallest real change comes from, once each. */
function Marks({ changes }: { changes: readonly OutcomeChange[] }) {
  const marks = new Map<string, Set<string>>();
  // What is said of comfort holds for each part of the shoe.
  for (const { mark, measure } of changes)
    marks.set(mark, (marks.get(mark) ?? new Set()).add(measure.replace(/^(Comfort), .*/, '$1')));
  return (
    <p className="text-faint text-xs">
      {[...marks].map(([mark, measures]) => `${[...measures].join(', ')}: ${mark}`).join('. ')}.
    </p>
  );
}

/** Every day on which something was measured, newest first. */
function Taken({ record, log }: { record: OutcomeRecord; log: readonly PairLogEntry[] }) {
  const kmBy = (on: string) =>
    log.reduce((sum, entry) => (entry.on <= on ? sum + (entry.distanceKm ?? 0) : sum), 0);
  const figure = (value: number | undefined) => value ?? '';
  return (
    <DataTable
      spacing="close"
      rows={record.taken.toReversed()}
      keyOf={({ on }) => on}
      columns={[
        { id: 'on', head: 'Day', namesRow: true, cell: ({ on }) => writtenDay(on) },
        {
          id: 'comfort',
          head: 'Comfort',
          cell: ({ comfort, zones = {} }) =>
            [
              figure(comfort),
              ...keysOf(COMFORT_ZONES).flatMap((zone) =>
                zones[zone] === undefined ? [] : [`${COMFORT_ZONES[zone]} ${zones[zone]}`],
              ),
            ].join(' '),
        },
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
          cell: ({ skin = [], skinAt = [], falls }) =>
            [
              ...skin.map((sign) => SKIN_SIGNS[sign]),
              ...skinAt.map(
                ({ side, place, sign }) => `${SKIN_SIGNS[sign]} ${side}, ${FINDINGS.rubbedAt.options[place]}`,
              ),
              ...(falls ? [`falls: ${falls}`] : []),
            ].join('; '),
        },
        {
          id: 'gait',
          head: 'Gait, totals',
          cell: ({ gait = [], questionnaires = [] }) =>
            [
              ...gait.map((number) => `${gaitName(number)} ${number.value}`),
              ...questionnaires.map(({ name, total }) => `${name} ${total}`),
            ].join('; '),
        },
        ...(log.some(({ distanceKm }) => distanceKm !== null)
          ? [
              {
                id: 'distance',
                head: 'km so far',
                figure: true as const,
                cell: ({ on }: OutcomeRecord['taken'][number]) => Math.round(kmBy(on)),
              },
            ]
          : []),
        { id: 'by', head: 'By', cell: ({ by }) => by },
      ]}
    />
  );
}
