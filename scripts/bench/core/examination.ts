// The readers: a 12-megapixel print, a scan of 500,000 triangles, 1,000 pressure frames, tracks.
import { STLLoader } from 'three/addons/loaders/STLLoader.js';
import { findPrint, indicesOf } from '@/core/examination/footprint/read-print';
import { readStep } from '@/core/examination/pressure/analyse';
import { maskOf } from '@/core/examination/pressure/masks';
import { measureScan } from '@/core/examination/scan/measure-scan';
import { readMesh, writeStl } from '@/formats/mesh';
import { readPressureCsv, writePressureCsv } from '@/formats/pressure-csv';
import { footScan } from '@/simulators/foot-scanner';
import { footprint } from '@/simulators/footprint-scanner';
import { pressureStep } from '@/simulators/pressure-plate';
import { say, timed } from '../timed';

const { picture } = footprint({ pixelsPerMm: 16.5, turnDeg: 5 });
const megapixels = ((picture.width * picture.height) / 1e6).toFixed(1);
say({
  what: `print of ${megapixels} megapixels: indices`,
  value: timed(() => {
    const found = findPrint(picture, { side: 'right' });
    if (found.ok) indicesOf(found.value);
  }, 9),
  unit: 'ms',
  wanted: 600,
  floor: {
    what: 'every pixel summed',
    value: timed(() => {
      let sum = 0;
      for (let at = 0; at < picture.data.length; at += 1) sum += picture.data[at]!;
      return sum;
    }, 5),
  },
});

const { recording } = pressureStep({ frames: 1000, grain: 1 });
say({
  what: `1,000 frames of ${recording.rows} × ${recording.columns} sensors: mask and measures`,
  value: timed(() => readStep(recording, maskOf(recording, 'right')), 9),
  unit: 'ms',
  wanted: 200,
});
const csv = writePressureCsv(recording);
say({
  what: `${(csv.length / 1e6).toFixed(1)} MB of pressure CSV: read`,
  value: timed(() => readPressureCsv(csv), 7),
  unit: 'ms',
  wanted: 400,
  floor: {
    what: 'split and Number()',
    value: timed(() => csv.split('\n').map((line) => line.split(',').map(Number)), 5),
  },
});

const loader = new STLLoader();
for (const floor of [false, true]) {
  const { mesh } = footScan({ rings: 720, spokes: 348, floor, turnDeg: [20, 50, 10] });
  const stl = writeStl(mesh);
  const bare = timed(() => loader.parse(stl), 9);
  // Turn by turn, so that the machine is the same for both.
  let parse = Number.POSITIVE_INFINITY;
  let both = Number.POSITIVE_INFINITY;
  for (let round = 0; round < 9; round += 1) {
    parse = Math.min(
      parse,
      timed(() => readMesh('foot.stl', stl), 1),
    );
    both = Math.min(
      both,
      timed(() => {
        const read = readMesh('foot.stl', stl);
        if (read.ok) measureScan(read.value, { side: 'right', unit: 'mm' });
      }, 1),
    );
  }
  const what = `scan of ${(mesh.triangles.length / 3).toLocaleString('en')} triangles${floor ? ' with its floor' : ''}`;
  say({
    what: `${what}: parsed into a mesh that knows its neighbours`,
    value: parse,
    unit: 'ms',
    floor: { what: 'three’s loader alone', value: bare },
  });
  say({
    what: `${what}: parsed and measured`,
    value: both,
    unit: 'ms',
    wanted: 2,
    ofFloor: true,
    floor: { what: 'the parse', value: parse },
  });
}
say({
  what: 'highest memory of the process that reads',
  value: process.resourceUsage().maxRSS / 1000,
  unit: 'MB',
  wanted: 500,
});
