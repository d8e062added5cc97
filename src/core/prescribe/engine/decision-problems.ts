import { axisOf } from '../../shoe/feature-kinds';
import { featureOf, isPerFoot } from '../../shoe/features';
import type { Decision } from './specification';

/** What is wrong with a clinician's decision, field by field; empty when it can be kept. */
export function decisionProblems({
  feature,
  side,
  band,
  options,
  reason,
}: Decision): { field: string; message: string }[] {
  const definition = featureOf(feature);
  const problems: { field: string; message: string }[] = [];
  const wrong = (field: string, message: string) => problems.push({ field, message });
  if (reason.trim().length < 3) wrong('reason', 'Write the reason: it is kept with the specification.');
  if ((side !== undefined) !== isPerFoot(feature))
    wrong('side', isPerFoot(feature) ? 'Say which foot.' : 'Both shoes of the pair have this alike.');
  if (definition.kind === 'choice') {
    if (!options || options.length === 0) wrong('options', 'Choose at least one option.');
    for (const option of options ?? [])
      if (!(option in definition.options)) wrong('options', `${definition.label} has no “${option}”.`);
    return problems;
  }
  const axis = axisOf(definition);
  if (!band || !Number.isFinite(band.from) || !Number.isFinite(band.to))
    wrong('band', 'Give both ends of the band as numbers.');
  else if (band.from > band.to) wrong('band', 'The band ends before it begins.');
  else if (band.from < axis.from || band.to > axis.to)
    wrong('band', `${definition.label} lies between ${axis.from} and ${axis.to}.`);
  return problems;
}
