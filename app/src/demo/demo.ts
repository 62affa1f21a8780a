import {
  newBlank,
  newMotif,
  newProject,
  newShelfBlank,
  newText,
  type Blank,
  type Project,
  type Reading,
  type ShelfBlank,
} from '@mivet/core';

const read = (...typed: [string, number][]): Reading => ({
  how: 'tape',
  takes: typed.map(([text, mm]) => ({ typed: text, mm })),
  thicknessMm: 0.4,
});
const ruler = (...typed: [string, number][]): Reading => ({ ...read(...typed), how: 'ruler', thicknessMm: 0 });

const crewMug: Blank = {
  ...newBlank('demo-crew-mug', 'straight', 'Crew mug'),
  colour: '#F4F2EC',
  handleWidthMm: 22,
  handleClearanceMm: 6,
  bandBelowRimMm: 4,
  readings: { girthRim: read(['259', 259], ['25.9 cm', 259], ['10 3/16', 258.7625]), side: ruler(['86', 86]) },
  notes: 'White glaze, holds a hand-washed decal well.',
};

const steelTumbler: Blank = {
  ...newBlank('demo-steel-tumbler', 'tapered', 'Steel tumbler'),
  colour: '#C4CACD',
  bandBelowRimMm: 6,
  readings: {
    girthRim: read(['10 7/8', 276.225], ['276', 276], ['27.6 cm', 276]),
    girthBase: read(['214', 214], ['8 7/16', 214.3125]),
    side: ruler(['168', 168]),
  },
  notes: 'Brushed steel; the wider end is the rim.',
};

const canGlass: Blank = {
  ...newBlank('demo-can-glass', 'straight', 'Can-shaped glass'),
  surface: 'glass',
  colour: '#DCEBEC',
  readings: { girthRim: read(['236', 236]), side: ruler(['112', 112]) },
};

const coxsBeaker: Blank = {
  ...newBlank('demo-cox-beaker', 'tapered', 'Cox’s beaker'),
  surface: 'plastic',
  colour: '#E4D9C4',
  readings: { girthRim: read(['210', 210]), girthBase: read(['248', 248]), side: ruler(['96', 96]) },
  notes: 'Wider at the base: mind which way up the template goes.',
};

/** Blanks of the made-up rowing club. */
export const demoShelf = (now: string): ShelfBlank[] =>
  [crewMug, steelTumbler, canGlass, coxsBeaker].map((blank) => newShelfBlank(blank, now));

/** Two complete projects of the made-up Willowmere Rowing Club. */
export function demoProjects(now: string): Project[] {
  const name = { ...newText('demo-name', 'Marlow', 'deep-water'), font: 'script' as const };
  const mug: Project = {
    ...newProject('demo-mug', 'Crew mug, bow seat', crewMug, crewMug.id, now),
    items: [
      {
        ...name,
        text: 'Tansy',
        size: { by: 'width', mm: 58 },
        placement: { facing: 'front', angleDeg: 0, from: 'middle', mm: 2, turnDeg: 0 },
      },
      {
        ...newMotif('demo-oar', 'oar', 'ensign'),
        widthMm: 7,
        placement: { facing: 'drinker', angleDeg: 0, from: 'middle', mm: 2, turnDeg: 35 },
      },
    ],
    log: [
      {
        id: 'demo-log-1',
        at: now,
        outcome: 'note',
        text: 'Right-handed. Name opposite the handle, oar for the drinker.',
      },
    ],
  };
  const swell = newMotif('demo-swell', 'wave', 'deep-water');
  const tumbler: Project = {
    ...newProject('demo-tumbler', 'Stroke seat’s tumbler', steelTumbler, steelTumbler.id, now),
    items: [
      {
        ...swell,
        heightMm: 36,
        repeat: { mode: 'joined', count: 9 },
        placement: { facing: 'front', angleDeg: 0, from: 'base', mm: 14, turnDeg: 0 },
      },
      {
        ...newMotif('demo-ripple', 'wave', 'shallows'),
        heightMm: 30,
        repeat: { mode: 'joined', count: 9 },
        placement: { facing: 'front', angleDeg: 0, from: 'base', mm: 38, turnDeg: 0 },
      },
      {
        ...newText('demo-stroke', 'STROKE', 'ensign'),
        size: { by: 'cap', mm: 17 },
        placement: { facing: 'front', angleDeg: 0, from: 'rim', mm: 42, turnDeg: 0 },
      },
    ],
    seam: { lapMm: 1 },
  };
  return [tumbler, mug];
}
