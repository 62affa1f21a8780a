import { rgb } from '@cantoo/pdf-lib';
import type { BenchStep } from '../../bench/step.ts';
import { waitText } from '../../bench/steps.ts';
import type { Units } from '../../measure/length.ts';
import type { PlacingCard } from '../../present/placing-card.ts';
import { drawPlacing } from './placing.ts';
import type { StepPicture } from '../../present/step-picture.ts';
import type { SheetPrint } from './flow.ts';
import { startFlow } from './flow.ts';
import { drawPicture, pictureHeight } from './picture.ts';

/** What goes on the bench sheet. */
export interface BenchPrint extends SheetPrint {
  readonly steps: readonly BenchStep[];
  /** Where figures go that are laid one by one; drawn at that step. */
  readonly placing?: PlacingCard | null;
  readonly unit?: Units;
  /** The picture of a step, where it has one. */
  readonly pictureOf?: (step: BenchStep) => StepPicture | null;
}

/** pt that a step's text is set in from the box that is ticked. */
const INDENT = 30;
/** pt that the placing card takes at most, with some of its lines. */
const CARD_HIGH = 290;

/**
 * The bench steps as a sheet to tick off.
 *
 * @returns PDF bytes
 */
export async function writeBenchPdf(print: BenchPrint): Promise<Uint8Array> {
  const flow = await startFlow(print);
  const { plain, bold, margin } = flow;
  const pictured = (step: BenchStep): number => {
    const picture = print.pictureOf?.(step);
    return picture ? pictureHeight(picture) + 12 : 0;
  };
  const heightOf = (step: BenchStep): number => {
    const count = (text: string | null): number => flow.heightOf(text, plain, 10, INDENT);
    return (
      40 +
      step.body.split('\n').reduce((sum, line) => sum + count(line), 0) +
      step.list.length * 14 +
      (step.id === 'place' && print.placing ? CARD_HIGH : pictured(step)) +
      count(step.caution) +
      (step.check ? count(step.check.ask + step.check.ifNot) + 4 : 0)
    );
  };
  flow.write(print.title, bold, 17);
  flow.write(
    'Tick each step. Labels of your film, tape and blank, local codes and trained people come before this sheet.',
    plain,
    9,
  );
  flow.leave(8);
  print.steps.forEach((step, index) => {
    flow.keep(heightOf(step));
    flow.rule();
    flow.page.drawRectangle({ x: margin, y: flow.y - 25, width: 12, height: 12, borderWidth: 0.9, borderColor: rgb(0, 0, 0) }); // prettier-ignore
    flow.leave(6);
    flow.write(`${index + 1}  ${step.title}`, bold, 12, INDENT);
    const time = [
      step.handsMinutes > 0 ? `${step.handsMinutes} min` : '',
      step.waitMinutes > 0 ? `then wait ${waitText(step.waitMinutes)}` : '',
    ]
      .filter(Boolean)
      .join(', ');
    const picture = step.id === 'place' && print.placing ? null : print.pictureOf?.(step);
    if (picture) drawPicture(flow, picture, INDENT);
    const lines = step.body.split('\n');
    if (step.id === 'place' && print.placing) drawPlacing(flow, print.placing, print.unit ?? 'mm', INDENT);
    else
      lines.forEach((line, i) =>
        flow.write(i === lines.length - 1 && time ? `${line} (${time})` : line, plain, 10, INDENT),
      );
    for (const thing of step.list) flow.write(`·  ${thing}`, plain, 10, INDENT + 8);
    if (step.caution) flow.write(`Caution: ${step.caution}`, bold, 9.5, INDENT);
    if (step.check) flow.write(`Check: ${step.check.ask} If not: ${step.check.ifNot}`, plain, 9.5, INDENT);
    flow.leave(6);
  });
  return flow.finish();
}
