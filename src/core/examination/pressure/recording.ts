/** One step over a pressure plate or insole. Frames are row-major; row 0 is nearest the heel or the toes. */
export interface PressureRecording {
  rows: number;
  columns: number;
  /** Distance between neighbouring sensors, mm. */
  pitchMm: number;
  /** Seconds of each frame from the first one, rising. */
  times: Float64Array;
  /** kPa, one array of rows × columns a frame. */
  frames: Float32Array[];
  notes: PressureNote[];
}

export interface PressureNote {
  code: 'negative' | 'saturated' | 'converted' | 'few-steps';
  message: string;
}

/** Highest value of each cell over the step. */
export function peakPicture({ rows, columns, frames }: PressureRecording): Float32Array {
  const peak = new Float32Array(rows * columns);
  for (const frame of frames)
    for (let at = 0; at < peak.length; at += 1) if (frame[at]! > peak[at]!) peak[at] = frame[at]!;
  return peak;
}
