import { stockOf } from '@/core/match/model';
import { sideProfile } from '@/core/shoe/drawing/side-profile';
import { SIZE_SYSTEM_LABEL } from '@/core/sizing/systems';
import type { TryOn } from '@/core/tryon/try-on';
import { Choice } from '@/ui/controls/Choice';
import { Measure } from '@/ui/controls/Measure';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { AdviceInShort } from './AdviceList';
import { COMFORT } from './fields';
import type { FittedPair, FittingView } from './use-fitting';

interface Props {
  pair: FittedPair;
  fitting: FittingView;
  /** The pair that is worn once more at the end. */
  first: boolean;
  looked: boolean;
  onLook: () => void;
}

/** One of the pairs: in which sizes, how comfortable, what the checks say, and the verdict. */
export function PairHead({ pair, fitting, first, looked, onLook }: Props) {
  const { model, tryOn, letter, name } = pair;
  const { change, typed, blind, readOnly } = fitting;
  const key = (field: string) => `${model.id}.${field}`;
  const comfort = (field: 'comfort' | 'comfortAgain', label: string) => (
    <Measure
      definition={COMFORT}
      label={label}
      value={tryOn[field]}
      typed={typed[key(field)]}
      onChange={(value, text) => change(model.id, { [field]: value }, { [key(field)]: text })}
    />
  );
  return (
    <section
      aria-label={`Pair ${letter}${blind ? '' : `: ${name.slice(3)}`}`}
      className={`grid gap-1 content-start border-l-2 pl-3 min-w-0 ${looked ? 'border-accent' : 'border-line'}`}
    >
      <div className="flex items-baseline gap-2">
        <h2>{name}</h2>
        <button
          type="button"
          className="press press-quiet ml-auto text-sm"
          aria-pressed={looked}
          onClick={onLook}
        >
          Checks of {letter}
        </button>
      </div>
      {!blind && (
        <ShoeDrawing drawing={{ ...sideProfile(model.features), dimensions: [] }} className="h-14" />
      )}
      <Sizes pair={pair} fitting={fitting} />
      <div className="flex flex-wrap gap-x-3">
        {comfort('comfort', COMFORT.label)}
        {first && comfort('comfortAgain', 'Worn again')}
      </div>
      <Choice
        label="Verdict"
        options={{ chosen: 'chosen', possible: 'possible', rejected: 'rejected' }}
        value={tryOn.verdict}
        onChange={(value) => change(model.id, { verdict: value as TryOn['verdict'] })}
      />
      {tryOn.verdict && (
        <label>
          <span className="block text-faint">Because</span>
          <input
            className="w-full"
            maxLength={300}
            disabled={readOnly}
            value={tryOn.because ?? ''}
            onChange={({ target }) => change(model.id, { because: target.value || undefined })}
          />
        </label>
      )}
      <AdviceInShort pair={pair} fitting={fitting} />
    </section>
  );
}

/** Size of each shoe and width, out of those that are made, with what stands on the shelf. */
function Sizes({ pair: { model, tryOn }, fitting: { change, readOnly } }: Pick<Props, 'pair' | 'fitting'>) {
  const { sizing } = model;
  const width = tryOn.width ?? sizing.widths[0]!;
  const size = (field: 'sizeLeft' | 'sizeRight', label: string) => (
    <label>
      <span className="block text-faint">{label}</span>
      <select
        value={tryOn[field] ?? ''}
        disabled={readOnly}
        onChange={({ target }) =>
          change(model.id, { [field]: target.value === '' ? undefined : Number(target.value) })
        }
      >
        <option value="">–</option>
        {sizing.sizes.map((value) => (
          <option key={value} value={value}>
            {value} ({stockOf(model, value, width)})
          </option>
        ))}
      </select>
    </label>
  );
  return (
    <div className="flex flex-wrap gap-x-2 text-sm items-end">
      {size('sizeLeft', `${SIZE_SYSTEM_LABEL[sizing.system]} left`)}
      {size('sizeRight', 'Right')}
      <label>
        <span className="block text-faint">Width</span>
        <select
          value={width}
          disabled={readOnly}
          onChange={({ target }) => change(model.id, { width: target.value })}
        >
          {sizing.widths.map((letter) => (
            <option key={letter}>{letter}</option>
          ))}
        </select>
      </label>
    </div>
  );
}
