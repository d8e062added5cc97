import { memo, type ReactNode } from 'react';
import { definitionOf, type FindingId, numberIn, optionsIn, textIn } from '@/core/findings/findings';
import { INSTRUMENTS } from '@/core/findings/taken';
import type { Place } from '@/core/findings/with-values';
import { MarkShape } from '@/ui/drawing/Marks';
import { Choice } from '@/ui/fields/Choice';
import { ChoiceSet } from '@/ui/fields/ChoiceSet';
import { Measure } from '@/ui/fields/Measure';
import { Steps } from '@/ui/fields/Steps';
import { writtenDay } from '@/ui/formats';
import { BandLine } from './BandLine';
import { useFinding } from './use-findings';
import { useGround } from './visit-context';

interface Props {
  id: FindingId;
  place?: Place;
  label?: string;
  quiet?: boolean;
  /** Options that apply to this patient, where not all do; one that was chosen is always shown. */
  only?: readonly string[];
  /** Draws an option on this foot, for findings that are chosen by eye. */
  draw?: ((id: FindingId, place: Place) => ((option: string) => ReactNode) | undefined) | undefined;
  className?: string;
}

function OneFinding({ id, place = 'body', label, quiet = false, only, draw, className = '' }: Props) {
  const { visit } = useGround();
  const definition = definitionOf(id);
  const field = useFinding(id, place);
  const name = label ?? (place === 'body' ? definition.label : `${definition.label}, ${place}`);
  return (
    <div className={`${className} ${field.lit ? 'lit' : ''}`} data-finding={`${place}.${id}`}>
      {definition.kind === 'number' && definition.steps && (
        <Steps
          definition={definition}
          label={name}
          quiet={quiet}
          value={numberIn(field.value)}
          onChange={(value) => field.set(value)}
        />
      )}
      {definition.kind === 'number' && !definition.steps && (
        <Measure
          definition={definition}
          label={name}
          quiet={quiet}
          value={numberIn(field.value)}
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
          value={textIn(field.value)}
          problem={field.problem}
          onChange={(value) => field.set(value)}
          picture={draw?.(id, place)}
        />
      )}
      {definition.kind === 'set' && (
        <ChoiceSet
          label={name}
          quiet={quiet}
          options={
            only
              ? those(definition.options, [...only, ...(optionsIn(field.value) ?? [])])
              : definition.options
          }
          value={optionsIn(field.value)}
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
            value={textIn(field.value) ?? ''}
            onChange={(event) => field.set(event.target.value || undefined)}
          />
        </label>
      )}
      {definition.kind === 'number' && <BandLine id={id} value={numberIn(field.value)} />}
      {field.taken && field.taken.with !== 'hand' && (
        <span className="block text-faint text-xs">
          {INSTRUMENTS[field.taken.with]}
          {field.taken.method && `, ${field.taken.method}`}
        </span>
      )}
      {field.carried && (
        <span className="text-faint text-xs">
          <MarkShape mark="carried" /> from {visit.carried && writtenDay(visit.carried.from)}
        </span>
      )}
    </div>
  );
}

/** The control that suits a finding; a carried value says where it comes from. */
export const FindingField = memo(OneFinding);

const those = (options: Readonly<Record<string, string>>, ids: readonly string[]) =>
  Object.fromEntries(Object.entries(options).filter(([id]) => ids.includes(id)));

/** Left foot, name, right foot: side by side as the feet stand. */
export function BothFeet({ ids, draw }: { ids: readonly FindingId[] } & Pick<Props, 'draw'>) {
  return (
    <div className="grid grid-cols-[1fr_11rem_1fr] gap-x-4 gap-y-1.5 items-start">
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
              draw={draw}
              className="justify-self-end [&_.flex]:justify-end text-right"
            />
            <div className="text-center pt-1 leading-tight">
              {definition.label}
              {definition.how && <span className="block text-faint text-xs">{definition.how}</span>}
            </div>
            <FindingField id={id} place="right" quiet draw={draw} />
          </div>
        );
      })}
    </div>
  );
}
