import { eachOf, isRaw, type VersionStep } from './walk.ts';

/** A list of names was always for one text on one blank; masks had no bridges; nothing of one's own was kept. */
export const fromV4: VersionStep = {
  backup: (backup) => ({ fonts: [], motifs: [], ...backup }),
  project: (project) => ({
    otherBlanks: [],
    ...project,
    names: isRaw(project['names'])
      ? { ...project['names'], rows: eachOf(project['names']['rows'], (row) => ({ blankId: null, ...row })) }
      : project['names'],
    items: eachOf(project['items'], (item) =>
      isRaw(item['acts']) ? { ...item, acts: { bridgeMm: 0, ...item['acts'] } } : item,
    ),
  }),
};
