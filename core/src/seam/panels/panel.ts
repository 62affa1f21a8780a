import type { TemplateMarks } from '../../flat/marks.ts';
import type { Box } from '../../plane/box.ts';
import { joinBoxes, shiftBox } from '../../plane/box.ts';
import type { Path } from '../../plane/path.ts';
import { mapPath } from '../../plane/path.ts';
import type { Point } from '../../plane/point.ts';
import type { PanelFrame } from '../panel-frame.ts';

/** One flat piece of the printed template, where it lies on the sheet, mm. */
export interface FlatPanel extends TemplateMarks {
  /** Which one it is; empty when there is only one. */
  readonly name: string;
  /** Outer outline, then holes. */
  readonly outlines: readonly Path[];
  readonly bounds: Box;
  /** Parts of it with the strain that film takes there, for the heat map. */
  readonly heat: readonly { readonly outline: Path; readonly strain: number }[];
}

/** mm between two panels on the sheet, so that scissors fit. */
export const PANEL_GAP_MM = 6;

/** Strips of one colour in a heat map. */
export const HEAT_STRIPS = 24;

/** What a side is cut into: the sheets as they are printed, and how artwork is laid on them. */
export interface Panels {
  readonly flats: readonly FlatPanel[];
  /** One for each sheet; a single one where the sheets carry no artwork of their own. */
  readonly frames: readonly PanelFrame[];
}

export function movePanel(panel: FlatPanel, x: number, y: number): FlatPanel {
  const move = (p: Point): Point => ({ x: p.x + x, y: p.y + y });
  return {
    name: panel.name,
    outlines: panel.outlines.map((path) => mapPath(path, move)),
    bounds: shiftBox(panel.bounds, x, y),
    heat: panel.heat.map(({ outline, strain }) => ({ outline: mapPath(outline, move), strain })),
    lines: panel.lines.map(({ from, to }) => ({ from: move(from), to: move(to) })),
    words: panel.words.map(({ at, text }) => ({ at: move(at), text })),
  };
}

/** Box round all panels, mm. */
export function boxOfPanels(panels: readonly FlatPanel[]): Box {
  return panels.map((panel) => panel.bounds).reduce(joinBoxes);
}

/** Whether the artwork lies on the sheets that are printed; a ball's gores are printed bare. */
export const carriesPieces = ({
  panels,
  frames,
}: {
  panels: readonly FlatPanel[];
  frames: readonly PanelFrame[];
}): boolean => panels.length === frames.length;

/** Box round everything on the sheet: the panels, and what is cut beside them. */
export function boxOfSheet(wrap: {
  panels: readonly FlatPanel[];
  frames: readonly PanelFrame[];
  pieces: readonly { readonly spare: boolean; readonly flatBox: Box }[];
}): Box {
  const spares = carriesPieces(wrap) ? wrap.pieces.filter((piece) => piece.spare) : [];
  return spares.map((piece) => piece.flatBox).reduce(joinBoxes, boxOfPanels(wrap.panels));
}
