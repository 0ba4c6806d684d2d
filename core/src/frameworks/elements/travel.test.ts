import { beforeAll, describe, expect, test } from 'vitest';
import { listenersOf, makeFlowQueries, whatHappens } from '../../flow';
import { rungText } from '../../flow/views/rung-text';
import { makeTraceWriter } from '../../formats';
import { lineAt, lineStarts } from '../../model/lines';
import { loadCompilers } from '../registry';
import { analyseFiles, type Files, rows, treeOf } from '../../../../testing/src/project';

const html = (body: string): string =>
  `<!doctype html>\n<html><body>${body}<script type="module" src="./src/main.js"></script></body></html>`;

function page(body: string, modules: Readonly<Record<string, string>>): Files {
  const loads = Object.keys(modules).map((name) => `import './${name}';\n`);
  const sources = Object.entries(modules).map(([name, text]): [string, string] => [`src/${name}`, text]);
  return { 'index.html': html(body), 'src/main.js': loads.join(''), ...Object.fromEntries(sources) };
}

const element = (tag: string, name: string, body: string, head = ''): string =>
  `${head}export class ${name} extends HTMLElement {\n${body}\n}\ncustomElements.define('${tag}', ${name});\n`;

/** What an answer says: each line’s component and what happens there. */
function told(files: Files, ask: string): string[] {
  const { model } = analyseFiles(files);
  const texts = new Map(Object.entries(files));
  const answer = makeTraceWriter(
    model,
    (file) => texts.get(file),
    (file, offset) => lineAt(lineStarts(texts.get(file) ?? ''), offset),
  ).ask(ask);
  if (!('entry' in answer)) throw new Error(`There is no answer to ${ask}.`);
  return answer.entry.rungs.map(({ component = '', how }) => `${component} ${how}`);
}

const open = "  constructor() { super(); this.attachShadow({ mode: 'open' }).innerHTML = ";
const raise = (options: string): string =>
  element(
    'lock-card',
    'LockCard',
    `  connectedCallback() { this.onclick = () => this.dispatchEvent(new CustomEvent('pick', ${options})); }`,
  );
const hearing = "  connectedCallback() { this.addEventListener('pick', () => { this.title = 'picked'; }); }";

describe('who hears an event of an element', () => {
  const cases: readonly [name: string, files: Files, hearers: readonly string[]][] = [
    [
      'the element around it in the same root',
      page('<lock-list><lock-card></lock-card></lock-list>', {
        'list.js': element('lock-list', 'LockList', hearing),
        'card.js': raise('{ bubbles: true }'),
      }),
      ['LockList'],
    ],
    [
      'the host, for what leaves its root',
      page('<lock-list></lock-list>', {
        'list.js': element('lock-list', 'LockList', `${open}'<lock-card></lock-card>'; }\n${hearing}`),
        'card.js': raise('{ bubbles: true, composed: true }'),
      }),
      ['LockList'],
    ],
    [
      'nobody outside of its root, where it is not composed',
      page('<lock-list></lock-list>', {
        'list.js': element('lock-list', 'LockList', `${open}'<lock-card></lock-card>'; }\n${hearing}`),
        'card.js': raise('{ bubbles: true }'),
      }),
      [],
    ],
    [
      'nobody above, where it does not bubble',
      page('<lock-list><lock-card></lock-card></lock-list>', {
        'list.js': element('lock-list', 'LockList', hearing),
        'card.js': raise('{}'),
      }),
      [],
    ],
    [
      'on the way down, where it does not bubble',
      page('<lock-list><lock-card></lock-card></lock-list>', {
        'list.js': element(
          'lock-list',
          'LockList',
          "  connectedCallback() { this.addEventListener('pick', () => { this.title = 'picked'; }, true); }",
        ),
        'card.js': raise('{}'),
      }),
      ['LockList'],
    ],
    [
      'the document, for what leaves all roots',
      page('<lock-list></lock-list><alarm-badge></alarm-badge>', {
        'list.js': element('lock-list', 'LockList', `${open}'<lock-card></lock-card>'; }`),
        'card.js': raise('{ bubbles: true, composed: true }'),
        'badge.js': element(
          'alarm-badge',
          'AlarmBadge',
          "  ring = () => { this.title = 'alarm'; };\n  connectedCallback() { document.addEventListener('pick', this.ring); }\n  disconnectedCallback() { document.removeEventListener('pick', this.ring); }",
        ),
      }),
      ['AlarmBadge'],
    ],
    [
      'an object that is told by its method',
      page('<lock-list><lock-card></lock-card></lock-list>', {
        'list.js': element(
          'lock-list',
          'LockList',
          "  connectedCallback() { this.addEventListener('pick', this); }\n  handleEvent() { this.title = 'picked'; }",
        ),
        'card.js': raise('{ bubbles: true }'),
      }),
      ['LockList'],
    ],
    [
      'a name that a constant of another module says',
      page('<lock-list><lock-card></lock-card></lock-list>', {
        'names.js': "export const PICK = 'pick';\n",
        'list.js': element(
          'lock-list',
          'LockList',
          "  connectedCallback() { this.addEventListener(PICK, () => { this.title = 'picked'; }); }",
          "import { PICK } from './names.js';\n",
        ),
        'card.js': element(
          'lock-card',
          'LockCard',
          '  connectedCallback() { this.onclick = () => this.dispatchEvent(new CustomEvent(PICK, { bubbles: true })); }',
          "import { PICK } from './names.js';\n",
        ),
      }),
      ['LockList'],
    ],
    [
      'a class of events that says name and options itself',
      page('<lock-list><lock-card></lock-card></lock-list>', {
        'pick.js': "export class PickEvent extends Event {\n  constructor(id) { super('pick', { bubbles: true }); this.id = id; }\n}\n",
        'list.js': element('lock-list', 'LockList', hearing),
        'card.js': element(
          'lock-card',
          'LockCard',
          '  connectedCallback() { this.onclick = () => this.dispatchEvent(new PickEvent(1)); }',
          "import { PickEvent } from './pick.js';\n",
        ),
      }),
      ['LockList'],
    ],
    [
      'a function of another module that sends it',
      page('<lock-list><lock-card></lock-card></lock-list>', {
        'fire.js':
          'export function fire(element, name, detail) {\n  element.dispatchEvent(new CustomEvent(name, { detail, bubbles: true, composed: true }));\n}\n',
        'list.js': element('lock-list', 'LockList', hearing),
        'card.js': element(
          'lock-card',
          'LockCard',
          "  connectedCallback() { this.onclick = () => fire(this, 'pick', 1); }",
          "import { fire } from './fire.js';\n",
        ),
      }),
      ['LockList'],
    ],
    [
      'a method that a class has from the one that it extends',
      page('<lock-list><lock-card></lock-card></lock-list>', {
        'base.js':
          'export class Telling extends HTMLElement {\n  tell(name) { this.dispatchEvent(new CustomEvent(name, { bubbles: true })); }\n}\n',
        'list.js': element('lock-list', 'LockList', hearing),
        'card.js':
          "import { Telling } from './base.js';\nexport class LockCard extends Telling {\n  connectedCallback() { this.onclick = () => this.tell('pick'); }\n}\ncustomElements.define('lock-card', LockCard);\n",
      }),
      ['LockList'],
    ],
    [
      'nobody behind one that stops it',
      page('<lock-board><lock-list><lock-card></lock-card></lock-list></lock-board>', {
        'board.js': element('lock-board', 'LockBoard', hearing),
        'list.js': element(
          'lock-list',
          'LockList',
          "  connectedCallback() { this.addEventListener('pick', (event) => { event.stopPropagation(); this.title = 'picked'; }); }",
        ),
        'card.js': raise('{ bubbles: true }'),
      }),
      ['LockList'],
    ],
  ];

  test.each(cases)('%s', (_, files, hearers) => {
    const lines = told(files, 'hears:LockCard.pick');
    expect([...new Set(lines.filter((line) => line.endsWith(' hears')).map((line) => line.slice(0, -' hears'.length)))]).toEqual(hearers);
  });
});

describe('where an event ends', () => {
  const list = (inner: string): Record<string, string> => ({
    'list.js': element('lock-list', 'LockList', `${open}'<lock-card></lock-card>'; }`),
    'card.js': `import { LitElement, html } from 'lit';\nclass LockCard extends LitElement {\n  pick() { this.dispatchEvent(new CustomEvent('pick', ${inner})); }\n  render() { return html\`<button @click=\${this.pick}>Pick</button>\`; }\n}\ncustomElements.define('lock-card', LockCard);\n`,
  });

  test.each([
    ['at the root that it stands in', '{ bubbles: true }', 'sends pick, it ends at the root of LockList, and nobody before listens'],
    ['at the element', '{}', 'sends pick, it does not bubble, and nobody listens on it'],
    ['at the document', '{ bubbles: true, composed: true }', 'sends pick, nobody listens'],
  ])('%s', (_, options, says) => {
    const files = page('<lock-list></lock-list>', list(options));
    const { model } = analyseFiles(files);
    const ways = makeFlowQueries(model, treeOf(model, 'index.html'));
    const [listener] = ways.graph.frames.flatMap((frame) => listenersOf(frame));
    const trace = listener && whatHappens(ways, listener);
    expect(trace?.rungs.map((rung) => rungText(rung, 'happens')).at(-1)).toBe(says);
  });
});

describe('elements in the markup of other frameworks', () => {
  beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));
  const gauge =
    "import { LitElement, html } from 'lit';\nexport class TideGauge extends LitElement {\n  static properties = { level: { type: Number } };\n  pick() { this.dispatchEvent(new CustomEvent('pick')); }\n  render() { return html`<b @click=${this.pick}>${this.level}</b>`; }\n}\ncustomElements.define('tide-gauge', TideGauge);\n";
  const cases: readonly [name: string, files: Files, page: string, tree: string][] = [
    [
      'React',
      {
        'src/main.jsx':
          "import { createRoot } from 'react-dom/client';\nimport { App } from './App';\nimport './gauge.js';\ncreateRoot(document.body).render(<App />);\n",
        'src/App.jsx':
          "import { useState } from 'react';\nexport function App() {\n  const [level] = useState(2);\n  return <tide-gauge level={level} />;\n}\n",
        'src/gauge.js': gauge,
      },
      'App',
      'App\n  TideGauge',
    ],
    [
      'Vue',
      {
        'src/main.js':
          "import { createApp } from 'vue';\nimport App from './App.vue';\nimport './gauge.js';\ncreateApp(App).mount('#app');\n",
        'src/App.vue':
          '<script setup>\nimport { ref } from "vue";\nconst level = ref(2);\n</script>\n<template><tide-gauge :level="level" /></template>\n',
        'src/gauge.js': gauge,
      },
      'App',
      'App\n  TideGauge',
    ],
    [
      'Svelte',
      {
        'src/main.js':
          "import { mount } from 'svelte';\nimport App from './App.svelte';\nimport './gauge.js';\nmount(App, { target: document.body });\n",
        'src/App.svelte': '<script>\nlet level = $state(2);\n</script>\n<tide-gauge {level}></tide-gauge>\n',
        'src/gauge.js': gauge,
      },
      'App',
      'App\n  TideGauge',
    ],
  ];

  test.each(cases)('%s', (_, files, name, tree) => {
    const { model, findings } = analyseFiles(files);
    expect(rows(model, treeOf(model, name))).toBe(tree);
    expect(findings.filter(({ severity }) => severity !== 'tidy').map(({ message }) => message)).toEqual([]);
    expect(told(files, 'goes:App.level')).toContain('TideGauge paints');
  });
});
