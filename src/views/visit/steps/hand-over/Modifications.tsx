import { useState } from 'react';
import type { Side } from '@/core/findings/finding-kinds';
import {
  MODIFICATIONS,
  MODIFIED_PLACES,
  type Modification,
  type ModificationKind,
  type ModifiedPlace,
  modificationInWords,
  PLACES_OF,
} from '@/core/modification/modification';
import { acceptsEverything, targetInWords } from '@/core/prescribe/explain/in-words';
import { featureOf } from '@/core/shoe/features';
import { mapTable } from '@/core/tables/keys-of';
import { ModificationChecks } from '@/ui/fields/ModificationChecks';
import { Select } from '@/ui/fields/Select';
import { useVisit } from '../../visit-context';

const KINDS = mapTable(MODIFICATIONS, ({ label }) => label);
const SIDE_OPTIONS = { left: 'left', right: 'right', both: 'both' } as const;

interface Props {
  value: readonly Modification[];
  onChange: (next: Modification[]) => void;
}

/** What is changed on the pair before it is worn; what the specification asks of one foot stands beside it. */
export function Modifications({ value, onChange }: Props) {
  const { specification, visit } = useVisit();
  const [place, setPlace] = useState<ModifiedPlace | undefined>();
  const [kind, setKind] = useState<ModificationKind>('heel-lift');
  const [side, setSide] = useState<Modification['side']>('left');
  const [amount, setAmount] = useState('');
  const [note, setNote] = useState('');
  const { unit, most } = MODIFICATIONS[kind];
  const places = PLACES_OF[kind] ?? [];
  const number = amount.trim() === '' ? undefined : Number(amount.replace(',', '.'));
  const wrong = unit !== null && number !== undefined && !(number > 0 && number <= most);
  const askedOf = (foot: Side) =>
    specification.feet[foot]
      .filter((target) => !acceptsEverything(target))
      .map((target) => `${featureOf(target.feature).label.toLowerCase()} (${targetInWords(target)})`);
  const [left, right] = [askedOf('left'), askedOf('right')];
  const wanted = [
    ...left.map((words) => `${right.includes(words) ? 'both feet' : 'left'}: ${words}`),
    ...right.filter((words) => !left.includes(words)).map((words) => `right: ${words}`),
  ];
  const next: Modification = {
    kind,
    side,
    ...(unit === null || number === undefined ? {} : { amount: number }),
    ...(place && places.includes(place) ? { place } : {}),
    ...(note.trim() ? { note: note.trim() } : {}),
  };
  const isThere = value.some((entry) => modificationInWords(entry) === modificationInWords(next));
  const add = () => {
    if (wrong || isThere) return;
    onChange([...value, next]);
    setAmount('');
    setNote('');
    setPlace(undefined);
  };
  return (
    <section aria-label="Changes to the pair" className="grid gap-1">
      <h2>Changes to the pair</h2>
      {wanted.length > 0 && <p className="text-faint">Specified for {wanted.join('; ')}.</p>}
      <ModificationChecks
        modifications={value}
        onCheck={(at, check) =>
          onChange(value.map((entry, place) => (place === at ? { ...entry, check } : entry)))
        }
        beside={(at) => (
          <button
            type="button"
            className="press press-quiet"
            aria-label={`Remove ${modificationInWords(value[at]!)}`}
            onClick={() => onChange(value.filter((_, place) => place !== at))}
          >
            Remove
          </button>
        )}
      />
      {value.length > 0 && (
        <p className="text-faint text-sm">
          <a href={`/visits/${visit.id}/job`}>Order for the technician</a>, with a drawing. Each change is
          measured before the pair goes out; a pair that is ordered is measured when it is collected.
        </p>
      )}
      <div className="flex flex-wrap gap-3 items-end">
        <Select label="What" options={KINDS} value={kind} onChange={(next) => next && setKind(next)} />
        <Select label="Side" options={SIDE_OPTIONS} value={side} onChange={(next) => next && setSide(next)} />
        {unit !== null && (
          <label>
            <span className="block text-faint">Amount, {unit === 'deg' ? 'degrees' : unit}</span>
            <input
              className="figure w-16 text-right"
              inputMode="decimal"
              value={amount}
              aria-invalid={wrong || undefined}
              onChange={({ target }) => setAmount(target.value)}
            />
            {wrong && <span className="problem block">At most {most}.</span>}
          </label>
        )}
        {places.length > 0 && (
          <Select
            label="Where"
            none="not said"
            options={MODIFIED_PLACES}
            only={places}
            value={place}
            onChange={setPlace}
          />
        )}
        <label>
          <span className="block text-faint">Note</span>
          <input maxLength={120} value={note} onChange={({ target }) => setNote(target.value)} />
        </label>
        <button type="button" className="press" disabled={isThere} onClick={add}>
          {isThere ? 'Added' : 'Add'}
        </button>
      </div>
    </section>
  );
}
