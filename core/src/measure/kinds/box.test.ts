import { describe, expect, it } from 'vitest';
import { bare, makeBlank } from '../../../test/jobs.ts';
import type { BoxFace } from '../../model/blank.ts';
import { sizeBlank } from '../measured.ts';
import { BOX_FACES, facesFollow, otherFace } from './box.ts';

const box = makeBlank({ width: 180, depth: 120, height: 70 }, { id: 'box', kind: 'box', name: 'Prize box' });
const size = (face: BoxFace): number[] => {
  const sized = sizeBlank({ ...box, face });
  if (!sized.ok) throw new Error(sized.problem.code);
  return [sized.size.rim.surface, sized.size.side];
};

describe('a box', () => {
  it('has six faces by name, as wide and high as two of its three readings', () => {
    expect((Object.keys(BOX_FACES) as BoxFace[]).map((face) => [face, ...size(face)])).toEqual([
      ['lid', 180, 120],
      ['front', 180, 70],
      ['back', 180, 70],
      ['left', 120, 70],
      ['right', 120, 70],
      ['base', 180, 120],
    ]);
    // Left out, it is the lid; what that face does not need may be missing.
    const flat = { ...box, readings: { width: bare(180), depth: bare(120) } };
    expect(sizeBlank(flat).ok).toBe(true);
    expect(sizeBlank({ ...flat, face: 'front' })).toMatchObject({ ok: false, problem: { code: 'reading-missing', reading: 'height' } }); // prettier-ignore
  });

  it('gives its other faces as blanks of their own, which follow when it is read again', () => {
    const lid = otherFace(box, 'lid');
    expect(lid).toMatchObject({ id: 'box:lid', name: 'Prize box, lid', face: 'lid' });
    const mug = makeBlank({ girthRim: 250, side: 90 }, { id: 'mug' });
    const read = { ...box, readings: { ...box.readings, width: bare(200) } };
    const [after, other] = facesFollow(read, [lid, mug]);
    expect(sizeBlank(after!)).toMatchObject({ ok: true, size: { rim: { surface: 200 }, side: 120 } });
    expect(other).toBe(mug);
  });
});
