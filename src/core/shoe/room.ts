/** Room beyond the longest toe, standing, mm: the least that is accepted, what is aimed at, and the most. */
export interface Room {
  least: number;
  wished: number;
  most: number;
}

/** About a thumbnail's length, 12 mm; 10–15 mm accepted. Common practice; a clinic may set its own. */
export const USUAL_ROOM: Room = { least: 10, wished: 12, most: 15 };

/** A clinic's usual room must leave room at all, and no more than a shoe is made with. */
export const ROOM_BOUNDS = { least: 4, most: 26 } as const;
