import { beforeAll, describe, expect, test } from 'vitest';
import { analyseFiles, pageNamed, rows, treeOf } from '../../../testing/src/project';
import { tracedIn } from '../../../testing/src/trace';
import { loadCompilers, readerOf } from './registry';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** A page in one framework with parts in two others. */
const files = {
  'src/main.tsx': "import { createRoot } from 'react-dom/client'; import { App } from './App'; createRoot(document.body).render(<App/>);",
  'src/App.tsx':
    "import { useState } from 'react';\nimport Panel from './Panel.vue';\nimport Gauge from './Gauge.svelte';\nexport function App() { const [level, setLevel] = useState(1); return <main><Panel title={level} onPick={setLevel}/><Gauge value={level} zigzag={1}/></main>; }",
  'src/Panel.vue':
    "<script setup>defineProps(['title']); const emit = defineEmits(['pick']);</script><template><b @click=\"emit('pick', 2)\">{{ title }}</b></template>",
  'src/Gauge.svelte': '<script>let { value } = $props();</script><i>{value}</i>',
};

describe('components of one framework in another', () => {
  test('a script belongs to the framework whose packages it imports', () => {
    const cases: readonly [text: string, reader: string][] = [
      ["import { useState } from 'react'; import Panel from './Panel.vue';", 'react'],
      ["import Panel from './Panel.vue'; import { createApp } from 'vue';", 'vue'],
      ["import Panel from './Panel.vue';", 'vue'],
      ["import { mount } from 'svelte'; import { Old } from './Old.vue';", 'svelte'],
      ['export const a = 1;', 'react'],
    ];
    for (const [text, reader] of cases) expect([text, readerOf('src/a.tsx', () => text)?.id]).toEqual([text, reader]);
  });

  test('they stand in one tree', () => {
    const { model } = analyseFiles(files);
    expect(rows(model, treeOf(model, 'App'))).toBe('App\n  Panel\n  Gauge');
    expect(pageNamed(model, 'App').why).toBe('mounted');
  });

  test('a value goes from one to the other as one strand', () => {
    expect(tracedIn(files, 'App.level', 'goes')).toEqual([
      'App owns level',
      '  Panel renames title',
      '  Panel paints title | painted',
      'Gauge renames value',
      'Gauge paints value | painted',
    ]);
  });

  test('what one does not take is told, whatever gives it; what may be heard by another name is not', () => {
    const { findings } = analyseFiles(files);
    expect(findings.map(({ rule, subject }) => `${rule} ${subject}`)).toEqual(['prop-unknown zigzag']);
  });
});
