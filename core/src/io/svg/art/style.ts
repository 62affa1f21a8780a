import { compile } from 'css-select';
import type { CssNode } from 'css-tree';
import generate from 'css-tree/generator';
import parse from 'css-tree/parser';
import { readColour } from './colour.ts';
import { elementAdapter } from './element-adapter.ts';
import type { Element } from './tree.ts';

/** Properties that decide what is cut, by name; custom ones among them. */
export type Style = { readonly [property: string]: string | undefined };

/** What comes down from the group. */
const INHERITED = new Set([
  'fill',
  'fill-rule',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-linejoin',
  'stroke-linecap',
  'stroke-miterlimit',
  'stroke-dasharray',
  'stroke-dashoffset',
  'stroke-opacity',
  'visibility',
  'color',
  'clip-rule',
  'font-size',
  'paint-order',
  'marker-start',
  'marker-mid',
  'marker-end',
]);
/** What belongs to its own element, and may stand in an attribute as well. */
const OWN = new Set([
  'opacity',
  'display',
  'clip-path',
  'mask',
  'filter',
  'overflow',
  'vector-effect',
  'transform-origin',
  'transform-box',
  'stop-color',
  'stop-opacity',
]);
/** Sizes that a style may give in place of attributes, which are read where they are used. */
const GEOMETRY = new Set(['x', 'y', 'cx', 'cy', 'r', 'rx', 'ry', 'width', 'height', 'd']);
const TRANSFORMS = new Set(['transform', 'translate', 'rotate', 'scale']);
const known = (name: string): boolean =>
  name.startsWith('--') || INHERITED.has(name) || OWN.has(name) || GEOMETRY.has(name) || TRANSFORMS.has(name);
const comesDown = (name: string): boolean => name.startsWith('--') || INHERITED.has(name);

interface Declaration {
  readonly name: string;
  readonly value: string;
  readonly important: boolean;
}

/** A rule of a style sheet: what it is for and what it sets. */
export interface Rule {
  readonly weight: readonly [number, number, number];
  readonly fits: (element: Element) => boolean;
  readonly sets: readonly Declaration[];
}

/** What is seldom meant for a drawing, and passed over without a word. */
const SILENT_AT = new Set(['charset', 'namespace', 'font-face', 'page', 'keyframes', '-webkit-keyframes', 'property']);
/** Rules that are taken at most, and characters of style sheets. */
const MOST = { rules: 4000, characters: 400_000 } as const;

/**
 * Rules of the style sheets of a drawing, in the order in which they win. What cannot be read is passed over and counted.
 */
export function readRules(sheets: readonly string[]): { rules: readonly Rule[]; passedOver: number } {
  const rules: Rule[] = [];
  let passedOver = 0;
  const take = (list: Iterable<CssNode>): void => {
    for (const node of list) {
      if (node.type === 'Atrule') {
        const media = node.name === 'media' && node.prelude ? generate(node.prelude) : null;
        if (media !== null && node.block && isForScreens(media)) take(node.block.children);
        else if (!SILENT_AT.has(node.name) && !(media !== null && /\bprint\b/.test(media))) passedOver += 1;
      } else if (node.type === 'Rule' && node.prelude.type === 'SelectorList') {
        const sets = declarationsOf(node.block.children);
        for (const selector of node.prelude.children) {
          const fits = matcherOf(generate(selector));
          if (!fits || rules.length >= MOST.rules) passedOver += 1;
          else rules.push({ weight: weightOf(selector), fits, sets });
        }
      } else if (node.type !== 'Comment') passedOver += 1;
    }
  };
  for (const sheet of sheets) {
    const tree = parsed(sheet.slice(0, MOST.characters), 'stylesheet');
    if (tree?.type === 'StyleSheet') take(tree.children);
  }
  // Later rules win over earlier ones of the same weight: the sort keeps their order.
  rules.sort((a, b) => a.weight[0] - b.weight[0] || a.weight[1] - b.weight[1] || a.weight[2] - b.weight[2]);
  return { rules, passedOver };
}

const isForScreens = (media: string): boolean =>
  media.split(',').some((one) => /^\s*(all|screen|only screen)\s*$/i.test(one));

function parsed(text: string, context: 'stylesheet' | 'declarationList'): CssNode | null {
  try {
    return parse(text, { context, parseValue: false, parseCustomProperty: false, onParseError: () => {} });
  } catch {
    return null;
  }
}

function matcherOf(selector: string): ((element: Element) => boolean) | null {
  try {
    return compile<Element, Element>(selector, { adapter: elementAdapter, xmlMode: true });
  } catch {
    return null;
  }
}

/** Counts of ids, of classes and the like, and of names. */
function weightOf(selector: CssNode): [number, number, number] {
  const out: [number, number, number] = [0, 0, 0];
  if (selector.type !== 'Selector') return out;
  for (const part of selector.children) {
    if (part.type === 'IdSelector') out[0] += 1;
    else if (part.type === 'TypeSelector') out[2] += part.name === '*' ? 0 : 1;
    else if (part.type === 'ClassSelector' || part.type === 'AttributeSelector' || part.type === 'PseudoClassSelector')
      out[1] += 1;
  }
  return out;
}

function declarationsOf(list: Iterable<CssNode>): Declaration[] {
  const out: Declaration[] = [];
  for (const node of list) {
    if (node.type !== 'Declaration') continue;
    const name = node.property.startsWith('--') ? node.property : node.property.toLowerCase();
    const value = generate(node.value).trim();
    const important = node.important !== false;
    if (name === 'marker')
      for (const end of ['start', 'mid', 'end']) out.push({ name: `marker-${end}`, value, important });
    else if (known(name)) out.push({ name, value, important });
  }
  return out;
}

/** Declarations of a `style` attribute. */
function inlineOf(text: string | undefined): Declaration[] {
  if (!text) return [];
  const tree = parsed(text, 'declarationList');
  return tree?.type === 'DeclarationList' ? declarationsOf(tree.children) : [];
}

/** Style of an element: its group's, its attributes, the sheets' rules and its own style, each over the last. */
export function styleOf(element: Element, group: Style, rules: readonly Rule[]): Style {
  const out = Object.create(null) as { [property: string]: string | undefined };
  for (const [name, value] of Object.entries(group)) if (comesDown(name)) out[name] = value;
  const put = ({ name, value }: Pick<Declaration, 'name' | 'value'>): void => {
    const word = value.toLowerCase();
    if (word === 'inherit' || ((word === 'unset' || word === 'revert') && comesDown(name))) out[name] = group[name];
    else if (word === 'initial' || word === 'unset' || word === 'revert') out[name] = undefined;
    else if (isSense(name, value)) out[name] = value;
  };
  for (const [name, value] of Object.entries(element.attributes))
    if (value !== undefined && (INHERITED.has(name) || OWN.has(name))) put({ name, value: value.trim() });
  const fitting = rules.filter((rule) => rule.fits(element)).flatMap((rule) => rule.sets);
  const inline = inlineOf(element.attributes['style']);
  for (const important of [false, true])
    for (const list of [fitting, inline]) for (const one of list) if (one.important === important) put(one);
  for (const [name, value] of Object.entries(out))
    if (value !== undefined && value.includes('var(') && !name.startsWith('--')) {
      const meant = withVariables(value, out, 0);
      out[name] = meant !== null && isSense(name, meant) ? meant : comesDown(name) ? group[name] : undefined;
    }
  return out;
}

/** Whether a value can be meant for a property: what makes no sense is as if it were not there. */
function isSense(name: string, value: string): boolean {
  if (value.includes('var(')) return true;
  if (name !== 'fill' && name !== 'stroke' && name !== 'color') return true;
  // A function that is not known here may be one that a browser knows: it is taken as grey, and said.
  return /^(none|context-fill|context-stroke|[a-z-]+\()/i.test(value) || readColour(value, '#000000') !== undefined;
}

/** A value with its variables put in; null when one has no value. */
function withVariables(value: string, style: Style, depth: number): string | null {
  if (depth > 12 || value.length > 2000) return null;
  const at = value.indexOf('var(');
  if (at < 0) return value;
  let [end, open] = [at + 4, 1];
  while (end < value.length && open > 0) {
    if (value[end] === '(') open += 1;
    if (value[end] === ')') open -= 1;
    end += 1;
  }
  const inside = value.slice(at + 4, end - 1);
  const comma = inside.indexOf(',');
  const name = (comma < 0 ? inside : inside.slice(0, comma)).trim();
  const given = style[name] ?? (comma < 0 ? null : inside.slice(comma + 1).trim());
  if (given === null || given === undefined) return null;
  return withVariables(value.slice(0, at) + given + value.slice(end), style, depth + 1);
}
