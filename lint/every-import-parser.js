// The TypeScript parser, but for one thing: an import of types is an import like any other. The rule against circles passes
// over imports of types, and a circle of types ties two files together just as well.
import * as typescript from '@typescript-eslint/parser';
import * as vue from 'vue-eslint-parser';

export const meta = { name: 'every-import', version: '1' };

export function parseForESLint(code, options) {
  const result = options.filePath?.endsWith('.vue')
    ? vue.parseForESLint(code, { ...options, parser: typescript })
    : typescript.parseForESLint(code, options);
  for (const node of result.ast.body) {
    if (node.type === 'ImportDeclaration') {
      node.importKind = 'value';
      for (const specifier of node.specifiers) if ('importKind' in specifier) specifier.importKind = 'value';
    }
    if (node.type === 'ExportNamedDeclaration' && node.source) node.exportKind = 'value';
  }
  return result;
}
