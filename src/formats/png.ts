import { PNG } from 'pngjs';
import type { Picture } from '@/core/examination/footprint/picture';

/** A picture as PNG bytes, opaque. Runs on the server; browsers decode pictures themselves. */
export function writePng({ width, height, data }: Picture): Uint8Array {
  const png = new PNG({ width, height, colorType: 2 });
  png.data = Buffer.from(data.buffer, data.byteOffset, data.byteLength);
  return PNG.sync.write(png, { colorType: 2, deflateLevel: 4 });
}
