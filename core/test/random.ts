import fc from 'fast-check';
import { NO_ACTS } from '../src/artwork/acts.ts';
import type { ArtworkItem, Placement } from '../src/model/item.ts';
import type { Blank } from '../src/model/blank.ts';
import type { Project } from '../src/model/project.ts';
import { projectOf } from './findings.ts';
import { makeBlank, makeJob, makeProfile, motifItem, mug, plate, textItem } from './jobs.ts';

const between = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });

/** Blanks of every kind, of everyday sizes. */
export const anyBlank: fc.Arbitrary<Blank> = fc.oneof(
  between(180, 320).map((girthRim) => makeBlank({ girthRim, side: 100 })),
  fc
    .tuple(between(200, 300), between(0.7, 1.3))
    .map(([girthRim, ratio]) => makeBlank({ girthRim, girthBase: girthRim * ratio, side: 140 })),
  fc.constant(mug()),
  between(0.98, 1.06).map((belly) => makeProfile([[0, 260], [40, 260 * belly], [80, 250]])), // prettier-ignore
  between(60, 120).map((across) => makeBlank({ across, hole: 8, holeIn: 10 }, { kind: 'lid' })),
  fc.constant(makeBlank({ width: 120, height: 80 }, { kind: 'flat' })),
  between(200, 320).map((girth) => makeBlank({ girth }, { kind: 'ball' })),
);

/** Placements; `turned` says whether things may be turned. */
export const anyPlacement = (turned: boolean): fc.Arbitrary<Placement> =>
  fc.record({
    facing: fc.constantFrom<Placement['facing']>('front', 'angle'),
    angleDeg: between(-40, 40),
    from: fc.constant('middle' as const),
    mm: between(-8, 8),
    turnDeg: turned ? fc.constantFrom(0, 90, 180, 30, -17) : fc.constant(0),
  });

const film = fc.constantFrom('deep-water', 'ensign', 'chalk');

/** One item of any kind, small enough for every blank. */
export const anyItem = (id: string, turned = true): fc.Arbitrary<ArtworkItem> => {
  const base = fc.record({
    id: fc.constant(id),
    placement: anyPlacement(turned),
    running: fc.constantFrom<ArtworkItem['running']>('round', 'level', 'rigid'),
    mirrored: fc.boolean(),
    film,
    acts: between(-0.2, 0.8).map((thickenMm) => ({
      ...NO_ACTS,
      thickenMm: Math.abs(thickenMm) < 0.15 ? 0 : thickenMm,
    })),
  });
  return fc.oneof(
    fc
      .tuple(
        base,
        fc.constantFrom('COX', 'Ida', 'bow 4', 'Tansy\n& co'),
        fc.constantFrom('condensed', 'slab', 'script'),
        between(4, 9),
        fc.boolean(),
        between(-0.3, 1),
      )
      .map(
        // prettier-ignore
        ([own, text, font, mm, wide, letterGapMm]) =>
        textItem(text, { ...own, font, size: wide ? { by: 'width', mm: 4 * mm } : { by: 'cap', mm }, letterGapMm }),
      ),
    fc
      .tuple(base, between(18, 30), fc.integer({ min: 1, max: 3 }))
      .map(([own, acrossMm, times]) =>
        textItem('bow', { ...own, size: { by: 'cap', mm: 4 }, ring: { acrossMm, tops: 'out', times, between: null } }),
      ),
    fc
      .tuple(base, fc.constantFrom('buoy', 'boat', 'heron', 'crest'), between(10, 30))
      .map(([own, motif, widthMm]) => motifItem(motif as 'buoy', { ...own, widthMm })),
    fc.tuple(base, between(6, 30), between(4, 20)).map(([own, w, h]) => plate(id, w, h, own)),
  );
};

/** Projects of up to four items on any blank, some of them copied round it. */
export const anyProject: fc.Arbitrary<Project> = fc
  .tuple(
    anyBlank,
    fc.array(fc.tuple(anyItem('x'), fc.integer({ min: 1, max: 5 })), { minLength: 1, maxLength: 4 }),
    fc.constantFrom('square', 'small', 'long'),
  )
  .map(([blank, items, board]) =>
    projectOf(
      makeJob(
        blank,
        items.map(([item, count], i) => ({
          ...item,
          id: `item-${i}`,
          ...(item.type === 'art' ? { setId: `set-${i}` } : {}),
          repeat: count > 1 ? { mode: 'spaced' as const, count } : item.repeat,
        })) as ArtworkItem[],
      ),
      board,
    ),
  );
