import { describe, expect, it } from 'vitest';
import { checkText, LONGEST } from './check-text';
import english from './en/sheet.json' with { type: 'json' };
import { ENGLISH } from './english';
import { keysFor, lacking, standardOf } from './house-texts';
import { SHIPPED, speechIn } from './languages';
import { gradeOf } from './readability';
import { directionOf, languageTag, nameOf } from './tags';

const blanks = (text: string) => (text.match(/\{\{\w+\}\}/g) ?? []).toSorted();

describe('the languages that ship', () => {
  it('have each sentence of the English file with its blanks, and no other', () => {
    for (const file of Object.values(SHIPPED)) {
      expect(Object.keys(file).toSorted()).toEqual(Object.keys(english).toSorted());
      for (const [key, text] of Object.entries(file))
        expect(blanks(text), key).toEqual(blanks(standardOf('en', key)));
    }
  });

  it('have no sentence that reads more than two grades above the page, whoever gets it', () => {
    for (const [language, file] of Object.entries(SHIPPED))
      for (const [key, text] of Object.entries(file))
        if (/[.:!?]$/.test(text))
          expect(gradeOf(language, text.replace(/\{\{\w+\}\}/g, 'two'))!, key).toBeLessThanOrEqual(9);
  });

  it('say days and amounts as they are said there', () => {
    expect(ENGLISH.day('2031-06-09')).toBe('9 June 2031');
    expect(ENGLISH.amount(0.75, 'hours')).toBe('45 minutes');
    const german = speechIn('de');
    expect(german.day('2031-06-09')).toBe('9. Juni 2031');
    expect(german.amount(1.5, 'hours')).toBe('1,5 Stunden');
    expect(german.say('break-in.short', { count: 3, amount: german.amount(5, 'km') })).toBe(
      '3-mal kurz, je etwa 5 km.',
    );
  });

  it('put to a parent what is put otherwise to a parent, and the rest as it stands', () => {
    const parent = speechIn('en', {}, 'parent');
    expect(parent.say('fit.heel')).toBe('The heel stays in place when your child goes up on the toes.');
    expect(parent.say('care.wet')).toBe(ENGLISH.say('care.wet'));
  });
});

describe('a clinic’s own words', () => {
  it('stand in the place of the standard, the first file that has a sentence giving it', () => {
    expect(speechIn('en', { 'care.rest': 'Let it rest.' }).say('care.rest')).toBe('Let it rest.');
    expect(speechIn('en', { 'care.rest': 'Let it rest.' }).say('care.wet')).toBe(ENGLISH.say('care.wet'));
  });

  it.each([
    ['Come on {{on}}.', true, ''],
    ['', true, ''],
    ['Come soon.', false, 'Keep {{on}} in it.'],
    ['Come on {{on}} at {{time}}.', false, 'Nothing fills {{time}} here.'],
    [`{{on}} ${'a'.repeat(LONGEST)}`, false, `Use at most ${LONGEST} letters.`],
  ])('%j may be written: %s %s', (text, may, problem) => {
    const read = checkText(english['dates.review'], text);
    expect(read.ok).toBe(may);
    if (!read.ok) expect(read.problem.message).toBe(problem);
  });

  it('in a new language need each sentence, and each kind of number that it tells apart', () => {
    expect(keysFor('en')).toHaveLength(Object.keys(english).length);
    expect(keysFor('pl').filter((key) => key.startsWith('break-in.short'))).toEqual([
      'break-in.short_few',
      'break-in.short_many',
      'break-in.short_one',
      'break-in.short_other',
    ]);
    expect(keysFor('ja').filter((key) => key.startsWith('break-in.short'))).toEqual(['break-in.short_other']);
    const whole = Object.fromEntries(keysFor('pl').map((key) => [key, 'x']));
    expect(lacking('pl', whole)).toEqual([]);
    const { caution: _, ...rest } = whole;
    expect(lacking('pl', rest)).toEqual(['caution']);
    expect(lacking('de', {})).toEqual([]);
  });

  it('count as their language counts', () => {
    const polish = speechIn('pl', {
      'break-in.short_one': 'raz',
      'break-in.short_few': 'kilka {{count}}',
      'break-in.short_many': 'wiele {{count}}',
    });
    expect([1, 3, 5].map((count) => polish.say('break-in.short', { count, amount: '' }))).toEqual([
      'raz',
      'kilka 3',
      'wiele 5',
    ]);
  });
});

describe('tags of languages', () => {
  it.each([
    ['pt-br', 'pt-BR'],
    [' DE ', 'de'],
  ])('%s is %s', (typed, tag) => expect(languageTag(typed)).toEqual({ ok: true, value: tag }));

  it.each(['', 'english please', 'qqq', 'x-house'])('“%s” is none', (typed) =>
    expect(languageTag(typed).ok).toBe(false),
  );

  it('are named as their speakers name them, and run as they are written', () => {
    expect(nameOf('de')).toBe('Deutsch');
    expect(['en', 'ar', 'he', 'fa', 'az-Arab', 'ru'].map(directionOf)).toEqual([
      'ltr',
      'rtl',
      'rtl',
      'rtl',
      'rtl',
      'ltr',
    ]);
  });
});
