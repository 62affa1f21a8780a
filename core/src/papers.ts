// What is set on paper or drawn for other programs, apart from the rest: its libraries are large, and no screen waits for
// them.
export { writeTemplateDxf } from './io/dxf/write-template.ts';
export { writeBenchPdf } from './io/pdf/bench.ts';
export { writeBenchCardPdf } from './io/pdf/bench-card.ts';
export { careOf } from './bench/care.ts';
export { writeCarePdf } from './io/pdf/care.ts';
export { writeShoppingPdf } from './io/pdf/shopping.ts';
export { writeTakeAlong } from './io/html/take-along.ts';
export { printedPicture, stepPictures } from './present/step-pictures.ts';
export { placingCard } from './present/placing-card.ts';
export { writeProofPdf } from './io/pdf/proof-sheet.ts';
export { writeTemplatePdf } from './io/pdf/template.ts';
export type { JobFileOptions } from './io/files/job-files.ts';
export { jobFiles, writeDxf } from './io/files/job-files.ts';
export type { TogetherFileOptions } from './io/files/together-files.ts';
export { togetherFiles } from './io/files/together-files.ts';
