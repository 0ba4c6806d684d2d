import { beforeAll, describe, expect, test } from 'vitest';
import { parts } from '../../../../../testing/src/parts';
import { analyseFiles, type Files, pageNamed } from '../../../../../testing/src/project';
import { type Derivation, derivationOf, derivationText, makeFlowQueries } from '../..';
import { loadCompilers } from '../../../frameworks/registry';
import { unfold } from '../../../tree';
import { bodyOf, subjectId } from '../subject';
import { columnsFor, inOrder } from './order';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte', 'app.component.html']));

function derives(files: Files, name: string, page = 'App'): Derivation {
  const { model } = analyseFiles(files);
  const { graph } = makeFlowQueries(model, unfold(model, pageNamed(model, page)));
  const frame = graph.frames.find((one) => one.name === name);
  if (!frame) throw new Error(`There is no ${name} on the page.`);
  return derivationOf(graph, frame, new Map(Object.entries(files)));
}

/** Each row as its group, its name, what it does, and the names of what it leads to. */
function lines({ rows, strands }: Derivation): string[] {
  return rows.map(({ group, name, does }, index) => {
    const to = strands.find((one) => one.row === index)?.to.map((one) => `${rows[one.row]?.name ?? ''} ${one.how}`) ?? [];
    return [`${group}: ${name}`, does, to.join(', ')].join(' | ');
  });
}

const react = (body: string, head = ''): Files => ({
  'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  'src/App.tsx': `import { useEffect, useMemo, useState } from 'react';\nimport { Part } from './Part';\n${head}\nexport function App() {\n${body}\n}`,
  'src/Part.tsx':
    'export function Part({ rows, onPick, children }) { return <p onClick={() => onPick(rows[0])}>{rows.length}{children}</p>; }',
});

describe('what derives from what', () => {
  test('from state over what is kept to what is shown and given', () => {
    const found = derives(
      react(
        "const [term, setTerm] = useState('');\nconst [rows, setRows] = useState([]);\nconst late = useMemo(() => rows.filter((row) => row.late), [rows]);\nconst first = late.find((row) => row.first);\nreturn <main><input value={term} onChange={(event) => setTerm(event.target.value)}/>{first && <b>{first.boat}</b>}<Part rows={late} onPick={(row) => setRows([row])}/></main>;",
      ),
      'App',
    );
    expect(lines(found)).toEqual([
      'in: change on <input> | sets term | term changes',
      'in: term | set by onChange | <input> same',
      'in: onPick of Part | sets rows | rows changes',
      'in: rows | set by onPick | late computed',
      'derived: late | passes some | first computed, Part same',
      'derived: first | takes a part | where first computed, first part',
      'shown: <input> | painted | ',
      'shown: where first | decides what shows | ',
      'shown: first | painted as text | ',
      'shown: Part | given on | ',
    ]);
    expect(found.rows.find((row) => row.name === 'late')?.says).toBe('Kept until rows is another.');
    expect(found.rows.find((row) => row.name === 'term')?.setBy.map((one) => one.name)).toEqual(['onChange']);
  });

  test('an effect that sets a state stands before it, and what goes round is drawn back', () => {
    const found = derives(
      react(
        'const [rows, setRows] = useState([]);\nconst [count, setCount] = useState(0);\nuseEffect(() => { setCount(rows.length); }, [rows]);\nuseEffect(() => { setRows([count]); }, [count]);\nreturn <main>{count}</main>;',
      ),
      'App',
    );
    expect(lines(found).filter((line) => !line.startsWith('shown'))).toEqual([
      'in: rows | set by useEffect | useEffect same, count changes',
      'derived: useEffect | sets count | count changes',
      'derived: count | set by useEffect | rows changes, useEffect same, count same',
      'derived: useEffect | sets rows | rows changes',
    ]);
    expect(found.rows.every((row) => row.setBy.length === 0)).toBe(true);
  });

  test('a part knows who gives what, and who hears it', () => {
    const found = derives(react('const [rows] = useState([1]);\nreturn <Part rows={rows} onPick={() => 1}>more</Part>;'), 'Part');
    expect(lines(found)).toEqual([
      'in: rows | given by App | onPick part, rows part',
      'in: children | content of App | content same',
      'in: click on <p> | raises onPick | onPick raises',
      'out: onPick | heard by App | ',
      'shown: rows | painted as text | ',
      'shown: content | shown | ',
    ]);
  });

  test('a hook, and the row by which it is opened', () => {
    const files = react("const late = useLate('a');\nreturn <main>{late}</main>;", "import { useLate } from './late';");
    const all = { ...files, 'src/late.ts': 'export function useLate(key) { const name = key.trim(); return name; }' };
    const { rows } = derives(all, 'App');
    const opens = rows.find((row) => row.name === 'late')?.opens ?? '';
    expect(opens).toBe('src/App.tsx#App~useLate~key');
    expect(lines(derives(all, 'useLate'))).toEqual([
      'in: key | given by who calls it | name computed',
      'derived: name | takes a part | gives back same',
      'out: gives back | to who calls it | ',
    ]);
  });

  test('nothing is declared, and what is only on the way is no row', () => {
    expect(derives(react('const later = (row) => row.boat;\nreturn <main><b/></main>;'), 'App').rows).toEqual([]);
  });

  test.each<[string, Files, string[]]>([
    [
      'vue',
      {
        'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
        'src/App.vue':
          '<script setup>import { computed, ref } from \'vue\'; const rows = ref([]); const late = computed(() => rows.value.filter((row) => row.late)); const clear = () => { rows.value = []; };</script><template><main><b v-for="row of late" :key="row.id">{{ row.boat }}</b><button @click="clear">c</button></main></template>',
      },
      [
        'in: clear | click on <button> | rows changes',
        'in: rows | set by clear | late computed',
        'derived: late | passes some | each of late item',
        'shown: each of late | one at a time, as row | row part',
        'shown: row | painted as text | ',
      ],
    ],
    [
      'svelte',
      {
        'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });",
        'src/App.svelte':
          '<script>let term = $state(""); const named = $derived(term.trim());</script><input bind:value={term}/>{#if named}<b>{named}</b>{/if}',
      },
      [
        'in: input on <input> | sets term | term changes',
        'in: term | set by input | named computed, <input> same',
        'derived: named | takes a part | where named computed, named same',
        'shown: <input> | painted | ',
        'shown: where named | decides what shows | ',
        'shown: named | painted as text | ',
      ],
    ],
    [
      'angular',
      parts({
        App: { template: '<lock-row [lock]="1" (gone)="a()"/>', js: 'a() {}', uses: ['LockRow'] },
        LockRow: {
          template: '@if (isHigh()) { <b>{{ level() }}</b> }<button (click)="gone.emit(level())">x</button>',
          js: 'readonly lock = input(0);\nreadonly level = computed(() => this.lock() + 1);\nreadonly isHigh = computed(() => this.level() > 2);\nreadonly gone = output<number>();',
        },
      }),
      [
        'in: click on <button> | raises gone | gone raises',
        'in: lock | a constant of App | level computed',
        'derived: level | computes | isHigh computed, gone same, level same',
        'derived: isHigh | computes | where isHigh() computed',
        'out: gone | heard by App | ',
        'shown: where isHigh() | decides what shows | ',
        'shown: level | painted as text | ',
      ],
    ],
  ])('%s', (framework, files, expected) => {
    expect(lines(derives(files, framework === 'angular' ? 'LockRow' : 'App'))).toEqual(expected);
  });

  test('as text', () => {
    const text = derivationText(
      derives(react('const [rows] = useState([1]);\nconst first = rows.find((one) => one > 0);\nreturn <main>{first}</main>;'), 'App'),
    );
    expect(text).toBe(
      'App (src/App.tsx): what derives from what\n\nComes in\n  rows = useState([1])\n      never set here\n\nIs derived\n  first = rows.find((one) => one > 0)\n      takes a part; of rows\n\nIs shown\n  first = first\n      painted as text; of first\n',
    );
  });
});

test('an id names a value’s body, a listener’s, a component as a whole, a module, or none', () => {
  const { model } = analyseFiles({
    ...react('const [rows] = useState([1]);\nreturn <main onClick={() => 1}>{rows}</main>;'),
    'src/kept.ts': 'export let kept = 1; export function set() { kept = 2; }',
  });
  const { graph } = makeFlowQueries(model, unfold(model, pageNamed(model, 'App')));
  const named = (id: string): string | undefined => bodyOf(graph, id)?.name;
  expect(
    ['src/App.tsx#App~rows', 'src/App.tsx#App~!click.main', 'src/App.tsx#App', 'src/kept.ts#', 'src/App.tsx#Gone', 'x'].map(named),
  ).toEqual(['App', 'App', 'App', 'src/kept.ts', undefined, undefined]);
  expect(subjectId(graph, { frame: 0, value: 0, track: [] })).toBe('src/App.tsx#App~rows');
});

describe('the order of rows', () => {
  const links = (all: Record<string, Record<string, 'same' | 'changes'>>) =>
    new Map(Object.entries(all).map(([from, to]) => [from, new Map(Object.entries(to))]));
  test.each<[string, string[], Record<string, Record<string, 'same' | 'changes'>>, string]>([
    ['by dependence, then by place', ['c', 'b', 'a'], { b: { a: 'same' } }, 'bac'],
    ['in a circle, by place', ['a', 'b'], { a: { b: 'same' }, b: { a: 'same' } }, 'ab'],
    ['a change that closes a circle counts for nothing', ['a', 'b'], { b: { a: 'changes' }, a: { b: 'same' } }, 'ab'],
    ['a change that closes none counts', ['a', 'b'], { b: { a: 'changes' } }, 'ba'],
    ['nothing', [], {}, ''],
  ])('%s', (_, keys, all, expected) => {
    expect(inOrder(keys, links(all), (key) => key.charCodeAt(0)).join('')).toBe(expected);
  });

  test('columns are used again below where they end', () => {
    expect(
      columnsFor([
        { from: 0, to: 3 },
        { from: 1, to: 2 },
        { from: 3, to: 4 },
        { from: 4, to: 5 },
      ]),
    ).toEqual([0, 1, 1, 0]);
    expect(columnsFor([])).toEqual([]);
  });
});
