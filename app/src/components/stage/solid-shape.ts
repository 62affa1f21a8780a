import type { Blank, DrawnSolid, Solid, SolidViewModel } from '@mivet/core';
import { KINDS_OF_BLANK, solidOf } from '@mivet/core';

/** The solid blank in mm: what the scene needs to know of it. Plain, so that two can be compared. */
export interface BlankShape extends DrawnSolid {
  readonly colour: string;
  readonly shine: 'steel' | 'glaze' | 'glass' | 'matte' | 'clay' | 'latex';
}

/**
 * The solid of a blank; a typical one of its kind stands in until the readings are there.
 *
 * @param picture what its readings gave, if they did; one of what it was before its kind was changed is none
 */
export const solidOfBlank = ({ kind }: Blank, viewModel: SolidViewModel | null): Solid =>
  viewModel?.size.kind === kind ? solidOf(viewModel.size) : KINDS_OF_BLANK[kind].typical;

/** The same as the scene needs it. */
export function shapeOfBlank(blank: Blank, viewModel: SolidViewModel | null): BlankShape {
  const across = viewModel?.size.kind === blank.kind ? viewModel.template.flattening.patchMm : null;
  const drawn = solidOfBlank(blank, viewModel).drawn(blank, across);
  return { ...drawn, colour: blank.colour, shine: shineOf(blank) };
}

function shineOf({ surface }: Blank): BlankShape['shine'] {
  return SHINES[surface];
}

const SHINES: Readonly<Record<Blank['surface'], BlankShape['shine']>> = {
  glass: 'glass',
  'glazed ceramic': 'glaze',
  'bare steel': 'steel',
  'powder-coated steel': 'matte',
  painted: 'matte',
  'raw terracotta': 'clay',
  plastic: 'glaze',
  latex: 'latex',
};
