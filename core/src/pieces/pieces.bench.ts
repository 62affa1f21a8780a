import { newProject } from '../document/new-project.ts';
import type { Project } from '../model/project.ts';
import { examineProject } from '../pipeline.ts';
import { testFonts } from '../../test/fonts.ts';
import { makeJob, motifItem, textItem, tumbler, wave } from '../../test/jobs.ts';
import { median, type Row } from '../../test/measure.ts';
import { coneDevelopment } from '../surface/cone.ts';
import { makeBatch } from './batch.ts';
import { deriveWrap } from './wrap.ts';
import { makePieces } from './pieces.ts';
import { frameOn } from '../seam/panel-frame.ts';
import { placeItem } from '../layout/place.ts';
import { findSeams } from '../seam/finder.ts';
import { straightSeam } from '../seam/path.ts';

/** Twenty thousand segments cut, laid flat and fitted; and a whole project. */
export function benchPieces(row: Row): void {
  const surface = coneDevelopment({ girthRim: 276, girthBase: 214, side: 168 });
  const item = motifItem('heron', { repeat: { mode: 'spaced', count: 12 }, widthMm: 14 });
  const placed = placeItem(item, surface, testFonts, 'right');
  const segments = placed.groups.flat().reduce((sum, ring) => sum + ring.length / 2, 0);
  const times = Math.ceil(20_000 / segments);
  const ends = { left: straightSeam(-Math.PI, -Math.PI, 168), right: straightSeam(Math.PI, Math.PI, 168) };
  const place = { name: '', turn: 0, from: 0, x: 0, y: 0 };
  const frame = { panels: [frameOn(surface, ends, [-Infinity, Infinity], place)], meanRadius: 39, side: 168 };
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
  let seed = 1;
  const random = (): number => (seed = (seed * 16807) % 2147483647) / 2147483647;
  const groups = Array.from({ length: 400 }, () => {
    const [azimuth, v, size] = [2 * Math.PI * random(), 168 * random(), 3 + 2 * random()];
    const spot = (k: number): number[] => [
      azimuth + (size * Math.cos((2 * Math.PI * k) / 53)) / 40,
      v - size * Math.sin((2 * Math.PI * k) / 53),
    ];
    return [Float64Array.from(Array.from({ length: 53 }, (_, k) => spot(k)).flat())];
  });
  const field = { side: 168, radiusAt: (v: number) => 44 - v * 0.059, groups };
  const seek = median(() => findSeams(field, { clearance: 1, count: 1, home: Math.PI }), 5);
  row('find a seam through 400 pieces', '≤ 300 ms', `${seek.toFixed(0)} ms`);

  row('demo tumbler from readings to pieces', '(not set)', `${median(() => deriveWrap(job, testFonts)).toFixed(0)} ms`);

  const words = textItem('MARLOW', { film: 'ensign' });
  const names = Array.from({ length: 60 }, (_, i) => `${['Rowan', 'Ottilie', 'Bram', 'Rosalind', 'Ida'][i % 5]!}${i}`);
  const listed: Project = {
    ...newProject('p', 'Names', tumbler(), null, ''),
    ...makeJob(tumbler(), [wave(9), words]),
    names: {
      itemId: words.id,
      widthMm: 60,
      leastCapMm: 6,
      closeMm: 1,
      rows: names.map((name, i) => ({ id: `n${i}`, name, count: 1, hand: null, capMm: null, blankId: null })),
    },
  };
  const derived = deriveWrap(listed, testFonts);
  if (!derived.ok) throw new Error(derived.problem.code);
  const fitted = median(() => makeBatch(listed, listed.names!, derived, testFonts), 3);
  row('place and fit a list of 60 names', '≤ 1000 ms', `${fitted.toFixed(0)} ms`);
  const whole = median(() => examineProject(listed, testFonts), 3);
  row('the same with loads, findings and all', '(not set)', `${whole.toFixed(0)} ms`);
}
