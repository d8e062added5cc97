import { useState } from 'react';
import { errorAt, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import type { LimbPage } from '@/contract/limb';
import type { SockStep } from '@/core/prosthesis/sock-advice';
import { SOCK_FEELS, SOCK_TAG_IDS, SOCK_TAGS, type SockFeel, type SockTag } from '@/core/prosthesis/sock-log';
import { MOST_PLY, stackInWords } from '@/core/prosthesis/sock-stack';
import { keysOf } from '@/core/tables/keys-of';
import { Field } from '@/ui/fields/Field';
import { MomentInput } from '@/ui/fields/MomentInput';
import { localNow } from '../local-now';
import { DayPicture } from './DayPicture';
import type { Limb } from './use-limb';

interface Props {
  limb: Limb;
  page: LimbPage;
  patientId: string;
}

/** Look, curve, and what to do and to carry. */
export function SocksToday({ limb, page, patientId }: Props) {
  const { day, entries } = page;
  return (
    <div className="grid grid-cols-[17rem_1fr] max-md:grid-cols-1 gap-6 items-start">
      <LookForm limb={limb} page={page} patientId={patientId} />
      <div className="grid gap-3">
        <section aria-label="What to do now" role="status">
          <p className={`text-lg ${day.step.kind === 'stop' ? 'text-warn font-semibold' : ''}`}>
            {stepInWords(day.step)}
          </p>
          {day.range && (
            <p>
              Rest of the day:{' '}
              <strong className="figure">
                {day.range.from === day.range.to ? day.range.from : `${day.range.from}–${day.range.to}`} ply
              </strong>
              , eight times of ten.
            </p>
          )}
          {day.carry && (
            <p>
              {day.carry.sentence}
              {day.carry.lacks.map((line) => (
                <span key={line} className="block text-hold">
                  {line}
                </span>
              ))}
            </p>
          )}
        </section>
        <DayPicture day={day} entries={entries} now={localNow()} />
      </div>
    </div>
  );
}

function stepInWords(step: SockStep): string {
  switch (step.kind) {
    case 'stop':
      return step.because === 'pain'
        ? 'Pain in the socket: no advice on ply. Prosthesis off, look at the skin, have it seen.'
        : 'A warning from home is open: no advice on ply until somebody has seen to it.';
    case 'none-left':
      return 'Tight with no sock on: prosthesis off, have the socket seen.';
    case 'stay':
      return 'Leave the socks as they are.';
    case 'no-look':
      return 'Socks not checked yet today.';
    case 'add':
    case 'take-off': {
      const wear =
        step.to === 0
          ? 'no sock'
          : step.socks
            ? stackInWords({ socks: step.socks })
            : `${step.to} ply, which the drawer does not make`;
      return `${step.kind === 'add' ? 'Add' : 'Take off'} ${step.by} ply: ${wear}.`;
    }
  }
}

/** Sock check: ply, feel, and what moved the day. */
function LookForm({ limb, page, patientId }: Props) {
  const usual = page.day.worn ?? page.entries.at(-1)?.ply ?? 3;
  const [typed, setTyped] = useState<string | null>(null);
  const [tags, setTags] = useState<readonly SockTag[]>([]);
  const [at, setAt] = useState<string | null>(null);
  const [failure, setFailure] = useState<{ at?: string; ply?: string; other?: string }>({});
  const ply = typed ?? String(usual);
  const note = async (feel: SockFeel) => {
    const whole = Number(ply);
    if (ply.trim() === '' || !Number.isInteger(whole) || whole < 0 || whole > MOST_PLY)
      return setFailure({ ply: `Whole plies, 0 to ${MOST_PLY}.` });
    const answer = await call('noteSocks', {
      params: { id: patientId },
      body: { at: at ?? localNow(), ply: whole, feel, ...(tags.length > 0 ? { tags: [...tags] } : {}) },
    });
    if (!answer.ok) {
      const [atField, atPly] = [errorAt(answer, 'at'), errorAt(answer, 'ply')];
      setFailure({
        ...(atField ? { at: atField } : {}),
        ...(atPly ? { ply: atPly } : {}),
        ...(atField || atPly ? {} : { other: failureInWords(answer) }),
      });
      return;
    }
    setFailure({});
    setTyped(null);
    setTags([]);
    setAt(null);
    await limb.load();
  };
  const step = (by: number) => setTyped(String(Math.min(MOST_PLY, Math.max(0, (Number(ply) || 0) + by))));
  return (
    <section aria-label="Sock check" className="grid gap-3">
      <div className="flex gap-2 items-end">
        <button type="button" className="press" aria-label="One ply less" onClick={() => step(-1)}>
          −
        </button>
        <Field label="Ply on" error={failure.ply}>
          {(control) => (
            <input
              className="figure w-16 text-center text-xl"
              inputMode="numeric"
              value={ply}
              onChange={({ target }) => setTyped(target.value)}
              {...control}
            />
          )}
        </Field>
        <button type="button" className="press" aria-label="One ply more" onClick={() => step(1)}>
          +
        </button>
      </div>
      <fieldset>
        <legend className="text-faint">How it feels: a press notes it</legend>
        <div className="flex flex-wrap gap-2 mt-1">
          {keysOf(SOCK_FEELS).map((feel) => (
            <button key={feel} type="button" className="press" onClick={() => void note(feel)}>
              {SOCK_FEELS[feel]}
            </button>
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend className="text-faint">Something today</legend>
        <div className="flex flex-wrap gap-x-4 gap-y-1 mt-1">
          {SOCK_TAG_IDS.map((tag) => (
            <label key={tag} className="flex gap-1.5 items-center">
              <input
                type="checkbox"
                checked={tags.includes(tag)}
                onChange={() =>
                  setTags(tags.includes(tag) ? tags.filter((one) => one !== tag) : [...tags, tag])
                }
              />
              {SOCK_TAGS[tag]}
            </label>
          ))}
        </div>
      </fieldset>
      <Field label="When" hint="now, unless it was earlier" error={failure.at}>
        {(control) => <MomentInput label="When" value={at ?? localNow()} onChange={setAt} {...control} />}
      </Field>
      {failure.other && (
        <p role="alert" className="problem">
          {failure.other}
        </p>
      )}
    </section>
  );
}
