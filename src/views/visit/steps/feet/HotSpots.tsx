import { SIDES } from '@/core/findings/finding-kinds';
import { FINDINGS } from '@/core/findings/findings';
import { NOT_EXAMINED } from '@/core/findings/picture';
import { CAUSES } from '@/core/hot-spot/causes';
import { readHotSpot } from '@/core/hot-spot/found';
import { knownAnswers, stopFirst } from '@/core/hot-spot/known';
import { QUESTION_TABLE, type QuestionId, type SpotAnswers } from '@/core/hot-spot/questions';
import type { HotSpot } from '@/core/hot-spot/schema';
import { keysOf } from '@/core/tables/keys-of';
import { chosenTryOn } from '@/core/visit/examined';
import { shareOfLife } from '@/core/wear/old-pair';
import { ShareBar } from '@/ui/drawing/ShareBar';
import { type Spot, SpotMap } from '@/ui/drawing/SpotMap';
import { Choice } from '@/ui/fields/Choice';
import { useFinding, useStepContent } from '../../use-findings';
import { useExamined, useHeld } from '../../visit-context';

const same = (a: Spot, b: Spot) => a.side === b.side && a.place === b.place;

/** Why it rubs: the place on the drawing, the most telling question, the three likeliest causes with what to do. */
export function HotSpots() {
  const { picture, readOnly } = useExamined();
  const { content, change } = useStepContent('feet');
  const rubbed = { left: useFinding('rubbedAt', 'left'), right: useFinding('rubbedAt', 'right') };
  const spots: readonly HotSpot[] = content.hotSpots ?? [];
  const marked = SIDES.flatMap((side) => {
    const { rubbedAt } = picture[side];
    return rubbedAt === NOT_EXAMINED ? [] : rubbedAt.map((place): HotSpot => ({ side, place, answers: {} }));
  });
  const all = [...spots, ...marked.filter((spot) => !spots.some((other) => same(spot, other)))];
  const [picked, pick] = useHeld<Spot | null>('hot-spot', null);
  const spot = all.find((entry) => picked && same(entry, picked)) ?? all[0];
  const put = (answers: SpotAnswers) => {
    if (!spot) return;
    change({ hotSpots: [...spots.filter((entry) => !same(entry, spot)), { ...spot, answers }] });
  };
  const press = (pressed: Spot) => {
    const { rubbedAt } = picture[pressed.side];
    const places = rubbedAt === NOT_EXAMINED ? [] : rubbedAt;
    if (!places.includes(pressed.place)) rubbed[pressed.side].set([...places, pressed.place]);
    pick(pressed);
  };
  const unmark = (gone: Spot) => {
    const { rubbedAt } = picture[gone.side];
    const places = rubbedAt === NOT_EXAMINED ? [] : rubbedAt.filter((place) => place !== gone.place);
    rubbed[gone.side].set(places.length > 0 ? places : undefined);
    change({ hotSpots: spots.filter((entry) => !same(entry, gone)) });
    pick(null);
  };
  const map = (
    <SpotMap marked={all} current={spot} readOnly={readOnly} large={spot === undefined} onPress={press} />
  );
  if (!spot)
    return (
      <div className="flex gap-6">
        {map}
        <p className="text-faint max-w-prose">
          Press where it rubs, or mark a blister, a corn or a red place on the drawing under “Skin”: why it
          rubs is asked here.
        </p>
      </div>
    );
  return (
    <OneSpot
      key={`${spot.side} ${spot.place}`}
      spot={spot}
      map={map}
      readOnly={readOnly}
      onAnswers={put}
      onUnmark={() => unmark(spot)}
    />
  );
}

function OneSpot({
  spot,
  map,
  readOnly,
  onAnswers,
  onUnmark,
}: {
  spot: HotSpot;
  /** The drawing on which it was pressed. */
  map: React.ReactNode;
  readOnly: boolean;
  onAnswers: (answers: SpotAnswers) => void;
  onUnmark: () => void;
}) {
  const { picture, state, verdictContext } = useExamined();
  const taken = useFinding('rubCause', spot.side);
  const { rubCause } = picture[spot.side];
  const causes = rubCause === NOT_EXAMINED ? [] : rubCause;
  const stop = stopFirst(picture, spot.side);
  const head = (
    <div className="flex gap-3 items-baseline">
      <h3>
        {spot.side}: {FINDINGS.rubbedAt.options[spot.place]}
      </h3>
      {!readOnly && (
        <button type="button" className="press press-quiet" onClick={onUnmark}>
          It does not rub here
        </button>
      )}
    </div>
  );
  if (stop)
    return (
      <div className="flex gap-6">
        {map}
        <div className="grid gap-2 content-start">
          {head}
          <p role="alert" className="problem text-base">
            {stop}
          </p>
        </div>
      </div>
    );
  const seen = {
    picture,
    tryOn: chosenTryOn({ 'try-on': state.steps['try-on'].content }),
    shareOfLife: shareOfLife(state.steps['old-pair'].content.pairs ?? [], verdictContext),
  };
  const known = knownAnswers({ ...seen, side: spot.side });
  const answers: SpotAnswers = spot.answers;
  const { ranked, next } = readHotSpot(spot, seen);
  const rest = keysOf(QUESTION_TABLE).filter((question) => question !== next);
  const field = (question: QuestionId) => (
    <Question
      key={question}
      question={question}
      value={answers[question] ?? known[question]}
      isKnown={answers[question] === undefined && known[question] !== undefined}
      readOnly={readOnly}
      onChange={(value) => onAnswers({ ...answers, [question]: value })}
    />
  );
  return (
    <div className="grid grid-cols-[15rem_minmax(0,1fr)] gap-6">
      <div className="grid gap-2 content-start">
        {map}
        {head}
        {next ? (
          <section aria-label="Ask next" className="border-l-2 border-accent pl-3">
            <h3>Ask next, {QUESTION_TABLE[next].seconds} s</h3>
            {field(next)}
          </section>
        ) : (
          <p role="status">No further question would change much.</p>
        )}
        <details>
          <summary className="cursor-pointer">All questions, and what is known already</summary>
          <div className="grid gap-2 mt-1">{rest.map(field)}</div>
        </details>
      </div>
      <ol className="grid gap-2 content-start" aria-label="Likeliest causes">
        {ranked.slice(0, 3).map(({ cause, chance, remedies, confirm }) => (
          <li key={cause}>
            <div className="flex justify-between gap-2">
              <strong>{CAUSES[cause]}</strong>
              <span className="figure">{Math.round(chance * 100)} %</span>
            </div>
            <ShareBar share={chance} />
            <ol className="list-decimal ps-5 columns-2 gap-6">
              {remedies.map(({ text }) => (
                <li key={text}>{text}</li>
              ))}
            </ol>
            <p className="text-faint text-sm">Confirms it: {confirm}</p>
            <label className="text-sm">
              <input
                type="checkbox"
                disabled={readOnly}
                checked={causes.includes(cause)}
                onChange={({ target }) => {
                  const rest = causes.filter((entry) => entry !== cause);
                  const next = target.checked ? [...rest, cause] : rest;
                  taken.set(next.length > 0 ? next : undefined);
                }}
              />{' '}
              found: look for it in the next pair
            </label>
          </li>
        ))}
        <li className="text-faint text-xs list-none">
          The cheapest and easiest to undo comes first. First suspects by place are common practice; the marks
          are ours. Open, hot or spreading skin: stop, and have it seen.
        </li>
      </ol>
    </div>
  );
}

function Question({
  question,
  value,
  isKnown,
  readOnly,
  onChange,
}: {
  question: QuestionId;
  value: string | undefined;
  isKnown: boolean;
  readOnly: boolean;
  onChange: (value: string | undefined) => void;
}) {
  const { label, options } = QUESTION_TABLE[question];
  return (
    <fieldset disabled={readOnly}>
      <Choice
        label={isKnown ? `${label} (known)` : label}
        options={Object.fromEntries(Object.entries(options).map(([id, option]) => [id, option.label]))}
        value={value}
        onChange={onChange}
      />
    </fieldset>
  );
}
