import { rgb } from '@cantoo/pdf-lib';
import type { BenchStep } from '../../bench/step.ts';
import { waitText } from '../../bench/steps.ts';
import type { SheetPrint } from './flow.ts';
import { startFlow } from './flow.ts';

/** What goes on the bench sheet. */
export interface BenchPrint extends SheetPrint {
  readonly steps: readonly BenchStep[];
}

/** pt that a step's text is set in from the box that is ticked. */
const INDENT = 30;

/**
 * The bench steps as a sheet to tick off.
 *
 * @returns PDF bytes
 */
export async function writeBenchPdf(print: BenchPrint): Promise<Uint8Array> {
  const flow = await startFlow(print);
  const { plain, bold, margin } = flow;
  const heightOf = (step: BenchStep): number => {
    const count = (text: string | null): number => flow.heightOf(text, plain, 10, INDENT);
    return (
      40 + count(step.body) + count(step.caution) + (step.check ? count(step.check.ask + step.check.ifNot) + 4 : 0)
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
    flow.write(`${step.body}${time ? ` (${time})` : ''}`, plain, 10, INDENT);
    if (step.caution) flow.write(`Caution: ${step.caution}`, bold, 9.5, INDENT);
    if (step.check) flow.write(`Check: ${step.check.ask} If not: ${step.check.ifNot}`, plain, 9.5, INDENT);
    flow.leave(6);
  });
  return flow.finish();
}
