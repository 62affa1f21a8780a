import { ballPatch } from '@mivet/core';
import { CylinderGeometry, Group, Mesh, MeshMatcapMaterial, TorusGeometry, Vector3 } from 'three';
import type { Spot } from '../../../stores/view.ts';
import type { BlankShape } from '../solid-shape.ts';
import type { StageBody } from './body.ts';
import { diskGeometry, sideGeometry } from './grid.ts';

/** A ball or balloon, with a patch on it that carries the artwork. */
export const patched: StageBody = {
  pointOn,
  normalOn,
  spotAt: (shape, at) => {
    const { radius, halfLength } = shape.ball;
    const up = Math.asin(Math.max(-1, Math.min(1, at.y / halfLength)));
    const flat = unitPatch(shape).forward(Math.atan2(at.x, at.z), up);
    return {
      azimuth: (flat.x * radius * 2 * Math.PI) / shape.width,
      slant: shape.side / 2 - flat.y * downBall(shape),
    };
  },
  faceGeometry,
  meshes: (shape, painted, plain) => {
    const group = new Group();
    group.add(new Mesh(sideGeometry(shape, 0, 0, shape.rows.at(-1)![0]), plain));
    group.add(new Mesh(faceGeometry(shape, 0.15), painted), topper(shape, plain));
    return group;
  },
  reach,
  stand: (shape) => ({ height: reach(shape).bottom + 2, width: shape.ball.radius * 2.2, foot: 0.1 }),
};

function pointOn(shape: BlankShape, { azimuth, slant }: Spot, out: number): Vector3 {
  const { radius, halfLength, latitude } = shape.ball;
  const x = (azimuth * shape.width) / (2 * Math.PI);
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

function normalOn(shape: BlankShape, spot: Spot): Vector3 {
  const { radius, halfLength } = shape.ball;
  const p = pointOn(shape, spot, 0);
  return new Vector3(p.x / radius ** 2, p.y / halfLength ** 2, p.z / radius ** 2).normalize();
}

function faceGeometry(shape: BlankShape, out: number): ReturnType<typeof diskGeometry> {
  return diskGeometry(shape.width / 2, (x, y) => {
    const spot = { azimuth: (x * 2 * Math.PI) / shape.width, slant: shape.side / 2 - y };
    return { at: pointOn(shape, spot, out), normal: normalOn(shape, spot) };
  });
}

function reach({ ball: { radius, halfLength }, topper }: BlankShape): ReturnType<StageBody['reach']> {
  const [cap, neck] = topper === 'cap' ? [0.36, 0] : [0, 0.2];
  return { top: halfLength + cap * radius + 3, bottom: -halfLength - neck * radius - 3, radius: radius + 5 };
}

/** A patch of the ball of radius 1 that a spheroid is a stretched picture of; true to size about the patch's middle. */
const unitPatch = ({ ball }: BlankShape): ReturnType<typeof ballPatch> =>
  ballPatch(2 * Math.PI, { azimuth: 0, latitude: ball.latitude });
/** mm down a spheroid for a radian of its latitude, where the patch lies. */
const downBall = ({ ball: { radius, halfLength, latitude } }: BlankShape): number =>
  Math.hypot(radius * Math.sin(latitude), halfLength * Math.cos(latitude));

/** A glass ball's cap with its eye, or a balloon's neck. */
function topper(shape: BlankShape, material: MeshMatcapMaterial): Group {
  const { radius, halfLength } = shape.ball;
  const group = new Group();
  if (shape.topper === 'cap') {
    const metal = new MeshMatcapMaterial({ color: '#b9a66a', matcap: material.matcap });
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
