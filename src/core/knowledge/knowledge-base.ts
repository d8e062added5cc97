import type { Rule } from './rule';
import { ageingAndReach } from './topics/ageing-and-reach';
import { atRiskFoot } from './topics/at-risk-foot';
import { children } from './topics/children';
import { footShape } from './topics/foot-shape';
import { forefootAndToes } from './topics/forefoot-and-toes';
import { heelAndMidfoot } from './topics/heel-and-midfoot';
import { kneeAndHip } from './topics/knee-and-hip';
import { prosthesisAndOrthosis } from './topics/prosthesis-and-orthosis';
import { tasks } from './topics/tasks';
import { tendonAndCalf } from './topics/tendon-and-calf';

/** Bumped whenever a rule changes, so that an issued specification names the knowledge that made it. */
export const KNOWLEDGE_VERSION = '1';

export const RULES: readonly Rule[] = [
  ...footShape,
  ...tendonAndCalf,
  ...kneeAndHip,
  ...heelAndMidfoot,
  ...forefootAndToes,
  ...atRiskFoot,
  ...ageingAndReach,
  ...children,
  ...prosthesisAndOrthosis,
  ...tasks,
];
