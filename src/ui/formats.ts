import {
  CURRENCIES,
  DATE_STYLES,
  DISTANCE_UNITS,
  type Formats,
  printDay,
  printMoment,
  USUAL_FORMATS,
  USUAL_SIZES,
} from '@/core/formats/formats';
import { isKeyOf } from '@/core/tables/keys-of';

let ofRequest: () => Formats | undefined = () => undefined;

/** Says where the server finds the formats of the request that it answers: several clinics are answered at once. */
export function readFormatsFrom(read: () => Formats | undefined): void {
  ofRequest = read;
}

/** In the browser a page's formats do not change. */
let ofPage: Formats | undefined;

/** A page carries them in attributes of its own: no schema has to travel with each page for these. */
function pageFormats(): Formats {
  const { date = '', distance = '', currency = '', sizes = '' } = document.documentElement.dataset;
  return {
    date: isKeyOf(DATE_STYLES, date) ? date : USUAL_FORMATS.date,
    distance: isKeyOf(DISTANCE_UNITS, distance) ? distance : USUAL_FORMATS.distance,
    currency: isKeyOf(CURRENCIES, currency) ? currency : USUAL_FORMATS.currency,
    sizes: isKeyOf(USUAL_SIZES, sizes) ? sizes : USUAL_FORMATS.sizes,
  };
}

/** How the clinic writes days, distances, prices and sizes, wherever a view is drawn: on the server and in the browser alike. */
export function clinicFormats(): Formats {
  if (typeof document === 'undefined') return ofRequest() ?? USUAL_FORMATS;
  ofPage ??= pageFormats();
  return ofPage;
}

/** A day as this clinic writes it. @example writtenDay('2031-06-08') // '8 Jun 2031' */
export const writtenDay = (day: string): string => printDay(day, clinicFormats());

/** A moment as this clinic writes it. @example writtenMoment('2031-06-08T09:40:12.000Z') // '8 Jun 2031, 09:40' */
export const writtenMoment = (moment: string): string => printMoment(moment, clinicFormats());
