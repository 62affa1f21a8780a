import { rowAt, spotOnSection } from '@mivet/core';
import { BufferGeometry, CatmullRomCurve3, Float32BufferAttribute, TubeGeometry, Vector3 } from 'three';
import type { BlankShape } from '../solid-shape.ts';

/** Columns round a solid. */
export const ROUND = 96;

/** A surface as a grid of rows and columns. @param lay by the shares down and round, 0 … 1 */
export function gridGeometry(
  rows: number,
  columns: number,
  lay: (down: number, round: number) => { at: Vector3; normal: Vector3 },
  uv: (down: number, round: number) => readonly [number, number] = (down, round) => [round, 1 - down],
): BufferGeometry {
  const positions: number[] = [];
  const normals: number[] = [];
  const uvs: number[] = [];
  const index: number[] = [];
  for (let row = 0; row <= rows; row++)
    for (let column = 0; column <= columns; column++) {
      const [down, round] = [row / rows, column / columns];
      const { at, normal } = lay(down, round);
      positions.push(at.x, at.y, at.z);
      normals.push(normal.x, normal.y, normal.z);
      uvs.push(...uv(down, round));
    }
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const a = row * (columns + 1) + column;
      const b = a + columns + 1;
      index.push(a, b, a + 1, b, b + 1, a + 1);
    }
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
  geometry.setAttribute('normal', new Float32BufferAttribute(normals, 3));
  geometry.setAttribute('uv', new Float32BufferAttribute(uvs, 2));
  geometry.setIndex(index);
  return geometry;
}

/** A round face as rings about its middle. @param lay by the place from its middle, mm */
export function diskGeometry(
  radius: number,
  lay: (x: number, y: number) => { at: Vector3; normal: Vector3 },
): BufferGeometry {
  const polar = (r: number, round: number): [number, number] => [
    r * Math.cos(2 * Math.PI * round),
    r * Math.sin(2 * Math.PI * round),
  ];
  return gridGeometry(
    24,
    ROUND,
    (down, round) => lay(...polar(radius * Math.max(1e-4, down), round)),
    (down, round) => {
      const [x, y] = polar(0.5 * down, round);
      return [0.5 + x, 0.5 + y];
    },
  );
}

/** A spot of something turned, by its rows; or of what has another section, along that. */
export function pointOnRows({ rows, section }: BlankShape, azimuth: number, slant: number, out: number): Vector3 {
  const [, radius, height] = rowAt(rows, slant);
  const { x, z, nx, nz } = spotOnSection(section, azimuth);
  return new Vector3(radius * x + out * nx, height, radius * z + out * nz);
}

/** Which way something turned looks at a spot. */
export function normalOnRows({ rows, section }: BlankShape, azimuth: number, slant: number): Vector3 {
  const lean = rowAt(rows, slant)[3];
  const level = Math.sqrt(Math.max(0, 1 - lean * lean));
  const { nx, nz } = spotOnSection(section, azimuth);
  return new Vector3(nx * level, lean, nz * level);
}

/** A ring of the thickness of a wall along the edge of something turned, `inwards` from it. */
export function edgeRing(shape: BlankShape, slant: number, inwards: number, thick: number): BufferGeometry {
  const at = Array.from({ length: ROUND }, (_, i) => pointOnRows(shape, (2 * Math.PI * i) / ROUND, slant, -inwards));
  return new TubeGeometry(new CatmullRomCurve3(at, true), ROUND, thick, 10, true);
}

/** The turned side as a grid; u runs round from −π to π, v down from the top. */
export function sideGeometry(shape: BlankShape, out: number, from: number, to: number): BufferGeometry {
  const curved = shape.rows.length > 2;
  return gridGeometry(curved ? 64 : 24, ROUND, (down, round) => {
    const [azimuth, slant] = [-Math.PI + 2 * Math.PI * round, from + (to - from) * down];
    return { at: pointOnRows(shape, azimuth, slant, out), normal: normalOnRows(shape, azimuth, slant) };
  });
}
