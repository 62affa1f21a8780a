/**
 * Lists every text that a person can see: of the templates, of what core, server and command line say, and of what is
 * printed. `node scripts/texts.mjs [words…]` prints `file:line text`, all of them or those that hold every word.
 */
import { readdirSync, readFileSync } from 'node:fs';
import { parse } from '@vue/compiler-sfc';
import ts from 'typescript';

const ROOTS = ['app/src', 'core/src', 'cli/src', 'server/src'];
/** Attributes that are read or heard. */
const SPOKEN = new Set(['label', 'title', 'placeholder', 'aria-label', 'alt', 'says', 'hint', 'words', 'description']);

const found = [];
const say = (file, line, text) => {
  const plain = text.replace(/\s+/g, ' ').trim();
  if (looksSpoken(plain)) found.push({ file, line, text: plain });
};

/** A sentence or a label: a letter, and a blank, a capital or an ending; no path, key or class. */
function looksSpoken(text) {
  if (!/\p{L}{2}/u.test(text)) return false;
  if (/^(\.{1,2}\/|@|https?:|[\w-]+\/[\w-]+$|#|--)/.test(text)) return false;
  return /\s/.test(text) || /^\p{Lu}\p{Ll}/u.test(text);
}

function inScript(file, code, firstLine = 1) {
  const source = ts.createSourceFile(file, code, ts.ScriptTarget.Latest, true);
  const at = (node) => firstLine + source.getLineAndCharacterOfPosition(node.getStart()).line;
  const visit = (node) => {
    if (ts.isImportDeclaration(node) || ts.isLiteralTypeNode(node)) return;
    if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) say(file, at(node), node.text);
    else if (ts.isTemplateExpression(node)) {
      say(file, at(node), node.head.text + node.templateSpans.map(({ literal }) => `{…}${literal.text}`).join(''));
      node.templateSpans.forEach(({ expression }) => visit(expression));
      return;
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
}

function inTemplate(file, node) {
  const line = node.loc.start.line;
  // 2 is text, 1 an element; what stands beside values is read as one sentence with them.
  if (node.type === 1) {
    const words = node.children
      .map((child) => (child.type === 2 ? child.content : child.type === 5 ? '{…}' : child.type === 1 ? ' ' : ''))
      .join('');
    if (node.children.some((child) => child.type === 2 && child.content.trim())) say(file, line, words);
    for (const prop of node.props) {
      if (prop.type === 6 && SPOKEN.has(prop.name) && prop.value) say(file, prop.loc.start.line, prop.value.content);
      if (prop.type === 7 && prop.exp?.content && /['"`]/.test(prop.exp.content))
        inScript(file, `(${prop.exp.content})`, prop.loc.start.line);
    }
  }
  if (node.type === 5 && /['"`]/.test(node.content.content ?? '')) inScript(file, `(${node.content.content})`, line);
  for (const child of node.children ?? []) if (typeof child === 'object') inTemplate(file, child);
}

for (const root of ROOTS)
  for (const name of readdirSync(root, { recursive: true, encoding: 'utf8' }).sort()) {
    const file = `${root}/${name}`;
    if (/(\.test|\.bench|\.law)\.ts$|\.d\.ts$/.test(name) || !/\.(vue|ts)$/.test(name)) continue;
    const code = readFileSync(file, 'utf8');
    if (name.endsWith('.ts')) {
      inScript(file, code);
      continue;
    }
    const { descriptor } = parse(code, { filename: file });
    const script = descriptor.scriptSetup ?? descriptor.script;
    if (script) inScript(file, script.content, script.loc.start.line);
    if (descriptor.template?.ast) inTemplate(file, descriptor.template.ast);
  }

const wanted = process.argv.slice(2).map((word) => word.toLowerCase());
const seen = new Set();
for (const { file, line, text } of found) {
  const key = `${file} ${text}`;
  if (seen.has(key) || !wanted.every((word) => text.toLowerCase().includes(word))) continue;
  seen.add(key);
  console.log(`${file}:${line}  ${text}`);
}
