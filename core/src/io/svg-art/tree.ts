import { SaxesParser } from 'saxes';
import type { DrawingProblem } from '../../artwork/drawing.ts';

/** An element of a drawing. */
export interface Element {
  readonly name: string;
  readonly attributes: { readonly [name: string]: string };
  readonly children: Element[];
  text: string;
}

/** What a hostile file may not pass. */
export const LIMITS = { bytes: 12_000_000, elements: 60_000, depth: 120 } as const;

/**
 * Reads SVG text into elements. Entities other than XML's own five are refused, nothing outside the file is fetched, and
 * nothing in it is run.
 *
 * @returns the root element, or why it was refused
 */
export function readTree(
  text: string,
): { readonly ok: true; readonly root: Element } | { readonly ok: false; readonly problem: DrawingProblem } {
  if (text.length > LIMITS.bytes) return { ok: false, problem: { code: 'too-large', limit: LIMITS.bytes } };
  const open: Element[] = [];
  let root: Element | null = null;
  let count = 0;
  let problem: DrawingProblem | null = null;
  const parser = new SaxesParser({ xmlns: false });
  const stop = (why: DrawingProblem): void => {
    problem ??= why;
    throw new Stopped();
  };
  parser.on('error', (error) => stop({ code: 'not-svg', why: error.message.slice(0, 120) }));
  parser.on('opentag', (tag) => {
    count += 1;
    if (count > LIMITS.elements) stop({ code: 'too-much', what: 'elements', limit: LIMITS.elements });
    if (open.length >= LIMITS.depth) stop({ code: 'too-much', what: 'groups within each other', limit: LIMITS.depth });
    const attributes: { [name: string]: string } = Object.create(null) as { [name: string]: string };
    for (const [name, value] of Object.entries(tag.attributes)) attributes[local(name)] = String(value);
    const element: Element = { name: local(tag.name), attributes, children: [], text: '' };
    open.at(-1)?.children.push(element);
    root ??= element;
    open.push(element);
  });
  parser.on('closetag', () => void open.pop());
  const add = (more: string): void => {
    const into = open.at(-1);
    if (into?.name === 'style') into.text += more;
  };
  parser.on('text', add);
  parser.on('cdata', add);
  try {
    parser.write(text.replace(/^\uFEFF/, '')).close();
  } catch (thrown) {
    if (!(thrown instanceof Stopped)) return { ok: false, problem: { code: 'not-svg', why: 'it cannot be read' } };
  }
  if (problem) return { ok: false, problem };
  // Narrowed by assignments in callbacks, which the compiler does not follow.
  const found = root as Element | null;
  if (found?.name !== 'svg') return { ok: false, problem: { code: 'not-svg', why: 'it does not begin with <svg>' } };
  return { ok: true, root: found };
}

/** Ends the reading early; caught in this file only. */
class Stopped extends Error {}

/** Name without its prefix: `xlink:href` is `href`. */
const local = (name: string): string => name.slice(name.lastIndexOf(':') + 1);
