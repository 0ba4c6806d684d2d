import { execFileSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { analyseFiles, type Files } from '../../../testing/src/project';
import { applyEdits, patchOf } from '.';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const folder = mkdtempSync(path.join(tmpdir(), 'patch-'));
afterAll(() => rmSync(folder, { recursive: true }));

test.each([
  ['one', [{ start: 0, end: 3, was: 'one', text: '1' }], '1 two one'],
  [
    'two, whatever their order',
    [
      { start: 8, end: 11, was: 'one', text: '1' },
      { start: 0, end: 3, was: 'one', text: '1' },
    ],
    '1 two 1',
  ],
  ['not what is there', [{ start: 0, end: 3, was: 'two', text: '2' }], 'one two one'],
  [
    'one over the other',
    [
      { start: 4, end: 11, was: 'two one', text: '3' },
      { start: 0, end: 7, was: 'one two', text: '3' },
    ],
    'one 3',
  ],
  ['none', [], 'one two one'],
])('edits: %s', (_, edits, expected) => {
  expect(
    applyEdits(
      'one two one',
      edits.map((edit) => ({ file: 'a', ...edit })),
    ),
  ).toBe(expected);
});

const react = { 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);" };
const vue = { 'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');" };
const svelte = { 'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });" };

const projects: readonly (readonly [name: string, files: Files, rules: readonly string[]])[] = [
  [
    'a misspelt prop',
    {
      ...react,
      'src/App.tsx':
        'function Row({ label }: { label: string }) {\n  return <p>{label}</p>;\n}\n\nexport function App() {\n  return <Row lable="a" />;\n}\n',
    },
    ['prop-spelt'],
  ],
  [
    'two in one file, without a last line end',
    {
      ...react,
      'src/App.tsx':
        'function Row({ label }: { label: string }) {\n  return <p>{label}</p>;\n}\nexport function App() {\n  return <><Row lable="a" /><Row labell="b" /></>;\n}',
    },
    ['prop-spelt', 'prop-spelt'],
  ],
  [
    'with a carriage return at each line',
    {
      ...react,
      'src/App.tsx':
        'function Row({ label }: { label: string }) {\r\n  return <p>{label}</p>;\r\n}\r\nexport function App() {\r\n  return <Row lable="a" />;\r\n}\r\n',
    },
    ['prop-spelt'],
  ],
  [
    'names in Vue',
    {
      ...vue,
      'src/App.vue':
        '<script setup>\nimport Row from "./Row.vue";\nconst clearAll = () => 1;\nconst isOpen = 1;\n</script>\n\n<template>\n  <Row :max-levl="isOpne" @click="clearAl" />\n  <p>{{ isOpen }}{{ clearAll }}</p>\n</template>\n',
      'src/Row.vue':
        '<script setup>\ndefineProps({ maxLevel: { type: Number, required: true } });\n</script>\n\n<template>\n  <p>{{ maxLevel }}</p><i />\n</template>\n',
    },
    ['prop-spelt', 'name-unknown', 'handler-missing'],
  ],
  [
    'names in Svelte',
    {
      ...svelte,
      'src/App.svelte':
        '<script>\n  import Row from "./Row.svelte";\n  const clearAll = () => 1;\n</script>\n\n<Row lable="a" />\n<button onclick={clearAl}>{clearAll}</button>\n',
      'src/Row.svelte': '<script>\n  let { label } = $props();\n</script>\n\n<p>{label}</p>\n',
    },
    ['prop-spelt', 'handler-missing'],
  ],
  [
    'keys, props that the owner has, what follows a field, and what ends',
    {
      ...react,
      'src/App.tsx': `import { useEffect, useState } from 'react';

function Row({ eta, boat }: { eta: string; boat: string }) {
  const go = () => location.reload();
  useEffect(() => {
    window.addEventListener('resize', go);
  }, []);
  return <p>{eta}{boat}</p>;
}

export function App({ all }: { all: { id: string }[] }) {
  const [eta, setEta] = useState('');
  return (
    <main onClick={setEta('soon')}>
      <input value={eta} />
      <ul>{all.map((one) => <li>{one.id}</li>)}</ul>
      <Row boat="a" />
    </main>
  );
}
`,
    },
    ['handler-missing', 'list-unkeyed', 'prop-missing', 'subscription-kept', 'two-way-half'],
  ],
  [
    'a fragment that does nothing',
    {
      ...react,
      'src/App.tsx':
        'export function App({ all }: { all: string[] }) {\n  return (\n    <>\n      <main>{all.length > 0 && <><b>{all}</b></>}</main>\n    </>\n  );\n}\n',
    },
    ['wrapper-empty', 'wrapper-empty'],
  ],
  [
    'the same in Vue',
    {
      ...vue,
      'src/App.vue':
        '<script setup>\nimport { ref } from "vue";\nimport Row from "./Row.vue";\nconst eta = ref(1);\nconst all = ref([]);\n</script>\n\n<template>\n  <main>\n    <p v-for="one in all">{{ one.id }}</p>\n    <Row boat="a" />\n    {{ eta }}\n  </main>\n</template>\n',
      'src/Row.vue':
        '<script setup>\ndefineProps({ boat: { type: String, required: true }, eta: { type: Number, required: true } });\n</script>\n\n<template>\n  <p>{{ boat }}{{ eta }}</p>\n</template>\n',
    },
    ['list-unkeyed', 'prop-missing'],
  ],
  [
    'the same in Svelte',
    {
      ...svelte,
      'src/App.svelte':
        '<script lang="ts">\n  import Part from "./Part.svelte";\n  let eta = $state(1);\n  const leave = () => { eta = 2; };\n</script>\n\n<Part />\n<Part bind:eta />\n<p onclick={leave()}>{eta}</p>\n',
      'src/Part.svelte':
        '<script lang="ts">\n  import { onMount } from "svelte";\n  const leave = () => location.reload();\n  onMount(() => {\n    window.addEventListener("resize", leave);\n  });\n  let { eta }: { eta: number } = $props();\n</script>\n\n<p>{eta}</p>\n',
    },
    ['handler-missing', 'prop-missing', 'subscription-kept', 'two-way-half'],
  ],
];

describe.each(projects)('%s', (name, files, rules) => {
  const found = (texts: Files): ReturnType<typeof analyseFiles>['findings'] =>
    analyseFiles(texts).findings.filter((finding) => finding.severity !== 'tidy' || finding.edits !== undefined);

  test('git applies the patch, and reading again finds these gone and nothing new', () => {
    const before = found(files);
    expect(
      before
        .filter((finding) => finding.edits)
        .map((finding) => finding.rule)
        .sort(),
    ).toEqual([...rules].sort());
    const root = path.join(folder, name.replace(/\W+/g, '-'));
    for (const [file, text] of Object.entries(files)) {
      mkdirSync(path.dirname(path.join(root, file)), { recursive: true });
      writeFileSync(path.join(root, file), text);
    }
    execFileSync('git', ['init', '-q'], { cwd: root });
    execFileSync('git', ['apply', '-'], {
      cwd: root,
      input: patchOf(
        before.flatMap((finding) => finding.edits ?? []),
        (file) => files[file],
      ),
    });
    const after = Object.fromEntries(Object.keys(files).map((file) => [file, readFileSync(path.join(root, file), 'utf8')]));
    const left = found(after).map((finding) => finding.key);
    expect(left).toEqual(before.filter((finding) => !finding.edits && left.includes(finding.key)).map((finding) => finding.key));
  });
});
