import { CUT_WRITERS, cutFiles, examineProject, limitsWith, loadsToSend, withTriedFixes } from '@mivet/core';
import { testFonts } from '../../core/test/fonts.ts';
import { openBackup, packBackup } from '../src/workers/backup-jobs.ts';
import { batchPicture, marksPicture, partsPicture, pictureOf, seenPicture } from '../src/workers/picture.ts';
import { readDrawing } from '../src/workers/read-drawing.ts';
import type { CoreJobs } from '../src/workers/protocol.ts';

/** Stands in for the worker in tests: the same core, on the spot. Papers are not written here. */
export async function askCore<K extends keyof CoreJobs>(
  job: K,
  input: CoreJobs[K]['input'],
): Promise<CoreJobs[K]['output']> {
  if (job === 'examine') {
    const { project, unit, limits, wish, supply } = input as CoreJobs['examine']['input'];
    return pictureOf(project, testFonts, unit, limitsWith(limits), wish, supply) as CoreJobs[K]['output'];
  }
  if (job === 'seen') {
    const { project, azimuth, limits } = input as CoreJobs['seen']['input'];
    const examined = examineProject(project, testFonts);
    return (
      examined.ok ? seenPicture(project, examined.wrap, azimuth, limitsWith(limits)) : null
    ) as CoreJobs[K]['output'];
  }
  if (job === 'marks') {
    const { project, limits, supply } = input as CoreJobs['marks']['input'];
    const examined = examineProject(project, testFonts, limitsWith(limits), supply);
    return (examined.ok ? marksPicture(project, examined, supply) : []) as CoreJobs[K]['output'];
  }
  if (job === 'fixes') {
    const { project, limits, supply } = input as CoreJobs['fixes']['input'];
    const examined = examineProject(project, testFonts, limitsWith(limits), supply);
    const by = { fonts: testFonts, limits: limitsWith(limits), supply };
    return (examined.ok ? withTriedFixes(project, examined.findings, by) : []) as CoreJobs[K]['output'];
  }
  if (job === 'batch') {
    const { project, limits, supply, times } = input as CoreJobs['batch']['input'];
    const examined = examineProject(project, testFonts, limitsWith(limits), supply);
    return (examined.ok ? batchPicture(project, examined, supply, times) : []) as CoreJobs[K]['output'];
  }
  if (job === 'send') {
    const { project, limits, supply, wish } = input as CoreJobs['send']['input'];
    const examined = examineProject(project, testFonts, limitsWith(limits), supply);
    return (examined.ok ? loadsToSend(project, examined.cut, examined.sheet, wish) : []) as CoreJobs[K]['output'];
  }
  if (job === 'parts')
    return partsPicture((input as CoreJobs['parts']['input']).item, testFonts) as CoreJobs[K]['output'];
  if (job === 'packBackup')
    return (await packBackup((input as CoreJobs['packBackup']['input']).backup)) as CoreJobs[K]['output'];
  if (job === 'readBackup')
    return (await openBackup((input as CoreJobs['readBackup']['input']).bytes)) as CoreJobs[K]['output'];
  if (job === 'drawing') return readDrawing(input as CoreJobs['drawing']['input']) as CoreJobs[K]['output'];
  const { project, kind, wish, format, supply } = input as CoreJobs['files']['input'];
  const examined = examineProject(project, testFonts, undefined, supply);
  if (!examined.ok || kind !== 'cut') throw new Error('Only cut files are written in tests.');
  return cutFiles(project, examined.cut, examined.sheet, wish, [
    CUT_WRITERS[format === 'hpgl' ? 'hpgl' : 'svg'],
  ]) as CoreJobs[K]['output'];
}

export const warmCore = (): void => undefined;

export class CallGivenUp extends Error {}

export const watchCloser = (): (() => void) => () => undefined;
