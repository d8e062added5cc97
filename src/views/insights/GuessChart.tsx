import { Chart, LinearScale, LineElement, PointElement, Tooltip } from 'chart.js';
import { Scatter } from 'react-chartjs-2';
import { colourOf } from '@/ui/charts/chart-style';

Chart.register(LinearScale, LineElement, PointElement, Tooltip);

export interface GuessPoint {
  foretold: number;
  seen: number;
  /** Drawn as a ring. */
  isOther?: boolean;
}

/** What was foretold against what came; on the line both are alike. */
export default function GuessChart({
  points,
  most,
  label,
  titles,
}: {
  points: readonly GuessPoint[];
  most: number;
  label: string;
  titles: { foretold: string; seen: string };
}) {
  const axis = (title: string) => ({
    min: 0,
    max: most,
    ticks: { color: colourOf('--faint') },
    grid: { color: colourOf('--line') },
    title: { display: true, text: title, color: colourOf('--faint') },
  });
  const dots = (others: boolean) =>
    points
      .filter(({ isOther = false }) => isOther === others)
      .map(({ foretold, seen }) => ({ x: foretold, y: seen }));
  return (
    <div className="h-80 max-w-xl">
      <Scatter
        role="img"
        aria-label={label}
        data={{
          datasets: [
            {
              data: [
                { x: 0, y: 0 },
                { x: most, y: most },
              ],
              showLine: true,
              pointRadius: 0,
              borderColor: colourOf('--rule'),
              borderDash: [6, 4],
            },
            { data: dots(false), backgroundColor: colourOf('--ink'), pointRadius: 4 },
            {
              data: dots(true),
              backgroundColor: 'transparent',
              borderColor: colourOf('--accent'),
              borderWidth: 2,
              pointRadius: 4,
            },
          ],
        }}
        options={{
          animation: false,
          maintainAspectRatio: false,
          scales: { x: axis(titles.foretold), y: axis(titles.seen) },
        }}
      />
    </div>
  );
}
