import { isShipped, standardFor } from './languages';
import type { MessageFile } from './speech';

const PLURAL = /_(zero|one|two|few|many|other)$/;

/**
 * Keys of the sentences that a language needs: those of the standard, and where a sentence counts, one for each kind of number
 * that the language tells apart (Unicode CLDR, as the runtime knows it).
 */
export function keysFor(language: string): string[] {
  const kinds = new Intl.PluralRules(language).resolvedOptions().pluralCategories;
  const keys = Object.keys(standardFor(language)).flatMap((key) =>
    PLURAL.test(key) ? kinds.map((kind) => key.replace(PLURAL, `_${kind}`)) : [key],
  );
  return [...new Set(keys)];
}

/** The sentence that a key stands for where a clinic has none of its own. */
export function standardOf(language: string, key: string): string {
  const standard = standardFor(language);
  return standard[key] ?? standard[key.replace(PLURAL, '_other')] ?? '';
}

/** Sentences that an added language still lacks. A page is never written half in one language and half in another. */
export const lacking = (language: string, house: MessageFile): string[] =>
  isShipped(language) ? [] : keysFor(language).filter((key) => !house[key]);
