import { measureScan } from '@/core/examination/scan/measure-scan';
import type { ScanReading, ScanUnit } from '@/core/examination/scan/reading';
import type { Side } from '@/core/picture/finding-kinds';
import { readMesh } from '@/formats/mesh';
import { serve } from './task';

export interface ScanAsked {
  file: Blob;
  name: string;
  side: Side;
  /** null: told from the size. */
  unit: ScanUnit | null;
}

serve<ScanAsked, ScanReading>(
  async ({ file, name, side, unit }, report) => {
    report('reading the file', 0.05);
    const bytes = await file.arrayBuffer();
    const mesh = readMesh(name, bytes);
    if (!mesh.ok) return mesh;
    return measureScan(mesh.value, {
      side,
      unit,
      onProgress: (stage, share) => report(stage, 0.3 + share * 0.7),
    });
  },
  ({ mesh }) => [mesh.positions.buffer as ArrayBuffer, mesh.triangles.buffer as ArrayBuffer],
);
