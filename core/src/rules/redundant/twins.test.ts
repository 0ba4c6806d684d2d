import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;

const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const card = (name: string, inner: string, prop = 'label'): string =>
  `function ${name}({ ${prop} }: { ${prop}: string }) { const [open, setOpen] = useState(false); return <section className="${name}"><h2 onClick={() => setOpen(!open)}>{${prop}}</h2>${inner}{open && <p role="note" title="a">{${prop}}</p>}</section>; }\n`;

const inner = '<ul className="facts"><li title="b">a</li></ul>';

const vueCard = (more = '', prop = 'label'): string =>
  `${setup(`defineProps({ ${prop}: String }); const open = ref(false); const flip = () => { open.value = !open.value; };`)}<template><section class="card"><h2 title="t" @click="flip">{{ ${prop} }}</h2><ul class="facts"><li title="b">a</li></ul>${more}<p v-if="open" role="note">{{ ${prop} }}</p></section></template>`;

const svelteCard = (more = '', prop = 'label'): string =>
  `<script>let { ${prop} } = $props(); let open = $state(false);</script><section class="card"><h2 title="t" onclick={() => (open = !open)}>{${prop}}</h2><ul class="facts"><li title="b">a</li></ul>${more}{#if open}<p role="note">{${prop}}</p>{/if}</section>`;

table(
  'twins',
  'react',
  [
    ['but for a class', app('<A label="1"/><B label="2"/>', '', card('A', inner) + card('B', inner)), 'A A · B'],
    ['under other names', app('<A label="1"/><B text="2"/>', '', card('A', inner) + card('B', inner, 'text')), 'A A · B'],
    ['with a part more', app('<A label="1"/><B label="2"/>', '', card('A', inner) + card('B', `${inner}<hr/>`)), 'A A · B'],
  ],
  [
    [
      'other markup',
      app(
        '<A label="1"/><B label="2"/>',
        '',
        `${card('A', inner)}function B({ label }: { label: string }) { const [open, setOpen] = useState(false); return <form><label><input/></label><table><tbody><tr><td onClick={() => setOpen(!open)}>{label}</td></tr></tbody></table></form>; }\n`,
      ),
    ],
    [
      'short ones',
      app(
        '<A label="1"/><B label="2"/>',
        '',
        'function A({ label }) { return <label>{label}<input/></label>; }\nfunction B({ label }) { return <label>{label}<input/></label>; }\n',
      ),
    ],
    [
      'icons',
      app(
        '<A/><B/>',
        '',
        'function A() { return <svg viewBox="0 0 24 24" width="24" height="24"><g><path d="M1"/><path d="M2"/></g></svg>; }\nfunction B() { return <svg viewBox="0 0 24 24" width="24" height="24"><g><path d="M3"/><path d="M4"/></g></svg>; }\n',
      ),
    ],
    ['one renders the other', app('<A label="1"/>', '', card('B', inner) + card('A', `${inner}<B label={label}/>`))],
    [
      'one of two as large',
      app(
        '<A label="1"/><B label="2"/>',
        '',
        card('A', inner) +
          card(
            'B',
            `${inner}<form id="f" title="t"><input name="a" title="b"/><input name="c" title="d"/><select name="e" title="f"><option value="g"/></select></form><table id="h" title="i"><tbody><tr><td title="j"/></tr></tbody></table>`,
          ),
      ),
    ],
  ],
);

table(
  'twins',
  'vue',
  [
    ['the same', { App: vueApp('<A label="1"/><B label="2"/>'), A: vueCard(), B: vueCard() }, 'A A · B'],
    ['under other names', { App: vueApp('<A label="1"/><B text="2"/>'), A: vueCard(), B: vueCard('', 'text') }, 'A A · B'],
    ['with a part more', { App: vueApp('<A label="1"/><B label="2"/>'), A: vueCard(), B: vueCard('<hr/>') }, 'A A · B'],
  ],
  [
    [
      'other markup',
      {
        App: vueApp('<A label="1"/><B/>'),
        A: vueCard(),
        B: '<template><form><label><input/></label><table><tbody><tr><td/></tr></tbody></table></form></template>',
      },
    ],
    [
      'short ones',
      { App: vueApp('<A/><B/>'), A: '<template><label>a<input/></label></template>', B: '<template><label>b<input/></label></template>' },
    ],
    [
      'icons',
      {
        App: vueApp('<A/><B/>'),
        A: '<template><svg width="2" height="2"><g><path d="M1"/></g></svg></template>',
        B: '<template><svg width="2" height="2"><g><path d="M2"/></g></svg></template>',
      },
    ],
    ['one renders the other', { App: vueApp('<A label="1"/>'), A: vueCard('<B :label="label"/>'), B: vueCard() }],
    [
      'far larger',
      {
        App: vueApp('<A label="1"/><B label="2"/>'),
        A: vueCard(),
        B: vueCard(
          '<form id="f" title="t"><input name="a" title="b"/><input name="c" title="d"/><select name="e" title="f"/></form><table id="h" title="i"><tbody><tr><td title="j"/></tr></tbody></table>',
        ),
      },
    ],
  ],
);

table(
  'twins',
  'svelte',
  [
    ['the same', { App: '<A label="1"/><B label="2"/>', A: svelteCard(), B: svelteCard() }, 'A A · B'],
    ['under other names', { App: '<A label="1"/><B text="2"/>', A: svelteCard(), B: svelteCard('', 'text') }, 'A A · B'],
    ['with a part more', { App: '<A label="1"/><B label="2"/>', A: svelteCard(), B: svelteCard('<hr/>') }, 'A A · B'],
  ],
  [
    [
      'other markup',
      {
        App: '<A label="1"/><B/>',
        A: svelteCard(),
        B: '<form><label><input/></label><table><tbody><tr><td></td></tr></tbody></table></form>',
      },
    ],
    ['short ones', { App: '<A/><B/>', A: '<label>a<input/></label>', B: '<label>b<input/></label>' }],
    [
      'icons',
      {
        App: '<A/><B/>',
        A: '<svg width="2" height="2"><g><path d="M1"/></g></svg>',
        B: '<svg width="2" height="2"><g><path d="M2"/></g></svg>',
      },
    ],
    ['one renders the other', { App: '<A label="1"/>', A: svelteCard('<B {label}/>'), B: svelteCard() }],
    [
      'far larger',
      {
        App: '<A label="1"/><B label="2"/>',
        A: svelteCard(),
        B: svelteCard(
          '<form id="f" title="t"><input name="a" title="b"/><input name="c" title="d"/></form><table id="h" title="i"><tbody><tr><td title="j"></td></tr></tbody></table>',
        ),
      },
    ],
  ],
);
