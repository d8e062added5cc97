import { Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import type { GroupInsight } from '@/core/insights/what-became';

Chart.register(LinearScale, LineElement, PointElement, Tooltip);

const colour = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name);
/** Lines differ by their dashes too: colour alone says nothing in print. */
const DASHES = [[], [8, 4], [2, 3], [10, 3, 2, 3]] as const;
const COLOURS = ['--accent', '--ink', '--warn', '--hold'] as const;
/** Groups that one picture can hold. */
export const MOST_LINES = 4;

/** Share of pairs that is not worn out yet, by day: it falls at each pair that was. */
export default function SurvivalChart({ groups }: { groups: readonly GroupInsight[] }) {
  const axis = (title: string) => ({
    beginAtZero: true,
    ticks: { color: colour('--faint') },
    grid: { color: colour('--line') },
    title: { display: true, text: title, color: colour('--faint') },
  });
  return (
    <div className="h-72">
      <Line
        role="img"
        aria-label="Share of pairs that is not worn out yet, by day"
        data={{
          datasets: groups.slice(0, MOST_LINES).map((group, at) => ({
            label: group.group,
            data: [{ x: 0, y: 100 }, ...group.steps.map(({ time, share }) => ({ x: time, y: 100 * share }))],
            stepped: 'before' as const,
            borderColor: colour(COLOURS[at]!),
            borderDash: [...DASHES[at]!],
            pointRadius: 0,
          })),
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          scales: {
            x: { type: 'linear', ...axis('days since the first use') },
            y: { ...axis('not worn out yet, %'), max: 100 },
          },
        }}
      />
    </div>
  );
}
