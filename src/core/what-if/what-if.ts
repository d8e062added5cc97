import type { FeatureValues } from '../shoe/features';
import { SOURCES, type SourceId } from '../sources/sources';
import { keysOf } from '../tables/keys-of';
import { EFFECTS, type Effect, LEG_REGIONS, LEVERS, type LegRegion, type Lever } from './effects';

/** Where each lever stands; the step rate in per cent above today's. */
export type Scenario = Record<Lever, number>;

/** Sizes that a clinic may set where the reference is too vague to be quoted. */
export interface WhatIfSettings {
  /** Change at the knee in per cent for each millimetre of drop. */
  kneePerMmDrop?: { low: number; high: number } | undefined;
}

/** One measured quantity under a scenario. */
export interface LoadChange {
  lever: Lever;
  region: LegRegion;
  quantity: string;
  direction: 'up' | 'down';
  /** Rough size in per cent; null where only the direction is known. */
  size: { low: number; high: number } | null;
  /** The change asked for lies beyond what was measured: the size is that of the farthest measurement. */
  beyond: boolean;
  source: SourceId | 'clinic-setting';
  /** Our confidence in the recalled figure, per cent; null for a setting of the clinic. */
  recall: number | null;
  note?: string;
}

export interface RegionChange {
  region: LegRegion;
  /** `mixed` where what is known points both ways. */
  direction: 'up' | 'down' | 'mixed' | 'none';
  /** Smallest and largest size among what is known, per cent; null without any. */
  size: { low: number; high: number } | null;
  lines: LoadChange[];
}

/** Today's shoe as a scenario: what the levers stand at before anything is turned. */
export function scenarioOf(shoe: FeatureValues): Scenario {
  const at = (lever: Exclude<Lever, 'stepRate'>) => {
    const { from, to } = LEVERS[lever];
    return Math.min(to, Math.max(from, Number(shoe[lever])));
  };
  return {
    drop: at('drop'),
    heelStack: at('heelStack'),
    forefootStiffness: at('forefootStiffness'),
    heelCushioning: at('heelCushioning'),
    rocker: at('rocker'),
    stepRate: 0,
  };
}

/** Size at a change of the lever: straight between measurements, mirrored for less, never beyond the last. */
function sizeOf(
  effect: Effect,
  change: number,
  settings: WhatIfSettings,
): Pick<LoadChange, 'size' | 'beyond'> {
  const way = Math.sign(change);
  const amount = Math.abs(change);
  const ordered = (a: number, b: number) => ({ low: Math.min(a, b), high: Math.max(a, b) });
  if (effect.source === 'clinic-setting') {
    const perMm = settings.kneePerMmDrop;
    return { size: perMm ? ordered(perMm.low * change, perMm.high * change) : null, beyond: false };
  }
  if (!effect.sizes) return { size: null, beyond: false };
  const points = [[0, 0, 0] as const, ...effect.sizes];
  const last = points.at(-1)!;
  if (amount >= last[0]) return { size: ordered(last[1] * way, last[2] * way), beyond: amount > last[0] };
  const next = points.findIndex(([at]) => at > amount);
  const [x0, low0, high0] = points[next - 1]!;
  const [x1, low1, high1] = points[next]!;
  const share = (amount - x0) / (x1 - x0);
  return {
    size: ordered((low0 + (low1 - low0) * share) * way, (high0 + (high1 - high0) * share) * way),
    beyond: false,
  };
}

/**
 * Direction and rough size of the change of load at each region when the levers move from one scenario to another.
 * Levers are told apart, never added up: nobody has measured them together.
 */
export function whatIf(from: Scenario, to: Scenario, settings: WhatIfSettings = {}): RegionChange[] {
  const lines = EFFECTS.flatMap((effect): LoadChange[] => {
    const change = to[effect.lever] - from[effect.lever];
    if (Math.abs(change) < 1e-9) return [];
    const { source } = effect;
    return [
      {
        lever: effect.lever,
        region: effect.region,
        quantity: effect.quantity,
        direction: change * effect.sign > 0 ? 'up' : 'down',
        ...sizeOf(effect, change, settings),
        source,
        recall: source === 'clinic-setting' ? null : SOURCES[source].recall,
        ...(effect.note ? { note: effect.note } : {}),
      },
    ];
  });
  return keysOf(LEG_REGIONS).map((region) => {
    const own = lines.filter((line) => line.region === region);
    const ways = new Set(own.map((line) => line.direction));
    const sizes = own.flatMap((line) => (line.size ? [line.size.low, line.size.high] : []));
    return {
      region,
      direction: ways.size === 0 ? 'none' : ways.size === 2 ? 'mixed' : [...ways][0]!,
      size: sizes.length === 0 ? null : { low: Math.min(...sizes), high: Math.max(...sizes) },
      lines: own,
    };
  });
}

/** Printed with every scenario. */
export const WHAT_IF_CAUTION =
  'Direction, not dose: laboratory means of groups, recalled from memory. One person may differ, and less load is not yet less pain.';
