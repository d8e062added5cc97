import type { BufferGeometry, Mesh as Object3DMesh } from 'three';
import { OBJLoader } from 'three/addons/loaders/OBJLoader.js';
import { PLYLoader } from 'three/addons/loaders/PLYLoader.js';
import { STLLoader } from 'three/addons/loaders/STLLoader.js';
import { type Mesh, weld } from '@/core/examination/scan/mesh';
import { fail, ok, type Result } from '@/core/result/result';

export const MESH_FORMATS = ['stl', 'ply', 'obj'] as const;
export type MeshFormat = (typeof MESH_FORMATS)[number];

/** Format by the file's first bytes, then by its name. */
export function meshFormat(name: string, bytes: ArrayBuffer): MeshFormat | null {
  const start = new TextDecoder('latin1').decode(bytes.slice(0, 512));
  if (/^ply\s/.test(start)) return 'ply';
  if (/^\s*solid\b/.test(start) && /\bfacet\b/.test(start)) return 'stl';
  const extension = /\.([a-z]+)$/i.exec(name)?.[1]?.toLowerCase();
  if (extension === 'obj' || /^(#[^\n]*\n|\s)*(v|o|g|mtllib)\s/.test(start)) return 'obj';
  if (extension === 'stl' || isBinaryStl(bytes)) return 'stl';
  return null;
}

function isBinaryStl(bytes: ArrayBuffer): boolean {
  if (bytes.byteLength < 84) return false;
  return new DataView(bytes).getUint32(80, true) * 50 + 84 === bytes.byteLength;
}

/**
 * Reads STL (ASCII and binary), PLY and OBJ into a welded mesh, in the file's own unit.
 * Errors: `format`, `broken`, `empty`.
 */
export function readMesh(name: string, bytes: ArrayBuffer): Result<Mesh> {
  const format = meshFormat(name, bytes);
  if (!format) return fail('format', `“${name}” is no STL, PLY or OBJ file.`);
  if (format === 'stl') {
    const short = shortStl(bytes);
    if (short) return short;
  }
  try {
    const mesh = PARSERS[format](bytes);
    if (mesh.triangles.length === 0) return fail('empty', `“${name}” holds no surface.`);
    return ok(mesh);
  } catch {
    return fail('broken', `“${name}” is damaged or cut short and cannot be read.`);
  }
}

/** A binary STL says how many triangles it has: fewer bytes than that were lost on the way. */
function shortStl(bytes: ArrayBuffer): Result<never> | null {
  const text = new TextDecoder('latin1').decode(bytes.slice(0, 512));
  if (/\bfacet\b/.test(text)) return null;
  if (bytes.byteLength < 84) return fail('broken', 'The STL file is cut short: it ends within its header.');
  const said = new DataView(bytes).getUint32(80, true);
  const there = Math.floor((bytes.byteLength - 84) / 50);
  if (there >= said) return null;
  return fail('broken', `The STL file is cut short: it announces ${said} triangles and holds ${there}.`);
}

const PARSERS: Record<MeshFormat, (bytes: ArrayBuffer) => Mesh> = {
  stl: (bytes) => fromGeometry(new STLLoader().parse(bytes)),
  ply: (bytes) => fromGeometry(new PLYLoader().parse(bytes)),
  obj: (bytes) => {
    const parts: Float32Array[] = [];
    new OBJLoader().parse(new TextDecoder().decode(bytes)).traverse((node) => {
      const geometry = (node as Object3DMesh).geometry as BufferGeometry | undefined;
      if (geometry?.attributes.position) parts.push(cornersOf(geometry));
    });
    const corners = new Float32Array(parts.reduce((sum, part) => sum + part.length, 0));
    let at = 0;
    for (const part of parts) {
      corners.set(part, at);
      at += part.length;
    }
    return weld(corners);
  },
};

function cornersOf(geometry: BufferGeometry): Float32Array {
  const plain = geometry.index ? geometry.toNonIndexed() : geometry;
  return plain.attributes.position!.array as Float32Array;
}

function fromGeometry(geometry: BufferGeometry): Mesh {
  if (!geometry.index) return weld(cornersOf(geometry));
  return {
    positions: Float32Array.from(geometry.attributes.position!.array),
    triangles: Uint32Array.from(geometry.index.array),
  };
}

/** Writes a mesh as binary STL. */
export function writeStl({ positions, triangles }: Mesh): ArrayBuffer {
  const count = triangles.length / 3;
  const bytes = new ArrayBuffer(84 + count * 50);
  const view = new DataView(bytes);
  view.setUint32(80, count, true);
  for (let at = 0; at < count; at += 1)
    for (let corner = 0; corner < 3; corner += 1)
      for (let axis = 0; axis < 3; axis += 1)
        view.setFloat32(
          84 + at * 50 + 12 + (corner * 3 + axis) * 4,
          positions[triangles[at * 3 + corner]! * 3 + axis]!,
          true,
        );
  return bytes;
}
