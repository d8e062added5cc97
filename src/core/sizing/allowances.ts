import { type Room, USUAL_ROOM } from '../shoe/room';
import { MM_PER_BARLEYCORN } from './systems';

/** Room in front of the longest toe by what practitioners lay there; mm. */
export interface Allowance {
  label: string;
  leastMm: number;
  mostMm: number;
  /** The usual room of a clinic that lays this, mm. The ends are ours where the measure names none. */
  room: Room;
}

/**
 * Measures that go by one name and are not the same (handbook 05, common practice). Half to one size more than the foot scale is
 * counted from its own two barleycorns, of which a shoe's front takes about ten millimetres (ours).
 */
const SCALE_OWN_MM = 2 * MM_PER_BARLEYCORN - 10;
export const ALLOWANCES: readonly Allowance[] = [
  { label: 'a thumbnail’s length', leastMm: 10, mostMm: 15, room: USUAL_ROOM },
  { label: 'half an inch', leastMm: 12.7, mostMm: 12.7, room: { least: 10.5, wished: 12.7, most: 15.5 } },
  { label: 'a thumb’s width', leastMm: 18, mostMm: 20, room: { least: 16, wished: 19, most: 22 } },
  {
    label: 'the foot scale and half to one size more',
    leastMm: SCALE_OWN_MM + MM_PER_BARLEYCORN / 2,
    mostMm: SCALE_OWN_MM + MM_PER_BARLEYCORN,
    room: { least: 10, wished: 13, most: 16 },
  },
];

/** Whether a room lies within what is accepted here, mm. */
export const isAccepted = (
  { leastMm, mostMm }: Allowance,
  room: { least: number; most: number },
): 'yes' | 'partly' | 'no' =>
  leastMm >= room.least && mostMm <= room.most
    ? 'yes'
    : mostMm < room.least || leastMm > room.most
      ? 'no'
      : 'partly';
