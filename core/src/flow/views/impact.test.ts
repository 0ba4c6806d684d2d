import { beforeAll, describe, expect, test } from 'vitest';
import { bundles } from '../../../../testing/src/bundles';
import { analyseFiles, type Files } from '../../../../testing/src/project';
import { makeFlowQueries } from '..';
import { loadCompilers } from '../../frameworks/registry';
import { unfold } from '../../tree';
import { impactOf } from './impact';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** Parts that render again when the state `picked` of the part `App` (or `app`) is set. */
function rendersIn(files: Files): string[] {
  const { model } = analyseFiles(files);
  const page = model.pages.find(({ name }) => /^app$|index/i.test(name));
  if (!page) throw new Error(`No page; there are ${model.pages.map(({ name }) => name).join(', ')}`);
  const ways = makeFlowQueries(model, unfold(model, page));
  const owner = ways.graph.frames.find(({ name }) => /^app$/i.test(name));
  const value = owner?.body.values.findIndex(({ name, kind }) => name === 'picked' && kind === 'state') ?? -1;
  if (!owner || value < 0) throw new Error('No state picked.');
  const { renders } = impactOf(ways, [{ frame: owner.index, value, track: [] }]);
  return [...new Set(renders.map((place) => ways.graph.frames[place]?.name ?? ''))].map((one) => one.toLowerCase()).sort();
}

const react = (app: string, row = 'export function Row() { return <li/>; }'): Files => ({
  'src/main.jsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  'src/App.jsx': `import { memo, useState } from 'react';\n${row}\nexport function Side() { return <p/>; }\nexport function App() { const [picked, setPicked] = useState(''); const [list] = useState([]); return <main onClick={() => setPicked('a')}>{picked}<Side/>${app}</main>; }`,
});
const vue = (app: string): Files => ({
  'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
  'src/App.vue': `<script setup>import { ref } from 'vue'; import Row from './Row.vue'; import Side from './Side.vue'; const picked = ref(''); const list = ref([]);</script><template><main @click="picked = 'a'">{{ picked }}<Side/>${app}</main></template>`,
  'src/Row.vue': '<script setup>defineProps({ items: Array });</script><template><li>{{ items.length }}</li></template>',
  'src/Side.vue': '<template><p>x</p></template>',
});
const svelte = (app: string): Files => ({
  'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });",
  'src/App.svelte': `<script>import Row from './Row.svelte'; import Side from './Side.svelte'; let picked = $state(''); let list = $state([]);</script><main onclick={() => (picked = 'a')}>{picked}<Side/>${app}</main>`,
  'src/Row.svelte': '<script>let { items } = $props();</script><li>{items.length}</li>',
  'src/Side.svelte': '<p>x</p>',
});
const lit = (app: string): Files => ({
  'index.html': '<!doctype html><html><body><my-app></my-app><script type="module" src="./app.js"></script></body></html>',
  'app.js': `import { LitElement, html } from 'lit';
class Row extends LitElement { static properties = { items: { attribute: false } }; render() { return html\`<li>\${this.items.length}</li>\`; } }
customElements.define('my-row', Row);
class Side extends LitElement { render() { return html\`<p>x</p>\`; } }
customElements.define('my-side', Side);
class App extends LitElement {
  static properties = { picked: { state: true }, list: { state: true } };
  constructor() { super(); this.picked = ''; this.list = []; }
  render() { return html\`<main @click=\${() => { this.picked = 'a'; }}>\${this.picked}<my-side></my-side>${app}</main>\`; }
}
customElements.define('my-app', App);
`,
});
const lwc = (app: string): Files =>
  bundles({
    app: {
      exposed: true,
      js: "  picked = '';\n  list = [];\n  get rows() { return this.list.map((one) => ({ one, isPicked: one === this.picked, parts: one.parts.filter(Boolean) })); }\n  pick() { this.picked = 'a'; }",
      html: `<main onclick={pick}>{picked}<c-side></c-side>${app}</main>`,
    },
    row: { js: '  @api items = [];', html: '<li>{items.length}</li>' },
    side: { html: '<p>x</p>' },
  });

describe('what renders again when a state is set', () => {
  const memoRow = 'const Row = memo(function Row() { return <li/>; });';
  test.each<[name: string, files: Files, renders: string[]]>([
    ['React: all that a component has written', react('<Row items={list}/>'), ['app', 'row', 'side']],
    ['React: not where a memo finds the same', react('<Row items={list}/>', memoRow), ['app', 'side']],
    ['React: a memo that is given a list made in place', react('<Row items={list.filter(Boolean)}/>', memoRow), ['app', 'row', 'side']],
    ['Vue: the template that reads it', vue('<Row :items="list"/>'), ['app']],
    ['Vue: a part that is given a list made in place', vue('<Row :items="list.filter(Boolean)"/>'), ['app', 'row']],
    ['Vue: a part under a condition', vue('<Row v-if="picked" :items="list"/>'), ['app', 'row']],
    ['Svelte: the template that reads it', svelte('<Row items={list}/>'), ['app']],
    ['Svelte: a list made in place is made when what it is made of changes', svelte('<Row items={list.filter(Boolean)}/>'), ['app']],
    ['Lit: the element itself', lit('<my-row .items=${this.list}></my-row>'), ['app']],
    ['Lit: an element that is given a list made in place', lit('<my-row .items=${this.list.filter(Boolean)}></my-row>'), ['app', 'row']],
    ['Lit: an element that is given it', lit('<my-row .items=${[this.picked]}></my-row>'), ['app', 'row']],
    ['Lit: an element under a condition', lit('${this.picked ? html`<my-row .items=${this.list}></my-row>` : ""}'), ['app', 'row']],
    ['LWC: the bundle itself', lwc('<c-row items={list}></c-row>'), ['app']],
    ['LWC: a bundle under a condition', lwc('<template lwc:if={picked}><c-row items={list}></c-row></template>'), ['app', 'row']],
    [
      'LWC: a bundle that is given what a getter makes anew',
      lwc('<template for:each={rows} for:item="row"><c-row key={row.one} items={row.parts}></c-row></template>'),
      ['app', 'row'],
    ],
  ])('%s', (_, files, renders) => {
    expect(rendersIn(files)).toEqual(renders);
  });
});
