import { useState } from 'react';
import { failureInWords } from '@/contract/answer';
import { call } from '@/contract/client';
import {
  CURRENCIES,
  DATE_STYLES,
  DISTANCE_UNITS,
  type Formats,
  printDistance,
  printPrice,
  USUAL_SIZES,
} from '@/core/formats/formats';
import { mapTable } from '@/core/tables/keys-of';
import { Select } from '@/ui/fields/Select';

const DATES = mapTable(DATE_STYLES, ({ label }) => label);

interface Props {
  value: Formats;
  onChange: (formats: Formats) => void;
  disabled?: boolean;
}

/** How the clinic writes days, distances, prices and sizes, with an example. */
export function FormatChoices({ value, onChange, disabled = false }: Props) {
  return (
    <div className="grid md:grid-cols-2 gap-x-8 gap-y-2">
      <Select
        label="Dates"
        options={DATES}
        value={value.date}
        disabled={disabled}
        onChange={(date) => date && onChange({ ...value, date })}
      />
      <Select
        label="Distances"
        options={DISTANCE_UNITS}
        value={value.distance}
        disabled={disabled}
        onChange={(distance) => distance && onChange({ ...value, distance })}
      />
      <Select
        label="Currency"
        options={CURRENCIES}
        value={value.currency}
        disabled={disabled}
        onChange={(currency) => currency && onChange({ ...value, currency })}
      />
      <Select
        label="Shoe sizes, first"
        options={USUAL_SIZES}
        value={value.sizes}
        disabled={disabled}
        onChange={(sizes) => sizes && onChange({ ...value, sizes })}
      />
      <p className="text-faint col-span-2">
        So: {printDistance(480, value)}, {printPrice(129.5, value)}. Lengths are kept in millimetres and typed
        in any unit; files that go out keep ISO dates and metric units.
      </p>
    </div>
  );
}

/** The same, saved as they are changed; only the lead changes them. */
export function ClinicFormats({ formats }: { formats: Formats }) {
  const [value, setValue] = useState(formats);
  const [said, setSaid] = useState('');
  const save = async (next: Formats) => {
    setValue(next);
    const answer = await call('changeClinic', { body: { formats: next } });
    setSaid(answer.ok ? 'Saved. Pages show it the next time they are opened.' : failureInWords(answer));
  };
  return (
    <section aria-labelledby="formats" className="border-t border-rule pt-2 mt-5">
      <h2 id="formats">Formats</h2>
      <div className="mt-2">
        <FormatChoices value={value} onChange={(next) => void save(next)} />
      </div>
      <p role="status">{said}</p>
    </section>
  );
}
