import { z } from 'zod';
import { operation } from './operation';
import { ROUTES, type Route } from './routes';

const number = (from: number, to: number, usual: number, what: string) =>
  z.coerce
    .number()
    .min(from, `${what} lies between ${from} and ${to}.`)
    .max(to, `${what} lies between ${from} and ${to}.`)
    .default(usual);
const whole = (from: number, to: number, usual: number, what: string) =>
  z.coerce
    .number()
    .int(`${what} is a whole number.`)
    .min(from, `${what} lies between ${from} and ${to}.`)
    .max(to, `${what} lies between ${from} and ${to}.`)
    .default(usual);
const flag = z.enum(['yes', 'no']).default('no');
const side = z.enum(['left', 'right']).default('right');
const seed = whole(0, 1_000_000, 1, 'The seed');

/** Settings of each simulated device: what it will show, so that a reading can be held against it. */
export const DEVICE_SETTINGS = {
  footprintScanner: z.object({
    seed,
    side,
    archIndex: number(0.15, 0.36, 0.24, 'The arch index'),
    lengthMm: number(150, 320, 258, 'The length'),
    turnDeg: number(-180, 180, 0, 'The turn'),
    mirrored: flag,
    toes: z.enum(['yes', 'no']).default('yes'),
    gapMm: number(0, 40, 0, 'The gap'),
    tracedLineMm: number(0, 3, 0, 'The pen line'),
    pixelsPerMm: number(0.2, 14, 4, 'The resolution'),
    grain: number(0, 30, 4, 'The noise'),
  }),
  pressurePlate: z.object({
    seed,
    side,
    lengthMm: number(150, 320, 258, 'The length'),
    peakKpa: number(50, 1500, 420, 'The peak pressure'),
    peakAt: z.enum(['heel', 'first-head', 'big-toe']).default('first-head'),
    excursionIndex: number(-10, 35, 14, 'The excursion index'),
    midfoot: number(0.05, 0.8, 0.4, 'The midfoot contact'),
    frames: whole(10, 1000, 70, 'The number of frames'),
    turnDeg: number(-180, 180, 0, 'The turn'),
    grain: number(0, 20, 0, 'The noise'),
  }),
  footScanner: z.object({
    seed,
    side,
    lengthMm: number(150, 320, 258, 'The length'),
    ballWidthMm: number(50, 130, 98, 'The ball width'),
    ballGirthMm: number(120, 320, 244, 'The ball girth'),
    heelWidthMm: number(35, 85, 64, 'The heel width'),
    dorsumHeightMm: number(30, 95, 65, 'The dorsum height'),
    toeHeightMm: number(12, 45, 24, 'The toe height'),
    turn: number(-180, 180, 0, 'The turn'),
    unit: z.enum(['mm', 'cm', 'm', 'in']).default('mm'),
    grainMm: number(0, 1, 0.05, 'The roughness'),
    holes: whole(0, 8, 0, 'The number of holes'),
    floor: flag,
    insideOut: flag,
    rings: whole(60, 600, 220, 'The number of rings'),
  }),
  gaitCamera: z.object({
    seed,
    side,
    activity: z.enum(['walk', 'run']).default('walk'),
    stanceDeg: number(-15, 20, 3, 'The standing angle'),
    touchdownDeg: number(-15, 20, -2, 'The touchdown angle'),
    peakDeg: number(-15, 25, 7, 'The peak angle'),
    framesPerSecond: whole(15, 240, 60, 'The frame rate'),
    frames: whole(3, 120, 40, 'The number of frames'),
    offAxisDeg: number(-30, 30, 0, 'The camera’s angle'),
    rollDeg: number(-20, 20, 0, 'The camera’s roll'),
    grain: number(0, 30, 4, 'The noise'),
    frame: whole(0, 119, 0, 'The frame'),
  }),
  kneeCamera: z.object({
    seed,
    side,
    insideMm: number(-80, 120, 18, 'The distance to the toe'),
    aheadMm: number(0, 80, 20, 'The distance before the toe'),
    rollDeg: number(-20, 20, 0, 'The camera’s roll'),
    frames: whole(1, 60, 12, 'The number of frames'),
    grain: number(0, 30, 4, 'The noise'),
    frame: whole(0, 59, 0, 'The frame'),
  }),
  shoeCamera: z.object({
    seed,
    leftDeg: number(-20, 20, 0, 'The lean of the left shoe'),
    rightDeg: number(-20, 20, 0, 'The lean of the right shoe'),
    rollDeg: number(-20, 20, 0, 'The camera’s roll'),
    grain: number(0, 30, 4, 'The noise'),
  }),
  tableCamera: z.object({
    seed,
    leanDeg: number(-12, 12, 0, 'The lean of the shank'),
    rollDeg: number(-10, 10, 0, 'The camera’s roll'),
    grain: number(0, 30, 4, 'The noise'),
    toes: z.enum(['left', 'right']).default('right'),
    trousers: flag,
    carpet: flag,
  }),
} as const;

const device = <const Id extends string, const P extends string, Q extends z.ZodObject>(
  route: Route,
  id: Id,
  produces: P,
  summary: string,
  query: Q,
) => operation(route, { id, tag: 'devices', produces, summary, query });

/** Simulated devices: each answers with a file in the open format that the real one would write. */
/** What a step counter was set to. */
const stepCounterSettings = z.object({
  seed,
  days: whole(1, 400, 28, 'The number of days'),
  steps: whole(0, 60_000, 7000, 'Steps of a day'),
});

export const devices = {
  stepCounter: device(
    ROUTES.stepCounter,
    'simulateSteps',
    'text/csv',
    'Days and steps as CSV, until yesterday',
    stepCounterSettings,
  ),
  footprintScanner: device(
    ROUTES.footprintScanner,
    'simulateFootprint',
    'image/png',
    'A footprint as PNG',
    DEVICE_SETTINGS.footprintScanner,
  ),
  pressurePlate: device(
    ROUTES.pressurePlate,
    'simulateStep',
    'text/csv',
    'A step as CSV of frames',
    DEVICE_SETTINGS.pressurePlate,
  ),
  footScanner: device(
    ROUTES.footScanner,
    'simulateScan',
    'model/stl',
    'A foot’s surface as binary STL',
    DEVICE_SETTINGS.footScanner,
  ),
  gaitCamera: device(
    ROUTES.gaitCamera,
    'simulateGaitFrame',
    'image/png',
    'One frame of a rear view as PNG; frame 0 stands',
    DEVICE_SETTINGS.gaitCamera,
  ),
  kneeCamera: device(
    ROUTES.kneeCamera,
    'simulateKneeFrame',
    'image/png',
    'One frame of a knee bend from in front as PNG; frame 0 stands, the last bends deepest',
    DEVICE_SETTINGS.kneeCamera,
  ),
  shoeCamera: device(
    ROUTES.shoeCamera,
    'simulateShoePhotograph',
    'image/png',
    'A pair from behind on a table as PNG',
    DEVICE_SETTINGS.shoeCamera,
  ),
  tableCamera: device(
    ROUTES.tableCamera,
    'simulateTablePhotograph',
    'image/png',
    'A prosthesis in its shoe on a table, from the side, as PNG',
    DEVICE_SETTINGS.tableCamera,
  ),
} as const;
