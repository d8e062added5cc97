import fc from 'fast-check';
import { mean, sampleStandardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { readPressureCsv, writePressureCsv } from '@/formats/pressure-csv';
import { type PlateSettings, pressureStep } from '@/simulators/pressure-plate';
import { readStep, relieves, spread, summarise } from './analyse';
import { maskOf } from './masks';
import { type PressureRecording, peakPicture } from './recording';

const read = (wanted: Partial<PlateSettings>) => {
  const { recording, settings } = pressureStep(wanted);
  return readStep(recording, maskOf(recording, settings.side));
};

describe('what the plate drew is read back', () => {
  it.each([
    ['as it stands', {}],
    ['inward course', { excursionIndex: 5 }],
    ['outward course', { excursionIndex: 22 }],
    ['left, turned', { side: 'left', turnDeg: 25 }],
    ['upside down', { turnDeg: 180 }],
    ['small foot, fine plate', { lengthMm: 225, forefootWidthMm: 82, pitchMm: 3 }],
    ['flat foot', { midfoot: 0.75 }],
  ] as [string, Partial<PlateSettings>][])('%s', (_, wanted) => {
    const step = read(wanted);
    expect(step.peakKpa).toBe(wanted.peakKpa ?? 420);
    expect(Math.abs(step.excursionIndex! - (wanted.excursionIndex ?? 14))).toBeLessThan(1);
  });

  it.each([
    ['left', 2, 4],
    ['right', 2, 0],
    ['right', 2.5, 30],
  ] as const)(
    'a noisy plate (%s foot, %d kPa, turned %d°) moves the course by less than a point',
    (side, grain, turnDeg) => {
      const step = read({ side, grain, turnDeg, lengthMm: 258, peakKpa: 430 });
      expect(Math.abs(step.excursionIndex! - 14)).toBeLessThan(1);
      expect(Math.abs(step.peakKpa - 430)).toBeLessThan(4 * grain);
    },
  );

  it.each([
    ['heel', ['heel-inner', 'heel-outer']],
    ['first-head', ['head-1']],
    ['big-toe', ['big-toe']],
  ] as const)('the peak at the %s falls in its region', (peakAt, regions) => {
    const step = read({ peakAt });
    const top = step.regions.reduce((most, region) => (region.peakKpa > most.peakKpa ? region : most));
    expect(regions).toContain(top.region);
    expect(top.peakKpa).toBe(420);
  });

  it('reads the same wherever on the plate the foot lands, and whichever way the plate lies', () => {
    const { recording } = pressureStep({ excursionIndex: 12 });
    const plain = readStep(recording, maskOf(recording, 'right'));
    const moved = (rows: number, columns: number, over: boolean): PressureRecording => {
      const wide = recording.columns + 12;
      const high = recording.rows + 12;
      const frames = recording.frames.map((frame) => {
        const out = new Float32Array(wide * high);
        for (let at = 0; at < frame.length; at += 1) {
          const place =
            (Math.floor(at / recording.columns) + rows) * wide + (at % recording.columns) + columns;
          out[over ? out.length - 1 - place : place] = frame[at]!;
        }
        return out;
      });
      return { ...recording, rows: high, columns: wide, frames };
    };
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 12 }),
        fc.integer({ min: 0, max: 12 }),
        fc.boolean(),
        (rows, columns, over) => {
          const there = moved(rows, columns, over);
          const step = readStep(there, maskOf(there, 'right'));
          expect(step.peakKpa).toBe(plain.peakKpa);
          expect(step.contactCm2).toBeCloseTo(plain.contactCm2, 6);
          expect(step.excursionIndex!).toBeCloseTo(plain.excursionIndex!, 3);
          expect(step.archIndex).toBeCloseTo(plain.archIndex, 3);
        },
      ),
      { numRuns: 12, seed: 4 },
    );
  });

  it('twice the pressure is twice the peak and the integral, and the same course', () => {
    const { recording } = pressureStep({ excursionIndex: 12, peakKpa: 300 });
    const doubled = {
      ...recording,
      frames: recording.frames.map((frame) => frame.map((value) => value * 2)),
    };
    const mask = maskOf(recording, 'right');
    const [once, twice] = [readStep(recording, mask), readStep(doubled, mask)];
    expect(twice.peakKpa).toBeCloseTo(2 * once.peakKpa, 3);
    for (const [at, region] of once.regions.entries())
      expect(twice.regions[at]!.pressureTimeKpaS).toBeCloseTo(2 * region.pressureTimeKpaS, 3);
    expect(twice.excursionIndex!).toBeCloseTo(once.excursionIndex!, 1);
  });

  it('a wider midfoot raises the contact arch index', () => {
    expect(read({ midfoot: 0.7 }).archIndex).toBeGreaterThan(read({ midfoot: 0.3 }).archIndex);
  });

  it('holds for any peak, course and side; a mirrored step on the other foot reads the same', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 150, max: 900 }),
        fc.integer({ min: 4, max: 22 }),
        (peakKpa, excursionIndex) => {
          const right = read({ peakKpa, excursionIndex });
          const left = read({ peakKpa, excursionIndex, side: 'left' });
          expect(right.peakKpa).toBe(peakKpa);
          expect(left.excursionIndex).toBeCloseTo(right.excursionIndex!, 6);
          expect(left.regions.map((region) => region.peakKpa)).toEqual(
            right.regions.map((region) => region.peakKpa),
          );
        },
      ),
      { numRuns: 8, seed: 3 },
    );
  });
});

describe('arithmetic', () => {
  /** A block of cells under constant pressure for a known time. */
  const block = (kpa: number, seconds: number): PressureRecording => {
    const frames = 11;
    const values = new Float32Array(60 * 20);
    for (let row = 5; row < 55; row += 1)
      for (let column = 5; column < 15; column += 1) values[row * 20 + column] = kpa;
    return {
      rows: 60,
      columns: 20,
      pitchMm: 5,
      times: Float64Array.from({ length: frames }, (_, at) => (at * seconds) / (frames - 1)),
      frames: Array.from({ length: frames }, () => values),
      notes: [],
    };
  };

  it('150 kPa for 0.60 s is 90 kPa·s (worked example)', () => {
    const recording = block(150, 0.6);
    const step = readStep(recording, maskOf(recording, 'right'));
    for (const region of step.regions.filter((entry) => entry.contactCm2 > 0))
      expect(region.pressureTimeKpaS).toBeCloseTo(90, 6);
    expect(step.contactS).toBeCloseTo(0.6, 9);
    expect(step.contactCm2).toBeCloseTo(500 * 0.25, 9);
    expect(step.excursionIndex).toBeNull();
  });

  it('12 mm over 95 mm is 12.6 % (worked example)', () => {
    expect(read({ excursionIndex: (100 * 12) / 95 }).excursionIndex!).toBeCloseTo(12.6, 0);
  });

  it('310 to 215 kPa is a fall of 30.6 % and meets the rule though above 200', () => {
    const change = relieves(310, 215);
    expect(change.fallPercent).toBeCloseTo(30.6, 1);
    expect(change.enough).toBe(true);
    expect(relieves(260, 199).enough).toBe(true);
    expect(relieves(260, 200).enough).toBe(false);
  });

  it('mean and spread agree with simple-statistics', () => {
    const steps = [1, 2, 3, 4].map((seed) => read({ seed, peakKpa: 380 + seed * 13 }));
    const summary = summarise(steps);
    const heads = steps.map((step) => step.regions.find((region) => region.region === 'head-1')!.peakKpa);
    expect(summary.peakKpa.mean).toBeCloseTo(mean(steps.map((step) => step.peakKpa)), 9);
    expect(summary.highest.peak).toBe('head-1');
    const head = summary.regions.find((region) => region.region === 'head-1')!;
    expect(head.peakKpa.mean).toBeCloseTo(mean(heads), 9);
    expect(head.peakKpa.sd).toBeCloseTo(sampleStandardDeviation(heads), 9);
    expect(spread([5])).toEqual({ mean: 5, sd: 0 });
  });
});

describe('the CSV of frames', () => {
  const { recording } = pressureStep({ frames: 12, peakKpa: 333.3 });
  const text = writePressureCsv(recording);

  it('comes back as it was written, to 0.1 kPa', () => {
    const back = readPressureCsv(text);
    expect(back.ok).toBe(true);
    if (!back.ok) return;
    expect(back.value.rows).toBe(recording.rows);
    expect(back.value.times.length).toBe(12);
    const written = peakPicture(recording);
    const difference = peakPicture(back.value).map((value, at) => value - written[at]!);
    expect(Math.max(...difference.map(Math.abs))).toBeLessThan(0.051);
  });

  it.each([
    [
      'semicolons with decimal commas',
      (csv: string) => csv.replace(/,/g, ';').replace(/(\d)\.(\d)/g, '$1,$2'),
    ],
    ['tabs', (csv: string) => csv.replace(/,/g, '\t')],
    ['Windows line ends and a byte order mark', (csv: string) => `\uFEFF${csv.replace(/\n/g, '\r\n')}`],
  ])('reads %s', (_, change) => {
    const back = readPressureCsv(change(text));
    expect(back.ok && peakPicture(back.value)).toEqual(
      peakPicture((readPressureCsv(text) as { value: PressureRecording }).value),
    );
  });

  it('converts N/cm² and says so', () => {
    const back = readPressureCsv(text.replace('unit: kPa', 'unit: N/cm2'));
    expect(back.ok && back.value.notes.map((note) => note.code)).toContain('converted');
    expect(back.ok && Math.max(...peakPicture(back.value))).toBeCloseTo(3333, 0);
  });

  it('says how many cells were negative and that sensors are saturated', () => {
    const back = readPressureCsv(
      text
        .split('\n')
        .map((line) =>
          line.startsWith('#') || line.startsWith('time')
            ? line
            : line.replace(/^([^,]*,[^,]*),0,/, '$1,-4,'),
        )
        .join('\n')
        .replace('# unit', '# saturation: 300\n# unit'),
    );
    expect(back.ok && back.value.notes.map((note) => note.code)).toEqual(['negative', 'saturated']);
  });

  it.each([
    ['nothing', '', 'empty'],
    ['no pitch', text.replace(/# pitch.*\n/, ''), 'no-pitch'],
    ['another unit', text.replace('kPa', 'stone'), 'unit'],
    ['another header', text.replace('time_s', 'when'), 'header'],
    ['a word in a cell', text.replace(',0,', ',x,'), 'cell'],
    ['an empty cell', text.replace(',0,', ',,'), 'cell'],
    ['a missing cell', text.replace(',0,', ','), 'columns'],
    ['a missing row', text.replace(/\n0,3,.*/, ''), 'row'],
  ])('refuses %s', (_, csv, code) => {
    const back = readPressureCsv(csv);
    expect(back.ok ? null : back.problem.code).toBe(code);
  });

  it('names the line of a bad cell', () => {
    const back = readPressureCsv(text.replace('\n0,2,0', '\n0,2,oops'));
    expect(back.ok ? '' : back.problem.message).toMatch(/^Line 6, column 3: “oops”/);
  });
});
