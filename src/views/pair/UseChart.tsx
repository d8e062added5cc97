import { CategoryScale, Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import type { PairLogEntry } from '@/contract/records';
import type { Clock } from '@/core/wear/clocks';
import { colourOf } from '@/ui/charts/chart-style';
import { writtenDay } from '@/ui/formats';
import { DataTable } from '@/ui/table/DataTable';

Chart.register(CategoryScale, LinearScale, LineElement, PointElement, Tooltip);

const UNIT = {
  km: 'km',
  hours: 'hours',
  'hours-on-feet': 'hours on the feet',
  'days-worn': 'days worn',
} as const;

/** Use adding up, in the pair's own clock, and comfort over its life, with the same figures as a table. */
export default function UseChart({ log, clock }: { log: PairLogEntry[]; clock: Clock }) {
  const unit = UNIT[clock];
  let total = 0;
  const rows = log.map((entry) => {
    total += (clock === 'km' ? entry.distanceKm : entry.amount) ?? 0;
    return { ...entry, total };
  });
  const axis = (title: string, position: 'left' | 'right') => ({
    position,
    beginAtZero: true,
    ticks: { color: colourOf('--faint') },
    grid: { color: position === 'left' ? colourOf('--line') : 'transparent' },
    title: { display: true, text: title, color: colourOf('--faint') },
  });
  return (
    <>
      <div className="h-52">
        <Line
          aria-label="Use and comfort over time"
          role="img"
          data={{
            labels: rows.map((row) => writtenDay(row.on)),
            datasets: [
              {
                label: `${unit} in all`,
                data: rows.map((row) => row.total),
                yAxisID: 'use',
                borderColor: colourOf('--ink'),
                pointRadius: 0,
              },
              {
                label: 'comfort',
                data: rows.map((row) => row.comfort),
                yAxisID: 'comfort',
                borderColor: colourOf('--accent'),
                borderDash: [5, 4],
                spanGaps: true,
                pointStyle: 'rect',
                pointRadius: 4,
              },
            ],
          }}
          options={{
            maintainAspectRatio: false,
            animation: false,
            scales: {
              x: { ticks: { color: colourOf('--faint'), maxTicksLimit: 6 }, grid: { display: false } },
              use: axis(`${unit} in all (line)`, 'left'),
              comfort: { ...axis('comfort (dashes)', 'right'), max: 100 },
            },
          }}
        />
      </div>
      <details>
        <summary className="cursor-pointer">As a table</summary>
        <DataTable
          className=""
          rows={rows}
          keyOf={(row) => row.id}
          columns={[
            { id: 'day', head: 'Day', cell: (row) => writtenDay(row.on) },
            {
              id: 'use',
              head: unit,
              figure: true,
              cell: (row) => (clock === 'km' ? row.distanceKm : row.amount) ?? '',
            },
            { id: 'comfort', head: 'Comfort', figure: true, cell: (row) => row.comfort ?? '' },
            { id: 'note', head: 'Note', cell: (row) => row.note },
          ]}
        />
      </details>
    </>
  );
}
