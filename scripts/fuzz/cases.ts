import { seeded } from '../../core/src/numeric/seeded.ts';

/** Chance with a few words of its own. */
export interface Chance {
  /** Between 0 and 1. */
  readonly next: () => number;
  /** A whole number from 0 to below `n`. */
  readonly below: (n: number) => number;
  readonly of: <T>(all: readonly T[]) => T;
}

export function chanceOf(seed: number): Chance {
  const next = seeded(seed);
  const below = (n: number): number => Math.floor(next() * n);
  return { next, below, of: (all) => all[below(all.length)]! };
}

/** What numbers in a stranger's file may be. */
const NUMBERS = ['0', '-0', '-1', '1e9', '-1e9', '1e308', '1e-308', 'NaN', 'Infinity', '99999999999999999999', '0x10', '١٢', '1,5', '', '1e', '--1', '0.1.2', '9007199254740993']; // prettier-ignore
/** What words may be. */
const WORDS = ['__proto__', 'constructor', 'prototype', 'toString', 'hasOwnProperty', '\u0000', '\uD800', '\u202E', '🛶', 'ﬁ', '"', "'", '<', '&amp;', '&#0;', ']]>', '=1+1', '\r\n', '\t', ' '.repeat(300), 'x'.repeat(5000), '%00', '../../etc', 'url(#a)', 'javascript:1']; // prettier-ignore
/** What values of a document may be. */
const VALUES: readonly unknown[] = [null, true, false, 0, -1, 1e9, 1e308, Number.MIN_VALUE, '', 'x', '__proto__', [], {}, [[]], [null], { a: 1 }, 'x'.repeat(3000), '2026-02-30', '9999-12-31T23:59:59.999Z', -0.5, 1.5, 1e-9, 123456789]; // prettier-ignore

/** Spoils a text in one to a few places: cut off, doubled, numbers and words put in, parts swapped. */
export function spoilText(text: string, chance: Chance): string {
  let now = text;
  for (let n = 1 + chance.below(4); n > 0; n--) {
    const at = chance.below(now.length + 1);
    const far = Math.min(now.length, at + chance.below(40));
    switch (chance.below(8)) {
      case 0:
        now = now.slice(0, at);
        break;
      case 1:
        now = now.slice(0, at) + now.slice(far);
        break;
      case 2:
        now = now.slice(0, far) + now.slice(at);
        break;
      case 3:
        now = now.slice(0, at) + chance.of(WORDS) + now.slice(at);
        break;
      case 4:
        now = now.slice(0, at) + String.fromCharCode(chance.below(0x10000)) + now.slice(at + 1);
        break;
      case 5: {
        const [a, b] = [chance.below(now.length + 1), chance.below(now.length + 1)].sort((p, q) => p - q) as [number, number]; // prettier-ignore
        const part = now.slice(a, Math.min(b, a + 2000));
        now = now.slice(0, at) + part.repeat(1 + chance.below(4)) + now.slice(at);
        break;
      }
      default: {
        // A number somewhere becomes another one.
        const numbers = [...now.matchAll(/-?\d+(\.\d+)?/g)];
        if (numbers.length === 0) break;
        const one = chance.of(numbers);
        now = now.slice(0, one.index) + chance.of(NUMBERS) + now.slice(one.index + one[0].length);
      }
    }
    if (now.length > 400_000) now = now.slice(0, 400_000);
  }
  return now;
}

/** Spoils bytes: flipped, cut off, doubled, zeroed. */
export function spoilBytes(bytes: Uint8Array, chance: Chance): Uint8Array {
  let now = bytes.slice();
  for (let n = 1 + chance.below(6); n > 0 && now.length > 0; n--) {
    const at = chance.below(now.length);
    switch (chance.below(5)) {
      case 0:
        now = now.slice(0, at);
        break;
      case 1:
        now.fill(chance.below(256), at, at + chance.below(16));
        break;
      case 2:
        now.set(now.slice(chance.below(now.length), chance.below(now.length)).slice(0, now.length - at), at);
        break;
      default:
        now[at] = chance.below(256);
    }
  }
  return now;
}

type Place = { readonly of: Record<string, unknown> | unknown[]; readonly key: string | number };

/** Every place of a document that holds something. */
function places(value: unknown, all: Place[] = []): Place[] {
  if (typeof value !== 'object' || value === null) return all;
  for (const key of Object.keys(value)) {
    const at = Array.isArray(value) ? Number(key) : key;
    all.push({ of: value as Record<string, unknown>, key: at });
    places((value as Record<string, unknown>)[key], all);
  }
  return all;
}

/** Spoils a document: values of another kind or size, fields that are missing, doubled, or called what nothing is called. */
export function spoilDocument<T>(document: T, chance: Chance): T {
  const copy = structuredClone(document);
  for (let n = 1 + chance.below(3); n > 0; n--) {
    const all = places(copy);
    if (all.length === 0) break;
    const { of, key } = chance.of(all);
    const holder = of as Record<string | number, unknown>;
    const value = holder[key];
    const kind = chance.below(6);
    if (kind === 0) Reflect.deleteProperty(holder, key);
    else if (kind === 1 && typeof value === 'number') holder[key] = value * chance.of([-1, 0, 1e-6, 10, 1000, 1e9]);
    else if (kind === 2 && Array.isArray(value)) holder[key] = [...value, ...value];
    else if (kind === 3)
      Object.defineProperty(holder, chance.of(WORDS), { value: structuredClone(chance.of(VALUES)), enumerable: true, configurable: true, writable: true }); // prettier-ignore
    else if (kind === 4 && typeof value === 'string') holder[key] = spoilText(value, chance);
    else holder[key] = structuredClone(chance.of(VALUES));
  }
  return copy;
}

/** A drawing made of the parts that drawings are made of, wildly. */
export function wildSvg(chance: Chance): string {
  const number = (): string => (chance.next() < 0.15 ? chance.of(NUMBERS) : String((chance.next() * 200 - 50).toFixed(chance.below(4)))); // prettier-ignore
  const path = (): string => Array.from({ length: 1 + chance.below(12) }, () => chance.of([...'MLHVCSQTAZmlhvcsqtaz']) + Array.from({ length: chance.below(8) }, number).join(' ')).join(''); // prettier-ignore
  const paint = (): string => `fill="${chance.of(['none', '#123', 'red', 'url(#g)', 'currentColor', 'rgb(1 2 3)', 'inherit', '#12'])}" stroke="${chance.of(['none', 'blue', '#ffffff80'])}" stroke-width="${number()}" stroke-dasharray="${number()} ${number()}" opacity="${number()}" transform="${chance.of(['rotate', 'scale', 'matrix', 'translate', 'skewX'])}(${Array.from({ length: 1 + chance.below(6) }, number).join(',')})" clip-path="${chance.of(['none', 'url(#c)', 'url(#a)'])}"`; // prettier-ignore
  const shape = (deep: number): string => {
    const id = chance.of(['a', 'b', 'c', 'g']);
    switch (chance.below(deep > 5 ? 6 : 11)) {
      case 0:
        return `<rect id="${id}" x="${number()}" y="${number()}" width="${number()}" height="${number()}" rx="${number()}" ${paint()}/>`;
      case 1:
        return `<circle r="${number()}" cx="${number()}" ${paint()}/>`;
      case 2:
        return `<polygon points="${Array.from({ length: chance.below(14) }, number).join(' ')}" ${paint()}/>`;
      case 3:
        return `<use href="#${chance.of(['a', 'b', 'c'])}" ${paint()}/>`;
      case 4:
        return `<image href="data:image/png;base64,AAAA"/><text ${paint()}>Oar</text>`;
      case 5:
        return `<style>.${id}{fill:${chance.of(['red', 'var(--x)', 'url(#g)'])};transform:none}@media x{*{fill:blue}}</style>`;
      case 6:
        return `<clipPath id="c">${shape(deep + 1)}</clipPath>`;
      case 7:
        return `<symbol id="${id}" viewBox="${number()} ${number()} ${number()} ${number()}">${shape(deep + 1)}</symbol>`;
      case 8:
        return `<g id="${id}" class="${id}" ${paint()}>${shape(deep + 1)}${shape(deep + 1)}</g>`;
      default:
        return `<path d="${path()}" fill-rule="${chance.of(['evenodd', 'nonzero'])}" ${paint()}/>`;
    }
  };
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${number()}${chance.of(['mm', 'in', 'px', '%', ''])}" viewBox="${number()} ${number()} ${number()} ${number()}">${Array.from({ length: 1 + chance.below(6) }, () => shape(0)).join('')}</svg>`;
}
