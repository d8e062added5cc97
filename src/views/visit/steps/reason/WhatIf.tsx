import { useMemo } from 'react';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { shoeValues } from '@/core/prescribe/engine/shoe-values';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { type FeatureValues, printFeature } from '@/core/shoe/features';
import { recallMark } from '@/core/sources/source';
import { isPublished, SOURCES } from '@/core/sources/sources';
import { keysOf } from '@/core/tables/keys-of';
import { LEG_REGIONS, LEVERS, type Lever } from '@/core/what-if/effects';
import { groundForceInWords } from '@/core/what-if/ground-force';
import { type LoadChange, type Scenario, scenarioOf, WHAT_IF_CAUTION, whatIf } from '@/core/what-if/what-if';
import { LegDrawing, sizeInWords } from '@/ui/drawing/LegDrawing';
import { OverlaidProfiles } from '@/ui/drawing/OverlaidProfiles';
import { DataTable } from '@/ui/table/DataTable';
import { useExamined, useHeld, useVisit } from '../../visit-context';
import { useChoices } from './use-choices';

const LEVER_IDS = keysOf(LEVERS);

function leverInWords(lever: Lever, value: number): string {
  const { unit } = LEVERS[lever];
  if (lever === 'stepRate') return value === 0 ? 'as now' : `+${value} %`;
  if (unit === 'mm') return `${value} mm`;
  return printFeature(lever, value);
}

/** The specified shoe as the levers change it: the step rate is no part of a shoe. */
const turnedShoe = (shoe: FeatureValues, { stepRate: _, ...levers }: Scenario): FeatureValues => ({
  ...shoe,
  ...levers,
  forefootStack: Math.max(4, levers.heelStack - levers.drop),
});

/** Turns the shoe and the step, and shows on a leg which way load would move; a scenario can be kept beside today's. */
export function WhatIf() {
  const { specification, visit, readOnly, picture } = useVisit();
  const { bodyMass } = picture.body;
  const { choices, save } = useChoices();
  const specified = useMemo(() => shoeValues(specification), [specification]);
  const today = useMemo(() => scenarioOf(specified), [specified]);
  const [turned, setTurned] = useHeld<Partial<Scenario>>('what-if', {});
  const now: Scenario = { ...today, ...turned };
  const changes = whatIf(today, now, visit.house.settings);
  const pinned = choices.scenario;
  const untouched = LEVER_IDS.every((lever) => now[lever] === today[lever]);
  return (
    <div className="grid gap-3">
      <div
        className={`grid gap-4 ${pinned ? 'grid-cols-[11rem_9rem_9rem_1fr]' : 'grid-cols-[13rem_14rem_1fr]'}`}
      >
        <div className="grid gap-0.5 content-start">
          {LEVER_IDS.map((lever) => {
            const { label, from, to, step } = LEVERS[lever];
            return (
              <label key={lever} className="block">
                <span className="flex justify-between">
                  {label}
                  <span className="figure font-medium">{leverInWords(lever, now[lever])}</span>
                </span>
                <input
                  type="range"
                  className="w-full"
                  min={from}
                  max={to}
                  step={step}
                  value={now[lever]}
                  aria-valuetext={leverInWords(lever, now[lever])}
                  onChange={(event) => setTurned({ ...turned, [lever]: Number(event.target.value) })}
                />
              </label>
            );
          })}
          <p className="flex gap-1 mt-1">
            <button type="button" className="press" disabled={untouched} onClick={() => setTurned({})}>
              Reset
            </button>
            {!readOnly && (
              <button
                type="button"
                className="press"
                disabled={untouched}
                onClick={() => save({ scenario: now })}
              >
                Pin this
              </button>
            )}
          </p>
        </div>
        <div>
          <LegDrawing changes={changes} label="This what-if" />
          <p className="text-xs text-faint text-center">Now. Up: more load; filled: size known</p>
        </div>
        {pinned && (
          <div>
            <LegDrawing changes={whatIf(today, pinned, visit.house.settings)} label="Pinned what-if" />
            <p className="text-xs text-faint text-center">Pinned beside today’s</p>
          </div>
        )}
        <div className="grid gap-1 content-start text-sm">
          {!untouched && (
            <OverlaidProfiles
              profiles={[
                { label: 'as specified', drawing: sideProfile(specified) },
                { label: 'this what-if', drawing: sideProfile(turnedShoe(specified, now)) },
              ]}
            />
          )}
          {untouched && (
            <p className="text-faint">Nothing changed yet: the shoe is as specified. Move a slider.</p>
          )}
          {changes
            .filter((region) => region.lines.length > 0)
            .map((region) => (
              <details key={region.region}>
                <summary className="font-medium cursor-pointer">
                  {LEG_REGIONS[region.region]}: {sizeInWords(region)}
                </summary>
                <ul className="ps-4">
                  {region.lines.map((line) => (
                    <Line key={line.lever + line.quantity} line={line} />
                  ))}
                </ul>
              </details>
            ))}
        </div>
      </div>
      {pinned && (
        <Pinned
          pinned={pinned}
          today={today}
          onTake={() => setTurned(pinned)}
          onDrop={readOnly ? null : () => save({ scenario: undefined })}
        />
      )}
      <p className="text-sm text-faint">{groundForceInWords(bodyMass === NOT_EXAMINED ? null : bodyMass)}</p>
      <p className="text-hold text-sm">{WHAT_IF_CAUTION}</p>
    </div>
  );
}

function Line({ line }: { line: LoadChange }) {
  const source = line.source === 'clinic-setting' ? null : SOURCES[line.source];
  const size = line.size
    ? ` ${[...new Set([line.size.low, line.size.high].map((value) => `${value > 0 ? '+' : '−'}${Math.abs(Math.round(value))}`))].join(' to ')} %`
    : '';
  return (
    <li>
      {line.quantity} {line.direction}
      {size}
      {line.beyond && ' (beyond what was measured)'}
      {line.note && !(line.source === 'clinic-setting' && line.size) && `, ${line.note}`}.{' '}
      <span className="text-faint">
        {!source
          ? 'Setting of the clinic.'
          : isPublished(line.source)
            ? `${source.cite} (${recallMark(source.recall)}, ${source.recall} %)`
            : source.cite}
      </span>
    </li>
  );
}

function Pinned({
  pinned,
  today,
  onTake,
  onDrop,
}: {
  pinned: Scenario;
  today: Scenario;
  onTake: () => void;
  onDrop: (() => void) | null;
}) {
  const { visit } = useExamined();
  const changes = whatIf(today, pinned, visit.house.settings);
  const turned = LEVER_IDS.filter((lever) => pinned[lever] !== today[lever]);
  return (
    <section aria-label="Pinned what-if" className="border-t border-rule pt-2 text-sm">
      <h3>Pinned beside today’s</h3>
      <DataTable
        spacing="tight"
        fitted
        rows={turned}
        keyOf={String}
        columns={[
          { id: 'turned', head: 'Turned', namesRow: true, cell: (lever) => LEVERS[lever].label },
          {
            id: 'today',
            head: 'As specified',
            cell: (lever) => leverInWords(lever, today[lever]),
          },
          { id: 'pinned', head: 'Pinned', cell: (lever) => leverInWords(lever, pinned[lever]) },
        ]}
      />
      {turned.length === 0 && <p>It is the same as today’s shoe.</p>}
      <p>
        {changes
          .filter((region) => region.direction !== 'none')
          .map((region) => `${LEG_REGIONS[region.region]} ${sizeInWords(region)}`)
          .join('; ')}
      </p>
      <p className="flex gap-2 mt-1">
        <button type="button" className="press" onClick={onTake}>
          Take to the sliders
        </button>
        {onDrop && (
          <button type="button" className="press" onClick={onDrop}>
            Unpin
          </button>
        )}
      </p>
    </section>
  );
}
