import { describe, expect, test } from 'vitest';
import { factsOf } from '../../../../testing/src/project';
import { listOrder } from './lists';
import { parseScript } from './parse';
import { patternNames } from './syntax';

describe('imports and exports', () => {
  const cases: readonly [name: string, text: string, expected: string][] = [
    ['default', "import A from './a';", 'in A=default ./a'],
    ['named', "import { a, b as c } from './a';", 'in a=a ./a, in c=b ./a'],
    ['namespace', "import * as A from './a';", 'in A=* ./a'],
    ['type', "import type { A } from './a';", 'in A=A ./a type'],
    ['inline type', "import { type A } from './a';", 'in A=A ./a type'],
    ['require', "const A = require('./a'); const { b: c } = require('./b');", 'in A=default ./a, in c=b ./b'],
    [
      'exported declarations',
      'export const a = 1, { b } = x; export function c() {} export class D {}',
      'out a=a, out b=b, out c=c, out D=D',
    ],
    ['exported list', 'export { a, b as default };', 'out a=a, out default=b'],
    [
      're-exports',
      "export { a, default as b } from './a'; export * from './c'; export * as d from './d';",
      'out a=a ./a, out b=default ./a, out *=* ./c, out d=* ./d',
    ],
    ['default expression', 'export default memo(A);', 'out default=default'],
    ['default name', 'export default A;', 'out default=A'],
    ['default function', 'export default function A() {}', 'out default=A'],
    ['module.exports', 'module.exports = A; exports.b = B;', 'out default=A, out b=B'],
    ['module.exports of several', 'module.exports = { A, b: C };', 'out A=A, out b=C'],
  ];
  test.each(cases)('%s', (_, text, expected) => {
    const facts = factsOf(text, 'a.ts');
    const imports = facts.imports.map((one) => `in ${one.local}=${one.imported} ${one.from}${one.typeOnly ? ' type' : ''}`);
    const exports = facts.exports.map((one) => `out ${one.exported}=${one.local}${one.from ? ` ${one.from}` : ''}`);
    expect([...imports, ...exports].join(', ')).toBe(expected);
  });
});

describe('patterns', () => {
  const cases: readonly [text: string, expected: string][] = [
    ['a', 'a'],
    ['{ a, b: c }', 'a<a c<b'],
    ['{ a: { b }, ...rest }', 'b<a.b rest…'],
    ['[a, , b]', 'a<0 b<2'],
    ['{ a = 1 }', 'a<a='],
    ['{ [x]: a }', 'a<*'],
  ];
  test.each(cases)('%s', (text, expected) => {
    const { program } = parseScript('a.ts', `const ${text} = x;`);
    const [statement] = program.body;
    const pattern = statement?.type === 'VariableDeclaration' ? statement.declarations[0]?.id : undefined;
    const names = pattern ? patternNames(pattern) : [];
    expect(
      names
        .map((one) => one.name + (one.path.length > 0 ? `<${one.path.join('.')}` : '') + (one.rest ? '…' : '') + (one.fallback ? '=' : ''))
        .join(' '),
    ).toBe(expected);
  });
});

describe('how a list is set', () => {
  const cases: readonly [text: string, expected: string | undefined][] = [
    ['[...a, b]', 'append'],
    ['[b, ...a]', 'reorder'],
    ['a.concat(b)', 'append'],
    ['a.filter(f)', 'reorder'],
    ['a.filter(f).map(g)', 'reorder'],
    ['[...a].sort(f)', 'reorder'],
    ['a.map(f)', undefined],
    ['(x) => [...x, b]', 'append'],
    ['(x) => { return x.filter(f); }', 'reorder'],
    ['c ? a.filter(f) : a', 'reorder'],
    ['b', undefined],
  ];
  test.each(cases)('%s', (text, expected) => {
    const { program } = parseScript('a.ts', `(${text});`);
    const [statement] = program.body;
    expect(listOrder(statement?.type === 'ExpressionStatement' ? statement.expression : undefined)).toBe(expected);
  });
});

describe('which syntax a file is in', () => {
  const cases: readonly [file: string, text: string, clean: boolean][] = [
    ['a.ts', 'const a = <T>(x: T) => x; const b = <string>c;', true],
    ['a.tsx', 'const a = <T,>(x: T) => <p>{x}</p>;', true],
    ['a.js', 'const a = <p/>;', true],
    ['a.js', '// @flow\nconst a = (x: string): number => 1;', true],
    ['a.js', 'const a: string = 1;', false],
    ['a.d.ts', 'export declare const a: string; declare module "x" { export interface P { a: string } }', true],
    ['a.ts', '@sealed class A { @prop() b; }', true],
    ['a.mjs', 'await x; export {};', true],
  ];
  test.each(cases)('%s %s', (file, text, clean) => {
    expect(parseScript(file, text).problems.length === 0).toBe(clean);
  });
});

test('a problem says where, without the parser’s own line numbers', () => {
  const [problem] = factsOf('const a = ;', 'a.ts').problems;
  expect(problem).toMatchObject({ message: 'Unexpected token', start: 10, end: 11 });
});
