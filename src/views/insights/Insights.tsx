import { lazy, Suspense } from 'react';
import {
  APART_BY,
  type ApartBy,
  type Insights as Found,
  type GroupInsight,
  PAIR_ENDS,
} from '@/core/insights/what-became';
import { DataTable } from '@/ui/table/DataTable';
import { LINES } from './lines';
import { ShareBar } from './ShareBar';
import { percent, probabilityInWords } from './words';

const SurvivalChart = lazy(() => import('./SurvivalChart'));

/** The line of a group in the picture. */
const Swatch = ({ colour, dash }: { colour: string; dash: readonly number[] }) => (
  <svg viewBox="0 0 28 6" width={28} height={6} className="inline-block" aria-hidden>
    <line
      x1={0}
      x2={28}
      y1={3}
      y2={3}
      stroke={`var(${colour})`}
      strokeWidth={2.4}
      strokeDasharray={dash.join(' ')}
    />
  </svg>
);

/** What became of the clinic's pairs: a picture, the same as a table, and how far it may be trusted. */
export function Insights({ found }: { found: Found }) {
  const { groups, withheld, least, between, ends, apart } = found;
  if (groups.length === 0)
    return (
      <p>
        No group has {least} people yet{withheld > 0 && `; ${withheld} smaller ones are not shown`}.
      </p>
    );
  const share = (by: ApartBy) => (row: GroupInsight) => (
    <ShareBar share={row[by]} isApart={apart.some((one) => one.group === row.group && one.by === by)} />
  );
  return (
    <div className="grid grid-cols-[minmax(0,1fr)] gap-4">
      <StandsOut found={found} />
      <Suspense fallback={<p className="text-faint">Drawing …</p>}>
        <SurvivalChart groups={groups} ends={ends} />
      </Suspense>
      {between && (
        <p>
          {between.first} and {between.second}:{' '}
          {between.test.pValue < 0.05 ? 'they end at different times' : 'no difference beyond chance'}{' '}
          <span className="text-faint">
            (log-rank {between.test.chiSquare.toFixed(2)}, {probabilityInWords(between.test.pValue)})
          </span>
          .
        </p>
      )}
      <div className="overflow-x-auto">
        <DataTable
          rows={groups.map((group, at) => ({ ...group, line: LINES[at] }))}
          keyOf={({ group }) => group}
          columns={[
            {
              id: 'group',
              head: 'Pairs',
              namesRow: true,
              cell: ({ group, pairs, patients, line }) => (
                <>
                  {line && <Swatch {...line} />} {group}, n = {pairs}{' '}
                  <span className="text-faint">of {patients} people</span>
                </>
              ),
            },
            { id: 'worn', head: 'Worn out', figure: true, cell: ({ wornOut }) => wornOut },
            {
              id: 'median',
              head: `Half ${PAIR_ENDS[ends]} by, days`,
              figure: true,
              cell: ({ medianDays }) => medianDays ?? 'more than half last',
            },
            {
              id: 'risk',
              head: 'Still followed at 0, 91, 183, 365, 730 days',
              cell: ({ atRisk }) => atRisk.map(({ pairs }) => pairs).join(', '),
            },
            { id: 'hurt', head: 'Retired because it hurt', cell: share('hurt') },
            { id: 'pain', head: 'Less pain', cell: share('lessPain') },
            { id: 'more-pain', head: 'More pain', cell: share('morePain') },
            { id: 'better', head: 'Comfort really better', cell: share('better') },
            { id: 'worse', head: 'Comfort really worse', cell: share('worse') },
            {
              id: 'unheard',
              head: 'Still worn, no news for seven months',
              cell: ({ unheard }) => <ShareBar share={unheard} />,
            },
          ]}
        />
      </div>
      <p className="text-faint text-sm">
        Observational: who got which pair was not left to chance, so none of this says what a pair does.
        {withheld > 0 && ` ${withheld} groups of fewer than ${least} people are not shown.`} Lines: Kaplan and
        Meier; a pair still worn, or retired for another reason, counts up to that point. Shares with Wilson’s
        interval, 95 %.
      </p>
    </div>
  );
}

/** What differs from the other pairs by more than their numbers leave open, first of all. */
function StandsOut({ found: { apart, held } }: { found: Found }) {
  return (
    <section aria-labelledby="stands-out">
      <h2 id="stands-out">What stands out</h2>
      {apart.length === 0 && (
        <p>Nothing: no group differs from the other pairs by more than chance could explain.</p>
      )}
      <ul>
        {apart.map(({ group, by, own, others }) => (
          <li key={`${group} ${by}`}>
            <strong>{group}</strong>: {own.count} of {own.of} {APART_BY[by].of} ({percent(own.share ?? 0)} %){' '}
            {APART_BY[by].say}; of all others {others.count} of {others.of} ({percent(others.share ?? 0)} %).
          </li>
        ))}
      </ul>
      <p className="text-faint text-sm">
        {held} shares were compared with the rest. With so many, some stand out by chance: look at who got
        these pairs before you change anything.
      </p>
    </section>
  );
}
