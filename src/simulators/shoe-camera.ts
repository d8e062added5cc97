import type { Picture } from '@/core/examination/footprint/picture';
import { noise } from './noise';
import { type Colour, coverage, type Polygon, paintLayers } from './raster';

export interface ShoeCameraSettings {
  seed: number;
  /** How far each shoe leans to the right of the picture, degrees. */
  leftDeg: number;
  rightDeg: number;
  /** How the camera was held, degrees. */
  rollDeg: number;
  grain: number;
}

const WIDTH = 800;
const HEIGHT = 600;
const TABLE_Y = 470;
const GROUND: Colour = [226, 221, 210];
const TABLE: Colour = [142, 116, 88];
const UPPER: Colour = [92, 104, 120];
const SOLE: Colour = [238, 232, 220];
const STRIPE: Colour = [52, 48, 60];

const RADIANS = Math.PI / 180;

const turnedAbout =
  (cx: number, cy: number, degrees: number) =>
  ([x, y]: readonly [number, number]): [number, number] => {
    const [sin, cos] = [Math.sin(degrees * RADIANS), Math.cos(degrees * RADIANS)];
    return [cx + (x - cx) * cos - (y - cy) * sin, cy + (x - cx) * sin + (y - cy) * cos];
  };

/** Both shoes of a pair from behind on a table, with a stripe down each heel. Made up. */
export function shoesFromBehind({ seed, leftDeg, rightDeg, rollDeg, grain }: ShoeCameraSettings): Picture {
  const roll = turnedAbout(WIDTH / 2, HEIGHT / 2, rollDeg);
  const whole = (polygon: Polygon): Polygon => polygon.map(roll);
  const shoe = (cx: number, degrees: number) => {
    const lean = turnedAbout(cx, TABLE_Y, degrees);
    const part = (points: Polygon) => whole(points.map(lean));
    return {
      sole: part([
        [cx - 62, TABLE_Y],
        [cx + 62, TABLE_Y],
        [cx + 56, TABLE_Y - 58],
        [cx - 56, TABLE_Y - 58],
      ]),
      upper: part([
        [cx - 54, TABLE_Y - 58],
        [cx + 54, TABLE_Y - 58],
        [cx + 46, TABLE_Y - 190],
        [cx + 34, TABLE_Y - 226],
        [cx - 34, TABLE_Y - 226],
        [cx - 46, TABLE_Y - 190],
      ]),
      stripe: part([
        [cx - 4, TABLE_Y - 8],
        [cx + 4, TABLE_Y - 8],
        [cx + 4, TABLE_Y - 220],
        [cx - 4, TABLE_Y - 220],
      ]),
    };
  };
  const shoes = [shoe(270, leftDeg), shoe(530, rightDeg)];
  const layer = (colour: Colour, polygons: readonly Polygon[]) => ({
    colour,
    covered: coverage(WIDTH, HEIGHT, polygons),
  });
  return paintLayers(
    WIDTH,
    HEIGHT,
    [
      layer(TABLE, [
        whole([
          [-200, TABLE_Y],
          [WIDTH + 200, TABLE_Y],
          [WIDTH + 200, HEIGHT + 200],
          [-200, HEIGHT + 200],
        ]),
      ]),
      layer(
        SOLE,
        shoes.map(({ sole }) => sole),
      ),
      layer(
        UPPER,
        shoes.map(({ upper }) => upper),
      ),
      layer(
        STRIPE,
        shoes.map(({ stripe }) => stripe),
      ),
    ],
    { ground: GROUND, shade: 0.12, grain },
    noise(seed),
  );
}
