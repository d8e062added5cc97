export const ANKLE_QUESTIONS = {
  malleolarPain: 'Pain about a malleolus',
  outerMalleolus: 'Bone tender at the back edge (lower 6 cm) or tip of the outer malleolus',
  innerMalleolus: 'Bone tender at the back edge (lower 6 cm) or tip of the inner malleolus',
  midfootPain: 'Pain in the midfoot',
  fifthBase: 'Bone tender at the base of the fifth metatarsal',
  navicular: 'Bone tender over the navicular',
  fourSteps: 'Could take four steps, then and now',
} as const;
export type AnkleQuestion = keyof typeof ANKLE_QUESTIONS;

/** One injured side; an absent answer is “not examined”. */
export type AnkleAnswers = Partial<Record<AnkleQuestion, 'yes' | 'no'>>;

export type AnkleVerdict = 'x-ray' | 'not-by-the-rule' | 'unknown';

export interface AnkleAnswer {
  ankle: AnkleVerdict;
  foot: AnkleVerdict;
  missing: AnkleQuestion[];
}

type Three = 'yes' | 'no' | 'unknown';
const any = (...values: readonly Three[]): Three =>
  values.includes('yes') ? 'yes' : values.includes('unknown') ? 'unknown' : 'no';
const both = (a: Three, b: Three): Three =>
  a === 'no' || b === 'no' ? 'no' : a === 'yes' && b === 'yes' ? 'yes' : 'unknown';
const VERDICT: Record<Three, AnkleVerdict> = { yes: 'x-ray', no: 'not-by-the-rule', unknown: 'unknown' };

/**
 * Ankle and midfoot injury rules: an X-ray of the ankle is due with malleolar pain and any of bone tenderness at
 * either malleolus or not four steps; of the foot with midfoot pain and any of tenderness at the fifth base or the
 * navicular or not four steps. What is missing never counts as “no”.
 *
 * Stiell 1992, Ann Emerg Med; 1993, JAMA, from memory.
 */
export function ankleInjuryRules(answers: AnkleAnswers): AnkleAnswer {
  const answer = (question: AnkleQuestion): Three => answers[question] ?? 'unknown';
  const steps = answer('fourSteps');
  const cannotStep: Three = steps === 'yes' ? 'no' : steps === 'no' ? 'yes' : 'unknown';
  const ankle = both(
    answer('malleolarPain'),
    any(answer('outerMalleolus'), answer('innerMalleolus'), cannotStep),
  );
  const foot = both(answer('midfootPain'), any(answer('fifthBase'), answer('navicular'), cannotStep));
  const needed: AnkleQuestion[] = [
    ...(ankle === 'unknown'
      ? (['malleolarPain', 'outerMalleolus', 'innerMalleolus', 'fourSteps'] as const)
      : []),
    ...(foot === 'unknown' ? (['midfootPain', 'fifthBase', 'navicular', 'fourSteps'] as const) : []),
  ];
  return {
    ankle: VERDICT[ankle],
    foot: VERDICT[foot],
    missing: [...new Set(needed)].filter((question) => answers[question] === undefined),
  };
}

/** Where the rules were not made to be used. Common practice and the rules’ own exclusions, from memory. */
export const ANKLE_RULES_DO_NOT_FIT =
  'Not for: intoxication, other painful injuries, loss of sensation in the leg, pregnancy, more than 10 days since, small children, a swelling that hides the bone. Then decide without them.';
