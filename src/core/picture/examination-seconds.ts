import type { FindingStep } from './finding-kinds';
import { definitionOf, type FindingId } from './findings';

const OF_A_STEP: Record<FindingStep, number> = { ask: 20, 'old-pair': 20, feet: 45, load: 60, move: 60 };

/** Where the step's usual time is wrong. Common practice; a clinic's own pace differs. */
const OWN: Partial<Record<FindingId, number>> = {
  pain: 60,
  injuries: 60,
  conditions: 60,
  sensation: 120,
  pulses: 60,
  oldPairDrop: 40,
  bigToeRange: 40,
  arch: 15,
  archMobility: 20,
  toeShape: 10,
  bunion: 15,
  lesserToes: 15,
  skin: 60,
  roll: 120,
  strike: 60,
  heelRises: 90,
  singleLegStance: 60,
  timedUpAndGo: 90,
  chairStands: 60,
  legLength: 120,
  postureTotal: 180,
  navicularDrop: 120,
  hypermobilityScore: 90,
  peakPressure: 300,
  excursionIndex: 300,
  cadence: 75,
};

/** Seconds that taking a finding takes, both feet where it has two. */
export function secondsToTake(id: FindingId): number {
  const { step } = definitionOf(id);
  return OWN[id] ?? (step ? OF_A_STEP[step] : 60);
}
