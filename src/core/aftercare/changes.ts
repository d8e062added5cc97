import type { Side } from '../findings/finding-kinds';
import { amountOf, type Modification } from '../modification/modification';
import type { Specification } from '../prescribe/engine/specification';
import { type LiftStage, liftStages } from '../prescribe/explain/lift-stages';
import type { Say } from '../texts/speech';

/** What was changed on the pair, as its wearer reads it. */
export function changeInWords(modification: Modification, say: Say): string {
  const { side, kind, note } = modification;
  const given = { shoe: say(`shoe.${side}`), what: say(`change.${kind}`) };
  const amount = amountOf(modification);
  const words = amount === null ? say('change.plain', given) : say('change.with', { ...given, amount });
  return note ? `${words} ${note}` : words;
}

const stageInWords = (stage: LiftStage, say: Say): string =>
  say(stage.outside === 0 ? 'lift.inside' : stage.inside === 0 ? 'lift.outside' : 'lift.both', { ...stage });

/** Stages in which a shorter leg is raised; nothing where it is raised at once, or not at all. */
export function liftInWords(specification: Specification, side: Side, say: Say): string[] {
  const stages = liftStages(specification, side).map((stage) => stageInWords(stage, say));
  return stages.length === 0 ? [] : [say(`lift.${side}`, { stages: stages.join(say('lift.then')) })];
}
