import { readFileSync } from 'node:fs';
import { gzipSync as gzipOfNode } from 'node:zlib';
import { gzipSync, strToU8, zipSync } from 'fflate';
import { getDistance, getPathLength } from 'geolib';
import { describe, expect, it } from 'vitest';
import type { Outing } from '@/core/tracks/track';
import { ungzip, unzipTracks } from './archive';
import { readOutings } from './read-file';

const NOW = Date.UTC(2026, 10, 26) / 1000;
const fixture = (name: string) =>
  new Uint8Array(readFileSync(new URL(`../../../tests/fixtures/tracks/${name}`, import.meta.url)));
const read = (bytes: Uint8Array | string, name: string, stepM: number | null = null) =>
  readOutings(typeof bytes === 'string' ? strToU8(bytes) : bytes, name, { now: NOW, stepM });
async function one(bytes: Uint8Array | string, name: string, stepM: number | null = null): Promise<Outing> {
  const [first, ...others] = await read(bytes, name, stepM);
  expect(others).toEqual([]);
  if (!first?.ok) throw new Error(first?.problem.message ?? 'nothing was read');
  return first.value;
}
const problem = async (bytes: Uint8Array | string, name: string) => {
  const [first] = await read(bytes, name);
  if (!first || first.ok) throw new Error('was read');
  return first.problem.message;
};

/** A straight way to the north, one point each ten seconds. */
const gpx = (points: number, part: (at: number) => string = () => '', type = 'running') =>
  `<gpx version="1.1"><trk><type>${type}</type><trkseg>${Array.from(
    { length: points },
    (_, at) =>
      `<trkpt lat="${(50 + at * 0.00025).toFixed(6)}" lon="7"><time>${new Date(Date.UTC(2026, 5, 1, 7, 0, at * 10)).toISOString()}</time>${part(at)}</trkpt>`,
  ).join('')}</trkseg></trk></gpx>`;

/** What gpsbabel 1.8 summed of the same track when it wrote it as TCX. */
const GPSBABEL_KM = 1.71201;

describe('a track that another program wrote', () => {
  it.each(['run.gpx', 'run.tcx', 'run.fit'])('%s is as long as gpsbabel says, within 1 %', async (name) => {
    const outing = await one(fixture(name), name);
    expect(Math.abs(outing.km / GPSBABEL_KM - 1)).toBeLessThan(0.01);
    expect(outing.from).toBe(Date.UTC(2026, 9, 3, 7) / 1000);
    expect(outing.notes).toEqual([]);
  });

  it('is as long as geolib says, within 1 %', async () => {
    const text = new TextDecoder().decode(fixture('run.gpx'));
    const points = [...text.matchAll(/lat="([-\d.]+)" lon="([-\d.]+)"/g)].map(([, lat, lon]) => ({
      latitude: Number(lat),
      longitude: Number(lon),
    }));
    const { km, sport } = await one(text, 'run.gpx');
    expect(Math.abs((km * 1000) / getPathLength(points, (a, b) => getDistance(a, b, 0.01)) - 1)).toBeLessThan(
      0.01,
    );
    expect(sport).toBe('running');
  });

  it('says the same in all three kinds', async () => {
    const all = await Promise.all(['run.gpx', 'run.tcx', 'run.fit'].map((name) => one(fixture(name), name)));
    for (const outing of all) {
      expect(outing.km).toBeCloseTo(all[0]!.km, 2);
      expect(outing.to).toBe(all[0]!.to);
    }
    expect(Math.abs(all[1]!.ascentM! - all[0]!.ascentM!)).toBeLessThanOrEqual(1);
  });
});

describe('bad tracks', () => {
  const degreeKm = 111.195;
  const length = (points: number) => (points - 1) * 0.00025 * degreeKm;

  it('time that goes back is left out and said', async () => {
    const text = gpx(40).replace('07:02:00', '06:00:00');
    expect((await one(text, 'a.gpx')).notes).toEqual([{ kind: 'clock-went-back', points: 1 }]);
  });

  it('points without a position are left out; the way between is a straight line', async () => {
    const text = gpx(40).replaceAll(/lat="50\.00[23]\d+" lon="7"/g, 'lat="" lon=""');
    const outing = await one(text, 'a.gpx');
    expect(outing.km).toBeCloseTo(length(40), 2);
    expect(outing.notes.map(({ kind }) => kind)).toEqual(['no-position', 'gap']);
  });

  it('a jump of the position and a ferry are not walked', async () => {
    const text = gpx(40).replace('lat="50.005000"', 'lat="51.9"');
    const outing = await one(text, 'a.gpx');
    expect(outing.km).toBeLessThan(length(40) + 0.01);
    expect(outing.notes.map(({ kind }) => kind)).toEqual(['too-fast']);
  });

  it('a clock that was wrong gives no day', async () => {
    for (const year of ['1980', '2033']) {
      const outing = await one(gpx(10).replaceAll('2026-06-01', `${year}-06-01`), 'a.gpx');
      expect([outing.from, outing.notes]).toEqual([null, [{ kind: 'no-day' }]]);
    }
  });

  it('no file of such a kind ends in anything but an outing or one sentence', async () => {
    expect(await problem(gpx(10).slice(0, -30), 'half.gpx')).toMatch(
      /half\.gpx, line 1: this is no complete/,
    );
    expect(await problem('<gpx></gpx>', 'none.gpx')).toBe('none.gpx holds no track.');
    expect(await problem(gpx(1), 'point.gpx')).toContain('no positions and no distance');
    expect(await problem(fixture('run.fit').subarray(0, 900), 'half.fit')).toContain(
      'half.fit cannot be read',
    );
    expect(await problem(new Uint8Array([1, 2, 3]), 'x.fit')).toContain('x.fit cannot be read');
    expect(await problem('a', 'picture.jpg')).toContain('can be read');
  });

  it('a file that expands into itself stays what it is', async () => {
    const bomb = `<!DOCTYPE x [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;">]>${gpx(3, () => '<name>&b;</name>')}`;
    const results = await read(bomb, 'bomb.gpx');
    expect(JSON.stringify(results).length).toBeLessThan(2000);
  });
});

describe('what devices add', () => {
  it('cadence is that of one foot, and of those moving', async () => {
    const text = gpx(
      30,
      (at) =>
        `<extensions><gpxtpx:TrackPointExtension><gpxtpx:cad>${at < 5 ? 0 : 84}</gpxtpx:cad></gpxtpx:TrackPointExtension></extensions>`,
    ).replace('<gpx ', '<gpx xmlns:gpxtpx="x" ');
    expect((await one(text, 'a.gpx')).cadence).toBe(84);
  });
  it('climb leaves the noise out; a hilly way is one off the road', async () => {
    const noisy = await one(
      gpx(60, (at) => `<ele>${100 + (at % 2)}</ele>`),
      'a.gpx',
    );
    expect([noisy.ascentM, noisy.surface]).toEqual([0, 'road']);
    const hilly = await one(
      gpx(60, (at) => `<ele>${100 + at * 2}</ele>`),
      'a.gpx',
    );
    expect(hilly.surface).toBe('trail');
    expect(hilly.ascentM!).toBeGreaterThan(110);
  });
  it('a run indoors without positions is as long as its device says', async () => {
    const tcx = `<TrainingCenterDatabase><Activities><Activity Sport="Running"><Lap><DistanceMeters>5000</DistanceMeters><Track><Trackpoint><Time>2026-06-01T07:00:00Z</Time></Trackpoint><Trackpoint><Time>2026-06-01T07:30:00Z</Time></Trackpoint></Track></Lap></Activity></Activities></TrainingCenterDatabase>`;
    expect(await one(tcx, 'mill.tcx')).toMatchObject({ km: 5, notes: [{ kind: 'device-distance' }] });
  });
});

describe('tables', () => {
  it('steps become a distance by the stated step', async () => {
    const outing = await one('day,steps\n2026-06-01,10000', 's.csv', 0.7);
    expect([outing.km, outing.sport]).toEqual([7, 'walking']);
  });
  it('outings with a decimal comma, and minutes', async () => {
    const outing = await one('start;km;minutes\n2026-06-01 07:30;8,4;50', 'o.csv');
    expect(outing.km).toBe(8.4);
    expect(outing.to! - outing.from!).toBe(3000);
  });
  it.each([
    ['day,steps\n2026-06-01,10000', null, 'enter how long a step is'],
    ['day,steps\n2026-13-01,10', 0.7, 'line 2: “2026-13-01” is no day'],
    ['day,steps\n2026-06-01,ten', 0.7, 'line 2: “ten” is no number'],
    ['when,what\n1,2', 0.7, 'line 1: the columns are'],
    ['day,steps\n2026-06-01,10000', 5, 'A step is 0.2 to 1.6 m long'],
  ])('%j is refused', async (text, stepM, message) => {
    const [first] = await read(text, 't.csv', stepM);
    expect(first!.ok ? '' : first!.problem.message).toContain(message);
  });
});

describe('archives', () => {
  it('give their tracks and pass over what lies beside them', () => {
    const zip = zipSync({
      'tracks/a.gpx': strToU8(gpx(5)),
      'photo.jpg': new Uint8Array(9),
      '__MACOSX/a.gpx': new Uint8Array(2),
    });
    const files = unzipTracks(zip, 'all.zip');
    expect(files.ok && files.value.map(({ name }) => name)).toEqual(['tracks/a.gpx']);
  });
  it('that unpack to more than tracks have are not opened, whatever their heading says', () => {
    const bomb = zipSync({ 'a.gpx': new Uint8Array(90 * 1024 * 1024) }, { level: 1 });
    expect(bomb.length).toBeLessThan(500_000);
    const files = unzipTracks(bomb, 'bomb.zip');
    expect(!files.ok && files.problem.message).toContain('not opened');
    const gz = new Uint8Array(gzipOfNode(new Uint8Array(90 * 1024 * 1024), { level: 1 }));
    const plain = ungzip(gz, 'bomb.gpx.gz');
    expect(!plain.ok && plain.problem.code).toBe('too-large');
  });
  it('that are broken, or hold none, say so', () => {
    const cut = unzipTracks(zipSync({ 'a.gpx': strToU8(gpx(50)) }).subarray(0, 100), 'cut.zip');
    expect(cut.ok).toBe(false);
    const none = unzipTracks(zipSync({ 'a.txt': strToU8('x') }), 'none.zip');
    expect(!none.ok && none.problem.message).toContain('holds no tracks');
  });
  it('a packed file is read as what it is', async () => {
    expect((await one(gzipSync(fixture('run.fit')), 'run.fit.gz')).km).toBeCloseTo(GPSBABEL_KM, 1);
  });
});
