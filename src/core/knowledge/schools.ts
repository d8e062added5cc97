import type { Rule, School } from './rule';

/** How a clinic weighs the camps. `balanced` is the default; its reason is shown wherever it can be changed. */
export type SchoolChoice = 'balanced' | School;

export const SCHOOL_CHOICES: Record<SchoolChoice, { label: string; says: string }> = {
  balanced: {
    label: 'Balanced',
    says: 'Comfort within safety limits; move load where a tissue hurts; foot shape only as a weak tie-break. Default, because assigning shoes by arch did not lower injuries in three large military trials, while comfort went with fewer injuries in several studies.',
  },
  comfort: {
    label: 'Comfort-led',
    says: 'What feels right in a trial among safe shoes; arch height carries no weight.',
  },
  load: {
    label: 'Load-led',
    says: 'Move load away from the sore tissue by drop, stiffness, cushioning and step rate.',
  },
  shape: { label: 'Shape-led', says: 'Arch and roll choose the kind of shoe.' },
};

/** How much a rule's strength counts under a choice of school. Limits are never weakened. */
const SHARE: Record<SchoolChoice, Record<School, number>> = {
  balanced: { shape: 0.25, comfort: 1, load: 1 },
  shape: { shape: 1, comfort: 0, load: 0 },
  comfort: { shape: 0, comfort: 1, load: 0 },
  load: { shape: 0, comfort: 0, load: 1 },
};

export function shareOf(rule: Rule, school: SchoolChoice): number {
  if (rule.schools.length === 0) return 1;
  return Math.max(...rule.schools.map((camp) => SHARE[school][camp]));
}
