import { bar, circle, polygon, rays } from './strokes.ts';

/** A four with its cox, seen from the side, over a line of water. */
export const boat = {
  label: 'Boat',
  pathData: `M-52 4C-30 12 30 12 52 4C40 17 24 20 0 20C-24 20 -40 17 -52 4Z${[-30, -12, 6, 24]
    .map((x) => circle(x, -9, 4.4) + `M${x - 5} 4L${x - 3} -5L${x + 4} -5L${x + 6} 4Z`)
    .join(
      '',
    )}${bar([-30, 0], [-44, 26], 2)}${bar([-12, 0], [-26, 26], 2)}${bar([6, 0], [-8, 26], 2)}${bar([24, 0], [10, 26], 2)}`,
  joins: false,
};

/** A small sail boat: hull, mast and two sails, four pieces. */
export const sail = {
  label: 'Sail',
  pathData: `M-30 14C-14 20 14 20 30 14L22 26C10 32 -10 32 -22 26Z${bar([0, -40], [0, 12], 2.6)}${polygon([-3.5, -36], [-3.5, 9], [-26, 9])}${polygon([3.5, -28], [3.5, 9], [22, 9])}`,
  joins: false,
};

/** An anchor with its ring, stock and flukes in one piece. */
export const anchor = {
  label: 'Anchor',
  pathData: `${circle(0, -32, 7)}${circle(0, -32, 3.4, true)}M-3 -26H3V-20H16V-14H3V20C14 18 21 11 22 2L17 6L15 1L25 -6L31 5L27 7C25 20 14 29 0 30C-14 29 -25 20 -27 7L-31 5L-25 -6L-15 1L-17 6L-22 2C-21 11 -14 18 -3 20V-14H-16V-20H-3Z`,
  joins: false,
};

/** A fish with an eye. */
export const fish = {
  label: 'Fish',
  pathData: `M-34 0C-20 -18 8 -18 20 -4L36 -15C32 -5 32 5 36 15L20 4C8 18 -20 18 -34 0Z${circle(-21, -3, 2.4, true)}`,
  joins: false,
};

/** A drop of water. */
export const drop = {
  label: 'Drop',
  pathData: 'M0 -30C8 -15 19 -4 19 10A19 19 0 0 1 -19 10C-19 -4 -8 -15 0 -30Z',
  joins: false,
};

/** A steering wheel of eight spokes. */
export const wheel = {
  label: 'Wheel',
  pathData: `${circle(0, 0, 22)}${circle(0, 0, 16, true)}${circle(0, 0, 6)}${Array.from({ length: 8 }, (_, i) => {
    const [sin, cos] = [Math.sin((Math.PI * i) / 4), Math.cos((Math.PI * i) / 4)];
    return bar([5 * sin, 5 * cos], [31 * sin, 31 * cos], 3.2);
  }).join('')}`,
  joins: false,
};

/** A pennant on its staff. */
export const pennant = {
  label: 'Pennant',
  pathData: `${bar([-28, -32], [-28, 32], 3)}M-26 -30L30 -17L-26 -4Z`,
  joins: false,
};

/** A medal on two ribbons. */
export const medal = {
  label: 'Medal',
  pathData: `${polygon([-18, -34], [-6, -34], [3, -8], [-7, -4])}${polygon([6, -34], [18, -34], [7, -4], [-3, -8])}${circle(0, 12, 18)}${circle(0, 12, 13.5, true)}${rays(5, [10, 4.2], 0, 12)}`,
  joins: false,
};

/** A length of rope; its strands meet those of the next. */
export const rope = {
  label: 'Rope',
  pathData: Array.from({ length: 5 }, (_, i) => {
    const x = 20 * i;
    return `M${x + 1} 22C${x + 4} 8 ${x + 8} 2 ${x + 18} 2L${x + 19} 2C${x + 16} 16 ${x + 12} 22 ${x + 2} 22Z`;
  }).join(''),
  joins: true,
  span: [0, 100],
} as const;
