import { describe, expect, test } from 'vitest';
import { analyseFiles, type Files, rows, treeOf } from '../../../../testing/src/project';

const html = (body: string): string =>
  `<!doctype html>\n<html><body>${body}<script type="module" src="./src/main.js"></script></body></html>`;
const plain = (tag: string, name: string, body: string): string =>
  `export class ${name} extends HTMLElement {\n${body}\n}\ncustomElements.define('${tag}', ${name});\n`;
const lit = (tag: string, name: string, body: string, head = ''): string =>
  `import { LitElement, html } from 'lit';\n${head}export class ${name} extends LitElement {\n${body}\n}\ncustomElements.define('${tag}', ${name});\n`;

/** A page with some markup, and modules that its script loads. */
function page(body: string, modules: Readonly<Record<string, string>>): Files {
  const loads = Object.keys(modules).map((name) => `import './${name}';\n`);
  const sources = Object.entries(modules).map(([name, text]): [string, string] => [`src/${name}`, text]);
  return { 'index.html': html(body), 'src/main.js': loads.join(''), ...Object.fromEntries(sources) };
}

/** What is found that does not work or is likely to fail, as `rule subject`. */
const found = (files: Files): string[] =>
  analyseFiles(files)
    .findings.filter(({ severity }) => severity !== 'tidy')
    .map(({ rule, subject }) => `${rule} ${subject}`)
    .sort();

const gauge = lit(
  'tide-gauge',
  'TideGauge',
  '  static properties = { level: { type: Number }, unit: {} };\n  render() { return html`<b>${this.level} ${this.unit}</b>`; }',
);

describe('the tree of a page of elements', () => {
  const cases: readonly [name: string, files: Files, tree: string][] = [
    [
      'markup of a page, of a template and of a literal',
      page('<lock-list></lock-list>', {
        'lock-list.js': lit('lock-list', 'LockList', '  render() { return html`<ul><li><lock-card></lock-card></li></ul>`; }'),
        'lock-card.js': plain('lock-card', 'LockCard', "  connectedCallback() { this.innerHTML = '<lock-name></lock-name>'; }"),
        'lock-name.js': plain('lock-name', 'LockName', ''),
      }),
      'index.html\n  LockList\n    LockCard\n      LockName',
    ],
    [
      'markup that waits for a promise, and that of a task in each of its states',
      page('<lock-list></lock-list>', {
        'lock-list.js': lit(
          'lock-list',
          'LockList',
          "  load = new Task(this, { task: () => fetch('/locks') });\n  render() { return html`${until(this.asked.then(() => html`<lock-card></lock-card>`), html`<lock-name></lock-name>`)}${this.load.render({ pending: () => html`<lock-name></lock-name>`, complete: (locks) => html`<lock-card .locks=${locks}></lock-card>` })}`; }",
        ),
        'lock-card.js': plain('lock-card', 'LockCard', ''),
        'lock-name.js': plain('lock-name', 'LockName', ''),
      }),
      'index.html\n  LockList\n    LockCard\n    LockName\n    LockName if this.load is pending\n    LockCard if this.load is complete',
    ],
    [
      'the cases of a value',
      page('<lock-list></lock-list>', {
        'lock-list.js': lit(
          'lock-list',
          'LockList',
          "  render() { return html`${choose(this.view, [['card', () => html`<lock-card></lock-card>`]], () => html`<lock-name></lock-name>`)}`; }",
        ),
        'lock-card.js': plain('lock-card', 'LockCard', ''),
        'lock-name.js': plain('lock-name', 'LockName', ''),
      }),
      "index.html\n  LockList\n    LockCard if this.view is 'card'\n    LockName if this.view is none of these",
    ],
    [
      'elements that a script creates and appends',
      page('<lock-list></lock-list>', {
        'lock-list.js': plain(
          'lock-list',
          'LockList',
          "  connectedCallback() {\n    const card = document.createElement('lock-card');\n    this.append(card);\n  }",
        ),
        'lock-card.js': plain('lock-card', 'LockCard', ''),
      }),
      'index.html\n  LockList\n    LockCard',
    ],
    [
      'markup that is put in beside what is there',
      page('<lock-list></lock-list>', {
        'lock-list.js': plain(
          'lock-list',
          'LockList',
          "  connectedCallback() { this.insertAdjacentHTML('beforeend', '<lock-card></lock-card>'); }",
        ),
        'lock-card.js': plain('lock-card', 'LockCard', ''),
      }),
      'index.html\n  LockList\n    LockCard',
    ],
    [
      'a template that is cloned into a shadow root',
      page('<lock-list></lock-list>', {
        'lock-list.js': `const template = document.createElement('template');\ntemplate.innerHTML = '<lock-card></lock-card>';\n${plain(
          'lock-list',
          'LockList',
          "  constructor() { super(); this.attachShadow({ mode: 'open' }).append(template.content.cloneNode(true)); }",
        )}`,
        'lock-card.js': plain('lock-card', 'LockCard', ''),
      }),
      'index.html\n  LockList\n    LockCard',
    ],
    [
      'content that is put into a slot by the page',
      page('<lock-frame><lock-card></lock-card></lock-frame>', {
        'lock-frame.js': lit('lock-frame', 'LockFrame', '  render() { return html`<main><slot></slot></main>`; }'),
        'lock-card.js': plain('lock-card', 'LockCard', ''),
      }),
      'index.html\n  LockFrame\n    LockCard in slot:default of index.html',
    ],
    [
      'methods that give parts of the markup, lists and conditions',
      page('<lock-list></lock-list>', {
        'lock-list.js': lit(
          'lock-list',
          'LockList',
          '  static properties = { locks: { state: true }, open: { state: true } };\n  row(lock) { return html`<lock-card .lock=${lock}></lock-card>`; }\n  render() { return html`${this.locks.map((lock) => this.row(lock))}${this.open ? html`<lock-name></lock-name>` : ""}`; }',
        ),
        'lock-card.js': plain('lock-card', 'LockCard', '  set lock(value) { this.textContent = value.name; }'),
        'lock-name.js': plain('lock-name', 'LockName', ''),
      }),
      'index.html\n  LockList\n    LockCard each lock\n    LockName if this.open',
    ],
    [
      'the markup of a class that is extended, and a part that calls it',
      page('<lock-card></lock-card>', {
        'base.js':
          "import { LitElement, html } from 'lit';\nexport class Base extends LitElement {\n  render() { return html`<lock-name></lock-name>`; }\n}\n",
        'lock-card.js':
          "import { html } from 'lit';\nimport { Base } from './base.js';\nclass LockCard extends Base {\n  render() { return html`<lock-flag></lock-flag>${super.render()}`; }\n}\ncustomElements.define('lock-card', LockCard);\n",
        'lock-name.js': plain('lock-name', 'LockName', ''),
        'lock-flag.js': plain('lock-flag', 'LockFlag', ''),
      }),
      'index.html\n  LockCard\n    LockFlag\n    LockName',
    ],
    [
      'a class that a function makes of another one',
      page('<lock-card></lock-card>', {
        'named.js':
          'export const Named = (Base) => class extends Base {\n  connectedCallback() { super.connectedCallback?.(); this.innerHTML = "<lock-name></lock-name>"; }\n};\n',
        'lock-card.js':
          "import { Named } from './named.js';\nclass LockCard extends Named(HTMLElement) {}\ncustomElements.define('lock-card', LockCard);\n",
        'lock-name.js': plain('lock-name', 'LockName', ''),
      }),
      'index.html\n  LockCard\n    LockName',
    ],
    [
      'decorators as compilers write them',
      page('<lock-card></lock-card>', {
        'lock-card.js':
          "import { LitElement, html } from 'lit';\nlet LockCard = class LockCard extends LitElement {\n  render() { return html`<lock-name .name=${this.name}></lock-name>`; }\n};\n__decorate([property()], LockCard.prototype, 'name', void 0);\nLockCard = __decorate([customElement('lock-card')], LockCard);\nexport { LockCard };\n",
        'lock-name.js': lit('lock-name', 'LockName', '  static properties = { name: {} };\n  render() { return html`${this.name}`; }'),
      }),
      'index.html\n  LockCard\n    LockName',
    ],
    [
      'a class that says its tag itself, defined by a function of another package',
      page('<lock-card></lock-card>', {
        'lock-card.js':
          "import { defineElement } from 'elsewhere';\nclass LockCard extends HTMLElement {\n  static get is() { return 'lock-card'; }\n}\ndefineElement(LockCard);\n",
      }),
      'index.html\n  LockCard',
    ],
  ];

  test.each(cases)('%s', (_, files, tree) => {
    const { model } = analyseFiles(files);
    expect(rows(model, treeOf(model, 'index.html'))).toBe(tree);
  });
});

describe('what is found in elements', () => {
  type Case = readonly [name: string, files: Files, findings: readonly string[]];
  const sound: Case[] = [
    ['a property by its attribute', page('<tide-gauge level="2" unit="m"></tide-gauge>', { 'gauge.js': gauge }), []],
    [
      'an attribute of the platform',
      page('<tide-gauge level="2" unit="m" class="wide" data-x="1" aria-label="tide" hidden></tide-gauge>', { 'gauge.js': gauge }),
      [],
    ],
    [
      'a field that is set by its own setter',
      page('<lock-box></lock-box>', {
        'box.js': plain(
          'lock-box',
          'LockBox',
          "  connectedCallback() { this.append(Object.assign(document.createElement('lock-card'), { lock: { name: 'Saltings' } })); }",
        ),
        'card.js': plain('lock-card', 'LockCard', '  set lock(value) { this.textContent = value.name; }'),
      }),
      [],
    ],
    [
      'a listener that is removed with the same function',
      page('<alarm-badge></alarm-badge>', {
        'badge.js': plain(
          'alarm-badge',
          'AlarmBadge',
          "  ring = () => { this.textContent = 'alarm'; };\n  connectedCallback() { window.addEventListener('resize', this.ring); }\n  disconnectedCallback() { window.removeEventListener('resize', this.ring); }",
        ),
      }),
      [],
    ],
    [
      'an event that leaves its root and is heard outside',
      page('<lock-list></lock-list>', {
        'list.js': lit(
          'lock-list',
          'LockList',
          "  connectedCallback() { super.connectedCallback(); this.addEventListener('lock-pick', (event) => { this.title = event.detail; }); }\n  render() { return html`<lock-frame></lock-frame>`; }",
        ),
        'frame.js': lit('lock-frame', 'LockFrame', '  render() { return html`<lock-card></lock-card>`; }'),
        'card.js': lit(
          'lock-card',
          'LockCard',
          "  pick() { this.dispatchEvent(new CustomEvent('lock-pick', { detail: 'a', bubbles: true, composed: true })); }\n  render() { return html`<button @click=${this.pick}>Pick</button>`; }",
        ),
      }),
      [],
    ],
    [
      'a class whose base is of another package',
      page('<lock-card size="2"></lock-card>', {
        'card.js':
          "import { Card } from 'elsewhere';\nclass LockCard extends Card {\n  connectedCallback() { super.connectedCallback(); this.begin(); this.textContent = this.size.toFixed(); }\n}\ncustomElements.define('lock-card', LockCard);\n",
      }),
      [],
    ],
    [
      'a list that is changed in place where the class renders by hand',
      page('<lock-list></lock-list>', {
        'list.js': lit(
          'lock-list',
          'LockList',
          '  static properties = { names: { state: true } };\n  constructor() { super(); this.names = []; }\n  add() { this.names.push("a"); this.requestUpdate(); }\n  render() { return html`<button @click=${this.add}>Add</button>${this.names.map((name) => html`<p>${name}</p>`)}`; }',
        ),
      }),
      [],
    ],
    [
      'a list that is filled before it shows',
      page('<lock-list></lock-list>', {
        'list.js': lit(
          'lock-list',
          'LockList',
          '  static properties = { names: { state: true } };\n  constructor() { super(); this.names = []; }\n  connectedCallback() { super.connectedCallback(); this.names.push("a"); }\n  render() { return html`${this.names.map((name) => html`<p>${name}</p>`)}`; }',
        ),
      }),
      [],
    ],
  ];
  const faulty: Case[] = [
    ['a name that is misspelt', page('<tide-gauge levle="2" unit="m"></tide-gauge>', { 'gauge.js': gauge }), ['prop-spelt levle']],
    [
      'what no property takes',
      page('<tide-gauge level="2" unit="m" colour="red"></tide-gauge>', { 'gauge.js': gauge }),
      ['prop-unknown colour'],
    ],
    ['a text where a number is', page('<tide-gauge level="high" unit="m"></tide-gauge>', { 'gauge.js': gauge }), ['prop-kind level']],
    [
      'a tag that nothing defines',
      page('<lock-list></lock-list>', {
        'list.js': lit('lock-list', 'LockList', '  render() { return html`<tide-guage></tide-guage>`; }'),
        'gauge.js': gauge,
      }),
      ['component-unknown tide-guage'],
    ],
    [
      'a listener that is never removed',
      page('<alarm-badge></alarm-badge>', {
        'badge.js': plain(
          'alarm-badge',
          'AlarmBadge',
          "  connectedCallback() { window.addEventListener('resize', () => { this.textContent = 'alarm'; }); }",
        ),
      }),
      ['subscription-kept resize of the window'],
    ],
    [
      'a bound function that is another one each time',
      page('<alarm-badge></alarm-badge>', {
        'badge.js': plain(
          'alarm-badge',
          'AlarmBadge',
          "  ring() { this.textContent = 'alarm'; }\n  connectedCallback() { window.addEventListener('resize', this.ring.bind(this)); }\n  disconnectedCallback() { window.removeEventListener('resize', this.ring.bind(this)); }",
        ),
      }),
      ['subscription-kept resize of the window'],
    ],
    [
      'an event that ends at a shadow root',
      page('<lock-list></lock-list>', {
        'list.js': lit(
          'lock-list',
          'LockList',
          "  connectedCallback() { super.connectedCallback(); this.addEventListener('lock-pick', (event) => { this.title = event.detail; }); }\n  render() { return html`<lock-frame></lock-frame>`; }",
        ),
        'frame.js': lit('lock-frame', 'LockFrame', '  render() { return html`<lock-card></lock-card>`; }'),
        'card.js': lit(
          'lock-card',
          'LockCard',
          "  pick() { this.dispatchEvent(new CustomEvent('lock-pick', { detail: 'a', bubbles: true })); }\n  render() { return html`<button @click=${this.pick}>Pick</button>`; }",
        ),
      }),
      ['event-stops-short lock-pick'],
    ],
    [
      'an event that does not bubble and is awaited above',
      page('<lock-list></lock-list>', {
        'list.js': plain(
          'lock-list',
          'LockList',
          "  connectedCallback() { this.addEventListener('lock-pick', (event) => { this.title = event.detail; }); this.innerHTML = '<lock-card></lock-card>'; }",
        ),
        'card.js': plain(
          'lock-card',
          'LockCard',
          "  connectedCallback() { this.onclick = () => this.dispatchEvent(new CustomEvent('lock-pick', { detail: 'a' })); }",
        ),
      }),
      ['event-stops-short lock-pick'],
    ],
    [
      'an event that nothing raises',
      page('<lock-list></lock-list>', {
        'list.js': lit(
          'lock-list',
          'LockList',
          '  render() { return html`<lock-card @lock-drop=${() => { this.title = ""; }}></lock-card>`; }',
        ),
        'card.js': lit(
          'lock-card',
          'LockCard',
          "  pick() { this.dispatchEvent(new CustomEvent('lock-pick')); }\n  render() { return html`<button @click=${this.pick}>Pick</button>`; }",
        ),
      }),
      ['event-never-raised @lock-drop'],
    ],
    [
      'a list that is changed in place',
      page('<lock-list></lock-list>', {
        'list.js': lit(
          'lock-list',
          'LockList',
          '  static properties = { names: { state: true } };\n  constructor() { super(); this.names = []; }\n  add() { this.names.push("a"); }\n  render() { return html`<button @click=${this.add}>Add</button>${this.names.map((name) => html`<p>${name}</p>`)}`; }',
        ),
      }),
      ['change-unseen names'],
    ],
    [
      'a field that is no property and shows',
      page('<lock-list></lock-list>', {
        'list.js': lit(
          'lock-list',
          'LockList',
          '  count = 0;\n  add() { this.count = this.count + 1; }\n  render() { return html`<button @click=${this.add}>${this.count}</button>`; }',
        ),
      }),
      ['change-unseen count'],
    ],
    [
      'the inside of what it gives itself, and nobody else does',
      page('<lock-row></lock-row>', {
        'row.js': lit(
          'lock-row',
          'LockRow',
          '  static properties = { locks: { attribute: false } };\n  constructor() { super(); this.locks = []; }\n  add() { this.locks.push("a"); this.requestUpdate(); }\n  render() { return html`<button @click=${this.add}>${this.locks.length}</button>`; }',
        ),
      }),
      [],
    ],
    [
      'the inside of what was given',
      page('<lock-list></lock-list>', {
        'list.js': lit(
          'lock-list',
          'LockList',
          '  static properties = { locks: { state: true } };\n  constructor() { super(); this.locks = []; }\n  render() { return html`<lock-row .locks=${this.locks}></lock-row>`; }',
        ),
        'row.js': lit(
          'lock-row',
          'LockRow',
          '  static properties = { locks: { attribute: false } };\n  add() { this.locks.push("a"); }\n  render() { return html`<button @click=${this.add}>${this.locks.length}</button>`; }',
        ),
      }),
      ['prop-written locks'],
    ],
    [
      'content where no slot is',
      page('<tide-gauge level="2" unit="m">high water</tide-gauge>', { 'gauge.js': gauge }),
      ['slot-nowhere default'],
    ],
    [
      'a context that nobody above provides',
      page('<lock-name></lock-name>', {
        'keeper.js': "import { createContext } from '@lit/context';\nexport const keeper = createContext('keeper');\n",
        'name.js': lit(
          'lock-name',
          'LockName',
          '  held = new ContextConsumer(this, { context: keeper });\n  render() { return html`${this.held.value.name}`; }',
          "import { ContextConsumer } from '@lit/context';\nimport { keeper } from './keeper.js';\n",
        ),
      }),
      ['context-missing keeper'],
    ],
    [
      'a field of a class that hides its property',
      page('<lock-list></lock-list>', {
        'list.js': lit(
          'lock-list',
          'LockList',
          '  static properties = { count: { type: Number } };\n  count = 0;\n  add() { this.count = this.count + 1; }\n  render() { return html`<button @click=${this.add}>${this.count}</button>`; }',
        ),
      }),
      ['change-unseen count'],
    ],
    [
      'a media query that is asked for ever',
      page('<lock-list></lock-list>', {
        'list.js': plain(
          'lock-list',
          'LockList',
          "  fit = () => { this.title = 'narrow'; };\n  connectedCallback() { this.query = matchMedia('(max-width: 40em)'); this.query.addEventListener('change', this.fit); }",
        ),
      }),
      ['subscription-kept change of the window'],
    ],
    [
      'a timer that goes on',
      page('<clock-badge></clock-badge>', {
        'clock.js': plain(
          'clock-badge',
          'ClockBadge',
          '  connectedCallback() { setInterval(() => { this.textContent = String(Date.now()); }, 1000); }',
        ),
      }),
      ['subscription-kept a timer'],
    ],
  ];

  test.each(sound)('sound: %s', (_, files, findings) => expect(found(files)).toEqual(findings));
  test.each(faulty)('%s', (_, files, findings) => expect(found(files)).toEqual(findings));
});

describe('content for a slot, from wherever in the class it comes', () => {
  const shown = (content: string, more = ''): Files =>
    page('<lock-list open></lock-list>', {
      'lock-box.js': lit('lock-box', 'LockBox', '  render() { return html`<p><slot name="head"></slot></p>`; }'),
      'lock-name.js': lit('lock-name', 'LockName', '  render() { return html`<i>a</i>`; }'),
      'lock-list.js': lit(
        'lock-list',
        'LockList',
        `  static properties = { open: { type: Boolean }, rows: { type: Array } };\n${more}\n  render() { return html\`<lock-box>${content}</lock-box>\`; }`,
        "import { nothing } from 'lit';\nimport { above } from 'above';\n",
      ),
    });
  test.each<[string, Files]>([
    ['an element under a condition', shown('${this.open ? html`<b slot="head">a</b>` : nothing}')],
    ['a component under a condition', shown('${this.open ? html`<lock-name slot="head"></lock-name>` : nothing}')],
    ['each of a list', shown('${this.rows.map((row) => html`<b slot="head">${row}</b>`)}')],
    ['what a method gives', shown('${this.top()}', '  top() { return html`<lock-name slot="head"></lock-name>`; }')],
    ['both of two', shown('${this.open ? html`<b slot="head">a</b>` : html`<i slot="head">b</i>`}')],
    ['what a function gives that is not seen', shown('${above()}')],
    ['nothing', shown('${nothing}')],
  ])('%s', (_, files) => {
    expect(found(files)).toEqual([]);
  });
  test.each<[string, Files]>([
    ['an element without a slot', shown('${this.open ? html`<b>a</b>` : nothing}')],
    ['one of two', shown('${this.open ? html`<b slot="head">a</b>` : html`<i>b</i>`}')],
    ['another slot', shown('${this.rows.map((row) => html`<b slot="foot">${row}</b>`)}')],
    ['a text', shown('some ${this.rows.length}')],
  ])('is nowhere for %s', (_, files) => {
    expect(found(files).filter((one) => one.startsWith('slot-nowhere'))).toHaveLength(1);
  });
  test('stands in the tree in its slot', () => {
    const { model } = analyseFiles(shown('${this.open ? html`<lock-name slot="head"></lock-name>` : nothing}'));
    expect(rows(model, treeOf(model, 'index.html'))).toMatch(/LockName in slot:head of LockList if this\.open/);
  });
});

test('what script makes for each of a list needs no key', () => {
  const made = (list: string): Files =>
    page('<lock-list></lock-list>', {
      'lock-list.js': lit(
        'lock-list',
        'LockList',
        `  static properties = { rows: { state: true } };\n  constructor() { super(); this.rows = []; }\n  drop() { this.rows = this.rows.filter((row) => row.open); }\n  render() { return html\`<p @click=\${this.drop}>\${${list}}</p>\`; }`,
      ),
    });
  const keys = (files: Files): string[] => found(files).filter((one) => one.startsWith('list-unkeyed'));
  expect(
    keys(made("this.rows.map((row) => { const field = document.createElement('input'); field.name = row.name; return field; })")),
  ).toEqual([]);
  expect(keys(made('this.rows.map((row) => html`<input name=${row.name}>`)'))).toEqual(['list-unkeyed key']);
});

describe('modules of elements whose library comes under another name', () => {
  const own = (text: string): Files => ({
    'index.html': '<tide-gauge></tide-gauge><script type="module" src="./src/gauge.js"></script>',
    'src/gauge.js': text,
  });
  test.each<[string, string]>([
    [
      'a decorator as a compiler writes it',
      "import { Base, html, customElement } from '@it/core'; let TideGauge = class TideGauge extends Base { render() { return html`<p>a</p>`; } }; TideGauge = __decorate([customElement('tide-gauge')], TideGauge); export { TideGauge };",
    ],
    [
      'a class that shows a template',
      "import { Base } from '@it/core'; import { html } from '@it/templates'; import { define } from './define.js'; export class TideGauge extends Base { render() { return html`<p>a</p>`; } }\ndefine('tide-gauge', TideGauge);",
    ],
  ])('%s', (_, text) => {
    const { model } = analyseFiles(own(text));
    expect([...model.components.values()].map(({ name, framework }) => `${name} ${framework}`)).toContain('TideGauge elements');
  });
  test.each<[string, string]>([
    [
      'a component of React',
      "import { Component } from 'react'; import { html } from 'htm/react'; export class Gauge extends Component { render() { return html`<p/>`; } }",
    ],
    [
      'a class that only makes texts',
      "import { html } from '@it/core'; export class Page extends Base { text() { return html`<p>a</p>`; } }",
    ],
  ])('not %s', (_, text) => {
    const { model } = analyseFiles({ 'src/gauge.js': text });
    expect([...model.components.values()].filter(({ framework }) => framework === 'elements')).toEqual([]);
  });
  test('an element of the document is no markup of a component', () => {
    const made = (by: string): string[] => {
      const { model } = analyseFiles({ 'src/make.js': `export function Make({ rows }) { return rows.map((row) => ${by}); }` });
      return [...model.components.values()].map(({ name }) => name);
    };
    expect([made("document.createElement('p')"), made("React.createElement('p')")]).toEqual([[], ['Make']]);
  });
});
