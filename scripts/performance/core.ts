// Speed of the core: a full picture resolved, and 10,000 generated models ranked, as figures.

import { clinicalPicture } from '@/core/examination/clinical-picture';
import { RULES } from '@/core/knowledge/knowledge-base';
import { rank } from '@/core/match/rank';
import { resolve } from '@/core/prescribe/engine/resolve';
import { demoModels } from '@/demo/models';
import { PERSONAS } from '@/demo/personas/personas';
import { random } from '@/demo/random';
import { timed } from './timed';

const persona = PERSONAS.find((person) => person.given === 'Leonie')!;
const foot = {
  ...persona.findings.left,
  kneeBend: 'over',
  heelsLiftEarly: 'yes',
  lungeDistance: 8,
  lungeAngle: 33,
  heelRises: 12,
  archFlattening: 'no',
  singleLegStance: 9,
  roll: 'in',
  strike: 'heel',
  heelAngleStance: 4,
  heelAngleWalk: 7,
  arch: 'low',
  archMobility: 'flexible',
  bigToeRange: 35,
  toeShape: 'square',
  pain: ['forefoot', 'plantar-heel'],
  insertHeel: 3,
  midfootArthritis: 'no',
  ballGirth: 236,
} as const;
const picture = clinicalPicture({
  body: {
    ...persona.findings.body,
    ageYears: 78,
    sizingGroup: 'women',
    oldPairDrop: 10,
    oldPairCategory: 'neutral',
    oldPairSigns: [],
    weeklyDistance: 6,
    hoursStanding: 2,
    legLengthDifference: 3,
    prosthesisSide: 'none',
    eventAhead: 'none',
    cadence: 80,
  },
  left: { ...foot, pain: [...foot.pain] },
  right: { ...foot, pain: [...foot.pain] },
});
const specification = resolve(picture);
const resolving = timed(() => resolve(picture), 400);

const models = Array.from({ length: 80 }, (_, seed) => demoModels(random(seed + 1)))
  .flat()
  .slice(0, 10_000);
rank(models, specification);
const ranking = timed(() => rank(models, specification), 30);

console.log(
  `resolve, full picture (${RULES.length} rules, ${specification.targets.length} targets): median ${resolving.toFixed(2)} ms (wanted ≤ 2)`,
);
console.log(
  `rank ${models.length} generated models: median ${ranking.toFixed(1)} ms on one thread, as in the worker (wanted ≤ 60)`,
);
