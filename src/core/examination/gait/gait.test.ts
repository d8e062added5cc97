import fc from 'fast-check';
import { standardDeviation } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import {
  beltEdges,
  GAIT_CAMERA,
  type GaitCameraSettings,
  gaitFrame,
  peakFrame,
} from '@/simulators/gait-camera';
import { cadenceOf, raisedRate } from './cadence';
import { cameraWarning, crossing, framesPerStance, offAxis, rateWarning } from './camera';
import {
  falseTilt,
  type HeelLines,
  heelAngle,
  pixelError,
  reproducibility,
  toHalfDegree,
} from './heel-angle';
import { type GaitReading, gaitFindings, gaitSentence, summariseGait } from './readings';
import { followMarks, snapLines, snapToMark } from './skin-marks';

/** Lines as a hand would drop them: a few pixels beside each mark. */
const roughly = ({ leg, heel }: HeelLines, off: number): HeelLines => {
  const move = (point: { x: number; y: number }, at: number) => ({
    x: point.x + off * Math.cos(at * 2.4),
    y: point.y + off * Math.sin(at * 2.4),
  });
  return {
    leg: [move(leg[0], 1), move(leg[1], 2)],
    heel: [move(heel[0], 3), move(heel[1], 4)],
  };
};

describe('the drawn heel angle is recovered within 0.5°', () => {
  it.each([
    ['walking, right', {}],
    ['left', { side: 'left' }],
    ['turned in', { peakDeg: -6, touchdownDeg: -8 }],
    ['running', { activity: 'run', peakDeg: 12, touchdownDeg: -4, framesPerSecond: 120 }],
    ['a rolled camera', { rollDeg: 7 }],
    ['a noisy picture', { grain: 12 }],
    ['a small picture', { widthPx: 360, heightPx: 480 }],
  ] as [string, Partial<GaitCameraSettings>][])('%s', (_, wanted) => {
    const settings = { ...GAIT_CAMERA, ...wanted };
    for (const index of [0, 1, peakFrame(settings)]) {
      const { picture, marks, angleDeg } = gaitFrame(settings, index);
      const lines = snapLines(picture, roughly(marks, 6), 14);
      expect(lines).not.toBeNull();
      expect(Math.abs(heelAngle(lines!, settings.side) - angleDeg)).toBeLessThan(0.5);
    }
  });

  it('follows the marks through the clip and finds the peak frame', () => {
    const settings = { ...GAIT_CAMERA, peakDeg: 9 };
    const first = gaitFrame(settings, 1);
    let before: HeelLines | null = null;
    let now = snapLines(first.picture, roughly(first.marks, 5), 14)!;
    const angles = [heelAngle(now, 'right')];
    for (let index = 2; index < settings.frames; index += 1) {
      const frame = gaitFrame(settings, index);
      const next: HeelLines | null = followMarks(frame.picture, now, before, 14);
      expect(next, `frame ${index}`).not.toBeNull();
      before = now;
      now = next!;
      const angle = heelAngle(now, 'right');
      expect(Math.abs(angle - frame.angleDeg)).toBeLessThan(0.5);
      angles.push(angle);
    }
    const top = angles.indexOf(Math.max(...angles)) + 1;
    expect(Math.abs(top - peakFrame(settings))).toBeLessThanOrEqual(3);
    expect(Math.max(...angles) - angles[0]!).toBeCloseTo(11, 0);
  });

  it('finds a mark that it first sees at the rim of its search', () => {
    const { picture, marks } = gaitFrame({ side: 'left' }, 0);
    const [upper] = marks.leg;
    const snapped = snapToMark(picture, { x: upper.x + 17, y: upper.y + 6 }, 19)!;
    expect(Math.hypot(snapped.x - upper.x, snapped.y - upper.y)).toBeLessThan(0.5);
  });

  it('does not take bare skin for a mark', () => {
    const { picture } = gaitFrame({}, 0);
    expect(snapToMark(picture, { x: 250, y: 330 }, 6)).toBeNull();
    expect(snapToMark(picture, { x: -50, y: -50 }, 6)).toBeNull();
  });
});

describe('heel angle', () => {
  const lines: HeelLines = {
    leg: [
      { x: 100, y: 0 },
      { x: 90, y: 100 },
    ],
    heel: [
      { x: 90, y: 110 },
      { x: 95, y: 160 },
    ],
  };
  const point = fc.record({ x: fc.double({ min: -50, max: 50, noNaN: true }), y: fc.constant(0) });

  it('is turned out where the heel ends outward of the leg, and the other way for the other foot', () => {
    expect(heelAngle(lines, 'right')).toBeCloseTo(
      ((Math.atan(5 / 50) + Math.atan(10 / 100)) * 180) / Math.PI,
      9,
    );
    expect(heelAngle(lines, 'left')).toBeCloseTo(-heelAngle(lines, 'right'), 9);
  });

  it('stays the same when the picture is moved, scaled or rolled, and turns over when it is mirrored', () => {
    const map = (move: (p: { x: number; y: number }) => { x: number; y: number }): HeelLines => ({
      leg: [move(lines.leg[0]), move(lines.leg[1])],
      heel: [move(lines.heel[0]), move(lines.heel[1])],
    });
    const before = heelAngle(lines, 'right');
    fc.assert(
      fc.property(
        point,
        fc.double({ min: 0.2, max: 8, noNaN: true }),
        fc.double({ min: -0.6, max: 0.6, noNaN: true }),
        (shift, scale, roll) => {
          const moved = map(({ x, y }) => ({
            x: scale * (x * Math.cos(roll) - y * Math.sin(roll)) + shift.x,
            y: scale * (x * Math.sin(roll) + y * Math.cos(roll)),
          }));
          expect(heelAngle(moved, 'right')).toBeCloseTo(before, 6);
          const mirrored = map(({ x, y }) => ({ x: -x, y }));
          expect(heelAngle(mirrored, 'left')).toBeCloseTo(before, 9);
        },
      ),
    );
  });

  it('is kept to half a degree, and says what a pixel and a hand are worth', () => {
    expect([3.24, 3.26, -0.8].map(toHalfDegree)).toEqual([3, 3.5, -1]);
    expect(pixelError(lines)).toBeCloseTo((Math.hypot(0.01, 0.02) * 180) / Math.PI, 1);
    const angles = [6, 7, 6.5, 7.5];
    const read = reproducibility(angles);
    expect(read.mean).toBe(6.75);
    expect(read.sd).toBeCloseTo(standardDeviation(angles) * Math.sqrt(4 / 3), 9);
    expect(read.repeatability).toBeCloseTo(2.77 * read.sd!, 2);
    expect(reproducibility([6])).toMatchObject({ mean: 6, sd: null });
  });
});

describe('the camera', () => {
  it('15° off with a shank leaning 15° forward shows 4.0° that are not there (worked example)', () => {
    expect(falseTilt(15, 15)).toBeCloseTo(4, 1);
    expect(falseTilt(0, 30)).toBe(0);
  });

  it('its angle is recovered from the edges of the belt', () => {
    for (const offAxisDeg of [-18, -5, 0, 9, 20]) {
      const foot = { x: 254, y: 448 };
      const { left, right } = beltEdges({ ...GAIT_CAMERA, offAxisDeg }, foot);
      expect(offAxis(left, right, foot, { widthPx: 480, fieldOfViewDeg: 62 })).toBeCloseTo(offAxisDeg, 6);
    }
    const level: HeelLines['leg'] = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
    ];
    expect(
      crossing(level, [
        { x: 0, y: 5 },
        { x: 10, y: 5 },
      ]),
    ).toBeNull();
  });

  it('warns off-axis and below 120 frames a second for running', () => {
    expect(cameraWarning(3)).toBeNull();
    expect(cameraWarning(-15)).toContain('4.0°');
    expect(rateWarning(30, 'run')).toContain('8 frames');
    expect(rateWarning(120, 'run')).toBeNull();
    expect(rateWarning(60, 'walk')).toBeNull();
    expect(framesPerStance(120, 'run')).toBe(30);
  });
});

describe('readings come together', () => {
  const reading = (part: Partial<GaitReading>): GaitReading => ({
    side: 'left',
    condition: 'barefoot',
    activity: 'walk',
    event: 'peak',
    angleDeg: 8,
    frame: 3,
    lines: {
      leg: [
        { x: 0, y: 0 },
        { x: 0, y: 1 },
      ],
      heel: [
        { x: 0, y: 2 },
        { x: 0, y: 3 },
      ],
    },
    ...part,
  });
  const readings = [
    reading({ event: 'stance', angleDeg: 2 }),
    reading({ event: 'touchdown', angleDeg: -2 }),
    reading({}),
    reading({ angleDeg: 10 }),
    reading({ condition: 'pair A', angleDeg: 3 }),
    reading({ activity: 'run', event: 'touchdown', angleDeg: -2 }),
    reading({ activity: 'run', angleDeg: 9 }),
  ];

  it('touchdown −2° and peak 9° are an excursion of 11° (worked example)', () => {
    expect(summariseGait(readings).find((entry) => entry.activity === 'run')?.excursionDeg).toBe(11);
  });

  it('means, excursion, change beyond standing and against barefoot', () => {
    const [bare, , shod] = summariseGait(readings);
    expect(bare).toMatchObject({ condition: 'barefoot', peakDeg: 9, excursionDeg: 11, beyondStanceDeg: 7 });
    expect(shod).toMatchObject({ condition: 'pair A', againstBarefootDeg: -6, excursionDeg: null });
  });

  it('the roll is held against standing on that leg: a frame on both feet is kept apart and changes nothing', () => {
    const [alone] = summariseGait(readings);
    const [both] = summariseGait([...readings, reading({ event: 'bothFeet', angleDeg: 6 })]);
    expect(alone!.bothFeetDeg).toBeNull();
    expect(both).toMatchObject({ bothFeetDeg: 6, stanceDeg: 2, beyondStanceDeg: 7 });
    const only = summariseGait([reading({ event: 'bothFeet', angleDeg: 6 }), reading({})]);
    expect(only[0]).toMatchObject({ stanceDeg: null, beyondStanceDeg: null, bothFeetDeg: 6 });
    expect(gaitFindings([reading({ event: 'bothFeet', angleDeg: 6 })])).toEqual([
      { side: 'left', id: 'heelAngleBothFeet', value: 6 },
    ]);
  });

  it('barefoot angles become findings to half a degree; a side without any stays as it was typed', () => {
    const said = gaitFindings(readings);
    expect(said).toContainEqual({ side: 'left', id: 'heelAngleWalk', value: 9 });
    expect(said).toContainEqual({ side: 'left', id: 'heelExcursionRun', value: 11 });
    expect(said).toContainEqual({ side: 'left', id: 'heelAngleStance', value: 2 });
    expect(said.some((entry) => entry.side === 'right')).toBe(false);
    expect(gaitFindings([reading({ condition: 'pair A' })])).toEqual([]);
  });

  it('never labels: the sentence holds the number, the change and the symptoms', () => {
    for (const summary of summariseGait(readings))
      for (const aches of [true, false]) {
        const sentence = gaitSentence(summary, aches);
        expect(sentence).toMatch(/°/);
        expect(sentence).not.toMatch(/over|excess|normal/i);
        expect(sentence).toContain(aches ? 'aches on this side' : 'no aches recorded');
      }
  });
});

describe('cadence', () => {
  const beat = (perMinute: number, count: number) =>
    Array.from({ length: count }, (_, at) => (at * 60) / perMinute);

  it('is recovered from taps, with a missed and a doubled one left out', () => {
    expect(cadenceOf(beat(84, 20))?.perMinute).toBeCloseTo(84, 6);
    const missed = beat(84, 20).filter((_, at) => at !== 7);
    expect(cadenceOf(missed)).toMatchObject({ dropped: 1 });
    expect(cadenceOf(missed)?.perMinute).toBeCloseTo(84, 6);
    const doubled = [...beat(84, 20), 3.05 * (60 / 84)];
    expect(cadenceOf(doubled)?.perMinute).toBeCloseTo(84, 0);
  });

  it('needs three taps', () => {
    expect(cadenceOf([0, 0.7])).toBeNull();
    expect(cadenceOf([1, 1, 1])).toBeNull();
    expect(cadenceOf([0, 0.7, 1.4])?.within).toBeNull();
  });

  it('82 a foot is 164 steps; +5 % is 172.2 and +10 % 180.4 (worked example; Heiderscheit 2011, from memory)', () => {
    expect(raisedRate(82, 5)).toBeCloseTo(172.2, 6);
    expect(raisedRate(82, 10)).toBeCloseTo(180.4, 6);
  });
});
