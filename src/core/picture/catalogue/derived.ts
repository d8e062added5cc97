import { choice, number, YES_NO } from '../finding-kinds';

/** What follows from other findings by arithmetic; never typed in. */
export const DERIVED_FINDINGS = {
  ballHeelRatio: number('Ball width over heel width', 'index', [1.25, 1.8], [0.8, 3], {
    scope: 'foot',
    step: null,
  }),
  shorterLeg: choice('Shorter leg', YES_NO, { scope: 'foot', step: null }),

  atRiskCategory: number('At-risk category', 'score', [0, 3], [0, 3], {
    scope: 'foot',
    step: null,
    whole: true,
  }),

  postureTotal: number('Posture, six items', 'score', [-12, 12], [-12, 12], {
    scope: 'foot',
    step: null,
    whole: true,
  }),
  navicularDrop: number('Navicular drop', 'mm', [0, 20], [-20, 60], { scope: 'foot', step: null }),
  archHeightIndex: number('Arch height index, standing', 'index', [0.25, 0.42], [0.1, 0.7], {
    scope: 'foot',
    step: null,
    position: 'standing',
  }),
  archHeightIndexSeated: number('Arch height index, seated', 'index', [0.25, 0.45], [0.1, 0.7], {
    scope: 'foot',
    step: null,
    position: 'seated',
  }),
  archFlexibility: number('Arch height flexibility', 'mm-per-kN', [0, 40], [-50, 200], {
    scope: 'foot',
    step: null,
  }),
  footMobility: number('Foot mobility magnitude', 'mm', [4, 30], [0, 80], { scope: 'foot', step: null }),
  pittingGrade: number('Pitting grade', 'score', [0, 4], [0, 4], { scope: 'foot', step: null, whole: true }),
  hypermobilityScore: number('Hypermobility signs of nine', 'score', [0, 9], [0, 9], {
    scope: 'body',
    step: null,
    whole: true,
  }),
} as const;
