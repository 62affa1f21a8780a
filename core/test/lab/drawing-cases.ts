/**
 * Small drawings, each with one feature of the SVG standard's shapes, styles, units and structure, to be read and to be shown
 * by a browser. All film in them is opaque, so that what the browser paints is what has to be taken.
 */
export interface DrawingCase {
  readonly name: string;
  readonly svg: string;
  /** What must be listed because it is not followed; the drawing is then not measured. */
  readonly lists?: RegExp;
}

/** A page of 60 × 40 mm, a unit to the millimetre. */
const page = (inside: string, head = 'width="60mm" height="40mm" viewBox="0 0 60 40"'): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ${head}>${inside}</svg>`;

const cases: DrawingCase[] = [];
const add = (name: string, inside: string, head?: string): void => void cases.push({ name, svg: page(inside, head) });
const listed = (name: string, inside: string, lists: RegExp): void =>
  void cases.push({ name, svg: page(inside), lists });
/** A mark in a corner, so that a drawing that comes out shifted as a whole is seen. */
const MARK = '<rect x="2" y="2" width="3" height="2"/>';

// Shapes.
add('rect', '<rect x="7" y="6" width="30" height="20"/>');
add('rect, rounded', '<rect x="7" y="6" width="30" height="20" rx="6" ry="3"/>');
add('rect, one radius', '<rect x="7" y="6" width="30" height="20" rx="5"/>');
add('rect, other radius', '<rect x="7" y="6" width="30" height="20" ry="5"/>');
add('rect, radius past half', '<rect x="7" y="6" width="30" height="20" rx="40" ry="4"/>');
add('rect, radius below nothing', `${MARK}<rect x="7" y="6" width="30" height="20" rx="-3" ry="4"/>`);
add('rect of no height', `${MARK}<rect x="7" y="6" width="30"/>`);
add('circle', '<circle cx="30" cy="20" r="13"/>');
add('ellipse', '<ellipse cx="30" cy="20" rx="22" ry="9"/>');
add('ellipse, one radius', '<ellipse cx="30" cy="20" rx="12"/>');
add('polygon', '<polygon points="5,5 50,9 41,33 12,28"/>');
add('polygon, odd number of numbers', '<polygon points="5 5 50 9 41 33 12"/>');
add('polygon, numbers that touch', '<polygon points="5-0 50-.5 41 33.5.5 28"/>');
add('polyline, filled', '<polyline points="5,5 50,9 41,33 12,28"/>');
add('line, broad', '<line x1="5" y1="6" x2="50" y2="30" stroke="#000" stroke-width="4"/>');
add('line has no inside', `${MARK}<line x1="5" y1="6" x2="50" y2="30" fill="red"/>`);

// Path data.
add('path, lines', '<path d="M5 5H40V30L10 36Z"/>');
add('path, steps', '<path d="m5 5h35v25l-30 6z m30 -2 h10 v6 h-10z"/>');
add('path, cubics', '<path d="M5 30C5 0 45 0 45 30S60 38 50 38Z"/>');
add('path, cubic steps', '<path d="m5 30c0-30 40-30 40 0s10 5 3 7z"/>');
add('path, quadratics', '<path d="M5 30Q25 -20 45 30T55 34Z"/>');
add('path, quadratic steps', '<path d="m5 30q20-50 40 0t9 4z"/>');
add('path, arcs', '<path d="M10 20A15 9 0 0 1 45 20A12 12 0 0 1 10 20Z"/>');
add('path, large arcs', '<path d="M20 20A12 8 30 1 1 32 24Z"/>');
add('path, arc turned', '<path d="M12 28A20 8 -35 1 0 40 12Z"/>');
add('path, arc that does not reach', '<path d="M10 20A4 2 20 0 1 45 24Z"/>');
add('path, arc of no radius', '<path d="M10 20A0 9 0 0 1 45 24L20 36Z"/>');
add('path, arc flags that touch', '<path d="M10 20a9 9 0 0118 0 9 9 0 01-18 0z"/>');
add('path, steps of arcs', '<path d="M10 20a9 6 15 1 0 18 3z"/>');
add('path, several moves', '<path d="M5 5H20V20H5ZM30 8H50V30H30Z"/>');
add('path, moves that go on as lines', '<path d="M5 5 40 8 38 33 9 30Z"/>');
add('path, open but filled', '<path d="M5 5L40 8L38 33"/>');
add('path, even-odd', '<path fill-rule="evenodd" d="M5 5H45V35H5ZM15 12H35V28H15Z"/>');
add('path, non-zero', '<path d="M5 5H45V35H5ZM15 12H35V28H15Z"/>');
add('path, non-zero, other way', '<path d="M5 5H45V35H5ZM15 12V28H35V12Z"/>');
add('path, star by the non-zero rule', '<path d="M30 3L40 36L12 15H48L20 36Z"/>');
add('path, star by the even-odd rule', '<path fill-rule="evenodd" d="M30 3L40 36L12 15H48L20 36Z"/>');
add('path, a mistake after a good part', '<path d="M5 5H45V35H5ZM15 12 L nonsense"/>');
add('path, a mistake within a figure', '<path d="M5 5H45V35 X 7 3"/>');
add('path, numbers with exponents', '<path d="M.5e1 5L4.5e1 5 45 3.5e1 5 35Z"/>');

// Units on attributes.
for (const [unit, length] of [['mm', 30], ['cm', 3], ['in', 1.2], ['pt', 90], ['pc', 7], ['px', 110], ['Q', 120], ['em', 6], ['rem', 6], ['%', 45]] as const) // prettier-ignore
  add(`length in ${unit}`, `<rect x="10" y="10" width="${length}${unit}" height="${length / 2}${unit}"/>`, 'width="60mm" height="40mm" viewBox="0 0 240 160"'); // prettier-ignore
add('place in mm', '<rect x="10mm" y="5mm" width="20mm" height="12mm"/><rect width="3" height="3"/>', 'width="60mm" height="40mm" viewBox="0 0 240 160"'); // prettier-ignore
add('circle in per cent', '<circle cx="50%" cy="50%" r="20%"/>');
add('ellipse in per cent', '<ellipse cx="40%" cy="50%" rx="30%" ry="20%"/>');
add('radius of a rect in per cent', '<rect x="10%" y="10%" width="70%" height="60%" rx="10%" ry="25%"/>');
add('line in per cent', '<line x1="10%" y1="20%" x2="90%" y2="70%" stroke="#000" stroke-width="3"/>');
add('type size from the group', '<g font-size="4"><rect x="1em" y="1em" width="6em" height="3em"/></g>');
add('type size by style', '<g style="font-size:20px"><g font-size="50%"><rect x="5" y="5" width="3em" height="2em"/></g></g>'); // prettier-ignore

// Strokes.
add('stroke, straight', '<path fill="none" stroke="#000" stroke-width="4" d="M8 20H50"/>');
for (const cap of ['butt', 'round', 'square'])
  add(`stroke, ${cap} cap`, `<path fill="none" stroke="#000" stroke-width="6" stroke-linecap="${cap}" d="M12 12L46 28"/>`); // prettier-ignore
for (const join of ['miter', 'round', 'bevel'])
  add(`stroke, ${join} join`, `<path fill="none" stroke="#000" stroke-width="5" stroke-linejoin="${join}" d="M10 30L28 8L40 32L52 20"/>`); // prettier-ignore
add('stroke, sharp mitre within its limit', '<path fill="none" stroke="#000" stroke-width="4" stroke-miterlimit="12" d="M14 34L30 8L34 34"/>'); // prettier-ignore
add('stroke, sharp mitre past its limit', '<path fill="none" stroke="#000" stroke-width="4" d="M14 34L20 12L26 34"/>'); // prettier-ignore
add('stroke, closed', '<path fill="none" stroke="#000" stroke-width="4" d="M14 30L20 10L46 14Z"/>');
add('stroke, curve', '<path fill="none" stroke="#000" stroke-width="5" d="M8 30C10 -6 44 -2 50 30"/>');
add('stroke and fill', '<circle cx="30" cy="20" r="11" fill="#800" stroke="#008" stroke-width="4"/>');
add('stroke under fill', '<circle cx="30" cy="20" r="11" fill="#800" stroke="#008" stroke-width="4" paint-order="stroke"/>'); // prettier-ignore
for (const [unit, width] of [['mm', 1.5], ['pt', 6], ['%', 12], ['em', 0.5], ['px', 7]] as const)
  add(`stroke width in ${unit}`, `<path fill="none" stroke="#000" stroke-width="${width}${unit}" d="M10 10L50 30"/>`); // prettier-ignore
add('stroke width by style', '<path fill="none" stroke="#000" style="stroke-width:3px" d="M10 10L50 30"/>');
add('stroke under an even scale', '<g transform="scale(2)"><path fill="none" stroke="#000" stroke-width="2" d="M4 4L24 14"/></g>'); // prettier-ignore
add('stroke under an uneven scale', '<g transform="scale(2 .7)"><path fill="none" stroke="#000" stroke-width="4" d="M4 8L24 44"/></g>'); // prettier-ignore
add('stroke under a skew', '<g transform="skewX(25)"><circle cx="18" cy="20" r="9" fill="none" stroke="#000" stroke-width="4"/></g>'); // prettier-ignore
add('stroke of a rect', '<rect x="10" y="8" width="36" height="22" fill="none" stroke="#000" stroke-width="3"/>');
add('stroke of a rounded rect', '<rect x="10" y="8" width="36" height="22" rx="6" fill="none" stroke="#000" stroke-width="3"/>'); // prettier-ignore
add('dot of a round cap', `${MARK}<path stroke="#000" stroke-width="9" stroke-linecap="round" d="M30 20h0"/>`);

// Dashes.
add('dashes', '<path fill="none" stroke="#000" stroke-width="4" stroke-dasharray="6 3" d="M5 20H55"/>');
add('dashes, one number', '<path fill="none" stroke="#000" stroke-width="4" stroke-dasharray="5" d="M5 20H55"/>');
add('dashes, three numbers', '<path fill="none" stroke="#000" stroke-width="4" stroke-dasharray="7,2,3" d="M5 20H55"/>'); // prettier-ignore
add('dashes, offset', '<path fill="none" stroke="#000" stroke-width="4" stroke-dasharray="6 3" stroke-dashoffset="4" d="M5 20H52"/>'); // prettier-ignore
add('dashes, offset below nothing', '<path fill="none" stroke="#000" stroke-width="4" stroke-dasharray="6 3" stroke-dashoffset="-4" d="M5 20H52"/>'); // prettier-ignore
add('dashes round a circle', '<circle cx="30" cy="20" r="13" fill="none" stroke="#000" stroke-width="4" stroke-dasharray="7 4"/>'); // prettier-ignore
add('dashes round a corner', '<path fill="none" stroke="#000" stroke-width="4" stroke-dasharray="9 4" d="M8 8H48V34H8Z"/>'); // prettier-ignore
add('dashes with round caps', '<path fill="none" stroke="#000" stroke-width="4" stroke-linecap="round" stroke-dasharray="5 7" d="M6 20H54"/>'); // prettier-ignore
add('dots', '<path fill="none" stroke="#000" stroke-width="12" stroke-linecap="round" stroke-dasharray="0 15" d="M6 20H54"/>'); // prettier-ignore
add('square dots on a slant', '<path fill="none" stroke="#000" stroke-width="4" stroke-linecap="square" stroke-dasharray="0 7" d="M6 6L50 34"/>'); // prettier-ignore
add('dashes in mm', '<path fill="none" stroke="#000" stroke-width="4" stroke-dasharray="2mm 1mm" d="M5 20H55"/>');
add('dashes in per cent', '<path fill="none" stroke="#000" stroke-width="4" stroke-dasharray="10% 5%" d="M5 20H55"/>'); // prettier-ignore
add('dashes of a stated length', '<path fill="none" stroke="#000" stroke-width="8" pathLength="100" stroke-dasharray="10 5" d="M5 8L30 32L55 12"/>'); // prettier-ignore
add('dashes under a scale', '<g transform="scale(2)"><path fill="none" stroke="#000" stroke-width="2" stroke-dasharray="4 2" d="M3 10H27"/></g>'); // prettier-ignore
add('dashes of nothing are whole lines', '<path fill="none" stroke="#000" stroke-width="4" stroke-dasharray="0 0" d="M5 20H55"/>'); // prettier-ignore
add('dashes below nothing are whole lines', '<path fill="none" stroke="#000" stroke-width="4" stroke-dasharray="5 -2" d="M5 20H55"/>'); // prettier-ignore
add('dashes by style', '<path style="fill:none;stroke:#000;stroke-width:4;stroke-dasharray:6,3" d="M5 20H55"/>');

// Colours: none is lost, and what is no colour is as if it were not there.
const COLOURS = ['rebeccapurple', 'hsl(120,100%,25%)', 'hsl(200 60% 40%)', 'hsla(300,50%,50%,1)', 'lab(50% 40 20)', 'lch(50% 40 200)', 'oklab(60% 0.1 0.1)', 'oklch(60% 0.15 50)', 'hwb(90 10% 20%)', 'rgb(10 20 30)', 'rgb(10%,20%,30%)', 'rgba(1,2,3,1)', 'color(display-p3 1 0 0)', '#abc', '#abcf', '#aabbccff', 'PapayaWhip', 'currentColor', 'GREEN', 'hsl(0.5turn 50% 50%)']; // prettier-ignore
for (const colour of COLOURS) add(`fill ${colour}`, `<rect x="7" y="6" width="30" height="20" fill="${colour}"/>`);
for (const none of ['none', 'transparent', '#abc0', '#aabbcc00', 'rgba(1,2,3,0)', 'hsl(0 0% 0% / 0)'])
  add(`fill ${none}`, `${MARK}<rect x="7" y="6" width="30" height="20" fill="${none}"/>`);
add('fill that is no colour', '<g fill="none"><rect x="7" y="6" width="30" height="20" fill="blurple"/><rect width="9" height="9" fill="red"/></g>'); // prettier-ignore
add('style that is no colour leaves the attribute', '<rect x="7" y="6" width="30" height="20" fill="red" style="fill:blurple"/>'); // prettier-ignore
add('all colour names', COLOUR_ROWS());
add('opacity of nothing', `${MARK}<rect x="7" y="6" width="30" height="20" opacity="0"/><rect x="40" y="6" width="10" height="10" fill-opacity="0%"/>`); // prettier-ignore
add('colour of the group', '<g color="#123" fill="currentColor"><rect x="7" y="6" width="30" height="20"/></g>');
add('fill of what is not there', `${MARK}<rect x="7" y="6" width="30" height="20" fill="url(#gone)"/>`);
add('fill of what is not there, or else', '<rect x="7" y="6" width="30" height="20" fill="url(#gone) teal"/>');
add('gradient', '<linearGradient id="g"><stop stop-color="red"/><stop offset="1" stop-color="blue"/></linearGradient><rect x="7" y="6" width="30" height="20" fill="url(#g)"/>'); // prettier-ignore

// Styles.
add('style attribute', '<rect x="7" y="6" width="30" height="20" style="fill: none; stroke: #000; stroke-width: 3"/>');
add('class', '<style>.a{fill:none}.b{stroke:#000;stroke-width:3}</style><rect class="a b" x="7" y="6" width="30" height="20"/>'); // prettier-ignore
add('id beats class', '<style>#k{display:inline}.a{display:none}</style><rect id="k" class="a" x="7" y="6" width="30" height="20"/>'); // prettier-ignore
add('class beats name, whatever the order', `<style>.a{display:inline}rect{display:none}</style>${MARK}<rect class="a" x="7" y="6" width="30" height="20"/>`); // prettier-ignore
add('later beats earlier', `<style>.a{display:none}.a{display:inline}</style><rect class="a" x="7" y="6" width="30" height="20"/>`); // prettier-ignore
add('important', '<style>.a{fill:none!important}</style><rect class="a" x="7" y="6" width="30" height="20" style="fill:red"/><rect width="8" height="8"/>'); // prettier-ignore
add('attribute gives way to a rule', '<style>rect{stroke-width:6px}</style><rect x="9" y="8" width="30" height="20" fill="none" stroke="#000" stroke-width="1"/>'); // prettier-ignore
add('descendants', '<style>g .a{display:none}</style><g><g><rect class="a" width="9" height="9"/></g></g><rect class="a" x="9" y="8" width="30" height="20"/>'); // prettier-ignore
add('children', '<style>#p>rect{display:none}</style><g id="p"><rect width="9" height="9"/><g><rect x="9" y="8" width="30" height="20"/></g></g>'); // prettier-ignore
add('neighbours', '<style>circle+rect{display:none}</style><circle cx="9" cy="9" r="5"/><rect x="20" y="4" width="9" height="9"/><rect x="30" y="8" width="20" height="20"/>'); // prettier-ignore
add('attributes in a selector', '<style>[data-k="x"]{display:none}[data-k^=y]{fill:red}</style><rect data-k="x" width="9" height="9"/><rect data-k="yes" x="9" y="8" width="30" height="20"/>'); // prettier-ignore
add('not', '<style>rect:not(.k){display:none}</style><rect width="9" height="9"/><rect class="k" x="9" y="8" width="30" height="20"/>'); // prettier-ignore
add('first and nth', '<style>rect:nth-child(odd){display:none}</style><g><rect width="9" height="9"/><rect x="9" y="8" width="30" height="20"/><rect x="44" y="2" width="9" height="9"/></g>'); // prettier-ignore
add('list of selectors', '<style>circle, .k{display:none}</style><circle cx="8" cy="8" r="6"/><rect class="k" width="9" height="30"/><rect x="19" y="8" width="30" height="20"/>'); // prettier-ignore
add('comments and CDATA', '<style><![CDATA[/* } */ .a { fill: none } /* .b { */]]></style><rect class="a" width="40" height="30"/><rect x="9" y="8" width="30" height="20"/>'); // prettier-ignore
add('media for screens', '<style>@media screen{.a{display:none}}@media print{.b{display:none}}</style><rect class="a" width="9" height="9"/><rect class="b" x="9" y="8" width="30" height="20"/>'); // prettier-ignore
add('variables', '<style>:root{--w:4px;--c:#123}</style><rect x="9" y="8" width="30" height="20" style="fill:none;stroke:var(--c);stroke-width:var(--w)"/>'); // prettier-ignore
add('variable with another in reserve', '<rect x="9" y="8" width="30" height="20" style="fill:none;stroke:var(--gone,#123);stroke-width:var(--w,var(--v,5px))"/>'); // prettier-ignore
add('variable of the group', '<g style="--c:none"><rect width="40" height="30" style="fill:var(--c)"/></g><rect x="9" y="8" width="30" height="20" style="fill:var(--c)"/>'); // prettier-ignore
add('variable that is nothing falls back to what comes down', '<g fill="none"><rect width="40" height="30" style="fill:var(--gone)"/></g><rect width="9" height="9"/>'); // prettier-ignore
add('inherit and initial', '<g fill="none" stroke="#000" stroke-width="4"><rect x="9" y="8" width="30" height="20" style="fill:inherit"/><rect x="44" y="8" width="9" height="9" style="stroke:initial;fill:initial"/></g>'); // prettier-ignore
add('sizes by style', '<style>rect{x:9px;y:8px;width:30px;height:5mm}circle{cx:50px;cy:30px;r:6px}</style><rect/><circle/>'); // prettier-ignore
add('sizes by style beat attributes', '<rect x="1" y="1" width="3" height="3" style="x:9px;y:8px;width:30px;height:20px;rx:4px"/>'); // prettier-ignore
add('sizes by style without a unit', '<rect x="9" y="8" width="30" height="20" style="width:4"/>');
add('sizes worked out by a style', '<style>rect{width:calc(50% - 2px);height:calc((3mm + 1px) * 2);x:calc(2px + 3px)}</style><rect y="8"/>'); // prettier-ignore
add('path by style', '<path style="d:path(&quot;M5 5H40V30Z&quot;)"/>');
add('hidden and seen again', `<g visibility="hidden"><rect width="40" height="30"/><rect x="9" y="8" width="30" height="20" visibility="visible"/></g>`); // prettier-ignore
add('not displayed', `${MARK}<g display="none"><rect width="40" height="30"/></g>`);
add('collapsed', `${MARK}<rect width="40" height="30" visibility="collapse"/>`);

// Transforms.
for (const [name, list] of [
  ['translate', 'translate(12 7)'],
  ['translate, one', 'translate(12)'],
  ['scale', 'scale(1.4)'],
  ['scale, two', 'scale(1.5,.6)'],
  ['scale, mirrored', 'translate(50) scale(-1 1)'],
  ['rotate', 'rotate(24)'],
  ['rotate about', 'rotate(-30 20 15)'],
  ['skewX', 'skewX(20)'],
  ['skewY', 'skewY(-12)'],
  ['matrix', 'matrix(.9 .2 -.3 1.1 12 2)'],
  ['several', 'translate(10,4)rotate(15)scale(.8)'],
  ['several, with commas', 'translate(10,4) , scale(.8 , 1.2)'],
] as const)
  // prettier-ignore
  add(`transform ${name}`, `<rect x="9" y="8" width="24" height="14" transform="${list}"/>`);
for (const [name, list] of [
  ['translate', 'translate(12px,2mm)'],
  ['translateX', 'translateX(14px)'],
  ['rotate in rad', 'rotate(.4rad)'],
  ['rotate in turns', 'translate(10px,0) rotate(.05turn)'],
  ['scaleY', 'scaleY(1.4)'],
  ['skew', 'skew(15deg,5deg)'],
  ['in per cent', 'translate(20%,10%)'],
  ['none', 'none'],
] as const)
  // prettier-ignore
  add(`style transform ${name}`, `<rect x="9" y="8" width="24" height="14" style="transform:${list}"/>`);
add('style transform beats the attribute', '<rect x="9" y="8" width="24" height="14" transform="scale(9)" style="transform:translate(9px,3px)"/>'); // prettier-ignore
add('turned about its own middle', '<rect x="9" y="8" width="24" height="14" style="transform:rotate(40deg);transform-box:fill-box;transform-origin:center"/>'); // prettier-ignore
add('turned about a corner of its own', '<rect x="19" y="18" width="24" height="9" style="transform:rotate(30deg);transform-box:fill-box;transform-origin:left top"/>'); // prettier-ignore
add('turned about a point of the page', '<rect x="9" y="8" width="24" height="14" style="transform:rotate(30deg);transform-origin:30px 20px"/>'); // prettier-ignore
add('turned about the middle of the page', '<rect x="9" y="8" width="24" height="14" style="transform:rotate(30deg);transform-origin:50% 50%"/>'); // prettier-ignore
add('turned by the attribute about an origin', '<rect x="9" y="8" width="24" height="14" transform="rotate(30)" transform-origin="30 20"/>'); // prettier-ignore
add('group turned about its own middle', '<g style="transform:rotate(90deg);transform-box:fill-box;transform-origin:50% 50%"><rect x="19" y="8" width="24" height="9"/><rect x="19" y="20" width="10" height="9"/></g>'); // prettier-ignore
add('single properties', '<rect x="9" y="8" width="24" height="14" style="translate:8px 3px;rotate:20deg;scale:.8 1.1"/>'); // prettier-ignore
add('groups in groups', '<g transform="translate(10 5)"><g transform="rotate(10)"><g transform="scale(.5)"><rect x="9" y="8" width="60" height="40"/></g></g></g>'); // prettier-ignore

// Viewports.
add('root without a view box', '<rect x="20" y="20" width="120" height="80"/>', 'width="60mm" height="40mm"');
add('view box with an origin', '<rect x="-20" y="-10" width="60" height="40"/>', 'width="60mm" height="40mm" viewBox="-30 -20 120 80"'); // prettier-ignore
for (const align of ['xMinYMin', 'xMidYMid', 'xMaxYMax', 'xMinYMax'])
  for (const how of ['meet', 'slice'])
    add(`page ${align} ${how}`, '<rect x="5" y="5" width="30" height="60"/><rect x="50" y="60" width="30" height="30"/>', `width="60mm" height="40mm" viewBox="0 0 100 100" preserveAspectRatio="${align} ${how}"`); // prettier-ignore
add('page stretched', '<circle cx="50" cy="50" r="40"/>', 'width="60mm" height="40mm" viewBox="0 0 100 100" preserveAspectRatio="none"'); // prettier-ignore
add('page stretched, with lines', '<circle cx="50" cy="50" r="35" fill="none" stroke="#000" stroke-width="12"/>', 'width="60mm" height="40mm" viewBox="0 0 100 100" preserveAspectRatio="none"'); // prettier-ignore
add('past the page', '<rect x="-20" y="10" width="50" height="15"/><rect x="50" y="30" width="30" height="30"/>');
add('nested svg', '<svg x="10" y="5" width="30" height="20" viewBox="0 0 10 10"><rect width="6" height="10"/></svg>');
add('nested svg, stretched', '<svg x="10" y="5" width="30" height="20" viewBox="0 0 10 10" preserveAspectRatio="none"><circle cx="5" cy="5" r="4"/></svg>'); // prettier-ignore
add(
  'nested svg, cut off',
  '<svg x="10" y="5" width="20" height="20"><rect x="5" y="-5" width="40" height="15"/></svg>',
);
add('nested svg, seen past its frame', '<svg x="10" y="5" width="20" height="20" overflow="visible"><rect x="5" y="2" width="30" height="15"/></svg>'); // prettier-ignore
add('nested svg without a size', '<svg x="10" y="5"><rect width="50%" height="50%"/></svg>');
add('nested svg in per cent', '<svg x="10%" y="10%" width="50%" height="50%" viewBox="0 0 10 10"><rect width="100%" height="10"/></svg>'); // prettier-ignore
add('nested svg of no size', `${MARK}<svg width="0" height="20"><rect width="40" height="30"/></svg>`);
add('nested svg, turned', '<g transform="rotate(20)"><svg x="15" y="2" width="25" height="20"><rect width="60" height="60"/></svg></g>'); // prettier-ignore

// Uses.
add('use', '<defs><rect id="r" width="12" height="8"/></defs><use href="#r" x="8" y="6"/><use xlink:href="#r" x="30" y="20"/>'); // prettier-ignore
add('use with a transform', '<defs><rect id="r" width="12" height="8"/></defs><use href="#r" x="8" y="6" transform="rotate(20) scale(2)"/>'); // prettier-ignore
add('use gives its style', '<defs><rect id="r" width="22" height="18"/></defs><use href="#r" x="8" y="6" fill="none" stroke="#000" stroke-width="3"/>'); // prettier-ignore
add('use in per cent and mm', '<defs><rect id="r" width="12" height="8"/></defs><use href="#r" x="50%" y="3mm"/><rect width="3" height="3"/>'); // prettier-ignore
add('symbol', '<symbol id="s" viewBox="0 0 10 10"><rect width="10" height="5"/></symbol><use href="#s" x="8" y="6" width="30" height="20"/>'); // prettier-ignore
add('symbol, stretched', '<symbol id="s" viewBox="0 0 10 10" preserveAspectRatio="none"><circle cx="5" cy="5" r="5"/></symbol><use href="#s" x="8" y="6" width="30" height="20"/>'); // prettier-ignore
add('symbol without sizes', '<symbol id="s" viewBox="0 0 10 10"><rect width="10" height="5"/></symbol><use href="#s"/>'); // prettier-ignore
add('symbol with its own sizes', '<symbol id="s" width="20" height="10" viewBox="0 0 10 10"><rect width="10" height="10"/></symbol><use href="#s" x="9" y="9"/>'); // prettier-ignore
add('symbol, cut off', '<symbol id="s" viewBox="0 0 10 10"><rect x="-5" width="10" height="20"/></symbol><use href="#s" x="8" y="6" width="20" height="20"/>'); // prettier-ignore
add('symbol by itself is not seen', `${MARK}<symbol id="s"><rect width="40" height="30"/></symbol>`);
add('use of a nested svg', '<defs><svg id="n" width="10" height="10" viewBox="0 0 5 5"><rect width="5" height="2"/></svg></defs><use href="#n" x="8" y="6" width="30" height="20"/>'); // prettier-ignore
add('use of a group of uses', '<defs><rect id="r" width="6" height="8"/><g id="k"><use href="#r"/><use href="#r" x="9"/></g></defs><use href="#k" x="8" y="6"/><use href="#k" x="30" y="20"/>'); // prettier-ignore
add('styles of what is used', '<style>.k{stroke:#000;stroke-width:3}</style><defs><path id="r" class="k" fill="none" d="M0 0H20V12"/></defs><use href="#r" x="8" y="6"/>'); // prettier-ignore
add('anchors and switches', '<a><rect x="5" y="5" width="10" height="10"/></a><switch><rect requiredExtensions="x" width="60" height="40"/><rect x="20" y="5" width="10" height="20"/><rect x="40" y="5" width="10" height="30"/></switch>'); // prettier-ignore
add('switch by language', '<switch><rect systemLanguage="tlh" width="60" height="40"/><rect systemLanguage="en" x="20" y="5" width="10" height="20"/></switch>'); // prettier-ignore

// Clip paths.
const BAR = '<rect x="5" y="5" width="50" height="30"';
add('clip', `<clipPath id="c"><circle cx="30" cy="20" r="12"/></clipPath>${BAR} clip-path="url(#c)"/>`);
add('clip by style', `<clipPath id="c"><circle cx="30" cy="20" r="12"/></clipPath>${BAR} style="clip-path:url(#c)"/>`);
add('clip of several shapes', `<clipPath id="c"><circle cx="20" cy="20" r="9"/><rect x="26" y="8" width="20" height="9"/></clipPath>${BAR} clip-path="url(#c)"/>`); // prettier-ignore
add('clip by the box', `<clipPath id="c" clipPathUnits="objectBoundingBox"><circle cx=".5" cy=".5" r=".4"/></clipPath>${BAR} clip-path="url(#c)"/>`); // prettier-ignore
add('clip of a group by its box', `<clipPath id="c" clipPathUnits="objectBoundingBox"><rect width=".5" height="1"/></clipPath><g clip-path="url(#c)"><rect x="5" y="5" width="20" height="9"/><circle cx="44" cy="24" r="9"/></g>`); // prettier-ignore
add('clip with a transform', `<clipPath id="c" transform="translate(8 2)"><rect width="20" height="20" transform="rotate(20)"/></clipPath>${BAR} clip-path="url(#c)"/>`); // prettier-ignore
add('clip moves with its element', `<clipPath id="c"><circle cx="20" cy="20" r="9"/></clipPath><g transform="translate(10 2) scale(1.2)">${BAR} clip-path="url(#c)"/></g>`); // prettier-ignore
add('clip rule', `<clipPath id="c"><path clip-rule="evenodd" d="M8 8H50V34H8ZM20 14H40V28H20Z"/></clipPath>${BAR} clip-path="url(#c)"/>`); // prettier-ignore
add('clip of a use', `<defs><circle id="k" cx="0" cy="0" r="10"/></defs><clipPath id="c"><use href="#k" x="25" y="18"/></clipPath>${BAR} clip-path="url(#c)"/>`); // prettier-ignore
add('clip within a clip', `<clipPath id="a"><rect x="10" y="5" width="20" height="30"/></clipPath><clipPath id="c" clip-path="url(#a)"><circle cx="30" cy="20" r="12"/></clipPath>${BAR} clip-path="url(#c)"/>`); // prettier-ignore
add('clipped shape of a clip', `<clipPath id="a"><rect x="10" y="5" width="20" height="30"/></clipPath><clipPath id="c"><circle cx="30" cy="20" r="12" clip-path="url(#a)"/></clipPath>${BAR} clip-path="url(#c)"/>`); // prettier-ignore
add('groups clipped one within the other', `<clipPath id="a"><rect x="10" y="5" width="25" height="30"/></clipPath><clipPath id="c"><circle cx="30" cy="20" r="12"/></clipPath><g clip-path="url(#a)"><g clip-path="url(#c)">${BAR}/></g></g>`); // prettier-ignore
add('empty clip', `${MARK}<clipPath id="c"/>${BAR} clip-path="url(#c)"/>`);
add('clip that is not there', `${BAR} clip-path="url(#gone)"/>`);
add('clip of a line', `<clipPath id="c"><rect x="20" y="0" width="20" height="40"/></clipPath><path stroke="#000" stroke-width="6" d="M5 20H55" clip-path="url(#c)"/>`); // prettier-ignore
add('hidden shapes do not clip', `${MARK}<clipPath id="c"><circle cx="30" cy="20" r="12" visibility="hidden"/><rect x="6" y="8" width="9" height="9"/></clipPath>${BAR} clip-path="url(#c)"/>`); // prettier-ignore

// Structure.
add('namespace with a prefix', '<svg:rect x="7" y="6" width="30" height="20" xmlns:svg="http://www.w3.org/2000/svg"/>');
add('foreign elements are not drawn', `${MARK}<x:rect xmlns:x="urn:x" width="40" height="30"/>`);
add('foreign attributes do not count', '<rect xmlns:x="urn:x" x:width="50" x="7" y="6" width="30" height="20"/>');
cases.push({
  name: 'words of the file',
  svg: `<!DOCTYPE svg [<!ENTITY c "fill:none;stroke:#000;stroke-width:4"><!ENTITY ns "http://www.w3.org/2000/svg">]>${page('<rect x="9" y="8" width="30" height="20" style="&c;"/>')}`,
});
add('what is drawn over counts once', '<rect x="7" y="6" width="30" height="20"/><circle cx="30" cy="20" r="12" fill="red"/>'); // prettier-ignore
add('constructors are no shapes', `${MARK}<constructor/><toString/><rect id="__proto__" x="9" y="8" width="30" height="20"/>`); // prettier-ignore

// What is not followed is said.
listed('colour of a function that is not known', '<rect width="9" height="9" style="fill:color-mix(in srgb, red, blue)"/>', /taken as grey/); // prettier-ignore
listed('size that cannot be read', `${BAR}/><rect width="wide" height="9"/>`, /sizes that cannot be read/);
listed('mask', `<mask id="m"><rect width="9" height="9" fill="#fff"/></mask>${BAR} mask="url(#m)"/>`, /masks/);
listed('mask by style', `<mask id="m"><rect width="9" height="9" fill="#fff"/></mask>${BAR} style="mask:url(#m)"/>`, /masks/); // prettier-ignore
listed('marker', '<marker id="m"><rect width="3" height="3"/></marker><path marker-end="url(#m)" stroke="#000" stroke-width="3" d="M5 5H40"/>', /markers/); // prettier-ignore
listed('marker by style', '<style>path{marker:url(#m)}</style><marker id="m"/><path stroke="#000" stroke-width="3" d="M5 5H40"/>', /markers/); // prettier-ignore
listed('filter', `<filter id="f"/>${BAR} style="filter:url(#f)"/>`, /effects/);
listed('blur', `${BAR} style="filter:blur(2px)"/>`, /effects/);
listed('words', `${BAR}/><text x="5" y="5">Cox</text>`, /words/);
listed('picture', `${BAR}/><image href="data:," width="9" height="9"/>`, /pictures/);
listed('part of another file', `${BAR}/><use href="other.svg#x"/>`, /other files/);
listed('pattern', `<pattern id="p" width="1" height="1"/>${BAR} fill="url(#p)"/>`, /patterns/);
listed('gradient', `<radialGradient id="g"><stop stop-color="red"/></radialGradient>${BAR} fill="url(#g)"/>`, /run into each other/); // prettier-ignore
listed('clip by a shape of a style', `${BAR} style="clip-path:circle(5px)"/>`, /clip shapes/);
listed('mistake in a polygon', '<polygon points="5,5 50,9 41,33 oops 12,28"/>', /mistake/);
listed('mistake in a path', `${BAR}/><path d="M0 0H9V9L oops"/>`, /mistake/);
listed('past the page', '<rect x="-5" y="5" width="20" height="9"/>', /past the page/);
listed('rules of other sheets', `<style>@import url(other.css);</style>${BAR}/>`, /style rules/);

export const DRAWING_CASES: readonly DrawingCase[] = cases;

/** A rect for each colour name of CSS, so that one that is not known leaves a hole. */
function COLOUR_ROWS(): string {
  const names = 'aliceblue antiquewhite aqua aquamarine azure beige bisque black blanchedalmond blue blueviolet brown burlywood cadetblue chartreuse chocolate coral cornflowerblue cornsilk crimson cyan darkblue darkcyan darkgoldenrod darkgray darkgreen darkgrey darkkhaki darkmagenta darkolivegreen darkorange darkorchid darkred darksalmon darkseagreen darkslateblue darkslategray darkslategrey darkturquoise darkviolet deeppink deepskyblue dimgray dimgrey dodgerblue firebrick floralwhite forestgreen fuchsia gainsboro ghostwhite gold goldenrod gray green greenyellow grey honeydew hotpink indianred indigo ivory khaki lavender lavenderblush lawngreen lemonchiffon lightblue lightcoral lightcyan lightgoldenrodyellow lightgray lightgreen lightgrey lightpink lightsalmon lightseagreen lightskyblue lightslategray lightslategrey lightsteelblue lightyellow lime limegreen linen magenta maroon mediumaquamarine mediumblue mediumorchid mediumpurple mediumseagreen mediumslateblue mediumspringgreen mediumturquoise mediumvioletred midnightblue mintcream mistyrose moccasin navajowhite navy oldlace olive olivedrab orange orangered orchid palegoldenrod palegreen paleturquoise palevioletred papayawhip peachpuff peru pink plum powderblue purple rebeccapurple red rosybrown royalblue saddlebrown salmon sandybrown seagreen seashell sienna silver skyblue slateblue slategray slategrey snow springgreen steelblue tan teal thistle tomato turquoise violet wheat white whitesmoke yellow yellowgreen'; // prettier-ignore
  return names
    .split(' ')
    .map((name, i) => `<rect x="${(i % 15) * 4}" y="${Math.floor(i / 15) * 4}" width="3" height="3" fill="${name}"/>`)
    .join('');
}
