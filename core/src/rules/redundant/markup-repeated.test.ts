import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;

const card = (name: string, inner: string, prop = 'label'): string =>
  `function ${name}({ ${prop} }: { ${prop}: string }) { const [open, setOpen] = useState(false); return <section className="${name}"><h2 onClick={() => setOpen(!open)}>{${prop}}</h2>${inner}{open && <p role="note" title="a">{${prop}}</p>}</section>; }\n`;

const inner = '<ul className="facts"><li title="b">a</li></ul>';

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
