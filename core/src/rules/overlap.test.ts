import { beforeAll, expect, test } from 'vitest';
import { analyse } from '../analyse';
import { loadCompilers } from '../frameworks/registry';
import { findingLines } from '../../../testing/src/project';
import { filesOf, type Sources, table } from '../../../testing/src/rules';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;
const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;
const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const card = (name: string, inner: string, prop = 'label'): string =>
  `function ${name}({ ${prop} }: { ${prop}: string }) { const [open, setOpen] = useState(false); return <section className="${name}"><h2 onClick={() => setOpen(!open)}>{${prop}}</h2>${inner}{open && <p role="note" title="a">{${prop}}</p>}</section>; }\n`;
const inner = '<ul className="facts"><li title="b">a</li></ul>';
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
const vueCard = (more = '', prop = 'label'): string =>
  `${setup(`defineProps({ ${prop}: String }); const open = ref(false); const flip = () => { open.value = !open.value; };`)}<template><section class="card"><h2 title="t" @click="flip">{{ ${prop} }}</h2><ul class="facts"><li title="b">a</li></ul>${more}<p v-if="open" role="note">{{ ${prop} }}</p></section></template>`;
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
const svelteCard = (more = '', prop = 'label'): string =>
  `<script>let { ${prop} } = $props(); let open = $state(false);</script><section class="card"><h2 title="t" onclick={() => (open = !open)}>{${prop}}</h2><ul class="facts"><li title="b">a</li></ul>${more}{#if open}<p role="note">{${prop}}</p>{/if}</section>`;
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

const facts = (a: string, b: string): string =>
  `<dl className="facts" title="a"><dt id="x" className="fact">${a}</dt><dd id="y" className="value">{one.${b}}</dd><dt id="z" className="fact">b</dt><dd id="w" className="value">{one.b}</dd></dl>`;
const holds = (name: string, markup: string): string => `function ${name}({ one }) { return ${markup}; }\n`;
table(
  'markup-repeated',
  'react',
  [
    [
      'in two components',
      app(
        '<A one={1}/><B one={2}/>',
        '',
        holds('A', `<form><input name="q"/>${facts('a', 'a')}</form>`) +
          holds(
            'B',
            `<nav><a href="/" title="1">x</a><a href="/y" title="2">y</a><a href="/z" title="3">y</a><ol title="k"><li title="4">a</li><li title="5">b</li><li title="6">c</li></ol>${facts('c', 'd')}</nav>`,
          ),
      ),
      'A dl',
    ],
    ['twice in one', app('<A one={1}/>', '', holds('A', `<form>${facts('a', 'a')}<hr/>${facts('c', 'd')}</form>`)), 'A dl'],
    [
      'in three',
      app(
        '<A one={1}/><B one={2}/><C one={3}/>',
        '',
        holds('A', `<form><input name="q"/>${facts('a', 'a')}</form>`) +
          holds(
            'B',
            `<nav><a href="/" title="1">x</a><a href="/y" title="2">y</a><a href="/z" title="3">y</a><ol title="k"><li title="4">a</li><li title="5">b</li><li title="6">c</li></ol>${facts('c', 'd')}</nav>`,
          ) +
          holds('C', `<table><tbody><tr><td>${facts('e', 'f')}</td></tr></tbody></table>`),
      ),
      'A dl',
    ],
  ],
  [
    ['once', app('<A one={1}/>', '', holds('A', `<form>${facts('a', 'a')}</form>`))],
    ['in a list', app('<A one={1}/>', '', holds('A', `<form>{all.map((one) => <p key={one}>${facts('a', 'a')}</p>)}</form>`))],
    [
      'short',
      app(
        '<A one={1}/><B one={1}/>',
        '',
        holds('A', '<form><label><b>{one.a}</b><input name="x"/></label></form>') +
          holds('B', '<nav><label><b>{one.a}</b><input name="y"/></label></nav>'),
      ),
    ],
    [
      'another structure',
      app(
        '<A one={1}/><B one={2}/>',
        '',
        holds('A', `<form>${facts('a', 'a')}</form>`) +
          holds('B', `<nav>${facts('c', 'd').replace('<dt id="z" className="fact">b</dt>', '<dt id="z"><b>b</b></dt>')}</nav>`),
      ),
    ],
    ['twins say more', app('<A label="1"/><B label="2"/>', '', card('A', inner) + card('B', inner))],
    [
      'a row of one element',
      app(
        '<A one={1}/><B one={2}/>',
        '',
        holds(
          'A',
          `<form>${'<div className="a" title="b"><div className="c" title="d"/><div className="c" title="d"/></div>'.repeat(3)}</form>`,
        ) +
          holds(
            'B',
            `<nav><i/>${'<div className="e" title="f"><div className="g" title="h"/><div className="g" title="h"/></div>'.repeat(3)}</nav>`,
          ),
      ),
    ],
    [
      'written once, shown twice',
      app(
        '<A one={1}/>',
        '',
        `function A({ one }) { const all = ${facts('a', 'a')}; return one ? <form>{all}</form> : <nav><i/>{all}</nav>; }\n`,
      ),
    ],
  ],
);

const framed = (label: string, first: string, second: string): string =>
  `<dl class="facts" title="a"><dt id="x" class="fact">${label}</dt><dd id="y" class="value">${first}</dd><dt id="z" class="fact">b</dt><dd id="w" class="value">${second}</dd></dl>`;
const links =
  '<nav><a href="/" title="1">x</a><a href="/y" title="2">y</a><ol title="k"><li title="4">a</li><li title="5">b</li><li title="6">c</li></ol></nav>';
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
    framework === 'vue' ? `<p v-for="n in 3" :key="n">${inner}</p>` : `{#each [1, 2] as n (n)}<p>${inner}</p>{/each}`;
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
