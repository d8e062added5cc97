import type { ShoeModel } from '../catalogue/model';
import { rank } from '../match/rank';
import type { Specification } from '../prescribe/engine/specification';
import { roomWished } from '../sizing/size-wish';
import { fitAdvice } from './fit-advice';
import type { TryOn } from './try-on';

/**
 * What stands against handing over a tried pair: a limit that the model breaks (it is set aside with the reasoning, not
 * here), and a check that stops the pair unless a reason is written with its verdict.
 */
export function handOverBlocks(tryOn: TryOn, model: ShoeModel, specification: Specification): string[] {
  const limits = rank([model], specification).excluded.flatMap(({ by }) =>
    by.map(({ sentence }) => `The chosen pair breaks a limit. ${sentence}.`),
  );
  if (tryOn.because?.trim()) return limits;
  const stops = fitAdvice(tryOn, { room: roomWished(specification), model })
    .filter(({ level }) => level === 'stop')
    .map(
      ({ side, sentence }) =>
        `${side ? `${side[0]!.toUpperCase()}${side.slice(1)}: ` : ''}${sentence} Take another, or write why with the verdict.`,
    );
  return [...limits, ...stops];
}
