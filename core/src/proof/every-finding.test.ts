import { describe, expect, it } from 'vitest';
import { at, findingsOf, jobOf, projectOf } from '../../test/findings.ts';
import { bare, makeBlank, makeJob, makeProfile, motifItem, mug, plate, textItem, tumbler, wave } from '../../test/jobs.ts'; // prettier-ignore
import { makeOffcut, makeStockFilm } from '../../test/stock.ts';
import { NO_ACTS } from '../artwork/acts.ts';
import { PLAIN_STACK } from '../layers/order.ts';
import { STARTING_FILMS } from '../material/film.ts';
import type { Blank } from '../model/blank.ts';
import type { Project } from '../model/project.ts';
import type { StockThing } from '../model/stock.ts';
import type { FindingCode } from './finding.ts';
import type { Limits } from './limits.ts';
import { describeFinding } from './words.ts';

const ball = makeBlank({ girth: 252 }, { kind: 'ball' });
const balloon = makeBlank({ girth: 880, overCrown: 478 }, { kind: 'balloon', surface: 'latex', balloon: { gas: 'helium', hours: 30, shrinkPerDay: 2 } }); // prettier-ignore
const bulge = makeProfile([[0, 150], [30, 220], [60, 252], [90, 220], [120, 150]]); // prettier-ignore
const words = (text = 'COX', more: Parameters<typeof textItem>[1] = {}): Project =>
  jobOf(tumbler(), textItem(text, more));
const listed = (name: string): Project => ({
  ...words(),
  names: { itemId: 'text-1', widthMm: 20, leastCapMm: 8, closeMm: 0, rows: [{ id: 'r', name, count: 1, hand: null, capMm: null, blankId: null }] }, // prettier-ignore
});
const masked = (bridgeMm: number, widthMm = 90): Project => {
  const design = textItem('O', { acts: { ...NO_ACTS, shapesOnly: true } });
  const mask = motifItem('plate', { id: 'mask', widthMm, heightMm: 120, placement: at({ from: 'rim', mm: 0 }), acts: { ...NO_ACTS, cutAway: ['text-1'], bridgeMm } }); // prettier-ignore
  return jobOf(tumbler(), design, mask);
};
const spread = (): Blank =>
  tumbler({ readings: { girthRim: { ...bare(276), takes: [{ typed: '', mm: 274 }, { typed: '', mm: 278 }] }, girthBase: bare(214), side: bare(168) } }); // prettier-ignore

/** Eight buoys round on a wave, or off it, lined up in some way. */
function lined(how: 'marks' | 'by hand', downMm: number, blank = tumbler()): Project {
  const buoys = motifItem('buoy', { id: 'buoys', film: 'brass', widthMm: 8, repeat: { mode: 'spaced', count: 8 }, placement: at({ mm: downMm }) }); // prettier-ignore
  const job = jobOf(blank, wave(9), buoys);
  return { ...job, stack: { ...job.stack, marks: Object.fromEntries(['ensign', 'deep-water', 'brass', 'chalk', 'shallows'].map((film) => [film, how])) } }; // prettier-ignore
}
const chalk = STARTING_FILMS.find(({ id }) => id === 'chalk')!;
const stocked = (...stock: StockThing[]): Project => ({
  ...words('COX', { film: 'chalk' }),
  carried: { fonts: [], limits: {}, stock },
});

/** A job for every finding that there is: a new one without a job does not compile. */
const FIRES: Record<FindingCode, Project | readonly [Project, Partial<Limits>]> = {
  'reading-implausible': jobOf(makeBlank({ girthRim: 200, girthBase: 62, side: 168 })),
  'reading-spread': jobOf(spread(), wave(9)),
  'reading-weak': [words(), { edgeDrift: 0.3 }],
  'fit-unchecked': jobOf(tumbler(), wave(9)),
  'seam-gap': jobOf(tumbler(), wave(9)),
  'seam-cut': words('COX', { placement: at({ facing: 'angle', angleDeg: 180 }) }),
  'seam-neighbours': jobOf(
    tumbler(),
    ...[-150, -110, -70, -30, 10, 50, 90, 130, 174].map((angleDeg, i) =>
      plate(`p${i}`, 6, 6, { placement: at({ facing: 'angle', angleDeg: i === 0 ? -174 : angleDeg }) }),
    ),
  ),
  'rim-zone': words('COX', { placement: at({ from: 'rim', mm: 1 }) }),
  'base-zone': words('COX', { placement: at({ from: 'base', mm: 1 }) }),
  'handle-zone': jobOf(mug(), motifItem('heron', { placement: at({ facing: 'angle', angleDeg: 160 }) })),
  glance: words('REGATTA', { size: { by: 'width', mm: 110 } }),
  unfused: words('bowman', { font: 'script', fuse: false }),
  'letters-missing': words('舟'),
  'font-missing': words('COX', { font: 'own-lost' }),
  'names-overflow': listed('Bartholomew'),
  'right-way-up': jobOf(makeBlank({ girthRim: 210, girthBase: 248, side: 96 }), textItem('COX')),
  'load-fit': projectOf(makeJob(tumbler(), [wave(9, { heightMm: 110 })]), 'small'),
  'face-edge': jobOf(makeBlank({ across: 60 }, { kind: 'lid' }), plate('wide', 70, 10, { running: 'rigid' })),
  'cap-zone': jobOf({ ...ball, capMm: 24, flattening: { way: 'patch', parts: null, keep: null, patchMm: 40, patchUpDeg: 45 } }, plate('high', 10, 8, { placement: at({ mm: -16 }), running: 'rigid' })), // prettier-ignore
  wrinkle: jobOf(ball, plate('broad', 32, 32, { running: 'rigid' })),
  stretch: jobOf(bulge, wave(8, { heightMm: 90, placement: at({}) })),
  'tape-wrinkle': jobOf(bulge, wave(8, { heightMm: 60, placement: at({}) })),
  'balloon-keeps': jobOf(balloon, textItem('4', { running: 'rigid' })),
  island: masked(0),
  'bridge-thin': masked(0.5),
  'mask-margin': masked(0, 20),
  'mask-web': { ...jobOf(tumbler(), plate('web', 40, 0.9)), process: 'strip' },
  'mask-opening': { ...masked(0), process: 'etch', blank: tumbler({ rimClearanceMm: 90 }) },
  'film-unsuited': words('COX', { film: 'night' }),
  'cover-sheet': words('COX', { film: 'brass' }),
  hazard: { ...words(), process: 'blast' },
  'fine-stroke': jobOf(tumbler(), plate('bar', 40, 0.8)),
  'tiny-piece': jobOf(tumbler(), plate('dot', 2, 2)),
  'loose-dot': jobOf(tumbler(), plate('drawn', 40, 20, { pathData: 'M-20 -10H10V10H-20ZM15 0H16V1H15Z' })),
  'stray-film': jobOf(
    tumbler(),
    plate('wide', 60, 30),
    plate('speck', 3, 3, { film: 'brass', placement: at({ mm: 40 }) }),
  ),
  hands: words('COX', { mirrored: true }),
  'stack-thick': jobOf(tumbler(), ...['ensign', 'chalk', 'reed', 'brass'].map((film, i) => plate(film, 30 - 4 * i, 30 - 4 * i, { film }))), // prettier-ignore
  'stack-unsupported': lined('by hand', 0),
  'registration-missing': lined('by hand', 48),
  'registration-costly': [lined('marks', 30, makeBlank({ girthRim: 250, side: 100 })), { marksCost: 1 }],
  'stack-hidden': { ...jobOf(tumbler(), plate('solid', 40, 40), plate('line', 20, 4, { film: 'ensign' })), stack: { ...PLAIN_STACK, order: ['ensign', 'deep-water'] } }, // prettier-ignore
  'stack-overlap': jobOf(tumbler(), plate('solid', 40, 40), plate('across', 60, 6, { film: 'ensign' })),
  'stack-levels': jobOf(tumbler(), plate('a', 40, 40), plate('b', 30, 30, { film: 'ensign' }), plate('c', 10, 10)),
  'script-apart': words('Odessa', { font: 'script', letterGapMm: 1 }),
  'film-short': stocked(makeStockFilm({ film: chalk, lengthMm: 20, boughtLengthMm: 5000 })),
  'film-old': stocked(makeOffcut({ film: chalk, boughtOn: null })),
};

/** What a finding says where it has no fix of its own: what a person is to do, or that only they can judge. */
const SAYS_WHAT_TO_DO = /judge|Choose|Set it|Move it|Lay |Lift|Turn|Take|Measure|Fewer|Fill|Bring|Cut artwork|once more|upside down|Use |Buy|Cut a small test|picked off|a smaller design|write it|larger patch/; // prettier-ignore

describe('every finding', () => {
  for (const [code, job] of Object.entries(FIRES) as [FindingCode, (typeof FIRES)[FindingCode]][])
    it(`${code} fires, in words with its numbers, and has a fix, a place to go or a plain word on what to do`, () => {
      const found = 'id' in job ? findingsOf(job, code) : findingsOf(job[0], code, job[1]);
      expect(found.length).toBeGreaterThan(0);
      for (const finding of found) {
        const { title, why, fixes } = describeFinding(finding, 'mm');
        expect(`${title} ${why} ${fixes.join(' ')}`).not.toMatch(/NaN|undefined|null/);
        expect(title.length).toBeGreaterThan(8);
        if (finding.severity !== 'fine' && finding.fixes.length === 0 && !finding.goTo)
          expect(why).toMatch(SAYS_WHAT_TO_DO);
      }
    });
});
