import { materialsWith, STARTING_MATERIALS, type Materials } from '@mivet/core';
import type { OwnLearnt } from './protocol.ts';

let last: { readonly of: string; readonly materials: Materials } = { of: '{}', materials: STARTING_MATERIALS };

/** What is known of film, tape, surfaces and hands with what was learnt: the same object while nothing else was accepted. */
export function materialsOf(learnt: OwnLearnt = {}): Materials {
  const of = JSON.stringify(learnt);
  if (of !== last.of) last = { of, materials: materialsWith(STARTING_MATERIALS, learnt) };
  return last.materials;
}
