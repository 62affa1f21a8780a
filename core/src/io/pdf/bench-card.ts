import { rgb } from '@cantoo/pdf-lib';
import { waitText } from '../../bench/steps.ts';
import type { BenchStep } from '../../bench/step.ts';
import { formatLength, formatSize, type Units } from '../../measure/length.ts';
import type { SheetPrint } from './flow.ts';
import { startFlow } from './flow.ts';

/** pt that a line stands in from its box. */
const INDENT = 16;

/** A step in one line: its title, then the numbers that one forgets. */
export function cardLine({ title, numbers, waitMinutes }: BenchStep, unit: Units): string {
  const say = (mm: number): string => formatLength(mm, unit);
  const { tapeWidthMm, tapeHeightMm, topBelowRimMm, middleBelowRimMm, roundFromHandleMm, trueOver100Mm, slits, counters } = numbers; // prettier-ignore
  const told = [
    ...(tapeWidthMm !== undefined && tapeHeightMm !== undefined ? [`tape ${formatSize(tapeWidthMm, tapeHeightMm, unit)}`] : []), // prettier-ignore
    ...(counters ? [`${counters} counters`] : []),
    ...(topBelowRimMm !== undefined ? [`top ${say(topBelowRimMm)} below the rim`] : []),
    ...(middleBelowRimMm !== undefined ? [`middle ${say(middleBelowRimMm)}`] : []),
    ...(roundFromHandleMm !== undefined ? [`${say(roundFromHandleMm)} round from the handle`] : []),
    ...(trueOver100Mm !== undefined ? [`true to ${say(trueOver100Mm)}`] : []),
    ...(slits ? [`${slits} slits`] : []),
    ...(waitMinutes > 0 ? [`wait ${waitText(waitMinutes)}`] : []),
  ];
  return told.length > 0 ? `${title}: ${told.join(', ')}` : title;
}

/** The steps on a compact card: a line each with its numbers, cautions at the foot; PDF bytes. */
export async function writeBenchCardPdf(
  print: SheetPrint & { readonly steps: readonly BenchStep[]; readonly unit: Units },
): Promise<Uint8Array> {
  const flow = await startFlow(print);
  flow.write(print.title, flow.bold, 13);
  flow.leave(4);
  for (const step of print.steps) {
    flow.keep(18);
    flow.page.drawRectangle({ x: flow.margin, y: flow.y - 10.5, width: 7.5, height: 7.5, borderWidth: 0.7, borderColor: rgb(0, 0, 0) }); // prettier-ignore
    flow.write(cardLine(step, print.unit), flow.plain, 8.5, INDENT);
    flow.leave(1.5);
  }
  flow.leave(6);
  for (const { caution } of print.steps) if (caution) flow.write(`Caution: ${caution}`, flow.bold, 7.5);
  flow.write('Labels of film, tape and blank, local codes and trained people come first.', flow.plain, 7.5);
  return flow.finish();
}
