import { useState } from 'react';
import { type Answer, errorAt, failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import { modelTitle, type ShoeModel } from '@/core/catalogue/model';
import type { ShankLines } from '@/core/photograph/shank-lines';
import { TABLE_DECISIONS, type TableDecision } from '@/core/prosthesis/limb-record';
import { type ProstheticFoot, riseUnder } from '@/core/prosthesis/on-this-foot';
import {
  expectedLean,
  leanInWords,
  type ShankOnTable,
  setRiseFrom,
  shankOnTable,
} from '@/core/prosthesis/table-check';
import { Handle } from '@/ui/drawing/Handle';
import { PictureStage } from '@/ui/drawing/PictureStage';
import { Field } from '@/ui/fields/Field';
import { Select } from '@/ui/fields/Select';
import { localNow } from '../local-now';
import { ModelPicker } from '../visit/ModelPicker';
import { useTablePhotograph } from './use-table-photograph';

const TOES = { right: 'right', left: 'left' } as const;

interface Props {
  foot: ProstheticFoot | null;
  patientId: string;
  onDone: (kept: boolean) => void;
}

/** A shoe with the prosthesis in it: its rise, the lean from a photograph before and after a wedge, and what is decided. */
export function TableCheck({ foot, patientId, onDone }: Props) {
  const photograph = useTablePhotograph();
  const [model, setModel] = useState<ShoeModel | null>(null);
  const [rise, setRise] = useState('');
  const [wedge, setWedge] = useState('0');
  const [toes, setToes] = useState<'left' | 'right'>('right');
  const [before, setBefore] = useState<ShankOnTable | null>(null);
  const [decision, setDecision] = useState<TableDecision | undefined>(undefined);
  const [note, setNote] = useState('');
  const [refused, setRefused] = useState<Answer<unknown> | null>(null);
  const [missing, setMissing] = useState('');
  const { picture, lines, isPlaced } = photograph;
  const seen = picture && lines && isPlaced ? shankOnTable(lines, toes, picture.width) : null;
  const riseMm = rise.trim() === '' ? null : Number(rise.replace(',', '.'));
  const wedgeMm = Number(wedge.replace(',', '.'));
  const numbers = riseMm !== null && Number.isFinite(riseMm) && Number.isFinite(wedgeMm);
  const expected =
    numbers && foot?.setRiseMm != null && foot.leverMm !== null
      ? expectedLean(riseMm + wedgeMm, foot.setRiseMm, foot.leverMm)
      : null;
  const told =
    seen && numbers && foot?.leverMm != null
      ? setRiseFrom(seen, { riseMm, wedgeMm, leverMm: foot.leverMm }, foot.setRiseMm)
      : null;
  const keep = async () => {
    if (!model) return setMissing('Choose the model.');
    if (!numbers) return setMissing('Measure the heel rise and the wedge of this shoe.');
    if (!decision) return setMissing('Say what is decided.');
    setMissing('');
    const answer = await call('keepTableCheck', {
      params: { id: patientId },
      body: {
        model: model.id,
        on: localNow().slice(0, 10),
        decision,
        riseMm,
        wedgeMm,
        note: note.trim(),
        ...(seen ? { leanDeg: seen.leanDeg, leanError: seen.error } : {}),
        ...(before ? { leanBeforeDeg: before.leanDeg } : {}),
      },
    });
    if (answer.ok) onDone(true);
    else setRefused(answer);
  };
  return (
    <section
      aria-label="A shoe on the table"
      className="grid grid-cols-[24rem_1fr] max-lg:grid-cols-1 gap-6 border-t border-line pt-3 items-start"
    >
      <div className="grid gap-3">
        {model ? (
          <p>
            <strong>{modelTitle(model)}</strong>{' '}
            <button type="button" className="press press-quiet" onClick={() => setModel(null)}>
              another
            </button>
          </p>
        ) : (
          <ModelPicker
            label="Which shoe"
            disabled={false}
            listedOnly
            onPick={(_, picked) => {
              if (!picked) return;
              setMissing('');
              setModel(picked);
              const stated = foot && riseUnder(picked.features, foot);
              if (stated != null) setRise(String(Math.round(stated * 10) / 10));
            }}
          />
        )}
        <div className="flex gap-4">
          <Field label="Heel rise, mm" error={errorAt(refused, 'riseMm')}>
            {(control) => (
              <input
                className="figure w-20"
                inputMode="decimal"
                value={rise}
                onChange={({ target }) => setRise(target.value)}
                {...control}
              />
            )}
          </Field>
          <Field label="Wedge in it, mm" error={errorAt(refused, 'wedgeMm')}>
            {(control) => (
              <input
                className="figure w-20"
                inputMode="decimal"
                value={wedge}
                onChange={({ target }) => setWedge(target.value)}
                {...control}
              />
            )}
          </Field>
          <Select label="Toes point" options={TOES} value={toes} onChange={(to) => to && setToes(to)} />
        </div>
        <div className="flex flex-wrap gap-3 items-center">
          <label className="press cursor-pointer">
            Photograph from the side
            <input
              type="file"
              accept="image/*"
              className="sr-only"
              onChange={({ target }) => {
                const [file] = target.files ?? [];
                if (file) void photograph.open(file);
                target.value = '';
              }}
            />
          </label>
          <button
            type="button"
            className="press press-quiet"
            onClick={() => void photograph.simulate(expected ?? 2, toes)}
          >
            Simulated camera
          </button>
          {photograph.isBusy && <span role="status">Looking for table and pylon …</span>}
        </div>
        {photograph.problem && (
          <p role="alert" className="text-hold">
            {photograph.problem}
          </p>
        )}
        <div role="status" className="grid gap-1">
          {seen && (
            <p>
              The shank stands <strong>{leanInWords(seen)}</strong>.
            </p>
          )}
          {before && <p>Before: {leanInWords(before)}.</p>}
          {told && <p className={told.contradicts ? 'text-hold' : ''}>{told.sentence}</p>}
          {expected !== null && (
            <p className="text-faint">
              By the numbers it should stand {leanInWords({ leanDeg: expected, error: 0 })}.
            </p>
          )}
        </div>
        {seen && (
          <button type="button" className="press justify-self-start" onClick={() => setBefore(seen)}>
            This was before the wedge
          </button>
        )}
        <Select
          label="Decision"
          options={TABLE_DECISIONS}
          none="not decided"
          value={decision}
          onChange={setDecision}
        />
        <Field label="Note" error={errorAt(refused, 'note')}>
          {(control) => (
            <input
              maxLength={300}
              value={note}
              onChange={({ target }) => setNote(target.value)}
              {...control}
            />
          )}
        </Field>
        {(missing || (refused && !refused.ok)) && (
          <p role="alert" className="problem">
            {missing || (refused && !refused.ok && failureInWords(refused))}
          </p>
        )}
        <p className="flex gap-3">
          <button type="button" className="press press-main" onClick={() => void keep()}>
            Keep the check
          </button>
          <button type="button" className="press" onClick={() => onDone(false)}>
            Leave it
          </button>
        </p>
      </div>
      {picture && lines ? (
        <Stage picture={picture} lines={lines} onLines={photograph.place} />
      ) : (
        <p className="text-faint bg-desk p-6">
          Prosthesis in its shoe on a table, camera at the height of the ankle and square to the foot. The
          table’s edge and the bare pylon must be visible. The photograph is not kept; the numbers are.
        </p>
      )}
    </section>
  );
}

/** The photograph with the table’s edge and the pylon on it. */
function Stage({
  picture,
  lines,
  onLines,
}: {
  picture: ImageBitmap;
  lines: ShankLines;
  onLines: (lines: ShankLines) => void;
}) {
  const unit = picture.width / 480;
  const drawn = [
    { id: 'table', label: 'table’s edge', colour: 'var(--accent)' },
    { id: 'pylon', label: 'pylon', colour: 'var(--hold)' },
  ] as const;
  return (
    <PictureStage
      picture={picture}
      width={picture.width}
      height={picture.height}
      label="The photograph from the side"
      className="h-[25rem]"
    >
      {drawn.map(({ id, label, colour }) => {
        const [a, b] = lines[id];
        return (
          <g key={id}>
            <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} stroke={colour} strokeWidth={2 * unit} />
            <Handle
              at={a}
              unit={unit}
              label={`${label}, first end`}
              onMove={(to) => onLines({ ...lines, [id]: [to, b] })}
            />
            <Handle
              at={b}
              unit={unit}
              label={`${label}, second end`}
              onMove={(to) => onLines({ ...lines, [id]: [a, to] })}
            />
          </g>
        );
      })}
    </PictureStage>
  );
}
