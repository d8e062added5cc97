import { randomUUID } from 'node:crypto';
import { expect, test } from '@playwright/test';
import { ROUTES } from '@/contract/routes';
import { signIn } from '../keyboard';
import { secondClinic } from '../second-clinic';
import { origin, running } from '../server';

test('another clinic’s identifiers open nothing, and the answer is the one to an identifier that nobody has', async ({
  page,
}) => {
  await signIn(page, 'lead');
  const home = page.request;
  const read = async (path: string) => (await home.get(`${origin()}/api/v1${path}`)).json();
  const patients = await read('/patients');
  const patient = await read(
    `/patients/${patients.find(({ familyName }: { familyName: string }) => familyName === 'Pell').id}`,
  );
  const ids: Record<string, string[]> = {
    patients: [patient.id],
    visits: patient.visits.map(({ id }: { id: string }) => id),
    pairs: patient.pairs.map(({ id }: { id: string }) => id),
    specifications: patient.visits.flatMap(({ handedOver }: { handedOver: { specificationId: string }[] }) =>
      handedOver.map(({ specificationId }) => specificationId),
    ),
    models: (await read('/models')).slice(0, 1).map(({ id }: { id: string }) => id),
    orders: (await read('/orders')).slice(0, 1).map(({ id }: { id: string }) => id),
    tokens: [],
    consents: patient.consents.map(({ id }: { id: string }) => id),
    sites: (await read('/sites')).map(({ id }: { id: string }) => id),
    sessions: (await read('/sessions')).map(({ id }: { id: string }) => id),
    people: (await read('/people')).map(({ id }: { id: string }) => id),
  };
  const everyId = Object.values(ids).flat();
  expect(everyId.length).toBeGreaterThan(8);

  const stranger = (await secondClinic(running().databaseUrl, origin())).api;
  try {
    const ask = async (method: string, path: string) => {
      const answer = await stranger.fetch(path, { method, ...(method === 'GET' ? {} : { data: {} }) });
      // A reference and the identifier that was asked for differ from call to call.
      return {
        status: answer.status(),
        body: (await answer.text()).replace(/[0-9a-f]{8}(-[0-9a-f-]{27})?/g, '…'),
      };
    };
    for (const [name, { method, path }] of Object.entries(ROUTES)) {
      const kind = path.split('/')[1]!;
      const at = (id: string) => `/api/v1${path.replace('{step}', 'ask').replace('{id}', id)}`;
      if (!path.includes('{id}')) {
        if (method !== 'GET') continue;
        const list = await (await stranger.get(at(''))).text();
        for (const id of everyId) expect(list.includes(id), `${name} tells of ${id}`).toBe(false);
        continue;
      }
      for (const id of ids[kind] ?? []) {
        const theirs = await ask(method, at(id));
        expect(theirs, name).toEqual(await ask(method, at(randomUUID())));
        expect(theirs.status, name).toBeGreaterThanOrEqual(400);
      }
    }
    const pages = [
      `/patients/${ids.patients![0]}`,
      ...ids
        .visits!.slice(0, 2)
        .flatMap((id) =>
          ['', '/sheet', '/sheet.pdf', '/rationale', '/examination'].map((part) => `/visits/${id}${part}`),
        ),
      ...ids.specifications!.map((id) => `/specifications/${id}`),
      `/shoes/${ids.models![0]}`,
    ];
    for (const path of pages) {
      const answer = await stranger.get(path);
      expect(answer.status(), path).toBe(404);
      expect(await answer.text(), path).not.toMatch(/Pell|Odran/);
    }
    // And nothing changed at home.
    expect(await read(`/patients/${patient.id}`)).toEqual(patient);
  } finally {
    await stranger.dispose();
  }
});
