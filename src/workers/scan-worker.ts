import { lightMesh } from '@/core/examination/scan/light-mesh';
import { measureScan } from '@/core/examination/scan/measure-scan';
import { vertexNormals } from '@/core/examination/scan/mesh';
import type { ScanReading, ScanUnit } from '@/core/examination/scan/reading';
import type { Side } from '@/core/findings/finding-kinds';
import { ok } from '@/core/result/result';
import { readMesh } from '@/formats/mesh';
import { serve } from './task';

export interface ScanQuestion {
  file: Blob;
  name: string;
  side: Side;
  /** null: told from the size. */
  unit: ScanUnit | null;
}

/** A reading with a mesh that is light enough to be drawn, and its normals: three’s own would be computed on the page. */
export type ScanAnswer = ScanReading & { normals: Float32Array };

serve<ScanQuestion, ScanAnswer>(
  async ({ file, name, side, unit }, report) => {
    report('reading the file', 0.05);
    const bytes = await file.arrayBuffer();
    const mesh = readMesh(name, bytes);
    if (!mesh.ok) return mesh;
    const reading = measureScan(mesh.value, {
      side,
      unit,
      onProgress: (stage, share) => report(stage, 0.3 + share * 0.6),
    });
    if (!reading.ok) return reading;
    report('shading', 0.95);
    // It is measured: from here on it is only looked at.
    return ok({ ...reading.value, ...lightMesh(reading.value.mesh, vertexNormals(reading.value.mesh)) });
  },
  ({ mesh, normals }) =>
    [mesh.positions, mesh.triangles, normals].map((array) => array.buffer as ArrayBuffer),
);
