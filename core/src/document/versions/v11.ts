import { isRaw, type VersionStep } from './walk.ts';

/** A film stood once in a stack, whatever the picture asked for. */
export const fromV11: VersionStep = {
  project: (project) =>
    isRaw(project['stack']) ? { ...project, stack: { ...project['stack'], levels: 'once' } } : project,
};
