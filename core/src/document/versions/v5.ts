import { isRaw, type VersionStep } from './walk.ts';

/** What the film is for was not kept, cast film was always taken as laid warm, and limits could not be changed. */
export const fromV5: VersionStep = {
  backup: (backup) => ({ limits: {}, ...backup }),
  project: (project) => ({
    process: 'decal',
    warm: true,
    ...project,
    ...(isRaw(project['carried']) ? { carried: { limits: {}, ...project['carried'] } } : {}),
  }),
};
