import { pictureOf } from '@/core/catalogue/drawing-of-model';
import { type ShoeModel, stockOf } from '@/core/catalogue/model';
import { SIDES, type Side } from '@/core/findings/finding-kinds';
import { placeOn } from '@/core/fitting/sizes';
import type { EarlierFit } from '@/core/fitting/try-on';
import { sizeInWords } from '@/core/sizing/start-size';
import { SIZE_SYSTEM_LABEL } from '@/core/sizing/systems';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { Choice } from '@/ui/fields/Choice';
import { Measure } from '@/ui/fields/Measure';
import { AdviceInShort } from './AdviceList';
import { COMFORT } from './questions';
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
      <div className="flex flex-wrap gap-x-2 items-end justify-between">
        {!blind && <ShoeDrawing drawing={pictureOf(model)} className="h-14 min-w-0" />}
        <label className="text-sm min-w-0">
          <span className="block text-faint">Batch on the box</span>
          <input
            className="w-full max-w-24"
            maxLength={60}
            disabled={readOnly}
            value={tryOn.batch ?? ''}
            placeholder={model.boxes.batch}
            onChange={({ target }) => change(model.id, { batch: target.value || undefined })}
          />
        </label>
      </div>
      <Sizes pair={pair} fitting={fitting} />
      <div className="flex flex-wrap gap-x-3">
        {comfort('comfort', COMFORT.label)}
        {first && comfort('comfortAgain', 'Worn again')}
      </div>
      <Choice
        label="Verdict"
        options={{ chosen: 'chosen', possible: 'possible', rejected: 'rejected' }}
        value={tryOn.verdict}
        onChange={(value) => change(model.id, { verdict: value })}
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

/** Size and width of each shoe, out of those that are made, with what stands on the shelf; earlier sizes under them. */
function Sizes({ pair: { model, tryOn }, fitting }: Pick<Props, 'pair' | 'fitting'>) {
  const { sizing } = model;
  const { readOnly, changeSize } = fitting;
  const splitWidth = tryOn.widthRight !== undefined;
  const size = (side: Side, field: 'sizeLeft' | 'sizeRight', label: string) => {
    const width = placeOn(tryOn, side)?.width ?? tryOn.width ?? sizing.widths[0]!;
    return (
      <label>
        <span className="block text-faint">{label}</span>
        <select
          value={tryOn[field] ?? ''}
          disabled={readOnly}
          onChange={({ target }) =>
            changeSize(model.id, {
              width: tryOn.width ?? width,
              [field]: target.value === '' ? undefined : Number(target.value),
            })
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
  };
  const width = (field: 'width' | 'widthRight', label: string) => (
    <label>
      <span className="block text-faint">{label}</span>
      <select
        value={tryOn[field] ?? sizing.widths[0]}
        disabled={readOnly}
        onChange={({ target }) => changeSize(model.id, { [field]: target.value })}
      >
        {sizing.widths.map((letter) => (
          <option key={letter}>{letter}</option>
        ))}
      </select>
    </label>
  );
  return (
    <div className="text-sm">
      <div className="flex flex-wrap gap-x-2 items-end">
        {size('left', 'sizeLeft', `${SIZE_SYSTEM_LABEL[sizing.system]} left`)}
        {size('right', 'sizeRight', 'Right')}
        {width('width', splitWidth ? 'Width left' : 'Width')}
        {splitWidth && width('widthRight', 'Right')}
      </div>
      {tryOn.earlier?.map((fit) => (
        <p key={JSON.stringify(fit)} className="text-faint text-xs">
          {inWords(model, fit)}{' '}
          <button
            type="button"
            className="underline cursor-pointer"
            disabled={readOnly}
            onClick={() =>
              changeSize(model.id, {
                sizeLeft: fit.sizeLeft,
                sizeRight: fit.sizeRight,
                width: fit.width,
                widthRight: fit.widthRight,
              })
            }
          >
            back to it
          </button>
        </p>
      ))}
    </div>
  );
}

/** A fit in another size, in a line: `EU 42 D: left 6 mm, comfort 62`. */
function inWords(model: ShoeModel, fit: EarlierFit): string {
  const place = placeOn(fit, 'left');
  const rooms = SIDES.flatMap((side) =>
    fit[side]?.roomMm === undefined ? [] : [`${side} ${fit[side].roomMm} mm`],
  );
  const felt = [...rooms, ...(fit.comfort === undefined ? [] : [`comfort ${fit.comfort}`])].join(', ');
  return `${place ? sizeInWords(model.sizing, place.size, place.width) : 'Another size'}${felt ? `: ${felt}` : ''}`;
}
