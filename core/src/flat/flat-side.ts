import type { BlankSize } from '../measure/size.ts';
import type { Development } from '../surface/development.ts';
import type { Template } from './template.ts';

/** The side of a blank laid flat: what artwork is laid out on. */
export interface FlatSide {
  readonly size: BlankSize;
  readonly template: Template;
  readonly surface: Development;
  /** mm. Radius half-way down: of the plane in which outlines on the side are combined. */
  readonly meanRadius: number;
}
