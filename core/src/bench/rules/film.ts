import { layerOf } from '../../layers/layer.ts';
import { formatSize } from '../../measure/length.ts';
import { MANY_PIECES, tapeSizes } from '../facts.ts';
import type { JobFacts } from '../job-facts.ts';
import type { StepDraft, StepNumbers } from '../step.ts';

const many = (n: number, one: string, more: string): string => `${n} ${n === 1 ? one : more}`;

/** Weeding, layer by layer: counters first, or from the back where pieces are tiny. */
export function weedSteps(facts: JobFacts): StepDraft[] {
  const { works, sheet, habits, made } = facts;
  const { pace } = facts.materials;
  return works.map(({ layer, film, name, pieces, counters, tiny, reverse }): StepDraft => {
    const ofFilm = works.filter((one) => one.film === film).reduce((sum, one) => sum + one.pieces + one.counters, 0);
    const share = (pieces + counters) / ofFilm;
    const cutMm = share * (sheet.needs.find((need) => need.film.id === film.id)?.cutMm ?? 0);
    const sheets = reverse ? tapeOf(facts, layer) : null;
    const manyPieces = made.some(({ pieces: own }) => own.filter((p) => layerOf(p) === layer).length > MANY_PIECES);
    const hold = tiny === 1 ? ' One piece is tiny: hold it down with the pick.' : '';
    const rub = reverse ? 'Rub the film down hard, front and back. ' : 'Rub the film down hard. ';
    const says = reverse
      ? `${tiny > 0 ? `${many(tiny, 'piece is', 'pieces are')} tiny: lay` : manyPieces ? 'There are very many pieces: lay' : 'Lay'} transfer tape over everything first, rub it down, turn it over, peel the liner off the back, then weed from the sticky side. ${sheets!.says}`
      : counters > 0
        ? habits.weeding === 'ground first'
          ? `First the ground round the pieces, low and slow from a corner, then the ${counters === 1 ? 'counter' : `${counters} counters`} out of them.${hold}`
          : `First the ${counters === 1 ? 'counter' : `${counters} counters`}, then the ground round the pieces, low and slow from a corner.${hold}`
        : `No counters here: take the ground away in one go, from a corner, low and slow.${hold}`;
    return {
      id: `weed:${layer}`,
      kind: 'weed',
      after: ['every unload', 'trim'],
      title: `Weed ${name}: ${many(pieces, 'piece stays', 'pieces stay')}`,
      body: rub + says,
      why: reverse
        ? 'On the tape small pieces hold better than on the liner.'
        : habits.weeding === 'ground first' && counters > 0
          ? 'With the ground gone one sees what is left inside.'
          : 'What is loosest goes first, while all round it still holds.',
      because: reverse
        ? tiny > 0 || manyPieces
          ? 'Pieces are under 4 mm, or more than 60 on one thing: the liner would let them go.'
          : 'My way: weeded from the tape.'
        : habits.weeding === 'ground first' && counters > 0
          ? 'My way: the ground first.'
          : null,
      list: reverse
        ? [
            'Tape over all of it',
            'Rubbed down, front and back',
            'Turned over',
            'Liner off the tape',
            'Waste off the tape',
          ]
        : [],
      cautions: ['blade'],
      check: {
        ask: reverse ? 'Did every piece stay on the tape?' : 'Did every piece stay on the liner?',
        ifNot: reverse
          ? 'Press the lifted edge back onto the tape and pull the waste at a flatter angle.'
          : 'Lay it back in its own outline, press it with a fingernail, hold it with the pick, and pull at a flatter angle.',
      },
      handsMinutes: Math.max(
        1,
        Math.round(pace.weedOnce + pace.weedPiece * (pieces + counters) + (pace.weedMetre * cutMm) / 1000),
      ),
      numbers: { pieces, counters, ...(sheets?.numbers ?? {}) },
      about: { film: film.id, part: null, row: null },
      layer,
    };
  });
}

/** Sheets of tape over a layer, or over all of them: their sizes in words and numbers. */
export function tapeOf({ made, unit }: JobFacts, layer: string | null): { says: string; numbers: StepNumbers } {
  const own = layer === null ? made : made.map(({ pieces, count }) => ({ count, pieces: pieces.filter((p) => layerOf(p) === layer) })); // prettier-ignore
  const sheets = tapeSizes(own);
  const [largest] = sheets;
  if (!largest) return { says: '', numbers: {} };
  const count = sheets.reduce((sum, one) => sum + one.count, 0);
  const size = formatSize(largest.width, largest.height, unit);
  return {
    says: count === 1 ? `Cut it ${size}.` : `Cut ${count} sheets, the largest ${size}.`,
    numbers: { tapeWidthMm: largest.width, tapeHeightMm: largest.height, count },
  };
}

/** Which tape: strong for glitter, low for foil in small pieces, medium as a rule. */
function tackOf({ works }: JobFacts, layer: string | null): string {
  const own = works.filter((work) => layer === null || work.layer === layer);
  if (own.some(({ film }) => film.finish === 'glitter')) return 'Strong';
  if (own.every(({ film, tiny }) => film.finish === 'metallised' && tiny > 0)) return 'Paper, low-tack';
  return 'Medium';
}

function tackBecause({ works }: JobFacts, layer: string | null): string | null {
  const own = works.filter((work) => layer === null || work.layer === layer);
  const glitter = own.find(({ film }) => film.finish === 'glitter');
  if (glitter) return `${glitter.name} is rough: weaker tape would not hold it.`;
  if (own.every(({ film, tiny }) => film.finish === 'metallised' && tiny > 0))
    return 'Small pieces of foil: clear tape would leave its glue on them.';
  return null;
}

/** Tape on what was weeded from the front; over the whole stack once where layers are put together on the table. */
export function tapeSteps(facts: JobFacts): StepDraft[] {
  const { works, stacked, isWrap, building, untaped, all, each } = facts;
  if (untaped) return [];
  const together = building !== 'on the blank' && stacked.length > 1 ? new Set(stacked.map(({ layer }) => layer)) : null; // prettier-ignore
  const oneTape = together !== null && building === 'one tape';
  const [base] = stacked;
  const step = (id: string, layer: string | null, title: string, after: string[], count: number): StepDraft => {
    const { says, numbers } = tapeOf(facts, layer);
    return {
      id,
      kind: 'tape',
      after,
      title,
      because: tackBecause(facts, layer),
      body: `${tackOf(facts, layer)} tape. ${says} From the middle outwards, then burnish front and back. ${isWrap && (layer === null || !together) ? 'Trim its top along the rim line of the template.' : 'Trim it round, a finger-width outside the film.'}`,
      check: {
        ask: 'Turn it over and peel the liner off the tape: does all of the film come?',
        ifNot: 'Lay it back, burnish that spot harder and go on from the other side at a flatter angle.',
      },
      handsMinutes: each(count),
      numbers,
      about: { film: works.find((work) => work.layer === layer)?.film.id ?? null, part: null, row: null },
      layer,
    };
  }; // prettier-ignore
  const single = works.filter(({ layer, reverse }) => !reverse && !(together?.has(layer) && (oneTape || layer === base!.layer))); // prettier-ignore
  const top = stacked.at(-1);
  const own = single.map(
    ({ layer, name }) =>
    step(`tape:${layer}`, layer, all(works.length > 1 ? `Tape over ${name}` : 'Lay the transfer tape'), [`weed:${layer}`], together ? 1 : 3), // prettier-ignore
  );
  if (oneTape)
    return [...own, step('tape:all', null, all(`Lay one tape over ${top!.name}, as large as the whole stack`), [`weed:${top!.layer}`], 3)]; // prettier-ignore
  return together
    ? [...own, step('tape:all', null, all('Lay the transfer tape over the whole stack'), ['every stack', 'squares-off', 'every weed'], 3)] // prettier-ignore
    : own;
}

/** Slits in the tape where the blank curves both ways: once, before it is laid. */
export function slitSteps({ wrap, mm, each, all }: JobFacts): StepDraft[] {
  const sheets = wrap.tape.filter(({ slits }) => slits.length > 0);
  const slits = sheets.reduce((sum, sheet) => sum + sheet.slits.length, 0);
  if (slits === 0) return [];
  const short = sheets.reduce((sum, sheet) => sum + sheet.short, 0);
  const lap = Math.max(...sheets.map(({ relief }) => relief?.lap ?? 0));
  return [
    {
      id: 'slit',
      kind: 'slit',
      after: ['every tape'],
      title: all(`Slit the tape ${slits} times`),
      body: `From its edge inwards as drawn on the template, between the pieces and never through one.${short > 0 ? ` ${short} stop short of film.` : ''} As it is laid the sides of each slit lap by ${mm(lap)} at the edge.`,
      because: 'Its surface curves round and along: flat tape cannot follow both.',
      why: 'The blank curves both ways: in one, the tape would tent over the film and lift it.',
      handsMinutes: each(Math.max(1, Math.round(slits / 4))),
      numbers: { slits, count: sheets.length },
    },
  ];
}

/** Layers put together flat, from the blank outwards: each on the one below, squares on squares. */
export function stackSteps(facts: JobFacts): StepDraft[] {
  const { stacked, building, marked, habits, all, each } = facts;
  if (building === 'on the blank' || stacked.length < 2) return [];
  if (building === 'one tape') return [...pickedUp(facts), ...squaresOff(facts)];
  const aimed = { parchment: 'slide and aim over a slip of baking parchment with the printed template beside it, press, draw the parchment out.', 'by eye': 'look straight down on it with the printed template beside it, and press from its middle.', hinge: 'tape one edge down as a hinge where it lies true, fold it over on that and press from the hinge.' }[habits.aiming]; // prettier-ignore
  const order = stacked.map(({ name }) => name).join(', then ');
  const steps = stacked.slice(1).map((work, i): StepDraft => {
    const below = stacked[i]!;
    const squares = marked.has(work.layer);
    return {
      id: `stack:${work.layer}`,
      kind: 'stack',
      after: [
        `tape:${work.layer}`,
        `weed:${work.layer}`,
        ...(i === 0 ? [`weed:${below.layer}`] : [`stack:${below.layer}`]),
      ],
      title: all(`Layer ${i + 2} of ${stacked.length}: ${work.name}`),
      body: `${i === 0 ? `The order is ${order}, from the blank outwards. ${below.reverse ? `Lay ${below.name} back on its liner and take its tape off; tape it down at its edges. ` : `${below.name} stays on its liner, taped down at its edges. `}` : ''}${squares ? `Peel the liner off ${work.name}, lay a slip of baking parchment over all but the squares, put squares on squares and press them. Rub the border, draw the parchment out, rub the film down.` : `Peel the liner off ${work.name}, ${aimed}`} Tape off it, low and back on itself.`,
      why: i === 0 ? `Assembled flat, the layers line up once instead of ${stacked.length === 2 ? 'twice' : `${stacked.length} times`} on a curve.` : null, // prettier-ignore
      check: {
        ask: work.pieces === 1 ? 'Is it down?' : `Are all ${work.pieces} pieces down?`,
        ifNot: 'Lay the tape back over that spot, burnish, and take it off the other way.',
      },
      handsMinutes: each(3),
      numbers: { pieces: work.pieces },
      about: { film: work.film.id, part: null, row: null },
      layer: work.layer,
    };
  });
  return [...steps, ...squaresOff(facts)];
}

/** Layers taken up on one tape, the topmost first. */
function pickedUp({ stacked, marked, all, each }: JobFacts): StepDraft[] {
  const fromTop = [...stacked].reverse();
  const order = fromTop.map(({ name }) => name).join(', then ');
  return fromTop.slice(1).map((work, i): StepDraft => {
    const above = fromTop[i]!;
    return {
      id: `stack:${work.layer}`,
      kind: 'stack',
      after: ['tape:all', `weed:${work.layer}`, ...(i === 0 ? [] : [`stack:${above.layer}`])],
      title: all(`Take up layer ${i + 2} of ${stacked.length}: ${work.name}`),
      body: `${i === 0 ? `The order is ${order}, all on one tape. ` : ''}Peel the liner off what hangs on the tape, ${marked.has(work.layer) ? 'put squares on squares' : 'aim over the printed template'} and press it onto ${work.name} on its liner. Burnish, then turn it over and peel the liner of ${work.name} away.`,
      why: i === 0 ? 'What is taken up last lies on the blank: the topmost film goes first.' : null,
      because: i === 0 ? 'My way: on one tape, topmost first.' : null,
      check: {
        ask: work.pieces === 1 ? 'Did it come along?' : `Did all ${work.pieces} pieces come along?`,
        ifNot: 'Lay the liner back on, burnish that spot, and peel from the other side.',
      },
      handsMinutes: each(3),
      numbers: { pieces: work.pieces },
      about: { film: work.film.id, part: null, row: null },
      layer: work.layer,
    };
  });
}

function squaresOff({ stacked, marked, all, each }: JobFacts): StepDraft[] {
  const squared = stacked.filter(({ layer }) => marked.has(layer)).length;
  return squared === 0
    ? []
    : [
        {
          id: 'squares-off',
          kind: 'squares-off',
          after: ['every stack'],
          title: all('Cut the squares away'),
          body: 'Cut the strips with the lining-up squares off, outside of all film.',
          why: 'They lined the layers up; on the blank they would only be in the way.',
          handsMinutes: each(1),
          numbers: { count: 2 * squared },
        },
      ];
}
