import { definitionOf, FINDINGS } from '../../findings/findings';
import type { Amount, Condition, Wish } from '../../knowledge/rule';
import { featureOf, printFeature } from '../../shoe/features';
import { worthInWords } from './in-words';

const amountInWords = (wish: Wish, value: Amount): string =>
  typeof value === 'number'
    ? printFeature(wish.feature, value)
    : 'along' in value
      ? value.along
          .map(([found, wanted]) => `${printFeature(wish.feature, wanted)} at ${found}`)
          .join(', ')
          .concat(` (${FINDINGS[value.finding].label.toLowerCase()}; ours)`)
      : `${FINDINGS[value.finding].label.toLowerCase()}${value.plus ? ` ${value.plus > 0 ? '+' : '−'} ${Math.abs(value.plus)}` : ''}`;

/** What a wish asks for, with its feature: `heel-to-toe drop: at least 10 mm, at most 14 mm`. */
export function wishInWords(wish: Wish): string {
  const label = featureOf(wish.feature).label.toLowerCase();
  const options = (list: readonly string[]) =>
    list.map((option) => printFeature(wish.feature, option)).join(' or ');
  if ('prefer' in wish) return `${label}: ${options(wish.prefer)}`;
  if ('avoid' in wish) return `${label}: not ${options(wish.avoid)}`;
  if ('worth' in wish) return `${label}: ${worthInWords(wish.feature, wish.worth)}`;
  if ('curve' in wish)
    return `${label}: ${wish.curve
      .map(([value, utility]) => `${printFeature(wish.feature, value)} serves ${Math.round(utility * 100)} %`)
      .join(', ')}`;
  const parts = [
    wish.atLeast !== undefined && `at least ${amountInWords(wish, wish.atLeast)}`,
    wish.atMost !== undefined && `at most ${amountInWords(wish, wish.atMost)}`,
  ];
  return `${label}: ${parts.filter(Boolean).join(', ')}`;
}

/** A condition as a sentence part: `“Arch, standing” is low and not (“Arch on tip-toe” is stays: rigid)`. */
export function conditionInWords(condition: Condition): string {
  const group = (parts: readonly Condition[], word: string) =>
    parts
      .map((part) =>
        'all' in part || 'any' in part ? `(${conditionInWords(part)})` : conditionInWords(part),
      )
      .join(word);
  if ('all' in condition) return group(condition.all, ' and ');
  if ('any' in condition) return group(condition.any, ' or ');
  if ('not' in condition) return `not (${conditionInWords(condition.not)})`;
  const definition = definitionOf(condition.finding);
  const label = `“${definition.label}”`;
  const named = 'is' in condition ? condition.is : 'has' in condition ? condition.has : null;
  if (named !== null) {
    const options: Readonly<Record<string, string>> = 'options' in definition ? definition.options : {};
    const words = [named].flat().map((option) => options[option] ?? option);
    return `${label} ${'is' in condition ? 'is' : 'includes'} ${words.join(' or ')}`;
  }
  if ('is' in condition || 'has' in condition) return `${label} is known`;
  const range = condition;
  const bounds = [
    range.atLeast !== undefined && `at least ${range.atLeast}`,
    range.above !== undefined && `over ${range.above}`,
    range.atMost !== undefined && `at most ${range.atMost}`,
    range.below !== undefined && `under ${range.below}`,
  ].filter(Boolean);
  const ours = range.over ? ` (ours, over ${range.over})` : '';
  return `${label} is ${bounds.join(' and ')}${ours}`;
}
