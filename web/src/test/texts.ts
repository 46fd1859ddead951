import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** A text that people read, where it is written, and with … for what is filled in. */
export interface ScreenText {
  file: string;
  text: string;
}

const NOT_READ = new Set(['className', 'd', 'viewBox', 'href', 'id', 'key', 'type', 'style', 'transform']);

/** All texts of the screens, in order of their files. */
export function screenTexts(folder: string): ScreenText[] {
  return readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.|\.d\.ts$|^test\//.test(file))
    .sort()
    .flatMap((file) => textsOf(file, readFileSync(join(folder, file), 'utf8')));
}

function textsOf(file: string, source: string): ScreenText[] {
  const found: ScreenText[] = [];
  const add = (text: string) => found.push({ file, text: text.replace(/\s+/g, ' ').trim() });
  const visit = (node: ts.Node): void => {
    if (
      ts.isImportDeclaration(node) ||
      ts.isTypeNode(node) ||
      (ts.isJsxAttribute(node) && NOT_READ.has(node.name.getText()))
    ) {
      return;
    }
    if (ts.isJsxText(node) && /\p{L}/u.test(node.text)) {
      add(node.text);
    } else if (ts.isTemplateExpression(node)) {
      add([node.head.text, ...node.templateSpans.map((span) => `…${span.literal.text}`)].join(''));
    } else if (ts.isStringLiteralLike(node) && isRead(node)) {
      add(node.text);
    }
    ts.forEachChild(node, visit);
  };
  visit(ts.createSourceFile(file, source, ts.ScriptTarget.Latest, true, ts.ScriptKind.TSX));
  return found.filter(({ text }) => !isStyle(text));
}

function isRead(node: ts.StringLiteralLike): boolean {
  return ts.isJsxAttribute(node.parent) || /\p{L} \p{L}|^\p{Lu}\p{Ll}/u.test(node.text);
}

/** Class names and paths are not read by people. */
function isStyle(text: string): boolean {
  return (
    /(^|\s)(-?m[xytblr]?|p[xytblr]?|text|bg|flex|grid|border|min-\[|w|h|rounded|font|items)-|^\/|^…\/|^[a-z-]+$/.test(
      text,
    ) || text === ''
  );
}
