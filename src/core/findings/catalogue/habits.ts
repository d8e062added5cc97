import { choice, number, set } from '../finding-kinds';
import { assumed, FLAT, RULES, SIZE } from './about';

/** What the patient does with shoes, and what else about them a shoe must know. */
export const HABIT_FINDINGS = {
  laceHabits: set(
    'Laces',
    {
      'left-tied': 'slips in and out while they are tied',
      loosens: 'loosens them in the day',
      'comes-undone': 'come undone',
      'own-lacing': 'laced another way than usual',
    },
    {
      scope: 'body',
      step: 'ask',
      seconds: 10,
      carries: true,
      prior: assumed({ each: 0.12 }),
      readBy: RULES,
    },
  ),
  backPain: choice(
    'Back pain',
    { no: 'no', sometimes: 'now and then', often: 'often' },
    {
      scope: 'body',
      step: 'ask',
      seconds: 10,
      carries: false,
      prior: assumed({ shares: { no: 0.65, sometimes: 0.25, often: 0.1 } }),
      readBy: RULES,
    },
  ),
  pregnancyWeeks: number('Weeks of pregnancy', 'weeks', [4, 41], [1, 43], {
    scope: 'body',
    step: 'ask',
    seconds: 5,
    carries: false,
    prior: FLAT,
    readBy: RULES,
    whole: true,
  }),
  camber: choice(
    'Camber of the road',
    {
      level: 'level, or both sides in turn',
      left: 'always the left foot lower',
      right: 'always the right foot lower',
    },
    {
      scope: 'body',
      step: 'ask',
      seconds: 10,
      carries: false,
      prior: FLAT,
      readBy:
        'with an ache on one side only it says what to change first, before the legs are measured; a change of it stands on the time line',
    },
  ),
  landingSound: choice(
    'Landing, by ear',
    { quiet: 'quiet', slap: 'a loud slap', scrape: 'a scrape' },
    {
      scope: 'foot',
      step: 'move',
      seconds: 10,
      carries: false,
      prior: assumed({ shares: { quiet: 0.85, slap: 0.1, scrape: 0.05 } }),
      readBy: RULES,
      how: 'eyes shut for some steps: one foot against the other',
    },
  ),
  insertSource: choice(
    'Insert: made or bought',
    { custom: 'made for this foot', bought: 'bought ready' },
    { scope: 'foot', step: 'ask', seconds: 5, carries: true, prior: FLAT, readBy: RULES },
  ),
  insertForefoot: number('Insert thickness, forefoot', 'mm', [0, 6], [0, 20], {
    scope: 'foot',
    step: 'ask',
    seconds: 10,
    carries: true,
    prior: FLAT,
    readBy: RULES,
  }),
  insertWidth: number('Insert width, widest', 'mm', [70, 110], [40, 140], {
    scope: 'foot',
    step: 'ask',
    seconds: 10,
    carries: true,
    prior: FLAT,
    readBy: SIZE,
  }),
} as const;
