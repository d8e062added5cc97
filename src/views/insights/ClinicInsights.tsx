import { lazy, Suspense } from 'react';
import type { ClinicInsights as Found } from '@/contract/insights';
import { STEP_NAME } from '@/core/visit/steps';
import { DataTable } from '@/ui/table/DataTable';
import { ShareBar } from './ShareBar';
import { percent } from './words';

const GuessChart = lazy(() => import('./GuessChart'));

export type InsightPart = 'guesses' | 'misfits' | 'time';

/** Forecasts and guesses held against what came; sizes that do not fit; how long visits take. */
export function ClinicInsights({ found, part }: { found: Found; part: InsightPart }) {
  switch (part) {
    case 'guesses':
      return <Guesses found={found} />;
    case 'misfits':
      return <MisfitTable found={found} />;
    case 'time':
      return <Times found={found} />;
  }
}

const Drawing = () => <p className="text-faint">Drawing …</p>;
const Withheld = ({ least, what }: { least: number; what: string }) => (
  <p className="text-faint">
    {what}: fewer than {least} people so far: too few to report.
  </p>
);

function Guesses({ found: { least, forecasts, comfort } }: { found: Found }) {
  const kinds = [
    { id: 'first', says: 'the first pair of a fitting', reading: comfort.first },
    { id: 'later', says: 'pairs after it', reading: comfort.later },
  ];
  return (
    <div className="grid xl:grid-cols-2 gap-8 items-start">
      <section className="grid gap-3">
        <h2>Life: forecast at the start, and what came of it</h2>
        {forecasts ? (
          <>
            <Suspense fallback={<Drawing />}>
              <GuessChart
                label="Share of pairs worn out: forecast against seen"
                most={100}
                titles={{ foretold: 'forecast to be worn out, %', seen: 'seen worn out, %' }}
                points={forecasts.at.map(({ foretold, seen }) => ({
                  foretold: 100 * foretold,
                  seen: 100 * seen,
                }))}
              />
            </Suspense>
            <DataTable
              rows={forecasts.at}
              keyOf={({ foretold }) => `${foretold}`}
              columns={[
                {
                  id: 'foretold',
                  head: 'By the use at which this share was forecast to be worn out',
                  namesRow: true,
                  cell: ({ foretold }) => `${percent(foretold)} %`,
                },
                {
                  id: 'seen',
                  head: 'were worn out',
                  cell: ({ seen, from, to }) => `${percent(seen)} % (${percent(from)}–${percent(to)} %)`,
                },
              ]}
            />
            <p className="text-faint text-sm">
              {forecasts.pairs} pairs, {forecasts.wornOut} worn out. Each pair stands on the scale of its own
              forecast; one still worn, or retired for another reason, counts up to that point (Kaplan and
              Meier, interval after Greenwood). Below the line they last longer than forecast.
            </p>
          </>
        ) : (
          <Withheld least={least} what="Life" />
        )}
      </section>
      <section className="grid gap-3">
        <h2>Comfort: guessed before rating, and as rated</h2>
        {comfort.points && (
          <Suspense fallback={<Drawing />}>
            <GuessChart
              label="Comfort: guessed against rated"
              most={100}
              titles={{ foretold: 'guessed', seen: 'said' }}
              points={comfort.points.map(({ guess, comfort: said, isFirst }) => ({
                foretold: guess,
                seen: said,
                isOther: !isFirst,
              }))}
            />
          </Suspense>
        )}
        <DataTable
          rows={kinds}
          keyOf={({ id }) => id}
          columns={[
            { id: 'of', head: 'Guesses of', namesRow: true, cell: ({ says }) => says },
            { id: 'n', head: 'n', figure: true, cell: ({ reading }) => reading?.n ?? 'too few' },
            {
              id: 'bias',
              head: 'rated minus guessed, on average',
              cell: ({ reading }) =>
                reading?.bias
                  ? `${reading.bias.mean.toFixed(1)} (${reading.bias.from.toFixed(1)} to ${reading.bias.to.toFixed(1)})`
                  : '',
            },
            {
              id: 'near',
              head: 'within 10 points',
              cell: ({ reading }) => (reading ? <ShareBar share={reading.near} /> : ''),
            },
          ]}
        />
        <p className="text-faint text-sm">
          Dot: the first pair of a fitting; ring: one after it. The guess rests on what was felt before, at
          this fitting and at earlier visits; for a new patient it is the usual level, 70.
        </p>
      </section>
    </div>
  );
}

function MisfitTable({ found: { least, misfits } }: { found: Found }) {
  if (misfits.groups.length === 0) return <Withheld least={least} what="Sizes" />;
  return (
    <div className="grid gap-3">
      <DataTable
        rows={misfits.groups}
        keyOf={({ maker, size }) => `${maker} ${size}`}
        columns={[
          {
            id: 'size',
            head: 'Maker and size',
            namesRow: true,
            cell: ({ maker, size }) => `${maker}, ${size}`,
          },
          { id: 'n', head: 'tried', figure: true, cell: ({ pairs }) => pairs },
          { id: 'people', head: 'people', figure: true, cell: ({ patients }) => patients },
          { id: 'short', head: 'too short', cell: ({ short }) => <ShareBar share={short} /> },
          { id: 'long', head: 'too long', cell: ({ long }) => <ShareBar share={long} /> },
          { id: 'narrow', head: 'too narrow', cell: ({ narrow }) => <ShareBar share={narrow} /> },
          { id: 'wide', head: 'too wide', cell: ({ wide }) => <ShareBar share={wide} /> },
        ]}
      />
      <p className="text-faint text-sm">
        Short and long by the clinic’s usual room in front of the toes.{' '}
        {misfits.withheld > 0 &&
          `${misfits.withheld} sizes that fewer than ${least} people tried are not shown. `}
        Shares with Wilson’s interval, 95 %. Each fitting already corrects its model’s inside for the next.
      </p>
    </div>
  );
}

function Times({ found: { least, steps } }: { found: Found }) {
  if (steps.length === 0)
    return <p className="text-faint">Fewer than {least} visits were timed so far: too few to report.</p>;
  const longest = Math.max(...steps.map(({ to }) => to));
  return (
    <div className="grid gap-3">
      <DataTable
        rows={steps}
        keyOf={({ step }) => step}
        columns={[
          { id: 'step', head: 'Step', namesRow: true, cell: ({ step }) => STEP_NAME[step] },
          { id: 'n', head: 'visits', figure: true, cell: ({ visits }) => visits },
          { id: 'median', head: 'minutes, median', figure: true, cell: ({ median }) => median.toFixed(1) },
          {
            id: 'middle',
            head: 'the middle half',
            cell: ({ from, to, median }) => (
              <span className="flex gap-2 items-center">
                <span className="figure w-24">
                  {from.toFixed(1)}–{to.toFixed(1)}
                </span>
                <svg viewBox="0 0 200 12" className="w-48" aria-hidden="true">
                  <line x1={0} x2={200} y1={6} y2={6} stroke="var(--line)" />
                  <rect
                    x={(from / longest) * 190}
                    width={Math.max(2, ((to - from) / longest) * 190)}
                    y={2}
                    height={8}
                    fill="var(--draw-foam)"
                    stroke="var(--rule)"
                  />
                  <line
                    x1={(median / longest) * 190}
                    x2={(median / longest) * 190}
                    y1={0}
                    y2={12}
                    stroke="var(--ink)"
                    strokeWidth={2}
                  />
                </svg>
              </span>
            ),
          },
        ]}
      />
      <p className="text-faint text-sm">
        How long a step was open in front of somebody, to a quarter of a minute; more than a minute away is
        not counted. Examining is included.
      </p>
    </div>
  );
}
