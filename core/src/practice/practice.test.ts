import { describe, expect, it } from 'vitest';
import { testFonts } from '../../test/fonts.ts';
import { examineProject } from '../pipeline.ts';
import { measureSeam } from '../seam/measure-seam.ts';
import { straightSeam } from '../seam/path.ts';
import { seamStep } from '../surface/cone.ts';
import { judgeCloseSeam, makeCloseSeam, makesACup, paperShows } from './close-seam.ts';
import { bestSeam, fieldOf, judgeFindSeam, makeFindSeam } from './find-seam.ts';
import { scoreOf } from './judged.ts';
import { judgeLayWrap, makeLayWrap, offLineAtWorst, stepAtSeam } from './lay-wrap.ts';
import { judgeReadTape, makeReadTape, parallax, tapeLoop, tapeShows, type TapeTask } from './read-tape.ts';
import { asksFor, judgeSlitBall, makeSlitBall, type SlitTask } from './slit-ball.ts';
import { judgeSpotFailing, makeSpotFailing } from './spot-failing.ts';
import { type HeightTask, judgeWhichHeight, makeWhichHeight, offBy } from './which-height.ts';

const SEEDS = Array.from({ length: 40 }, (_, i) => i + 1);

describe('scores', () => {
  it('fall evenly from fine to far, and no further', () => {
    expect([0, 1, 2, 3, 9].map((miss) => scoreOf(miss, 1, 3))).toEqual([100, 100, 50, 0, 0]);
  });

  it.each([makeReadTape, makeWhichHeight, makeCloseSeam, makeLayWrap, makeSlitBall, makeFindSeam, makeSpotFailing])(
    '%o makes the same of a seed, and something else of another',
    (make) => {
      expect(make(5)).toEqual(make(5));
      expect(make(5)).not.toEqual({ ...make(6), seed: 5 });
    },
  );
});

describe('a tape that is read', () => {
  const task: TapeTask = { seed: 1, girth: 260, side: 95, colour: '#ffffff', found: { turned: 0, askew: 0 } };

  it('goes round farther when it runs askew, and points aside when it is seen from aside', () => {
    // An ellipse of half-axes 41.38029 and √(41.38029² + 15²) = 44.01523, summed along a fine polygon.
    const [r, steps] = [260 / (2 * Math.PI), 100_000];
    let polygon = 0;
    for (let i = 0; i < steps; i++) {
      const [a, b] = [(2 * Math.PI * i) / steps, (2 * Math.PI * (i + 1)) / steps];
      polygon += Math.hypot(2 * r * Math.sin((b - a) / 2), 15 * (Math.sin(b) - Math.sin(a)));
    }
    expect(tapeLoop(260, 30)).toBeCloseTo(polygon, 5);
    expect(tapeLoop(260, 30)).toBeGreaterThan(268);
    expect(tapeLoop(260, 0)).toBeCloseTo(260, 9);
    // A mark 3 mm off, seen at 45°, lies over a spot 3 mm aside.
    expect(parallax(Math.PI / 4)).toBeCloseTo(3, 12);
    expect(parallax(-Math.PI / 4)).toBeCloseTo(-3, 12);
    expect(tapeShows(task, { turned: Math.PI / 4, askew: 30 })).toBeCloseTo(polygon + 3, 5);
  });

  it('is blamed for what was most wrong', () => {
    const head = (turned: number, askew: number, read: number): string => judgeReadTape(task, { turned, askew }, read, 'mm').why[0]; // prettier-ignore
    expect(head(0, 18, 263)).toBe('The tape ran askew');
    expect(head(-0.7, 0, 257.5)).toBe('Seen from aside');
    expect(head(0, 0, 263)).toBe('The wrong line');
    expect(head(0.7, 18, 260)).toBe('A girth to cut by');
  });

  it('tells what 3 mm do to the seam and to the diameter', () => {
    const judged = judgeReadTape(task, { turned: 0, askew: 0 }, 263, 'mm');
    expect(judged.came.map(({ says, value }) => `${says} ${value}`)).toEqual([
      'You read 263.0 mm',
      'It is 260.0 mm',
      'The ends would lap by 3.0 mm',
      'And in diameter 1.0 mm',
    ]);
    // 3 mm off, between 0.8 and 5: (5 − 3)/4.2.
    expect(judged.score).toBe(48);
    expect(judgeReadTape(task, { turned: 0, askew: 0 }, 257, 'mm').came[2]!.says).toBe('The seam would gape by');
  });
});

describe('upright or along the side', () => {
  // 90 to 60 mm across, 112 mm upright: 15 mm out, so that the side is √(112² + 15²) = 113.
  const cone = { girthRim: Math.PI * 90, girthBase: Math.PI * 60, side: 113 };
  const task = (ruler: HeightTask['ruler'], shows: number): HeightTask => ({ seed: 1, cone, bottom: 4, ruler, shows, guesses: [0.3, 1, 3] }); // prettier-ignore

  it('knows by how much the wrong one misses', () => {
    expect(offBy(task('beside', 112))).toBeCloseTo(-1, 9);
    // √(113² + 15²) = √12994
    expect(offBy(task('on the side', 113))).toBeCloseTo(0.9912277, 6);
    // Inside it is 108 upright: √(108² + 15²) = √11889, 3.963 short of 113.
    expect(offBy(task('inside', 108))).toBeCloseTo(-3.9633, 3);
  });

  it('gives six in ten for the kind and four for the size', () => {
    const score = (is: 'upright' | 'along' | 'neither', guess: number): number => judgeWhichHeight(task('beside', 112), is, guess, 'mm').score; // prettier-ignore
    expect([score('upright', 1), score('upright', 3), score('along', 1), score('neither', 0.3)]).toEqual([100, 60, 40, 0]); // prettier-ignore
  });

  it('offers three sizes, one of them right, not always the same of the three', () => {
    const places = SEEDS.map((seed) => {
      const made = makeWhichHeight(seed);
      return made.guesses.findIndex((guess) => Math.abs(guess - Math.abs(offBy(made))) < 1e-9);
    });
    expect(new Set(places)).toEqual(new Set([0, 1, 2]));
  });
});

describe('a seam that is closed by its paper', () => {
  it('closes with the true sizes, and shows the error of each where it belongs', () => {
    for (const seed of SEEDS) {
      const task = makeCloseSeam(seed);
      expect(makesACup(task.read)).toBe(true);
      expect(judgeCloseSeam(task, task.truth, 'mm').score).toBe(100);
      expect(judgeCloseSeam(task, task.read, 'mm').score).toBeLessThan(80);
    }
  });

  it('gapes by what the girth was read short', () => {
    const truth = { girthRim: 280, girthBase: 280, side: 110 };
    const shown = paperShows(
      { seed: 1, colour: '#fff', truth, read: truth },
      { girthRim: 278, girthBase: 278, side: 111 },
    );
    expect([shown.gapRimMm, shown.gapBaseMm, shown.standMm].map((mm) => Number(mm.toFixed(9)))).toEqual([2, 2, 1]);
  });

  it('says when one went the wrong way', () => {
    const task = { seed: 1, colour: '#fff', truth: { girthRim: 280, girthBase: 200, side: 110 }, read: { girthRim: 278, girthBase: 200, side: 110 } }; // prettier-ignore
    const judged = judgeCloseSeam(task, { ...task.read, girthRim: 275 }, 'mm');
    expect(judged.why[0]).toBe('The wrong way');
    expect(judged.came[0]).toMatchObject({ says: 'Rim gapes by', bad: true });
    expect(makesACup({ girthRim: 800, girthBase: 10, side: 100 })).toBe(false);
  });
});

describe('a wrap that is laid by hand', () => {
  const straight = { girthRim: 300, girthBase: 300, side: 100 };
  const cup = { girthRim: 270, girthBase: 200, side: 100 };
  const tilt = Math.atan(0.01);

  it('steps by its length times the sine of the tilt on a straight side, wherever it begins', () => {
    // 300 · sin(arctan 0.01) = 300 · 0.01/√1.0001
    expect(stepAtSeam(straight, tilt, 'the middle')).toBeCloseTo(2.99985, 5);
    expect(stepAtSeam(straight, tilt, 'one end')).toBeCloseTo(2.99985, 5);
    expect(stepAtSeam(straight, -tilt, 'one end')).toBeCloseTo(-2.99985, 5);
  });

  it('steps on a taper as the bench says, and strays half as far when it is hung by its middle', () => {
    expect(stepAtSeam(cup, tilt, 'the middle')).toBeCloseTo(seamStep(cup, 1), 2);
    const [end, middle] = [offLineAtWorst(cup, tilt, 'one end'), offLineAtWorst(cup, tilt, 'the middle')];
    expect(middle / end).toBeGreaterThan(0.45);
    expect(middle / end).toBeLessThan(0.62);
  });

  it('is judged by the step, which up to a millimetre is nobody’s business', () => {
    const task = { seed: 1, cone: straight, waves: 9, hangs: 0 };
    expect(judgeLayWrap(task, 0, 'one end', 'mm').score).toBe(100);
    expect(judgeLayWrap(task, Math.asin(1 / 300), 'one end', 'mm').why[0]).toBe('The ends meet');
    const off = judgeLayWrap(task, Math.asin(5.5 / 300), 'one end', 'mm');
    expect(off.score).toBe(50);
    expect(off.came[1]).toEqual({ says: 'The ends step by', value: '5.5 mm', bad: true });
    expect(off.why[1]).toContain('3.0 times');
    expect(judgeLayWrap(task, -Math.asin(5.5 / 300), 'one end', 'mm').why[0]).toBe('The far end sinks');
  });
});

describe('slits on a ball', () => {
  it('are asked for by every task, and the best answer is the best', () => {
    for (const seed of SEEDS) {
      const task = makeSlitBall(seed);
      const depth = task.radius - task.best.core;
      expect(judgeSlitBall(task, task.best.count, depth, 'mm').score).toBe(100);
      expect(judgeSlitBall(task, 0, 0, 'mm').score).toBeLessThan(50);
      expect(judgeSlitBall(task, 2 * task.best.count, depth, 'mm').score).toBe(60);
    }
  });

  it('ask as a disk does while there are none: a²/6R²', () => {
    const task: SlitTask = { ...makeSlitBall(1), girth: 2 * Math.PI * 50, radius: 20 };
    expect(asksFor(task, 0, 20)).toBeCloseTo(400 / (6 * 2500), 9);
    // Five slits 2 mm deep leave flaps broader than long.
    expect(asksFor(task, 5, 18)).toBeNull();
  });
});

describe('a seam to be found', () => {
  it('is there in every task, and never straight', () => {
    for (const seed of SEEDS.slice(0, 8)) {
      const task = makeFindSeam(seed);
      expect(bestSeam(task).cutMm).toBe(0);
      for (let i = 0; i < 360; i++) {
        const azimuth = (2 * Math.PI * i) / 360;
        expect(measureSeam(fieldOf(task), straightSeam(azimuth, azimuth, task.side)).cutMm).toBeGreaterThan(0);
      }
    }
  });

  it('loses by the film that it cuts', () => {
    const task = { seed: 1, girth: 200 * Math.PI, side: 100, dots: [{ azimuth: 0, slant: 50, radius: 10 }], heights: [0, 25, 50, 75, 100] }; // prettier-ignore
    const judged = judgeFindSeam(task, [0, 0, 0, 0, 0], 'mm');
    // Straight through a round of 20 mm, of 100 mm side: 75 · (1 − 0.2).
    expect(judged.score).toBe(60);
    expect(judged.came.slice(0, 2).map(({ value }) => value)).toEqual(['20.0 mm', '1']);
    expect(judgeFindSeam(task, [1, 1, 1, 1, 1], 'mm').score).toBe(100);
  });
});

describe('a piece that will fail', () => {
  it('is one and one only in every task, as the proof finds it', () => {
    for (const seed of SEEDS.slice(0, 24)) {
      const { project } = makeSpotFailing(seed);
      const examined = examineProject(project, testFonts);
      if (!examined.ok) throw new Error(`seed ${seed}: ${examined.problem.code}`);
      const findings = examined.findings.map(({ finding }) => finding);
      const failing = new Set(findings.flatMap(({ severity, itemIds }) => (severity === 'fails' ? itemIds : [])));
      expect([...failing], `seed ${seed}`).toHaveLength(1);
      const scores = project.items.map(({ id }) => judgeSpotFailing(findings, id, 'mm').score);
      expect(scores.filter((score) => score === 100)).toHaveLength(1);
      expect(scores.some((score) => score === 40)).toBe(true);
    }
  });
});
