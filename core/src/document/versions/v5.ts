import { isRaw, type VersionStep } from './walk.ts';

/** What the film is for was not kept, cast film was always reckoned warm, and limits were nobody's own. */
export const fromV5: VersionStep = {
  backup: (backup) => ({ limits: {}, ...backup }),
  project: (project) => ({
    process: 'decal',
    warm: true,
    ...project,
    ...(isRaw(project['carried']) ? { carried: { limits: {}, ...project['carried'] } } : {}),
  }),
};
