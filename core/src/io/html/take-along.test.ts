import { describe, expect, it } from 'vitest';
import { jobOf } from '../../../test/findings.ts';
import { testFonts } from '../../../test/fonts.ts';
import { mug, textItem } from '../../../test/jobs.ts';
import { USUAL_HABITS } from '../../bench/schools.ts';
import { isResults, readResults } from '../../document/results.ts';
import { examineProject } from '../../pipeline.ts';
import { writeTakeAlong } from './take-along.ts';

const names = { itemId: null, widthMm: 58, leastCapMm: 5, closeMm: 0, rows: [{ id: 'r1', name: '</script><b>Tansy', count: 2, hand: null, capMm: null, blankId: null }] }; // prettier-ignore
const project = { ...jobOf(mug(), textItem('COX', { size: { by: 'cap', mm: 9 } })), names, name: '<i>Crew</i> & "co"' };
const examined = examineProject({ ...project, boardId: 'square' }, testFonts);
if (!examined.ok) throw new Error(examined.problem.code);
const written = { project, examined, unit: 'mm', habits: USUAL_HABITS, writtenAt: '2030-05-04T12:00:00.000Z', fileName: 'crew.json' } as const; // prettier-ignore
const html = writeTakeAlong(written);
const data = JSON.parse(/<script type="application\/json" id="data">([\s\S]*?)<\/script>/.exec(html)![1]!) as { stops: { tick: string; title: string; which: string | null; pictures: number[] }[]; pictures: { svg: string }[]; steps: number }; // prettier-ignore

describe('a run that is taken along', () => {
  it('stands alone: nothing is loaded, and nothing that a person typed ends or begins an element', () => {
    expect(html).toContain("default-src 'none'");
    expect(html).not.toMatch(/\bsrc=|href="http|@import/);
    expect(html).not.toContain('<b>Tansy');
    expect(html).toContain('<title>&lt;i&gt;Crew&lt;/i&gt; &amp; &quot;co&quot;: at the bench</title>');
    expect(html.match(/<script/g)).toHaveLength(2);
  });

  it('has a stop for every step on every thing, with its pictures', () => {
    const each = examined.steps.reduce((sum, { things }) => sum + Math.max(1, things.length), 0);
    expect(data.stops).toHaveLength(each);
    expect(data.steps).toBe(examined.steps.length);
    const clean = data.stops.filter(({ tick }) => tick.startsWith('clean#'));
    expect(clean.map(({ tick }) => tick)).toEqual(['clean#r1/1', 'clean#r1/2']);
    expect(clean[0]!.which).toContain('1 of 2');
    expect(data.pictures[clean[0]!.pictures[0]!]!.svg).toMatch(/^<svg /);
    // Two alike show the same picture, which is there once.
    expect(clean[1]!.pictures).toEqual(clean[0]!.pictures);
    expect(new Set(data.pictures.map(({ svg }) => svg)).size).toBe(data.pictures.length);
  });
});

describe('results of a run away', () => {
  const whole = { format: 'mivet-results', version: 1, projectId: 'p', project: 'Crew', bench: { doneSteps: ['clean#r1/1'], doneAt: {}, waitsUntil: {}, waitsFrom: {}, answers: [], notes: [] }, photos: [] }; // prettier-ignore
  it('are known by their name, and read only when they are whole', () => {
    expect([isResults(whole), isResults({ format: 'mivet-project' }), isResults(null), isResults('x')]).toEqual([true, false, false, false]); // prettier-ignore
    expect(readResults(whole)?.bench.doneSteps).toEqual(['clean#r1/1']);
    expect(readResults({ ...whole, version: 2 })).toBeNull();
    expect(readResults({ ...whole, bench: { ...whole.bench, doneSteps: [7] } })).toBeNull();
    const photo = { id: 'a', projectId: 'p', at: '', data: 'javascript:alert(1)' };
    expect(readResults({ ...whole, photos: [photo] })).toBeNull();
  });
});
