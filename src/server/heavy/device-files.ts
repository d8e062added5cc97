import type { z } from 'zod';
import type { DEVICE_SETTINGS } from '@/contract/devices';
import { writeStl } from '@/formats/mesh';
import { writePng } from '@/formats/png';
import { writePressureCsv } from '@/formats/pressure-csv';
import { footScan } from '@/simulators/foot-scanner';
import { footprint } from '@/simulators/footprint-scanner';
import { gaitFrame } from '@/simulators/gait-camera';
import { kneeFrame } from '@/simulators/knee-camera';
import { pressureStep } from '@/simulators/pressure-plate';
import { shoesFromBehind } from '@/simulators/shoe-camera';
import { shoeOnTable } from '@/simulators/table-camera';

type Settings<K extends keyof typeof DEVICE_SETTINGS> = z.infer<(typeof DEVICE_SETTINGS)[K]>;

/** A file as it goes out. */
export interface MadeFile {
  bytes: Uint8Array;
  type: string;
  name: string;
}

const file = (bytes: Uint8Array | ArrayBuffer | string, type: string, name: string): MadeFile => ({
  bytes: typeof bytes === 'string' ? new TextEncoder().encode(bytes) : new Uint8Array(bytes),
  type,
  name,
});

/** A footprint on paper, scanned. */
export function scannedFootprint({ mirrored, toes, ...settings }: Settings<'footprintScanner'>): MadeFile {
  const { picture } = footprint({ ...settings, mirrored: mirrored === 'yes', toes: toes === 'yes' });
  return file(writePng(picture), 'image/png', `footprint-${settings.side}.png`);
}

/** One step over a plate. */
export function recordedStep(settings: Settings<'pressurePlate'>): MadeFile {
  const { recording } = pressureStep(settings);
  return file(writePressureCsv(recording), 'text/csv; charset=utf-8', `step-${settings.side}.csv`);
}

/** A foot’s surface as it lies in a scanner’s file. */
export function scannedFoot({ turn, floor, insideOut, ...settings }: Settings<'footScanner'>): MadeFile {
  const { mesh } = footScan({
    ...settings,
    spokes: Math.round(settings.rings * 0.55),
    turnDeg: [turn, turn / 3, turn / 2],
    floor: floor === 'yes',
    insideOut: insideOut === 'yes',
  });
  return file(writeStl(mesh), 'model/stl', `foot-${settings.side}.stl`);
}

/** One frame of a rear view. */
export function filmedFrame({ frame, ...settings }: Settings<'gaitCamera'>): MadeFile {
  const { picture } = gaitFrame(settings, Math.min(frame, settings.frames - 1));
  const name = `gait-${settings.side}-${String(frame).padStart(3, '0')}.png`;
  return file(writePng(picture), 'image/png', name);
}

/** A pair from behind, on a table. */
export const photographedShoes = (settings: Settings<'shoeCamera'>): MadeFile =>
  file(writePng(shoesFromBehind(settings)), 'image/png', 'pair-from-behind.png');

/** A prosthesis in its shoe on a table, from the side. */
export const photographedShank = ({ trousers, carpet, ...settings }: Settings<'tableCamera'>): MadeFile =>
  file(
    writePng(shoeOnTable({ ...settings, trousers: trousers === 'yes', carpet: carpet === 'yes' }).picture),
    'image/png',
    'shank-from-the-side.png',
  );

/** One frame of a knee bend, from in front. */
export function filmedKnee({ frame, ...settings }: Settings<'kneeCamera'>): MadeFile {
  const { picture } = kneeFrame(settings, Math.min(frame, settings.frames - 1));
  return file(writePng(picture), 'image/png', `knee-${settings.side}-${String(frame).padStart(3, '0')}.png`);
}
