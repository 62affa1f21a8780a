import { eachOf, isRaw, type VersionStep } from './walk.ts';

const SEAM = { lapMm: 0, way: 'straight', panels: 1, clearanceMm: 1, atSeam: [] };
const ACTS = { thickenMm: 0, fillHoles: false, dropped: [], cutAway: [], onlyInside: null, shapesOnly: false };
const LINES = { align: 'middle', linePitch: 1.75, pairGaps: [] };

/** A wrap had one straight seam, nothing was cut to spare, and outlines stayed as they were drawn. */
export const fromV3: VersionStep = {
  project: (project) => ({
    names: null,
    ...project,
    seam: { ...SEAM, ...(isRaw(project['seam']) ? project['seam'] : {}) },
    items: eachOf(project['items'], (item) => ({
      spares: 0,
      acts: ACTS,
      ...(item['type'] === 'text' ? LINES : {}),
      ...item,
    })),
  }),
};
