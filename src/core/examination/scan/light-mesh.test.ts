import { SphereGeometry } from 'three';
import { expect, it } from 'vitest';
import { lightMesh } from './light-mesh';
import { type Mesh, vertexNormals, weld } from './mesh';

/** A ball of 50 mm, by a general-purpose library. */
const ball = (rings: number): Mesh => {
  const flat = new SphereGeometry(50, rings, rings).toNonIndexed();
  return weld(Float32Array.from(flat.getAttribute('position').array));
};

it('a fine ball is drawn in as many triangles as were asked for, on the same surface and shaded alike', () => {
  const fine = ball(300);
  expect(fine.triangles.length / 3).toBeGreaterThan(150_000);
  const { mesh, normals } = lightMesh(fine, vertexNormals(fine), 8000);
  const many = mesh.triangles.length / 3;
  expect(many).toBeGreaterThan(4000);
  expect(many).toBeLessThan(16_000);
  expect(Math.max(...mesh.triangles)).toBeLessThan(mesh.positions.length / 3);
  for (let at = 0; at < mesh.positions.length; at += 3) {
    const [x, y, z] = [...mesh.positions.slice(at, at + 3)] as [number, number, number];
    const away = Math.hypot(x, y, z);
    // Within a cell of the ball, and lit from where the ball is lit: 10° and less.
    expect(Math.abs(away - 50)).toBeLessThan(2);
    const [nx, ny, nz] = [...normals.slice(at, at + 3)] as [number, number, number];
    expect((nx * x + ny * y + nz * z) / away).toBeGreaterThan(0.985);
  }
});

it('a mesh that is light already stays the very same', () => {
  const coarse = ball(20);
  const normals = vertexNormals(coarse);
  expect(lightMesh(coarse, normals)).toEqual({ mesh: coarse, normals });
});
