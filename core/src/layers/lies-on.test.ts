import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { bare, makeBlank, makeJob, plate } from '../../test/jobs.ts';
import type { ArtItem } from '../model/item.ts';
import type { Blank } from '../model/blank.ts';
import { sizeBlank } from '../measure/measured.ts';
import { boxWidth } from '../plane/box.ts';
import { deriveWrap } from '../pieces/wrap.ts';
import type { Job } from '../model/job.ts';
import type { Piece } from '../pieces/pieces.ts';

const GLOSS = 0.07;
const GLITTER = 0.18;
const films = makeJob(makeBlank({ girthRim: 260, side: 90 }), []).films.map((film) => ({
  ...film,
  thicknessMm: film.id === 'ensign' ? GLITTER : GLOSS,
}));

/** A band right round, some millimetres high, its top so far down. */
const band = (id: string, film: string, high: number, down: number): ArtItem =>
  plate(id, 60, high, {
    film,
    heightMm: high,
    running: 'round',
    repeat: { mode: 'joined', count: 5 },
    placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: down, turnDeg: 0 },
  });

function piecesOf(blank: Blank, items: readonly ArtItem[], more: Partial<Job> = {}): (film: string) => Piece {
  const derived = deriveWrap({ ...makeJob(blank, items), films, ...more }, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  return (film) => derived.wrap.pieces.find((piece) => piece.film === film)!;
}

const cup = makeBlank({ girthRim: 260, side: 90 });

describe('film at its own middle', () => {
  it('meets round the blank whatever is first in the job: girth and π times its own thickness', () => {
    const of = piecesOf(cup, [band('a', 'deep-water', 10, 20), band('b', 'ensign', 10, 60)]);
    expect(boxWidth(of('deep-water').flatBox)).toBeCloseTo(260 + Math.PI * GLOSS, 3);
    expect(boxWidth(of('ensign').flatBox)).toBeCloseTo(260 + Math.PI * GLITTER, 3);
  });

  it('on film runs further out by all of that, and by its share where it lies half on the blank', () => {
    const on = piecesOf(cup, [band('a', 'deep-water', 40, 40), band('b', 'ensign', 10, 40)]);
    expect(boxWidth(on('ensign').flatBox)).toBeCloseTo(260 + 2 * Math.PI * GLOSS + Math.PI * GLITTER, 2);
    // 10 mm high, 5 of them over the edge of the film below.
    const half = piecesOf(cup, [band('a', 'deep-water', 40, 40), band('b', 'ensign', 10, 75)]);
    expect(boxWidth(half('ensign').flatBox)).toBeCloseTo(260 + Math.PI * GLOSS + Math.PI * GLITTER, 1);
    // Three films: both lie below the third.
    const three = piecesOf(cup, [
      band('a', 'deep-water', 40, 40),
      band('b', 'ensign', 30, 40),
      band('c', 'reed', 10, 40),
    ]);
    expect(boxWidth(three('reed').flatBox)).toBeCloseTo(260 + 2 * Math.PI * (GLOSS + GLITTER) + Math.PI * GLOSS, 2);
  });

  it('let into the film below lies on the blank', () => {
    const job = makeJob(cup, []);
    const inlaid = piecesOf(cup, [band('a', 'deep-water', 40, 40), band('b', 'ensign', 10, 40)], {
      stack: { ...job.stack, build: 'inlay', underlapMm: 0 },
    });
    expect(boxWidth(inlaid('ensign').flatBox)).toBeCloseTo(260 + Math.PI * GLITTER, 2);
  });

  it('keeps a taper’s side and opens the sector by as much at both ends', () => {
    const tapered = makeBlank({ girthRim: 300, girthBase: 240, side: 100 });
    const of = piecesOf(tapered, [band('a', 'deep-water', 10, 20), band('b', 'ensign', 10, 60)]);
    // Its upper edge lies 60 mm down, where the girth is 264: the ends of that arc are 2ρ·sin(πk) apart on the flat.
    const k = 60 / (2 * Math.PI * 100);
    const half = ((264 + Math.PI * GLITTER) / (2 * Math.PI * k)) * Math.sin(Math.PI * k);
    expect(of('ensign').flatBox.maxX).toBeCloseTo(half, 2);
  });

  it('on the inside of a glass is shorter by π times its thickness, and by all that it lies on', () => {
    const glass = makeBlank({ girthRim: 260, side: 90 }, { inside: { read: 'inside', wallMm: 0 } });
    const of = piecesOf(glass, [band('a', 'deep-water', 40, 40), band('b', 'ensign', 10, 40)]);
    expect(boxWidth(of('deep-water').flatBox)).toBeCloseTo(260 - Math.PI * GLOSS, 3);
    expect(boxWidth(of('ensign').flatBox)).toBeCloseTo(260 - 2 * Math.PI * GLOSS - Math.PI * GLITTER, 2);
  });
});

describe('girths for film on the inside', () => {
  const tape = { ...bare(260), thicknessMm: 0.4 };
  const sum = (inside: Blank['inside']) => {
    const sized = sizeBlank(makeBlank({ side: 90 }, { inside, readings: { girthRim: tape, side: bare(90) } }));
    if (!sized.ok) throw new Error(sized.problem.code);
    return sized.size.rim;
  };

  it('count the tape the other way when it lay inside, and the wall when it lay outside', () => {
    expect(sum(null).surface).toBeCloseTo(260 - 0.4 * Math.PI, 9);
    expect(sum({ read: 'inside', wallMm: 3 }).surface).toBeCloseTo(260 + 0.4 * Math.PI, 9);
    const outside = sum({ read: 'outside', wallMm: 3 });
    expect(outside.surface).toBeCloseTo(260 - 0.4 * Math.PI - 6 * Math.PI, 9);
    expect(outside.read - outside.takenOffForTape - outside.takenOffForWall).toBeCloseTo(outside.surface, 9);
  });
});
