/** Carried by every printed or shared sheet. */
export const SHEET_CAUTION =
  'Decision support for licensed practitioners; not a diagnosis and not a substitute for examination. Local codes and the practitioner’s scope come first. New or worsening pain, skin damage, numbness, heat, swelling of one leg or a fall: stop, and contact the clinic or urgent care.';

/** Goes with every answer and screen on which a specification is shown. */
export const LIMITS_OF_USE =
  'Decision support for licensed practitioners; not a diagnosis. What nobody examined is not known, published values were recalled from memory, and local codes come first.';
