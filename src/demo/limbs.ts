import { addDays } from '@/core/calendar/days';
import type { SockChart } from '@/core/prosthesis/drawer';
import type { LimbRecord } from '@/core/prosthesis/limb-record';
import type { SockEntry } from '@/core/prosthesis/sock-log';
import { simulatedLimb } from '@/simulators/limb';

/** Makers and their colours. Made up. */
export const DEMO_CHARTS: readonly SockChart[] = [
  {
    maker: 'Orrelby',
    colours: [
      { colour: 'red', ply: 1 },
      { colour: 'white', ply: 3 },
      { colour: 'blue', ply: 5 },
    ],
  },
  {
    maker: 'Quenfell',
    colours: [
      { colour: 'yellow', ply: 1 },
      { colour: 'green', ply: 2 },
      { colour: 'grey', ply: 3 },
    ],
  },
];

const DAYS = 110;
const STEP_DAYS_AGO = 8;

export interface DemoLimb {
  record: LimbRecord;
  entries: SockEntry[];
}

/** A limb below the knee that lost volume some days ago, and one above the knee that swings through each day. Made up. */
export function demoLimbs(today: string): DemoLimb[] {
  const from = addDays(today, -DAYS);
  const below = simulatedLimb({
    seed: 11,
    from,
    days: DAYS,
    base: 3,
    swing: 1.2,
    betweenDays: 0.35,
    step: { day: DAYS - STEP_DAYS_AGO, ply: 3 },
    looksADay: 3,
  });
  const above = simulatedLimb({
    seed: 23,
    from,
    days: DAYS,
    base: 4,
    swing: 3,
    betweenDays: 0.4,
    looksADay: 4,
  });
  const sock = (maker: string, colour: string, ply: number, quantity: number, hole: boolean) => ({
    maker,
    colour,
    ply,
    quantity,
    hole,
  });
  return [
    {
      record: {
        level: 'below-knee',
        suspension: 'pin',
        socketOn: addDays(today, -400),
        foot: 'carbon foot, rise 9.5',
        drawer: [
          sock('Orrelby', 'red', 1, 4, true),
          sock('Orrelby', 'white', 3, 3, true),
          sock('Orrelby', 'blue', 5, 1, false),
        ],
        therapyOn: [],
      },
      entries: [...below.entries, { at: `${today}T07:10`, ply: 6, feel: 'right' }],
    },
    {
      record: {
        level: 'above-knee',
        suspension: 'suction',
        socketOn: addDays(today, -300),
        foot: 'energy-return foot',
        drawer: [
          sock('Quenfell', 'yellow', 1, 3, false),
          sock('Quenfell', 'green', 2, 2, false),
          sock('Quenfell', 'grey', 3, 2, false),
        ],
        therapyOn: [addDays(today, 6)],
      },
      entries: [...above.entries, { at: `${today}T07:10`, ply: 2, feel: 'loose' }],
    },
  ];
}
