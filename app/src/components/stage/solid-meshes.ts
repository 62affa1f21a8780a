import type { DrawnSolid } from '@mivet/core';
import { DoubleSide, type Group, type Material, MeshMatcapMaterial, type Vector3 } from 'three';
import type { Spot } from '../../stores/view.ts';
import type { StageBody } from './bodies/body.ts';
import { patched } from './bodies/patched.ts';
import { slab } from './bodies/slab.ts';
import { turned } from './bodies/turned.ts';
import type { BlankShape } from './solid-shape.ts';

const BODIES: Readonly<Record<DrawnSolid['body'], StageBody>> = { turned, patched, slab };
const bodyOf = (shape: BlankShape): StageBody => BODIES[shape.body];

/** Where a spot of the template lies on the solid, `out` mm off its surface; table coordinates, y up. */
export const pointOn = (shape: BlankShape, spot: Spot, out = 0): Vector3 => bodyOf(shape).pointOn(shape, spot, out);

/** Which way the surface looks at a spot. */
export const normalOn = (shape: BlankShape, spot: Spot): Vector3 => bodyOf(shape).normalOn(shape, spot);

/** The spot of the template at a point of the solid; null beside the template. */
export function spotOn(shape: BlankShape, at: Vector3): Spot | null {
  const spot = bodyOf(shape).spotAt(shape, at);
  const inside = spot.slant >= 0 && spot.slant <= shape.side && Math.abs(spot.azimuth) <= Math.PI + 1e-9;
  return inside ? spot : null;
}

/** What the template covers. */
export const faceGeometry = (shape: BlankShape, out: number): ReturnType<StageBody['faceGeometry']> =>
  bodyOf(shape).faceGeometry(shape, out);

/** Everything of the solid; `painted` carries the artwork. */
export const solidMeshes = (shape: BlankShape, painted: Material, matcap: MeshMatcapMaterial['matcap']): Group =>
  bodyOf(shape).meshes(
    shape,
    painted,
    new MeshMatcapMaterial({ color: shape.colour, matcap, ...seenThrough(shape, GLASS) }),
  );

/** How much bare glass hides of what is behind it. */
export const GLASS = 0.34;

/** What a material needs so that the far side is seen through it; nothing where one sees no further. */
export const seenThrough = ({ shine }: BlankShape, opacity: number): Partial<MeshMatcapMaterial> =>
  shine === 'glass' ? { transparent: true, opacity, side: DoubleSide, depthWrite: false } : {};

/** Highest and lowest point, and the farthest that anything stands from the axis, mm. */
export const reachOf = (shape: BlankShape): ReturnType<StageBody['reach']> => bodyOf(shape).reach(shape);

/** Where the solid stands on the table, and how wide its shadow is, mm. */
export const standOf = (shape: BlankShape): ReturnType<StageBody['stand']> => bodyOf(shape).stand(shape);
