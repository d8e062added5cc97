import type { FindingStep, Side } from '@/core/picture/finding-kinds';
import type { AnyFindingValue } from '@/core/picture/findings';
import { definitionOf, FINDINGS, type FindingId } from '@/core/picture/findings';
import { Choice } from '@/ui/controls/Choice';
import { ChoiceSet } from '@/ui/controls/ChoiceSet';
import { Measure } from '@/ui/controls/Measure';
import { MarkShape } from '@/ui/drawing/Marks';
import { useVisit } from './visit-context';

export type Place = 'body' | Side;

/** Reads and writes one finding of the step that it belongs to. */
export function useFinding(id: FindingId, place: Place) {
  const { store, state, visit, lit, readOnly } = useVisit();
  const step = FINDINGS[id].step as FindingStep;
  const entry = state.steps[step];
  const findings = ((entry.content as { findings?: Record<string, Record<string, unknown>> }).findings ??
    {}) as Record<Place, Record<string, AnyFindingValue | undefined> | undefined>;
  const key = `${place}.${id}`;
  const carried = (visit.carried?.findings[place] as Record<string, AnyFindingValue> | undefined)?.[id];
  const own = findings[place]?.[id];
  const set = (value: AnyFindingValue | undefined, typed?: string) => {
    if (readOnly) return;
    const part = { ...findings[place], [id]: value };
    if (value === undefined) delete part[id];
    const texts = { ...entry.typed };
    if (typed === undefined) delete texts[key];
    else texts[key] = typed;
    store.change(step, { ...entry.content, findings: { ...findings, [place]: part } }, texts);
  };
  return {
    value: own ?? carried,
    carried: own === undefined && carried !== undefined,
    typed: entry.typed[key],
    problem: entry.errors.find((error) => error.path.at(-1) === id && error.path.includes(place))?.message,
    lit: lit.has(id),
    set,
  };
}

interface Props {
  id: FindingId;
  place?: Place;
  label?: string;
  quiet?: boolean;
  className?: string;
}

/** The control that suits a finding; a carried value says where it comes from. */
export function FindingField({ id, place = 'body', label, quiet = false, className = '' }: Props) {
  const { visit } = useVisit();
  const definition = definitionOf(id);
  const field = useFinding(id, place);
  const name = label ?? (place === 'body' ? definition.label : `${definition.label}, ${place}`);
  return (
    <div className={`${className} ${field.lit ? 'lit' : ''}`} data-finding={`${place}.${id}`}>
      {definition.kind === 'number' && (
        <Measure
          definition={definition}
          label={name}
          quiet={quiet}
          value={field.value as number | undefined}
          typed={field.typed}
          problem={field.problem}
          onChange={field.set}
        />
      )}
      {definition.kind === 'choice' && (
        <Choice
          label={name}
          quiet={quiet}
          options={definition.options}
          value={field.value as string | undefined}
          problem={field.problem}
          onChange={(value) => field.set(value)}
        />
      )}
      {definition.kind === 'set' && (
        <ChoiceSet
          label={name}
          quiet={quiet}
          options={definition.options}
          value={field.value as string[] | undefined}
          onChange={(value) => field.set(value)}
        />
      )}
      {definition.kind === 'text' && (
        <label className="block">
          <span className={quiet ? 'sr-only' : 'block text-faint mb-0.5'}>{name}</span>
          <textarea
            className="w-full"
            rows={2}
            maxLength={definition.longest}
            value={(field.value as string | undefined) ?? ''}
            onChange={(event) => field.set(event.target.value || undefined)}
          />
        </label>
      )}
      {field.carried && (
        <span className="text-faint text-xs">
          <MarkShape mark="carried" /> from {visit.carried?.from}
        </span>
      )}
    </div>
  );
}

/** Left foot, name, right foot: side by side as the feet stand. */
export function BothFeet({ ids }: { ids: readonly FindingId[] }) {
  return (
    <div className="grid grid-cols-[1fr_9.5rem_1fr] gap-x-4 gap-y-2 items-start">
      <h2 className="text-right text-base">Left</h2>
      <span />
      <h2 className="text-base">Right</h2>
      {ids.map((id) => {
        const definition = definitionOf(id);
        return (
          <div key={id} className="contents">
            <FindingField
              id={id}
              place="left"
              quiet
              className="justify-self-end [&_.flex]:justify-end text-right"
            />
            <div className="text-center pt-1 leading-tight">
              {definition.label}
              {definition.how && <span className="block text-faint text-xs">{definition.how}</span>}
            </div>
            <FindingField id={id} place="right" quiet />
          </div>
        );
      })}
    </div>
  );
}
