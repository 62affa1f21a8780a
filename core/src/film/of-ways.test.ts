import { describe, expect, it } from 'vitest';
import { jobOf } from '../../test/findings.ts';
import { makeBlank, makeProfile } from '../../test/jobs.ts';
import { STARTING_MATERIALS } from '../material/materials.ts';
import type { Job } from '../model/job.ts';
import { layWays, type WayLaid } from './of-ways.ts';

const laid = (job: Job): readonly WayLaid[] => [...layWays(job, STARTING_MATERIALS)];

describe('ways to lay a side flat, laid by computation', () => {
  it('a pot lies the flatter the narrower its sheets are', () => {
    const bulge = makeProfile([[0, 180], [30, 225], [60, 245], [90, 225], [120, 180]]); // prettier-ignore
    const ways = laid(jobOf(bulge));
    expect(ways.map(({ way }) => way)).toEqual(['band', 'bands', 'gores']);
    const [band, bands, gores] = ways as [WayLaid, WayLaid, WayLaid];
    // In one band its middle is 245 against 180 at its ends: no film gives a third.
    expect(band.tallestMm).toBeGreaterThan(0.5);
    expect(band.tented).toBeGreaterThan(0.2);
    expect(bands.tallestMm).toBeLessThan(band.tallestMm);
    // At the forecast's limit what little is too long gathers in few places.
    expect(gores.tallestMm).toBeLessThan(band.tallestMm / 4);
    expect(gores.tented).toBeLessThan(0.2);
  });

  it('a ball takes its patch, and gores that are so many that each lies', () => {
    const ways = laid(jobOf(makeBlank({ girth: 252 }, { kind: 'ball' })));
    expect(ways.map(({ way }) => way)).toEqual(['patch', 'gores']);
    // The patch is as wide as lies: 2√(6·0.02)·40 = 27 mm.
    expect(ways[0]!.tallestMm).toBeLessThan(0.25);
    // The edges of a gore are cut up to ½(π/16)² = 1.9 % too long, near its ends: there a little of it stands off.
    expect(ways[1]!.tented).toBeLessThan(0.2);
  });

  it('there is nothing to choose where a side unrolls', () => {
    expect(laid(jobOf(makeBlank({ girthRim: 275, girthBase: 214, side: 168 })))).toEqual([]);
  });
});
