import { lazy, Suspense } from 'react';
import { type Insights as Found, PAIR_ENDS } from '@/core/insights/what-became';
import { DataTable } from '@/ui/table/DataTable';
import { LINES } from './lines';
import { inWords } from './words';

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
  const { groups, withheld, least, between, ends } = found;
  if (groups.length === 0)
    return (
      <p>
        No group has {least} people yet{withheld > 0 && `; ${withheld} smaller ones are not shown`}.
      </p>
    );
  return (
    <div className="grid gap-4">
      <Suspense fallback={<p className="text-faint">Drawing …</p>}>
        <SurvivalChart groups={groups} ends={ends} />
      </Suspense>
      {between && (
        <p>
          {between.first} and {between.second}:{' '}
          {between.test.pValue < 0.05
            ? 'they end at different times'
            : 'no difference that could not be chance'}{' '}
          <span className="text-faint">
            (log-rank {between.test.chiSquare.toFixed(2)}, p = {between.test.pValue.toFixed(3)})
          </span>
          .
        </p>
      )}
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
            figure: true,
            cell: ({ atRisk }) => atRisk.map(({ pairs }) => pairs).join(', '),
          },
          { id: 'hurt', head: 'Retired because it hurt', cell: ({ hurt }) => inWords(hurt) },
          { id: 'pain', head: 'Less pain', cell: ({ lessPain }) => inWords(lessPain) },
          { id: 'more-pain', head: 'More pain', cell: ({ morePain }) => inWords(morePain) },
          { id: 'better', head: 'Comfort really better', cell: ({ better }) => inWords(better) },
          { id: 'worse', head: 'Comfort really worse', cell: ({ worse }) => inWords(worse) },
          {
            id: 'unheard',
            head: 'Worn, and not heard of for seven months',
            cell: ({ unheard }) => inWords(unheard),
          },
        ]}
      />
      <p className="text-faint text-sm">
        Observational: who got which pair was not left to chance, so none of this says what a pair does.
        {withheld > 0 && ` ${withheld} groups of fewer than ${least} people are not shown.`} Lines: Kaplan and
        Meier; a pair that is still worn, or was retired for another reason, counts until then. Shares with
        Wilson’s interval, 95 %.
      </p>
    </div>
  );
}
