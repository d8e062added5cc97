import { useEffect, useRef, useState } from 'react';
import { PerspectiveCamera, Vector3 } from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { keysOf } from '@/core/tables/keys-of';
import { colourOf } from '@/ui/colour-of';
import type { FromMesh, MeshLook, ToMesh } from '@/workers/mesh-worker';
import type { ScanAnswer } from '@/workers/scan-worker';

/**
 * Directions from a left foot, whose inner side lies to the right (a right one is seen from the mirrored places), and how far away,
 * in lengths of the foot: from above it stands upright in a picture that is wider than high.
 */
const VIEWS = {
  inner: { label: 'inner side', from: new Vector3(0, -1, 0.35), away: 1.75 },
  above: { label: 'above', from: new Vector3(-0.01, 0, 1), away: 2.1 },
  behind: { label: 'behind', from: new Vector3(-1, 0, 0.35), away: 1.75 },
  oblique: { label: 'oblique', from: new Vector3(0.7, -1, 0.8), away: 1.75 },
} as const;
type ViewName = keyof typeof VIEWS;

interface Props {
  reading: ScanAnswer;
  /** The measure whose line is drawn strongest. */
  lit: string | null;
}

/** Starts to draw a scan into a box; a worker paints it, so that the page never waits for a picture. */
function shownIn(box: HTMLElement, { mesh, normals, lines }: ScanAnswer, onFailed: () => void) {
  const canvas = document.createElement('canvas');
  canvas.className = 'block h-full w-full';
  box.append(canvas);
  const worker = new Worker(new URL('../../../workers/mesh-worker.ts', import.meta.url), { type: 'module' });
  worker.onmessage = (_: MessageEvent<FromMesh>) => onFailed();
  worker.onerror = onFailed;
  const tell = (message: ToMesh, transfer: Transferable[] = []) => worker.postMessage(message, transfer);
  const offscreen = canvas.transferControlToOffscreen();
  tell(
    {
      show: {
        canvas: offscreen,
        width: box.clientWidth,
        height: box.clientHeight,
        pixels: Math.min(2, window.devicePixelRatio),
        positions: mesh.positions,
        triangles: mesh.triangles,
        normals,
        lines,
        colours: {
          ground: colourOf('--desk'),
          skin: colourOf('--draw-foam'),
          line: colourOf('--draw-line'),
          lit: colourOf('--warn'),
        },
      },
    },
    [offscreen],
  );
  return {
    canvas,
    look: (look: MeshLook) => tell({ look }),
    end: () => {
      worker.terminate();
      canvas.remove();
    },
  };
}

/** The measured mesh with every measure drawn on it; turned by pointer, or to a named view. */
export default function MeshView({ reading, lit }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const stage = useRef<{ paint: () => void; look: (view: ViewName) => void } | null>(null);
  /** Outlives the scan: the next one is shown with the same measure. */
  const strongest = useRef(lit);
  const [failed, setFailed] = useState(false);

  useEffect(() => {
    const box = host.current;
    if (!box) return;
    if (!('OffscreenCanvas' in window)) {
      setFailed(true);
      return;
    }
    const { measures, side } = reading;
    const shown = shownIn(box, reading, () => setFailed(true));
    const camera = new PerspectiveCamera();
    camera.up.set(0, 0, 1);
    const controls = new OrbitControls(camera, shown.canvas);
    const centre = new Vector3(measures.footLength / 2, 0, measures.dorsumHeight / 2);
    controls.target.copy(centre);
    controls.enablePan = false;
    const paint = () =>
      shown.look({ from: camera.position.toArray(), at: centre.toArray(), lit: strongest.current });
    controls.addEventListener('change', paint);
    stage.current = {
      paint,
      look: (view) => {
        const from = VIEWS[view].from.clone().normalize();
        from.y *= side === 'left' ? 1 : -1;
        camera.position.copy(centre).addScaledVector(from, measures.footLength * VIEWS[view].away);
        controls.update();
        paint();
      },
    };
    stage.current.look('oblique');
    return () => {
      stage.current = null;
      controls.dispose();
      shown.end();
    };
  }, [reading]);

  useEffect(() => {
    strongest.current = lit;
    stage.current?.paint();
  }, [lit]);

  if (failed)
    return (
      <p className="text-faint border border-line p-3">
        This browser cannot show the mesh in three dimensions. The measures below are not affected.
      </p>
    );
  return (
    <div className="grid gap-1">
      <div
        ref={host}
        role="img"
        aria-label={`Scan, ${reading.side}, with its measures`}
        className="h-60 border border-line"
      />
      <p className="flex gap-1">
        {keysOf(VIEWS).map((view) => (
          <button
            key={view}
            type="button"
            className="press press-quiet"
            onClick={() => stage.current?.look(view)}
          >
            {VIEWS[view].label}
          </button>
        ))}
      </p>
    </div>
  );
}
