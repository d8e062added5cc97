import { useState } from 'react';
import {
  ACHE_TIMES,
  type BodyMark,
  INJURY_STATES,
  type InjuryKind,
  type Layer,
  SKIN_KINDS,
} from '@/core/body-map/mark';
import { siteOf } from '@/core/body-map/sites';
import { dayOf } from '@/core/calendar/days';
import { numberQuestion } from '@/core/findings/finding-kinds';
import { FINDINGS } from '@/core/findings/findings';
import { printMonth } from '@/core/formats/formats';
import { readMonth } from '@/core/formats/read-month';
import { Choice } from '@/ui/fields/Choice';
import { ChoiceSet } from '@/ui/fields/ChoiceSet';
import { DayInput } from '@/ui/fields/DayInput';
import { Field } from '@/ui/fields/Field';
import { Select } from '@/ui/fields/Select';
import { Steps } from '@/ui/fields/Steps';
import { useExamined } from '../visit-context';
import type { useMarks } from './use-marks';

const SCORE = numberQuestion('Pain', 'score', [0, 10], { whole: true });
const INJURY_KINDS: Record<InjuryKind, string> = { ...FINDINGS.injuries.options, other: 'another' };

const HINT: Record<Layer, string> = {
  ache: 'Press where it aches; Tab and Space go through the places. Then say how much and when.',
  injury: 'Press where the injury was; then what, when, and how it is now.',
  skin: 'Press where the skin is changed; then say what it is.',
};

interface Props {
  layer: Layer;
  mark: BodyMark | null;
  marks: ReturnType<typeof useMarks>;
  onChoose: (id: string | null) => void;
}

/** What one marked place is: the fields of its layer, its note, and the other marks to go to. */
export function MarkEditor({ layer, mark, marks, onChoose }: Props) {
  const { readOnly } = useExamined();
  return (
    <div className="border-t border-line pt-1 grid gap-1">
      <p className="flex flex-wrap gap-x-3 gap-y-0.5 items-baseline text-sm">
        {marks.marks.length === 0 && <span className="text-faint">{HINT[layer]}</span>}
        {marks.marks.map((entry) => (
          <button
            key={entry.id}
            type="button"
            aria-pressed={entry.id === mark?.id}
            className="cursor-pointer underline decoration-dotted aria-pressed:font-semibold aria-pressed:decoration-solid"
            onClick={() => onChoose(entry.id)}
          >
            {nameOf(entry)}
          </button>
        ))}
        {marks.carried && (
          <span className="text-faint">
            carried over from the last visit; a change makes them this visit’s
          </span>
        )}
      </p>
      {mark && !readOnly && (
        <div className="flex flex-wrap gap-x-4 gap-y-1 items-end">
          <Fields mark={mark} onChange={marks.update} />
          <label className="grow min-w-32">
            <span className="block text-faint">Note</span>
            <input
              className="w-full"
              maxLength={300}
              value={mark.note ?? ''}
              onChange={(event) => marks.update({ ...mark, note: event.target.value || undefined })}
            />
          </label>
          <button
            type="button"
            className="press"
            onClick={() => {
              marks.remove(mark);
              onChoose(null);
            }}
          >
            Remove
          </button>
        </div>
      )}
    </div>
  );
}

function nameOf(mark: BodyMark): string {
  const place = `${siteOf(mark.site)?.label ?? mark.site}, ${mark.side}`;
  if (mark.layer === 'ache') return mark.score === undefined ? place : `${place}: ${mark.score}/10`;
  if (mark.layer === 'skin') return mark.kind ? `${SKIN_KINDS[mark.kind]}, ${place}` : place;
  const what = mark.what ? `${INJURY_KINDS[mark.what]}, ` : '';
  return `${what}${place}${mark.on ? `, ${printMonth(mark.on)}` : ''}`;
}

/** A year, or a month of it, in any usual way; anything else stays in the field with what is wrong and is not taken. */
function InjuryDate({
  value,
  onChange,
}: {
  value: string | undefined;
  onChange: (value: string | undefined) => void;
}) {
  const [typed, setTyped] = useState(value === undefined ? '' : printMonth(value));
  const [isLeft, setLeft] = useState(false);
  const good = typed.trim() === '' || readMonth(typed) !== null;
  return (
    <label>
      <span className="block text-faint">When, year or month and year</span>
      <input
        className="figure w-28"
        placeholder="Mar 2024"
        value={typed}
        aria-invalid={isLeft && !good}
        onChange={(event) => {
          const next = event.target.value;
          setTyped(next);
          const read = readMonth(next);
          if (read !== null || next.trim() === '') onChange(read ?? undefined);
        }}
        onBlur={() => {
          setLeft(true);
          const read = readMonth(typed);
          if (read !== null) setTyped(printMonth(read));
        }}
      />
      {isLeft && !good && <span className="problem block text-xs">Write 2024, or Mar 2024.</span>}
    </label>
  );
}

function Fields({ mark, onChange }: { mark: BodyMark; onChange: (mark: BodyMark) => void }) {
  if (mark.layer === 'ache')
    return (
      <>
        <Steps
          definition={SCORE}
          label="How much, 0–10"
          value={mark.score}
          onChange={(score) => onChange({ ...mark, score })}
        />
        <ChoiceSet
          label="When"
          options={ACHE_TIMES}
          value={mark.when}
          onChange={(when) => onChange({ ...mark, when })}
        />
        <Field label="Since">
          {(control) => (
            <DayInput
              max={dayOf(new Date())}
              value={mark.since ?? ''}
              onChange={(since) => onChange({ ...mark, since: since || undefined })}
              {...control}
            />
          )}
        </Field>
      </>
    );
  if (mark.layer === 'injury')
    return (
      <>
        <Select
          label="What the injury was"
          none="not said"
          options={INJURY_KINDS}
          value={mark.what}
          onChange={(what) => onChange({ ...mark, what })}
        />
        <InjuryDate key={mark.id} value={mark.on} onChange={(on) => onChange({ ...mark, on })} />
        <Choice
          label="Now"
          options={INJURY_STATES}
          value={mark.state}
          onChange={(state) => onChange({ ...mark, state: state })}
        />
      </>
    );
  return (
    <Choice
      label="What it is"
      options={SKIN_KINDS}
      value={mark.kind}
      onChange={(kind) => onChange({ ...mark, kind: kind })}
    />
  );
}
