import { readdirSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { expect, test } from 'vitest';
import { catalogue } from './rules/catalogue';
import { rules } from './rules/registry';

const source = fileURLToPath(new URL('.', import.meta.url));

/** Phases in their order; one may import only those before it, and files of its own. */
const phases = ['model', 'read', 'write', 'frameworks', 'link', 'tree', 'contract', 'flow', 'overlap', 'rules'];
/** Beside the phases: what they may import. */
const beside: Readonly<Record<string, readonly string[]>> = {
  intake: ['model', 'frameworks', 'link'],
  find: ['model', 'tree'],
  carve: ['model', 'write', 'frameworks', 'overlap', 'tree', 'flow', 'rules'],
  compare: ['model', 'frameworks', 'tree', 'contract', 'flow', 'overlap', 'rules'],
  'what-if': ['model', 'frameworks', 'tree', 'contract', 'rules'],
  formats: ['model', 'tree', 'contract', 'flow', 'carve', 'compare', 'what-if', 'rules', 'triage'],
  triage: ['model', 'rules'],
  fixes: ['model', 'read', 'write', 'frameworks', 'overlap', 'rules', 'what-if'],
  figures: ['model', 'tree', 'overlap', 'rules'],
};
const packages = new Set([
  '@babel/parser',
  '@babel/types',
  '@angular/compiler',
  '@vue/compiler-dom',
  // Types from the first; each part of the parser is imported alone.
  'css-select',
  'css-tree',
  'css-tree/generator',
  'css-tree/parser',
  'css-tree/utils',
  'css-tree/walker',
  'svelte/compiler',
  'diff',
  'fastest-levenshtein',
  'globals',
  'htmlparser2',
  'ignore',
  'joi',
  'jsonc-parser',
  'papaparse',
  // Types alone.
  'sarif',
  'parse5',
  'pluralize',
]);

function filesBelow(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const file = path.join(folder, name);
    if (statSync(file).isDirectory()) return filesBelow(file);
    return /\.ts$/.test(name) && !name.endsWith('.test.ts') ? [file] : [];
  });
}

const imports = filesBelow(source).flatMap((file) =>
  [...readFileSync(file, 'utf8').matchAll(/^(import|export)\s[^;]*?from '([^']+)'/gm)].map((match) => ({
    file,
    typeOnly: /^(import|export) type/.test(match[0]),
    to: match[2] ?? '',
  })),
);

function phaseOf(file: string): string {
  return path.relative(source, file).split(path.sep)[0] ?? '';
}

test('phases import only earlier phases', () => {
  const wrong = imports.flatMap(({ file, to }) => {
    if (!to.startsWith('.')) return [];
    const from = phaseOf(file);
    const target = phaseOf(path.resolve(path.dirname(file), to));
    if (from === target || from.endsWith('.ts')) return [];
    const allowed = beside[from] ?? phases.slice(0, phases.indexOf(from));
    return allowed.includes(target) ? [] : [`${path.relative(source, file)} imports ${to}`];
  });
  expect(wrong).toEqual([]);
});

test('the core imports no package but the parsers and the few it names', () => {
  const wrong = imports
    .filter(({ to }) => !to.startsWith('.') && !packages.has(to))
    .map(({ file, to }) => `${path.relative(source, file)} imports ${to}`);
  expect(wrong).toEqual([]);
});

/** What a framework is called, and how it spells things; both are known in its own folder and in the texts of the catalogues. */
const named = /['"`](?:react|vue|svelte|angular|lwc|astro)['"`]/;
const spelt =
  /\b(?:defineProps|defineEmits|createContext|useContext|useState|useEffect|createEventDispatcher)\b|\$props\b|['"`](?:on|bind):|\bv-(?:if|for|model)\b|\{#(?:if|each)\b|\$(?:lib|app)\b|\bglobalProperties\b|\\\+\(?page|\b(?:beforeUnmount|onMounted?)\b/;
const isOfFrameworks = (file: string): boolean => /^frameworks\/|^rules\/\w+\/catalogue\.ts$|^model\/framework\.ts$/.test(file);
/** Recipes of changes are still told apart by how markup is written, and spell what they write. */
const writesChanges = (file: string): boolean => file.startsWith('fixes/');

test.each([
  ['frameworks by name', named, isOfFrameworks],
  ['how they spell things', spelt, (file: string) => isOfFrameworks(file) || writesChanges(file)],
])('nothing outside the adapters knows %s', (_, pattern, mayKnow) => {
  const wrong = filesBelow(source).flatMap((file) => {
    const own = path.relative(source, file);
    if (mayKnow(own)) return [];
    const lines = readFileSync(file, 'utf8').split('\n');
    return lines.flatMap((line, at) => (!/^\s*(?:\/\/|\/?\*)/.test(line) && pattern.test(line) ? [`${own}:${at + 1} ${line.trim()}`] : []));
  });
  expect(wrong).toEqual([]);
});

test('there are no import cycles', () => {
  const resolve = (from: string, to: string): string | undefined => {
    const target = path.resolve(path.dirname(from), to);
    return [`${target}.ts`, path.join(target, 'index.ts')].find((file) => statSync(file, { throwIfNoEntry: false })?.isFile());
  };
  const graph = new Map<string, string[]>();
  for (const { file, to, typeOnly } of imports) {
    const target = to.startsWith('.') && !typeOnly ? resolve(file, to) : undefined;
    if (target) graph.set(file, [...(graph.get(file) ?? []), target]);
  }
  const cycles: string[] = [];
  const visit = (file: string, trail: readonly string[]): void => {
    if (trail.includes(file)) cycles.push([...trail.slice(trail.indexOf(file)), file].map((one) => path.relative(source, one)).join(' → '));
    else if (!done.has(file)) {
      for (const next of graph.get(file) ?? []) visit(next, [...trail, file]);
      done.add(file);
    }
  };
  const done = new Set<string>();
  for (const file of graph.keys()) visit(file, []);
  expect(cycles).toEqual([]);
});

test('every rule is in the catalogue and every entry has its rule', () => {
  expect(Object.keys(rules).sort()).toEqual(Object.keys(catalogue).sort());
});
