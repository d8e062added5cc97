import { useState } from 'react';
import { z } from 'zod';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { ClosedRecord, RetentionPreview } from '@/contract/patients-schema';
import { type Retention, retentionSchema } from '@/core/retention/keep-until';
import { Field, FormProblem } from '@/ui/fields/Field';
import { writtenDay } from '@/ui/formats';
import { useApiForm } from '../use-api-form';

const years = (schema: z.ZodType<number | null | undefined>) =>
  z.preprocess((typed) => (typeof typed === 'string' && typed.trim() !== '' ? Number(typed) : null), schema);
const formSchema = z.object({
  yearsAfterLastVisit: years(retentionSchema.shape.yearsAfterLastVisit),
  childrenUntilAge: years(retentionSchema.shape.childrenUntilAge),
});

/** For how long records are kept, what that means for those there are, and what is closed from view. */
export function KeepingRecords({
  retention,
  closed,
}: {
  retention: Retention;
  closed: readonly ClosedRecord[];
}) {
  const { register, handleSubmit, refuse, formState } = useApiForm(formSchema, {
    yearsAfterLastVisit: String(retention.yearsAfterLastVisit ?? ''),
    childrenUntilAge: String(retention.childrenUntilAge ?? ''),
  });
  const { errors } = formState;
  const [looked, setLooked] = useState<{ rules: Retention; preview: RetentionPreview } | null>(null);
  const [said, setSaid] = useState('');
  const preview = handleSubmit(async (rules) => {
    const answer = await call('previewRetention', { body: rules });
    if (!answer.ok) return refuse(answer);
    setSaid('');
    setLooked({ rules, preview: answer.value });
  });
  const save = handleSubmit(async (rules) => {
    const answer = await call('changeClinic', { body: { retention: rules } });
    if (!answer.ok) return refuse(answer);
    setSaid('Saved. Nothing was erased.');
  });
  const erased = (words: string) => {
    setLooked(null);
    setSaid(words);
  };
  const number = (name: 'yearsAfterLastVisit' | 'childrenUntilAge', label: string) => (
    <Field label={label} error={errors[name]?.message}>
      {(control) => <input inputMode="numeric" className="w-20" {...register(name)} {...control} />}
    </Field>
  );
  return (
    <>
      <form onSubmit={preview} noValidate className="grid gap-3 max-w-2xl">
        {number('yearsAfterLastVisit', 'Years after the last visit')}
        {number('childrenUntilAge', 'Children at the last visit: at least until the age of')}
        <p className="text-faint">
          Empty: no rule. The numbers come from the law of your country and your insurer; Sovet proposes none.
          A record whose person asks to be erased earlier is hidden until then and erased automatically
          afterwards.
        </p>
        <FormProblem message={errors.root?.message} />
        <div className="flex gap-3">
          <button type="submit" className="press">
            Preview
          </button>
          <button type="button" className="press press-main" onClick={() => void save()}>
            Save the rules
          </button>
        </div>
        <p role="status">{said}</p>
      </form>
      {looked && <Preview {...looked} onErased={erased} />}
      <Closed closed={closed} />
    </>
  );
}

interface PreviewProps {
  rules: Retention;
  preview: RetentionPreview;
  onErased: (words: string) => void;
}

function Preview({ rules, preview, onErased }: PreviewProps) {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState<string>();
  const erase = async () => {
    const answer = await call('erasePast', { body: { retention: rules, count: preview.past } });
    if (answer.ok) onErased(`${answer.value.erased} erased for good.`);
    else setProblem(failureInWords(answer));
  };
  return (
    <section aria-labelledby="preview" className="border-t border-rule pt-2 mt-5">
      <h2 id="preview">With these rules</h2>
      <p>
        Of {preview.records} records {preview.kept} are kept;{' '}
        {preview.past === 0 ? 'none is' : `${preview.past} are`} past their time.
      </p>
      {preview.past > 0 && (
        <>
          <ul className="max-h-64 overflow-auto my-2">
            {preview.first.map(({ id, name, lastOn, until }) => (
              <li key={id} className="grid grid-cols-[1fr_14rem_14rem] gap-3 border-b border-line py-1">
                <a href={`/patients/${id}`}>{name}</a>
                <span className="text-faint">last here {writtenDay(lastOn)}</span>
                <span className="text-faint">kept until {writtenDay(until)}</span>
              </li>
            ))}
          </ul>
          {preview.past > preview.first.length && (
            <p className="text-faint">and {preview.past - preview.first.length} more</p>
          )}
          <div className="flex gap-3 items-end mt-2">
            <Field label={`To erase them for good, type ${preview.past}`}>
              {(control) => (
                <input
                  className="w-24"
                  inputMode="numeric"
                  value={typed}
                  onChange={({ target }) => setTyped(target.value)}
                  {...control}
                />
              )}
            </Field>
            <button
              type="button"
              className="press"
              disabled={typed.trim() !== String(preview.past)}
              onClick={() => void erase()}
            >
              Erase {preview.past} for good
            </button>
          </div>
          <FormProblem message={problem} />
        </>
      )}
    </section>
  );
}

function Closed({ closed }: { closed: readonly ClosedRecord[] }) {
  const [list, setList] = useState(closed);
  const [problem, setProblem] = useState<string>();
  const reopen = async (id: string) => {
    const answer = await call('reopenPatient', { params: { id } });
    setProblem(answer.ok ? undefined : failureInWords(answer));
    const fresh = await call('closedPatients', {});
    if (fresh.ok) setList(fresh.value);
  };
  return (
    <section aria-labelledby="closed" className="border-t border-rule pt-2 mt-5">
      <h2 id="closed">Closed from view</h2>
      {list.length === 0 && (
        <p className="text-faint">None. A record is closed when its person asks for erasure too early.</p>
      )}
      <ul>
        {list.map(({ id, name, until, because }) => (
          <li
            key={id}
            className="grid grid-cols-[1fr_10rem_2fr_auto] gap-3 items-baseline border-b border-line py-1"
          >
            <strong>{name}</strong>
            <span>until {writtenDay(until)}</span>
            <span className="text-faint">{because}</span>
            <button
              type="button"
              className="press"
              aria-label={`Back into view: ${name}`}
              onClick={() => void reopen(id)}
            >
              Back into view
            </button>
          </li>
        ))}
      </ul>
      <FormProblem message={problem} />
    </section>
  );
}
