import { syllable } from 'syllable';

/** A page for patients reads at this grade or below (handbook 07: reading age about 12). */
export const GRADE_WANTED = 7;

const WORD = /[\p{L}\p{N}][\p{L}\p{N}’']*/gu;
const wordsOf = (text: string): string[] => text.match(WORD) ?? [];
const sentencesIn = (text: string): number =>
  Math.max(1, text.split(/[.!?:](?:\s|$)/).filter((part) => part.trim() !== '').length);
const share = (words: readonly string[], has: (word: string) => boolean): number =>
  (100 * words.filter(has).length) / Math.max(1, words.length);

/**
 * Grade of an English text by Kincaid JP et al., 1975 (Naval Technical Training Command, Research Branch Report 8-75; from memory):
 * 0.39 × words a sentence + 11.8 × syllables a word − 15.59. Syllables as a general-purpose library counts them.
 */
function kincaid(text: string): number {
  const words = wordsOf(text);
  const syllables = words.reduce((sum, word) => sum + Math.max(1, syllable(word)), 0);
  return 0.39 * (words.length / sentencesIn(text)) + 11.8 * (syllables / Math.max(1, words.length)) - 15.59;
}

/** Syllables of a German word: its groups of vowels, with two that are spoken as one counted as one. */
export const germanSyllables = (word: string): number =>
  Math.max(1, word.toLowerCase().match(/ie|ei|au|eu|äu|ai|aa|ee|oo|[aeiouyäöü]/g)?.length ?? 1);

/**
 * Grade of a German text by the first Wiener Sachtextformel (Bamberger R, Vanecek E: Lesen – Verstehen – Lernen – Schreiben,
 * Jugend und Volk, Wien 1984; from memory): 0.1935 × words of three syllables or more, % + 0.1672 × words a sentence + 0.1297 × words
 * of more than six letters, % − 0.0327 × words of one syllable, % − 0.875.
 */
function wiener(text: string): number {
  const words = wordsOf(text);
  return (
    0.1935 * share(words, (word) => germanSyllables(word) >= 3) +
    0.1672 * (words.length / sentencesIn(text)) +
    0.1297 * share(words, (word) => word.length > 6) -
    0.0327 * share(words, (word) => germanSyllables(word) === 1) -
    0.875
  );
}

const FORMULAS: Readonly<Record<string, (text: string) => number>> = { en: kincaid, de: wiener };

/** School grade at which a text reads, by the formula of its language; null where there is none here. */
export function gradeOf(language: string, text: string): number | null {
  const formula = FORMULAS[new Intl.Locale(language).language];
  return formula ? formula(text) : null;
}
