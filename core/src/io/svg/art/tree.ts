import { SaxesParser } from 'saxes';
import type { DrawingProblem } from '../../../artwork/drawing.ts';

/** An element of a drawing. */
export interface Element {
  readonly name: string;
  /** Without prototype: nothing is found in it but what the file says. */
  readonly attributes: { readonly [name: string]: string | undefined };
  readonly children: Element[];
  readonly parent: Element | null;
  text: string;
}

/** What a hostile file may not pass. */
export const LIMITS = { bytes: 12_000_000, elements: 60_000, depth: 120, entities: 200, entity: 2000 } as const;

const SVG = 'http://www.w3.org/2000/svg';

/**
 * Reads SVG text into elements; those of other namespaces, which nothing draws, are passed over with all that is in them.
 * Plain words that the file defines for itself are put in; nothing outside the file is fetched, and nothing in it is run.
 *
 * @returns the root element, or why it was refused
 */
export function readTree(
  text: string,
): { readonly ok: true; readonly root: Element } | { readonly ok: false; readonly problem: DrawingProblem } {
  if (text.length > LIMITS.bytes) return { ok: false, problem: { code: 'too-large', limit: LIMITS.bytes } };
  const open: { element: Element | null; drawn: (prefix: string) => boolean }[] = [];
  let root: Element | null = null;
  let count = 0;
  let problem: DrawingProblem | null = null;
  const parser = new SaxesParser({ xmlns: false });
  const stop = (why: DrawingProblem): void => {
    problem ??= why;
    throw new Stopped();
  };
  parser.on('error', (error) => stop({ code: 'not-svg', why: error.message.slice(0, 120) }));
  parser.on('doctype', (said) => Object.assign(parser.ENTITIES, plainEntities(said)));
  parser.on('opentag', (tag) => {
    count += 1;
    if (count > LIMITS.elements) stop({ code: 'too-much', what: 'elements', limit: LIMITS.elements });
    if (open.length >= LIMITS.depth) stop({ code: 'too-much', what: 'groups within each other', limit: LIMITS.depth });
    const outer = open.at(-1);
    const drawn = namespaces(tag.attributes, outer?.drawn ?? ((prefix) => prefix === '' || prefix === 'svg'));
    const [prefix, name] = split(tag.name);
    if ((outer && outer.element === null) || !drawn(prefix)) {
      open.push({ element: null, drawn });
      return;
    }
    const attributes = Object.create(null) as { [name: string]: string };
    for (const [key, value] of Object.entries(tag.attributes)) {
      const [from, own] = split(key);
      // Of other namespaces only the reference of older files counts: its prefix is always this one.
      if (from === '' || from === 'xlink') attributes[own] ??= String(value);
    }
    const element: Element = { name, attributes, children: [], parent: outer?.element ?? null, text: '' };
    element.parent?.children.push(element);
    root ??= element;
    open.push({ element, drawn });
  });
  parser.on('closetag', () => void open.pop());
  const add = (more: string): void => {
    const into = open.at(-1)?.element;
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

const split = (name: string): [prefix: string, own: string] => {
  const at = name.indexOf(':');
  return at < 0 ? ['', name] : [name.slice(0, at), name.slice(at + 1)];
};

/** Which prefixes stand for what is drawn, here and within. */
function namespaces(
  attributes: { readonly [name: string]: unknown },
  outer: (prefix: string) => boolean,
): (prefix: string) => boolean {
  const said = new Map<string, boolean>();
  for (const [name, value] of Object.entries(attributes)) {
    if (name === 'xmlns') said.set('', value === SVG);
    else if (name.startsWith('xmlns:')) said.set(name.slice(6), value === SVG);
  }
  return said.size === 0 ? outer : (prefix) => said.get(prefix) ?? outer(prefix);
}

/** Entities that are plain text: what stands for other entities, markup or files is not taken. */
function plainEntities(doctype: string): { [name: string]: string } {
  const out: { [name: string]: string } = {};
  let taken = 0;
  for (const [, name, double, single] of doctype.matchAll(/<!ENTITY\s+([\w.:-]+)\s+(?:"([^"]*)"|'([^']*)')\s*>/g)) {
    const value = double ?? single ?? '';
    if (value.length > LIMITS.entity || /[&<%]/.test(value) || (taken += 1) > LIMITS.entities) continue;
    out[name!] = value;
  }
  return out;
}
