import type { NumberFinding } from '@/core/picture/finding-kinds';
import { figureIn } from '@/core/units/parse';
import { Choice } from './Choice';

interface Props {
  definition: NumberFinding;
  label: string;
  value: number | undefined;
  onChange: (value: number | undefined) => void;
  quiet?: boolean;
}

/** A short run of whole steps, −2 … +2: chosen by digit from its low end, by arrow or by pointer. */
export function Steps({ definition, label, value, onChange, quiet = false }: Props) {
  const [from, to] = definition.possible;
  const options = Object.fromEntries(
    Array.from({ length: to - from + 1 }, (_, at) => {
      const step = from + at;
      return [`step${at}`, `${step > 0 ? '+' : ''}${figureIn(definition.unit, step)}`];
    }),
  );
  return (
    <div className="[&_.flex]:flex-nowrap [&_.option]:px-2 [&_.option]:min-w-9 [&_.option]:text-center">
      <Choice
        label={label}
        quiet={quiet}
        options={options}
        value={value === undefined ? undefined : `step${value - from}`}
        onChange={(key) => onChange(key === undefined ? undefined : from + Number(key.slice(4)))}
      />
    </div>
  );
}
