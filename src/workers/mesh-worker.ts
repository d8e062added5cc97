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
import type { Vector } from '@/core/examination/scan/stand';

/** A mesh and the lines that were measured on it, mm; where it is drawn, CSS pixels; colours as CSS writes them. */
export interface MeshShown {
  canvas: OffscreenCanvas;
  width: number;
  height: number;
  /** Pixels of the screen in one of CSS. */
  pixels: number;
  positions: Float32Array;
  triangles: Uint32Array;
  normals: Float32Array;
  lines: Readonly<Record<string, readonly Vector[]>>;
  colours: Record<'ground' | 'skin' | 'line' | 'lit', string>;
}

/** From where it is looked at, and at what, mm; the line that is drawn strongest. */
export interface MeshLook {
  from: Vector;
  at: Vector;
  lit: string | null;
}

export type ToMesh = { show: MeshShown } | { look: MeshLook };
/** Said where this browser draws nothing in three dimensions. */
export type FromMesh = 'cannot draw';

/** @throws where three dimensions cannot be drawn */
function stageOf({ canvas, width, height, pixels, colours, ...shown }: MeshShown): (look: MeshLook) => void {
  const renderer = new WebGLRenderer({ canvas, antialias: true });
  renderer.setPixelRatio(pixels);
  renderer.setSize(width, height, false);
  const scene = new Scene();
  scene.background = new Color(colours.ground);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(shown.positions, 3));
  geometry.setIndex(new BufferAttribute(shown.triangles, 1));
  geometry.setAttribute('normal', new BufferAttribute(shown.normals, 3));
  scene.add(new Mesh(geometry, new MeshLambertMaterial({ color: colours.skin, side: DoubleSide })));
  scene.add(new AmbientLight(0xffffff, 1.4));
  const lamp = new DirectionalLight(0xffffff, 2.2);
  lamp.position.set(-300, -400, 600);
  scene.add(lamp);
  const lines = Object.entries(shown.lines).map(([name, points]) => {
    const material = new LineBasicMaterial({ color: colours.line, depthTest: false });
    const along = new BufferGeometry().setFromPoints(points.map((point) => new Vector3(...point)));
    const line = new Line(along, material);
    line.renderOrder = 2;
    scene.add(line);
    return { name, material };
  });
  const camera = new PerspectiveCamera(32, width / height, 1, 4000);
  camera.up.set(0, 0, 1);
  return ({ from, at, lit }) => {
    camera.position.set(...from);
    camera.lookAt(...at);
    for (const { name, material } of lines) material.color.set(name === lit ? colours.lit : colours.line);
    renderer.render(scene, camera);
  };
}

let paint: ((look: MeshLook) => void) | null = null;
/** The latest look that is not painted yet: what came before it while one was painted is left out. */
let next: MeshLook | null = null;

self.onmessage = ({ data }: MessageEvent<ToMesh>) => {
  if ('show' in data) {
    try {
      paint = stageOf(data.show);
    } catch {
      self.postMessage('cannot draw' satisfies FromMesh);
    }
    return;
  }
  if (next === null)
    requestAnimationFrame(() => {
      if (next) paint?.(next);
      next = null;
    });
  next = data.look;
};
