import { describe, expect, it } from 'vitest';
import { clinicalPicture } from '../examination/clinical-picture';
import { resolve } from '../prescribe/engine/resolve';
import { shoeValues } from '../prescribe/engine/shoe-values';
import { SOURCES } from '../sources/sources';
import { EFFECTS, type Lever } from './effects';
import { groundForce, groundForceInWords } from './ground-force';
import { scenarioOf, whatIf } from './what-if';

const today = scenarioOf(shoeValues(resolve(clinicalPicture())));
const turned = (lever: Lever, by: number) => whatIf(today, { ...today, [lever]: today[lever] + by });
const region = (changes: ReturnType<typeof whatIf>, name: string) =>
  changes.find((entry) => entry.region === name)!;

/** Reference sheet, §8, recalled: Heiderscheit 2011, Lenhart 2014, Edwards 2009, Sobhani 2015, Van Schie 2000, Kulmala 2018. */
describe('what if', () => {
  it('ten per cent more steps: the knee absorbs 34 % less, behind the kneecap 14 % less; five per cent: 20 %', () => {
    const knee = region(turned('stepRate', 10), 'knee');
    expect(knee.direction).toBe('down');
    expect(knee.lines.map((line) => line.size?.low)).toEqual([-34, -14]);
    expect(knee.size).toEqual({ low: -34, high: -14 });
    expect(region(turned('stepRate', 5), 'knee').lines[0]!.size).toEqual({ low: -20, high: -20 });
  });

  it('a rocker: forefoot pressure 20–40 % and the ankle’s moment 11–13 % down, knee and hip a little up', () => {
    const changes = turned('rocker', 1);
    expect(region(changes, 'forefoot').size).toEqual({ low: -40, high: -20 });
    expect(region(changes, 'ankle').size).toEqual({ low: -13, high: -11 });
    expect(region(changes, 'knee')).toMatchObject({ direction: 'up', size: null });
    expect(region(changes, 'hip').direction).toBe('up');
  });

  it('more drop: knee up, calf and cord down, forefoot up; the knee’s size only where the clinic set one', () => {
    const changes = turned('drop', 6);
    expect(['knee', 'ankle', 'forefoot'].map((name) => region(changes, name).direction)).toEqual([
      'up',
      'down',
      'up',
    ]);
    expect(region(changes, 'knee').size).toBeNull();
    const set = whatIf(today, { ...today, drop: today.drop - 4 }, { kneePerMmDrop: { low: 1, high: 2 } });
    expect(region(set, 'knee')).toMatchObject({ direction: 'down', size: { low: -8, high: -4 } });
    expect(region(set, 'knee').lines[0]).toMatchObject({ source: 'clinic-setting', recall: null });
  });

  it('softer is not less load: pressure down, impact up by about a tenth', () => {
    const changes = turned('heelCushioning', 2);
    expect(region(changes, 'forefoot').direction).toBe('down');
    expect(region(changes, 'ground')).toMatchObject({ direction: 'up', size: { low: 10.7, high: 12.3 } });
  });

  it('never reads beyond what was measured, and says so', () => {
    const line = region(turned('stepRate', 12), 'knee').lines[0]!;
    expect(line).toMatchObject({ beyond: true, size: { low: -34, high: -34 } });
    expect(region(turned('stepRate', 10), 'knee').lines[0]!.beyond).toBe(false);
  });

  it('nothing turned, nothing changes; back and forth mirror each other', () => {
    expect(
      whatIf(today, today).every((entry) => entry.direction === 'none' && entry.lines.length === 0),
    ).toBe(true);
    const there = region(turned('drop', 10), 'forefoot').size!;
    const back = region(whatIf({ ...today, drop: today.drop + 10 }, today), 'forefoot').size!;
    expect(back).toEqual({ low: -there.high, high: -there.low });
  });

  it('what pulls both ways is mixed', () => {
    expect(region(whatIf(today, { ...today, rocker: 2, forefootStiffness: 5 }), 'ankle').direction).toBe(
      'mixed',
    );
  });

  it('every figure names a source recalled at 60 % or more, or is the clinic’s own', () => {
    for (const effect of EFFECTS)
      if (effect.source !== 'clinic-setting')
        expect(SOURCES[effect.source].recall).toBeGreaterThanOrEqual(60);
      else expect(effect.sizes).toBeUndefined();
  });
});

describe('force from the ground', () => {
  it('70 kg: 1,370 to 2,060 N by arithmetic, and it is told from what joints carry', () => {
    expect(groundForce(70)).toEqual({ least: 1370, most: 2060 });
    expect(groundForceInWords(70)).toContain('1,370–2,060 N at 70 kg');
    expect(groundForceInWords(null)).toContain('about 2–3 times body weight');
    expect(groundForceInWords(null)).toMatch(/Six or seven times.*tendons and joints/);
  });
});

describe('what is only claimed', () => {
  it('a low drop and step rate, a stiff shoe and knee and hip: a direction, and no figure', () => {
    const claimed = EFFECTS.filter(({ source }) => source === 'practice');
    expect(claimed.map(({ lever, region }) => `${lever} ${region}`)).toEqual([
      'drop ground',
      'forefootStiffness knee',
      'forefootStiffness hip',
    ]);
    expect(claimed.every(({ sizes, note }) => sizes === undefined && note === 'claimed, no figure')).toBe(
      true,
    );
  });
});
