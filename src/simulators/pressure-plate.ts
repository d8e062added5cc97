import type { PressureRecording } from '@/core/examination/pressure/recording';
import type { Side } from '@/core/findings/finding-kinds';
import { noise } from './noise';

export interface PlateSettings {
  seed: number;
  side: Side;
  lengthMm: number;
  forefootWidthMm: number;
  /** Highest pressure of the whole step, kPa. */
  peakKpa: number;
  /** Where it is reached. */
  peakAt: 'heel' | 'first-head' | 'big-toe';
  /** Centre-of-pressure excursion index of the drawn path, %. */
  excursionIndex: number;
  /** Width of the midfoot contact as a share of the forefoot. */
  midfoot: number;
  frames: number;
  rateHz: number;
  pitchMm: number;
  /** Turn on the plate, degrees clockwise from straight up. */
  turnDeg: number;
  /** Standard deviation of sensor noise, kPa. */
  grain: number;
}

export const PLATE: PlateSettings = {
  seed: 1,
  side: 'right',
  lengthMm: 255,
  forefootWidthMm: 92,
  peakKpa: 420,
  peakAt: 'first-head',
  excursionIndex: 14,
  midfoot: 0.4,
  frames: 70,
  rateHz: 100,
  pitchMm: 5,
  turnDeg: 0,
  grain: 0,
};

/** Loaded bumps of a sole: place along and outward, in shares of length and forefoot width; spread in mm. */
const BUMPS = {
  heel: { u: 0.13, v: 0, spread: 20, height: 0.8 },
  'first-head': { u: 0.72, v: -0.3, spread: 14, height: 0.8 },
  'middle-heads': { u: 0.73, v: 0.02, spread: 18, height: 0.7 },
  'fifth-head': { u: 0.65, v: 0.36, spread: 12, height: 0.4 },
  'big-toe': { u: 0.92, v: -0.27, spread: 11, height: 0.7 },
} as const;

/** Contact of the sole at a place along the foot: from inner to outer, shares of the forefoot width. */
function contactAt(u: number, midfoot: number): [inner: number, outer: number] | null {
  if (u < 0 || u > 1) return null;
  const rounded = (from: number, reach: number, half: number) => {
    const part = (u - from) / reach;
    return half * Math.sqrt(Math.max(0, 1 - part * part));
  };
  if (u < 0.15) return [-rounded(0.15, 0.15, 0.31), rounded(0.15, 0.15, 0.31)];
  if (u < 0.3) return [-0.31, 0.31];
  if (u < 0.5) return [0.38 - midfoot, 0.36];
  if (u < 0.6) return [0.38 - midfoot + ((u - 0.5) / 0.1) * (midfoot - 0.88), 0.44];
  if (u < 0.78) return [-0.5, 0.5];
  if (u < 0.83) return [-0.42, 0.32];
  return [-0.4, 0.05 + Math.max(0, 0.95 - u)];
}

/**
 * A seeded step over a plate. Each frame is a sole pattern around the wanted centre of pressure, tilted
 * exponentially until its centre lies exactly there (Newton on two unknowns), so that the excursion index
 * follows from the path that was drawn and not from the analysis.
 */
export function pressureStep(wanted: Partial<PlateSettings> = {}): {
  recording: PressureRecording;
  settings: PlateSettings;
} {
  const settings = { ...PLATE, ...wanted };
  const chance = noise(settings.seed);
  const { cells, rows, columns } = grid(settings);
  const frames: Float32Array[] = [];
  const times = Float64Array.from({ length: settings.frames }, (_, at) => at / settings.rateHz);
  const raw: { values: Float64Array; force: number }[] = [];
  for (let at = 0; at < settings.frames; at += 1) {
    const share = at / (settings.frames - 1);
    raw.push({ values: tilted(cells, pathAt(settings, share)), force: envelope(share) });
  }
  // One scale for the whole step puts its highest cell exactly on the wanted peak.
  const top = Math.max(...raw.map(({ values, force }) => Math.max(...values) * force));
  for (const { values, force } of raw) {
    const frame = new Float32Array(rows * columns);
    for (const [index, cell] of cells.entries())
      frame[cell.at] = (values[index]! * force * settings.peakKpa) / top;
    // Sensors are noisy whether a foot stands on them or not.
    if (settings.grain > 0)
      for (let at = 0; at < frame.length; at += 1)
        frame[at] = Math.max(0, frame[at]! + chance.normal() * settings.grain);
    frames.push(frame);
  }
  return {
    recording: { rows, columns, pitchMm: settings.pitchMm, times, frames, notes: [] },
    settings,
  };
}

interface Cell {
  at: number;
  /** mm from the heel, mm outward of the axis. */
  u: number;
  v: number;
  weight: number;
}

function grid(settings: PlateSettings) {
  const margin = 20;
  const turn = (settings.turnDeg * Math.PI) / 180;
  const reach = settings.lengthMm / 2 + margin;
  const half = settings.forefootWidthMm / 2 + margin;
  const spanX = Math.abs(Math.cos(turn)) * half + Math.abs(Math.sin(turn)) * reach;
  const spanY = Math.abs(Math.cos(turn)) * reach + Math.abs(Math.sin(turn)) * half;
  const columns = Math.ceil((2 * spanX) / settings.pitchMm);
  const rows = Math.ceil((2 * spanY) / settings.pitchMm);
  const hand = settings.side === 'right' ? 1 : -1;
  const cells: Cell[] = [];
  for (let row = 0; row < rows; row += 1)
    for (let column = 0; column < columns; column += 1) {
      const x = (column - (columns - 1) / 2) * settings.pitchMm;
      const y = (row - (rows - 1) / 2) * settings.pitchMm;
      const v = hand * (x * Math.cos(turn) + y * Math.sin(turn));
      const u = settings.lengthMm / 2 - (-x * Math.sin(turn) + y * Math.cos(turn));
      const edge = contactAt(u / settings.lengthMm, settings.midfoot);
      const across = v / settings.forefootWidthMm;
      if (!edge || across < edge[0] || across > edge[1]) continue;
      cells.push({ at: row * columns + column, u, v, weight: weightAt(settings, u, v) });
    }
  return { cells, rows, columns };
}

function weightAt(settings: PlateSettings, u: number, v: number): number {
  let weight = 0.35;
  for (const [name, bump] of Object.entries(BUMPS)) {
    const du = (u - bump.u * settings.lengthMm) / bump.spread;
    const dv = (v - bump.v * settings.forefootWidthMm) / bump.spread;
    const height = name === settings.peakAt ? bump.height * 2.6 : bump.height;
    weight += height * Math.exp(-(du * du + dv * dv) / 2);
  }
  return weight;
}

/** Wanted centre of pressure, mm, at a share of the step. */
function pathAt(settings: PlateSettings, share: number): { u: number; v: number } {
  const from = { u: 0.08 * settings.lengthMm, v: 0.02 * settings.forefootWidthMm };
  const to = { u: 0.9 * settings.lengthMm, v: -0.16 * settings.forefootWidthMm };
  const bump = (s: number) => s * (1 - s);
  const level = ((2 / 3) * settings.lengthMm - from.u) / (to.u - from.u);
  const excursion = (settings.excursionIndex / 100) * settings.forefootWidthMm;
  return {
    u: from.u + (to.u - from.u) * share,
    v: from.v + (to.v - from.v) * share + (excursion * bump(share)) / bump(level),
  };
}

/** Two humps of the vertical force. */
const envelope = (share: number) =>
  0.25 + 0.75 * Math.sin(Math.PI * share) * (1 - 0.35 * Math.exp(-(((share - 0.45) / 0.15) ** 2)));

/** The sole pattern near a point, tilted so that its centre is that point. */
function tilted(cells: readonly Cell[], target: { u: number; v: number }): Float64Array {
  const base = cells.map((cell) => cell.weight * Math.exp(-(((cell.u - target.u) / 55) ** 2) / 2));
  let a = 0;
  let b = 0;
  const values = new Float64Array(cells.length);
  for (let turn = 0; turn < 60; turn += 1) {
    let sum = 0;
    let mu = 0;
    let mv = 0;
    let uu = 0;
    let uv = 0;
    let vv = 0;
    for (const [index, cell] of cells.entries()) {
      const du = cell.u - target.u;
      const dv = cell.v - target.v;
      const value = base[index]! * Math.exp(Math.min(40, a * du + b * dv));
      values[index] = value;
      sum += value;
      mu += value * du;
      mv += value * dv;
      uu += value * du * du;
      uv += value * du * dv;
      vv += value * dv * dv;
    }
    mu /= sum;
    mv /= sum;
    if (Math.hypot(mu, mv) < 1e-6) break;
    const cuu = uu / sum - mu * mu + 1e-6;
    const cuv = uv / sum - mu * mv;
    const cvv = vv / sum - mv * mv + 1e-6;
    const det = cuu * cvv - cuv * cuv;
    const limit = (step: number) => Math.max(-0.03, Math.min(0.03, step));
    a -= limit((cvv * mu - cuv * mv) / det);
    b -= limit((cuu * mv - cuv * mu) / det);
  }
  return values;
}
