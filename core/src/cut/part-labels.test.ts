import { describe, expect, it } from 'vitest';
import { pathFromRing } from '../plane/path.ts';
import { partLabels, partTitle } from './part-labels.ts';

describe('names of parts on the board', () => {
  const square = (x: number, y: number) => pathFromRing([x, y, x + 10, y, x + 10, y + 10, x, y + 10]);

  it('stand at the lower left corner of all that is cut of a part, once each', () => {
    const cuts = [
      { pieceId: 'a', part: 'tansy', paths: [square(40, 30)] },
      { pieceId: 'b', part: 'tansy', paths: [square(55, 22), square(60, 50)] },
      { pieceId: 'c', part: 'rowan-side-2', paths: [square(5, 5)] },
      { pieceId: 'test-mark', paths: [square(0, 0)] },
      { pieceId: 'd', part: '', paths: [square(90, 90)] },
    ];
    expect(partLabels(cuts)).toEqual([
      { text: 'Tansy', x: 40, y: 22 },
      { text: 'Rowan side 2', x: 5, y: 5 },
    ]);
  });

  it('are read as words', () => {
    expect(['tansy', 'gore-3', ''].map(partTitle)).toEqual(['Tansy', 'Gore 3', '']);
  });
});
