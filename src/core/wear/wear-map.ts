import { SIDES, type Side } from '../findings/finding-kinds';
import { keysOf } from '../tables/keys-of';

/** Along and across the outsole. */
export const LENGTHS = { heel: 'heel', mid: 'middle', fore: 'front' } as const;
export const ACROSS = { inner: 'inner', centre: 'centre', outer: 'outer' } as const;
export type Along = keyof typeof LENGTHS;
export type Across = keyof typeof ACROSS;
export type Zone = `${Along}-${Across}`;

/** The outsole in nine zones: three along its length, three across. */
export const PLACE_OF: Readonly<Record<Zone, { along: Along; across: Across }>> = {
  'heel-inner': { along: 'heel', across: 'inner' },
  'heel-centre': { along: 'heel', across: 'centre' },
  'heel-outer': { along: 'heel', across: 'outer' },
  'mid-inner': { along: 'mid', across: 'inner' },
  'mid-centre': { along: 'mid', across: 'centre' },
  'mid-outer': { along: 'mid', across: 'outer' },
  'fore-inner': { along: 'fore', across: 'inner' },
  'fore-centre': { along: 'fore', across: 'centre' },
  'fore-outer': { along: 'fore', across: 'outer' },
};
export const ZONES = keysOf(PLACE_OF);
export const zoneInWords = (zone: Zone): string => {
  const { along, across } = PLACE_OF[zone];
  return `${LENGTHS[along]}, ${ACROSS[across]}`;
};

/** How far a zone is worn: not, a little, much, through. */
export const GRADES = [0, 1, 2, 3] as const;
export type Severity = (typeof GRADES)[number];
/** A number as a grade; undefined where it is none. */
export const gradeFrom = (value: number): Severity | undefined => GRADES.find((grade) => grade === value);
export const SEVERITIES = ['not worn', 'a little', 'much', 'through'] as const;

/** What was seen under one shoe; a zone that is absent was not looked at. */
export type WornSole = { readonly [Z in Zone]?: Severity };
export type WearMap = { readonly [S in Side]?: WornSole };

const TOWARD: Readonly<Record<Across, number>> = { inner: 1, centre: 0, outer: -1 };

/** Where the wear lies across a sole: −1 all outer, +1 all inner, with what one grade more or less in a zone would make of it. */
export interface SideReading {
  centroid: number;
  error: number;
  /** All grades together. */
  total: number;
}

const centroidOf = (sole: WornSole): { centroid: number; total: number } => {
  let sum = 0;
  let total = 0;
  for (const zone of ZONES) {
    const grade = sole[zone] ?? 0;
    sum += grade * TOWARD[PLACE_OF[zone].across];
    total += grade;
  }
  return { centroid: total === 0 ? 0 : sum / total, total };
};

/** Where the wear lies from side to side; null where nothing is worn. */
export function sideReading(sole: WornSole): SideReading | null {
  const { centroid, total } = centroidOf(sole);
  if (total === 0) return null;
  let error = 0;
  for (const zone of ZONES)
    for (const step of [-1, 1]) {
      const grade = gradeFrom((sole[zone] ?? 0) + step);
      if (grade === undefined) continue;
      const other = centroidOf({ ...sole, [zone]: grade });
      if (other.total > 0) error = Math.max(error, Math.abs(other.centroid - centroid));
    }
  return { centroid, error, total };
}

/** Zones in which left and right differ by more than one grade: by one, two people would differ. */
export const sideDifferences = ({
  left,
  right,
}: WearMap): { zone: Zone; left: Severity; right: Severity }[] =>
  ZONES.flatMap((zone) => {
    const [a, b] = [left?.[zone], right?.[zone]];
    return a !== undefined && b !== undefined && Math.abs(a - b) > 1 ? [{ zone, left: a, right: b }] : [];
  });

/** How much more a sole is worn for each 100 km, in grades over all zones; null without a distance. */
export function wearPer100Km(before: WornSole, after: WornSole, km: number): number | null {
  if (!(km > 0)) return null;
  return ((centroidOf(after).total - centroidOf(before).total) / km) * 100;
}

export type Strike = 'heel' | 'midfoot' | 'forefoot';

/** Where a landing usually wears a sole first: the outer back of the heel, or the outer side further forward. Common practice. */
export const EXPECTED: Readonly<Record<Strike, readonly Zone[]>> = {
  heel: ['heel-outer'],
  midfoot: ['mid-outer', 'fore-outer'],
  forefoot: ['fore-outer', 'fore-centre'],
};

/** Three readings that do not agree, each with its weight: evidence of a sole is weak. */
export interface WearReadings {
  /** Shape-led: inner wear read as rolling in, outer as rolling out. Weak evidence; null where the error spans both. */
  roll: { side: Side; reads: 'in' | 'out' | 'even' }[];
  /** Whether the most worn zone is where this landing wears a sole. */
  expected: { side: Side; zone: Zone; isExpected: boolean }[];
  /** What is worth asking about. */
  look: string[];
}

const LOOK_AT = 'the side of the road, leg length, one-leg stance and heel angle';

/** Most worn zone of a sole, the first of equals; null where nothing is worn. */
const mostWorn = (sole: WornSole): Zone | null =>
  ZONES.reduce<Zone | null>(
    (most, zone) => ((sole[zone] ?? 0) > (most === null ? 0 : (sole[most] ?? 0)) ? zone : most),
    null,
  );

/** A sole read three ways, which disagree among practitioners; none diagnoses or predicts. */
export function readWear(map: WearMap, strike: Strike | null): WearReadings {
  const roll: WearReadings['roll'] = [];
  const expected: WearReadings['expected'] = [];
  const look: string[] = [];
  for (const side of SIDES) {
    const sole = map[side];
    const reading = sole && sideReading(sole);
    const zone = sole && mostWorn(sole);
    if (!sole || !reading || !zone) continue;
    const { centroid, error } = reading;
    roll.push({ side, reads: centroid > error ? 'in' : centroid < -error ? 'out' : 'even' });
    if (strike) {
      const isExpected = EXPECTED[strike].some((entry) => (sole[entry] ?? 0) === (sole[zone] ?? 0));
      expected.push({ side, zone, isExpected });
      if (!isExpected)
        look.push(
          `${side}: most worn at the ${zoneInWords(zone)}, not where a ${strike} landing wears a sole: look at ${LOOK_AT}.`,
        );
    }
  }
  const differ = sideDifferences(map);
  if (differ.length > 0)
    look.push(
      `Left and right differ at the ${differ.map(({ zone }) => zoneInWords(zone)).join('; ')}: look at ${LOOK_AT}.`,
    );
  return { roll, expected, look };
}

/** From here a smooth patch ends a slip-rated pair, mm². Hemler 2019, Cockayne 2021, from memory. */
export const SMOOTH_PATCH_MM2 = 800;
