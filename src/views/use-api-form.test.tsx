import { screen, waitFor } from '@testing-library/react';
import { act } from 'react';
import { hydrateRoot, type Root } from 'react-dom/client';
import { renderToString } from 'react-dom/server';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { z } from 'zod';
import { LogForm } from './pair/LogForm';
import { useApiForm } from './use-api-form';

const form = <LogForm pairId="p1" today="2030-01-02" clock="km" />;
let root: Root | undefined;

function Name({ onTell }: { onTell: (name: string) => void }) {
  const { register, getValues } = useApiForm(z.object({ name: z.string() }), { name: 'Harbour' });
  return (
    <>
      <input aria-label="Name" {...register('name')} />
      <button type="button" onClick={() => onTell(getValues('name'))}>
        Tell
      </button>
    </>
  );
}

/** As the server drew it, with what was typed before the script came. */
function drawnByTheServer(typed: Readonly<Record<string, string>>): HTMLElement {
  const page = document.createElement('div');
  page.innerHTML = renderToString(form);
  document.body.append(page);
  for (const [label, text] of Object.entries(typed))
    screen.getByLabelText<HTMLInputElement>(label).value = text;
  return page;
}

afterEach(() => {
  act(() => root?.unmount());
  document.body.replaceChildren();
  vi.unstubAllGlobals();
});

describe('what is typed before the script has come', () => {
  it('stays, and is what is sent: a day, a distance, a comfort', async () => {
    const sent: unknown[] = [];
    vi.stubGlobal('fetch', async (_: string, { body }: RequestInit) => {
      sent.push(JSON.parse(String(body)));
      return new Response('{}', { status: 500 });
    });
    const page = drawnByTheServer({ Day: '3 Jan 2030', 'Distance, km': '12', Comfort: '96' });
    await act(async () => {
      root = hydrateRoot(page, form);
    });
    expect(screen.getByLabelText('Day')).toHaveProperty('value', '3 Jan 2030');
    await act(async () => screen.getByRole('button', { name: 'Log' }).click());
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ on: '2030-01-03', distanceKm: 12, comfort: 96 });
  });

  it('stays where the form begins with something else', async () => {
    const told: string[] = [];
    const name = <Name onTell={(typed) => told.push(typed)} />;
    const page = document.createElement('div');
    page.innerHTML = renderToString(name);
    document.body.append(page);
    screen.getByLabelText<HTMLInputElement>('Name').value = 'Harbour Row';
    await act(async () => {
      root = hydrateRoot(page, name);
    });
    screen.getByRole('button').click();
    expect(told).toEqual(['Harbour Row']);
    expect(screen.getByLabelText('Name')).toHaveProperty('value', 'Harbour Row');
  });

  it('nothing typed leaves what the form begins with', async () => {
    const page = drawnByTheServer({});
    await act(async () => {
      root = hydrateRoot(page, form);
    });
    expect(screen.getByLabelText('Day')).toHaveProperty('value', '2 Jan 2030');
    expect(screen.getByLabelText('Comfort')).toHaveProperty('value', '');
  });
});
