import { fail, ok, type Result } from '../../result/result';
import { keysOf } from '../../tables/keys-of';
import type { Mesh } from './mesh';
import { SCAN_UNITS, type ScanNote, type ScanUnit } from './reading';

/** Distance of the two farthest points, nearly: twice to the farthest point. In the mesh’s own unit. */
export function farthest({ positions }: Mesh): number {
  const far = (from: number) => {
    const [x, y, z] = [positions[from]!, positions[from + 1]!, positions[from + 2]!];
    let most = -1;
    let index = from;
    for (let at = 0; at < positions.length; at += 3) {
      const dx = positions[at]! - x;
      const dy = positions[at + 1]! - y;
      const dz = positions[at + 2]! - z;
      const d = dx * dx + dy * dy + dz * dz;
      if (d > most) {
        most = d;
        index = at;
      }
    }
    return { index, distance: Math.sqrt(most) };
  };
  return far(far(0).index).distance;
}

/** The unit in which a mesh of this reach is a foot; error `unit` where none or several are. */
export function unitOf(reach: number, wanted: ScanUnit | null, notes: ScanNote[]): Result<ScanUnit> {
  const fits = keysOf(SCAN_UNITS).filter((unit) => {
    const mm = reach * SCAN_UNITS[unit];
    return mm > 110 && mm < 400;
  });
  if (wanted) {
    if (fits.includes(wanted)) return ok(wanted);
    return fail(
      'unit',
      `In ${wanted} this would be ${Math.round(reach * SCAN_UNITS[wanted])} mm across: no foot is. Choose another unit.`,
    );
  }
  if (fits.length === 0)
    return fail(
      'unit',
      `The mesh is ${Number(reach.toPrecision(3))} units across, which is a foot in none of mm, cm, m and inches.`,
    );
  if (fits.length > 1)
    return fail('unit', `The mesh could be in ${fits.join(' or ')}: choose the unit.`, fits[0]);
  if (fits[0] !== 'mm')
    notes.push({ code: 'unit', message: `The file has no unit; by its size it is in ${fits[0]}.` });
  return ok(fits[0]!);
}
