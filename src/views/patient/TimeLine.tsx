import type { TimeLineRecord } from '@/contract/answers/pairs';
import { FINDINGS } from '@/core/findings/findings';
import { EVENT_LABELS } from '@/core/time-line/events';
import { writtenDay } from '@/ui/formats';
import { CourseAxis } from './CourseAxis';

const SHOWN_CAUSES = 4;

/** Pairs, what changed, what ached, how it felt and when somebody looked, on one axis; for an ache what changed before it. */
export function TimeLine({ line }: { line: TimeLineRecord }) {
  return (
    <div className="grid gap-4">
      <div className="overflow-x-auto">
        <CourseAxis line={line} />
      </div>
      {line.aches.length === 0 ? (
        <p className="text-faint">
          No ache has a start date yet. Enter it with the ache on the body drawing of a visit; what changed
          before it then appears here.
        </p>
      ) : (
        line.aches.map((ache) => <Ache key={`${ache.site} ${ache.side} ${ache.since}`} ache={ache} />)
      )}
      <p className="text-faint text-xs">
        Never a diagnosis: what changed before an ache and could affect its site, weighted by how recent it
        was (half for every three weeks). Which way a pair moves load comes from laboratory averages; the
        weights are ours.
      </p>
    </div>
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
        <p>Nothing on record changed in the four months before it.</p>
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
