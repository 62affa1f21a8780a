import { bar, circle, leafBetween, polygon, rays } from './strokes.ts';

/** A sprig of laurel: a stem with leaves to both sides. */
export const laurel = {
  label: 'Laurel',
  pathData: `M-42 6C-16 -4 16 -4 42 6L42 8C16 -1.6 -16 -1.6 -42 8Z${[-30, -14, 2, 18]
    .map((x, i) => {
      const y = -1.4 + 0.006 * x * x;
      return leafBetween([x, y], [x + 14, y - 17 + i], 0.2) + leafBetween([x + 3, y + 1.5], [x + 15, y + 18 - i], 0.2);
    })
    .join('')}${leafBetween([38, 6], [54, 9], 0.22)}`,
  joins: false,
};

/** A length of laurel that runs on. */
export const garland = {
  label: 'Garland',
  pathData: `M0 19H100V21H0Z${[3, 22, 41, 60, 79]
    .map((x) => leafBetween([x, 19.5], [x + 17, 4], 0.2) + leafBetween([x + 3, 20.5], [x + 17, 36], 0.2))
    .join('')}`,
  joins: true,
};

/** A leaf with its vein left open. */
export const leaf = {
  label: 'Leaf',
  pathData: 'M0 -34C20 -18 20 12 1.2 27L1.2 -12L-1.2 -12L-1.2 27C-20 12 -20 -18 0 -34ZM-1.2 29H1.2V38H-1.2Z',
  joins: false,
};

/** A flower of six petals. */
export const flower = {
  label: 'Flower',
  pathData: `${Array.from({ length: 6 }, (_, i) => {
    const [sin, cos] = [Math.sin((Math.PI * i) / 3), Math.cos((Math.PI * i) / 3)];
    return leafBetween([11 * sin, -11 * cos], [34 * sin, -34 * cos], 0.26);
  }).join('')}${circle(0, 0, 8)}`,
  joins: false,
};

/** A sun with twelve rays. */
export const sun = {
  label: 'Sun',
  pathData: `${circle(0, 0, 15)}${Array.from({ length: 12 }, (_, i) => {
    const [sin, cos] = [Math.sin((Math.PI * i) / 6), Math.cos((Math.PI * i) / 6)];
    return bar([19 * sin, 19 * cos], [(i % 2 ? 27 : 33) * sin, (i % 2 ? 27 : 33) * cos], 4);
  }).join('')}`,
  joins: false,
};

/** A new moon. */
export const moon = {
  label: 'Moon',
  pathData: 'M10 -30A31 31 0 1 0 28 14A25 25 0 0 1 10 -30Z',
  joins: false,
};

/** A star of five points. */
export const star = { label: 'Star', pathData: rays(5, [32, 13]), joins: false };

/** A heart. */
export const heart = {
  label: 'Heart',
  pathData: 'M0 30C-38 4 -34 -28 -16 -28C-8 -28 -2 -22 0 -16C2 -22 8 -28 16 -28C34 -28 38 4 0 30Z',
  joins: false,
};

/** A crown of three points. */
export const crown = {
  label: 'Crown',
  pathData: `${polygon([-28, 12], [-32, -18], [-14, -2], [0, -26], [14, -2], [32, -18], [28, 12])}M-28 16H28V24H-28Z${circle(-32, -23, 3.6)}${circle(0, -31, 3.6)}${circle(32, -23, 3.6)}`,
  joins: false,
};

/** The club’s crest: a shield with a rim of its own, a star over three lines of water. */
export const crest = {
  label: 'Crest',
  pathData: `M-28 -34H28V2C28 20 14 31 0 38C-14 31 -28 20 -28 2ZM-24 -30V2C-24 17.5 -12 27.5 0 33.4C12 27.5 24 17.5 24 2V-30Z${rays(5, [13, 5.4], 0, -13)}${[
    4, 11, 18,
  ]
    .map((y, i) => {
      const w = 18 - 4.5 * i;
      return `M${-w} ${y}C${-w / 2} ${y - 3.4} ${-w / 4} ${y - 3.4} 0 ${y}C${w / 4} ${y + 3.4} ${w / 2} ${y + 3.4} ${w} ${y}L${w} ${y + 2.6}C${w / 2} ${y + 6} ${w / 4} ${y + 6} 0 ${y + 2.6}C${-w / 4} ${y - 0.8} ${-w / 2} ${y - 0.8} ${-w} ${y + 2.6}Z`;
    })
    .join('')}`,
  joins: false,
};

/** A bell. */
export const bell = {
  label: 'Bell',
  pathData: `M-3 -32H3V-27C16 -24 18 -12 19 0C20 9 24 14 28 19H-28C-24 14 -20 9 -19 0C-18 -12 -16 -24 -3 -27Z${circle(0, 26, 5)}`,
  joins: false,
};

/** A row of chevrons that runs on. */
export const chevrons = {
  label: 'Chevrons',
  pathData: [0, 25, 50, 75]
    .map((x) => polygon([x, 2], [x + 10, 2], [x + 22, 14], [x + 10, 26], [x, 26], [x + 12, 14]))
    .join(''),
  joins: true,
  span: [0, 100],
} as const;

/** A plain plate: what a mask is cut from. */
export const plate = { label: 'Plate', pathData: 'M0 0H40V30H0Z', joins: true, span: [0, 40] } as const;
