// Tables, apart from the rest: their library is loaded when a table is.
export { blankEntry, isLogbookCsv, readEntriesCsv, writeEntriesCsv } from './io/csv/entries.ts';
export { writePlanIcs } from './io/ics/write-plan.ts';
export { readNames } from './io/csv/names.ts';
export { readBlanksCsv, writeBlanksCsv } from './io/csv/blanks.ts';
export { isStockCsv, readStockCsv, writeStockCsv } from './io/csv/stock.ts';
