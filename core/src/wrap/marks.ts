import type { Point } from '../plane/point.ts';
import type { Wrap } from './derive.ts';

/** Lines and words that help to lay a template, flat mm. */
export interface TemplateMarks {
  readonly lines: readonly { readonly from: Point; readonly to: Point }[];
  readonly words: readonly { readonly at: Point; readonly text: string }[];
}

/** Front, quarter and rim marks of a template, and which way up it goes; all inside the outline. */
export function templateMarks(wrap: Wrap): TemplateMarks {
  const { surface, template } = wrap;
  const side = surface.slantLength;
  const tick = Math.min(6, side / 8);
  const lines: { from: Point; to: Point }[] = [];
  const mark = (azimuth: number, length: number): void => {
    lines.push({ from: surface.forward(azimuth, 0), to: surface.forward(azimuth, length) });
    lines.push({ from: surface.forward(azimuth, side), to: surface.forward(azimuth, side - length) });
  };
  mark(0, tick * 1.5);
  for (const quarter of [-Math.PI / 2, Math.PI / 2]) mark(quarter, tick);
  // An arrow in front that points to the rim.
  const tip = surface.forward(0, tick * 1.5 + 2);
  lines.push({ from: tip, to: { x: tip.x - 2, y: tip.y - 3 } }, { from: tip, to: { x: tip.x + 2, y: tip.y - 3 } });
  const wider =
    template.cone.girthRim > template.cone.girthBase + 0.5
      ? ' (the longer arc)'
      : template.cone.girthBase > template.cone.girthRim + 0.5
        ? ' (the shorter arc)'
        : '';
  return {
    lines,
    words: [
      { at: surface.forward(0, tick * 1.5 + 10), text: `rim this way${wider}` },
      { at: surface.forward(0, side - tick * 1.5 - 3), text: 'front' },
    ],
  };
}
