import { useMemo, useState } from 'react';
import { modelTitle, type ShoeModel } from '@/core/match/model';
import { proposeTrial } from '@/core/match/propose';
import { type Ranked, reasonsFor } from '@/core/match/rank';
import { numberAt } from '@/core/picture/clinical-picture';
import { SIDES } from '@/core/picture/finding-kinds';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { sizeFor } from '../sizes';
import { useModels } from '../use-models';
import { useRanking } from '../use-ranking';
import { useVisit } from '../visit-context';

const SHOWN = 12;

/** The catalogue against the specification: what suits, in which size, why and why not; what is excluded, by which limit. */
export function Candidates() {
  const { specification, picture, visit, store } = useVisit();
  const { models, problem } = useModels();
  const group = useMemo(
    () => models?.filter((model) => model.sizing.group === visit.patient.sizingGroup) ?? null,
    [models, visit],
  );
  const ranking = useRanking(group, specification);
  const byId = useMemo(() => new Map(group?.map((model) => [model.id, model])), [group]);
  const [open, setOpen] = useState<string | null>(null);
  if (problem) return <p className="problem">{problem}</p>;
  if (!group || !ranking) return <p role="status">Ranking the catalogue …</p>;
  const chosen = store.content('candidates').chosen ?? [];
  const choose = (ids: string[]) => store.change('candidates', { chosen: ids });
  const toggle = (id: string) =>
    choose(chosen.includes(id) ? chosen.filter((entry) => entry !== id) : [...chosen, id].slice(-3));
  const measured = SIDES.some((side) => numberAt(picture, 'footLength', side) !== null);
  const usable = ranking.ranked.filter(
    (entry) => byId.has(entry.id) && byId.get(entry.id)!.inStock && (!measured || fits(byId.get(entry.id)!)),
  );
  function fits(model: ShoeModel): boolean {
    return SIDES.some((side) => sizeFor(model, picture, specification, side).ok);
  }
  return (
    <div className="grid gap-3">
      <div className="flex gap-4 items-baseline">
        <p>
          {ranking.ranked.length} of {group.length} models stay within the limits.
          {!measured && <span className="text-hold"> Measure the feet to see sizes.</span>}
        </p>
        <button type="button" className="press ml-auto" onClick={() => choose(proposeTrial(usable, byId))}>
          Propose three unlike enough to feel
        </button>
      </div>
      <p className="text-faint" role="status">
        {chosen.length === 0
          ? 'Choose two or three to bring.'
          : `To bring: ${chosen.map((id) => (byId.get(id) ? modelTitle(byId.get(id)!) : '')).join('; ')}`}
      </p>
      <ol>
        {usable.slice(0, SHOWN).map((entry) => (
          <CandidateRow
            key={entry.id}
            entry={entry}
            model={byId.get(entry.id)!}
            chosen={chosen.includes(entry.id)}
            onToggle={() => toggle(entry.id)}
            open={open === entry.id}
            onOpen={() => setOpen(open === entry.id ? null : entry.id)}
          />
        ))}
      </ol>
      {usable.length === 0 && (
        <p className="problem">
          No model in stock fits these limits and feet. Order one, refer to an orthopaedic shoemaker, or look
          at the limits again.
        </p>
      )}
      <details>
        <summary className="cursor-pointer">{ranking.excluded.length} excluded by a limit</summary>
        <ul className="columns-2 gap-6 mt-1">
          {ranking.excluded.map((entry) => (
            <li key={entry.id} className="break-inside-avoid">
              <span className="font-medium">{byId.get(entry.id) && modelTitle(byId.get(entry.id)!)}</span>:{' '}
              {entry.by.map((limit) => limit.sentence).join('; ')}
            </li>
          ))}
        </ul>
      </details>
    </div>
  );
}

interface RowProps {
  entry: Ranked;
  model: ShoeModel;
  chosen: boolean;
  onToggle: () => void;
  open: boolean;
  onOpen: () => void;
}

function CandidateRow({ entry, model, chosen, onToggle, open, onOpen }: RowProps) {
  const { picture, specification } = useVisit();
  const reasons = useMemo(() => reasonsFor(model, specification), [model, specification]);
  const sizes = SIDES.map((side) => ({ side, start: sizeFor(model, picture, specification, side) }));
  const drawing = useMemo(() => sideProfile(model.features), [model]);
  const against = reasons.contra.slice(0, open ? undefined : 2);
  return (
    <li className="border-b border-line py-1.5 grid grid-cols-[1.2rem_6rem_1fr_9.5rem] gap-3 items-start">
      <input
        type="checkbox"
        className="mt-1"
        checked={chosen}
        onChange={onToggle}
        aria-label={`Bring ${modelTitle(model)}`}
      />
      <ShoeDrawing drawing={{ ...drawing, dimensions: [] }} className="w-24" />
      <div>
        <p>
          <strong>{modelTitle(model)}</strong>{' '}
          <span className="figure">{Math.round(entry.score * 100)} % of what is wanted</span>
          {entry.unknown > 0.02 && (
            <span className="text-faint">, {Math.round(entry.unknown * 100)} % rests on unstated values</span>
          )}
        </p>
        <p className="text-faint">
          {reasons.pro
            .slice(0, open ? undefined : 3)
            .map((reason) => `${reason.label.toLowerCase()} ${reason.has}`)
            .join(', ')}
        </p>
        {against.length > 0 && (
          <p>
            Against:{' '}
            {against
              .map((reason) => `${reason.label.toLowerCase()} ${reason.has} (wanted ${reason.wanted})`)
              .join(', ')}
            .
          </p>
        )}
        {reasons.check.map((line) => (
          <p key={line} className="text-hold">
            {line}
          </p>
        ))}
      </div>
      <div className="text-right">
        {sizes.map(({ side, start }) => (
          <p key={side} title={start.ok ? start.value.why.join('; ') : undefined}>
            <span className="text-faint">{side} </span>
            {start.ok ? (
              <span className="figure">{start.value.label}</span>
            ) : (
              <span className="text-hold">{start.problem.message}</span>
            )}
            {open && start.ok && (
              <span className="block text-faint text-xs">{start.value.why.join('; ')}</span>
            )}
          </p>
        ))}
        <button
          type="button"
          className="cursor-pointer underline text-xs"
          aria-expanded={open}
          aria-label={`${open ? 'Fewer' : 'All'} reasons, ${modelTitle(model)}`}
          onClick={onOpen}
        >
          {open ? 'fewer reasons' : 'all reasons'}
        </button>
      </div>
    </li>
  );
}
