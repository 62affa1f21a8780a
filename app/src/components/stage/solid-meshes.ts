import { ballPatch } from '@mivet/core';
import {
  BufferGeometry,
  CatmullRomCurve3,
  CircleGeometry,
  CylinderGeometry,
  DoubleSide,
  ExtrudeGeometry,
  Float32BufferAttribute,
  Group,
  Mesh,
  MeshMatcapMaterial,
  Path,
  PlaneGeometry,
  Shape,
  TorusGeometry,
  TubeGeometry,
  Vector3,
  type Material,
} from 'three';
import type { Spot } from '../../stores/view.ts';
import { rowAt, slantAtHeight, type BlankShape } from './solid-shape.ts';

/** Columns round a solid. */
export const ROUND = 96;
const WALL = 2.6;

/** Where a spot of the template lies on the solid, `out` mm off its surface; table coordinates, y up. */
export function pointOn(shape: BlankShape, { azimuth, slant }: Spot, out = 0): Vector3 {
  if (shape.form === 'round') {
    const [, radius, height] = rowAt(shape.rows, slant);
    return new Vector3((radius + out) * Math.sin(azimuth), height, (radius + out) * Math.cos(azimuth));
  }
  const x = (azimuth * shape.width) / (2 * Math.PI);
  if (shape.form !== 'ball') return new Vector3(x, -slant, out);
  const { radius, halfLength, latitude } = shape.ball;
  const spot = unitPatch(shape).inverse(x / radius, (shape.side / 2 - slant) / downBall(shape)) ?? {
    azimuth: Math.PI,
    latitude: -latitude,
  };
  const round = (radius + out) * Math.cos(spot.latitude);
  return new Vector3(
    round * Math.sin(spot.azimuth),
    (halfLength + out) * Math.sin(spot.latitude),
    round * Math.cos(spot.azimuth),
  );
}

/** Which way the surface looks at a spot. */
export function normalOn(shape: BlankShape, spot: Spot): Vector3 {
  if (shape.form === 'round') {
    const lean = rowAt(shape.rows, spot.slant)[3];
    const level = Math.sqrt(Math.max(0, 1 - lean * lean));
    return new Vector3(Math.sin(spot.azimuth) * level, lean, Math.cos(spot.azimuth) * level);
  }
  if (shape.form !== 'ball') return new Vector3(0, 0, 1);
  const { radius, halfLength } = shape.ball;
  const p = pointOn(shape, spot);
  return new Vector3(p.x / radius ** 2, p.y / halfLength ** 2, p.z / radius ** 2).normalize();
}

/** The spot of the template at a point of the solid; null beside the template. */
export function spotOn(shape: BlankShape, at: Vector3): Spot | null {
  const spot = rawSpot(shape, at);
  const inside = spot.slant >= 0 && spot.slant <= shape.side && Math.abs(spot.azimuth) <= Math.PI + 1e-9;
  return inside ? spot : null;
}

function rawSpot(shape: BlankShape, at: Vector3): Spot {
  if (shape.form === 'round') return { azimuth: Math.atan2(at.x, at.z), slant: slantAtHeight(shape.rows, at.y) };
  if (shape.form !== 'ball') return { azimuth: (at.x * 2 * Math.PI) / shape.width, slant: -at.y };
  const { radius, halfLength } = shape.ball;
  const up = Math.asin(Math.max(-1, Math.min(1, at.y / halfLength)));
  const flat = unitPatch(shape).forward(Math.atan2(at.x, at.z), up);
  return {
    azimuth: (flat.x * radius * 2 * Math.PI) / shape.width,
    slant: shape.side / 2 - flat.y * downBall(shape),
  };
}

/** A patch of the ball of radius 1 that a spheroid is a stretched picture of; true to size about the patch's middle. */
const unitPatch = ({ ball }: BlankShape): ReturnType<typeof ballPatch> =>
  ballPatch(2 * Math.PI, { azimuth: 0, latitude: ball.latitude });
/** mm down a spheroid for a radian of its latitude, where the patch lies. */
const downBall = ({ ball: { radius, halfLength, latitude } }: BlankShape): number =>
  Math.hypot(radius * Math.sin(latitude), halfLength * Math.cos(latitude));

/** The round side as a grid; u runs round from −π to π, v down from the top. */
export function sideGeometry(
  shape: BlankShape,
  out: number,
  from: number,
  to: number,
  azimuths: readonly [number, number] = [-Math.PI, Math.PI],
): BufferGeometry {
  const curved = shape.rows.length > 2;
  return gridGeometry(curved ? 64 : 24, ROUND, (down, round) => {
    const spot = { azimuth: azimuths[0] + (azimuths[1] - azimuths[0]) * round, slant: from + (to - from) * down };
    // A ball's body has rows of its own; its template is a patch.
    const solid = shape.form === 'ball' ? { ...shape, form: 'round' as const } : shape;
    return { at: pointOn(solid, spot, out), normal: normalOn(solid, spot) };
  });
}

/** What the template of a face covers, as rings about its middle, or as a grid when it has corners. */
export function faceGeometry(shape: BlankShape, out: number): BufferGeometry {
  const lay = (x: number, y: number): { at: Vector3; normal: Vector3 } => {
    const spot = { azimuth: (x * 2 * Math.PI) / shape.width, slant: shape.side / 2 - y };
    return { at: pointOn(shape, spot, out), normal: normalOn(shape, spot) };
  };
  if (shape.form === 'plane')
    return gridGeometry(1, 1, (down, round) => lay(shape.width * (round - 0.5), shape.side * (0.5 - down)));
  const radius = shape.width / 2;
  return gridGeometry(
    24,
    ROUND,
    (down, round) => {
      const [r, angle] = [radius * Math.max(1e-4, down), 2 * Math.PI * round];
      return lay(r * Math.cos(angle), r * Math.sin(angle));
    },
    (down, round) => {
      const [r, angle] = [0.5 * down, 2 * Math.PI * round];
      return [0.5 + r * Math.cos(angle), 0.5 + r * Math.sin(angle)];
    },
  );
}

function gridGeometry(
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

/** Everything of the solid; `painted` carries the artwork. */
export function solidMeshes(shape: BlankShape, painted: Material, matcap: MeshMatcapMaterial['matcap']): Group {
  const plain = new MeshMatcapMaterial({ color: shape.colour, matcap });
  const group = new Group();
  if (shape.form === 'round') {
    const inside = new MeshMatcapMaterial({
      color: shape.shine === 'steel' ? '#5d656b' : shape.colour,
      matcap,
      side: DoubleSide,
    });
    const { side, above, below } = shape;
    group.add(new Mesh(sideGeometry(shape, 0, -above, side + below), painted));
    const [, top, height] = rowAt(shape.rows, -above);
    const lip = new Mesh(new TorusGeometry(top - WALL / 2, WALL / 2, 10, ROUND), plain);
    lip.rotation.x = Math.PI / 2;
    lip.position.y = height;
    group.add(lip, new Mesh(sideGeometry(shape, -WALL, -above, (side + below) * 0.96), inside));
    group.add(foot(shape, plain, inside));
    if (shape.handleWidth > 0) group.add(handle(shape, plain));
    return group;
  }
  if (shape.form === 'ball') {
    group.add(new Mesh(sideGeometry(shape, 0, 0, shape.rows.at(-1)![0]), plain));
    group.add(new Mesh(faceGeometry(shape, 0.15), painted), topper(shape, plain));
    return group;
  }
  group.add(new Mesh(faceGeometry(shape, 0.1), painted), slab(shape, plain));
  return group;
}

/** The body behind a flat face: a lid's disk with its hole, or a box. */
function slab(shape: BlankShape, material: Material): Group {
  const { side, width, hole } = shape;
  const group = new Group();
  if (shape.form === 'plane') {
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

/** A glass ball's cap with its eye, or a balloon's neck. */
function topper(shape: BlankShape, material: Material): Group {
  const { radius, halfLength } = shape.ball;
  const group = new Group();
  if (shape.topper === 'cap') {
    const metal = new MeshMatcapMaterial({ color: '#b9a66a', matcap: (material as MeshMatcapMaterial).matcap });
    const cap = new Mesh(new CylinderGeometry(radius * 0.2, radius * 0.2, radius * 0.24, 32), metal);
    cap.position.y = halfLength * 1.03;
    const eye = new Mesh(new TorusGeometry(radius * 0.11, radius * 0.02, 8, 24), metal);
    eye.position.y = halfLength * 1.03 + radius * 0.2;
    group.add(cap, eye);
  } else {
    const neck = new Mesh(new CylinderGeometry(radius * 0.04, radius * 0.13, radius * 0.22, 24), material);
    neck.position.y = -halfLength - radius * 0.06;
    group.add(neck);
  }
  return group;
}

function foot(shape: BlankShape, outer: Material, inner: Material): Group {
  const { side, below } = shape;
  const group = new Group();
  const [, r, height] = rowAt(shape.rows, side + below);
  const curve = Math.min(4, r * 0.1);
  const edge = new Mesh(new TorusGeometry(r - curve, curve, 10, ROUND), outer);
  edge.rotation.x = Math.PI / 2;
  edge.position.y = height;
  const floor = new Mesh(new PlaneGeometry(2 * r, 2 * r).rotateX(-Math.PI / 2), inner);
  floor.scale.set(0.7, 1, 0.7);
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
  ].map(([down, out]) => pointOn(shape, { azimuth: Math.PI, slant: side * down! }, out! < 0 ? -1 : out! * reach));
  const tube = new TubeGeometry(new CatmullRomCurve3(points), 48, 4.2, 12, false);
  const mesh = new Mesh(tube, material);
  // Wider than deep, as handles are: stretched sideways to the width that was read.
  mesh.scale.x = handleWidth / 8.4;
  return mesh;
}

/** Highest and lowest point, and the farthest that anything stands from the axis, mm. */
export function reachOf(shape: BlankShape): { top: number; bottom: number; radius: number } {
  if (shape.form === 'round') {
    const rows = shape.rows;
    const radius = Math.max(...rows.map(([, r]) => r)) + (shape.handleWidth > 0 ? 30 : 6);
    return { top: rows[0]![2] + 4, bottom: rows.at(-1)![2] - 6, radius };
  }
  if (shape.form === 'ball') {
    const { radius, halfLength } = shape.ball;
    const [cap, neck] = shape.topper === 'cap' ? [0.36, 0] : [0, 0.2];
    return { top: halfLength + cap * radius + 3, bottom: -halfLength - neck * radius - 3, radius: radius + 5 };
  }
  return { top: 4, bottom: -shape.side - 4, radius: shape.width / 2 + 6 };
}

/** Where the solid stands on the table, and how wide its shadow is, mm. */
export function standOf(shape: BlankShape): { height: number; width: number } {
  if (shape.form === 'round') {
    const [, r, height] = rowAt(shape.rows, shape.side + shape.below);
    return { height: height - Math.min(4, r * 0.1) - 0.5, width: r * 3.7 };
  }
  if (shape.form === 'ball') return { height: reachOf(shape).bottom + 2, width: shape.ball.radius * 2.2 };
  return { height: -shape.side - 0.5, width: shape.width * 1.5 };
}
