import { type NumberFinding, number } from '../finding-kinds';
import { FLAT, RULES } from './about';

const of = (label: string, unit: NumberFinding['unit'], possible: readonly [number, number]) =>
  number(label, unit, possible, possible, {
    scope: 'body',
    step: null,
    seconds: 20,
    carries: true,
    prior: FLAT,
    readBy: RULES,
  });

/** What models that served and models that failed had of a feature; follows from the pairs that are named in the history. */
export const BEFORE_FINDINGS = {
  servedMonths: of('Served for', 'months', [0, 600]),
  servedDrop: of('Drop that served', 'mm', [0, 100]),
  servedHardness: of('Firmness that was comfortable', 'score', [1, 5]),
  servedCounter: of('Heel counter that held', 'score', [1, 5]),
  servedWidth: of('Width that had room', 'score', [1, 4]),
  servedMass: of('Mass that was liked', 'g', [90, 900]),
  servedOutsole: of('Outsole that lasted', 'score', [1, 5]),
  tooSoftAt: of('Too soft at', 'score', [1, 5]),
  tooFirmAt: of('Too firm at', 'score', [1, 5]),
  tooNarrowAt: of('Too narrow at', 'score', [1, 4]),
  tooWideAt: of('Too wide at', 'score', [1, 4]),
  tooShallowAt: of('Too little depth at', 'score', [1, 3]),
  tooStiffAt: of('Too stiff to bend at', 'score', [1, 5]),
  tooFlexibleAt: of('Too easy to bend at', 'score', [1, 5]),
  tooHeavyAt: of('Too heavy at', 'g', [90, 900]),
  tooHighAt: of('Unsteady at a stack of', 'mm', [4, 130]),
  slippedAt: of('Heel slipped with a counter of', 'score', [1, 5]),
  archPressedAt: of('Arch pressed at', 'score', [1, 3]),
  woreOutAt: of('Outsole wore out at', 'score', [1, 5]),
} as const;
