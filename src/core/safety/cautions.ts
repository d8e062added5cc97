/** Carried by every printed or shared sheet. */
export const SHEET_CAUTION =
  'Decision support for licensed practitioners; not a diagnosis and not a substitute for examination. Local codes and the practitioner’s scope come first. New or worsening pain, skin damage, numbness, heat, swelling of one leg or a fall: stop, and contact the clinic or urgent care.';

/** Goes with every answer and screen on which a specification is shown. */
export const LIMITS_OF_USE =
  'Decision support for licensed practitioners; not a diagnosis. What nobody examined is not known, published values were recalled from memory, and local codes come first.';

/** The same caution in plain words for the patient's own sheet. */
export const STOP_AND_CALL = [
  'new pain, or pain that gets worse',
  'broken skin, a blister that does not settle, or a red mark that stays 30 minutes',
  'numbness, heat, or swelling of one leg',
  'a fall',
] as const;
