import { findingLines } from '../../../../testing/src/project';
import { type Sources, filesOf, table } from '../../../../testing/src/rules';
import { analyse } from '../../analyse';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll, expect, test } from 'vitest';

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

const framed = (label: string, first: string, second: string): string =>
  `<dl class="facts" title="a"><dt id="x" class="fact">${label}</dt><dd id="y" class="value">${first}</dd><dt id="z" class="fact">b</dt><dd id="w" class="value">${second}</dd></dl>`;

const links =
  '<nav><a href="/" title="1">x</a><a href="/y" title="2">y</a><ol title="k"><li title="4">a</li><li title="5">b</li><li title="6">c</li></ol></nav>';

/** One project with components of two frameworks. */
const mixed = (react: string, vue: string): Sources => ({
  ...filesOf('vue', { App: vueApp('<B label="2"/>'), B: vue }),
  'package.json': '{}',
  'src/old.tsx': "import { Old } from './Old'; createRoot(y).render(<Old/>);",
  'src/Old.tsx': `${react}export function Old() { return <main><A label="1"/></main>; }`,
});

const twinsIn = (sources: Sources, twinsFrom?: number): string[] => {
  const files = Object.entries(filesOf('react', sources)).map(([file, text]) => ({ file, text }));
  const { findings } = analyse(files, [], twinsFrom === undefined ? {} : { twinsFrom });
  return findings.filter((one) => one.rule === 'twins').map((one) => one.message);
};

for (const framework of ['vue', 'svelte'] as const) {
  const [open, close] = framework === 'vue' ? ['{{', '}}'] : ['{', '}'];
  const shows = (name: string): string => `${open} one.${name} ${close}`;
  const part = (markup: string): string =>
    framework === 'vue'
      ? `${setup('defineProps({ one: Object });')}<template>${markup}</template>`
      : `<script>let { one } = $props();</script>${markup}`;
  const root = (markup: string): string => (framework === 'vue' ? vueApp(markup) : markup);
  const inForm = part(`<form><input name="q">${framed('a', shows('a'), shows('b'))}</form>`.replace('"q">', '"q"/>'));
  const inList = part(`<div>${links}${framed('c', shows('d'), shows('b'))}</div>`);
  const loop = (inner: string): string =>
    framework === 'vue'
      ? `<section v-for="n in 3" :key="n">${inner}</section>`
      : `{#each [1, 2] as n (n)}<section>${inner}</section>{/each}`;
  table(
    'markup-repeated',
    framework,
    [
      ['in two components', { App: root('<A/><B/>'), A: inForm, B: inList }, 'A dl'],
      [
        'twice in one',
        { App: root('<A/>'), A: part(`<form>${framed('a', shows('a'), 'x')}<hr/>${framed('c', shows('d'), 'y')}</form>`) },
        'A dl',
      ],
      [
        'in three',
        {
          App: root('<A/><B/><C/>'),
          A: inForm,
          B: inList,
          C: part(`<table><tbody><tr><td>${framed('e', shows('f'), shows('b'))}</td></tr></tbody></table>`),
        },
        'A dl',
      ],
    ],
    [
      ['once', { App: root('<A/>'), A: inForm }],
      ['in a list', { App: root('<A/>'), A: part(`<form>${loop(framed('a', shows('a'), 'x'))}</form>`) }],
      [
        'short',
        {
          App: root('<A/><B/>'),
          A: part('<form><label><b>a</b><input name="x"/></label></form>'),
          B: part('<nav><label><b>a</b><input name="y"/></label></nav>'),
        },
      ],
      [
        'another structure',
        {
          App: root('<A/><B/>'),
          A: inForm,
          B: part(
            `<div>${links}${framed('c', shows('d'), 'x').replace('<dt id="z" class="fact">b</dt>', '<dt id="z"><b>b</b></dt>')}</div>`,
          ),
        },
      ],
      ['twins say more', { App: root('<A/><B/>'), A: inForm, B: inForm }],
    ],
  );
}

test('components of two frameworks are held against each other', () => {
  const react =
    'function A({ label }: { label: string }) { const [open, setOpen] = useState(false); const flip = () => setOpen(!open); return <section className="card"><h2 title="t" onClick={flip}>{label}</h2><ul className="facts"><li title="b">a</li></ul>{open && <p role="note">{label}</p>}</section>; }\n';
  expect(twinsIn(mixed(react, vueCard()))).toEqual([expect.stringMatching(/^B and A are \d+ % alike, in two frameworks\.$/)]);
  expect(
    twinsIn(mixed(react, '<template><form><label><input/></label><table><tbody><tr><td/></tr></tbody></table></form></template>')),
  ).toEqual([]);
});

test('twins of one framework are told by themselves, and with one of another framework once more', () => {
  const part = (name: string, more: string): string =>
    card(name, `${inner}${more}`).replace('className="' + name + '"', 'className="card"');
  const react = `${part('A', '<hr/>')}${part('C', '<em/>')}`;
  const sources = mixed(react, vueCard('<hr/>')) as Readonly<Record<string, string>>;
  const old = (sources['src/Old.tsx'] ?? '').replace('<A label="1"/>', '<A label="1"/><C label="2"/>');
  expect(twinsIn({ ...sources, 'src/Old.tsx': old })).toEqual([
    expect.stringMatching(/^B and [AC] are \d+ % alike, in two frameworks\.$/),
    expect.stringMatching(/^A and C are \d+ % alike\.$/),
  ]);
});

test('three that are alike are named in one row', () => {
  const parts = ['A', 'B', 'C'].map((name) => card(name, inner).replace('className="' + name + '"', 'className="card"')).join('');
  const found = twinsIn(
    filesOf('react', `${parts}export function App() { return <main><A label="1"/><B label="2"/><C label="3"/></main>; }`),
  );
  expect(found).toEqual(['A, B and C are 100 % alike.']);
});

test.each([
  ['classes', inner],
  ['classes and parts that one alone has', `${inner}<hr/>`],
  ['classes and values', inner.replace('title="b"', 'title="c"')],
  ['classes and handlers', inner.replace('<li ', '<li onBlur={go} ')],
  ['classes and elements', inner.replace(/ul/g, 'ol')],
  ['classes and layers around what both have', `<div>${inner}</div>`],
])('twins say in what they differ: %s', (differ, other) => {
  const text = app('<A label="1"/><B label="2"/>', '', card('A', inner) + card('B', other));
  const [found] = analyse([{ file: 'src/App.tsx', text }], [], { twinsFrom: 0.6 }).findings.filter((one) => one.rule === 'twins');
  expect(found?.consequence).toBe(`What is changed in A has to be changed in B too. They differ in ${differ}.`);
});

test('a project sets from which likeness on two are twins', () => {
  const two = app(
    '<A label="1"/><B label="2"/>',
    '',
    card('A', inner) + card('B', `${inner}<hr/><form><input name="a" title="b"/><b/></form>`),
  );
  expect(findingLines(analyse([{ file: 'src/App.tsx', text: two }]).findings).filter((one) => one.startsWith('twins'))).toEqual([
    'twins A A · B',
  ]);
  expect(twinsIn(two, 0.6)).toHaveLength(1);
  expect(twinsIn(app('<A label="1"/><B label="2"/>', '', card('A', inner) + card('B', inner.replace('<li', '<li id="c"'))), 1)).toEqual([]);
});
