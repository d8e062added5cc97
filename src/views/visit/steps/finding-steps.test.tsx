import { act, cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { serve, showInVisit, stubWorkers } from '@tests/fixtures/visit-view';
import type { ReactNode } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { FINDING_STEPS, type FindingStep } from '@/core/findings/finding-kinds';
import { definitionOf, FINDING_IDS, type FindingId } from '@/core/findings/findings';
import type { VisitContents } from '@/core/visit/contents';
import { Ask } from './ask/Ask';
import { Feet } from './feet/Feet';
import { Load } from './Load';
import { Move } from './Move';
import { OldPair } from './old-pair/OldPair';

const SCREENS: Record<FindingStep, ReactNode> = {
  ask: <Ask />,
  'old-pair': <OldPair />,
  feet: <Feet />,
  load: <Load />,
  move: <Move />,
};

beforeEach(() => {
  stubWorkers({});
  serve({});
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

/** What is lazy has come. */
const settle = async () => {
  await act(async () => {
    await new Promise((resolve) => setTimeout(resolve, 0));
  });
  await waitFor(() => expect(screen.queryByText('Opening …')).toBeNull(), { timeout: 20_000 });
};

/** A lifter, runner and court player with a prosthesis, an insert and a child on the way, so that what is asked of such people alone is asked. */
const contents: VisitContents = {
  ask: {
    findings: {
      body: {
        prosthesisSide: 'left',
        activities: ['lifting-upright', 'court', 'road-running'],
        conditions: ['pregnancy'],
      },
      right: { insert: 'orthosis' },
    },
  },
};

/** Findings that a step has a field for, tab by tab. */
async function fieldsOf(step: FindingStep): Promise<Set<string>> {
  const { container } = await showInVisit(SCREENS[step], { contents });
  const found = new Set<string>();
  const look = () => {
    for (const field of container.querySelectorAll('[data-finding]')) {
      const [, id] = field.getAttribute('data-finding')!.split('.');
      found.add(id!);
    }
  };
  look();
  for (const tab of screen.queryAllByRole('tab')) {
    fireEvent.mouseDown(tab);
    await settle();
    look();
  }
  cleanup();
  return found;
}

/** A field by its label, on whichever tab it stands. */
async function fieldOn(label: string): Promise<HTMLElement> {
  for (const tab of screen.queryAllByRole('tab')) {
    if (screen.queryByLabelText(label)) break;
    fireEvent.mouseDown(tab);
    await settle();
  }
  return screen.getByLabelText(label);
}

/** Findings that are not typed into a field, and what takes them instead. */
const TAKEN_OTHERWISE: Partial<Record<FindingId, string>> = {
  pain: 'aches on the drawing',
  worstPain: 'aches on the drawing',
  injuries: 'injuries on the drawing',
  skin: 'skin on the drawing',
  rubbedAt: 'skin on the drawing',
  rubCause: 'taken where it is found why a place rubs',
  archIndex: 'footprint',
  chippauxSmirak: 'footprint',
  staheli: 'footprint',
  clarkeAngle: 'footprint',
  clarkeAngleTangent: 'footprint',
  prosthesisAnkleTo: 'asked where the ankle adjusts',
  daySwing: 'table of girths',
  figureOfEight: 'table of girths',
  ankleGirth: 'table of girths',
  calfGirth: 'table of girths',
  legVolume: 'ladder of girths',
  peakPressure: 'pressure plate',
  pressureTimeIntegral: 'pressure plate',
  contactArea: 'pressure plate',
  excursionIndex: 'pressure plate',
  archIndexLoaded: 'pressure plate',
  kneeBendMm: 'knee bend on a frame',
  kneeBendMethod: 'knee bend on a frame',
};

describe('every finding that is entered has its place on a screen', () => {
  it('a field on one of the steps, or the drawing, table or device that takes it; not both forgotten', async () => {
    const fields = new Set<string>();
    for (const step of FINDING_STEPS) for (const id of await fieldsOf(step)) fields.add(id);
    const entered = FINDING_IDS.filter((id) => definitionOf(id).step !== null);
    expect(entered.filter((id) => !fields.has(id) && !TAKEN_OTHERWISE[id])).toEqual([]);
    expect(entered.filter((id) => fields.has(id) && TAKEN_OTHERWISE[id])).toEqual([]);
    // Every part of five steps is drawn.
  }, 180_000);

  it('what concerns few is not asked of all: sport, camber, weeks of pregnancy, measures of an insert', async () => {
    const { container } = await showInVisit(SCREENS.ask, {
      contents: { ask: { findings: { body: { activities: ['walking'], conditions: [] } } } },
    });
    const asked = new Set<string>();
    for (const tab of screen.queryAllByRole('tab')) {
      fireEvent.mouseDown(tab);
      await settle();
      for (const field of container.querySelectorAll('[data-finding]'))
        asked.add(field.getAttribute('data-finding')!.split('.')[1]!);
    }
    expect([...asked]).toEqual(expect.arrayContaining(['activities', 'insert', 'conditions']));
    for (const id of ['sports', 'camber', 'pregnancyWeeks', 'insertSource', 'insertHeel', 'insertForefoot'])
      expect([...asked], id).not.toContain(id);
    expect(screen.queryByText('clay court')).toBeNull();
  });

  it('what is typed into a field is kept with its step, with the hand that took it', async () => {
    const { store } = await showInVisit(SCREENS.load, { contents: {} });
    const field = await fieldOn('Lunge, toe to wall, left');
    fireEvent.change(field, { target: { value: '95 mm' } });
    expect(store.content('load').findings.left?.lungeDistance).toBe(9.5);
    expect(store.content('load').findings.taken?.['left.lungeDistance']).toMatchObject({
      by: 'Test Reader',
      with: 'hand',
    });
  });

  it('what cannot be a value stays typed, and the field says why', async () => {
    const { store } = await showInVisit(SCREENS.load, { contents: {} });
    const field = await fieldOn('Lunge, toe to wall, left');
    fireEvent.change(field, { target: { value: 'about ten' } });
    fireEvent.blur(field);
    expect(screen.getByText(/is not a number/)).toBeTruthy();
    expect(field).toHaveProperty('value', 'about ten');
    expect(store.content('load').findings.left?.lungeDistance).toBeUndefined();
  });

  it('a carried value says where it comes from, and gives way to a new one', async () => {
    const carried = { findings: { body: { legLengthDifference: 9 } }, injuries: [], from: '2029-06-01' };
    const { store } = await showInVisit(SCREENS.ask, { visit: { carried } });
    const field = await fieldOn('Leg length difference');
    expect(field).toHaveProperty('value', '9');
    expect(screen.getByText(/from 1 Jun 2029/)).toBeTruthy();
    fireEvent.change(field, { target: { value: '6' } });
    expect(store.content('ask').findings.body?.legLengthDifference).toBe(6);
    expect(screen.queryByText(/from 1 Jun 2029/)).toBeNull();
  });
});
