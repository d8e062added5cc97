import { archIndex } from '../footprint/arch-index';
import { directions, type Point } from '../footprint/orient';
import {
  CONTACT_KPA,
  centreOfPressure,
  type FootMask,
  PLANTAR_REGION_IDS,
  type PlantarRegion,
} from './masks';
import { type PressureRecording, peakPicture } from './recording';

export interface RegionLoad {
  region: PlantarRegion;
  /** Highest value of any cell, kPa. */
  peakKpa: number;
  /** Integral over time of the region's highest cell, kPa·s. */
  pressureTimeKpaS: number;
  /** cm² of cells that ever carried load. */
  contactCm2: number;
}

export interface StepReading {
  regions: RegionLoad[];
  peakKpa: number;
  contactCm2: number;
  contactS: number;
  /** Centre of pressure, cells. */
  path: Point[];
  /**
   * Centre-of-pressure excursion index, %: lateral excursion from the line between first and last centre of
   * pressure, at the boundary of the distal third of the foot, over the foot's width. + is outward of the line.
   * Song 1996, JAPMA 86:16–23, from memory, check. null when the path does not reach that far.
   */
  excursionIndex: number | null;
  /** Ends of the excursion, cells. */
  excursion: { from: Point; to: Point } | null;
  /** From contact, toes left out. Bands made on ink prints do not fit it. */
  archIndex: number;
}

/** Reads one step. Time is in seconds, pressure in kPa, areas in cm². */
export function readStep(recording: PressureRecording, mask: FootMask): StepReading {
  const path = centreOfPressure(recording);
  const excursion = excursionOf(path, mask);
  const regions = regionLoads(recording, mask);
  const peak = peakPicture(recording);
  return {
    regions,
    peakKpa: peak.reduce((most, value) => Math.max(most, value), 0),
    contactCm2: regions.reduce((sum, region) => sum + region.contactCm2, 0),
    contactS: contactTime(recording),
    path,
    excursionIndex: excursion?.index ?? null,
    excursion: excursion && { from: excursion.from, to: excursion.to },
    archIndex: archIndexOf(mask),
  };
}

function regionLoads({ frames, times, pitchMm }: PressureRecording, mask: FootMask): RegionLoad[] {
  const peak = new Float64Array(PLANTAR_REGION_IDS.length);
  const integral = new Float64Array(PLANTAR_REGION_IDS.length);
  const cells = new Float64Array(PLANTAR_REGION_IDS.length);
  let before = new Float64Array(PLANTAR_REGION_IDS.length);
  let now = new Float64Array(PLANTAR_REGION_IDS.length);
  for (let index = 0; index < frames.length; index += 1) {
    const frame = frames[index]!;
    now.fill(0);
    for (let at = 0; at < frame.length; at += 1) {
      const region = mask.region[at]!;
      if (region >= 0 && frame[at]! > now[region]!) now[region] = frame[at]!;
    }
    const span = index === 0 ? 0 : times[index]! - times[index - 1]!;
    for (let region = 0; region < PLANTAR_REGION_IDS.length; region += 1) {
      peak[region] = Math.max(peak[region]!, now[region]!);
      integral[region]! += ((now[region]! + before[region]!) / 2) * span;
    }
    [before, now] = [now, before];
  }
  for (const region of mask.region) if (region >= 0) cells[region]! += 1;
  const cellCm2 = (pitchMm / 10) ** 2;
  return PLANTAR_REGION_IDS.map((region, at) => ({
    region,
    peakKpa: peak[at]!,
    pressureTimeKpaS: integral[at]!,
    contactCm2: cells[at]! * cellCm2,
  }));
}

function contactTime({ frames, times }: PressureRecording): number {
  const loaded = frames.flatMap((frame, at) => (frame.some((value) => value >= CONTACT_KPA) ? [at] : []));
  return loaded.length === 0 ? 0 : times[loaded[loaded.length - 1]!]! - times[loaded[0]!]!;
}

function excursionOf(path: readonly Point[], mask: FootMask) {
  if (path.length < 3) return null;
  const { along, right, length } = directions(mask.axis);
  const outward = mask.side === 'right' ? 1 : -1;
  const local = path.map((point) => ({
    u: ((point.x - mask.axis.heel.x) * along.x + (point.y - mask.axis.heel.y) * along.y) / length,
    v: outward * ((point.x - mask.axis.heel.x) * right.x + (point.y - mask.axis.heel.y) * right.y),
  }));
  const level = 2 / 3;
  const at = local.findIndex((point, index) => index > 0 && point.u >= level && local[index - 1]!.u < level);
  if (at < 1) return null;
  const [a, b] = [local[at - 1]!, local[at]!];
  const crossing = a.v + ((b.v - a.v) * (level - a.u)) / (b.u - a.u);
  const first = local[0]!;
  const last = local[local.length - 1]!;
  if (last.u - first.u < 0.3) return null;
  const line = first.v + ((last.v - first.v) * (level - first.u)) / (last.u - first.u);
  const place = (v: number): Point => ({
    x: mask.axis.heel.x + along.x * level * length + right.x * outward * v,
    y: mask.axis.heel.y + along.y * level * length + right.y * outward * v,
  });
  return { index: (100 * (crossing - line)) / mask.width, from: place(line), to: place(crossing) };
}

/** Middle third of the toeless contact over the whole. */
function archIndexOf(mask: FootMask): number {
  const toeless = (at: number) =>
    mask.region[at]! >= 0 && mask.region[at]! < PLANTAR_REGION_IDS.indexOf('big-toe');
  let front = 0;
  for (let at = 0; at < mask.region.length; at += 1)
    if (toeless(at)) front = Math.max(front, mask.place[at]!);
  const areas = { rear: 0, mid: 0, fore: 0 };
  for (let at = 0; at < mask.region.length; at += 1)
    if (toeless(at)) {
      const share = mask.place[at]! / front;
      areas[share < 1 / 3 ? 'rear' : share < 2 / 3 ? 'mid' : 'fore'] += 1;
    }
  return archIndex(areas);
}

export interface Spread {
  mean: number;
  /** Standard deviation of the sample (n − 1); 0 for one step. */
  sd: number;
}

export const spread = (values: readonly number[]): Spread => {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  if (values.length < 2) return { mean, sd: 0 };
  return {
    mean,
    sd: Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1)),
  };
};

export interface StepsSummary {
  steps: number;
  peakKpa: Spread;
  contactCm2: Spread;
  /** Regions with the highest mean peak and the highest mean pressure–time integral. */
  highest: { peak: PlantarRegion; pressureTime: PlantarRegion };
  regions: { region: PlantarRegion; peakKpa: Spread; pressureTimeKpaS: Spread; contactCm2: Spread }[];
  excursionIndex: Spread | null;
  archIndex: Spread;
}

/** Mean and spread over several steps of one foot. */
export function summarise(steps: readonly StepReading[]): StepsSummary {
  const excursions = steps.flatMap((step) => (step.excursionIndex === null ? [] : [step.excursionIndex]));
  const regions = PLANTAR_REGION_IDS.map((region, at) => ({
    region,
    peakKpa: spread(steps.map((step) => step.regions[at]!.peakKpa)),
    pressureTimeKpaS: spread(steps.map((step) => step.regions[at]!.pressureTimeKpaS)),
    contactCm2: spread(steps.map((step) => step.regions[at]!.contactCm2)),
  }));
  const highestBy = (measure: 'peakKpa' | 'pressureTimeKpaS') =>
    regions.reduce((most, region) => (region[measure].mean > most[measure].mean ? region : most)).region;
  return {
    steps: steps.length,
    peakKpa: spread(steps.map((step) => step.peakKpa)),
    contactCm2: spread(steps.map((step) => step.contactCm2)),
    highest: { peak: highestBy('peakKpa'), pressureTime: highestBy('pressureTimeKpaS') },
    regions,
    excursionIndex: excursions.length > 0 ? spread(excursions) : null,
    archIndex: spread(steps.map((step) => step.archIndex)),
  };
}

/** Lines drawn into the peak picture where a foot is at risk. Never mixed between barefoot and in-shoe. */
export const PRESSURE_LINES = {
  'in-shoe': {
    kpa: 200,
    says: 'In-shoe target at a healed plantar ulcer: below 200 kPa, or at least 30 % less than in the shoe before.',
    cite: 'Bus 2024, Diabetes Metab Res Rev 40:e3651',
    trust: 95,
  },
  barefoot: {
    kpa: 700,
    says: 'Barefoot ulcer-risk cuts vary from about 700 to 875 kPa and depend on the system.',
    cite: 'Armstrong 1998, J Foot Ankle Surg; Lavery 2003, Diabetes Care',
    trust: 75,
  },
} as const;

/** Whether a shoe relieves a site enough: under 200 kPa in the shoe, or 30 % less than before. Both inclusive of 30 %. */
export function relieves(beforeKpa: number, nowKpa: number): { enough: boolean; fallPercent: number } {
  const fallPercent = (100 * (beforeKpa - nowKpa)) / beforeKpa;
  return { enough: nowKpa < PRESSURE_LINES['in-shoe'].kpa || fallPercent >= 30, fallPercent };
}
