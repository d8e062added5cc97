import type { TimeLineRecord } from '@/contract/answers/pairs';
import { daysBetween } from '@/core/calendar/days';
import { FINDINGS } from '@/core/findings/findings';
import { EVENT_LABELS } from '@/core/time-line/events';
import { writtenDay } from '@/ui/formats';

const WIDTH = 960;
const NAME = 190;
const ROW = 22;
const SHOWN_CAUSES = 4;

/** Pairs, what changed and what began to ache on one axis; for an ache what changed before it. */
export function TimeLine({ line }: { line: TimeLineRecord }) {
  return (
    <div className="grid gap-4">
      <div className="overflow-x-auto">
        <Axis line={line} />
      </div>
      {line.aches.length === 0 ? (
        <p className="text-faint">
          No ache has a first day yet: it is noted with the ache on the body drawing of a visit, and what
          changed before it stands here.
        </p>
      ) : (
        line.aches.map((ache) => <Ache key={`${ache.site} ${ache.side} ${ache.since}`} ache={ache} />)
      )}
      <p className="text-faint text-xs">
        Never a diagnosis: what changed before an ache and could reach its place, the nearer in time the more
        (half for each three weeks). Which way a pair moves load is from laboratory means; the weights are
        ours.
      </p>
    </div>
  );
}

function Axis({ line }: { line: TimeLineRecord }) {
  const days = Math.max(30, daysBetween(line.from, line.to));
  const x = (day: string) => NAME + (Math.max(0, daysBetween(line.from, day)) / days) * (WIDTH - NAME - 12);
  const pairs = line.pairs.toSorted((a, b) => (a.startedOn < b.startedOn ? -1 : 1));
  const changes = line.events.filter(({ kind }) => kind !== 'pair-started');
  const height = (pairs.length + 2) * ROW + 26;
  const changeY = pairs.length * ROW + 14;
  const acheY = changeY + ROW;
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
      ].join('; ')}
    >
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
          <text x={0} y={row * ROW + 15} fontSize={12} fill="var(--ink)">
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
      <text x={0} y={changeY + 4} fontSize={12} fill="var(--faint)">
        what changed
      </text>
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
      <text x={0} y={acheY + 4} fontSize={12} fill="var(--faint)">
        what aches
      </text>
      {line.aches.map(({ site, side, since }) => (
        <circle key={`${site} ${side} ${since}`} cx={x(since)} cy={acheY} r={5.5} fill="var(--accent)">
          <title>{`${FINDINGS.pain.options[site]}, ${side}`}</title>
        </circle>
      ))}
      <g fontSize={11} fill="var(--faint)">
        <text x={NAME} y={height - 6}>
          {writtenDay(line.from)}
        </text>
        <text x={WIDTH - 12} y={height - 6} textAnchor="end">
          {writtenDay(line.to)}
        </text>
        <text x={(NAME + WIDTH) / 2} y={height - 6} textAnchor="middle">
          square: past its middle life; triangle: more distance; diamond: ground, camber, racing
        </text>
      </g>
    </svg>
  );
}

function Ache({ ache }: { ache: TimeLineRecord['aches'][number] }) {
  const { reading } = ache;
  return (
    <section
      aria-label={`Before the ache: ${FINDINGS.pain.options[ache.site]}, ${ache.side}, since ${writtenDay(ache.since)}`}
    >
      <h3>
        {FINDINGS.pain.options[ache.site]}, {ache.side}, since {writtenDay(ache.since)}
      </h3>
      {reading.first && <p className="text-hold">{reading.first}</p>}
      {reading.causes.length === 0 ? (
        <p>Nothing that is written down changed in the four months before it.</p>
      ) : (
        <ol className="grid gap-0.5">
          {reading.causes.slice(0, SHOWN_CAUSES).map((cause) => (
            <li key={`${cause.kind} ${cause.on}`} className="grid grid-cols-[7rem_1fr] gap-3 items-center">
              <svg viewBox="0 0 100 8" className="w-full h-2" preserveAspectRatio="none" aria-hidden="true">
                <rect width={100} height={8} fill="var(--line)" />
                <rect width={cause.weight * 100} height={8} fill="var(--ink)" />
              </svg>
              <span>
                {cause.days === 0 ? 'the same day' : `${cause.days} days before`}, {EVENT_LABELS[cause.kind]}:{' '}
                {cause.words} <span className="text-faint">({cause.because})</span>
              </span>
            </li>
          ))}
        </ol>
      )}
      {reading.ask && (
        <p>
          Ask: <strong>{reading.ask}</strong>
        </p>
      )}
    </section>
  );
}
