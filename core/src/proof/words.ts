import { FONT_CHOICES } from '../artwork/font.ts';
import type { ReadingName } from '../model/blank.ts';
import { formatLength } from '../measure/length.ts';
import type { ReadingDoubt } from '../measure/plausibility.ts';
import { describeDoubt, READING_IN_SENTENCE } from '../measure/words.ts';
import type { Command } from '../model/command.ts';
import type { Finding } from './finding.ts';

/** A finding in words: what it is, why it matters, and what each fix does. */
export interface FindingWords {
  readonly title: string;
  readonly why: string;
  readonly fixes: readonly string[];
}

/** Who knows better than any program. */
const LAST_WORD = 'The label, local rules and trained people come first.';

/**
 * The catalogue: every finding in plain words with its numbers.
 *
 * @param finding what was judged
 * @param unit what the person works in
 */
export function describeFinding(finding: Finding, unit: 'mm' | 'in'): FindingWords {
  const words = sayFinding(finding, unit);
  const { more, on, round } = finding.names;
  const rest = [
    ...(round ? [`with ${round}`] : []),
    ...(more ? [more === '1' ? 'and one more name' : `and ${more} more names`] : []),
    ...(on && finding.code !== 'names-overflow' ? [`on ${on}`] : []),
  ];
  return rest.length > 0 ? { ...words, title: `${words.title} (${rest.join(', ')})` } : words;
}

function sayFinding(finding: Finding, unit: 'mm' | 'in'): FindingWords {
  const mm = (name: string): string => formatLength(finding.numbers[name] ?? NaN, unit);
  const percent = (name: string): string => `${(finding.numbers[name] ?? NaN).toFixed(1)} %`;
  const whole = (name: string): string => String(Math.round(finding.numbers[name] ?? NaN));
  const { names } = finding;
  const fixes = finding.fixes.map((fix) => describeCommand(fix, unit));
  const say = (title: string, why: string): FindingWords => ({ title, why, fixes });
  const readingName = names['reading'] as ReadingName | undefined;
  switch (`${finding.code}/${finding.case}`) {
    case 'fit-unchecked/never':
    case 'fit-unchecked/stale':
      return say(
        finding.case === 'never' ? 'Its fit was not tried on paper' : 'It was measured anew since its fit was tried',
        `Film goes ${whole('share')} % of the way round. Print the fit paper, wrap it and type in what you see: five minutes, before film is cut.`,
      );
    case 'reading-weak/front':
    case 'reading-weak/back':
    case 'reading-weak/face':
      return say(
        finding.case === 'face'
          ? `The edge may be off by ±${mm('drift')}`
          : `The rim edge may stray by ±${mm('drift')}${finding.case === 'back' ? ' at the back' : ''}`,
        `It follows from what your readings may be off by; ±${mm('allowed')} goes unnoticed. Take ${readingName ? READING_IN_SENTENCE[readingName] : 'the weakest reading'} once more, with a better tool.`,
      );
    case 'stack-levels/twice':
      return say(
        `${names['film']} would have to lie both under and over ${names['other']}`,
        'One layer of each cannot be both. Use another film for what lies on top, or move it so that the two do not meet.',
      );
    case 'stack-hidden/wholly':
    case 'stack-hidden/partly':
      return say(
        finding.case === 'wholly'
          ? `${sentence(names['item'])} is hidden under ${names['film']}`
          : `${whole('share')} % of ${names['item']} is hidden under ${names['film']}`,
        names['how'] === 'order'
          ? 'It was drawn over that film, but the film stack lays it below.'
          : 'That film was drawn over it and covers it; it would be cut and never be seen. Move it, or take it out.',
      );
    case 'stack-overlap/across':
      return say(
        `${sentence(names['item'])} lies across an edge of ${names['film']}`,
        `${count(finding.numbers['count'], 'piece lies', 'pieces lie')} half on that film and half beside it: over the step the film tents and dirt gets in. Move it wholly on or off, or knock the films out of each other.`,
      );
    case 'script-apart/open':
      return say(
        `${sentence(names['item'])} falls apart into ${whole('parts')} parts`,
        `The letters of a joined script touch, so that a word is one piece; here ${finding.numbers['parts'] === 2 ? 'one join stands' : 'some joins stand'} open by up to ${mm('gap')}.${finding.fixes.length === 0 ? ' Move the letters together in the editor.' : ''}`,
      );
    case 'seam-gap/small':
      return say(`Expect the seam within ±${mm('worst')}`, 'Your readings are good enough for the ends to meet.');
    case 'seam-gap/lapped':
      return say(
        `The lap covers what the readings may miss`,
        `Expect the ends within ±${mm('worst')}; the lap is ${mm('lap')}.`,
      );
    case 'seam-gap/wide':
      return say(
        `Your seam may miss by ±${mm('worst')} at the ${names['end']}`,
        `Most of it comes from ${readingName ? READING_IN_SENTENCE[readingName] : 'one reading'}. Take that once more, or let the ends lap.`,
      );
    case 'seam-cut/closes':
      return say(
        `${sentence(names['item'])} runs round and closes`,
        `${whole('copies')} times ${mm('pitch')}; the last meets the first. ${count(finding.numbers['count'], 'piece is', 'pieces are')} cut at the back: butt the ends, or let them lap.`,
      );
    case 'seam-cut/lapped':
      return say(
        `${sentence(names['item'])} laps by ${mm('lap')} at the seam`,
        'It is cut at the back, and the lap covers the cut.',
      );
    case 'seam-cut/cut':
      return say(
        `The seam cuts ${names['item']}`,
        `${count(finding.numbers['count'], 'piece is', 'pieces are')} cut in two at the back, where the ends of the wrap meet.`,
      );
    case 'seam-cut/too-long':
      return say(
        `${sentence(names['item'])} is ${mm('over')} longer than the way round`,
        `${finding.numbers['copies'] === 1 ? `It needs ${mm('width')}` : `It needs ${mm('width')} for each of ${whole('copies')}`}, the way round is ${mm('around')}. It would lie over itself.`,
      );
    case 'seam-cut/a-little-long':
      return say(
        `${sentence(names['item'])} laps by ${mm('over')} at the seam`,
        'That is within what your readings may miss by: it may as well meet.',
      );
    case 'seam-cut/no-way':
      return say(
        `No seam gets past ${names['item']}`,
        `Everywhere round, film is in the way; the one that cuts least goes through ${count(finding.numbers['count'], 'piece', 'pieces')}. Deal with each in the seam window, or make room.`,
      );
    case 'seam-cut/split':
      return say(
        `${sentence(names['item'])} is split at the seam as you chose`,
        'Each part laps a little, or is left off and laid as a spare.',
      );
    case 'seam-neighbours/pair':
    case 'seam-neighbours/things':
      return say(
        finding.case === 'things'
          ? 'Two things nearly touch across the seam'
          : `Two pieces in ${names['film']} nearly touch across the seam`,
        `They come within ${mm('gap')} once the ends meet; elsewhere the pattern keeps ${mm('typical')}.${finding.fixes.length === 0 ? ' Only your eye can judge whether it shows.' : ''}`,
      );
    case 'rim-zone/over':
      return say(
        `${sentence(names['item'])} stands over the rim line`,
        `It passes the top of the band by ${formatLength(-(finding.numbers['room'] ?? 0), unit)}; there is no straight side to lay it on.`,
      );
    case 'rim-zone/inside':
      return say(
        `${sentence(names['item'])} is too near the rim`,
        `Film keeps ${mm('clearance')} from the drinking edge, where lips touch; move it down by ${mm('need')}.`,
      );
    case 'base-zone/over':
      return say(
        `${sentence(names['item'])} hangs over the base line`,
        `It passes the bottom of the band by ${formatLength(-(finding.numbers['room'] ?? 0), unit)}; it would wrinkle where the side curves in.`,
      );
    case 'base-zone/inside':
      return say(
        `${sentence(names['item'])} is too near the base`,
        `Film keeps ${mm('clearance')} from the base, where it rubs and lifts; move it up by ${mm('need')}.`,
      );
    case 'handle-zone/under':
      return say(
        `${sentence(names['item'])} runs under the handle`,
        `${formatLength(-(finding.numbers['room'] ?? 0), unit)} of it would lie under the handle and is cut off.`,
      );
    case 'handle-zone/near':
      return say(
        `${sentence(names['item'])} is close to the handle`,
        `${mm('room')} is left; ${mm('zone')} lets a finger and a squeegee in.`,
      );
    case 'handle-zone/band':
      return say(
        `${sentence(names['item'])} stops at the handle`,
        'A band cannot run through a handle: it ends on both sides of it. Trim the ends to taste; only your eye can judge this.',
      );
    case 'glance/wide':
    case 'glance/wide-group':
      return say(
        `${sentence(names['item'])}${finding.case === 'wide' ? ' is' : ' and what is kept together with it are'} wider than one glance`,
        `${finding.case === 'wide' ? 'It is' : 'Together they are'} ${mm('width')} wide; from ${mm('distance')} away one sees ${mm('seen')} here without turning the blank.${finding.fixes.length === 0 ? ' Make them smaller together, or take them apart.' : ''}`,
      );
    case 'unfused/letters':
      return say(
        `Letters of ${names['item']} overlap`,
        `${count(finding.numbers['count'], 'overlap', 'overlaps')}: the blade would cut each letter through its neighbour.`,
      );
    case 'unfused/items':
      return say(
        `${sentence(names['item'])} overlap in the same film`,
        'The blade would cut each through the other. Keep them together as one outline.',
      );
    case 'letters-missing/missing':
      return say(
        `The font lacks ${names['letters']}`,
        `${sentence(names['item'])} would be cut without it. Choose another font or other letters.`,
      );
    case 'font-missing/missing':
      return say(
        `The letters of ${names['item']} are not here`,
        'They were set in a font of your own that this device does not have; others stand in. Bring the font file in again, or choose other letters.',
      );
    case 'names-overflow/too-long':
      return say(
        `“${names['name']}” is too long for its place`,
        `At ${mm('cap')} and closed up it is ${mm('width')} wide; ${mm('allowed')} is given. Set it by hand, or change the place.`,
      );
    case 'names-overflow/blank':
      return say(
        `“${names['name']}” is for a blank that cannot be flattened`,
        'Readings of that blank are missing or cannot be right. Measure it on the shelf, or make this one on another.',
      );
    case 'names-overflow/fit':
      return say(
        finding.numbers['count'] === 1 ? 'The name fits' : `All ${whole('count')} names fit their place`,
        `Their capitals are ${mm('least')} to ${mm('most')} high.`,
      );
    case 'names-overflow/letters':
      return say(
        `“${names['name']}” has letters that the font lacks`,
        `It would be cut without ${names['letters']}. Choose another font, or write the name another way.`,
      );
    case 'right-way-up/wide-base':
      return say(
        'The longer arc goes to the base',
        `Rim ${mm('rim')}, base ${mm('base')}. It is easily wrapped upside down: “rim this way” is printed on the template.`,
      );
    case 'load-fit/marks':
      return say(
        `${names['film']} does not fit the board with its marks`,
        `With marks it takes ${mm('long')} × ${mm('short')}; the board is ${mm('boardWidth')} × ${mm('boardLength')} and keeps ${mm('margin')} free all round. Without them it fits.`,
      );
    case 'load-fit/longer-board':
      return say(
        `${names['film']} does not fit the board`,
        `Its pieces take ${mm('long')} × ${mm('short')}; the board is ${mm('boardWidth')} × ${mm('boardLength')} and keeps ${mm('margin')} free all round.`,
      );
    case 'load-fit/none':
      return say(
        `${names['film']} fits no board`,
        `Its pieces take ${mm('long')} × ${mm('short')} in one. Use fewer pieces of this film, or a smaller design.`,
      );
    case 'face-edge/over':
      return say(
        `${sentence(names['item'])} hangs over the edge`,
        `It passes the edge of the face by ${formatLength(-(finding.numbers['room'] ?? 0), unit)}.`,
      );
    case 'face-edge/patch':
      return say(
        `${sentence(names['item'])} reaches past the patch`,
        `By ${formatLength(-(finding.numbers['room'] ?? 0), unit)}. Film out there has to give more than it can; a larger patch at Flat shows by how much.`,
      );
    case 'face-edge/near':
      return say(
        `${sentence(names['item'])} is close to the edge`,
        `${mm('room')} is left; ${mm('zone')} keeps it from being rubbed off.`,
      );
    case 'face-edge/hole':
      return say(
        `${sentence(names['item'])} is at the hole`,
        'Film over a hole, or just beside it, is picked off by the straw. Move it, or let the hole fall in a counter.',
      );
    case 'wrinkle/broad':
      return say(
        `${sentence(names['item'])} is too broad to lie flat here`,
        `Where it lies the blank curves both ways: its film has to give ${percent('needed')}, it takes ${percent('limit')} laid with care. Sharp inner corners ask for more.`,
      );
    case 'wrinkle/corner':
      return say(
        `${sentence(names['item'])} may lift at its inner corners`,
        `Its film has to give ${percent('needed')} of the ${percent('limit')} that it takes, but at a sharp inner corner up to half as much again. Round those corners, slit the film there, or make it smaller.`,
      );
    case 'tape-wrinkle/slit':
      return say(
        `Slit the tape ${whole('count')} times`,
        `In one, the sheet of ${mm('width')} × ${mm('height')} tents: it has to give ${percent('needed')}, tape takes about ${percent('gives')}. The slits are drawn between the pieces${(finding.numbers['short'] ?? 0) > 0 ? `; ${whole('short')} stop short of film` : ''}. Their sides lap by ${mm('lap')} at the edge.`,
      );
    case 'tape-wrinkle/parts':
      return say(
        'Lift each part with a tape of its own',
        `One sheet of ${mm('width')} × ${mm('height')} would tent: it has to give ${percent('needed')}, tape takes about ${percent('gives')}.`,
      );
    case 'tape-wrinkle/too-broad':
      return say(
        'No tape lies on this in one sheet',
        `${mm('width')} × ${mm('height')} of it has to give ${percent('needed')}, tape takes about ${percent('gives')}, and slits do not save it. Lay the pieces in several lots; only your hands can judge which.`,
      );
    case 'stretch/pulled':
    case 'stretch/pushed':
      return say(
        `Film all over the band strains ${percent('strain')} at ${mm('at')} down`,
        `It takes ${percent('limit')} ${finding.case === 'pulled' ? 'of pull' : 'before it tents'}. Small pieces do not mind; a solid wrap does.`,
      );
    case 'stretch/parts':
      return say(
        `Artwork lies on one patch, the template is in ${names['parts']}`,
        `The ${whole('parts')} ${names['parts']} are printed bare. Cut artwork through them by hand, or lay it on one patch.`,
      );
    case 'stretch/divided':
      return say(
        `${count(finding.numbers['count'], 'piece is', 'pieces are')} cut where the ${names['parts']} meet`,
        `The side is laid in ${whole('parts')} ${names['parts']}; each joint shows in the film. Fewer, or one band, cut less.`,
      );
    case 'fine-stroke/thin':
      return say(
        `${sentence(names['item'])} has strokes of ${mm('width')}`,
        `${names['film']} holds from ${mm('finest')} on; finer, it tears when it is weeded and lifts in the wash.`,
      );
    case 'tiny-piece/small':
      return say(
        `${count(finding.numbers['count'], 'piece', 'pieces')} of ${names['item']} under ${mm('least')} across`,
        `The smallest is ${mm('across')}: such pieces stay on the backing or are lost. Make them larger, or cut spares.`,
      );
    case 'loose-dot/specks':
      return say(
        `${count(finding.numbers['count'], 'speck', 'specks')} came with ${names['item']}`,
        `They are under ${mm('least')} across, the smallest ${mm('across')}: nobody lifts and lays them.`,
      );
    case 'stray-film/little':
      return say(
        `Hardly any ${names['film']} is used`,
        `${whole('area')} mm² of it, less than a fingernail: a load and a laying more for a speck.`,
      );
    case 'hands/mirrored':
      return say(
        `${sentence(names['item'])} reads backwards`,
        'It is mirrored. That is right only where one looks at it through glass, from the other side.',
      );
    case 'hands/every-other':
      return say(
        `Every other ${names['item']} reads backwards`,
        'Its copies alternate mirrored. Motifs may; words do not.',
      );
    case 'hands/same-hand':
      return say(
        `Both of the pair are for the ${names['hand']} hand`,
        'A pair has one for either hand, so that its faces look the same way when both are lifted.',
      );
    case 'hands/nothing-faces':
      return say(
        'Both of the pair come out alike',
        'Nothing on it faces the drinker or the room, so the hand makes no difference. Turn something to face one, or make it simply two.',
      );
    case 'island/loose':
      return say(
        `${count(finding.numbers['count'], 'island lies', 'islands lie')} loose in the mask`,
        'Islands keep their places on transfer tape. Laid by hand they are lost: bridge them, and cut the bridges once the mask lies.',
      );
    case 'bridge-thin/thin':
      return say(
        `Bridges of ${mm('width')} tear`,
        `From ${mm('least')} they hold while the mask is lifted from its backing.`,
      );
    case 'mask-margin/narrow':
    case 'mask-margin/open':
      return say(
        finding.case === 'open' ? 'The design reaches past its mask' : `Only ${mm('margin')} of mask round the design`,
        `Gel, grit or paint gets past an edge; ${mm('least')} keeps the rest of the blank clean. Cover what lies beyond with tape as well.`,
      );
    case 'mask-web/narrow':
      return say(
        `${sentence(names['item'])} has webs of ${mm('width')}`,
        `${{ strip: 'Stripper', etch: 'Etching cream', blast: 'Grit', paint: 'Paint' }[names['process'] ?? ''] ?? 'It'} works in about ${mm('creep')} from either side: a web under ${mm('least')} leaves nothing between.`,
      );
    case 'film-unsuited/wet':
      return say(
        `${names['film']} lets wet gel in`,
        'A removable film lifts at its edges under stripper or cream, and the design bleeds. Use a permanent film for the mask.',
      );
    case 'film-unsuited/washed':
      return say(
        `${names['film']} comes off in the wash`,
        `It is a removable film, and this is drunk from and washed.${finding.fixes.length === 0 ? ' Choose a permanent film for these pieces.' : ''}`,
      );
    case 'cover-sheet/peel':
      return say(
        `Peel the clear sheet off ${names['film']}`,
        'Before it is cut: the blade would only reach the sheet. If it has none, all the better.',
      );
    case 'stack-thick/deep':
      return say(
        `${whole('films')} films lie on each other: ${names['films']}`,
        `That is ${(finding.numbers['thickness'] ?? NaN).toFixed(2)} mm; past ${whole('most')} films an edge catches and lifts in the wash. Knock each film out of those below it, or leave one out there.`,
      );
    case 'stack-unsupported/loose':
      return say(
        `${whole('count')} things of ${names['film']} have nothing below to line up with`,
        `Each finds its place by eye alone. Marks beside it and the lowest film would line all of them up at once; here they cost ${whole('cost')} cm² of ${names['film']}.`,
      );
    case 'stack-unsupported/apart':
      return say(
        `${names['film']} lies by itself, beside the other films`,
        'Nothing below holds it or lines it up; the template does.',
      );
    case 'registration-missing/by-hand':
      return say(
        `${whole('count')} things of ${names['film']} are lined up by hand`,
        `Two small squares cut beside each film line them up at once; here they cost ${whole('cost')} cm² of ${names['film']}.`,
      );
    case 'registration-costly/film':
      return say(
        `Registration marks cost ${whole('cost')} cm² of film`,
        `More than the ${whole('most')} cm² that you allow. A layer of few pieces is as quickly lined up by hand.`,
      );
    case 'registration-costly/loads':
      return say(
        `Registration marks cost ${whole('loads') === '1' ? 'a load' : `${whole('loads')} loads`} more`,
        `And ${whole('cost')} cm² of film. Lined up by hand, it fits on fewer boards.`,
      );
    case 'film-short/short':
      return say(
        `There is too little ${names['film']}`,
        `${count(finding.numbers['count'], 'strip is', 'strips are')} not to be had from your stock; the largest takes ${mm('along')} × ${mm('across')}. Buy some, make it smaller, or use another film.`,
      );
    case 'film-old/old':
      return say(
        `${names['film']} was bought ${(finding.numbers['years'] ?? NaN).toFixed(1)} years ago`,
        `After about ${finding.numbers['most'] ?? NaN} years the adhesive dries, and film tears when it is weeded. Cut a small test first and pull it off.`,
      );
    case 'film-old/unknown':
      return say(
        `Nobody knows how old this ${names['film']} is`,
        'It comes from the box of scraps. Dry adhesive tears when it is weeded: cut a small test first and pull it off.',
      );
    case 'hazard/stripper':
      return say(
        'Stripper burns skin and eyes',
        `Gloves, goggles, fresh air, children and animals away; waste as your local rules say. ${LAST_WORD}`,
      );
    case 'hazard/etching':
      return say(
        'Etching cream burns skin and eyes',
        `Gloves, goggles, fresh air, water at hand, children away; rinse it off as its label says. ${LAST_WORD}`,
      );
    case 'hazard/blasting':
      return say(
        'Blasting dust harms lungs and eyes',
        `A closed cabinet, or respirator and goggles; grit without silica; with someone trained at hand. ${LAST_WORD}`,
      );
    case 'hazard/painting':
      return say(
        'Mind the paint’s vapour',
        `Spray outdoors or with moving air, away from flames; brush paints by their label. ${LAST_WORD}`,
      );
    case 'hazard/glass-worked':
      return say(
        'Use whole, plain glass',
        `Not cracked or chipped glass, and none that has to hold pressure: worked glass is weaker. ${LAST_WORD}`,
      );
    case 'hazard/heat-latex':
      return say('Heat bursts a balloon', 'Lay the film cold. Pieces of a burst balloon choke small children.');
    case 'hazard/alcohol-heat':
      return say(
        'Let the alcohol dry before you warm the film',
        `It burns. Three minutes in moving air, then the heat tool; metal gets hot fast. ${LAST_WORD}`,
      );
    case 'hazard/latex':
      return say(
        'Latex and small children',
        `Some people are allergic to latex, and burst pieces choke: pick them up. ${LAST_WORD}`,
      );
    case 'hazard/film-inside':
      return say(
        'Film inside touches what is in it',
        `Vinyl is not made for contact with food or drink: only for things that hold neither. ${LAST_WORD}`,
      );
    case 'hazard/helium':
      return say(
        'Never breathe helium',
        `It displaces air at once. Tie the bottle upright and open a window. ${LAST_WORD}`,
      );
    case 'hazard/foil-microwave':
      return say(
        'Not for the microwave',
        'Metallised film sparks in it. Say so to whom you hand it: write it on the care card.',
      );
    case 'balloon-keeps/late':
      return say(
        `${names['gas'] === 'helium' ? 'Helium' : 'An air-filled balloon'} keeps about ${whole('keeps')} hours`,
        `The hand-over is ${whole('hours')} hours after laying. ${names['gas'] === 'helium' ? 'Fill and lay it later, or use air on a stick.' : 'Fill and lay it later.'}`,
      );
    case 'balloon-keeps/shrinks':
      return say(
        `It shrinks ${percent('shrink')} before the hand-over`,
        `Film takes ${percent('squeeze')} of being pushed together, then it lifts in fine wrinkles. At the hand-over the balloon is about ${mm('girth')} round. Lay it later, or use smaller pieces.`,
      );
    default: {
      const doubt = {
        code: finding.case as ReadingDoubt['code'],
        reading: readingName ?? 'girthRim',
        value: finding.numbers['value'] ?? NaN,
        expected: finding.numbers['expected'] ?? NaN,
        instead: finding.fixes.length > 0 ? (finding.numbers['instead'] ?? null) : null,
      };
      return { ...describeDoubt(doubt, unit), fixes };
    }
  }
}

/** What a fix does, as a button says it. */
export function describeCommand(command: Command, unit: 'mm' | 'in'): string {
  switch (command.do) {
    case 'move-item':
      return command.downMm > 0
        ? `Move down ${formatLength(command.downMm, unit)}`
        : `Move up ${formatLength(-command.downMm, unit)}`;
    case 'turn-item':
      return `Turn ${Math.abs(command.byDeg).toFixed(0)}° ${command.byDeg > 0 ? 'to the right' : 'to the left'}`;
    case 'scale-item':
      if (command.exact) return 'Make it meet exactly';
      return `Make it ${Math.round((1 - command.factor) * 100)} % smaller${command.toMiddleMm === undefined ? '' : ', in the middle'}`;
    case 'both-faces':
      return 'One on either face instead';
    case 'drop-specks':
      return 'Leave the specks off';
    case 'mark-layers':
      return command.how === 'marks' ? 'Cut registration marks' : 'Line them up by hand';
    case 'build-stack':
      return 'Knock each film out of those below';
    case 'order-films':
      return 'Order the films as they are drawn';
    case 'bring-up':
      return 'Bring it to the top';
    case 'close-gaps':
      return command.gaps.length === 1
        ? `Close the gap by ${formatLength(command.gaps[0]!.mm, unit)}`
        : `Close the ${command.gaps.length} gaps`;
    case 'lay-warm':
      return 'Lay it warm';
    case 'lay-cold':
      return 'Lay it cold';
    case 'lap-seam':
      return `Lap it ${formatLength(command.mm, unit)}`;
    case 'fuse-items':
      return 'Fuse overlaps';
    case 'replace-reading':
      return `Take ${formatLength(command.mm, unit)}`;
    case 'choose-board':
      return 'Use the longer board';
    case 'keep-band':
      return `End the band ${formatLength(command.leftOffMm, unit)} ${command.end === 'base' ? 'higher' : 'lower'}`;
    case 'name-box':
      return `Let names be ${formatLength(command.widthMm, unit)} wide, capitals from ${formatLength(command.leastCapMm, unit)}`;
    case 'wander-seam':
      return 'Let the seam wander between pieces';
    case 'split-panels':
      return `Split into ${command.panels} panels`;
    case 'arrange-anew':
      return 'Arrange anew';
    case 'thicken-item':
      return `Thicken it by ${formatLength(command.mm, unit)} all round`;
    case 'change-film':
      return `Cut it from ${command.name}`;
    case 'read-forwards':
      return 'Let it read forwards';
    case 'set-hand':
      return `Make “${command.name}” for the ${command.hand} hand`;
    case 'bridge-islands':
      return `Bridge them, ${formatLength(command.mm, unit)} wide`;
    case 'refit-mask':
      return 'Fit the mask to the design';
    case 'set-font':
      return `Set it in ${(FONT_CHOICES.find((f) => f.id === command.font)?.label ?? 'other letters').toLowerCase()}`;
    case 'one-band':
      return 'Lay it on one band';
  }
}

const sentence = (name: string | undefined): string => (name ? name.charAt(0).toUpperCase() + name.slice(1) : 'This');
const count = (n: number | undefined, one: string, many: string): string =>
  n === 1 ? `One ${one}` : `${n ?? 0} ${many}`;
