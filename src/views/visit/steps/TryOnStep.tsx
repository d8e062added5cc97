import { useMemo } from 'react';
import { modelTitle, type ShoeModel } from '@/core/match/model';
import type { NumberFinding } from '@/core/picture/finding-kinds';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { fitAdvice, mostComfortable, type TryOn } from '@/core/tryon/try-on';
import { Choice } from '@/ui/controls/Choice';
import { Measure } from '@/ui/controls/Measure';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { roomWished, sizeFor } from '../sizes';
import { useModels } from '../use-models';
import { useVisit } from '../visit-context';

const number = (
  label: string,
  unit: NumberFinding['unit'],
  plausible: [number, number],
  possible: [number, number],
  whole = false,
): NumberFinding => ({
  kind: 'number',
  scope: 'body',
  step: null,
  label,
  unit,
  plausible,
  possible,
  whole,
});
const ROOM = number('Room in front', 'mm', [5, 22], [-20, 60]);
const COMFORT = number('Comfort, 0–100', 'score', [0, 100], [0, 100], true);
const SIZE = number('Size', 'count', [1, 60], [0, 400]);

/** Checks by tap, in the order in which they are made. */
const CHECKS = {
  widthFit: ['Width at the ball', { tight: 'tight', right: 'right', loose: 'loose' }],
  depth: ['Depth', { tight: 'tight', right: 'right', loose: 'loose' }],
  heelSlip: ['Heel slip', { none: 'none', slight: 'slight', clear: 'clear' }],
  collar: ['Collar', { clear: 'clear', presses: 'presses' }],
  archFeel: ['Arch', { right: 'right', presses: 'presses', missing: 'missing' }],
  bend: ['Folds', { 'under-ball': 'under the ball', 'too-far-back': 'too far back' }],
  task: ['Real task', { good: 'good', fair: 'fair', poor: 'poor' }],
  seen: ['Seen moving', { 'moves-less': 'moves less', same: 'same', 'moves-more': 'moves more' }],
} as const;

/** Two or three pairs side by side: checks, comfort, verdict. */
export function TryOnStep() {
  const { store, specification, picture, state } = useVisit();
  const { models, problem } = useModels();
  const byId = useMemo(() => new Map(models?.map((model) => [model.id, model])), [models]);
  const chosen = store.content('candidates').chosen ?? [];
  const saved = store.content('try-on').tryOns ?? [];
  const room = roomWished(specification);
  const typed = state.steps['try-on'].typed;
  if (problem) return <p className="problem">{problem}</p>;
  if (!models) return <p role="status">Fetching the catalogue …</p>;
  if (chosen.length === 0)
    return (
      <p>
        Nothing chosen to bring yet. <a href="#candidates">Choose two or three candidates</a> first.
      </p>
    );
  const tryOns = chosen.flatMap((id): { tryOn: TryOn; model: ShoeModel }[] => {
    const model = byId.get(id);
    if (!model) return [];
    return [{ model, tryOn: saved.find((entry) => entry.model === id) ?? begin(model) }];
  });
  function begin(model: ShoeModel): TryOn {
    const left = sizeFor(model, picture, specification, 'left');
    const right = sizeFor(model, picture, specification, 'right');
    const longer =
      left.ok && right.ok
        ? left.value.size >= right.value.size
          ? left.value
          : right.value
        : left.ok
          ? left.value
          : right.ok
            ? right.value
            : null;
    return {
      model: model.id,
      ...(longer ? { sizeLeft: longer.size, sizeRight: longer.size, width: longer.width } : {}),
    };
  }
  const change = (model: string, part: Partial<TryOn>, text: Record<string, string | undefined> = {}) => {
    const next = tryOns.map(({ tryOn }) => {
      if (tryOn.model !== model)
        return part.verdict === 'chosen' && tryOn.verdict === 'chosen'
          ? { ...tryOn, verdict: 'possible' as const }
          : tryOn;
      return Object.fromEntries(
        Object.entries({ ...tryOn, ...part }).filter(([, value]) => value !== undefined),
      ) as unknown as TryOn;
    });
    const texts = Object.fromEntries(
      Object.entries({ ...typed, ...text }).filter(
        (entry): entry is [string, string] => entry[1] !== undefined,
      ),
    );
    store.change('try-on', { tryOns: next }, texts);
  };
  const best = mostComfortable(
    tryOns.map(({ tryOn }) => tryOn),
    room,
  );
  return (
    <div className="grid gap-3">
      <p className="text-faint">
        Longer foot first, heel tapped back, laced for the patient. Room {room.from}–{room.to} mm. Repeat the
        first pair after the last: order biases.
      </p>
      <div className="grid grid-flow-col auto-cols-fr gap-5">
        {tryOns.map(({ tryOn, model }, index) => {
          const advice = fitAdvice(tryOn, room);
          const field = (name: string) => `${model.id}.${name}`;
          const measure = (
            name: 'roomMm' | 'comfort' | 'sizeLeft' | 'sizeRight',
            definition: NumberFinding,
            label = definition.label,
          ) => (
            <Measure
              definition={definition}
              label={label}
              value={tryOn[name]}
              typed={typed[field(name)]}
              onChange={(value, text) => change(model.id, { [name]: value }, { [field(name)]: text })}
            />
          );
          return (
            <section
              key={model.id}
              aria-label={`Pair ${'ABC'[index]}: ${modelTitle(model)}`}
              className="grid gap-1 content-start border-l border-line pl-4"
            >
              <h2>
                {'ABC'[index]}. {modelTitle(model)}
              </h2>
              <ShoeDrawing drawing={{ ...sideProfile(model.features), dimensions: [] }} className="h-14" />
              <div className="grid grid-cols-2 gap-x-3 gap-y-1">
                {measure('sizeLeft', SIZE, 'Size left')}
                {measure('sizeRight', SIZE, 'Size right')}
                {measure('roomMm', ROOM)}
                {measure('comfort', COMFORT)}
              </div>
              <Choice
                label="Verdict"
                options={{ chosen: 'chosen', possible: 'possible', rejected: 'rejected' }}
                value={tryOn.verdict}
                onChange={(value) => change(model.id, { verdict: value as TryOn['verdict'] })}
              />
              <ul role="status" aria-label={`Advice on pair ${'ABC'[index]}`}>
                {advice.map((line) => (
                  <li
                    key={line.sentence}
                    className={
                      line.level === 'stop' ? 'problem' : line.level === 'change' ? 'text-hold' : 'text-faint'
                    }
                  >
                    {line.sentence}
                  </li>
                ))}
                {best?.model === model.id && (
                  <li className="font-medium">Most comfortable of those that fit.</li>
                )}
              </ul>
              {Object.entries(CHECKS).map(([name, [label, options]]) => (
                <Choice
                  key={name}
                  label={label}
                  options={options}
                  value={tryOn[name as keyof typeof CHECKS]}
                  onChange={(value) => change(model.id, { [name]: value })}
                />
              ))}
              <label>
                <span className="block text-faint">Patient’s words</span>
                <input
                  className="w-full"
                  maxLength={600}
                  value={tryOn.words ?? ''}
                  onChange={(event) => change(model.id, { words: event.target.value || undefined })}
                />
              </label>
            </section>
          );
        })}
      </div>
    </div>
  );
}
