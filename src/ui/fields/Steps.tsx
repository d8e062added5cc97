import type { NumberQuestion } from '@/core/findings/finding-kinds';
import { figureIn } from '@/core/units/parse';
import { Choice } from './Choice';

interface Props {
  definition: NumberQuestion;
  label: string;
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  quiet?: boolean;
}

/** A short run of whole steps, −2 … +2: chosen by digit from its low end, by arrow or by pointer. */
export function Steps({ definition, label, value, onChange, quiet = false }: Props) {
  const [from, to] = definition.possible;
  // A text before each number keeps the order: keys that are numbers alone would be sorted.
  const steps = new Map(
    Array.from({ length: to - from + 1 }, (_, at) => [`step ${from + at}`, from + at] as const),
  );
  const options = Object.fromEntries(
    [...steps].map(([key, step]) => [
      key,
      `${from < 0 && step > 0 ? '+' : ''}${figureIn(definition.unit, step)}`,
    ]),
  );
  return (
    <div className="steps">
      <Choice
        label={label}
        quiet={quiet}
        options={options}
        value={value === undefined ? undefined : `step ${value}`}
        onChange={(key) => onChange(key === undefined ? undefined : steps.get(key))}
      />
    </div>
  );
}
