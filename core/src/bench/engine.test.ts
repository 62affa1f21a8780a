import { describe, expect, it } from 'vitest';
import { inOrder } from './engine.ts';
import type { StepDraft, StepKind } from './step.ts';

const step = (id: string, kind: StepKind, after: string[] = [], more: Partial<StepDraft> = {}): StepDraft => ({ id, kind, after, title: id, body: id, ...more }); // prettier-ignore
const ids = (drafts: StepDraft[]): string[] => inOrder(drafts).map(({ id }) => id);

describe('the order of steps', () => {
  it('is that in which they were named, but for those that wait for others by id or by kind', () => {
    expect(ids([step('a', 'weed'), step('b', 'tape'), step('c', 'lay')])).toEqual(['a', 'b', 'c']);
    expect(ids([step('a', 'lay', ['every tape']), step('b', 'weed'), step('c', 'tape', ['b'])])).toEqual([
      'b',
      'c',
      'a',
    ]);
    // What is not there is not waited for, and no step waits for itself.
    expect(ids([step('a', 'weed', ['gone', 'every weed']), step('b', 'tape', ['a'])])).toEqual(['a', 'b']);
    expect(inOrder([step('b', 'lay', ['every tape', 'tape:1']), step('tape:1', 'tape')])[1]!.after).toEqual(['tape:1']);
  });

  it('has no circle, and no id twice', () => {
    expect(() => inOrder([step('a', 'weed', ['b']), step('b', 'tape', ['a']), step('c', 'lay')])).toThrow('steps wait for each other: a, b'); // prettier-ignore
    expect(() => inOrder([step('a', 'weed'), step('a', 'tape')])).toThrow('two steps have one id');
  });

  it('tells a hazard once, at the first step that has it', () => {
    const [a, b, c] = inOrder([step('a', 'weed', [], { cautions: ['blade'] }), step('b', 'weed', [], { cautions: ['blade', 'alcohol'] }), step('c', 'lay')]); // prettier-ignore
    expect([a!.cautions, b!.cautions, c!.cautions]).toEqual([['blade'], ['alcohol'], []]);
    expect([b!.caution, c!.caution]).toEqual([expect.stringMatching(/^Alcohol burns/), null]);
  });

  it('knows what can be done while something waits: all that does not hang on it', () => {
    const [dry, cut, weed, clean, lay] = inOrder([
      step('dry', 'prepare', [], { waitMinutes: 1440 }),
      step('cut', 'place-film'),
      step('weed', 'weed', ['cut']),
      step('clean', 'clean', ['dry', 'weed']),
      step('lay', 'lay', ['clean'], { handsMinutes: 4 }),
    ]);
    expect(dry!.beside).toEqual(['cut', 'weed']);
    expect([cut!.beside, weed!.beside, clean!.beside]).toEqual([[], [], []]);
    expect([dry!.numbers, lay!.numbers]).toEqual([{ handsMinutes: 1, waitMinutes: 1440 }, { handsMinutes: 4, waitMinutes: 0 }]); // prettier-ignore
  });
});
