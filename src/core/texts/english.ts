import english from './en/sheet.json' with { type: 'json' };
import { type SheetText, speech } from './speech';

/** The language that this ships in first; each other has a sentence for each of its sentences. */
export const ENGLISH = speech('en', [english]);

export const isSheetText = (key: string): key is SheetText => Object.hasOwn(english, key);
