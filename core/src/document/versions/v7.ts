import { eachOf, isRaw, type VersionStep } from './walk.ts';

/**
 * Gaps between letters were millimetres at any size, specks were taken out of a drawing for good, the ring of a text could
 * be left out, and a backup held neither copies nor settings.
 */
export const fromV7: VersionStep = {
  backup: (backup) => ({ copies: [], settings: {}, unreadable: [], ...backup }),
  project: (project) => ({
    ...project,
    items: eachOf(project['items'], (item) => ({
      ...(item['type'] === 'text' ? { ring: null, gapsAtMm: null } : {}),
      ...item,
      ...(isRaw(item['acts']) ? { acts: { specksMm: 0, ...item['acts'] } } : {}),
    })),
  }),
};
