import { readdirSync, readFileSync } from 'node:fs';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

/** Phrases that we no longer show; docs/words.md says what to write instead. */
const RETIRED = [
  /what to mind|\bto mind\b/i,
  /how to set up|what is measured/i,
  /\bOver time\b/,
  /what it asks, and what is left/i,
  /nothing gives|what gives/i,
  /to spare\b/i,
  /runs out first/i,
  /spoiled by/i,
  /\banew\b/i,
  /\btake (it|the file|them|this) in\b|hand (it )?out\b/i,
  /\black(s|ing)?\b/i,
  /across the room/i,
  /\bstature\b|trochanter height/i,
  /sets an end to/i,
  /\bas it falls\b/i,
  /fetch first/i,
  /\bnoted, on\b/i,
  /weight point/i,
  /\b1 (readings|measures|poses)\b/i,
  /\bforetold\b|\btold (before|by)\b/i,
  /is no (side|picture|target|tape)\b/i,
];

/** A page's markup, with its title: all but its code and comments. */
const listMarkup = (path: string): string =>
  readFileSync(path, 'utf8').replace(
    /^---[\s\S]*?\n---|<script[\s\S]*?<\/script>|\{\/\*[\s\S]*?\*\/\}/g,
    '',
  );

/** Text between tags and in strings that may be shown: no imports, types, errors of our own, or ids. */
function listShown(path: string): readonly string[] {
  if (path.endsWith('.astro')) return [listMarkup(path)];
  const source = ts.createSourceFile(
    path,
    readFileSync(path, 'utf8'),
    ts.ScriptTarget.Latest,
    true,
    path.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS,
  );
  const shown: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node) || ts.isThrowStatement(node) || ts.isTypeNode(node)) return;
    if (ts.isStringLiteralLike(node) || ts.isJsxText(node) || ts.isTemplateExpression(node)) {
      const text = node.getText(source).replace(/\$\{[^}]*\}/g, ' ');
      if (/[a-z’] [a-z]/i.test(text)) shown.push(text);
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return shown;
}

const FILES = ['src/core', 'src/islands', 'src/server', 'src/pages', 'src/layouts'].flatMap(
  (folder) =>
    readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((file) => /\.(tsx?|astro)$/.test(file))
      .map((file) => `${folder}/${file}`),
);

describe('the words that are shown', () => {
  it('are read from every file that has any', () => {
    expect(FILES.length).toBeGreaterThan(400);
    expect(FILES.flatMap(listShown).length).toBeGreaterThan(2000);
  });

  it.each(RETIRED.map((phrase) => [phrase] as const))('never say %s', (phrase) => {
    const said = FILES.flatMap((path) =>
      listShown(path)
        .filter((text) => phrase.test(text))
        .map((text) => `${path}: ${text}`),
    );
    expect(said).toEqual([]);
  });
});
