import { cleanup, fireEvent, screen, within } from '@testing-library/react';
import { settle } from '@tests/fixtures/acting';
import { SCAN_MEASURES } from '@tests/fixtures/scan-measures';
import { serve, showInVisit } from '@tests/fixtures/visit-view';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Side } from '@/core/findings/finding-kinds';
import { definitionOf, shortLabelOf } from '@/core/findings/findings';
import type { ScanQuestion } from '@/workers/scan-worker';
import type { TaskRequest } from '@/workers/task';
import Scans from './Scans';

vi.mock('./MeshView', () => ({ default: () => null }));

const readingOf = (side: Side) => ({
  side,
  measures: SCAN_MEASURES,
  unit: 'mm',
  triangles: 12_000,
  notes: [{ message: 'One hole was closed.' }],
});

const TAKE = `Take ${definitionOf('footLength').label}, left`;

type Say = (message: object) => void;
/** What the worker does with a question; it may speak later. */
let work: (question: ScanQuestion, say: Say) => void;
let ended = 0;

beforeEach(() => {
  serve({});
  ended = 0;
  vi.stubGlobal(
    'Worker',
    class {
      onmessage: ((event: { data: unknown }) => void) | null = null;
      private readonly isScan: boolean;
      constructor(url: URL) {
        this.isScan = String(url).includes('scan-worker');
      }
      postMessage({ id, question }: TaskRequest<ScanQuestion>) {
        if (!this.isScan) return;
        queueMicrotask(() => work(question, (message) => this.onmessage?.({ data: { id, ...message } })));
      }
      terminate() {
        if (this.isScan) ended += 1;
      }
    },
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** Gives a file to the left scan as a person does. */
async function takeFile() {
  fireEvent.click(screen.getByRole('button', { name: 'Take a scan, left' }));
  await settle();
  const file = new File(['solid'], 'foot.stl');
  fireEvent.change(screen.getByLabelText('From a file'), { target: { files: [file] } });
  await settle();
}
const left = () => screen.getByRole('region', { name: 'Scan, left' });

describe('a scan of one foot', () => {
  it('each measure is held against the tape; past the error of measuring it is marked; one press takes it', async () => {
    work = ({ side }, say) => say({ result: { ok: true, value: readingOf(side) } });
    const { store } = await showInVisit(<Scans />, {
      contents: { feet: { findings: { left: { footLength: 257, ballWidth: 92 } } } },
    });
    await takeFile();
    const row = (id: 'footLength' | 'ballWidth') =>
      within(left())
        .getByRole('rowheader', { name: shortLabelOf(id) })
        .closest('tr')!;
    const apart = (id: 'footLength' | 'ballWidth') => within(row(id)).getAllByRole('cell')[2]!;
    expect(apart('footLength').textContent).toBe('1');
    expect(apart('footLength').className).not.toContain('text-hold');
    expect(apart('ballWidth').textContent).toBe('7');
    expect(apart('ballWidth').className).toContain('text-hold');
    fireEvent.click(screen.getByRole('button', { name: TAKE }));
    expect(store.content('feet').findings.left?.footLength).toBe(258);
    expect(store.content('feet').findings.taken?.['left.footLength']).toMatchObject({ with: 'scan' });
    expect(screen.getByRole('button', { name: TAKE })).toHaveProperty('disabled', true);
    expect(store.content('feet').findings.left?.ballWidth).toBe(92);
    fireEvent.click(screen.getByRole('button', { name: 'Keep all, left' }));
    expect(store.content('feet').findings.left).toMatchObject({
      ballWidth: 99,
      ballGirth: 246,
      toeHeight: 24,
    });
    expect(store.content('feet').findings.right).toBeUndefined();
  });

  it('a file whose unit cannot be told asks for it, and is read again in that unit', async () => {
    const asked: (string | null)[] = [];
    work = ({ side, unit }, say) => {
      asked.push(unit);
      say(
        unit === null
          ? { result: { ok: false, problem: { code: 'unit', message: 'In which unit is this file?' } } }
          : { result: { ok: true, value: readingOf(side) } },
      );
    };
    await showInVisit(<Scans />);
    await takeFile();
    expect(within(left()).getByRole('alert').textContent).toContain('In which unit is this file?');
    fireEvent.click(within(left()).getByRole('button', { name: 'cm' }));
    await settle();
    expect(asked).toEqual([null, 'cm']);
    expect(within(left()).queryByRole('alert')).toBeNull();
    expect(left().textContent).toContain('One hole was closed.');
  });

  it('a long reading shows its stage, and cancelled it ends its worker and leaves the visit alone', async () => {
    work = (_, say) => say({ stage: 'finding the floor', share: 0.4 });
    const { store } = await showInVisit(<Scans />);
    await takeFile();
    expect(within(left()).getByRole('progressbar').getAttribute('value')).toBe('0.4');
    expect(left().textContent).toContain('finding the floor');
    fireEvent.click(within(left()).getByRole('button', { name: 'Cancel' }));
    expect(ended).toBe(1);
    expect(left().textContent).toContain('Cancelled. Nothing in the visit has changed.');
    expect(store.content('feet').findings).toEqual({});
  });

  it('a bad file is one sentence, says that the visit is safe, and offers no unit', async () => {
    work = (_, say) =>
      say({
        result: { ok: false, problem: { code: 'format', message: 'This is no STL, PLY or OBJ file.' } },
      });
    await showInVisit(<Scans />);
    await takeFile();
    expect(within(left()).getByRole('alert').textContent).toContain('Nothing in the visit has changed.');
    expect(within(left()).queryByRole('button', { name: 'cm' })).toBeNull();
  });

  it('the simulated scanner that cannot be reached says so inside its dialog', async () => {
    work = () => {};
    await showInVisit(<Scans />);
    fireEvent.click(screen.getByRole('button', { name: 'Take a scan, left' }));
    await settle();
    fireEvent.click(screen.getByRole('button', { name: 'Take from the simulated device' }));
    await settle();
    expect(within(screen.getByRole('dialog')).getByRole('alert').textContent).not.toBe('');
  });
});
