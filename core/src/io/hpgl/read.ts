import type { Stroke } from '../../cut/pace.ts';
import { HPGL_PER_MM } from './write-cut.ts';

/** Why pen movements could not be read. */
export type HpglProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'too-large'; readonly most: number }
  | { readonly code: 'unknown'; readonly command: string; readonly at: number }
  | { readonly code: 'bad-numbers'; readonly command: string; readonly at: number };

/** Strokes in mm, in their order, or why not. */
export type HpglResult =
  { readonly ok: true; readonly strokes: readonly Stroke[] } | { readonly ok: false; readonly problem: HpglProblem };

/** Points that are taken; a load of thousands of pieces stays far below it. */
const MOST_POINTS = 2_000_000;
const MOST_CHARACTERS = 40_000_000;
/** Plotter units. Nothing that a cutter holds is larger. */
const FARTHEST = 4_000_000;

/** Commands that are read before whoever reads may do something else. */
const A_TURN = 20_000;

/**
 * Reads pen movements as a cutter does: IN and SP, PU, PD, PA and PR with any number of places. Nothing is guessed: what it
 * does not know it names.
 *
 * @param text commands, parted by semicolons or line ends
 */
export function readHpgl(text: string): HpglResult {
  const turns = hpglInTurns(text);
  for (;;) {
    const turn = turns.next();
    if (turn.done) return turn.value;
  }
}

/** As `readHpgl`, in turns: each takes some milliseconds, however long the text is. */
export function* hpglInTurns(text: string): Generator<void, HpglResult> {
  if (text.length > MOST_CHARACTERS) return { ok: false, problem: { code: 'too-large', most: MOST_CHARACTERS } };
  const strokes: Stroke[] = [];
  let [x, y, pen, total] = [0, 0, 1, 0];
  let down = false;
  let relative = false;
  let stroke: number[] = [];
  const lift = (): void => {
    if (stroke.length >= 4) strokes.push({ pen, points: Float64Array.from(stroke, (v) => v / HPGL_PER_MM) });
    stroke = [];
  };
  let left = A_TURN;
  for (let at = 0; at < text.length;) {
    const start = at;
    while (at < text.length && text[at] !== ';' && text[at] !== '\n') at++;
    const said = text.slice(start, at).trim();
    at++;
    if (said === '') continue;
    const command = said.slice(0, 2).toUpperCase();
    const rest = said.slice(2).trim();
    const numbers = rest === '' ? [] : rest.split(/[\s,]+/).map(Number);
    left -= 1 + numbers.length;
    if (left < 0) {
      left = A_TURN;
      yield;
    }
    const bad = { ok: false, problem: { code: 'bad-numbers', command, at: start } } as const;
    if (numbers.some((n) => !Number.isFinite(n) || Math.abs(n) > FARTHEST)) return bad;
    if (command === 'IN') {
      lift();
      [x, y, down, relative] = [0, 0, false, false];
    } else if (command === 'SP') {
      lift();
      if (numbers.length > 1) return bad;
      if (numbers[0]) pen = numbers[0];
    } else if (command === 'PU' || command === 'PD' || command === 'PA' || command === 'PR') {
      if (numbers.length % 2 !== 0) return bad;
      if (command === 'PU') {
        lift();
        down = false;
      } else if (command === 'PD') {
        if (!down) stroke = [x, y];
        down = true;
      } else relative = command === 'PR';
      for (let i = 0; i < numbers.length; i += 2) {
        [x, y] = relative ? [x + numbers[i]!, y + numbers[i + 1]!] : [numbers[i]!, numbers[i + 1]!];
        if (!down) continue;
        stroke.push(x, y);
        if (++total > MOST_POINTS) return { ok: false, problem: { code: 'too-large', most: MOST_POINTS } };
      }
    } else return { ok: false, problem: { code: 'unknown', command, at: start } };
  }
  lift();
  return strokes.length > 0 ? { ok: true, strokes } : { ok: false, problem: { code: 'empty' } };
}

/** Why, in words. */
export function describeHpglProblem(problem: HpglProblem): string {
  switch (problem.code) {
    case 'empty':
      return 'There is nothing to cut in it.';
    case 'too-large':
      return `It is too large: at most ${problem.most} are taken.`;
    case 'unknown':
      return `It says “${problem.command}” at character ${problem.at}, which this cutter does not know.`;
    case 'bad-numbers':
      return `The numbers after “${problem.command}” at character ${problem.at} make no sense.`;
  }
}
