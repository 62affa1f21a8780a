import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Drawing } from '../../../artwork/drawing.ts';
import { ringArea } from '../../../polygon/polygon.ts';
import { readSvgDrawing } from './read.ts';

const svg = (inside: string, head = 'width="100mm" height="50mm" viewBox="0 0 200 100"'): string =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${head}>${inside}</svg>`;
function read(inside: string, head?: string): Drawing {
  const result = readSvgDrawing(svg(inside, head));
  if (!result.ok) throw new Error(result.problem.code);
  return result.drawing;
}
const code = (text: string): string => {
  const result = readSvgDrawing(text);
  return result.ok ? 'fine' : result.problem.code;
};
/** Areas by colour, mm². */
const areas = (drawing: Drawing): { [colour: string]: number } =>
  Object.fromEntries(
    drawing.colours.map(({ colour, rings }) => [colour, rings.reduce((sum, r) => sum + ringArea(r), 0)]),
  );

describe('readSvgDrawing', () => {
  it('takes shapes by colour at their size in millimetres', () => {
    // Half a millimetre to the unit: 40 × 20 units are 20 × 10 mm; a circle of 10 units is one of 5 mm.
    const drawing = read('<rect width="40" height="20" fill="red"/><circle cx="100" cy="50" r="10" fill="#00f"/>');
    expect(areas(drawing)['#ff0000']).toBeCloseTo(200, 6);
    expect(areas(drawing)['#0000ff']).toBeCloseTo(25 * Math.PI, 1);
    expect(drawing.widthMm).toBeCloseTo(55, 2);
    expect(drawing.colours[0]!.colour).toBe('#ff0000');
    expect(drawing.leftOut).toEqual([]);
    expect(read('<rect width="96" height="96"/>', '').widthMm).toBeCloseTo(25.4, 9);
  });

  it('follows groups, transforms, uses and both fill rules', () => {
    const drawing = read(`
      <defs><rect id="r" width="10" height="10"/></defs>
      <g transform="translate(20 10) scale(2)" style="fill:#123456">
        <use xlink:href="#r"/><use href="#r" x="20" transform="rotate(90)"/>
      </g>
      <path fill="#abc" fill-rule="evenodd" d="M0 0H30V30H0ZM10 10H20V20H10Z"/>
      <path fill="#cba" d="M100 0H130V30H100ZM110 10H120V20H110Z"/>`);
    // Twice the size: 20 × 20 units each, 100 mm²; the ring is 900 − 100 units, the other a filled 900; a quarter in mm².
    expect(areas(drawing)['#123456']).toBeCloseTo(200, 6);
    expect(areas(drawing)['#aabbcc']).toBeCloseTo(200, 6);
    expect(areas(drawing)['#ccbbaa']).toBeCloseTo(225, 6);
  });

  it('turns broad lines into areas, and cuts to clip paths', () => {
    const drawing = read(`
      <style>.line { fill: none; stroke: #0a0; stroke-width: 4 } /* a comment } */ #late{stroke-linecap:square}</style>
      <path class="line" id="late" d="M10 10H50"/>
      <clipPath id="c"><rect x="100" width="10" height="100"/></clipPath>
      <g clip-path="url(#c)"><rect x="80" y="20" width="80" height="8" fill="teal"/></g>`);
    // 40 long, squared by 2 at both ends, 4 broad: 176 units; the clip leaves 10 × 8.
    expect(areas(drawing)['#00aa00']).toBeCloseTo(44, 3);
    expect(areas(drawing)['#008080']).toBeCloseTo(20, 6);
  });

  it('lists what it cannot take, and takes the rest', () => {
    const drawing = read(`
      <script>alert(1)</script><text x="3">Cox</text><image href="https://example.invalid/a.png"/>
      <use href="other.svg#x"/><foreignObject><p>no</p></foreignObject>
      <linearGradient id="g"><stop stop-color="#ff8800"/></linearGradient>
      <rect width="9" height="9" fill="url(#g)" onclick="alert(2)"/><rect width="9" height="9" display="none"/>
      <path d="M0 0 L nonsense" fill="red"/><rect x="1e300" width="9" height="9" fill="lime"/>`);
    expect(Object.keys(areas(drawing))).toEqual(['#ff8800']);
    expect(drawing.leftOut.map(({ what }) => what).join('; ')).toMatch(
      /scripts; words.*; pictures; parts of other files; foreign content; colours that run.*; outlines with a mistake in them.*; shapes far outside/,
    );
  });

  it('refuses what is hostile or no drawing, with the reason', () => {
    const bomb = `<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]>${svg('<text>&b;</text><rect width="9" height="9"/>')}`;
    expect(['not-svg', 'fine']).toContain(code(bomb));
    expect(code(`<!DOCTYPE svg SYSTEM "file:///etc/passwd">${svg('<rect width="&x;" height="3"/>')}`)).toBe('not-svg');
    expect(code(svg('<g>'.repeat(500) + '<rect width="9" height="9"/>' + '</g>'.repeat(500)))).toBe('too-much');
    expect(code(svg('<circle r="1"/>'.repeat(60_001)))).toBe('too-much');
    expect(code(`${svg('')}${' '.repeat(50_000_000)}`)).toBe('too-large');
    expect(code(svg('<g id="a"><use href="#a"/><use href="#a"/></g>'))).toMatch(/empty|too-much/);
    for (const text of ['', 'hello', '<html><svg/></html>', '<svg><rect', '\u0000']) expect(code(text)).toBe('not-svg');
    expect(code(svg('<rect width="NaN" height="Infinity"/><path d="M0 0L1e400 3Z"/>'))).toBe('empty');
    const many = Array.from(
      { length: 12 },
      (_, i) => `<g id="l${i + 1}">${`<use href="#l${i}"/>`.repeat(10)}</g>`,
    ).join('');
    expect(code(svg(`<rect id="l0" width="2" height="2"/>${many}`))).toBe('too-much');
  });

  it('never throws and always ends, whatever is done to a drawing', () => {
    const whole =
      svg(`<style>.a{fill:#f00}</style><g transform="rotate(12 4 5) scale(1.5)"><path class="a" d="M10 10C20 0 30 0 40 10L40 40Z"/>
      <use href="#k" x="3"/></g><circle id="k" r="8" cx="9" cy="9" stroke="blue" stroke-width="2"/><clipPath id="c"><rect width="5" height="5"/></clipPath>
      <polygon points="1,1 5,1 5,5" clip-path="url(#c)"/>`);
    const part = fc.constantFrom('<', '>', '"', '1e999', '-', 'NaN', '#', 'url(#c)', '<g>', '</g>', 'A1 1 0 0 1 9 9', '<use href="#k"/>', '&amp;', '&#0;', 'M', 'z', '%', ' '); // prettier-ignore
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.nat(whole.length), fc.nat(14), part), { minLength: 1, maxLength: 5 }),
        (edits) => {
          const text = edits.reduce((t, [at, cut, put]) => t.slice(0, at) + put + t.slice(at + cut), whole);
          const result = readSvgDrawing(text);
          if (result.ok)
            for (const { rings } of result.drawing.colours)
              for (const ring of rings) expect(ring.every(Number.isFinite)).toBe(true);
        },
      ),
      { numRuns: 10_000 },
    );
  });
});
