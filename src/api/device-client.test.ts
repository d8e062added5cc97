import { afterEach, describe, expect, it, vi } from 'vitest';
import { takeFrom } from './device-client';

const answers = (respond: (address: string) => Response | Promise<Response>) =>
  vi.stubGlobal('fetch', (address: string) => Promise.resolve().then(() => respond(address)));
afterEach(() => vi.unstubAllGlobals());

describe('taking from a simulated device', () => {
  it('asks with its settings and names the file as the device does', async () => {
    let asked = '';
    answers((address) => {
      asked = address;
      return new Response('time_s,row', {
        headers: {
          'content-type': 'text/csv',
          'content-disposition': 'attachment; filename="step-left.csv"',
        },
      });
    });
    const answer = await takeFrom('pressure-plate', { side: 'left', peakKpa: 380.5 });
    expect(asked).toBe('/api/v1/devices/pressure-plate?side=left&peakKpa=380.5');
    expect(answer.ok && answer.file.name).toBe('step-left.csv');
    expect(answer.ok && (await answer.file.text())).toBe('time_s,row');
  });

  it('says the device’s own sentence for a setting it refuses', async () => {
    answers(
      () =>
        new Response(
          JSON.stringify({
            title: 'Some values cannot be accepted.',
            errors: [{ path: ['query', 'archIndex'], message: 'The arch index lies between 0.15 and 0.36.' }],
          }),
          { status: 422 },
        ),
    );
    expect(await takeFrom('footprint-scanner', { archIndex: 2 })).toEqual({
      ok: false,
      message: 'The arch index lies between 0.15 and 0.36.',
    });
  });

  it('a lost connection and an answer that is no JSON are sentences, not exceptions', async () => {
    answers(() => {
      throw new TypeError('network');
    });
    expect(await takeFrom('gait-camera', {})).toMatchObject({
      ok: false,
      message: expect.stringContaining('Nothing is lost'),
    });
    answers(() => new Response('<html>', { status: 500 }));
    expect(await takeFrom('gait-camera', {})).toEqual({ ok: false, message: 'The device did not answer.' });
  });
});
