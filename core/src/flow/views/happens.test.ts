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

/** What is heard beside the click of a button that stands in what its page gives to a panel, in each framework. */
const around: Readonly<Record<string, (outer: string, inner: string, handler: string) => Files>> = {
  react: (outer, inner, handler) => ({
    'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    'src/App.tsx': `import { useState } from 'react';\nimport { Panel } from './Panel';\nexport function App() { const [n, setN] = useState(0); const go = ${handler}; return <main ${outer}={() => setN(1)}>{n}<Panel><button ${inner}={go}/></Panel></main>; }`,
    'src/Panel.tsx':
      "import { useState } from 'react';\nexport function Panel({ children }) { const [open, setOpen] = useState(false); return <section onClick={() => setOpen(true)} onMouseEnter={() => setOpen(false)} onFocus={() => setOpen(true)}>{open}{children}</section>; }",
  }),
  vue: (outer, inner, handler) => ({
    'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
    'src/App.vue': `<script setup>import { ref } from 'vue'; import Panel from './Panel.vue'; const n = ref(0); const go = ${handler};</script><template><main ${outer}="n = 1">{{ n }}<Panel><button ${inner}="go"/></Panel></main></template>`,
    'src/Panel.vue':
      '<script setup>import { ref } from \'vue\'; const open = ref(false);</script><template><section @click="open = true" @mouseenter="open = false" @focus="open = true">{{ open }}<slot/></section></template>',
  }),
  svelte: (outer, inner, handler) => ({
    'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });",
    'src/App.svelte': `<script>import Panel from './Panel.svelte'; let n = 0; const go = ${handler};</script><main ${outer}={() => (n = 1)}>{n}<Panel><button ${inner}={go}/></Panel></main>`,
    'src/Panel.svelte':
      '<script>let open = false;</script><section on:click={() => (open = true)} on:mouseenter={() => (open = false)} on:focus={() => (open = true)}>{open}<slot/></section>',
  }),
};

describe('who else hears an event of an element', () => {
  const quiet = '() => 1';
  const stopping = '(event) => { event.stopPropagation(); }';
  const cases: readonly [name: string, framework: string, outer: string, inner: string, handler: string, heard: string][] = [
    ['all around it', 'react', 'onClick', 'onClick', quiet, 'Panel section, App main'],
    ['all around it', 'vue', '@click', '@click', quiet, 'Panel section, App main'],
    ['all around it', 'svelte', 'on:click', 'on:click', quiet, 'Panel section, App main'],
    ['on the way in first', 'react', 'onClickCapture', 'onClick', quiet, 'App main, Panel section'],
    ['on the way in first', 'vue', '@click.capture', '@click', quiet, 'App main, Panel section'],
    ['on the way in first', 'svelte', 'on:click|capture', 'on:click', quiet, 'App main, Panel section'],
    ['nobody where the function stops it', 'react', 'onClick', 'onClick', stopping, ''],
    ['nobody where the function stops it', 'vue', '@click', '@click', stopping, ''],
    ['nobody where the function stops it', 'svelte', 'on:click', 'on:click', stopping, ''],
    ['nobody where a mark stops it', 'vue', '@click', '@click.stop', quiet, ''],
    ['nobody where a mark stops it', 'svelte', 'on:click', 'on:click|stopPropagation', quiet, ''],
    ['not who means itself alone', 'vue', '@click.self', '@click', quiet, 'Panel section'],
    ['nobody of what does not go outward', 'react', 'onMouseEnter', 'onMouseEnter', quiet, ''],
    ['nobody of what does not go outward', 'vue', '@mouseenter', '@mouseenter', quiet, ''],
    ['focus goes outward in one framework', 'react', 'onBlur', 'onFocus', quiet, 'Panel section'],
    ['and in no other', 'vue', '@focus', '@focus', quiet, ''],
    ['and in no other', 'svelte', 'on:focus', 'on:focus', quiet, ''],
  ];
  test.each(cases)('%s: %s, %s around %s', (_, framework, outer, inner, handler, expected) => {
    const files = around[framework]?.(outer, inner, handler) ?? {};
    const { model } = analyseFiles(files);
    const ways = makeFlowQueries(model, unfold(model, pageNamed(model, 'App')));
    const listener = ways.graph.frames
      .filter(({ name }) => name === 'App')
      .flatMap(listenersOf)
      .find(({ tag }) => tag === 'button');
    if (!listener) throw new Error('The button has no listener.');
    const heard = whatHappens(ways, listener).rungs.filter(({ kind }) => kind === 'hears');
    expect(heard.map((rung) => `${rung.who} ${rung.by ?? ''}`).join(', ')).toBe(expected);
    expect(heard.every((rung) => /^hears \w+ on <\w+>$/.test(rungText(rung, 'happens')))).toBe(true);
  });

  test('what those do is told below them, and what shows it again', () => {
    const { model } = analyseFiles(around['vue']?.('@click', '@click', quiet) ?? {});
    const ways = makeFlowQueries(model, unfold(model, pageNamed(model, 'App')));
    const listener = ways.graph.frames
      .filter(({ name }) => name === 'App')
      .flatMap(listenersOf)
      .find(({ tag }) => tag === 'button');
    const said = listener ? whatHappens(ways, listener).rungs.map((rung) => `${rung.who}: ${rungText(rung, 'happens')}`) : [];
    expect(said).toEqual(expect.arrayContaining(['Panel: changes open', 'App: changes n', 'Panel: renders again, may show something new']));
  });
});
