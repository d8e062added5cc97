// Speed of the readers: a 12-megapixel print, a scan of 500,000 triangles, 1,000 pressure frames, as figures.
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

function median(work: () => unknown, rounds = 9): number {
  work();
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[rounds >> 1]!;
}
const say = (what: string, ms: number, wanted: string) =>
  console.log(`${what}: ${ms.toFixed(0)} ms median (wanted ${wanted})`);

const { picture } = footprint({ pixelsPerMm: 16.5, turnDeg: 5 });
const megapixels = (picture.width * picture.height) / 1e6;
say(
  `print of ${megapixels.toFixed(1)} megapixels → indices`,
  median(() => {
    const found = findPrint(picture, { side: 'right' });
    if (found.ok) indicesOf(found.value);
  }),
  '≤ 600, decoding included',
);

const { recording } = pressureStep({ frames: 1000, grain: 1 });
say(
  `1,000 frames of ${recording.rows} × ${recording.columns} sensors → mask and measures`,
  median(() => readStep(recording, maskOf(recording, 'right'))),
  '≤ 200',
);
const csv = writePressureCsv(recording);
console.log(
  `the same from ${(csv.length / 1e6).toFixed(1)} MB of CSV: ${median(() => readPressureCsv(csv), 3).toFixed(0)} ms more`,
);

const loader = new STLLoader();
for (const floor of [false, true]) {
  const { mesh } = footScan({ rings: 720, spokes: 348, floor, turnDeg: [20, 50, 10] });
  const stl = writeStl(mesh);
  const bare = median(() => loader.parse(stl));
  const parse = median(() => readMesh('foot.stl', stl));
  const all = median(() => {
    const read = readMesh('foot.stl', stl);
    if (read.ok) measureScan(read.value, { side: 'right', unit: 'mm' });
  });
  console.log(
    `scan of ${(mesh.triangles.length / 3).toLocaleString('en')} triangles${floor ? ' with its floor' : ''}: three’s loader alone ${bare.toFixed(0)} ms; parsed into a mesh that knows its neighbours ${parse.toFixed(0)} ms; parsed and measured ${all.toFixed(0)} ms = ${(all / parse).toFixed(2)} × the parse (wanted ≤ 2)`,
  );
}
console.log(
  `highest memory of this process: ${(process.resourceUsage().maxRSS / 1000).toFixed(0)} MB (wanted ≤ 500)`,
);
