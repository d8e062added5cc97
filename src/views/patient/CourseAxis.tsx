import type { TimeLineRecord } from '@/contract/answers/pairs';
import { daysBetween } from '@/core/calendar/days';
import { SIDES } from '@/core/findings/finding-kinds';
import { FINDINGS } from '@/core/findings/findings';
import { keysOf } from '@/core/tables/keys-of';
import { writtenDay } from '@/ui/formats';

const WIDTH = 960;
const NAME = 190;
const ROW = 22;

/** Lanes of the course: what is drawn in each, from its least to its most. */
const LANE = 46;
const LANES = {
  comfort: { label: 'comfort', least: 0, most: 100 },
  pain: { label: 'pain', least: 0, most: 10 },
} as const;

/** Pairs, what changed, what ached, how it felt and when somebody looked, on one axis. */
export function CourseAxis({ line }: { line: TimeLineRecord }) {
  const { course } = line;
  const days = Math.max(30, daysBetween(line.from, line.to));
  const x = (day: string) => NAME + (Math.max(0, daysBetween(line.from, day)) / days) * (WIDTH - NAME - 12);
  const pairs = line.pairs.toSorted((a, b) => (a.startedOn < b.startedOn ? -1 : 1));
  const changes = line.events.filter(({ kind }) => kind !== 'pair-started');
  const lanes = keysOf(LANES).filter((id) => course[id].length > 0);
  const changeY = pairs.length * ROW + 14;
  const acheY = changeY + ROW;
  const lookedY = acheY + ROW;
  const laneTop = lookedY + ROW;
  const swellTop = laneTop + lanes.length * LANE;
  const height = swellTop + (course.swelling.length > 0 ? LANE : 0) + 26;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="w-full min-w-[36rem]"
      role="img"
      aria-label={[
        ...pairs.map(
          ({ title, startedOn, endedOn }) =>
            `${title} from ${writtenDay(startedOn)}${endedOn ? ` to ${writtenDay(endedOn)}` : ''}`,
        ),
        ...changes.map(({ on, words }) => `${writtenDay(on)}: ${words}`),
        ...line.aches.map(
          ({ site, side, since }) => `${writtenDay(since)}: ache, ${FINDINGS.pain.options[site]}, ${side}`,
        ),
        ...course.seen.map(({ on, words }) => `${writtenDay(on)}: ${words}`),
        ...course.looked.map(({ on, words }) => `${writtenDay(on)}: ${words}`),
        ...lanes.map(
          (id) =>
            `${LANES[id].label} ${course[id].map(({ on, value }) => `${value} on ${writtenDay(on)}`).join(', ')}`,
        ),
        ...(course.swelling.length > 0
          ? [
              `girth ${course.swelling.map(({ on, side, mm }) => `${side} ${mm} mm on ${writtenDay(on)}`).join(', ')}`,
            ]
          : []),
      ].join('; ')}
    >
      {course.looked.map(({ on, words }) => (
        <line
          key={`${on} ${words}`}
          x1={x(on)}
          x2={x(on)}
          y1={4}
          y2={height - 22}
          stroke="var(--line)"
          strokeWidth={1}
        />
      ))}
      {line.aches.map(({ site, side, since }) => (
        <line
          key={`${site} ${side} ${since}`}
          x1={x(since)}
          x2={x(since)}
          y1={4}
          y2={acheY}
          stroke="var(--accent)"
          strokeDasharray="3 3"
        />
      ))}
      {pairs.map(({ id, title, startedOn, endedOn }, row) => (
        <g key={id}>
          <text x={0} y={row * ROW + 15} fontSize={13} fill="var(--ink)">
            {title}
          </text>
          <rect
            x={x(startedOn)}
            width={Math.max(3, x(endedOn ?? line.to) - x(startedOn))}
            y={row * ROW + 5}
            height={12}
            fill="var(--draw-foam)"
            stroke="var(--rule)"
          />
        </g>
      ))}
      <RowName y={changeY} name="what changed" />
      {changes.map(({ kind, on, words }) => (
        <path
          key={`${kind} ${on}`}
          d={
            kind === 'life-crossed'
              ? `M${x(on) - 5} ${changeY - 5} h10 v10 h-10 z`
              : kind === 'load-jump'
                ? `M${x(on)} ${changeY - 6} l6 11 h-12 z`
                : `M${x(on)} ${changeY - 6} l6 6 l-6 6 l-6 -6 z`
          }
          fill="var(--ink)"
        >
          <title>{words}</title>
        </path>
      ))}
      <RowName y={acheY} name="aches, skin, falls" />
      {line.aches.map(({ site, side, since }) => (
        <circle key={`${site} ${side} ${since}`} cx={x(since)} cy={acheY} r={5.5} fill="var(--accent)">
          <title>{`${FINDINGS.pain.options[site]}, ${side}`}</title>
        </circle>
      ))}
      {course.seen.map(({ on, words, isAlarm }) => (
        <path
          key={`${on} ${words}`}
          d={`M${x(on) - 5} ${acheY - 5} l10 10 m0 -10 l-10 10`}
          stroke={isAlarm ? 'var(--warn)' : 'var(--hold)'}
          strokeWidth={2.4}
        >
          <title>{words}</title>
        </path>
      ))}
      <RowName y={lookedY} name="visits, reviews" />
      {course.looked.map(({ on, words }) => (
        <path
          key={`${on} ${words}`}
          d={words === 'visit' ? `M${x(on)} ${lookedY - 6} v12` : `M${x(on) - 4} ${lookedY} h8`}
          stroke="var(--ink)"
          strokeWidth={3}
        >
          <title>{words}</title>
        </path>
      ))}
      {lanes.map((id, at) => (
        <Lane
          key={id}
          top={laneTop + at * LANE}
          {...LANES[id]}
          runs={pairs.map((pair) =>
            course[id].flatMap(({ on, pairId, value }) =>
              pairId === pair.id ? [{ x: x(on), value, words: `${value}, ${writtenDay(on)}` }] : [],
            ),
          )}
        />
      ))}
      {course.swelling.length > 0 && (
        <Lane
          top={swellTop}
          label="girth, mm"
          least={Math.min(...course.swelling.map(({ mm }) => mm)) - 5}
          most={Math.max(...course.swelling.map(({ mm }) => mm)) + 5}
          runs={SIDES.map((of) =>
            course.swelling.flatMap(({ on, side, mm }) =>
              side === of ? [{ x: x(on), value: mm, words: `${side} ${mm} mm, ${writtenDay(on)}` }] : [],
            ),
          )}
          names={SIDES}
        />
      )}
      <g fontSize={13} fill="var(--faint)">
        <text x={NAME} y={height - 6}>
          {writtenDay(line.from)}
        </text>
        <text x={WIDTH - 12} y={height - 6} textAnchor="end">
          {writtenDay(line.to)}
        </text>
        <text x={(NAME + WIDTH) / 2} y={height - 6} textAnchor="middle">
          square: past half its likely life; triangle: more distance; diamond: ground, camber, racing
        </text>
      </g>
    </svg>
  );
}

const RowName = ({ y, name }: { y: number; name: string }) => (
  <text x={0} y={y + 4} fontSize={13} fill="var(--faint)">
    {name}
  </text>
);

/** One measure over time: a run of joined dots for each pair, or for each side; a second side is dashed. */
function Lane({
  top,
  label,
  least,
  most,
  runs,
  names,
}: {
  top: number;
  label: string;
  least: number;
  most: number;
  runs: readonly (readonly { x: number; value: number; words: string }[])[];
  names?: readonly string[];
}) {
  const y = (value: number) => top + LANE - 8 - ((value - least) / (most - least || 1)) * (LANE - 16);
  return (
    <g>
      <RowName y={top + LANE / 2} name={label} />
      {[least, most].map((end) => (
        <g key={end}>
          <line x1={NAME} x2={WIDTH - 12} y1={y(end)} y2={y(end)} stroke="var(--line)" />
          <text x={NAME - 6} y={y(end) + 4} fontSize={13} textAnchor="end" fill="var(--faint)">
            {end}
          </text>
        </g>
      ))}
      {runs.map((run, at) => {
        const last = run.at(-1);
        return (
          <g key={run.map(({ words }) => words).join()}>
            <polyline
              points={run.map((point) => `${point.x},${y(point.value)}`).join(' ')}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={1.6}
              strokeDasharray={names && at === 1 ? '4 3' : undefined}
            />
            {run.map((point) => (
              <circle key={point.words} cx={point.x} cy={y(point.value)} r={3.2} fill="var(--ink)">
                <title>{point.words}</title>
              </circle>
            ))}
            {names && last && (
              <text x={last.x + 6} y={y(last.value) + 4} fontSize={13} fill="var(--ink)">
                {names[at]}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}
