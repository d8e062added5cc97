import { PNG } from 'pngjs';
import { describe, expect, it } from 'vitest';
import { writePng } from './png';

describe('PNG', () => {
  it('comes back pixel by pixel, opaque', () => {
    const data = new Uint8ClampedArray(7 * 5 * 4);
    for (let at = 0; at < data.length; at += 1) data[at] = at % 4 === 3 ? 255 : (at * 37) % 256;
    const bytes = writePng({ width: 7, height: 5, data });
    expect([...bytes.subarray(0, 8)]).toEqual([137, 80, 78, 71, 13, 10, 26, 10]);
    const back = PNG.sync.read(Buffer.from(bytes));
    expect([back.width, back.height]).toEqual([7, 5]);
    expect([...back.data]).toEqual([...data]);
  });
});
