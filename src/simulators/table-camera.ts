import type { Picture } from '@/core/examination/footprint/picture';
import type { ShankLines } from '@/core/photograph/shank-lines';
import { noise } from './noise';
import { type Colour, coverage, type Polygon, paintLayers } from './raster';

export interface TableCameraSettings {
  seed: number;
  /** How far the shank leans forward, degrees. */
  leanDeg: number;
  /** How the camera was held, degrees. */
  rollDeg: number;
  grain: number;
  /** Which way the toes point in the picture. */
  toes: 'left' | 'right';
  /** Hidden by cloth. */
  trousers?: boolean;
  /** Without a table: a shoe on a carpet. */
  carpet?: boolean;
}

const WIDTH = 900;
const HEIGHT = 675;
const TABLE_Y = 540;
const GROUND: Colour = [228, 224, 214];
const TABLE: Colour = [128, 102, 76];
const SOLE: Colour = [206, 200, 188];
const UPPER: Colour = [74, 84, 98];
const PYLON: Colour = [136, 142, 150];
const SOCKET: Colour = [52, 54, 60];
const CLOTH: Colour = [86, 90, 74];
const RADIANS = Math.PI / 180;

const turned =
  (cx: number, cy: number, degrees: number) =>
  ([x, y]: readonly [number, number]): [number, number] => {
    const [sin, cos] = [Math.sin(degrees * RADIANS), Math.cos(degrees * RADIANS)];
    return [cx + (x - cx) * cos - (y - cy) * sin, cy + (x - cx) * sin + (y - cy) * cos];
  };

/** A prosthesis in its shoe on a table, from the side, with the lines as they truly lie. Made up. */
export function shoeOnTable(settings: TableCameraSettings): { picture: Picture; truth: ShankLines } {
  const { seed, leanDeg, rollDeg, grain, toes, trousers = false, carpet = false } = settings;
  const chance = noise(seed);
  const mirror = ([x, y]: readonly [number, number]): [number, number] => [
    toes === 'right' ? x : WIDTH - x,
    y,
  ];
  const roll = turned(WIDTH / 2, HEIGHT / 2, rollDeg);
  const place = (polygon: Polygon): Polygon => polygon.map((spot) => roll(mirror(spot)));
  const [ankleX, ankleY] = [380, TABLE_Y - 88];
  const lean = turned(ankleX, ankleY, leanDeg);
  const shank = (polygon: Polygon): Polygon => place(polygon.map(lean));
  const cloth: Polygon = [
    ...Array.from({ length: 18 }, (_, at): [number, number] => [
      ankleX - 62 - 9 * Math.sin(at * 1.3) - 6 * chance.even(),
      ankleY + 10 - at * 27,
    ]),
    ...Array.from({ length: 18 }, (_, at): [number, number] => [
      ankleX + 62 + 10 * Math.sin(at * 1.7) + 6 * chance.even(),
      ankleY + 10 - (17 - at) * 27,
    ]),
  ];
  const layers: [Colour, Polygon[]][] = [
    ...(carpet
      ? []
      : [
          [
            TABLE,
            [
              place([
                [-300, TABLE_Y],
                [WIDTH + 300, TABLE_Y],
                [WIDTH + 300, HEIGHT + 300],
                [-300, HEIGHT + 300],
              ]),
            ],
          ] as [Colour, Polygon[]],
        ]),
    [
      SOLE,
      [
        place([
          [292, TABLE_Y],
          [600, TABLE_Y],
          [640, TABLE_Y - 14],
          [640, TABLE_Y - 26],
          [520, TABLE_Y - 30],
          [288, TABLE_Y - 42],
        ]),
      ],
    ],
    [
      UPPER,
      [
        place([
          [288, TABLE_Y - 42],
          [520, TABLE_Y - 30],
          [642, TABLE_Y - 26],
          [636, TABLE_Y - 52],
          [560, TABLE_Y - 78],
          [450, TABLE_Y - 112],
          [330, TABLE_Y - 120],
          [292, TABLE_Y - 100],
        ]),
      ],
    ],
    [
      PYLON,
      [
        shank([
          [ankleX - 17, ankleY],
          [ankleX + 17, ankleY],
          [ankleX + 17, ankleY - 270],
          [ankleX - 17, ankleY - 270],
        ]),
      ],
    ],
    [
      SOCKET,
      [
        shank([
          [ankleX - 40, ankleY - 268],
          [ankleX + 40, ankleY - 268],
          [ankleX + 74, ankleY - 460],
          [ankleX - 66, ankleY - 460],
        ]),
      ],
    ],
    ...(trousers ? [[CLOTH, [shank(cloth)]] as [Colour, Polygon[]]] : []),
  ];
  const along = ([x, y]: readonly [number, number]) => {
    const [px, py] = roll(mirror(lean([x, y])));
    return { x: px, y: py };
  };
  const edge = (x: number) => {
    const [px, py] = roll([x, TABLE_Y]);
    return { x: px, y: py };
  };
  return {
    picture: paintLayers(
      WIDTH,
      HEIGHT,
      layers.map(([colour, polygons]) => ({ colour, covered: coverage(WIDTH, HEIGHT, polygons) })),
      { ground: GROUND, shade: 0.15, grain },
      chance,
    ),
    truth: {
      table: [edge(60), edge(WIDTH - 60)],
      pylon: [along([ankleX, ankleY]), along([ankleX, ankleY - 270])],
    },
  };
}
