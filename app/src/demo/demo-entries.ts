import { FORMAT_VERSION, type EntryFault, type EntryOutcome, type LogbookEntry, type ShelfBlank } from '@mivet/core';
import { addDays, formatISO, parseISO } from 'date-fns';

/** The same numbers every time, so that the demo is the same wherever it is loaded. */
function numbers(seed: number): () => number {
  let state = seed;
  return () => (state = (state * 16807) % 2147483647) / 2147483647;
}

const FILMS = [
  ['Deep water', 'gloss permanent'],
  ['Ensign', 'gloss permanent'],
  ['Brass', 'metallised'],
  ['Chalk', 'matte removable'],
] as const;
/** Minutes in gel that the club's coats took, by colour. */
const COATS = [
  ['#2b3f63', 110],
  ['#9b2c2c', 180],
  ['#20242c', 340],
] as const;
const ENDS: readonly EntryOutcome[] = ['kept', 'given', 'sold', 'sold', 'given', 'sold'];

/** Two years of the club's logbook, some sixty things; made up, and marked as such. */
export function demoEntries(now: string, shelf: readonly ShelfBlank[]): LogbookEntry[] {
  const random = numbers(41);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const about = (value: number, by: number): number => value * (1 + by * (random() + random() + random() - 1.5));
  return Array.from({ length: 60 }, (_, i): LogbookEntry => {
    const at = addDays(parseISO(now), -Math.round(8 + 12 * i + 6 * random()));
    const day = (days: number): string => formatISO(addDays(at, days), { representation: 'date' });
    const stripped = i % 6 === 4;
    const [colour, dwell] = pick(COATS);
    const coated = shelf.filter((one) => one.blank.surface === 'powder-coated steel');
    const { blank } = pick(stripped && coated.length > 0 ? coated : shelf);
    const pieces = Math.round(4 + 40 * random());
    const cutM = Math.round(10 * (1 + 8 * random())) / 10;
    const count = random() < 0.2 ? 6 + Math.round(8 * random()) : 1;
    const ageDays = Math.round(30 + 1100 * random());
    const isOld = ageDays > 730;
    const [name, finish] = pick(FILMS);
    // Old film tears; three evenings were interrupted by something.
    const torn = isOld && random() < 0.5;
    const faults: EntryFault[] = [
      ...(torn ? [{ kind: 'torn piece' as const, round: random() - 0.5, down: random(), film: name }] : []),
      ...(random() < 0.3 ? [{ kind: 'bubble' as const, round: (random() - 0.5) * 0.5, down: 0.6 + 0.4 * random(), film: name }] : []), // prettier-ignore
      ...(random() < 0.15 ? [{ kind: 'gap at the seam' as const, round: 0.5, down: random(), film: null }] : []),
      ...(random() < 0.12 ? [{ kind: 'lifted edge' as const, round: random() - 0.5, down: random() * 0.2, film: name }] : []), // prettier-ignore
    ];
    const use = 1 + Math.floor(6 * random());
    const spoilt = torn && random() < 0.6 ? 1 : 0;
    const outcome = spoilt && count === 1 ? 'redone' : pick(ENDS);
    const weeding = about(1.2 + 0.34 * pieces + 0.9 * cutM, 0.25);
    const minutes = Math.round(10 * (i % 21 === 20 ? 5 * weeding : weeding)) / 10;
    const share = 0.006 + 0.02 * random();
    return {
      format: 'mivet-entry',
      version: FORMAT_VERSION,
      id: `demo-entry-${i + 1}`,
      at: at.toISOString(),
      changedAt: at.toISOString(),
      title: `${blank.name}${count > 1 ? `, ${count} of them` : ''}`,
      projectId: null,
      count,
      spoilt,
      blank: {
        shelfId: blank.id,
        name: blank.name,
        kind: blank.kind,
        surface: stripped ? 'powder-coated steel' : blank.surface,
        colour: stripped ? colour : blank.colour,
        girthMm: null,
        tool: 'tape',
      },
      process: stripped ? 'strip' : 'decal',
      films: [{ name, finish, ageDays, setting: '80 g, medium', clean: random() < 0.8, takenMm2: Math.round(14000 + 50000 * random()), laidMm2: Math.round(5000 + 8000 * random()) }], // prettier-ignore
      tape: { tack: 'medium', use, held: use < 5 || random() < 0.3 },
      work: [
        { kind: 'weed', minutes, pieces, cutM, things: count },
        { kind: 'lay', minutes: Math.round(10 * about(5.2 * count, 0.3)) / 10, pieces: 0, cutM: 0, things: count },
        { kind: 'cut', minutes: Math.round(10 * about(4 + 0.6 * cutM, 0.2)) / 10, pieces: 0, cutM, things: count },
      ],
      pulls: stripped ? [] : [{ finish, share, flat: share < 0.018 || random() < 0.1 }],
      dwell: stripped
        ? [{ minutes: 60, lifted: false }, { minutes: Math.round(about(dwell, 0.25)), lifted: true }] // prettier-ignore
        : [],
      seamGapMm: !stripped && random() < 0.3 ? Math.round(10 * about(0.5, 1)) / 10 : null,
      placingMm: random() < 0.4 ? Math.round(10 * Math.abs(about(0.8, 0.8))) / 10 : null,
      grewShare: null,
      faults,
      outcome,
      price: outcome === 'sold' ? Math.round(count * (7 + 14 * random())) : null,
      cost: Math.round(10 * count * (2 + 4 * random())) / 10,
      text: i === 0 ? 'Demo: made up, as all of these.' : '',
      photos: [],
      reports: i > 12 && random() < 0.5 ? [{ id: `demo-report-${i}`, day: day(90), after: 'washes', count: 10 + Math.round(30 * random()), held: random() < 0.85, text: '' }] : [], // prettier-ignore
      askOn: i > 6 && i < 12 ? day(90) : null,
    };
  });
}
