import { describe, expect, it } from 'vitest';
import { readSvgDrawing } from '../io/svg/art/read.ts';
import type { Drawing, DrawingResult } from './drawing.ts';

const page = (inside: string): DrawingResult =>
  readSvgDrawing(
    `<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40">${inside}</svg>`,
  );
const read = (inside: string): { drawing: Drawing; asDrawn: Drawing | null } => {
  const result = page(inside);
  if (!result.ok) throw new Error(result.problem.code);
  return result;
};
const areaOf = ({ colours }: Drawing): number => colours.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
const EPSILON = 'fill="none" stroke="#c00" stroke-width="0.1"';

describe('a drawing of hairlines', () => {
  it('is what its lines enclose, and the lines themselves beside it', () => {
    const { drawing, asDrawn } = read(`<rect x="5" y="5" width="30" height="20" ${EPSILON}/>`);
    expect(areaOf(drawing)).toBeCloseTo(600, 6);
    // Lines of 0.1 mm along 100 mm.
    expect(areaOf(asDrawn!)).toBeCloseTo(10, 1);
    expect(drawing.colours[0]!.colour).toBe('#cc0000');
  });

  it('takes outlines within outlines for holes, in one shape or in several, and what laps for one', () => {
    const ring = 'M5 5H35V25H5ZM10 10H20V20H10Z';
    expect(areaOf(read(`<path d="${ring}" ${EPSILON}/>`).drawing)).toBeCloseTo(500, 6);
    const apart = `<rect x="5" y="5" width="30" height="20" ${EPSILON}/><rect x="10" y="10" width="10" height="10" ${EPSILON}/>`;
    expect(areaOf(read(apart).drawing)).toBeCloseTo(500, 6);
    // An island in the hole is film again.
    expect(areaOf(read(`${apart}<rect x="12" y="12" width="4" height="4" ${EPSILON}/>`).drawing)).toBeCloseTo(516, 6);
    const lapping = `<rect x="5" y="5" width="20" height="10" ${EPSILON}/><rect x="15" y="5" width="20" height="10" ${EPSILON}/>`;
    expect(areaOf(read(lapping).drawing)).toBeCloseTo(300, 6);
    const twice = `<rect x="5" y="5" width="20" height="10" ${EPSILON}/>`.repeat(2);
    expect(areaOf(read(twice).drawing)).toBeCloseTo(200, 6);
    // Of other colours they do not make holes in each other.
    const other = `<rect x="5" y="5" width="30" height="20" ${EPSILON}/><rect x="10" y="10" width="10" height="10" fill="none" stroke="#00c" stroke-width=".1"/>`;
    expect(areaOf(read(other).drawing)).toBeCloseTo(700, 6);
  });

  it('closes lines that meet, and lists those that do not', () => {
    const open = `<path d="M5 5H35V25" ${EPSILON}/><path d="M5 5V25H35" ${EPSILON}/><path d="M40 5H50" ${EPSILON}/>`;
    const { drawing } = read(open);
    expect(areaOf(drawing)).toBeCloseTo(600, 6);
    expect(drawing.leftOut).toEqual([{ what: 'lines that do not close', count: 1 }]);
    expect(areaOf(read(`<path d="M5 5H35V25H5V5" ${EPSILON}/>`).drawing)).toBeCloseTo(600, 6);
  });

  it('is none where a line is broad enough to be film, or something is filled', () => {
    const rect = 'x="5" y="5" width="30" height="20"';
    expect(read(`<rect ${rect} fill="none" stroke="#c00" stroke-width="0.5"/>`).asDrawn).not.toBeNull();
    const broad = read(`<rect ${rect} fill="none" stroke="#c00" stroke-width="0.51"/>`);
    expect(broad.asDrawn).toBeNull();
    expect(areaOf(broad.drawing)).toBeCloseTo(51, 1);
    const filled = read(`<rect ${rect} ${EPSILON}/><rect x="40" y="5" width="5" height="5" fill="#c00"/>`);
    expect(filled.asDrawn).toBeNull();
    // What it is at its own size decides: half a unit under a scale of four is a line of two millimetres.
    expect(read(`<g transform="scale(4)"><rect width="9" height="8" fill="none" stroke="#c00" stroke-width=".5"/></g>`).asDrawn).toBeNull(); // prettier-ignore
    // Nothing closes: lines are all there is.
    const open = read(`<path d="M5 5H35V25" ${EPSILON}/>`);
    expect([open.asDrawn, areaOf(open.drawing) > 4]).toEqual([null, true]);
  });
});
