import { createInstance } from 'i18next';
import type sheet from './en/sheet.json';

type Written = keyof typeof sheet;
/** A sentence of the sheet; one that counts, or that is put otherwise to a parent, is asked for by its stem. */
export type SheetText = Written extends infer Key
  ? Key extends `${string}_child` | `${string}_child_one` | `${string}_child_other`
    ? never
    : Key extends `${infer Stem}_one` | `${infer Stem}_other`
      ? Stem
      : Key
  : never;

/** Sentences by key, as i18next keeps them in a file. */
export type MessageFile = Readonly<Record<string, string>>;

/** Who reads a page: a child's page speaks to a parent. */
export type Reader = 'patient' | 'parent';

/** Writes a sentence in one language. */
export type Say = (text: SheetText, values?: Readonly<Record<string, string | number>>) => string;

/** How things are put in one language: sentences, days and amounts. */
export interface Speech {
  /** A tag by BCP 47, such as `en` or `de`. */
  language: string;
  say: Say;
  /** A day as its reader writes it. @example day('2031-06-09') // '9 June 2031' */
  day: (on: string) => string;
  /** Kilometres, hours or minutes in words. @example amount(0.75, 'hours') // '45 minutes' */
  amount: (amount: number, unit: 'km' | 'hours') => string;
}

/** English is written as in Britain; every other tag stands for itself. */
const localeOf = (language: string): string => (language === 'en' ? 'en-GB' : language);

/**
 * How things are put with these sentences.
 *
 * @param files the first that has a sentence gives it
 */
export function speech(language: string, files: readonly MessageFile[], reader: Reader = 'patient'): Speech {
  const texts = createInstance();
  void texts.init({
    lng: language,
    resources: { [language]: { sheet: Object.assign({}, ...files.toReversed()) } },
    defaultNS: 'sheet',
    keySeparator: false,
    nsSeparator: false,
    initAsync: false,
    // Sentences go to paper and to text, never into markup.
    interpolation: { escapeValue: false },
  });
  const context = reader === 'parent' ? { context: 'child' } : {};
  const locale = localeOf(language);
  const days = new Intl.DateTimeFormat(locale, {
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    timeZone: 'UTC',
  });
  return {
    language,
    say: (text, values = {}) => texts.t(text, { ...context, ...values }),
    day: (on) => days.format(new Date(`${on}T12:00:00Z`)),
    amount: (amount, unit) => {
      const isMinutes = unit === 'hours' && amount < 1;
      const rounded = isMinutes ? Math.max(5, Math.round((amount * 60) / 5) * 5) : Math.round(amount * 2) / 2;
      return new Intl.NumberFormat(locale, {
        style: 'unit',
        unit: unit === 'km' ? 'kilometer' : isMinutes ? 'minute' : 'hour',
        unitDisplay: unit === 'km' ? 'short' : 'long',
      }).format(rounded);
    },
  };
}
