import type { Use } from '../clocks';
import type { FoamKind } from './life-factors';

/** A pair's family: its version within a model within a maker, and what it is made for. */
export interface PairFamily {
  maker: string;
  model: string;
  version: string;
  use: Use;
  foam: FoamKind;
}

/** One pair as the learning sees it. */
export interface LifeObservation extends PairFamily {
  /** In the order of FACTOR_IDS. */
  factors: readonly number[];
  /** Logarithm of what it lasted, or of what it has gone so far, over what its use is said to last. */
  logRatio: number;
  /** It was worn out; else it is in use, or was given up for another reason, and has lasted at least so long. */
  isWornOut: boolean;
  /** Standard deviation of that logarithm as it was counted: a log is surer than a stated week. */
  countError: number;
}

export const modelKey = ({ maker, model }: PairFamily): string => `${maker}\u0000${model}`;
export const versionKey = (family: PairFamily): string => `${modelKey(family)}\u0000${family.version}`;
export const cellKey = ({ use, foam }: PairFamily): string => `${use} ${foam}`;
