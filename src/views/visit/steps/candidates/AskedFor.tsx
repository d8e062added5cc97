import { dayOf, daysBetween } from '@/core/calendar/days';
import { modelTitle } from '@/core/catalogue/model';
import { reasonsFor } from '@/core/match/rank';
import { answerToWish } from '@/core/match/wanted';
import { ownCandidates } from '@/core/match/worn-in';
import { nextTrip } from '@/core/visit/from-uses';
import type { CandidatesView } from '../../use-candidates';
import { useOwnPairs } from '../../use-own-pairs';
import { useVisit } from '../../visit-context';

/** The shoe that the patient wants, and why not if not. */
export function WantedShoe({ candidates }: { candidates: CandidatesView }) {
  const { state, specification } = useVisit();
  const { wanted } = state.steps.ask.content;
  if (!wanted) return null;
  const model = wanted.model === undefined ? undefined : candidates.byId.get(wanted.model);
  const answer = model && answerToWish(model, candidates);
  const against = model
    ? reasonsFor(model, specification)
        .contra.slice(0, 3)
        .map(({ label, has, wanted: asked }) => `${label.toLowerCase()} ${has} (wanted ${asked})`)
    : [];
  return (
    <section aria-label="Wanted by the patient" className="bg-desk px-3 py-1.5">
      <p>
        Would like <strong>{wanted.title}</strong>:{' '}
        {!answer
          ? 'it is not in the catalogue, so it cannot be judged here. Compare it with the specification.'
          : answer.answer === 'no'
            ? `not for these feet. ${answer.because.join(' ')}`
            : answer.answer === 'good'
              ? `place ${answer.place} of ${answer.of}, not clearly behind the best: try it.`
              : `place ${answer.place} of ${answer.of}, ${Math.round(answer.shortBy * 100)} points behind the best. ${against.length > 0 ? `Against: ${against.join(', ')}.` : ''}`}
      </p>
    </section>
  );
}

/** For a trip on foot: the patient's own pairs beside the new ones. */
export function OwnPairsForTrip({ candidates }: { candidates: CandidatesView }) {
  const { visit, state, specification, picture } = useVisit();
  const { pairs } = useOwnPairs(visit.patient.id);
  const { activities } = picture.body;
  const trip = nextTrip(state.steps.ask.content.events ?? [], dayOf(visit.startedAt));
  if (!trip || !pairs || !Array.isArray(activities) || !activities.includes('hiking')) return null;
  const today = dayOf(visit.startedAt);
  const own = ownCandidates(
    pairs
      .filter(({ endedOn }) => endedOn === null)
      .map(({ id, model, startedOn, forecast }) => ({
        id,
        model,
        ageDays: Math.max(0, daysBetween(startedOn, today)),
        forecast,
      })),
    specification,
    { inDays: trip.inDays, km: trip.event.km ?? null },
    candidates.usable[0]?.entry.score ?? null,
  );
  if (own.length === 0) return null;
  return (
    <section aria-label="Own pairs for the trip" className="bg-desk px-3 py-1.5">
      <p className="text-faint">
        Own pairs for {trip.event.name || 'the trip'}, in {trip.inDays} days
      </p>
      <ul>
        {own.map(({ pair, score, says, wins }) => (
          <li key={pair.id}>
            <strong>{modelTitle(pair.model)}</strong>
            {score !== null && <span className="figure"> {Math.round(score * 100)} %</span>}{' '}
            <span className={wins ? 'font-medium' : ''}>{says}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
