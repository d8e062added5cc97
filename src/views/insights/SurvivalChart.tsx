import { Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Line } from 'react-chartjs-2';
import { type GroupInsight, PAIR_ENDS, type PairEnd } from '@/core/insights/what-became';
import { colourOf } from '@/ui/charts/chart-style';
import { LINES } from './lines';

Chart.register(LinearScale, LineElement, PointElement, Tooltip);

/** From the first day to the last on which any was followed. */
function pointsOf({ steps, longestDays }: GroupInsight): { x: number; y: number }[] {
  return [
    { x: 0, y: 100 },
    ...steps.map(({ time, share }) => ({ x: time, y: 100 * share })),
    { x: longestDays, y: 100 * (steps.at(-1)?.share ?? 1) },
  ];
}

/** Share of pairs that has not ended yet, by day: it falls at each pair that did. */
export default function SurvivalChart({ groups, ends }: { groups: readonly GroupInsight[]; ends: PairEnd }) {
  const title = `not yet ${PAIR_ENDS[ends]}, %`;
  const axis = (title: string) => ({
    beginAtZero: true,
    ticks: { color: colourOf('--faint') },
    grid: { color: colourOf('--line') },
    title: { display: true, text: title, color: colourOf('--faint') },
  });
  return (
    <div className="h-72">
      <Line
        role="img"
        aria-label={`Pairs by day: ${title}`}
        data={{
          datasets: groups.slice(0, LINES.length).map((group, at) => ({
            label: group.group,
            data: pointsOf(group),
            stepped: 'before' as const,
            borderColor: colourOf(LINES[at]!.colour),
            borderDash: [...LINES[at]!.dash],
            pointRadius: 0,
          })),
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          scales: {
            x: { type: 'linear', ...axis('days since the first use') },
            y: { ...axis(title), max: 100 },
          },
        }}
      />
    </div>
  );
}
