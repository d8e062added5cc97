import { FIRST_TIME } from './first-time';
import { LATELY_KNOWN } from './lately-known';
import { LONG_KNOWN } from './long-known';
import type { Persona } from './persona';

/** The people a visitor of the demo meets first. All invented. */
export const PERSONAS: readonly Persona[] = [...LONG_KNOWN, ...LATELY_KNOWN, ...FIRST_TIME];
