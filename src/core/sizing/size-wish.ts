import type { Side } from '../findings/finding-kinds';
import type { ClinicalPicture } from '../findings/picture';
import { findingAt, numberAt } from '../findings/picture';
import type { Band, Specification, Target } from '../prescribe/engine/specification';
import { type Room, USUAL_ROOM } from '../shoe/room';
import { widthOfGain } from '../swelling/gain';
import { type SizeWish, UPPER_GIVES_MM } from './start-size';

/** What the foot was measured in and what it will wear. Unanswered is thin sock, no insert, measured late. */
export interface FittingConditions {
  sock?: keyof typeof SOCKS;
  /** An insert goes in that the foot was not measured on. */
  insert?: keyof typeof INSERTS;
  measured?: keyof typeof MEASURED;
}

/** Length and width that a sock adds to a bare foot, mm. Common practice. */
export const SOCKS = {
  thin: { label: 'thin', lengthMm: 0, widthMm: 0 },
  medium: { label: 'medium', lengthMm: 1, widthMm: 1 },
  thick: { label: 'thick, padded', lengthMm: 2, widthMm: 2 },
} as const;

/** A cupped insert sets the heel forward of the counter; a flat one takes depth, not length. Common practice. */
export const INSERTS = {
  none: { label: 'none', lengthMm: 0 },
  flat: { label: 'flat', lengthMm: 0 },
  cupped: { label: 'cupped heel', lengthMm: 2 },
} as const;

/** Feet grow over a day; one that swells and was measured early gets this much. Common practice. */
export const MEASURED = { late: 'late in the day', early: 'early in the day' } as const;
const EARLY_MM = { swells: { lengthMm: 2, widthMm: 3 }, else: { lengthMm: 1, widthMm: 1 } } as const;

export interface ExplainedWish extends SizeWish {
  adds: { lengthMm: number; widthMm: number };
  widthGrade: number;
  why: string[];
}

/** Ends of the bands that hold the target's best value: what a rule asks for is not widened by near misses. */
function limitedBand(target: Extract<Target, { kind: 'band' }>): Band {
  const held = target.pushes
    .filter((push) => push.setAside === undefined)
    .flatMap(({ want }) =>
      'band' in want && want.band.from <= target.best && want.band.to >= target.best ? [want.band] : [],
    );
  return held.length === 0 || target.decision
    ? target.band
    : { from: Math.min(...held.map((band) => band.from)), to: Math.max(...held.map((band) => band.to)) };
}

/** Room in front of the toes that the specification asks for; the clinic's usual room, or common practice, where it asks nothing. */
export function roomWished(specification: Specification): Room {
  const usual = specification.usualRoom ?? USUAL_ROOM;
  const target = specification.targets.find((entry) => entry.feature === 'toeRoom');
  if (target?.kind !== 'band') return usual;
  const band = limitedBand(target);
  // What tasks ask is counted from common practice: a clinic that fits longer fits longer for each of them, within every limit.
  const held = target.decision && !target.decision.refused;
  const shift = held ? 0 : usual.wished - USUAL_ROOM.wished;
  const bounds = target.limit ?? { from: Number.NEGATIVE_INFINITY, to: Number.POSITIVE_INFINITY };
  const within = (mm: number) => Math.min(bounds.to, Math.max(bounds.from, mm));
  const floor = held ? USUAL_ROOM.least : within(usual.least);
  const least = Math.max(floor, target.limit?.from ?? band.from + shift);
  return {
    least,
    wished: Math.max(least, within(target.best + shift)),
    most: target.limit?.to ?? Math.max(least, band.to + shift),
  };
}

/**
 * What size to look for on one foot: room from the specification (it knows task, risk, age and swelling), length and
 * width that sock, insert and time of day add to what was measured. Every millimetre is named.
 */
export function sizeWish(
  picture: ClinicalPicture,
  specification: Specification,
  side: Side,
  conditions: FittingConditions = {},
): ExplainedWish {
  const room = roomWished(specification);
  const target = specification.targets.find((entry) => entry.feature === 'toeRoom');
  const why = (target?.pushes ?? [])
    .filter((push) => push.setAside === undefined)
    .toSorted((a, b) => b.weight - a.weight)
    .slice(0, 2)
    .map((push) => `${push.finding}: ${push.because}`);
  if (why.length === 0) why.push(`usual room ${room.least}–${room.most} mm`);
  const adds = { lengthMm: 0, widthMm: 0 };
  const add = (lengthMm: number, widthMm: number, because: string) => {
    if (lengthMm === 0 && widthMm === 0) return;
    adds.lengthMm += lengthMm;
    adds.widthMm += widthMm;
    why.push(`${because}: +${lengthMm} mm long, +${widthMm} mm wide`);
  };
  const sock = SOCKS[conditions.sock ?? 'thin'];
  add(sock.lengthMm, sock.widthMm, `${sock.label} sock`);
  const insert = INSERTS[conditions.insert ?? 'none'];
  add(insert.lengthMm, 0, `insert with a ${insert.label}`);
  if (conditions.measured === 'early') {
    const swelling = findingAt(picture, 'swelling', side);
    const swells = swelling === 'changes' || swelling === 'constant';
    const more = EARLY_MM[swells ? 'swells' : 'else'];
    const swing = numberAt(picture, 'daySwing', side);
    if (swing === null)
      add(more.lengthMm, more.widthMm, swells ? 'swells, measured early' : 'measured early in the day');
    else
      add(
        more.lengthMm,
        Math.max(more.widthMm, Math.round(2 * widthOfGain(swing)) / 2),
        `measured early; a day adds ${Math.round(swing)} mm of girth`,
      );
  }
  const plate = numberAt(picture, 'insertWidth', side);
  const ball = numberAt(picture, 'ballWidth', side);
  if (plate !== null && ball !== null)
    add(0, Math.max(0, plate + UPPER_GIVES_MM - ball - adds.widthMm), `insert ${plate} mm wide`);
  const width = specification.targets.find((entry) => entry.feature === 'width');
  return { room, adds, widthGrade: width?.kind === 'band' ? width.best : 2, why };
}
