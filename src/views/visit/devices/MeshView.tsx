import { useEffect, useRef, useState } from 'react';
import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  Line,
  LineBasicMaterial,
  Mesh,
  MeshLambertMaterial,
  PerspectiveCamera,
  Scene,
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/addons/controls/OrbitControls.js';
import { keysOf } from '@/core/tables/keys-of';
import { colourOf } from '@/ui/colour-of';
import type { ScanAnswer } from '@/workers/scan-worker';

const colour = (token: string) => new Color(colourOf(token));

const VIEWS = {
  inner: { label: 'inner side', from: new Vector3(0, -1, 0.35) },
  above: { label: 'above', from: new Vector3(-0.01, 0, 1) },
  behind: { label: 'behind', from: new Vector3(-1, 0, 0.35) },
  oblique: { label: 'oblique', from: new Vector3(0.7, -1, 0.8) },
} as const;
type ViewName = keyof typeof VIEWS;

interface Props {
  reading: ScanAnswer;
  /** The measure whose line is drawn strongest. */
  lit: string | null;
}

/** The measured mesh with every measure drawn on it; turned by pointer, by arrow keys, or to a named view. */
export default function MeshView({ reading, lit }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const stage = useRef<{ show: (lit: string | null) => void; look: (view: ViewName) => void } | null>(null);
  const [failed, setFailed] = useState(false);

  useEffect(() => {
    const box = host.current;
    if (!box) return;
    let renderer: WebGLRenderer;
    try {
      renderer = new WebGLRenderer({ antialias: true });
    } catch {
      setFailed(true);
      return;
    }
    const { mesh, lines, measures } = reading;
    const { clientWidth: width, clientHeight: height } = box;
    renderer.setPixelRatio(Math.min(2, window.devicePixelRatio));
    renderer.setSize(width, height);
    box.append(renderer.domElement);
    const scene = new Scene();
    scene.background = colour('--desk');
    const geometry = new BufferGeometry();
    geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3));
    geometry.setIndex(new BufferAttribute(mesh.triangles, 1));
    geometry.setAttribute('normal', new BufferAttribute(reading.normals, 3));
    const skin = new MeshLambertMaterial({ color: colour('--draw-foam'), side: DoubleSide });
    scene.add(new Mesh(geometry, skin));
    scene.add(new AmbientLight(0xffffff, 1.4));
    const lamp = new DirectionalLight(0xffffff, 2.2);
    lamp.position.set(-300, -400, 600);
    scene.add(lamp);
    const drawn = Object.entries(lines).map(([name, points]) => {
      const material = new LineBasicMaterial({ color: colour('--accent'), depthTest: false });
      const line = new Line(
        new BufferGeometry().setFromPoints(points.map(([x, y, z]) => new Vector3(x, y, z))),
        material,
      );
      line.renderOrder = 2;
      scene.add(line);
      return { name, material };
    });
    const camera = new PerspectiveCamera(32, width / height, 1, 4000);
    camera.up.set(0, 0, 1);
    const centre = new Vector3(measures.footLength / 2, 0, measures.dorsumHeight / 2);
    const controls = new OrbitControls(camera, renderer.domElement);
    controls.target.copy(centre);
    controls.enablePan = false;
    // Painted once a frame, and not before its shaders are made: together they would hold the page.
    let frame: number | null = null;
    let isMade = false;
    let isGone = false;
    const paint = () => {
      if (!isMade) return;
      frame ??= requestAnimationFrame(() => {
        frame = null;
        renderer.render(scene, camera);
      });
    };
    controls.addEventListener('change', paint);
    const quiet = colour('--draw-line');
    const strong = colour('--warn');
    stage.current = {
      show: (name) => {
        for (const line of drawn) line.material.color = line.name === name ? strong : quiet;
        paint();
      },
      look: (view) => {
        const away = measures.footLength * 1.75;
        const side = reading.side === 'left' ? -1 : 1;
        const from = VIEWS[view].from.clone().normalize();
        from.y *= side;
        camera.position.copy(centre).addScaledVector(from, away);
        controls.update();
        paint();
      },
    };
    stage.current.look('oblique');
    stage.current.show(null);
    void renderer.compileAsync(scene, camera).then(() => {
      isMade = !isGone;
      paint();
    });
    return () => {
      stage.current = null;
      isMade = false;
      isGone = true;
      if (frame !== null) cancelAnimationFrame(frame);
      controls.dispose();
      geometry.dispose();
      renderer.dispose();
      renderer.domElement.remove();
    };
  }, [reading]);

  useEffect(() => stage.current?.show(lit), [lit]);

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
