import type { View } from '@/core/body-map/sites';

/** A drawing of a right side, medial side towards small x; the left is its mirror image. */
export interface ViewDrawing {
  /** Part of the plane that is shown: x, y, width, height. */
  box: readonly [number, number, number, number];
  outline: string;
  /** Lines inside the outline. */
  lines: string;
}

const toe = (x: number, y: number, rx: number, ry: number) =>
  `M${x - rx} ${y}A${rx} ${ry} 0 1 1 ${x + rx} ${y}A${rx} ${ry} 0 1 1 ${x - rx} ${y}Z`;
const TOES = [
  toe(30, 28, 10, 16),
  toe(46, 25, 6, 12),
  toe(57, 29, 6, 10.5),
  toe(67, 36, 5.4, 9),
  toe(76, 46, 5, 8),
].join('');
const SOLE =
  'M50 196C36 196 31 182 32 168C33 150 34 138 33 120C32 104 22 88 20 70C19 58 22 50 29 47C42 43 60 45 72 54C81 61 85 70 83 83C79 104 70 122 69 142C68 160 70 172 68 180C66 190 60 196 50 196Z';

export const BODY_VIEWS: Record<View, ViewDrawing> = {
  front: {
    box: [14, 0, 72, 200],
    outline:
      'M30 0C26 30 28 58 34 80C30 90 30 100 34 110C36 130 39 160 41 196L59 196C60 164 65 134 65 112C67 100 67 90 62 80C69 58 73 30 71 0',
    lines: `${toe(48, 88, 9, 11)}M44 112C43 136 46 166 48 190`,
  },
  back: {
    box: [14, 0, 72, 200],
    outline:
      'M30 0C28 30 32 60 36 82C30 100 28 122 36 146C40 164 43 178 43 196L60 196C60 178 63 164 67 146C73 122 71 100 66 82C69 60 73 30 72 0',
    lines: 'M39 88C46 91 56 91 63 88M51 102V138M47 152L49 194M56 152L54 194',
  },
  sole: { box: [12, 6, 80, 194], outline: SOLE + TOES, lines: '' },
  top: {
    box: [12, 6, 80, 194],
    outline: SOLE + TOES,
    lines: `${toe(50, 168, 15, 20)}M25 20C28 16 33 16 36 20M43 18H49M54 23H60M65 30H70M74 40H79M34 58L44 140M48 56L48 138M58 58L52 138M67 64L56 138`,
  },
  outer: {
    box: [2, 0, 98, 92],
    outline:
      'M22 0C22 18 20 30 14 44C8 56 5 66 7 76C9 84 16 87 26 87L86 87C95 87 98 82 94 76C89 69 80 66 70 58C60 50 50 40 46 26C44 16 44 6 44 0',
    lines: `${toe(33, 35, 6, 7)}M78 66C80 72 84 76 92 76M60 87C62 82 66 80 70 80`,
  },
  inner: {
    box: [0, 0, 98, 92],
    outline:
      'M78 0C78 18 80 30 86 44C92 56 95 66 93 76C91 84 84 87 76 87C68 86 62 78 50 79C40 80 36 87 28 87L12 87C4 86 2 81 6 75C12 69 20 66 30 58C40 50 50 40 54 26C56 16 56 6 56 0',
    lines: `${toe(67, 33, 6, 7)}M20 66C16 70 12 74 6 76`,
  },
  heel: {
    box: [18, 0, 64, 96],
    outline:
      'M34 0C36 16 37 26 33 36C31 44 36 50 34 58C30 66 30 72 31 78C32 89 40 93 50 93C60 93 68 89 69 78C70 72 70 66 66 60C64 54 70 48 67 40C63 28 64 16 66 0',
    lines: 'M45 0C46 20 46 34 45 50M55 0C54 20 54 34 55 50',
  },
};
