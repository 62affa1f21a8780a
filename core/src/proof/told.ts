import { formatArea, formatLength, formatSize, type Units } from '../measure/length.ts';
import { READING_IN_SENTENCE } from '../measure/words.ts';
import type { ReadingName } from '../model/blank.ts';
import type { Finding } from './finding.ts';

/** A finding that is put into words, with its numbers as they are read. */
export interface Told {
  readonly finding: Finding;
  readonly unit: Units;
  readonly names: Finding['names'];
  /** Its numbers by name: as a length, an area, per cent, and whole. */
  readonly mm: (name: string) => string;
  /** Two sides, in one unit. */
  readonly size: (a: string, b: string) => string;
  /** An area that is given in mm² or cm². */
  readonly area: (name: string, per: 'mm²' | 'cm²') => string;
  readonly percent: (name: string) => string;
  readonly whole: (name: string) => string;
  /** Its reading in the middle of a sentence; the other words when it names none. */
  readonly reading: (otherwise: string) => string;
}

/** A finding's title and why it matters. */
export type Saying = (told: Told) => readonly [title: string, why: string];

/** What a finding says, by `code/case`, or by its code alone where one sentence serves all cases. */
export type Sayings = Readonly<Record<string, Saying>>;

/** Closing words that defer to labels, local codes and trained people. */
export const LAST_WORD = 'The label, local rules and trained people come first.';

/** A finding made ready to be put into words. */
export function told(finding: Finding, unit: Units): Told {
  const { names, numbers } = finding;
  const number = (name: string): number => numbers[name] ?? NaN;
  return {
    finding,
    unit,
    names,
    mm: (name) => formatLength(number(name), unit),
    size: (a, b) => formatSize(number(a), number(b), unit),
    area: (name, per) => formatArea(number(name) * (per === 'cm²' ? 100 : 1), unit),
    percent: (name) => `${number(name).toFixed(1)} %`,
    whole: (name) => String(Math.round(number(name))),
    reading: (otherwise) => {
      const name = names['reading'] as ReadingName | undefined;
      return name ? READING_IN_SENTENCE[name] : otherwise;
    },
  };
}

/** A name at the beginning of a sentence. */
export const sentence = (name: string | undefined): string =>
  name ? name.charAt(0).toUpperCase() + name.slice(1) : 'This';

/** A number of things in words. */
export const count = (n: number | undefined, one: string, many: string): string =>
  n === 1 ? `One ${one}` : `${n ?? 0} ${many}`;
