import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { press, saidAt, settle, write } from '@tests/fixtures/acting';
import { clinicRecord } from '@tests/fixtures/visit-record';
import { serve } from '@tests/fixtures/visit-view';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { USUAL_FORMATS } from '@/core/formats/formats';
import { browserInWords } from './browser-in-words';
import { ClinicFormats } from './ClinicFormats';
import { ClinicName } from './ClinicName';
import { MySite } from './MySite';
import { Sessions } from './Sessions';
import { Sites } from './Sites';
import { Tokens } from './Tokens';

afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const clinic = clinicRecord();
const refused = (status: number, code: string, title: string, errors: object[] = []) => ({
  status,
  body: { status, code, title, errors },
});

describe('formats', () => {
  it('show an example of what is chosen, and are saved whole', async () => {
    const calls = serve({ 'PATCH /clinic': () => ({ body: clinic }) });
    render(<ClinicFormats formats={USUAL_FORMATS} />);
    expect(screen.getByText(/480 km, €129.50/)).toBeTruthy();
    write('Distances', 'mi');
    await settle();
    expect(screen.getByText(/298 mi/)).toBeTruthy();
    expect(calls[0]!.body).toEqual({ formats: { ...USUAL_FORMATS, distance: 'mi' } });
  });
});

describe('a second factor for everybody', () => {
  it('is not asked for by who has none: they would lock themselves out', () => {
    serve({});
    render(<ClinicName clinic={clinic} mine={false} />);
    expect(screen.getByRole('checkbox')).toHaveProperty('disabled', true);
    expect(screen.getByText(/lock yourself out/)).toBeTruthy();
  });

  it('goes back to what it was where the server refuses', async () => {
    serve({ 'PATCH /clinic': () => refused(403, 'forbidden', 'Only lead may do this.') });
    render(<ClinicName clinic={clinic} mine />);
    fireEvent.click(screen.getByRole('checkbox'));
    await settle();
    expect(screen.getByRole('checkbox')).toHaveProperty('checked', false);
    expect(screen.getByRole('status').textContent).toContain('Only lead');
  });
});

describe('sites', () => {
  const harbour = { id: 's1', name: 'Harbour', place: 'Quay 3', closed: false };

  it('a name that is taken is said at its field; a closed one can be opened again', async () => {
    const calls = serve({
      'POST /sites': () =>
        refused(422, 'invalid', 'Some values cannot be accepted.', [
          { path: ['name'], message: 'Another site has this name.' },
        ]),
      'PATCH /sites/s1': () => ({ status: 204, body: null }),
      'GET /sites': () => ({ body: [{ ...harbour, closed: true }] }),
    });
    render(<Sites sites={[harbour]} />);
    write('Name of the site', 'Harbour');
    write('Its place', 'Quay 4');
    await press('Add the site');
    expect(saidAt(screen.getByLabelText('Name of the site'))).toContain('Another site');
    expect(screen.getByLabelText('Its place')).toHaveProperty('value', 'Quay 4');
    await press('Close: Harbour');
    expect(calls[1]!.body).toEqual({ closed: true });
    expect(screen.getByRole('button', { name: 'Open again: Harbour' })).toBeTruthy();
  });

  it('one says where one works; a closed site is not offered', async () => {
    const calls = serve({ 'POST /sites/mine': () => ({ status: 204, body: null }) });
    const hill = { id: 's2', name: 'Hill', place: 'Upper Lane', closed: true };
    render(<MySite sites={[harbour, hill]} mine={null} />);
    expect(screen.queryByText('Hill, Upper Lane')).toBeNull();
    write('You work at', 's1');
    await settle();
    expect(calls[0]!.body).toEqual({ site: 's1' });
    write('You work at', '');
    await settle();
    expect(calls[1]!.body).toEqual({ site: null });
  });
});

describe('where one is signed in', () => {
  const session = (id: string, here: boolean) => ({
    id,
    browser: 'Mozilla/5.0 (Windows NT 10.0) AppleWebKit/537.36 Chrome/140.0 Safari/537.36',
    since: '2030-01-01T08:00:00.000Z',
    lastUsedAt: '2030-01-02T09:30:00.000Z',
    here,
  });

  it('this browser has no button; another is signed out and goes from the list', async () => {
    const calls = serve({
      'DELETE /sessions/b': () => ({ status: 204, body: null }),
      'GET /sessions': () => ({ body: [session('a', true)] }),
    });
    render(<Sessions sessions={[session('a', true), session('b', false)]} />);
    expect(screen.getAllByText('Chrome or Chromium on Windows')).toHaveLength(2);
    expect(screen.getAllByText('last used 2 Jan 2030, 09:30')).toHaveLength(2);
    await press('Sign out');
    expect(calls).toHaveLength(2);
    expect(screen.queryByRole('button', { name: 'Sign out' })).toBeNull();
  });

  it('browsers are named as their owners call them', () => {
    expect(browserInWords('Mozilla/5.0 (X11; Linux x86_64; rv:140.0) Gecko/20100101 Firefox/140.0')).toBe(
      'Firefox on Linux',
    );
    expect(
      browserInWords(
        'Mozilla/5.0 (iPhone; CPU iPhone OS 18_0 like Mac OS X) AppleWebKit/605.1.15 Version/18.0 Safari/604.1',
      ),
    ).toBe('Safari on iPhone or iPad');
    expect(browserInWords('')).toBe('Unknown browser');
    expect(browserInWords('curl/8.1')).toBe('curl/8.1');
  });
});

describe('a token that may do less', () => {
  it('carries the areas that were chosen; none chosen is said, and nothing goes out', async () => {
    const calls = serve({
      'POST /tokens': () => ({ status: 201, body: { id: 't', token: 'once' } }),
      'GET /tokens': () => ({ body: [] }),
    });
    render(<Tokens tokens={[]} />);
    write('Name', 'catalogue');
    fireEvent.click(screen.getByLabelText('every area'));
    await press('Make a token');
    expect(screen.getByRole('alert').textContent).toContain('at least one area');
    expect(calls).toEqual([]);
    fireEvent.click(screen.getByLabelText('shoes'));
    await press('Make a token');
    expect(calls[0]!.body).toEqual({ name: 'catalogue', days: 90, access: 'read', areas: ['shoes'] });
  });
});
