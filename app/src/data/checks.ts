/** What holds a project to its format: loaded with the first project that is opened. */
export { checkDocument, describeKeepProblem, keepable } from '@mivet/core';
