/** What is only needed when words are set. */
export { FontProblem, readFont } from './io/font/read.ts';
export { fontSample } from './io/font/sample.ts';
