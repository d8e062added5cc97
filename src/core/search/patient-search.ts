import { isoDay } from '../calendar/iso-day';

/** What somebody typed to find a patient. */
export interface PatientSearch {
  /** Each stands in a given or family name. */
  words: string[];
  /** Days of birth that were meant; with two ways to read a day both count. */
  bornOn: string[];
  bornIn: number | null;
  /** Digits of a telephone number. */
  digits: string | null;
}

const isDay = (text: string): boolean => isoDay.safeParse(text).success;
const day = (year: string, month: string, of: string): string =>
  `${year}-${month.padStart(2, '0')}-${of.padStart(2, '0')}`;

/** `4.5.1961`, `04/05/1961`, `1961-05-04`: where nobody can tell the day from the month, both are looked for. */
function daysIn(text: string): string[] {
  const iso = /^(\d{4})-(\d{1,2})-(\d{1,2})$/.exec(text);
  if (iso) return [day(iso[1]!, iso[2]!, iso[3]!)].filter(isDay);
  const parts = /^(\d{1,2})[./-](\d{1,2})[./-](\d{4})$/.exec(text);
  if (!parts) return [];
  const [, first, second, year] = parts;
  const read = [day(year!, second!, first!), ...(text.includes('.') ? [] : [day(year!, first!, second!)])];
  return [...new Set(read)].filter(isDay);
}

/** Fewer digits are no telephone number that anybody would look for. */
const LEAST_DIGITS = 5;

/** Reads what was typed: words of a name in any order, a day or a year of birth, a telephone number. */
export function readPatientSearch(typed: string): PatientSearch {
  const search: PatientSearch = { words: [], bornOn: [], bornIn: null, digits: null };
  // A number is written with gaps; with a plus, brackets or a nought in front it is nobody's name or birthday.
  const phone = /(?:^|\s)(?:\+|\(?0)[\d\s()/-]{4,}$/.exec(typed.trim());
  const rest = phone && daysIn(phone[0].trim()).length === 0 ? typed.trim().slice(0, phone.index) : typed;
  if (rest !== typed) search.digits = phone![0].replace(/\D/g, '').replace(/^0+/, '');
  for (const word of rest.trim().split(/\s+/).filter(Boolean)) {
    const days = daysIn(word);
    if (days.length > 0) search.bornOn = days;
    else if (/^(?:19|20)\d{2}$/.test(word)) search.bornIn = Number(word);
    else if (/^\d+$/.test(word) && word.length >= LEAST_DIGITS) search.digits = word.replace(/^0+/, '');
    else search.words.push(word);
  }
  return search;
}
