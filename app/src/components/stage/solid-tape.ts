import { rowAt, type TapePlace } from '@mivet/core';
import {
  BufferGeometry,
  CanvasTexture,
  DoubleSide,
  Float32BufferAttribute,
  Group,
  Mesh,
  MeshBasicMaterial,
  PlaneGeometry,
  RepeatWrapping,
  SRGBColorSpace,
  Vector3,
} from 'three';
import { tapeCanvas } from './blank-textures.ts';
import { sideGeometry } from './bodies/grid.ts';
import { reachOf } from './solid-meshes.ts';
import type { BlankShape } from './solid-shape.ts';

/** mm of tape to one picture of it. */
const PRINT_MM = 40;

/** A measuring tape lying on the solid where a reading is taken. */
export function tapeMeshes(shape: BlankShape, place: TapePlace): Group {
  const group = new Group();
  const { top, bottom, radius } = reachOf(shape);
  const width = Math.min(11, Math.max(3, Math.min(top - bottom, 2 * radius) / 9));
  if (place.lies === 'round') {
    const from = place.slant - { below: 0, middle: 0.5, above: 1 }[place.hang] * width;
    const [, r] = rowAt(shape.rows, from);
    group.add(new Mesh(sideGeometry(shape, 0.7, from, from + width), print((2 * Math.PI * r) / PRINT_MM)));
    const [, rTab, height, lean] = rowAt(shape.rows, from + width / 2);
    const tab = new Mesh(new PlaneGeometry(width * 1.1, width * 1.5), new MeshBasicMaterial({ color: 0xe4e6e4 }));
    tab.position.set((rTab + 1.6) * Math.sin(0.35), height, (rTab + 1.6) * Math.cos(0.35));
    tab.rotation.order = 'YXZ';
    tab.rotation.set(-Math.asin(lean), 0.35, 0);
    group.add(tab);
    return group;
  }
  if (place.lies === 'down' || place.lies === 'over') {
    const [from, to] = place.lies === 'down' ? [place.from, place.to] : [0, shape.rows.at(-1)![0]];
    group.add(ribbon(shape, from, to, width));
    return group;
  }
  const strip = (a: Vector3, b: Vector3, out: Vector3): void => {
    const along = b.clone().sub(a);
    const length = Math.max(0.1, along.length());
    const across = along
      .clone()
      .normalize()
      .cross(out)
      .multiplyScalar(width / 2);
    const corners = [a.clone().add(across), a.clone().sub(across), b.clone().add(across), b.clone().sub(across)];
    group.add(quadStrip(corners, [0, length], length));
  };
  if (place.lies === 'flat') {
    const [x, y] = [place.x, place.y];
    strip(new Vector3(x[0], y[0], 1.2), new Vector3(x[1], y[1], 1.2), new Vector3(0, 0, 1));
  } else if (place.lies === 'upright') {
    const ends = [rowAt(shape.rows, 0), rowAt(shape.rows, shape.side)] as const;
    const r = Math.max(ends[0][1], ends[1][1]) + 1.2;
    const at = (height: number): Vector3 => new Vector3(r * Math.sin(0.28), height, r * Math.cos(0.28));
    strip(at(ends[0][2]), at(ends[1][2]), new Vector3(Math.sin(0.28), 0, Math.cos(0.28)));
  } else {
    const { height, before, half } = place;
    const at = (x: number): Vector3 => new Vector3(x, height, before ?? 0);
    strip(at(-half), at(half), before === null ? new Vector3(0, 1, 0) : new Vector3(0, 0, 1));
  }
  return group;
}

/** A strip of tape that follows the side downwards, a little to the right of the front. */
function ribbon(shape: BlankShape, from: number, to: number, width: number): Mesh {
  const azimuth = shape.topper === 'none' ? 0.28 : 0.5;
  const steps = 48;
  const corners: Vector3[] = [];
  const lengths: number[] = [];
  const right = new Vector3(Math.cos(azimuth), 0, -Math.sin(azimuth)).multiplyScalar(width / 2);
  for (let i = 0; i <= steps; i++) {
    const slant = from + ((to - from) * i) / steps;
    const [, r, height] = rowAt(shape.rows, slant);
    const at = new Vector3((r + 1) * Math.sin(azimuth), height, (r + 1) * Math.cos(azimuth));
    corners.push(at.clone().add(right), at.clone().sub(right));
    lengths.push(slant - from);
  }
  return quadStrip(corners, lengths, to - from);
}

function quadStrip(corners: readonly Vector3[], lengths: readonly number[], total: number): Mesh {
  const positions = corners.flatMap((p) => [p.x, p.y, p.z]);
  const uvs = corners.flatMap((_, i) => [lengths[i >> 1]! / Math.max(1e-6, total), i % 2]);
  const index: number[] = [];
  for (let i = 0; i + 3 < corners.length; i += 2) index.push(i, i + 1, i + 2, i + 1, i + 3, i + 2);
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new Float32BufferAttribute(positions, 3));
  geometry.setAttribute('uv', new Float32BufferAttribute(uvs, 2));
  geometry.setIndex(index);
  return new Mesh(geometry, print(total / PRINT_MM));
}

function print(turns: number): MeshBasicMaterial {
  const map = new CanvasTexture(tapeCanvas());
  map.colorSpace = SRGBColorSpace;
  map.wrapS = RepeatWrapping;
  map.repeat.x = turns;
  return new MeshBasicMaterial({ map, side: DoubleSide });
}
