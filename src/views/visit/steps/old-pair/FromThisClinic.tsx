import type { PairRecord } from '@/contract/records';
import { pictureOf } from '@/core/catalogue/drawing-of-model';
import { modelTitle } from '@/core/catalogue/model';
import { omitUndefined } from '@/core/tables/omit-undefined';
import type { OldPair } from '@/core/wear/old-pair';
import { RETIRED_BECAUSE } from '@/core/wear/retired';
import { ShoeDrawing } from '@/ui/drawing/ShoeDrawing';
import { writtenDay } from '@/ui/formats';
import { STATE, usedInWords } from '../../../pair/pair-words';
import { useOwnPairs } from '../../use-own-pairs';
import { useExamined } from '../../visit-context';
import { fromModel } from './from-model';
import type { Brought } from './use-old-pairs';

/** Pairs of the clinic that are offered; the newest come first. */
const OFFERED = 6;

/** Pairs that this clinic handed over, drawn: what is known of them is not typed again. */
export function FromThisClinic({ brought, isSmall }: { brought: Brought; isSmall: boolean }) {
  const { visit } = useExamined();
  const own = useOwnPairs(visit.patient.id);
  const left = (own.pairs ?? []).filter(({ id }) => brought.pairs.every((entry) => entry.pair !== id));
  if (brought.readOnly || left.length === 0) return null;
  return (
    <section aria-label="From this clinic">
      <h2 className="text-base">From this clinic</h2>
      <ul
        className={
          isSmall ? 'flex flex-wrap gap-2' : 'grid grid-cols-[repeat(auto-fill,minmax(15rem,1fr))] gap-3 mt-1'
        }
      >
        {left.slice(0, OFFERED).map((pair) => (
          <li key={pair.id}>
            <button
              type="button"
              className={
                isSmall
                  ? 'press'
                  : 'press w-full h-full !grid content-start justify-items-start text-left whitespace-normal py-2'
              }
              aria-label={isSmall ? undefined : `${modelTitle(pair.model)}; ${inShort(pair)}`}
              onClick={() => brought.add(broughtPair(pair))}
            >
              {!isSmall && <ShoeDrawing drawing={pictureOf(pair.model)} className="w-full max-w-56" />}
              <span>{modelTitle(pair.model)}</span>
              {!isSmall && <span className="font-normal text-sm">{inShort(pair)}</span>}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Since when, how far and in what state; what tells two pairs of one model apart. */
const inShort = ({ startedOn, endedOn, endedBecause, forecast }: PairRecord): string =>
  [
    `since ${writtenDay(startedOn)}`,
    forecast.used !== null && usedInWords(forecast),
    endedOn === null
      ? STATE[forecast.state]
      : `retired ${writtenDay(endedOn)}${endedBecause ? `, ${RETIRED_BECAUSE[endedBecause]}` : ''}`,
  ]
    .filter(Boolean)
    .join('; ');

const broughtPair = ({ id, model, startedOn, madeOn, forecast, inspections }: PairRecord): OldPair =>
  omitUndefined<OldPair>({
    ...fromModel(modelTitle(model), model),
    pair: id,
    firstWornOn: startedOn,
    madeOn: madeOn ?? undefined,
    wear: inspections.findLast(({ content }) => content.wear)?.content.wear,
    amount: forecast.used === null ? undefined : Math.round(forecast.used),
  });
