import { azimuthOnSection, rowAt, slantAtHeight } from '@mivet/core';
import {
  CatmullRomCurve3,
  DoubleSide,
  Group,
  type Material,
  Mesh,
  MeshMatcapMaterial,
  PlaneGeometry,
  TubeGeometry,
} from 'three';
import type { BlankShape } from '../solid-shape.ts';
import type { StageBody } from './body.ts';
import { edgeRing, normalOnRows, pointOnRows, sideGeometry } from './grid.ts';

const WALL = 2.6;

/** A cup, bowl, bottle or pot: film goes round it. */
export const turned: StageBody = {
  pointOn: (shape, { azimuth, slant }, out) => pointOnRows(shape, azimuth, slant, out),
  normalOn: (shape, { azimuth, slant }) => normalOnRows(shape, azimuth, slant),
  spotAt: ({ rows, section }, at) => ({
    azimuth: azimuthOnSection(section, at.x, at.z),
    slant: slantAtHeight(rows, at.y),
  }),
  faceGeometry: (shape, out) => sideGeometry(shape, out, 0, shape.side),
  meshes: (shape, painted, plain) => {
    const group = new Group();
    const inside = new MeshMatcapMaterial({
      color: shape.shine === 'steel' ? '#5d656b' : shape.colour,
      matcap: plain.matcap,
      side: DoubleSide,
    });
    const { side, above, below, shine } = shape;
    group.add(new Mesh(sideGeometry(shape, 0, -above, side + below), painted));
    group.add(new Mesh(edgeRing(shape, -above, WALL / 2, WALL / 2), plain));
    // Through glass one sees the far side itself.
    if (shine !== 'glass') group.add(new Mesh(sideGeometry(shape, -WALL, -above, (side + below) * 0.96), inside));
    group.add(foot(shape, plain, shine === 'glass' ? plain : inside));
    if (shape.handleWidth > 0) group.add(handle(shape, plain));
    return group;
  },
  reach: ({ rows, handleWidth }) => {
    const radius = Math.max(...rows.map(([, r]) => r)) + (handleWidth > 0 ? 30 : 6);
    return { top: rows[0]![2] + 4, bottom: rows.at(-1)![2] - 6, radius };
  },
  stand: ({ rows, side, below }) => {
    const [, r, height] = rowAt(rows, side + below);
    return { height: height - Math.min(4, r * 0.1) - 0.5, width: r * 3.7, foot: 2 / 3.7 };
  },
};

function foot(shape: BlankShape, outer: Material, inner: Material): Group {
  const { side, below } = shape;
  const group = new Group();
  const [, r] = rowAt(shape.rows, side + below);
  const curve = Math.min(4, r * 0.1);
  const edge = new Mesh(edgeRing(shape, side + below, curve, curve), outer);
  const floor = new Mesh(new PlaneGeometry(2 * r, 2 * r).rotateX(-Math.PI / 2), inner);
  const { section } = shape;
  floor.scale.set(0.7 * (section ? Math.max(...section.xs) : 1), 1, 0.7 * (section ? section.zs[0]! : 1));
  floor.position.y = rowAt(shape.rows, (side + below) * 0.955)[2];
  group.add(edge, floor);
  return group;
}

function handle(shape: BlankShape, material: Material): Mesh {
  const { side, handleWidth } = shape;
  const reach = Math.min(34, side * 0.36);
  const points = [
    [0.16, -1],
    [0.14, 0.5],
    [0.24, 0.92],
    [0.46, 1],
    [0.68, 0.86],
    [0.82, 0.4],
    [0.84, -1],
  ].map(([down, out]) => pointOnRows(shape, Math.PI, side * down!, out! < 0 ? -1 : out! * reach));
  const tube = new TubeGeometry(new CatmullRomCurve3(points), 48, 4.2, 12, false);
  const mesh = new Mesh(tube, material);
  // Wider than deep, as handles are: stretched sideways to the width that was read.
  mesh.scale.x = handleWidth / 8.4;
  return mesh;
}
