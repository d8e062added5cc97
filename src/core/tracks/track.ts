/** What somebody did, as far as a file says it. */
export type TrackSport = 'running' | 'walking' | 'hiking' | 'other';

/** One record of a device; null where it wrote nothing. */
export interface TrackPoint {
  /** Seconds since 1970. */
  at: number | null;
  /** Degrees. */
  lat: number | null;
  lon: number | null;
  /** Metres above the sea. */
  ele: number | null;
  /** Steps of one foot a minute. */
  cadence: number | null;
}

/** One outing as a device wrote it. */
export interface Track {
  /** File, and which of its tracks. */
  name: string;
  sport: TrackSport;
  /** The file says that it was off the road. */
  isTrail: boolean;
  points: readonly TrackPoint[];
  /** The device's own sum, km; null where it states none. */
  deviceKm: number | null;
}

export type OutingNote =
  /** Time went back at so many points; they are left out. */
  | { kind: 'clock-went-back'; points: number }
  /** Nobody walks or runs so fast: so many metres are not counted. */
  | { kind: 'too-fast'; metres: number }
  /** No fix for a while: so many metres are a straight line. */
  | { kind: 'gap'; metres: number }
  | { kind: 'no-position'; points: number }
  /** The clock of the device was wrong, or it wrote no time: the day has to be chosen. */
  | { kind: 'no-day' }
  | { kind: 'device-distance' };

/** One outing, measured. */
export interface Outing {
  name: string;
  sport: TrackSport;
  /** Seconds since 1970; null where the clock was wrong. */
  from: number | null;
  to: number | null;
  km: number;
  /** Metres climbed; null where no heights are known. */
  ascentM: number | null;
  /** Steps of one foot a minute, middle of those moving; null where none are known. */
  cadence: number | null;
  surface: 'road' | 'trail';
  notes: OutingNote[];
}

export function noteInWords(note: OutingNote): string {
  switch (note.kind) {
    case 'clock-went-back':
      return `time went back at ${note.points} points; they are left out`;
    case 'too-fast':
      return `${note.metres} m faster than anybody runs are not counted`;
    case 'gap':
      return `${note.metres} m without a position are a straight line`;
    case 'no-position':
      return `${note.points} points without a position`;
    case 'no-day':
      return 'the device’s clock was wrong: choose the day';
    case 'device-distance':
      return 'the device’s own distance';
  }
}
