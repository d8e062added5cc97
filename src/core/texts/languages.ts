import german from './de/sheet.json' with { type: 'json' };
import english from './en/sheet.json' with { type: 'json' };
import { type MessageFile, type Reader, type Speech, speech } from './speech';

/** Languages that this ships with. A clinic adds others by files of its own. */
export const SHIPPED = { en: english, de: german } as const satisfies Record<
  string,
  Readonly<Record<keyof typeof english, string>>
>;
export type ShippedLanguage = keyof typeof SHIPPED;
export const isShipped = (language: string): language is ShippedLanguage => Object.hasOwn(SHIPPED, language);

/** Sentences that ship with a language; for one that a clinic adds, the English ones that it has to put. */
export const standardFor = (language: string): MessageFile =>
  isShipped(language) ? SHIPPED[language] : english;

/** Languages as they ship: made once, as most pages are written in them. */
const asShipped = new Map<string, Speech>();

/**
 * How things are put in a language, in a clinic's own words where it has some.
 *
 * @param house the clinic's own sentences of this language
 */
export function speechIn(language: string, house: MessageFile = {}, reader: Reader = 'patient'): Speech {
  const made = () => speech(language, [house, standardFor(language)], reader);
  if (!isShipped(language) || Object.keys(house).length > 0) return made();
  const key = `${language} ${reader}`;
  const kept = asShipped.get(key) ?? made();
  asShipped.set(key, kept);
  return kept;
}
