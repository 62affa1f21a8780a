import type { CutterRefusal } from '../cut/cutter-state.ts';
import { formatFar, formatLength, type Units } from '../measure/length.ts';

/** Why the cutter did not take a load, or stopped, in words. */
export function describeRefusal(why: CutterRefusal, units: Units): string {
  const mm = (v: number): string => formatLength(v, units);
  const far = (metres: number): string => formatFar(1000 * metres, units);
  switch (why.code) {
    case 'unreadable':
      return `What was sent cannot be read. ${why.words} Nothing was cut; send it again.`;
    case 'wider-than-film':
      return `${why.strip}: the cuts reach ${mm(why.reach)} past the ${mm(why.film)} of its film. Nothing was cut; plan it again for the film that you have.`;
    case 'longer-than-load':
      return `It is ${mm(why.reach)} long, and the board takes ${mm(why.most)}. Nothing was cut; choose a longer board.`;
    case 'too-wide':
      return `The board is ${mm(why.width)} wide, and this cutter takes ${mm(why.most)}. Nothing was cut.`;
    case 'empty-board':
      return 'There is no film on the board. Nothing was cut; lay the film on, then load it again.';
    case 'worn-blade':
      return `The blade has cut ${far(why.metres)} of the ${far(why.most)} that it lasts, and would tear the film. Nothing was cut; put a new one in.`;
    case 'lost':
      return 'What it was to cut could not be read after the start. Nothing was cut since; send it again.';
    case 'stopped':
      return `Stopped by hand at ${(100 * why.share).toFixed(0)} %. Leave the board where it is: it goes on from there.`;
    case 'switched-off':
      return `The cutter was switched off at ${(100 * why.share).toFixed(0)} %. If the board was not moved, it goes on from there; nothing is cut twice.`;
  }
}
