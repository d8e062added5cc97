import type { Side } from '../../findings/finding-kinds';
import type { Specification } from '../engine/specification';

/** Where a shorter leg is lifted to, stage by stage, mm: what lies inside the shoe and what is built onto the sole. */
export interface LiftStage {
  inside: number;
  outside: number;
}

/** A stage is 3–6 mm (handbook 04); the fewest that keep to it. */
const LARGEST_STAGE = 6;
const CORRECTION = 'leg-length-correction';

const toHalf = (value: number): number => Math.round(value * 2) / 2;

/**
 * The stages in which the correction of a shorter leg is reached, equal in height, inside first, as far as it fits there.
 * Empty where nothing is corrected on this side, or where it takes no more than one stage.
 */
export function liftStages(specification: Specification, side: Side): LiftStage[] {
  const at = (feature: 'heelLift' | 'soleLift'): number => {
    const target = specification.feet[side].find((entry) => entry.feature === feature);
    const asked = target?.pushes.some((push) => push.rule === CORRECTION && push.setAside === undefined);
    return target?.kind === 'band' && asked ? target.best : 0;
  };
  const inside = at('heelLift');
  const total = inside + at('soleLift');
  const count = Math.ceil(total / LARGEST_STAGE);
  if (count < 2) return [];
  return Array.from({ length: count }, (_, stage) => {
    const reached = stage === count - 1 ? total : toHalf((total * (stage + 1)) / count);
    const within = Math.min(inside, reached);
    return { inside: within, outside: toHalf(reached - within) };
  });
}

const stageInWords = ({ inside, outside }: LiftStage): string =>
  outside === 0
    ? `${inside} mm inside`
    : inside === 0
      ? `${outside} mm on the sole`
      : `${inside} mm inside and ${outside} mm on the sole`;

/** `in 3 stages: 4 mm inside, then 8 mm inside, then 10 mm inside and 2 mm on the sole`; empty when there is no plan. */
export function liftStagesInWords(stages: readonly LiftStage[]): string {
  return stages.length === 0 ? '' : `in ${stages.length} stages: ${stages.map(stageInWords).join(', then ')}`;
}
