// Tables, apart from the rest: their library is loaded when a table is.
export { readBlanksCsv, writeBlanksCsv } from './io/csv/blanks.ts';
