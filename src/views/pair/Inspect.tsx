import { useState } from 'react';
import { type Answer, errorAt, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { inspectionSchema } from '@/contract/pairs';
import type { PairRecord } from '@/contract/records';
import { modelTitle } from '@/core/catalogue/model';
import type { SignStrengths } from '@/core/signs/signs';
import { omitUndefined } from '@/core/tables/omit-undefined';
import { usedUpAfter } from '@/core/wear/clocks';
import { isWorthKeeping } from '@/core/wear/inspection';
import { distributionOf } from '@/core/wear/life-schools';
import { verdictOf } from '@/core/wear/verdict';
import type { InspectionContent } from '@/core/wear/worn-schema';
import { Amount } from '@/ui/fields/Amount';
import { DayInput } from '@/ui/fields/DayInput';
import { Field, FormProblem } from '@/ui/fields/Field';
import { useKeptDraft } from '../use-kept-draft';
import { MidsoleMap } from '../worn/MidsoleMap';
import { SignList } from '../worn/SignList';
import { SoleMap } from '../worn/SoleMap';
import { VerdictPanel } from '../worn/VerdictPanel';

type Draft = InspectionContent & { since?: number | undefined; on: string };

const isDraft = (kept: unknown): kept is Draft => inspectionSchema.safeParse(kept).success;

/** Five minutes with a pair in use: what it shows, where its soles are worn, how much it was used since. */
export function Inspect({
  pair,
  strengths,
  today,
}: {
  pair: PairRecord;
  strengths: SignStrengths | undefined;
  today: string;
}) {
  const last = pair.inspections.findLast(({ content }) => content.wear);
  const [draft, put, drop] = useKeptDraft<Draft>(
    `inspection ${pair.id}`,
    {
      on: today,
      ...(last?.content.wear ? { wear: last.content.wear } : {}),
      ...(last?.content.soleMarks ? { soleMarks: last.content.soleMarks } : {}),
    },
    isDraft,
  );
  const [answer, setAnswer] = useState<Answer<unknown> | null>(null);
  const [busy, setBusy] = useState(false);
  const change = (part: Partial<Draft>) => put(omitUndefined<Draft>({ ...draft, ...part }));
  const { forecast } = pair;
  const used = (forecast.used ?? 0) + (draft.since ?? 0);
  const verdict = verdictOf(draft.signs ?? {}, usedUpAfter(distributionOf(forecast.life), used), strengths);
  const { on, since, ...content } = draft;
  const save = async () => {
    setBusy(true);
    const result = await call('inspectPair', {
      params: { id: pair.id },
      body: omitUndefined({ on, since, ...content }),
    });
    setBusy(false);
    setAnswer(result);
    if (!result.ok) return;
    drop();
    location.reload();
  };
  const unit = forecast.life.clock === 'km' ? 'km' : forecast.life.clock === 'days-worn' ? 'days' : 'hours';
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_16rem] gap-6">
      <div className="grid gap-3 content-start min-w-0">
        <div className="flex flex-wrap gap-5 items-end">
          <Field label="Looked at on" error={errorAt(answer, 'on')}>
            {(control) => <DayInput value={on} onChange={(day) => change({ on: day })} {...control} />}
          </Field>
          <span className="grid">
            <span className="text-faint">Used since the last entry</span>
            <Amount
              key={`${draft.since === undefined}`}
              label="Used since the last entry"
              unit={unit}
              value={draft.since}
              most={2000}
              disabled={busy}
              onChange={(amount) => change({ since: amount })}
            />
          </span>
          <label className="pb-1.5">
            <input
              type="checkbox"
              checked={draft.heat ?? pair.conditions.heat ?? false}
              onChange={({ target }) => change({ heat: target.checked })}
            />{' '}
            kept or worn in heat
          </label>
        </div>
        <SignList signs={draft.signs ?? {}} onChange={(signs) => change({ signs })} />
        <h2 className="text-base">Soles, from below</h2>
        <p className="text-faint">
          {last
            ? 'As they were seen last: change what differs.'
            : 'Press a zone, or its digit: 0 not worn to 3 through.'}
        </p>
        <SoleMap
          map={draft.wear ?? {}}
          readOnly={busy}
          onChange={(wear) => change({ wear })}
          marks={draft.soleMarks ?? []}
          onMarks={(soleMarks) => change({ soleMarks })}
        />
        <h2 className="text-base">Midsole, from the side</h2>
        <MidsoleMap
          midsole={draft.midsole ?? {}}
          readOnly={busy}
          onChange={(midsole) => change({ midsole })}
        />
      </div>
      <div className="grid gap-3 content-start">
        <VerdictPanel title={modelTitle(pair.model)} verdict={verdict} notices={[]} />
        <Field label="Note" error={errorAt(answer, 'note')}>
          {(control) => (
            <textarea
              rows={3}
              className="w-full"
              value={draft.note ?? ''}
              onChange={({ target }) => change({ note: target.value || undefined })}
              {...control}
            />
          )}
        </Field>
        <FormProblem
          message={errorAt(answer, 'signs') ?? (answer && !answer.ok ? failureInWords(answer) : undefined)}
        />
        <button
          type="button"
          className="press press-main justify-self-start"
          disabled={busy || (!isWorthKeeping(content) && since === undefined)}
          onClick={save}
        >
          {busy ? 'Keeping …' : 'Keep the inspection'}
        </button>
        <p className="text-faint text-xs">
          The window moves with it. An inspection is kept as it was; a new one is added beside it.
        </p>
      </div>
    </div>
  );
}
