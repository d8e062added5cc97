import { BREAK_IN_SCHOOLS, type BreakInSchool, type OwnPlan } from './schools';

/** What each plan is called where a clinician reads it. */
export const PLAN_NAMES: Readonly<Record<BreakInSchool | OwnPlan, string>> = {
  ...BREAK_IN_SCHOOLS,
  'at-risk': 'a foot at risk: its own plan',
  prosthesis: 'a new prosthesis: its own plan',
  orthosis: 'a brace: its own plan',
};
