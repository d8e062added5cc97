import type { Prior } from '../finding-kinds';

/** Read by rules: it can move a target. */
export const RULES = 'rules';

export const SIZE = 'decides size and width, model by model, not the kind of shoe';
export const NO_ANGLE = 'no agreed angle separates right from wrong: read beside symptoms and each shoe';
export const READ = 'read by the clinician; words are not computed with';
export const through = (what: string): string => `speaks through ${what}`;

type Values = Prior extends infer P ? (P extends { from: string } ? Omit<P, 'from'> : never) : never;

/** A prior from a publication, recalled. */
export const recalled = <V extends Values>(from: string, values: V) => ({ ...values, from });

/** A prior that is our assumption. */
export const assumed = <V extends Values>(values: V) => recalled('assumption', values);

/** Nothing is assumed but what is plausible. */
export const FLAT = assumed({ flat: true });
