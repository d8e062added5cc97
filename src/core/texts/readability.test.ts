import { describe, expect, it } from 'vitest';
import { germanSyllables, gradeOf } from './readability';

describe('readability', () => {
  it('of English is the grade of Kincaid 1975: 0.39 words a sentence + 11.8 syllables a word − 15.59', () => {
    // A worked example, from memory: 16 words of 24 syllables in one sentence.
    expect(
      gradeOf('en', 'This sentence, taken as a reading passage unto itself, is being used to prove a point.'),
    ).toBeCloseTo(8.35, 2);
    expect(gradeOf('en', 'The cat sat on the mat.')).toBeCloseTo(0.39 * 6 + 11.8 - 15.59, 6);
  });

  it('of German is the first Wiener Sachtextformel, counted by hand', () => {
    // Six words of one syllable, none long: 0.1672 × 6 − 0.0327 × 100 − 0.875.
    expect(gradeOf('de', 'Der Hund lief gern zum Haus.')).toBeCloseTo(0.1672 * 6 - 3.27 - 0.875, 6);
    // Three words; two of three syllables or more, both of more than six letters; one of one syllable.
    expect(gradeOf('de', 'Veränderte Landschaften sind.')).toBeCloseTo(
      0.1935 * (200 / 3) + 0.1672 * 3 + 0.1297 * (200 / 3) - 0.0327 * (100 / 3) - 0.875,
      6,
    );
  });

  it.each([
    ['Schuh', 1],
    ['Achillessehne', 5],
    ['Einlage', 3],
    ['leise', 2],
    ['Bäume', 2],
    ['Knie', 1],
    ['mm', 1],
  ])('%s has %i syllables', (word, count) => expect(germanSyllables(word)).toBe(count));

  it('is not judged in a language that has no formula here', () =>
    expect(gradeOf('fr', 'Bonjour.')).toBeNull());
});
