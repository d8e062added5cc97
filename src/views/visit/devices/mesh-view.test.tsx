import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { SCAN_MEASURES } from '@tests/fixtures/scan-measures';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { FromMesh, MeshLook, ToMesh } from '@/workers/mesh-worker';
import type { ScanAnswer } from '@/workers/scan-worker';
import MeshView from './MeshView';

const reading: ScanAnswer = {
  side: 'left',
  seenSide: 'left',
  unit: 'mm',
  triangles: 1,
  notes: [],
  mesh: { positions: new Float32Array(9), triangles: new Uint32Array([0, 1, 2]) },
  normals: new Float32Array(9),
  measures: SCAN_MEASURES,
  lines: {
    footLength: [],
    heelBallLength: [],
    ballWidth: [],
    ballGirth: [],
    instepGirth: [],
    heelWidth: [],
    toeHeight: [],
    dorsumHeight: [],
  },
};
const CANNOT = /cannot show the mesh in three dimensions/;

let told: ToMesh[] = [];
let ended = 0;
let answer: (message: FromMesh) => void;

beforeEach(() => {
  told = [];
  ended = 0;
  vi.stubGlobal('OffscreenCanvas', class {});
  Object.assign(HTMLCanvasElement.prototype, { transferControlToOffscreen: () => new OffscreenCanvas(1, 1) });
  vi.stubGlobal(
    'Worker',
    class {
      onmessage: ((event: { data: FromMesh }) => void) | null = null;
      constructor() {
        answer = (data) => this.onmessage?.({ data });
      }
      postMessage(message: ToMesh) {
        told.push(message);
      }
      terminate() {
        ended += 1;
      }
    },
  );
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
  Reflect.deleteProperty(HTMLCanvasElement.prototype, 'transferControlToOffscreen');
});

const looks = (): MeshLook[] => told.flatMap((message) => ('look' in message ? [message.look] : []));
const last = (): MeshLook => looks().at(-1)!;

describe('a scan in three dimensions', () => {
  it('is handed to a worker with its lines, and looked at obliquely from the inner side, at its middle', () => {
    render(<MeshView reading={reading} lit={null} />);
    expect(told[0]).toMatchObject({
      show: { positions: reading.mesh.positions, triangles: reading.mesh.triangles, lines: reading.lines },
    });
    const { footLength, dorsumHeight } = SCAN_MEASURES;
    const middle = [footLength / 2, 0, dorsumHeight / 2] as const;
    expect(last()).toMatchObject({ at: middle, lit: null });
    const [x, y, z] = last().from;
    expect(Math.hypot(x - middle[0], y, z - middle[2])).toBeCloseTo(footLength * 1.75, 6);
    // y grows to the left; the inner side of a left foot lies to the right.
    expect(y).toBeLessThan(0);
  });

  it('a named view looks from there; a right foot from the other side', () => {
    render(<MeshView reading={{ ...reading, side: 'right' }} lit={null} />);
    fireEvent.click(screen.getByRole('button', { name: 'inner side' }));
    expect(last().from[1]).toBeGreaterThan(300);
    fireEvent.click(screen.getByRole('button', { name: 'above' }));
    expect(last().from[2]).toBeGreaterThan(400);
  });

  it('the measure that is pointed at is drawn strongest, in the next scan too; the worker of the scan before ends', () => {
    const { rerender, unmount } = render(<MeshView reading={reading} lit={null} />);
    rerender(<MeshView reading={reading} lit="ballGirth" />);
    expect(last().lit).toBe('ballGirth');
    expect(ended).toBe(0);
    rerender(<MeshView reading={{ ...reading }} lit="ballGirth" />);
    expect(last().lit).toBe('ballGirth');
    expect(ended).toBe(1);
    unmount();
    expect(ended).toBe(2);
    expect(document.querySelector('canvas')).toBeNull();
  });

  it('a browser without three dimensions says so, and that the measures hold', () => {
    render(<MeshView reading={reading} lit={null} />);
    expect(screen.queryByText(CANNOT)).toBeNull();
    act(() => answer('cannot draw'));
    expect(screen.getByText(CANNOT)).toBeTruthy();
  });

  it('so does one whose pages cannot hand a drawing to a worker', () => {
    vi.stubGlobal('OffscreenCanvas', undefined);
    Reflect.deleteProperty(globalThis, 'OffscreenCanvas');
    render(<MeshView reading={reading} lit={null} />);
    expect(screen.getByText(CANNOT)).toBeTruthy();
    expect(told).toEqual([]);
  });
});
