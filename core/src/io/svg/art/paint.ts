import { readColour } from './colour.ts';
import { styleOf, type Rule } from './style.ts';
import type { Element } from './tree.ts';
import { idOf, readShare } from './value.ts';

/** What a paint is looked up in, and where what is not taken as drawn is said. */
export interface PaintBook {
  readonly ids: ReadonlyMap<string, Element>;
  readonly rules: readonly Rule[];
  readonly note: (what: string) => void;
}

/**
 * The colour that a fill or a line is taken in.
 *
 * @param value of the property; undefined when it is not set
 * @param current what `currentcolor` stands for
 * @param opacity of the paint
 * @returns six hex digits; a gradient's first colour, grey for a pattern; null when nothing is painted
 */
export function colourOfPaint(
  value: string | undefined,
  current: string,
  opacity: string | undefined,
  { ids, rules, note }: PaintBook,
): string | null {
  if (value === undefined || readShare(opacity, 1) <= 0) return null;
  const id = idOf(value);
  if (id === null) {
    const colour = readColour(value, current);
    if (colour === undefined) note('colours that cannot be read, taken as grey');
    return colour === undefined ? '#808080' : colour;
  }
  const target = ids.get(id);
  if (target?.name === 'pattern') {
    note('patterns, taken as one colour');
    return '#808080';
  }
  if (target?.name !== 'linearGradient' && target?.name !== 'radialGradient') {
    const otherwise = value.slice(value.indexOf(')') + 1).trim();
    return otherwise === '' ? null : (readColour(otherwise, current) ?? null);
  }
  const stop = firstStop(target, ids, 0);
  if (!stop) return null;
  note('colours that run into each other, taken as one');
  const style = styleOf(stop, {}, rules);
  return readColour(style['stop-color'] ?? '#000000', current) ?? '#808080';
}

function firstStop(gradient: Element, ids: PaintBook['ids'], depth: number): Element | undefined {
  const own = gradient.children.find((child) => child.name === 'stop');
  const linked = ids.get((gradient.attributes['href'] ?? '').slice(1));
  return own ?? (linked && depth < 12 ? firstStop(linked, ids, depth + 1) : undefined);
}
