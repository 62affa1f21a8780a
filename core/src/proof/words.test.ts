import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { contextOf, projectOf } from '../../test/findings.ts';
import { makeBlank, makeJob, motifItem, mug, textItem, tumbler, wave } from '../../test/jobs.ts';
import type { Command } from '../model/command.ts';
import { proof } from './proof.ts';
import { describeCommand } from './fix-words.ts';
import { describeFinding } from './words.ts';

const placement = fc.record({
  facing: fc.constantFrom('front' as const, 'drinker' as const, 'angle' as const),
  angleDeg: fc.integer({ min: -180, max: 180 }),
  from: fc.constantFrom('rim' as const, 'middle' as const, 'base' as const),
  mm: fc.integer({ min: -30, max: 160 }),
  turnDeg: fc.constantFrom(0, 15, 90),
});
const item = placement.chain((at) =>
  fc.constantFrom(
    textItem('STROKE', { placement: at }),
    textItem('Bow ☃ side', { placement: at, size: { by: 'width', mm: 320 } }),
    textItem('oar', { font: 'script', fuse: false, placement: at }),
    motifItem('buoy', { placement: at, widthMm: 90 }),
    wave(7, { placement: { ...at, turnDeg: 0 } }),
  ),
);
const blank = fc.constantFrom(
  tumbler(),
  mug(),
  makeBlank({ girthRim: 210, girthBase: 248, side: 96 }),
  makeBlank({ girthRim: 27.6, girthBase: 214, side: 168 }),
  makeBlank({ girthRim: 276, girthBase: 214, side: 168, upright: 150 }),
);

describe('the catalogue of words', () => {
  it('has a full sentence with real numbers for whatever is found, in both units', () => {
    const seen = new Set<string>();
    fc.assert(
      fc.property(
        blank,
        fc.array(item, { maxLength: 3 }),
        fc.constantFrom('small', 'square', 'long'),
        (cup, items, board) => {
          const named = items.map((i, n) => ({ ...i, id: `item-${n}` }));
          for (const finding of tryProof(cup, named, board)) {
            seen.add(`${finding.code}/${finding.case}`);
            for (const unit of ['mm', 'in', 'in-decimal'] as const) {
              const { title, why, fixes } = describeFinding(finding, unit);
              const all = [title, why, ...fixes].join(' | ');
              expect(all, finding.code).not.toMatch(/NaN|undefined|null|Infinity|\[object|-0\.0/);
              expect(title).not.toMatch(/\.$/);
              expect(why).toMatch(/[.)]$/);
              expect(fixes).toHaveLength(finding.fixes.length);
              if (unit !== 'mm') expect(all).not.toMatch(/\d [mc]m/);
            }
          }
        },
      ),
      { numRuns: 40 },
    );
    // Enough of the catalogue has been through this for it to mean something.
    expect(seen.size).toBeGreaterThanOrEqual(12);
  });

  it('says what each fix does', () => {
    const cases: [Command, string][] = [
      [{ do: 'move-item', itemId: 'a', downMm: 6 }, 'Move down 6.0 mm'],
      [{ do: 'move-item', itemId: 'a', downMm: -6 }, 'Move up 6.0 mm'],
      [{ do: 'turn-item', itemId: 'a', byDeg: 12 }, 'Turn 12° to the right'],
      [{ do: 'turn-item', itemId: 'a', byDeg: -12 }, 'Turn 12° to the left'],
      [{ do: 'scale-item', itemId: 'a', factor: 0.8 }, 'Make it 20 % smaller'],
      [{ do: 'scale-item', itemId: 'a', factor: 0.8, toMiddleMm: 0 }, 'Make it 20 % smaller, in the middle'],
      [{ do: 'lap-seam', mm: 1 }, 'Lap it 1.0 mm'],
      [{ do: 'fuse-items', itemIds: ['a'] }, 'Fuse overlaps'],
      [{ do: 'replace-reading', reading: 'girthRim', mm: 276 }, 'Take 276.0 mm'],
      [{ do: 'choose-board', boardId: 'long' }, 'Use the longer board'],
    ];
    for (const [command, words] of cases) expect(describeCommand(command, 'mm')).toBe(words);
  });
});

function tryProof(cup: ReturnType<typeof tumbler>, items: Parameters<typeof makeJob>[1], board: string) {
  try {
    return proof(contextOf(projectOf(makeJob(cup, items), board)));
  } catch (problem) {
    // A blank that cannot be flattened has no findings; anything else is a fault.
    if (problem instanceof Error && /^[a-z-]+$/.test(problem.message)) return [];
    throw problem;
  }
}
