import { describe, expect, test } from 'vitest';
import { analyseFiles } from '../../../testing/src/project';
import { loadCompilers } from '../frameworks/registry';
import { halfOf } from './half';
import { unfold } from './unfold';

await loadCompilers(['a.vue', 'a.svelte']);

const files = {
  'src/pages/index.astro': `---
import Strip from '../parts/Strip.astro';
import Gate from '../islands/Gate.jsx';
import Desk from '../islands/Desk.vue';
import Gauge from '../islands/Gauge.svelte';
const locks = ['Aldermoor'];
---
<Strip locks={locks} /><Gate client:visible /><Desk client:only="vue" /><Gauge /><tow-pill></tow-pill>
<script>import '../pill.js';</script>`,
  'src/parts/Strip.astro': `---
const { locks } = Astro.props;
---
<button id="shut">{locks[0]}</button>
<script>document.getElementById('shut')?.addEventListener('click', () => document.title = 'shut');</script>`,
  'src/islands/Gate.jsx': "import Bar from './Bar.jsx';\nexport default function Gate() { return <p><Bar /></p>; }",
  'src/islands/Bar.jsx': 'export default function Bar() { return <b>bar</b>; }',
  'src/islands/Desk.vue': '<template><p>desk</p></template>',
  'src/islands/Gauge.svelte': '<p>gauge</p>',
  'src/pill.js':
    "export class TowPill extends HTMLElement { connectedCallback() { this.textContent = 'pill'; } }\ncustomElements.define('tow-pill', TowPill);",
  'src/main.jsx': "import Bar from './islands/Bar.jsx';\ncreateRoot(document.body).render(<Bar />);",
};

describe('where the parts of a page run that a server makes', () => {
  const { model } = analyseFiles(files);
  const page = model.pages.find(({ name }) => name === 'index');
  const tree = page && unfold(model, page);
  const placeOf = (name: string): number => tree?.places.findIndex((one) => model.components.get(one.component)?.name === name) ?? -1;

  test.each([
    ['index', { runs: 'server' }],
    ['Strip', { runs: 'server' }],
    ['Gate', { runs: 'both', by: 'client:visible' }],
    ['Bar', { runs: 'both', by: 'client:visible' }],
    ['Desk', { runs: 'browser', by: 'client:only' }],
    ['Gauge', { runs: 'unstarted' }],
    ['TowPill', { runs: 'browser', by: 'its own script' }],
  ])('%s', (name, half) => expect(tree && halfOf(model, tree, placeOf(name))).toEqual(half));

  test('what stands in a script of the markup runs in the browser, the script at the top on the server', () => {
    const text = files['src/parts/Strip.astro'];
    const at = (word: string) => ({ file: 'src/parts/Strip.astro', start: text.indexOf(word), end: text.indexOf(word) + word.length });
    expect(tree && halfOf(model, tree, placeOf('Strip'), at("document.title = 'shut'"))).toEqual({ runs: 'browser', by: 'script' });
    expect(tree && halfOf(model, tree, placeOf('Strip'), at('const { locks }'))).toEqual({ runs: 'server' });
  });

  test('on a page that is made in the browser nothing is said of it', () => {
    const other = model.pages.find(({ why }) => why === 'mounted');
    expect(other && halfOf(model, unfold(model, other), 0)).toBeUndefined();
  });
});
