import type { ShoeModel } from '../catalogue/model';
import type { Knowledge } from '../knowledge/edition';
import { knowledgeOf } from '../knowledge/house-rules';
import type { SchoolChoice } from '../knowledge/schools';
import { resolve } from '../prescribe/engine/resolve';
import type { Decision, SetAside, Specification } from '../prescribe/engine/specification';
import { type VisitBlock, visitBlocks } from './blocks';
import type { VisitContents } from './contents';
import { type ExaminedVisit, type IssuedPair, keptFrom, readExamined, type VisitFacts } from './examined';

/** The model of the pair that was chosen: `null` when the catalogue lacks it, `undefined` while nobody has looked. */
export type ChosenModel = ShoeModel | null | undefined;

/** Under which school, choices and rules a visit's picture is resolved. */
export interface VisitOptions {
  school: SchoolChoice;
  setAside: readonly SetAside[];
  decisions: readonly Decision[];
  knowledge: Knowledge;
}

/** Everything that follows from a visit. */
export interface VisitReading extends ExaminedVisit {
  options: VisitOptions;
  specification: Specification;
  /** What stands between this visit and a hand-over; empty when nothing does. */
  blocks: VisitBlock[];
}

/**
 * Reads a visit: what is known, under which rules, which shoe follows, and what blocks handing it over. Browser and
 * server both call this or its two halves ({@link readExamined}, {@link prescribeFor}), so that they never disagree.
 *
 * @param model of the chosen pair; see {@link ChosenModel}
 * @param before an earlier reading of the same visit: parts whose inputs did not change are taken from it as they are,
 *   so that a screen redraws and a worker asks again only what changed
 */
export const readVisit = (
  facts: VisitFacts,
  contents: VisitContents,
  model: ChosenModel,
  before?: VisitReading,
): VisitReading => prescribeFor(readExamined(facts, contents, before), contents, model, before);

/** The half of a reading that asks the rules: under which of them, which shoe follows, and what blocks it. */
export function prescribeFor(
  examined: ExaminedVisit,
  contents: VisitContents,
  model: ChosenModel,
  before?: VisitReading,
): VisitReading {
  const { inputs, picture, issued, warnings, chosen } = examined;
  const { facts } = inputs;
  const options =
    keptFrom(before, inputs, 'facts', 'decided', 'pair')?.options ?? optionsOf(facts, contents, issued);
  const specification =
    keptFrom(before, inputs, 'facts', 'examined', 'decided', 'pair')?.specification ??
    issued?.specification ??
    resolve(picture, options);
  return {
    ...examined,
    options,
    specification,
    blocks: visitBlocks({
      facts,
      contents,
      picture,
      specification,
      issued,
      warnings: warnings.open,
      chosen,
      model,
    }),
  };
}

function optionsOf(
  facts: VisitFacts,
  { reason = {} }: VisitContents,
  issued: IssuedPair | null,
): VisitOptions {
  const { patient, clinic } = facts;
  return {
    school: issued?.specification.school ?? reason.school ?? patient.school ?? clinic.school,
    setAside: reason.setAside ?? [],
    decisions: reason.decisions ?? [],
    knowledge: knowledgeOfPair(facts, issued),
  };
}

/** The rules that a pair is read by: those of the day of issue once it was issued. */
const knowledgeOfPair = ({ house }: Pick<VisitFacts, 'house'>, issued: IssuedPair | null): Knowledge =>
  issued?.rules
    ? {
        edition: issued.specification.knowledge,
        rules: issued.rules,
        usualRoom: issued.specification.usualRoom,
      }
    : knowledgeOf(house);
