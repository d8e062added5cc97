import type { Rule } from './rule';
import { ageingAndReach } from './topics/ageing-and-reach';
import { atRiskFoot } from './topics/at-risk-foot';
import { children } from './topics/children';
import { conditions } from './topics/conditions';
import { familiarity } from './topics/familiarity';
import { footShape } from './topics/foot-shape';
import { forefoot } from './topics/forefoot';
import { habits } from './topics/habits';
import { heelAndMidfoot } from './topics/heel-and-midfoot';
import { hikes } from './topics/hikes';
import { kneeAndHip } from './topics/knee-and-hip';
import { legLength } from './topics/leg-length';
import { pairsBefore } from './topics/pairs-before';
import { posture } from './topics/posture';
import { prosthesisAndOrthosis } from './topics/prosthesis-and-orthosis';
import { purpose } from './topics/purpose';
import { roll } from './topics/roll';
import { rubbedPlaces } from './topics/rubbed-places';
import { running } from './topics/running';
import { skinAndNails } from './topics/skin-and-nails';
import { sport } from './topics/sport';
import { sportMovement } from './topics/sport-movement';
import { swelling } from './topics/swelling';
import { tendonAndCalf } from './topics/tendon-and-calf';
import { toes } from './topics/toes';
import { work } from './topics/work';

/** Bumped whenever a rule changes, so that an issued specification names the knowledge that made it. */
export const KNOWLEDGE_VERSION = '9';

export const RULES: readonly Rule[] = [
  ...purpose,
  ...footShape,
  ...posture,
  ...roll,
  ...tendonAndCalf,
  ...kneeAndHip,
  ...legLength,
  ...heelAndMidfoot,
  ...forefoot,
  ...toes,
  ...skinAndNails,
  ...rubbedPlaces,
  ...atRiskFoot,
  ...swelling,
  ...conditions,
  ...ageingAndReach,
  ...children,
  ...prosthesisAndOrthosis,
  ...familiarity,
  ...pairsBefore,
  ...habits,
  ...running,
  ...sport,
  ...sportMovement,
  ...hikes,
  ...work,
];
