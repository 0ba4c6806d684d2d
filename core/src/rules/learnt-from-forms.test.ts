import { beforeAll, describe, expect, test } from 'vitest';
import { bundles } from '../../../testing/src/bundles';
import { analyseFiles, type Files } from '../../../testing/src/project';
import { mounted } from '../../../testing/src/trace';
import { loadCompilers } from '../frameworks/registry';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const found = (files: Files, rule: string): string[] =>
  analyseFiles(files).findings.flatMap((one) => (one.rule === rule ? [`${one.at.file.replace(/^.*\//, '')} ${one.subject}`] : []));

const page = (script: string): Files => ({
  'index.html': '<!doctype html><html><body><x-app></x-app><script type="module" src="./app.js"></script></body></html>',
  'app.js': script,
});

describe('a context of which the provider stands on no page', () => {
  const cart = (provider: string): Files => ({
    'src/cart.tsx': `import { createContext, useContext } from 'react';\nconst CartContext = createContext(null);\n${provider}export function useCart() { const cart = useContext(CartContext); if (!cart) throw new Error('no cart'); return cart; }\n`,
    'src/Totals.tsx': "import { useCart } from './cart';\nexport function Totals() { return <b>{useCart().lines.length}</b>; }\n",
  });
  const provider = 'export function CartProvider({ children }) { return <CartContext value={{ lines: [] }}>{children}</CartContext>; }\n';
  const app = "import { Totals } from './Totals';\nexport function App() { return <main><Totals/></main>; }";

  test('is missing where nothing renders that one', () => {
    expect(found(mounted(app, cart(provider)), 'context-missing')).toEqual(['Totals.tsx CartContext']);
  });
  test('may be there where something that is not seen may render it', () => {
    const hidden = { 'src/later.tsx': "import { CartProvider } from './cart';\nexport const parts = { CartProvider };\n" };
    expect(found(mounted(app, { ...cart(provider), ...hidden }), 'context-missing')).toEqual([]);
  });
});

describe('a list as an attribute of an element', () => {
  const lit = (list: string, given: string): Files =>
    page(
      `import { LitElement, html } from 'lit';\nclass XList extends LitElement {\n  static properties = { rows: ${list} };\n  render() { return html\`\${this.rows}\`; }\n}\ncustomElements.define('x-list', XList);\nclass XApp extends LitElement { render() { return html\`<x-list ${given}></x-list>\`; } }\ncustomElements.define('x-app', XApp);\n`,
    );
  test.each([
    ['is a text', '{ type: Array }', "rows=${['a']}", ['app.js rows']],
    ['that an expression makes is a text', '{ type: Array }', 'rows=${this.all.map((one) => one.id)}', ['app.js rows']],
    ['stays one as a property', '{ type: Array }', ".rows=${['a']}", []],
    ['may be what a text is wanted for', '{ type: String }', "rows=${['a']}", []],
  ])('%s', (_, list, given, expected) => {
    expect(found(lit(list, given), 'prop-kind')).toEqual(expected);
  });
});

describe('two copies of one thing', () => {
  test('that a function of a module reads, one of them with a filter', () => {
    const files = {
      ...page(
        "import './tally.js';\nimport './list.js';\nclass XApp extends HTMLElement { connectedCallback() { this.innerHTML = '<x-tally></x-tally><x-list></x-list>'; } }\ncustomElements.define('x-app', XApp);\n",
      ),
      'shelf.js': "export const readShelf = () => JSON.parse(localStorage.getItem('shelf/books') ?? '[]');\n",
      'tally.js':
        "import { readShelf } from './shelf.js';\nclass Tally extends HTMLElement {\n  unread = [];\n  connectedCallback() { this.unread = readShelf().filter((one) => !one.read); this.textContent = this.unread.length; }\n}\ncustomElements.define('x-tally', Tally);\n",
      'list.js':
        "import { readShelf } from './shelf.js';\nclass List extends HTMLElement {\n  books = readShelf();\n  connectedCallback() { this.addEventListener('click', () => { this.books = [...this.books, { read: false }]; this.textContent = this.books.length; }); }\n}\ncustomElements.define('x-list', List);\n",
    };
    expect(found(files, 'two-truths').map((one) => one.replace(/^\S+ /, ''))).toEqual(['shelf/books']);
  });

  const boats = (change: string): Files =>
    bundles({
      app: { exposed: true, html: '<c-badge></c-badge><c-list></c-list>' },
      badge: {
        head: "import load from '@salesforce/apex/Boats.load';\n",
        js: '  @wire(load) boats;\n  get count() { return this.boats.data?.length; }',
        html: '{count}',
      },
      list: {
        head: "import load from '@salesforce/apex/Boats.load';\n",
        js: `  rows = [];\n  async connectedCallback() { this.rows = await load(); }\n  drop() { ${change} }`,
        html: '<template for:each={rows} for:item="row"><p key={row.id} onclick={drop}>{row.name}</p></template>',
      },
    });
  test('that a wire gives and a call asks for', () => {
    expect(found(boats('this.rows = this.rows.slice(1);'), 'two-truths')).toEqual(['list.js Boats.load']);
  });
  test('of which none is changed are no two truths', () => {
    expect(found(boats('this.shown = true;'), 'two-truths')).toEqual([]);
  });
});

describe('a listener on an element that script makes', () => {
  const modal = (inside: string): Files =>
    page(
      `import { LitElement, html } from 'lit';
class XApp extends LitElement {
  hear() {}
  ${inside}
  render() { return html\`<div><x-row @picked=\${this.hear}></x-row></div>\`; }
}
customElements.define('x-app', XApp);
class XRow extends LitElement { go() { this.dispatchEvent(new Event('picked')); } render() { return html\`<button @click=\${this.go}></button>\`; } }
customElements.define('x-row', XRow);
`,
    );
  test.each([
    [
      'hears what that sends, wherever it is put',
      "make() { const row = document.createElement('x-row'); row.addEventListener('picked', this.hear); return row; }",
      [],
    ],
    ['hears nothing on the element around it', "firstUpdated() { this.addEventListener('picked', this.hear); }", ['app.js picked']],
  ])('%s', (_, inside, expected) => {
    expect(found(modal(inside), 'event-stops-short')).toEqual(expected);
  });
});

test('what a class has of its base is told once, of the base, with the places of who extends it', () => {
  const files: Files = {
    'index.html': '<!doctype html><html><body><rows-one></rows-one><script type="module" src="./app.js"></script></body></html>',
    'app.js': "import './one.js';\nimport './two.js';\n",
    'base.js':
      "import { LitElement, html } from 'lit';\nexport class RowsBase extends LitElement {\n  static properties = { rows: { state: true } };\n  constructor() { super(); this.rows = []; }\n  add() { this.rows.push(1); }\n  render() { return html`<p @click=${this.add}>${this.rows.length}</p>`; }\n}\n",
    'one.js':
      "import { RowsBase } from './base.js';\nexport class RowsOne extends RowsBase {}\ncustomElements.define('rows-one', RowsOne);\n",
    'two.js':
      "import { RowsBase } from './base.js';\nexport class RowsTwo extends RowsBase {}\ncustomElements.define('rows-two', RowsTwo);\n",
  };
  const told = analyseFiles(files).findings.filter((one) => one.rule === 'change-unseen');
  expect(told.map(({ component, touches }) => [component, touches])).toEqual([
    ['base.js#RowsBase', { component: 'one.js#RowsOne', places: 1 }],
  ]);
});
