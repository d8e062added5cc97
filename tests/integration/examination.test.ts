import { PNG } from 'pngjs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { DEVICE_SETTINGS } from '@/contract/devices';
import { findPrint, indicesOf } from '@/core/examination/footprint/read-print';
import { heelAngle } from '@/core/examination/gait/heel-angle';
import { snapLines } from '@/core/examination/gait/skin-marks';
import { readStep } from '@/core/examination/pressure/analyse';
import { maskOf } from '@/core/examination/pressure/masks';
import { measureScan } from '@/core/examination/scan/measure-scan';
import { readMesh } from '@/formats/mesh';
import { readPressureCsv } from '@/formats/pressure-csv';
import { type Actor, asTenant } from '@/server/database/tenant';
import { heavy } from '@/server/heavy/heavy';
import { addPatient } from '@/server/services/patients/patients';
import { readExamination } from '@/server/services/visits/examination-records';
import { closeVisit, loadVisit, saveStep, startVisit } from '@/server/services/visits/visits';
import { gaitFrame } from '@/simulators/gait-camera';
import { freshDatabase, type TestDatabase } from './database';

let db: TestDatabase;
let me: Actor;
beforeAll(async () => {
  db = await freshDatabase();
  me = db.clinicA.practitioner;
});
afterAll(() => db.drop());

const readPng = (bytes: Uint8Array) => PNG.sync.read(Buffer.from(bytes));
const value = <T>(result: { ok: true; value: T } | { ok: false; problem: { message: string } }): T => {
  if (!result.ok) throw new Error(result.problem.message);
  return result.value;
};

describe('what a simulated device was set to is read back from its file', () => {
  it('footprint scanner: PNG, arch index within 0.01', async () => {
    for (const archIndex of [0.19, 0.24, 0.29]) {
      const settings = DEVICE_SETTINGS.footprintScanner.parse({ archIndex, side: 'left', pixelsPerMm: 2.5 });
      const { bytes, type } = await heavy('footprintScanner', settings);
      expect(type).toBe('image/png');
      const print = value(findPrint(readPng(bytes), { side: 'left' }));
      expect(Math.abs(value(indicesOf(print)).archIndex - archIndex)).toBeLessThan(0.01);
    }
  });

  it('pressure plate: CSV, peak exact to its 0.1 kPa, excursion index within one point', async () => {
    const settings = DEVICE_SETTINGS.pressurePlate.parse({ peakKpa: 388.4, excursionIndex: 17 });
    const recording = value(
      readPressureCsv(new TextDecoder().decode((await heavy('pressurePlate', settings)).bytes)),
    );
    const step = readStep(recording, maskOf(recording, 'right'));
    expect(step.peakKpa).toBeCloseTo(388.4, 4);
    expect(Math.abs(step.excursionIndex! - 17)).toBeLessThan(1);
  });

  it('foot scanner: STL in inches with its floor, lengths within 1 mm, girths within 2', async () => {
    const settings = DEVICE_SETTINGS.footScanner.parse({ unit: 'in', floor: 'yes', lengthMm: 247, turn: 70 });
    const mesh = value(
      readMesh('foot.stl', new Uint8Array((await heavy('footScanner', settings)).bytes).buffer),
    );
    const reading = value(measureScan(mesh, { side: 'right', unit: null }));
    expect(reading.unit).toBe('in');
    expect(Math.abs(reading.measures.footLength - 247)).toBeLessThan(1);
    expect(Math.abs(reading.measures.ballWidth - settings.ballWidthMm)).toBeLessThan(1);
    expect(Math.abs(reading.measures.ballGirth - settings.ballGirthMm)).toBeLessThan(2);
  });

  it('gait camera: PNG frames, heel angle within 0.5°', async () => {
    const settings = DEVICE_SETTINGS.gaitCamera.parse({ side: 'left', stanceDeg: 4, frame: 0 });
    const picture = readPng((await heavy('gaitCamera', settings)).bytes);
    const { marks } = gaitFrame(settings, 0);
    expect(Math.abs(heelAngle(snapLines(picture, marks, 12)!, 'left') - 4)).toBeLessThan(0.5);
  });

  it('a dozen at once are made a few at a time; whoever is too many is told to come again', async () => {
    const settings = DEVICE_SETTINGS.pressurePlate.parse({});
    const asked = await Promise.allSettled(
      Array.from({ length: 14 }, () => heavy('pressurePlate', settings)),
    );
    const refused = asked.filter((one) => one.status === 'rejected');
    expect(asked.filter((one) => one.status === 'fulfilled')).toHaveLength(10);
    expect(refused.every(({ reason }) => reason.status === 503)).toBe(true);
    // And the next one is served again.
    expect((await heavy('pressurePlate', settings)).type).toMatch(/csv/);
  });

  it('refuses settings out of range with a sentence', () => {
    const refused = DEVICE_SETTINGS.footprintScanner.safeParse({ archIndex: 2 });
    expect(refused.error?.issues[0]?.message).toBe('The arch index lies between 0.15 and 0.36.');
  });
});

describe('an examination over several visits', () => {
  const at = '2030-01-10T09:40:00.000Z';
  const injury = {
    id: 'm1',
    side: 'left',
    view: 'outer',
    site: 'ankle-outer',
    x: 34,
    y: 34,
    layer: 'injury',
    what: 'lateral-sprain',
    on: '2028-05',
  };

  async function examined(): Promise<{ patientId: string; visitId: string }> {
    return asTenant(me, async (tenant) => {
      const { id: patientId } = await addPatient(tenant, {
        givenName: 'Nora',
        familyName: 'Examined',
        bornOn: '1970-05-06',
        sizingGroup: 'women',
      });
      const { id: visitId } = await startVisit(tenant, patientId);
      const save = (step: Parameters<typeof saveStep>[2], content: unknown) =>
        saveStep(tenant, visitId, step, { revision: 0, state: 'done', content });
      await save('ask', {
        findings: { left: { injuries: ['lateral-sprain'], pain: ['calf'] } },
        marks: [injury],
      });
      await save('feet', {
        findings: {
          left: { footLength: 247, archIndex: 0.28 },
          taken: { 'left.archIndex': { at, by: me.name, with: 'footprint', method: 'print' } },
        },
        swelling: [{ at: '2030-01-10T08:30', left: { figureOfEight: 498 } }],
      });
      return { patientId, visitId };
    });
  }

  it('carries injuries and shows numbers, and looks past a review that examined nothing', async () => {
    const { patientId, visitId } = await examined();
    const visit = await asTenant(me, async (tenant) => {
      await closeVisit(tenant, visitId, 'seen');
      const review = await startVisit(tenant, patientId);
      await closeVisit(tenant, review.id, 'review only');
      return loadVisit(tenant, (await startVisit(tenant, patientId)).id);
    });
    expect(visit.carried?.findings.left).toEqual({ injuries: ['lateral-sprain'] });
    expect(visit.carried?.injuries).toEqual([injury]);
    expect(visit.earlier).toHaveLength(1);
    expect(visit.earlier[0]).toMatchObject({
      findings: { left: { footLength: 247, archIndex: 0.28 } },
      swelling: [{ at: '2030-01-10T08:30', left: { figureOfEight: 498 } }],
    });
    expect(visit.reader).toBe(me.name);
  });

  it('reads as a record with method and observer, derived values and what is missing', async () => {
    const { visitId } = await examined();
    const record = await asTenant(me, (tenant) => readExamination(tenant, visitId));
    expect(record.taken.find((line) => line.finding === 'archIndex')).toMatchObject({
      value: '0.28',
      instrument: 'footprint picture',
      by: me.name,
      at,
    });
    expect(record.taken.find((line) => line.finding === 'arch')?.value).toBe('low');
    expect(record.notExamined.some((line) => line.label === '10 g monofilament')).toBe(true);
  });

  it('refuses a mark on no place, an impossible date and a girth in centimetres, each with its path', async () => {
    const { visitId } = await examined();
    const refuse = (step: 'ask' | 'feet', content: unknown) =>
      asTenant(me, (tenant) =>
        saveStep(tenant, visitId, step, { revision: 1, state: 'done', content }),
      ).catch((error) => error.extra.errors.map((entry: { path: string[] }) => entry.path.join('.')));
    expect(await refuse('ask', { findings: {}, marks: [{ ...injury, site: 'elbow' }] })).toContain(
      'content.marks.0.site',
    );
    expect(await refuse('ask', { findings: {}, marks: [{ ...injury, on: '2028-13' }] })).toContain(
      'content.marks.0.on',
    );
    expect(
      await refuse('feet', {
        findings: {},
        swelling: [{ at: '2030-01-10T08:30', left: { figureOfEight: 49.8 } }],
      }),
    ).toContain('content.swelling.0.left.figureOfEight');
  });
});
