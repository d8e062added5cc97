import { createInstance } from 'i18next';
import sheet from './en/sheet.json' with { type: 'json' };

/** Languages that a sheet can be written in. */
export const LANGUAGES = { en: 'English' } as const;
export type Language = keyof typeof LANGUAGES;

type Written = keyof typeof sheet;
/** A sentence of the sheet; one that counts is asked for without its plural. */
export type SheetText = Written extends infer Key
  ? Key extends `${infer Stem}_one` | `${infer Stem}_other`
    ? Stem
    : Key
  : never;

/** Writes a sentence in one language. */
export type Say = (text: SheetText, values?: Readonly<Record<string, string | number>>) => string;

const FILES: Readonly<Record<Language, Readonly<Record<Written, string>>>> = { en: sheet };

const texts = createInstance();
void texts.init({
  lng: 'en',
  resources: Object.fromEntries(Object.entries(FILES).map(([language, file]) => [language, { sheet: file }])),
  defaultNS: 'sheet',
  keySeparator: false,
  nsSeparator: false,
  initAsync: false,
  // Sentences go to paper and to text, never into markup.
  interpolation: { escapeValue: false },
});

export const sayIn = (language: Language): Say => {
  const fixed = texts.getFixedT(language);
  return (text, values = {}) => fixed(text, values);
};

export const isSheetText = (key: string): key is SheetText => Object.hasOwn(sheet, key);

const LOCALE: Readonly<Record<Language, string>> = { en: 'en-GB' };

/** A day as a reader of that language writes it. @example dayIn('en', '2031-06-09') // '9 June 2031' */
export const dayIn = (language: Language, day: string): string =>
  new Intl.DateTimeFormat(LOCALE[language], {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  }).format(new Date(`${day}T12:00:00Z`));

/** Kilometres, hours or minutes in words. @example amountIn('en', 0.75, 'hours') // '45 minutes' */
export function amountIn(language: Language, amount: number, unit: 'km' | 'hours'): string {
  const isMinutes = unit === 'hours' && amount < 1;
  const rounded = isMinutes ? Math.max(5, Math.round((amount * 60) / 5) * 5) : Math.round(amount * 2) / 2;
  return new Intl.NumberFormat(LOCALE[language], {
    style: 'unit',
    unit: unit === 'km' ? 'kilometer' : isMinutes ? 'minute' : 'hour',
    unitDisplay: unit === 'km' ? 'short' : 'long',
  }).format(rounded);
}
