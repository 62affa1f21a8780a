import type { BufferGeometry, Group, Material, MeshMatcapMaterial, Vector3 } from 'three';
import type { Spot } from '../../../stores/view.ts';
import type { BlankShape } from '../solid-shape.ts';

/** How the stage shows a solid of some body; table coordinates, y up, mm. */
export interface StageBody {
  /** Where a spot of the template lies on the solid, `out` off its surface. */
  pointOn(shape: BlankShape, spot: Spot, out: number): Vector3;
  /** Which way the surface looks at a spot. */
  normalOn(shape: BlankShape, spot: Spot): Vector3;
  /** The spot of the template's plane at a point of the solid; it may lie beside the template. */
  spotAt(shape: BlankShape, at: Vector3): Spot;
  /** What the template covers, when that is a part of the solid by itself. */
  faceGeometry(shape: BlankShape, out: number): BufferGeometry;
  /** Everything of the solid; `painted` carries the artwork. */
  meshes(shape: BlankShape, painted: Material, plain: MeshMatcapMaterial): Group;
  /** Highest and lowest point, and the farthest that anything stands from the axis. */
  reach(shape: BlankShape): { top: number; bottom: number; radius: number };
  /** Where it stands on the table, how wide its shadow is, and how much of that it stands on. */
  stand(shape: BlankShape): { height: number; width: number; foot: number };
}
