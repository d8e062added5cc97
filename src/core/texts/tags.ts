import { fail, ok, type Result } from '../result/result';

/** As a language calls itself. @example nameOf('de') // 'Deutsch' */
export const nameOf = (language: string): string =>
  new Intl.DisplayNames([language], { type: 'language' }).of(language) ?? language;

/** Scripts that are written from the right (Unicode Standard Annex 9, from memory). */
const FROM_THE_RIGHT: ReadonlySet<string> = new Set(['Arab', 'Hebr', 'Syrc', 'Thaa', 'Nkoo', 'Adlm', 'Rohg']);

export type Direction = 'ltr' | 'rtl';
export const directionOf = (language: string): Direction =>
  FROM_THE_RIGHT.has(new Intl.Locale(language).maximize().script ?? '') ? 'rtl' : 'ltr';

/** A tag of a language by BCP 47, in its usual writing. @example languageTag('PT-br') // 'pt-BR' */
export function languageTag(typed: string): Result<string> {
  try {
    const tag = new Intl.Locale(typed.trim()).toString();
    // A tag that nobody knows has no name of its own.
    return nameOf(tag) === tag || tag.includes('-x-')
      ? fail('unknown', `“${typed}” is not a language known here. Write a tag such as fr, pt-BR or ar.`)
      : ok(tag);
  } catch {
    return fail('malformed', 'Write a tag such as fr, pt-BR or ar.');
  }
}
