import type { Element } from './tree.ts';

/** Properties that decide what is cut, by name. */
export type Style = { readonly [property: string]: string };

const TAKEN = new Set([
  'fill',
  'fill-rule',
  'fill-opacity',
  'stroke',
  'stroke-width',
  'stroke-linejoin',
  'stroke-linecap',
  'stroke-miterlimit',
  'stroke-opacity',
  'opacity',
  'display',
  'visibility',
  'color',
  'clip-path',
  'clip-rule',
]);
/** These belong to their own element; the others come down from the group. */
const OWN = new Set(['opacity', 'display', 'clip-path']);

/** A rule of a style sheet: what it is for and what it sets. */
interface Rule {
  readonly weight: number;
  readonly fits: (element: Element) => boolean;
  readonly sets: Style;
}

/**
 * Rules of the style sheets of a drawing. Plain selectors are understood: element, class, id and lists of them; others are
 * passed over and counted.
 */
export function readRules(sheets: readonly string[]): { rules: readonly Rule[]; passedOver: number } {
  const rules: Rule[] = [];
  let passedOver = 0;
  for (const sheet of sheets) {
    const plain = sheet.replace(/\/\*[^]*?\*\//g, '').slice(0, 400_000);
    for (const block of plain.split('}')) {
      const at = block.indexOf('{');
      if (at < 0) continue;
      const head = block.slice(0, at).trim();
      const sets = readDeclarations(block.slice(at + 1));
      if (head.startsWith('@')) {
        passedOver += 1;
        continue;
      }
      for (const selector of head.split(',')) {
        const match = /^([a-z*][\w-]*)?((?:[.#][\w-]+)*)$/i.exec(selector.trim());
        if (!match || selector.trim() === '') {
          passedOver += 1;
          continue;
        }
        rules.push(ruleOf(match[1] ?? '*', match[2] ?? '', sets));
      }
    }
  }
  return { rules: rules.sort((a, b) => a.weight - b.weight), passedOver };
}

function ruleOf(tag: string, rest: string, sets: Style): Rule {
  const marks = rest.match(/[.#][\w-]+/g) ?? [];
  const ids = marks.filter((m) => m.startsWith('#')).map((m) => m.slice(1));
  const classes = marks.filter((m) => m.startsWith('.')).map((m) => m.slice(1));
  return {
    weight: 100 * ids.length + 10 * classes.length + (tag === '*' ? 0 : 1),
    sets,
    fits: (element) => {
      if (tag !== '*' && element.name !== tag) return false;
      const own = (element.attributes['class'] ?? '').split(/\s+/);
      return ids.every((id) => element.attributes['id'] === id) && classes.every((name) => own.includes(name));
    },
  };
}

function readDeclarations(text: string): Style {
  const out: { [property: string]: string } = {};
  for (const part of text.split(';')) {
    const at = part.indexOf(':');
    if (at < 0) continue;
    const name = part.slice(0, at).trim().toLowerCase();
    if (TAKEN.has(name))
      out[name] = part
        .slice(at + 1)
        .replace(/!important/i, '')
        .trim();
  }
  return out;
}

/** Style of an element: its group's, its attributes, the sheets' rules and its own style, each over the last. */
export function styleOf(element: Element, group: Style, rules: readonly Rule[]): Style {
  const out: { [property: string]: string } = {};
  for (const [name, value] of Object.entries(group)) if (!OWN.has(name)) out[name] = value;
  const put = (sets: Style): void => {
    for (const [name, value] of Object.entries(sets)) if (value !== 'inherit') out[name] = value;
  };
  for (const name of TAKEN) {
    const value = element.attributes[name];
    if (value !== undefined) put({ [name]: value.trim() });
  }
  for (const rule of rules) if (rule.fits(element)) put(rule.sets);
  put(readDeclarations(element.attributes['style'] ?? ''));
  return out;
}

const NAMED: { readonly [name: string]: string } = {
  black: '#000000', white: '#ffffff', red: '#ff0000', green: '#008000', blue: '#0000ff', yellow: '#ffff00',
  orange: '#ffa500', purple: '#800080', pink: '#ffc0cb', gray: '#808080', grey: '#808080', silver: '#c0c0c0',
  gold: '#ffd700', brown: '#a52a2a', navy: '#000080', teal: '#008080', maroon: '#800000', lime: '#00ff00',
  aqua: '#00ffff', cyan: '#00ffff', magenta: '#ff00ff', fuchsia: '#ff00ff', olive: '#808000', coral: '#ff7f50',
  crimson: '#dc143c', turquoise: '#40e0d0', violet: '#ee82ee', indigo: '#4b0082', tan: '#d2b48c', beige: '#f5f5dc',
  ivory: '#fffff0', salmon: '#fa8072', khaki: '#f0e68c', lavender: '#e6e6fa', plum: '#dda0dd', orchid: '#da70d6',
  skyblue: '#87ceeb', steelblue: '#4682b4', royalblue: '#4169e1', dodgerblue: '#1e90ff', forestgreen: '#228b22',
  darkgreen: '#006400', darkblue: '#00008b', darkred: '#8b0000', tomato: '#ff6347', firebrick: '#b22222',
  chocolate: '#d2691e', sienna: '#a0522d', darkgray: '#a9a9a9', darkgrey: '#a9a9a9', lightgray: '#d3d3d3',
  lightgrey: '#d3d3d3', dimgray: '#696969', whitesmoke: '#f5f5f5', limegreen: '#32cd32', hotpink: '#ff69b4',
}; // prettier-ignore

/** A colour as six hex digits; null for none, or for what is no plain colour. */
export function readColour(value: string | undefined, current: string): string | null {
  const text = (value ?? '').trim().toLowerCase();
  if (text === '' || text === 'none' || text === 'transparent') return null;
  if (text === 'currentcolor') return current;
  if (NAMED[text]) return NAMED[text];
  const short = /^#([0-9a-f])([0-9a-f])([0-9a-f])[0-9a-f]?$/.exec(text);
  if (short)
    return `#${short
      .slice(1)
      .map((d) => d + d)
      .join('')}`;
  const long = /^#([0-9a-f]{6})([0-9a-f]{2})?$/.exec(text);
  if (long) return `#${long[1]!}`;
  const rgb = /^rgba?\(\s*([\d.]+%?)[\s,]+([\d.]+%?)[\s,]+([\d.]+%?)/.exec(text);
  if (rgb)
    return `#${rgb
      .slice(1, 4)
      .map((part) => (part.endsWith('%') ? 2.55 * parseFloat(part) : parseFloat(part)))
      .map((n) =>
        Math.round(Math.min(255, Math.max(0, n || 0)))
          .toString(16)
          .padStart(2, '0'),
      )
      .join('')}`;
  return null;
}
