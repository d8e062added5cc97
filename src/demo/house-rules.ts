import type { HouseChange, HouseRules } from '@/core/knowledge/house-rules';

/** A version of the demo clinic's house rules, and how long ago the lead put it in force. */
export interface DemoHouseRules extends HouseRules {
  note: string;
  daysAgo: number;
}

const settings = { kneePerMmDrop: { low: 1, high: 2 } };

const FIRST: HouseChange[] = [
  {
    kind: 'off',
    rule: 'high-collar-laboratory',
    reason: 'the trial and the laboratory disagree: here the trial counts',
  },
  {
    kind: 'strength',
    rule: 'metatarsal-pad',
    strength: 'strong',
    reason: 'pads have served our market traders well',
  },
];

const SECOND: HouseChange[] = [
  ...FIRST,
  {
    kind: 'own',
    reason: 'agreed with the ferry company after a fall overboard',
    rule: {
      id: 'house-deck-boots',
      topic: 'House rules',
      finding: 'works on the ferries’ wet decks',
      when: {
        all: [
          { finding: 'activities', has: ['protective-work'] },
          { finding: 'surfaces', has: ['wet-floor'] },
        ],
      },
      wishes: [{ feature: 'closure', prefer: ['zip'] }],
      strength: 'limit',
      schools: [],
      evidence: 'C',
      sources: ['house'],
      because:
        'The ferry company’s standard asks for zipped deck boots, which come off at once in the water.',
      caution: 'The employer’s standard is the employer’s to change.',
    },
  },
];

/** Oldest first. */
export const DEMO_HOUSE_RULES: readonly DemoHouseRules[] = [
  { version: 1, changes: FIRST, settings, note: 'collars after the trial; pads stronger', daysAgo: 420 },
  { version: 2, changes: SECOND, settings, note: 'deck boots for the ferries', daysAgo: 60 },
];
