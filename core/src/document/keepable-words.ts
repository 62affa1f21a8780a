import { ownEntry } from '../model/own-entry.ts';
import type { z } from 'zod';
import { formatLength, type Units } from '../measure/length.ts';
import type { Keepable } from './keepable.ts';

/** What fields are called, by the name that they have in a project. */
const CALLED: { readonly [field: string]: string } = {
  widthMm: 'The width',
  heightMm: 'The height',
  mm: 'The length',
  acrossMm: 'The ring',
  letterGapMm: 'The letter spacing',
  linePitch: 'The line spacing',
  thickenMm: 'Thickening',
  bridgeMm: 'The bridges',
  lapMm: 'The lap at the seam',
  clearanceMm: 'What the seam keeps clear',
  gapMm: 'The smallest gap',
  count: 'How many there are',
  times: 'How often it comes round',
  spares: 'The spares',
  text: 'The words',
  name: 'The name',
  notes: 'The notes',
  reason: 'The reason',
  capMm: 'The capital height',
  leastCapMm: 'The smallest capitals',
  handleWidthMm: 'The handle',
  wallMm: 'The wall',
  handleClearanceMm: 'The clearance at the handle',
  bandBelowRimMm: 'What the band lies below the rim',
  rimClearanceMm: 'The rim clearance',
  baseClearanceMm: 'The base clearance',
  angleDeg: 'The angle',
  turnDeg: 'The turn',
  items: 'The artwork',
  takes: 'Readings of one place',
  stations: 'The heights of the curve',
  pathData: 'The drawing',
  rows: 'The list of names',
  films: 'The films',
  otherBlanks: 'The other blanks',
  accepted: 'What was accepted',
  cutAway: 'What is cut away',
  dropped: 'What is dropped',
  log: 'The log',
  thicknessMm: 'The thickness of film',
  lengthMm: 'The length',
  boughtLengthMm: 'The length that was bought',
  uses: 'How often tape is used',
  price: 'The price',
  worth: 'The worth',
};

/** Of what a list holds too many. */
const MANY: { readonly [list: string]: string } = {
  items: 'pieces of artwork',
  takes: 'readings of one place',
  stations: 'heights',
  rows: 'names',
  films: 'films',
  otherBlanks: 'other blanks',
  accepted: 'accepted findings',
  log: 'log entries',
};

const lastName = (path: string): string => path.split('.').findLast((part) => !/^\d+$/.test(part)) ?? path;

/**
 * What does not fit the format, in words, and between which bounds it would.
 *
 * @param path of the field
 * @param unit that lengths are written in
 */
export function describeIssue(path: string, issue: z.core.$ZodIssue, unit: Units): string {
  const field = lastName(path);
  const called = ownEntry(CALLED, field) ?? `“${field}”`;
  const isLength = /mm$/i.test(field);
  const told = (value: unknown): string => (isLength ? formatLength(Number(value), unit) : String(value));
  if (issue.code === 'too_big' && issue.origin === 'array')
    return `At most ${issue.maximum} ${ownEntry(MANY, field) ?? `of “${field}”`} can be kept.`;
  if (issue.code === 'too_big' && issue.origin === 'string')
    return `${called} would be too long to keep: at most ${issue.maximum} characters.`;
  if (issue.code === 'too_big') return `${called} can be ${told(issue.maximum)} at most.`;
  if (issue.code === 'too_small' && issue.origin === 'number')
    return `${called} must be ${issue.inclusive === false ? 'more than' : 'at least'} ${told(issue.minimum)}.`;
  return `${called} cannot be kept like this.`;
}

/**
 * What does not fit the format of a file, in words: nobody who reads them has seen what it looks like inside.
 *
 * @param issue the first that was found
 */
export function fileIssueWords(issue: z.core.$ZodIssue): string {
  switch (issue.code) {
    // What the format says in words of its own.
    case 'custom':
      return issue.message;
    case 'too_big':
      return issue.origin === 'array'
        ? `more than ${issue.maximum} are listed there`
        : issue.origin === 'string'
          ? `it is longer than ${issue.maximum} characters`
          : `it is more than ${issue.maximum}`;
    case 'too_small':
      return issue.origin === 'array'
        ? `fewer than ${issue.minimum} are listed there`
        : issue.origin === 'string'
          ? 'it is empty or too short'
          : `it is less than ${issue.minimum}`;
    case 'invalid_value':
      return 'it is none of what may stand there';
    case 'unrecognized_keys':
      return 'something stands there that does not belong';
    case 'invalid_format':
      return 'it is not written as it has to be';
    default:
      return 'it is missing, or of another kind than it has to be';
  }
}

/** Why a change of a project was not made, in words. */
export const describeKeepProblem = ({ path, issue }: Extract<Keepable, { ok: false }>, unit: Units): string =>
  `${describeIssue(path, issue, unit)} Nothing was changed.`;
