import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import ts from "typescript";

/**
 * Prints every sentence of the interface with its place, read from the code by its syntax tree, so that all of it can be
 * read aloud: npm run -s words
 */
interface Said {
  readonly line: number;
  readonly text: string;
}

/** Attributes whose text no one reads. */
const UNREAD =
  /^(className|d|key|id|name|type|role|rel|href|to|action|method|xmlns|viewBox|style|transform|form|value|path|as|kind|tone|inputMode|autoComplete|strokeDasharray|textAnchor|aria-live)$/;
/** Something that a person reads: two words, or one that begins like a sentence. */
const IS_WORDS = /[A-Za-z’']{2,}[^A-Za-z]+[A-Za-z]|^[A-Z][a-z]+/;
/** Addresses, headers, formats, style classes, keys and SQL are not for people. */
const IS_CODE =
  /^[/#.]|:\w+Id\b|^(SELECT|INSERT|UPDATE|DELETE|INPUT)\b|^[a-z]+(-[a-z0-9{…}]+)+$|^[\w-]+\/[\w-]+|^[A-Z][a-z]*(-[A-Z][a-z]*)+$|^(Location|ArrowLeft|ArrowRight)$|^attachment;|frame-ancestors|@fontsource|linear-gradient|^input\b|(^|\s)(grid|flex|bg-\w+|border|border-\w+|text-soft|px-\d|gap-\d|col-span-\d)(\s|$)/;

function sentencesOf(file: string): Said[] {
  const source = ts.createSourceFile(file, readFileSync(file, "utf8"), ts.ScriptTarget.Latest, true);
  const said: Said[] = [];
  const add = (node: ts.Node, raw: string) => {
    const text = raw.replace(/\s+/g, " ").trim();
    if (!IS_WORDS.test(text) || IS_CODE.test(text)) return;
    said.push({ line: source.getLineAndCharacterOfPosition(node.getStart()).line + 1, text });
  };
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isTypeNode(node)) return;
    if (ts.isJsxAttribute(node) && UNREAD.test(node.name.getText())) return;
    if (ts.isThrowStatement(node) && /RangeError|new Error/.test(node.getText())) return;
    if (
      ts.isJsxElement(node) &&
      node.children.some((child) => ts.isJsxText(child) && child.text.trim() !== "")
    ) {
      add(node, node.children.map(wordsOf).join(""));
      for (const child of node.children) if (!ts.isJsxText(child)) visit(child);
      visit(node.openingElement);
      return;
    }
    if (ts.isJsxText(node)) add(node, node.text);
    else if (ts.isStringLiteral(node) || ts.isNoSubstitutionTemplateLiteral(node)) add(node, node.text);
    else if (ts.isTemplateExpression(node)) {
      const parts = node.templateSpans.map(({ literal }) => `{…}${literal.text}`);
      add(node, node.head.text + parts.join(""));
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return said;
}

/** A child as it reads in its sentence: inline words stay, what is calculated shows as a gap. */
function wordsOf(child: ts.JsxChild): string {
  if (ts.isJsxText(child)) return child.text;
  if (ts.isJsxElement(child) && /^(b|i|em|strong|span|a|Link)$/.test(child.openingElement.tagName.getText()))
    return child.children.map(wordsOf).join("");
  if (ts.isJsxExpression(child) && child.expression && ts.isStringLiteral(child.expression))
    return child.expression.text;
  return ts.isJsxExpression(child) && child.expression ? "{…}" : " ";
}

const files = ["app", "core"].flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: "utf8" })
    .filter((name) => /\.tsx?$/.test(name) && !/(\.test\.|-of-tests|\+types|fixtures)/.test(name))
    .map((name) => join(folder, name))
    .toSorted(),
);
let count = 0;
for (const file of files) {
  const said = sentencesOf(file);
  if (said.length === 0) continue;
  console.log(`\n${file}`);
  for (const { line, text } of said) console.log(`${String(line).padStart(5)}  ${text}`);
  count += said.length;
}
console.log(`\n${count} sentences`);
