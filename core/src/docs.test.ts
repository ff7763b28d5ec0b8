import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { expect, test } from 'vitest';

/* Doc comments speak of what is there. */

const HERE = import.meta.dirname;
const files = readdirSync(HERE, { recursive: true, encoding: 'utf8' }).filter(
  (file) => file.endsWith('.ts') && !file.endsWith('.test.ts'),
);

/** The names that a parameter brings: its own, or those that it is taken apart into. */
const namesOf = (name: ts.BindingName): readonly string[] =>
  ts.isIdentifier(name)
    ? [name.text]
    : name.elements.flatMap((one) => (ts.isBindingElement(one) ? namesOf(one.name) : []));

const sources = files.map((file) =>
  ts.createSourceFile(file, readFileSync(join(HERE, file), 'utf8'), ts.ScriptTarget.Latest, true),
);

test('every @param of core is a parameter', () => {
  const wrong: string[] = [];
  for (const source of sources) {
    const file = source.fileName;
    const visit = (node: ts.Node): void => {
      const called = ts.isFunctionLike(node)
        ? node
        : ts.isVariableStatement(node)
          ? node.declarationList.declarations
              .map(({ initializer }) => initializer)
              .find((one) => one && ts.isFunctionLike(one))
          : undefined;
      if (called && ts.isFunctionLike(called)) {
        const known = called.parameters.flatMap(({ name }) => namesOf(name));
        const docs = ts.getJSDocTags(
          ts.isVariableStatement(node) ? (node.declarationList.declarations[0] as ts.Node) : node,
        );
        for (const tag of docs) {
          // `@param a, b` speaks of both.
          if (!ts.isJSDocParameterTag(tag)) continue;
          const said =
            tag
              .getText(source)
              .replace(/^@param\s+/, '')
              .split(/\s+(?=[^,])/)[0] ?? '';
          for (const one of said
            .split(',')
            .map((word) => word.trim())
            .filter(Boolean))
            if (!known.includes(one.split('.')[0] ?? one))
              wrong.push(`${file}: @param ${one}, not of (${known.join(', ')})`);
        }
      }
      ts.forEachChild(node, visit);
    };
    visit(source);
  }
  expect([...new Set(wrong)]).toEqual([]);
});

/** Words by which a doc comment tells what a refusal is. */
const SAYS_HOW = /@returns|refus|sentence|or why|what cannot|where it cannot/i;

test('whatever core hands out that may refuse says how it does', () => {
  const silent = sources.flatMap((source) =>
    source.statements.flatMap((statement) => {
      const exported =
        ts.canHaveModifiers(statement) &&
        ts.getModifiers(statement)?.some(({ kind }) => kind === ts.SyntaxKind.ExportKeyword);
      if (!exported) return [];
      const called = ts.isFunctionDeclaration(statement)
        ? [{ name: statement.name?.text ?? '', of: statement }]
        : ts.isVariableStatement(statement)
          ? statement.declarationList.declarations.flatMap(({ name, initializer }) =>
              initializer && ts.isArrowFunction(initializer) ? [{ name: name.getText(), of: initializer }] : [],
            )
          : [];
      const doc = ts
        .getJSDocCommentsAndTags(statement)
        .map((one) => one.getText())
        .join(' ');
      return called
        .filter(({ of }) => /\bResult</.test(of.type?.getText() ?? '') && !SAYS_HOW.test(doc))
        .map(({ name }) => `${source.fileName}: ${name}`);
    }),
  );
  expect(silent).toEqual([]);
});
