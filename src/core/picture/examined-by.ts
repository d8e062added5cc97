import type { FindingId } from './findings';

/** What is examined to know a finding that is derived. */
export const EXAMINED_BY: Partial<Record<FindingId, readonly FindingId[]>> = {
  atRiskCategory: ['sensation', 'pulses'],
  postureTotal: [
    'postureTalarHead',
    'postureMalleolarCurves',
    'postureHeel',
    'postureTalonavicular',
    'postureInnerArch',
    'postureForefoot',
  ],
  navicularDrop: ['navicularStart', 'navicularRelaxed'],
  pittingGrade: ['pittingDepth'],
  hypermobilityScore: ['hypermobilitySigns'],
  ballHeelRatio: ['ballWidth', 'heelWidth'],
  shorterLeg: ['legLength'],
};
