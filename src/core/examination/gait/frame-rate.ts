/** How far a gap may be from a whole number of frames, as a share of one. Ours. */
const TOLERANCE = 0.12;
/** A container writes moments to the millisecond, so that a gap may be off by one, s. */
const ROUNDING = 0.001;
/** The shortest gap that a busy browser leaves holds so many frames at most. Ours. */
const MOST_IN_SHORTEST = 3;
/** A telephone now and then holds a frame for half of one more: so many gaps of a hundred may, where the rest fit the shortest. Ours. */
const HITCHES = 0.2;
const FASTEST_PER_SECOND = 480;

/**
 * How many frames a second a film has, from the moments of those that a browser showed. A busy one leaves frames out: the gaps between
 * those it shows are then whole numbers of frames, and the longest frame of which all of them are is the film's own.
 *
 * @param moments of the frames that were shown, seconds into the film
 * @returns frames a second, a whole number; the middle gap decides where a film keeps no even pace; null from fewer than two frames
 */
export function frameRateOf(moments: readonly number[]): number | null {
  const sorted = [...moments].sort((a, b) => a - b);
  const gaps = sorted
    .slice(1)
    .map((moment, at) => moment - sorted[at]!)
    .filter((gap) => gap > 1 / FASTEST_PER_SECOND)
    .sort((a, b) => a - b);
  if (gaps.length === 0) return null;
  for (let frames = 1; frames <= MOST_IN_SHORTEST; frames += 1) {
    const frame = wholeFrames(gaps, frames, frames === 1 ? HITCHES : 0);
    if (frame !== null && frame > 1 / FASTEST_PER_SECOND) return Math.round(1 / frame);
  }
  return Math.round(1 / gaps[gaps.length >> 1]!);
}

/**
 * How long a frame is, s, if the shortest gap holds so many and all others, but a share of them, a whole number; else null. Each gap
 * makes it surer.
 */
function wholeFrames(gaps: readonly number[], inShortest: number, mayMiss: number): number | null {
  let [seconds, frames, missed] = [0, 0, 0];
  for (const gap of gaps) {
    const frame = frames === 0 ? gap / inShortest : seconds / frames;
    const count = Math.round(gap / frame);
    const unsure = ROUNDING * (1 + (frames === 0 ? 0 : count / frames));
    if (Math.abs(gap - count * frame) > TOLERANCE * frame + unsure) missed += 1;
    else {
      seconds += gap;
      frames += count;
    }
  }
  return missed > mayMiss * gaps.length ? null : seconds / frames;
}
