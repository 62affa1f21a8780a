import { describe, expect, it } from 'vitest';
import { judging, only, placedItem } from '../../test/judging.ts';
import { makeJob, motifItem, mug, textItem } from '../../test/jobs.ts';
import { projectOf } from '../../test/findings.ts';
import type { Command } from '../model/command.ts';
import type { Project } from '../model/project.ts';
import type { Make } from '../pieces/batch.ts';
import { judgeMakes, withoutNamed } from './each-make.ts';
import type { Finding, Judge, ProofContext } from './finding.ts';
import { RANK, signatureOf } from './finding.ts';
import { describeCommand } from './fix-words.ts';
import { judgeScriptApart } from './findings/script-apart.ts';
import type { JudgedFinding } from './judged.ts';
import { judgedBy, openFindings } from './judged.ts';
import { tidyFix } from './tidy-fix.ts';
import { tryFixes } from './tried-fixes.ts';

const finding = (change: Partial<Finding> = {}): Finding => ({ id: 'glance:star', code: 'glance', case: 'wide', severity: 'look', place: null, itemIds: ['star'], numbers: { width: 80 }, names: { item: 'the star' }, fixes: [], ...change }); // prettier-ignore

describe('what was accepted', () => {
  it('holds for as long as the numbers that are shown are the same', () => {
    const reason = (change: Partial<Finding>) => judgedBy([finding(change)], [{ findingId: 'glance:star', signature: signatureOf(finding()), reason: 'It is a wrap' } as never])[0]!.acceptedFor; // prettier-ignore
    expect(reason({})).toBe('It is a wrap');
    expect(reason({ numbers: { width: 80.04 } })).toBe('It is a wrap');
    expect(reason({ numbers: { width: 80.06 } })).toBeNull();
    expect([reason({ case: 'wide-group' }), reason({ severity: 'fails' }), reason({ id: 'glance:moon' })]).toEqual([null, null, null]); // prettier-ignore
  });

  it('is not open, nor is what is fine', () => {
    const list: JudgedFinding[] = [
      { finding: finding(), acceptedFor: null },
      { finding: finding(), acceptedFor: 'fine by me' },
      { finding: finding({ severity: 'fine' }), acceptedFor: null },
      { finding: finding({ severity: 'fails' }), acceptedFor: null },
    ];
    expect(openFindings(list)).toEqual([list[0], list[3]]);
    expect(RANK.fails < RANK.look && RANK.look < RANK.fine).toBe(true);
  });
});

describe('a fix as it is offered', () => {
  const one = (fix: object) => tidyFix(fix as Command)[0] as unknown as Record<string, number> | undefined;
  const move = (downMm: number) => one({ do: 'move-item', itemId: 'a', downMm })?.['downMm'];
  const turn = (byDeg: number) => one({ do: 'turn-item', itemId: 'a', byDeg })?.['byDeg'];

  it('is in half millimetres, whole degrees and twentieths, a little more rather than less', () => {
    expect([move(0.1), move(0.5), move(0.51), move(-1.2), move(0)]).toEqual([0.5, 0.5, 1, -1.5, undefined]);
    expect([turn(0.2), turn(3), turn(3.1), turn(-7.5), turn(0)]).toEqual([1, 3, 4, -8, undefined]);
    const thicken = (mm: number) => one({ do: 'thicken-item', itemId: 'a', mm })?.['mm'];
    expect([thicken(0.004), thicken(0.005), thicken(0.05), thicken(0.27)]).toEqual([undefined, 0.05, 0.05, 0.3]);
  });

  it('is none where nobody would see it, but for what is to meet exactly', () => {
    const scale = (change: object) => one({ do: 'scale-item', itemId: 'a', ...change }) !== undefined;
    expect([scale({ factor: 0.9985 }), scale({ factor: 0.998 }), scale({ factor: 1.003 })]).toEqual([
      false,
      true,
      true,
    ]);
    expect([scale({ factor: 0.9999, toMiddleMm: 3 }), scale({ factor: 0.9999, exact: true })]).toEqual([true, true]);
    expect(one({ do: 'lay-warm' })).toEqual({ do: 'lay-warm' });
    const singly = (several: boolean) => describeCommand({ do: 'lay-singly', itemIds: ['a'], several }, 'mm');
    expect([singly(true), singly(false)]).toEqual(['Lay the figures one by one', 'Lay it by itself, as a patch']);
  });

  it('says on its button what it does, with its number', () => {
    const said = (fix: object) => describeCommand(fix as Command, 'mm');
    const cases: [object, string][] = [
      [{ do: 'move-item', downMm: 2 }, 'Move down 2.0 mm'],
      [{ do: 'move-item', downMm: -2 }, 'Move up 2.0 mm'],
      [{ do: 'turn-item', byDeg: 14 }, 'Turn 14° to the right'],
      [{ do: 'turn-item', byDeg: -14 }, 'Turn 14° to the left'],
      [{ do: 'scale-item', factor: 0.8 }, 'Make it 20 % smaller'],
      [{ do: 'scale-item', factor: 0.8, toMiddleMm: 3 }, 'Make it 20 % smaller, in the middle'],
      [{ do: 'scale-item', factor: 0.999, exact: true }, 'Make it meet exactly'],
      [{ do: 'mark-layers', how: 'marks' }, 'Cut registration marks'],
      [{ do: 'mark-layers', how: 'by hand' }, 'Line them up by hand'],
      [{ do: 'close-gaps', gaps: [{ after: 1, mm: 0.4 }] }, 'Close the gap by 0.4 mm'],
      [{ do: 'close-gaps', gaps: [{ after: 1, mm: 0.4 }, { after: 2, mm: 0.4 }] }, 'Close the 2 gaps'],
      [{ do: 'keep-band', leftOffMm: 12, end: 'base' }, 'End the band 12.0 mm higher'],
      [{ do: 'keep-band', leftOffMm: 12, end: 'rim' }, 'End the band 12.0 mm lower'],
      [{ do: 'split-panels', panels: 3 }, 'Split into 3 panels'],
      [{ do: 'lap-seam', mm: 1.5 }, 'Lap it 1.5 mm'],
      [{ do: 'name-box', widthMm: 50, leastCapMm: 6.5 }, 'Let names be 50.0 mm wide, capitals from 6.5 mm'],
      [{ do: 'set-hand', name: 'Wren', hand: 'left' }, 'Make “Wren” for the left hand'],
      [{ do: 'set-font', font: 'nobody' }, 'Set it in other letters'],
    ]; // prettier-ignore
    for (const [fix, text] of cases) expect(said(fix)).toBe(text);
    const plain = ['both-faces', 'drop-specks', 'build-stack', 'order-films', 'stand-twice', 'bring-up', 'lay-warm', 'lay-cold', 'fuse-items', 'choose-board', 'wander-seam', 'arrange-anew', 'read-forwards', 'refit-mask', 'one-band']; // prettier-ignore
    expect(new Set(plain.map((act) => said({ do: act }))).size).toBe(plain.length);
  });
});

describe('fixes that are tried', () => {
  const project = projectOf(makeJob(mug(), [motifItem('star', { id: 'star', placement: { ...motifItem('star').placement, mm: 0 } })])); // prettier-ignore
  const down = (downMm: number): Command => ({ do: 'move-item', itemId: 'star', downMm });
  /** What is left of the fixes of a finding, when the changed project is judged to have some. */
  const left = (before: Finding[], then: (changed: Project) => Finding[] | null) => {
    const judged = before.map((one): JudgedFinding => ({ finding: one, acceptedFor: null }));
    const asked: Project[] = [];
    const steps = tryFixes(project, judged, function* (changed) {
      asked.push(changed);
      yield 'a part';
      return then(changed)?.map((one) => ({ finding: one, acceptedFor: null })) ?? null;
    });
    let step = steps.next();
    while (!step.done) step = steps.next();
    return { fixes: step.value.map((one) => one.finding.fixes), asked };
  };
  const fixable = finding({ fixes: [down(2)] });

  it('are offered when what was found is gone, or another by now', () => {
    expect(left([fixable], () => []).fixes).toEqual([[down(2)]]);
    expect(left([fixable], () => [finding({ numbers: { width: 70 } })]).fixes).toEqual([[down(2)]]);
    expect(left([fixable], () => [finding()]).fixes).toEqual([[]]);
    // What moved is judged, not what was there before.
    const { asked } = left([fixable], () => []);
    expect(asked[0]!.items[0]!.placement.mm).not.toBe(project.items[0]!.placement.mm);
  });

  it('are not when it becomes graver, something else fails, or nothing can be judged any more', () => {
    expect(left([fixable], () => [finding({ severity: 'fails', numbers: { width: 70 } })]).fixes).toEqual([[]]);
    const other = finding({ id: 'rim-zone:star', severity: 'fails' });
    expect(left([fixable], () => [other]).fixes).toEqual([[]]);
    expect(left([fixable, other], () => [other]).fixes[0]).toEqual([down(2)]);
    expect(left([fixable], () => [{ ...other, severity: 'look' }]).fixes).toEqual([[down(2)]]);
    expect(left([fixable], () => null).fixes).toEqual([[]]);
  });

  it('are not when they change nothing; the same one is judged once', () => {
    const nothing: Command = { do: 'move-item', itemId: 'gone', downMm: 2 };
    const { fixes, asked } = left([finding({ fixes: [nothing] })], () => []);
    expect([fixes, asked]).toEqual([[[]], []]);
    const twice = left([fixable, finding({ id: 'rim-zone:star', fixes: [down(2), down(3)] })], () => []);
    expect(twice.fixes).toEqual([[down(2)], [down(2), down(3)]]);
    expect(twice.asked).toHaveLength(2);
  });
});

describe('everything on a list', () => {
  const words = textItem('Name', { id: 'words' });
  const star = motifItem('star', { id: 'star' });
  const wrapOf = (name: string, ...ids: string[]) => ({ name, placed: ids.map((id) => ({ item: { id } })), pieces: [], cuts: [], tape: [] }); // prettier-ignore
  const base = (makes: object[], change: object = {}): ProofContext => judging({ job: { items: [words, star], names: { itemId: 'words', leastCapMm: 8, rows: [] } } as never, wrap: wrapOf('own', 'words', 'star'), context: { makes, ...change } }); // prettier-ignore
  const make = (name: string, context: ProofContext | null, change: object = {}): object => ({ row: { id: name, name }, text: { ...words, text: name }, alone: true, fitted: { how: 'as is', widthMm: 50, capMm: 10 }, on: { blank: context?.job.blank, hand: 'right', items: context?.job.items ?? [], wrap: context?.wrap }, wrap: wrapOf(name, 'words', 'star'), ...change }); // prettier-ignore
  /** Judges what is wider than it may be, by a table of widths. */
  const wide =
    (widths: Record<string, number>, fixes: Command[] = []): Judge =>
    ({ wrap }) =>
      wrap.placed.flatMap(({ item }) => {
        const width = widths[`${(wrap as unknown as { name: string }).name} ${item.id}`];
        return width === undefined ? [] : [finding({ id: `glance:${item.id}`, itemIds: [item.id], numbers: { width }, fixes, severity: width > 100 ? 'fails' : 'look' })]; // prettier-ignore
      });
  const judged = (
    makes: (context: ProofContext) => object[],
    widths: Record<string, number>,
    fixes: Command[] = [],
  ) => {
    const plain = base([]);
    return judgeMakes({ ...plain, makes: makes(plain) as unknown as Make[] }, [], [wide(widths, fixes)]);
  };

  it('is told once for each kind, by the gravest, with how many more there are', () => {
    const three = (c: ProofContext) => ['Wren', 'Otter', 'Marigold'].map((name) => make(name, c));
    const found = judged(three, { 'Wren words': 60, 'Marigold words': 120, 'Otter words': 70 });
    expect(found.map((f) => [f.id, f.severity, f.names['more'], f.numbers['width']])).toEqual([['glance:words:names', 'fails', '2', 120]]); // prettier-ignore
    expect(judged(three, { 'Wren words': 60 })[0]!.names).not.toHaveProperty('more');
    // What is round the words is told with the name that brings it.
    expect(judged(three, { 'Wren star': 60 })[0]).toMatchObject({ id: 'glance:star:names', names: { round: 'Wren' } });
    expect(judged(three, { 'Wren words': 60 })[0]!.names).not.toHaveProperty('round');
  });

  it('leaves out what the job brings without any names', () => {
    const one = (c: ProofContext) => [make('Wren', c)];
    expect(judged(one, { 'own star': 60, 'Wren star': 60 })).toEqual([]);
    expect(judged(one, { 'own star': 60, 'Wren star': 65 })).toHaveLength(1);
    // The job’s own words are replaced: what they bring is no excuse.
    expect(judged(one, { 'own words': 60, 'Wren words': 60 })).toHaveLength(1);
  });

  it('is judged on its own blank and for its own hand, where nothing is moved for it alone', () => {
    const glass = mug({ id: 'glass', name: 'Glass' });
    const on = (blank: object | null, hand = 'right') => (c: ProofContext) => [make('Wren', c, { text: null, on: { blank: blank ?? c.job.blank, hand, items: c.job.items, wrap: wrapOf('other', 'words', 'star') } })]; // prettier-ignore
    const found = judged(on(glass), { 'other star': 60 }, [{ do: 'move-item', itemId: 'star', downMm: 1 }]);
    expect(found).toMatchObject([{ id: 'glance:star:on:glass:right', names: { on: 'Glass' }, fixes: [] }]);
    expect(judged(on(null, 'left'), { 'other star': 60 })[0]!.names['on']).toBe('the left-handed one');
    expect(judged(on(glass), { 'own star': 60, 'other star': 60 })).toEqual([]);
    // Twice on the same wrap is told once.
    const shared = wrapOf('other', 'star');
    const two = (c: ProofContext) => ['a', 'b'].map((name) => make(name, c, { text: null, on: { blank: glass, hand: 'right', items: c.job.items, wrap: shared } })); // prettier-ignore
    expect(judged(two, { 'other star': 60 })).toHaveLength(1);
    expect(judged((c) => [make('Wren', c, { on: null })], { 'Wren words': 60 })).toEqual([]);
    const named = (c: ProofContext) => [
      make('Wren', c, { on: { blank: glass, hand: 'right', items: c.job.items, wrap: wrapOf('other') } }),
    ];
    expect(judged(named, { 'Wren words': 60 })[0]!.names['on']).toBe('Glass');
  });

  it('has fixes that serve a name: fitted ones by their place, those set by hand by nothing', () => {
    const smaller: Command = { do: 'scale-item', itemId: 'words', factor: 0.8 };
    const fixes = (fitted: object | null, ...own: Command[]) => judged((c) => [make('Wren', c, { fitted })], { 'Wren words': 60 }, own)[0]!.fixes; // prettier-ignore
    const as = (how: string) => ({ how, widthMm: 50, capMm: 10 });
    expect(fixes(as('as is'), smaller)).toEqual([smaller]);
    expect(fixes(as('by hand'), smaller)).toEqual([]);
    // 50 mm · 0.8; capitals from 10 · 0.8 · 0.99 = 7.92 instead of 8.
    expect(fixes(as('lower'), smaller)).toEqual([{ do: 'name-box', widthMm: 40, leastCapMm: expect.closeTo(7.92, 9) }]);
    expect(fixes({ ...as('lower'), capMm: 20 }, smaller)).toMatchObject([{ leastCapMm: 8 }]);
    expect(fixes(as('lower'), { ...smaller, toMiddleMm: 2 } as Command)).toEqual([]);
    const faces: Command = { do: 'both-faces', itemId: 'words', factor: 0.8 };
    expect([fixes(as('as is'), faces), fixes(as('lower'), faces)]).toEqual([[faces], []]);
    expect(fixes(as('as is'), { do: 'close-gaps', itemId: 'words', capMm: 9, gaps: [] })).toEqual([]);
    const move: Command = { do: 'move-item', itemId: 'words', downMm: 1 };
    expect([fixes(as('lower'), move), fixes(null, smaller)]).toEqual([[move], [smaller]]);
  });

  it('leaves the job without the words that are replaced, or without anything where they shape it', () => {
    const wrap = { ...wrapOf('own', 'words', 'star'), pieces: [{ itemIds: ['words'] }, { itemIds: ['star'] }], cuts: [{ itemId: 'words' }, { itemId: 'star' }], tape: [1] }; // prettier-ignore
    const rest = (makes: object[], job: object = {}) => {
      const { wrap: after } = withoutNamed(judging({ wrap, job: { names: { itemId: 'words', rows: [] }, ...job } as never, context: { makes } })); // prettier-ignore
      return [after.placed.length, after.pieces.length, after.cuts.length, after.tape.length];
    };
    expect(rest([{ alone: true }])).toEqual([1, 1, 1, 1]);
    expect(rest([{ alone: true }, { alone: false }])).toEqual([0, 0, 0, 0]);
    expect(rest([])).toEqual([2, 2, 2, 1]);
    expect(rest([{ alone: true }], { names: null })).toEqual([2, 2, 2, 1]);
    expect(rest([{ alone: true }], { names: { itemId: null, rows: [] } })).toEqual([2, 2, 2, 1]);
  });
});

describe('a script that falls apart', () => {
  const script = (openJoins: object[], change: object = {}) => only(judgeScriptApart, judging({ wrap: { placed: [{ ...placedItem(40, [10, 20], 0, textItem('Tide', { id: 't' })), capHeight: 9, openJoins, ...change }] } })); // prettier-ignore

  it('is told with how many parts, and closed where every gap can be', () => {
    expect(script([])).toBeNull();
    const one = script([{ after: 1, mm: 0.3 }])!;
    expect(one).toMatchObject({ numbers: { parts: 2, gap: 0.3 }, fixes: [{ do: 'close-gaps', itemId: 't', capMm: 9, gaps: [{ after: 1, mm: 0.3 }] }] }); // prettier-ignore
    expect(one.place!.slants).toEqual([10, 20]);
    expect(one.said).toMatch(/falls apart into 2 parts.*one join stands open by up to 0.3 mm/);
    const two = script([{ after: 1, mm: 0.3 }, { after: 2, mm: null }])!; // prettier-ignore
    expect(two).toMatchObject({ numbers: { parts: 3, gap: 0.3 }, fixes: [] });
    expect(two.said).toMatch(/some joins stand.*Move the letters together in the editor/);
    expect([script([{ after: 1, mm: 1 }], { capHeight: null }), script([{ after: 1, mm: 1 }], { slants: null })]).toEqual([null, null]); // prettier-ignore
  });
});
