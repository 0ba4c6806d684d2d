import { beforeAll, describe, expect, test } from 'vitest';
import { analyseFiles, type Files, pageNamed } from '../../../../testing/src/project';
import { listenerAt, listenerId, listenerOf, listenersOf, makeFlowQueries, rungText, type FlowQueries, whatHappens } from '..';
import { loadCompilers } from '../../frameworks/registry';
import { unfold } from '../../tree';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** A page with a button that raises an event of its part, by which the page sets what it shows; and one that does nothing. */
const projects: Readonly<Record<string, Files>> = {
  react: {
    'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    'src/App.tsx':
      "import { useState } from 'react';\nimport { Part } from './Part';\nexport function App() { const [at, setAt] = useState('a'); return <main>{at}<Part onPick={(one) => setAt(one)}/></main>; }",
    'src/Part.tsx':
      "export function Part({ onPick }) { const pick = () => onPick('b'); return <p><button onClick={pick}>b</button><button onClick={() => 1}>c</button></p>; }",
  },
  vue: {
    'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
    'src/App.vue':
      "<script setup>import { ref } from 'vue'; import Part from './Part.vue'; const at = ref('a'); const set = (one) => { at.value = one; };</script><template><main>{{ at }}<Part @pick=\"set\"/></main></template>",
    'src/Part.vue':
      "<script setup>const emit = defineEmits(['pick']); const pick = () => emit('pick', 'b');</script><template><p><button @click=\"pick\">b</button><button @click=\"() => 1\">c</button></p></template>",
  },
  svelte: {
    'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });",
    'src/App.svelte':
      "<script>import Part from './Part.svelte'; let at = $state('a');</script><main>{at}<Part onpick={(one) => (at = one)}/></main>",
    'src/Part.svelte':
      "<script>let { onpick } = $props(); const pick = () => onpick('b');</script><p><button onclick={pick}>b</button><button onclick={() => 1}>c</button></p>",
  },
};

function waysIn(framework: string): FlowQueries {
  const { model } = analyseFiles(projects[framework] ?? {});
  return makeFlowQueries(model, unfold(model, pageNamed(model, 'App')));
}

function happens(ways: FlowQueries, nth: number): string[] {
  const part = ways.graph.frames.find((frame) => frame.name === 'Part' && frame.place >= 0);
  const listener = part && listenersOf(part)[nth];
  if (!listener) throw new Error('Part has no such listener.');
  return whatHappens(ways, listener).rungs.map((rung) => `${rung.who}: ${rungText(rung, 'happens')}`);
}

describe.each(Object.keys(projects))('what happens on an event of an element: %s', (framework) => {
  test('it runs, raises, is caught, changes and shows', () => {
    const said = happens(waysIn(framework), 0);
    expect(said[0]).toBe('Part: click on <button>');
    for (const line of [/^Part: .*pick/, /^App: changes at/, /^App: renders again, may show something new/])
      expect(said.join('\n')).toMatch(new RegExp(line.source, 'm'));
  });

  test('nothing follows from what does nothing', () => {
    expect(happens(waysIn(framework), 1)).toEqual(['Part: click on <button>']);
  });

  test('the name of a listener in code leads to it, and what stands beside it to none', () => {
    const { graph } = waysIn(framework);
    const [file, text] = Object.entries(projects[framework] ?? {}).find(([name]) => /\/Part\./.test(name)) ?? ['', ''];
    const named = /(?:onClick|@click|onclick)(?==["{](?:pick|go))/.exec(text);
    const at = named?.index ?? -1;
    expect(listenerAt(graph, file, at + 2)?.binding.to.name).toBe('click');
    expect(listenerAt(graph, file, text.indexOf('pick'))).toBeUndefined();
  });

  test('an id leads back to its listener', () => {
    const { graph } = waysIn(framework);
    const part = graph.frames.find((frame) => frame.name === 'Part' && frame.place >= 0);
    const ids = part ? listenersOf(part).map(listenerId) : [];
    expect(new Set(ids).size).toBe(2);
    expect(ids.map((id) => listenerOf(graph, id)).map((one) => one && listenerId(one))).toEqual(ids);
    expect(listenerOf(graph, `${ids[0] ?? ''}:9`)).toBeUndefined();
  });
});
