import {
  CircleGeometry,
  ExtrudeGeometry,
  Group,
  type Material,
  Mesh,
  MeshMatcapMaterial,
  Path,
  Shape,
  Vector3,
} from 'three';
import type { BlankShape } from '../solid-shape.ts';
import type { StageBody } from './body.ts';
import { diskGeometry, gridGeometry } from './grid.ts';

/** A lid with its hole, or a box: a flat face looks forward. */
export const slab: StageBody = {
  pointOn: ({ width }, { azimuth, slant }, out) => new Vector3((azimuth * width) / (2 * Math.PI), -slant, out),
  normalOn: () => new Vector3(0, 0, 1),
  spotAt: ({ width }, at) => ({ azimuth: (at.x * 2 * Math.PI) / width, slant: -at.y }),
  faceGeometry,
  meshes: (shape, painted, plain) => {
    const group = new Group();
    group.add(new Mesh(faceGeometry(shape, 0.1), painted), behind(shape, plain));
    return group;
  },
  reach: ({ side, width }) => ({ top: 4, bottom: -side - 4, radius: width / 2 + 6 }),
  stand: ({ side, width }) => ({ height: -side - 0.5, width: width * 1.5, foot: 0.5 }),
};

function faceGeometry({ width, side, round }: BlankShape, out: number): ReturnType<typeof gridGeometry> {
  const lay = (x: number, y: number): { at: Vector3; normal: Vector3 } => ({
    at: new Vector3(x, y - side / 2, out),
    normal: new Vector3(0, 0, 1),
  });
  return round
    ? diskGeometry(width / 2, lay)
    : gridGeometry(1, 1, (down, across) => lay(width * (across - 0.5), side * (0.5 - down)));
}

/** The body behind a flat face: a lid's disk with its hole, or a box. */
function behind(shape: BlankShape, material: Material): Group {
  const { side, width, hole, round } = shape;
  const group = new Group();
  if (!round) {
    const depth = Math.min(width, side) * 0.45;
    const outline = new Shape();
    outline
      .moveTo(-width / 2, 0)
      .lineTo(width / 2, 0)
      .lineTo(width / 2, -side)
      .lineTo(-width / 2, -side);
    const box = new Mesh(new ExtrudeGeometry(outline, { depth, bevelEnabled: false }), material);
    box.position.z = -depth;
    group.add(box);
    return group;
  }
  const outline = new Shape().absarc(0, -side / 2, side / 2, 0, 2 * Math.PI);
  const [across, up] = hole;
  if (across > 0) outline.holes.push(new Path().absarc(0, up - side / 2, across / 2, 0, 2 * Math.PI, true));
  const body = new Mesh(new ExtrudeGeometry(outline, { depth: 6, bevelEnabled: false, curveSegments: 72 }), material);
  body.position.z = -6;
  group.add(body);
  if (across > 0) {
    const dark = new Mesh(new CircleGeometry(across / 2, 48), new MeshMatcapMaterial({ color: '#3a424d' }));
    dark.position.set(0, up - side / 2, 0.2);
    group.add(dark);
  }
  return group;
}
