import type { Archetype } from './archetype';
import { OUTDOOR } from './outdoor';
import { RUNNING } from './running';
import { SPORT } from './sport';
import { EVERYDAY } from './walking-and-everyday';
import { WORK_AND_DRESS } from './work-and-dress';

/** Kinds of shoe from which the demo's models are varied. */
export const ARCHETYPES: readonly Archetype[] = [
  ...RUNNING,
  ...OUTDOOR,
  ...EVERYDAY,
  ...SPORT,
  ...WORK_AND_DRESS,
];
