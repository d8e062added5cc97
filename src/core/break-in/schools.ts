/** How a pair is broken in, as practitioners differ (handbook 07). */
export const BREAK_IN_SCHOOLS = {
  none: 'a right shoe needs none',
  'home-trial': 'indoors first, then short outings',
  'short-first': 'short outings first',
  alternate: 'short outings first, old and new on different days',
  race: 'run in once or twice, then kept for the race',
} as const;
export type BreakInSchool = keyof typeof BREAK_IN_SCHOOLS;

/** Feet that have a plan of their own: no school is chosen for them. */
export const OWN_PLANS = ['at-risk', 'prosthesis', 'orthosis'] as const;
export type OwnPlan = (typeof OWN_PLANS)[number];

/** Feet and limbs that stop at the first mark or soreness, under whichever plan. */
export const stopsAtFirst = (plan: BreakInSchool | OwnPlan): boolean =>
  plan === 'at-risk' || plan === 'prosthesis';

/** Days that a pair is worn indoors, so that it can go back unworn: one to two weeks (handbook 07). */
export const HOME_TRIAL_DAYS = { least: 7, usual: 7, most: 14 } as const;
