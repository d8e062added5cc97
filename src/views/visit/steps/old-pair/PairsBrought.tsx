import { lazy, useState } from 'react';
import { FEATURES } from '@/core/shoe/features';
import { CLOCK_OF_USE, CLOCKS } from '@/core/wear/clocks';
import { ERRANDS, INSERTS, mainPair, type OldPair } from '@/core/wear/old-pair';
import { Amount } from '@/ui/fields/Amount';
import { Choice } from '@/ui/fields/Choice';
import { DayInput } from '@/ui/fields/DayInput';
import { Field } from '@/ui/fields/Field';
import { Select } from '@/ui/fields/Select';
import { SignList } from '../../../worn/SignList';
import { FromThisClinic } from './FromThisClinic';
import { fromModel } from './from-model';
import { PairVerdict } from './PairVerdict';
import { type Brought, useOldPairs } from './use-old-pairs';

// Few visits name a pair that this clinic did not hand over.
const ModelPicker = lazy(() => import('../../ModelPicker').then((part) => ({ default: part.ModelPicker })));

/** Naming the pairs and looking at one of them. */
export function PairsBrought() {
  const brought = useOldPairs();
  const { pairs, pair, readOnly } = brought;
  const [isNaming, setNaming] = useState(false);
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-x-6 gap-y-2 items-end">
        {pairs.length > 0 && (
          <fieldset>
            <legend className="sr-only">Pairs that were brought</legend>
            <div className="flex flex-wrap gap-2">
              {pairs.map((entry) => (
                <label key={entry.id} className={`press ${entry === pair ? 'press-main' : ''}`}>
                  <input
                    type="radio"
                    name="old-pair"
                    className="sr-only"
                    checked={entry === pair}
                    onChange={() => brought.pick(entry.id)}
                  />
                  {entry.title}
                </label>
              ))}
            </div>
          </fieldset>
        )}
        {isNaming ? (
          <ModelPicker
            label="A pair that was brought"
            disabled={readOnly || pairs.length >= 6}
            onPick={(title, model) => brought.add(fromModel(title, model))}
          />
        ) : (
          <button type="button" className="press" disabled={readOnly} onClick={() => setNaming(true)}>
            Name a pair …
          </button>
        )}
      </div>
      {pairs.length === 0 && !readOnly && (
        <p className="text-faint max-w-prose">
          Which pair was worn most? Take it in your hands: press it, fold it, look at the sole.
        </p>
      )}
      <FromThisClinic brought={brought} isSmall={pairs.length > 0} />
      {pair && (
        <div className="grid grid-cols-[1fr_16rem] gap-6">
          <div className="grid gap-2 content-start min-w-0">
            <HowUsed key={pair.id} pair={pair} brought={brought} />
            <SignList signs={pair.signs ?? {}} onChange={(signs) => brought.put(pair.id, { signs })} />
          </div>
          <PairVerdict pair={pair} />
        </div>
      )}
    </div>
  );
}

/** Uses whose pairs have a heel worth measuring. */
const HEELED: ReadonlySet<OldPair['use']> = new Set(['dress', 'everyday', 'house', 'lifting', 'work']);

function HowUsed({ pair, brought }: { pair: OldPair; brought: Brought }) {
  const { readOnly, put } = brought;
  const day = (key: 'madeOn' | 'boughtOn' | 'firstWornOn', label: string) => (
    <Field label={label}>
      {(control) => (
        <DayInput
          value={pair[key] ?? ''}
          disabled={readOnly}
          onChange={(day) => put(pair.id, { [key]: day || undefined })}
          {...control}
        />
      )}
    </Field>
  );
  const clock = CLOCK_OF_USE[pair.use];
  return (
    <div className="flex flex-wrap gap-x-4 gap-y-2 items-end">
      <Select
        label="Used for"
        options={FEATURES.use.options}
        value={pair.use}
        disabled={readOnly}
        onChange={(use) => use && put(pair.id, { use })}
      />
      {day('firstWornOn', 'First worn')}
      {day('boughtOn', 'Bought')}
      {day('madeOn', 'Made')}
      <span className="grid">
        <span className="text-faint">{clock === 'km' ? 'Distance' : CLOCKS[clock].label}</span>
        <Amount
          label={`How much ${pair.title} was used`}
          unit={clock === 'km' ? 'km' : clock === 'days-worn' ? 'days' : 'hours'}
          value={pair.amount}
          most={20_000}
          disabled={readOnly}
          onChange={(amount) => put(pair.id, { amount })}
        />
      </span>
      <Choice
        label="Errands in it"
        options={ERRANDS}
        value={pair.errands}
        onChange={(errands) => put(pair.id, { errands })}
      />
      <Choice
        label="In it"
        options={INSERTS}
        value={pair.insert}
        onChange={(insert) => put(pair.id, { insert })}
      />
      {HEELED.has(pair.use) && (
        <>
          <Select
            label="Heel"
            none="not said"
            options={FEATURES.heelKind.options}
            value={pair.heelKind}
            disabled={readOnly}
            onChange={(heelKind) => put(pair.id, { heelKind })}
          />
          <span className="grid">
            <span className="text-faint">Heel height</span>
            <Amount
              label={`Heel height of ${pair.title}`}
              unit="mm"
              value={pair.heelHeightMm}
              most={160}
              disabled={readOnly}
              onChange={(heelHeightMm) => put(pair.id, { heelHeightMm })}
            />
          </span>
        </>
      )}
      {pair.values?.tread === 'slip-rated' && (
        <span className="grid">
          <span className="text-faint">Smooth patch</span>
          <Amount
            label={`Smooth patch of ${pair.title}`}
            unit="mm2"
            value={pair.smoothPatchMm2}
            most={20_000}
            disabled={readOnly}
            onChange={(smoothPatchMm2) => put(pair.id, { smoothPatchMm2 })}
          />
        </span>
      )}
      <span className="flex gap-4 pb-1.5">
        <label>
          <input
            type="checkbox"
            checked={mainPair(brought.pairs) === pair}
            disabled={readOnly}
            onChange={() => brought.setMain(pair.id)}
          />{' '}
          was worn most
        </label>
        <label>
          <input
            type="checkbox"
            checked={pair.isUnworn ?? false}
            disabled={readOnly}
            onChange={({ target }) => put(pair.id, { isUnworn: target.checked || undefined })}
          />{' '}
          unworn
        </label>
        {(
          [
            ['isInsoleGlued', 'insole glued in'],
            ['isBackless', 'backless'],
          ] as const
        ).map(([key, label]) => (
          <label key={key}>
            <input
              type="checkbox"
              checked={pair[key] ?? false}
              disabled={readOnly}
              onChange={({ target }) => put(pair.id, { [key]: target.checked || undefined })}
            />{' '}
            {label}
          </label>
        ))}
        <button
          type="button"
          className="press press-quiet"
          disabled={readOnly}
          onClick={() => brought.remove(pair.id)}
        >
          remove
        </button>
      </span>
    </div>
  );
}
