import { modelTitle, type ShoeModel } from '@/core/catalogue/model';
import { BAD, type BadId, GOOD, type GoodId, type PairBefore, valuesToKeep } from '@/core/history/before';
import { keysOf, mapTable } from '@/core/tables/keys-of';
import { omitUndefined } from '@/core/tables/omit-undefined';
import type { StepContents } from '@/core/visit/contents';
import { Amount } from '@/ui/fields/Amount';
import { ChoiceSet } from '@/ui/fields/ChoiceSet';
import { FindingField } from '../../FindingField';
import { ModelPicker } from '../../ModelPicker';
import { useStepContent } from '../../use-findings';
import { useOwnPairs } from '../../use-own-pairs';
import { useExamined } from '../../visit-context';

type Before = NonNullable<StepContents['ask']['before']>[number];

const GOOD_LABELS = mapTable(GOOD, ({ label }) => label);
const BAD_LABELS = mapTable(BAD, ({ label }) => label);
const VERDICTS = { served: 'served', failed: 'did not' } as const;

/** Pairs that served and pairs that did not, the shoe that the patient would like, and what they do with laces. */
export function ShoesBefore() {
  const { readOnly } = useExamined();
  const { content, change } = useStepContent('ask');
  const before = content.before ?? [];
  const add = (title: string, model: ShoeModel | null, verdict: PairBefore['verdict'] = 'served') =>
    change({
      before: [
        ...before,
        {
          id: crypto.randomUUID(),
          verdict,
          title,
          ...(model ? { model: model.id, values: { ...valuesToKeep(model.features) } } : {}),
        },
      ],
    });
  const put = (id: string, part: { [K in keyof Before]?: Before[K] | undefined }) =>
    change({
      before: before.map((pair) => (pair.id === id ? omitUndefined<Before>({ ...pair, ...part }) : pair)),
    });
  return (
    <div className="grid gap-4">
      <section aria-label="Pairs before" className="grid gap-2">
        {before.map((pair) => (
          <PairRow
            key={pair.id}
            pair={pair}
            readOnly={readOnly}
            onChange={(part) => put(pair.id, part)}
            onRemove={() => change({ before: before.filter(({ id }) => id !== pair.id) })}
          />
        ))}
        <div className="flex flex-wrap gap-x-8 gap-y-2 items-start">
          <ModelPicker
            label="A pair that served, or did not"
            disabled={readOnly || before.length >= 12}
            onPick={(title, model) => add(title, model)}
          />
          <OwnPairs named={before} onAdd={add} />
        </div>
      </section>
      <Wanted />
      <FindingField id="laceHabits" />
      <div className="grid grid-cols-2 gap-4">
        <FindingField id="workedBefore" />
        <FindingField id="failedBefore" />
      </div>
    </div>
  );
}

interface RowProps {
  pair: Before;
  readOnly: boolean;
  onChange: (part: { [K in keyof Before]?: Before[K] | undefined }) => void;
  onRemove: () => void;
}

function PairRow({ pair, readOnly, onChange, onRemove }: RowProps) {
  return (
    <fieldset className="border-b border-line pb-1 min-w-0">
      <legend className="sr-only">{pair.title}</legend>
      <div className="flex flex-wrap gap-x-4 items-baseline">
        <strong>{pair.title}</strong>
        {!pair.model && <span className="text-faint text-sm">not in the catalogue: words only</span>}
        <span className="flex">
          {keysOf(VERDICTS).map((verdict) => (
            <label key={verdict} className="option">
              <input
                type="radio"
                name={`verdict-${pair.id}`}
                checked={pair.verdict === verdict}
                disabled={readOnly}
                onChange={() => onChange({ verdict })}
              />
              {VERDICTS[verdict]}
            </label>
          ))}
        </span>
        <span className="flex gap-1 items-baseline">
          <span className="text-faint">worn</span>
          <Amount
            label={`Months worn, ${pair.title}`}
            unit="months"
            value={pair.months}
            most={600}
            disabled={readOnly}
            onChange={(months) => onChange({ months })}
          />
        </span>
        <button
          type="button"
          className="press press-quiet ml-auto"
          disabled={readOnly}
          aria-label={`Remove ${pair.title}`}
          onClick={onRemove}
        >
          remove
        </button>
      </div>
      <div className="flex flex-wrap gap-x-6">
        <ChoiceSet<GoodId>
          label="Good"
          beside
          allowNone={false}
          options={GOOD_LABELS}
          value={pair.good}
          onChange={(good) => onChange({ good })}
        />
        <ChoiceSet<BadId>
          label="Bad"
          beside
          allowNone={false}
          options={BAD_LABELS}
          value={pair.bad}
          onChange={(bad) => onChange({ bad })}
        />
      </div>
    </fieldset>
  );
}

/** What this clinic handed over, to be named with one press. */
function OwnPairs({
  named,
  onAdd,
}: {
  named: readonly Before[];
  onAdd: (title: string, model: ShoeModel, verdict: PairBefore['verdict']) => void;
}) {
  const { visit, readOnly } = useExamined();
  const { pairs } = useOwnPairs(visit.patient.id);
  // Several pairs of one model served, or did not, alike.
  const models = new Map((pairs ?? []).map(({ model }) => [model.id, model]));
  const left = [...models.values()].filter(({ id }) => named.every((entry) => entry.model !== id));
  if (readOnly || left.length === 0) return null;
  return (
    <div className="grid gap-0.5">
      <span className="text-faint">From this clinic</span>
      {left.slice(0, 3).map((model) => (
        <span key={model.id} className="flex gap-2 items-baseline">
          {modelTitle(model)}
          {keysOf(VERDICTS).map((verdict) => (
            <button
              key={verdict}
              type="button"
              className="press press-quiet"
              aria-label={`${modelTitle(model)} ${VERDICTS[verdict]}`}
              onClick={() => onAdd(modelTitle(model), model, verdict)}
            >
              {VERDICTS[verdict]}
            </button>
          ))}
        </span>
      ))}
    </div>
  );
}

/** The shoe that the patient would like: the candidates say whether it may be had, and why not. */
function Wanted() {
  const { readOnly } = useExamined();
  const { content, change } = useStepContent('ask');
  const { wanted } = content;
  return (
    <section aria-label="Shoe that the patient wants">
      {wanted ? (
        <p className="flex gap-3 items-baseline">
          <span className="text-faint">Would like</span> <strong>{wanted.title}</strong>
          <button
            type="button"
            className="press press-quiet"
            disabled={readOnly}
            onClick={() => change({ wanted: undefined })}
          >
            remove
          </button>
        </p>
      ) : (
        <ModelPicker
          label="The shoe that the patient would like"
          disabled={readOnly}
          onPick={(title, model) => change({ wanted: { title, ...(model ? { model: model.id } : {}) } })}
        />
      )}
    </section>
  );
}
