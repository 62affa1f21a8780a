// What a cutter needs to know, apart from the rest, so that the server starts without loading geometry.
export type { HeadPlace, Leg, Stroke, WayTotals } from './cut/pace.ts';
export { headAt, totalsOf, wayOfHead } from './cut/pace.ts';
export type { CutterPace } from './model/board.ts';
export { USUAL_PACE } from './cut/pace.ts';
export type { HpglProblem, HpglResult } from './io/hpgl/read.ts';
export { describeHpglProblem, hpglInTurns, readHpgl } from './io/hpgl/read.ts';
export type {
  CutterLoad,
  CutterRefusal,
  CutterState,
  HeadNews,
  LoadState,
  SentLoad,
  SentStrip,
} from './cut/cutter-state.ts';
export { isInCutter } from './cut/cutter-state.ts';
export { describeRefusal } from './present/refusal-words.ts';
