import { testFonts } from '../../test/fonts.ts';
import { makeJob, motifItem, textItem, tumbler, wave } from '../../test/jobs.ts';
import { median, type Row } from '../../test/measure.ts';
import { coneDevelopment } from '../surface/cone.ts';
import { deriveWrap } from './derive.ts';
import { makePieces } from './pieces.ts';
import { placeItem } from './place.ts';

/** Twenty thousand segments cut, laid flat and fitted; and a whole project. */
export function benchPieces(row: Row): void {
  const surface = coneDevelopment({ girthRim: 276, girthBase: 214, side: 168 });
  const item = motifItem('heron', { repeat: { mode: 'spaced', count: 12 }, widthMm: 14 });
  const placed = placeItem(item, surface, testFonts, 'right');
  const segments = placed.groups.flat().reduce((sum, ring) => sum + ring.length / 2, 0);
  const times = Math.ceil(20_000 / segments);
  const region = { left: [-Math.PI, -Math.PI], right: [Math.PI, Math.PI], slant: [0, 168] } as const;
  const frame = { surface, region, closed: true, meanRadius: 39 };
  const ms = median(() => {
    for (let i = 0; i < times; i++) makePieces([placed], frame);
  }, 5);
  row(
    'map artwork of 20,000 segments, cut, subdivide and refit',
    '≤ 60 ms',
    `${ms.toFixed(0)} ms (${times * segments} segments)`,
  );

  const job = makeJob(tumbler(), [
    wave(9),
    wave(9, { id: 'w2', film: 'shallows' }),
    textItem('STROKE', { film: 'ensign' }),
  ]);
  row('demo tumbler from readings to pieces', '(not set)', `${median(() => deriveWrap(job, testFonts)).toFixed(0)} ms`);
}
