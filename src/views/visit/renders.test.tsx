import { cleanup, fireEvent, render } from '@testing-library/react';
import { settleUntilGone } from '@tests/fixtures/acting';
import { rendersDuring } from '@tests/fixtures/renders';
import { visitRecord } from '@tests/fixtures/visit-record';
import { serve, stubWorkers } from '@tests/fixtures/visit-view';
import { afterAll, afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { VisitTable } from './VisitTable';

/** What draws a whole step. */
const OF_A_STEP = ['Ask', 'Feet', 'MeasureFeet', 'BothFeet', 'Sections', 'BodyMap'];

beforeEach(() => {
  localStorage.clear();
  stubWorkers({});
  serve({});
});
afterEach(() => {
  cleanup();
  location.hash = '';
});
afterAll(() => vi.unstubAllGlobals());

/** The measures of a step, which stands open. */
async function measuresOf(step: string): Promise<HTMLInputElement[]> {
  location.hash = step;
  render(<VisitTable visit={visitRecord({ id: crypto.randomUUID() })} />);
  await settleUntilGone('Opening …');
  return [...document.querySelectorAll<HTMLInputElement>('section [data-field] input[inputmode=text]')];
}

describe('one keystroke', () => {
  it.each(['ask', 'feet', 'prosthesis'])('in %s draws its own field again and no other', async (step) => {
    const measures = await measuresOf(step);
    expect(measures.length).toBeGreaterThan(3);
    const renders = await rendersDuring(() => fireEvent.change(measures[0]!, { target: { value: '6' } }));
    expect([renders.OneFinding, renders.BandLine]).toEqual([1, 1]);
    for (const name of OF_A_STEP) expect(renders[name], name).toBeUndefined();
    // The panel: at once, and when the worker has answered.
    expect(renders.SpecificationPanel).toBeLessThanOrEqual(2);
    expect(renders.SpecificationPanel).toBeGreaterThan(0);
  });
});
