import type { Side } from '../../findings/finding-kinds';
import { fail, ok, type Result } from '../../result/result';
import { loopNormal, towards, withoutFloorPieces, withoutJoinedFloor } from './floor';
import { footFrame, inFrame } from './frame';
import { rimOf, seenSide } from './landmarks';
import { measure } from './measures';
import { type Mesh, signedVolume, turnedOver } from './mesh';
import { SCAN_UNITS, type ScanNote, type ScanReading, type ScanUnit } from './reading';
import { standUpright, upDirection } from './stand';
import { closeLoops, loopLength, openLoops, roughness, smoothed } from './topology';
import { farthest, unitOf } from './unit';

export interface ScanOptions {
  side: Side;
  /** null: told from the size. */
  unit?: ScanUnit | null;
  onProgress?: (stage: string, share: number) => void;
}

const LEAST_TRIANGLES = 800;
const MOST_TRIANGLES = 4_000_000;

/**
 * Finds floor, heel, axis and side of a foot's mesh, closes small holes and measures it.
 * Errors: `empty`, `broken`, `too-coarse`, `too-large`, `unit`, `no-floor`, `not-a-foot`.
 */
export function measureScan(given: Mesh, options: ScanOptions): Result<ScanReading> {
  const report = options.onProgress ?? (() => undefined);
  const count = given.triangles.length / 3;
  if (count === 0) return fail('empty', 'The file holds no surface.');
  if (count < LEAST_TRIANGLES)
    return fail(
      'too-coarse',
      `${count} triangles are too few to measure a foot; ${LEAST_TRIANGLES} are needed.`,
    );
  if (count > MOST_TRIANGLES)
    return fail('too-large', `${count} triangles are more than ${MOST_TRIANGLES}: reduce the mesh first.`);
  if (!everyPlaceKnown(given))
    return fail('broken', 'Some points of the mesh have no place: the file is damaged.');

  const notes: ScanNote[] = [];
  report('pieces', 0.1);
  const cleaned = withoutFloorPieces(given, notes);
  const own = farthest(cleaned.mesh);
  const unit = unitOf(own, options.unit ?? null, notes);
  if (!unit.ok) return unit;
  const reach = own * SCAN_UNITS[unit.value];
  let mesh = scaled(cleaned.mesh, SCAN_UNITS[unit.value]);

  report('holes', 0.3);
  const loops = openLoops(mesh);
  const lengths = loops.map((loop) => loopLength(mesh, loop));
  const small = loops.filter((_, at) => lengths[at]! < SMALL_HOLE_MM);
  if (small.length > 0)
    notes.push({
      code: 'holes-closed',
      message: `${small.length} small ${small.length === 1 ? 'hole was' : 'holes were'} closed.`,
    });
  const sole = loops.find((_, at) => lengths[at]! > reach * 1.6);
  mesh = closeLoops(mesh, small);
  if (roughness(mesh) > ROUGH_MM) {
    mesh = smoothed(mesh, 4);
    notes.push({
      code: 'smoothed',
      message: 'The surface was rough and has been smoothed before measuring.',
    });
  }

  report('floor', 0.5);
  const up = cleaned.floor
    ? towards(mesh, cleaned.floor)
    : sole
      ? towards(mesh, loopNormal(mesh, sole))
      : (upDirection(mesh)?.up ?? null);
  if (!up)
    return fail(
      'no-floor',
      'No flat sole and no floor were found: which way is up cannot be told from this scan.',
    );
  if (!cleaned.floor && sole)
    notes.push({
      code: 'sole-open',
      message:
        'The sole is missing: its rim is taken as the floor, so heights may be low. Measure them by hand.',
    });
  mesh = standUpright(mesh, up);
  if (!sole) mesh = withoutJoinedFloor(mesh, notes);

  report('axis', 0.65);
  const frame = footFrame(mesh);
  if (!frame.ok) return frame;
  mesh = inFrame(mesh, frame.value);
  if (signedVolume(mesh) < 0) {
    mesh = turnedOver(mesh);
    notes.push({ code: 'turned-over', message: 'The surface was inside out and has been turned over.' });
  }

  report('measures', 0.8);
  const rim = rimOf(mesh, frame.value.length);
  const seen = seenSide(mesh, rim, frame.value.length);
  if (seen === null)
    notes.push({
      code: 'side-unclear',
      message: 'Left or right cannot be told from this scan: the side is taken from you.',
    });
  else if (seen !== options.side)
    notes.push({
      code: 'wrong-side',
      message: `This is the shape of a ${seen} foot. Change the side, or mirror the scan where the scanner does.`,
    });
  const measured = measure(mesh, rim, frame.value.length, seen ?? options.side);
  report('done', 1);
  return ok({
    mesh,
    ...measured,
    side: options.side,
    seenSide: seen,
    unit: unit.value,
    triangles: count,
    notes,
  });
}

/** One place that is no number makes the sum none. */
function everyPlaceKnown({ positions }: Mesh): boolean {
  let sum = 0;
  for (let at = 0; at < positions.length; at += 1) sum += positions[at]!;
  return Number.isFinite(sum);
}

/** Holes with a rim shorter than this are closed; larger ones are the cut leg or a missing sole. */
const SMALL_HOLE_MM = 130;

/** A scan rougher than this is noise, not skin. */
const ROUGH_MM = 0.15;

const scaled = (mesh: Mesh, factor: number): Mesh =>
  factor === 1
    ? mesh
    : { positions: mesh.positions.map((value) => value * factor), triangles: mesh.triangles };
