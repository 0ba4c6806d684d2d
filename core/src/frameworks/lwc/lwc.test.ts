import { describe, expect, test } from 'vitest';
import { type Bundle, bundles } from '../../../../testing/src/bundles';
import { analyseFiles, type Files, pageNamed, rows, treeOf } from '../../../../testing/src/project';
import { spotNamed, traceLines } from '../../../../testing/src/trace';
import { makeFlowQueries, traceOf } from '../../flow';
import { unfold } from '../../tree';

const found = (files: Files): string[] =>
  analyseFiles(files)
    .findings.filter(({ severity }) => severity !== 'tidy')
    .map(({ rule, subject }) => `${rule} ${subject}`)
    .sort();

const row: Bundle = {
  js: "  @api lock;\n  @api isOpen;\n  pick() { this.dispatchEvent(new CustomEvent('pick', { detail: this.lock.id })); }",
  html: '<button onclick={pick}>{lock.name}</button><template lwc:if={isOpen}><b>open</b></template>',
};

describe('the tree of a bundle', () => {
  const cases: readonly [name: string, files: Files, page: string, tree: string][] = [
    [
      'lists, conditions and their families',
      bundles({
        board: {
          exposed: true,
          js: '  locks = [];\n  shown = true;',
          html: '<template for:each={locks} for:item="lock"><c-lock-row key={lock.id} lock={lock}></c-lock-row></template><template lwc:if={shown}><c-note></c-note></template><template lwc:else><c-hint></c-hint></template><template if:true={shown}><c-old></c-old></template>',
        },
        lockRow: { js: '  @api lock;', html: '{lock.name}' },
        note: {},
        hint: {},
        old: {},
      }),
      'board',
      'board\n  lockRow each lock\n  note if shown\n  hint if not shown\n  old if shown',
    ],
    [
      'an iterator, and a slot with what fills it',
      bundles({
        board: {
          exposed: true,
          js: '  locks = [];',
          html: '<template iterator:it={locks}><c-lock-row key={it.value.id} lock={it.value}></c-lock-row></template><c-frame><c-note slot="foot"></c-note></c-frame>',
        },
        lockRow: { js: '  @api lock;', html: '{lock.name}' },
        frame: { html: '<slot name="foot"></slot>' },
        note: {},
      }),
      'board',
      'board\n  lockRow each it\n  frame\n    note in slot:foot of board',
    ],
    [
      'names of several words',
      bundles({ tideBoard: { exposed: true, html: '<c-tide-level-gauge></c-tide-level-gauge>' }, tideLevelGauge: {} }),
      'tideBoard',
      'tideBoard\n  tideLevelGauge',
    ],
  ];

  test.each(cases)('%s', (_, files, page, tree) => {
    const { model } = analyseFiles(files);
    expect(rows(model, treeOf(model, page))).toBe(tree);
  });
});

describe('what is found in bundles', () => {
  type Case = readonly [name: string, files: Files, findings: readonly string[]];
  const board = (html: string, js = "  lock = { id: 'a', name: 'Saltings' };\n  pick() {}"): Bundle => ({ exposed: true, js, html });
  const wired = (asked: string): Bundle => ({
    head: "import read from '@salesforce/apex/Lock.read';\n",
    js: `  @api recordId;\n  @wire(read, { lockId: ${asked}, of: '$later.id' }) day;\n  later = { id: 1 };`,
    html: '{day.data}',
  });
  const sound: Case[] = [
    ['a wire that is asked with members, wherever they stand', bundles({ board: { ...wired("'$recordId'"), exposed: true } }), []],
    [
      'a timer that asks whether it is to go on',
      bundles({
        board: board(
          '{n}',
          '  n = 0;\n  isOn = true;\n  connectedCallback() { setInterval(() => { if (this.isOn) this.n++; }, 1000); }\n  disconnectedCallback() { this.isOn = false; }',
        ),
      }),
      [],
    ],
    ['all that a row needs', bundles({ board: board('<c-lock-row lock={lock} is-open onpick={pick}></c-lock-row>'), lockRow: row }), []],
    [
      'attributes of the platform by the names of their properties',
      bundles({
        board: board('<c-field readonly maxlength="3" aria-label="Name" tabindex="0"></c-field>'),
        field: {
          js: '  @api readOnly;\n  @api maxLength;\n  @api ariaLabel;',
          html: '<input readonly={readOnly} maxlength={maxLength} aria-label={ariaLabel}>',
        },
      }),
      [],
    ],
    [
      'a class whose base is of another package',
      bundles({
        board: {
          exposed: true,
          head: "import Base from 'c/elsewhere';\n",
          base: 'Base',
          js: '  connectedCallback() { this.start(this.limit); }',
          html: '{title}<c-note label={heading}></c-note>',
        },
        note: { js: '  @api label;', html: '{label}' },
      }),
      [],
    ],
    [
      'a list that is filled before it shows',
      bundles({
        board: board(
          '<template for:each={locks} for:item="lock"><p key={lock.id}>{lock.name}</p></template>',
          '  locks = [];\n  connectedCallback() { this.locks.push({ id: 1 }); }',
        ),
      }),
      [],
    ],
    [
      'a list that is followed deeply',
      bundles({
        board: board(
          '<button onclick={add}></button><template for:each={locks} for:item="lock"><p key={lock.id}>{lock.name}</p></template>',
          '  @track locks = [];\n  add() { this.locks.push({ id: 1 }); }',
        ),
      }),
      [],
    ],
    [
      'a listener that is removed',
      bundles({
        board: board(
          '',
          "  ring = () => {};\n  connectedCallback() { window.addEventListener('resize', this.ring); }\n  disconnectedCallback() { window.removeEventListener('resize', this.ring); }",
        ),
      }),
      [],
    ],
    [
      'a property with a setter of its own',
      bundles({
        board: board('<c-note label="a"></c-note>'),
        note: {
          js: '  @api get label() { return this.held; }\n  set label(value) { this.held = value; }\n  held;\n  clear() { this.label = ""; }',
          html: '<button onclick={clear}>{label}</button>',
        },
      }),
      [],
    ],
    [
      'an event that the platform raises',
      bundles({ board: board('<c-lock-row lock={lock} onpick={pick} ondrop={pick}></c-lock-row>'), lockRow: row }),
      [],
    ],
  ];
  const faulty: Case[] = [
    [
      'a name that is misspelt',
      bundles({ board: board('<c-lock-row lokc={lock} onpick={pick}></c-lock-row>'), lockRow: row }),
      ['prop-spelt lokc'],
    ],
    [
      'what no property takes',
      bundles({ board: board('<c-lock-row lock={lock} colour="red" onpick={pick}></c-lock-row>'), lockRow: row }),
      ['prop-unknown colour'],
    ],
    [
      'a field that the class keeps to itself',
      bundles({
        board: board('<c-lock-row lock={lock} is-open onpick={pick}></c-lock-row>'),
        lockRow: { ...row, js: (row.js ?? '').replace('@api isOpen', 'isOpen = false') },
      }),
      ['prop-unknown isOpen'],
    ],
    [
      'what a row reads and is not given',
      bundles({ board: board('<c-lock-row onpick={pick}></c-lock-row>'), lockRow: row }),
      ['prop-missing lock'],
    ],
    [
      'a handler that is not there',
      bundles({ board: board('<c-lock-row lock={lock} onpick={picked}></c-lock-row>'), lockRow: row }),
      ['handler-missing picked'],
    ],
    ['a name that the class has not', bundles({ board: board('<p>{depth}</p>') }), ['name-unknown depth']],
    [
      'a wire that is asked with what the class has not',
      bundles({ board: { ...wired("'$recordID'"), exposed: true } }),
      ['name-unknown recordID'],
    ],
    [
      'a timer of which the end of life only forgets the number',
      bundles({
        board: board(
          '{n}',
          '  n = 0;\n  connectedCallback() { this.timer = setInterval(() => { this.n++; }, 1000); }\n  disconnectedCallback() { this.timer = undefined; }\n  timer;',
        ),
      }),
      ['subscription-kept a timer'],
    ],
    [
      'a bundle that is not there',
      bundles({ board: board('<c-lock-rwo lock={lock}></c-lock-rwo>'), lockRow: row }),
      ['component-unknown c-lock-rwo'],
    ],
    [
      'an event of its own that nothing raises',
      bundles({ board: board('<c-lock-row lock={lock} onpick={pick} onunlocked={pick}></c-lock-row>'), lockRow: row }),
      ['event-never-raised onunlocked'],
    ],
    [
      'the inside of what was given',
      bundles({
        board: board('<c-lock-list locks={locks}></c-lock-list>', '  locks = [];'),
        lockList: { js: '  @api locks;\n  add() { this.locks.push({}); }', html: '<button onclick={add}>{locks}</button>' },
      }),
      ['prop-written locks'],
    ],
    [
      'a list that is changed in place',
      bundles({
        board: board(
          '<button onclick={add}></button><template for:each={locks} for:item="lock"><p key={lock.id}>{lock.name}</p></template>',
          '  locks = [];\n  add() { this.locks.push({ id: 1 }); }',
        ),
      }),
      ['change-unseen locks'],
    ],
    [
      'a listener that is never removed',
      bundles({ board: board('', "  connectedCallback() { window.addEventListener('resize', () => { this.wide = true; }); }\n  wide;") }),
      ['subscription-kept resize of the window'],
    ],
    [
      'a message that is never unsubscribed',
      bundles({
        board: {
          exposed: true,
          head: "import { subscribe, MessageContext, createMessageContext } from 'lightning/messageService';\nimport LEVEL from '@salesforce/messageChannel/Level__c';\n",
          js: '  context = createMessageContext();\n  connectedCallback() { this.held = subscribe(this.context, LEVEL, (message) => { this.level = message.level; }); }\n  held;\n  level;',
          html: '{level}',
        },
        sender: {
          exposed: true,
          head: "import { publish, MessageContext } from 'lightning/messageService';\nimport LEVEL from '@salesforce/messageChannel/Level__c';\n",
          js: '  @wire(MessageContext) context;\n  send() { publish(this.context, LEVEL, { level: 2 }); }',
          html: '<button onclick={send}></button>',
        },
      }),
      ['subscription-kept of LEVEL'],
    ],
    [
      'one thing that two parts ask for, and one of them changes',
      bundles({
        page: { exposed: true, html: '<c-boats></c-boats><c-count></c-count>' },
        boats: {
          head: "import load from '@salesforce/apex/Boats.load';\n",
          js: '  rows = [];\n  async connectedCallback() { this.rows = await load(); }\n  add() { this.rows = [...this.rows, 1]; }',
          html: '<button onclick={add}></button>{rows.length}',
        },
        count: {
          head: "import load from '@salesforce/apex/Boats.load';\n",
          js: '  rows = [];\n  async connectedCallback() { this.rows = await load(); }',
          html: '{rows.length}',
        },
      }),
      ['two-truths Boats.load'],
    ],
    [
      'a text that says false, which is a true one',
      bundles({
        board: board('<c-note open="false"></c-note><c-note open="true"></c-note><c-note open></c-note>'),
        note: { js: '  @api open = false;', html: '<p lwc:if={open}>open</p>' },
      }),
      ['prop-kind open'],
    ],
    ['content where no slot is', bundles({ board: board('<c-note>read me</c-note>'), note: {} }), ['slot-nowhere default']],
    [
      'an event name that no template can listen to',
      bundles({
        board: board('<c-lock-row onlockpick={pick}></c-lock-row>'),
        lockRow: { js: "  pick() { this.dispatchEvent(new CustomEvent('lockPick')); }", html: '<button onclick={pick}></button>' },
      }),
      ['prop-spelt onlockpick'],
    ],
    [
      'an event that ends at a root',
      bundles({
        board: board('<div onmoor={pick}><c-quay></c-quay></div>'),
        quay: { html: '<c-boat></c-boat>' },
        boat: {
          js: "  moor() { this.dispatchEvent(new CustomEvent('moor', { bubbles: true })); }",
          html: '<button onclick={moor}></button>',
        },
      }),
      ['event-stops-short moor'],
    ],
  ];

  test.each(sound)('sound: %s', (_, files, findings) => expect(found(files)).toEqual(findings));
  test.each(faulty)('%s', (_, files, findings) => expect(found(files)).toEqual(findings));
});

test('of two projects in one folder each means its own bundles', () => {
  const project = (folder: string, row: string): Files =>
    Object.fromEntries(
      Object.entries(
        bundles({
          board: {
            exposed: true,
            head: "import { first } from 'c/levels';\n",
            js: '  level = first;',
            html: '<c-row level={level}></c-row>',
          },
          row: { js: row, html: '<b>x</b>' },
          levels: {},
        }),
      ).flatMap(([file, text]) =>
        file.endsWith('levels.html') ? [] : [[`${folder}/${file}`, file.endsWith('levels.js') ? 'export const first = 1;' : text]],
      ),
    );
  const files = { ...project('one', '  @api level;'), ...project('two', '  @api height;') };
  expect(analyseFiles(files).findings.flatMap(({ rule, at }) => (/^prop-(?:unknown|spelt)$/.test(rule) ? [at.file] : []))).toEqual([
    'two/force-app/main/default/lwc/board/board.html',
  ]);
  const { model } = analyseFiles(files);
  expect(model.named('two/force-app/main/default/lwc/board/board.js', 'first')).toMatchObject({
    file: 'two/force-app/main/default/lwc/levels/levels.js',
  });
});

describe('bundles of the older framework', () => {
  const at = (name: string, file: string): string => `force-app/main/default/aura/${name}/${name}${file}`;
  const gate: Files = {
    [at('Gate', '.cmp')]:
      '<aura:component>\n<aura:attribute name="open" type="Boolean" default="false" />\n<aura:registerEvent name="passed" type="c:Passed" />\n<aura:if isTrue="{!v.open}"><button onclick="{!c.pass}">Pass</button></aura:if>\n</aura:component>',
    [at('Gate', 'Controller.js')]: "({\n  pass: function (component) {\n    component.getEvent('passed').fire();\n  }\n})",
  };
  const house = (markup: string): Files => ({
    ...gate,
    ...bundles({ board: { js: '  @api level;', html: '{level}' } }),
    [at('House', '.cmp')]:
      `<aura:component implements="flexipage:availableForAllPageTypes">\n<aura:attribute name="count" type="Integer" default="0" />\n<aura:attribute name="gates" type="List" />\n${markup}\n</aura:component>`,
    [at('House', 'Controller.js')]: '({\n  count: function (component, event, helper) {\n    helper.add(component);\n  }\n})',
    [at('House', 'Helper.js')]: "({\n  add: function (component) {\n    component.set('v.count', component.get('v.count') + 1);\n  }\n})",
  });

  test('its tree has older and newer bundles, conditions and lists', () => {
    const { model } = analyseFiles(
      house(
        '<aura:iteration items="{!v.gates}" var="gate"><c:Gate open="{!gate.open}" passed="{!c.count}" /></aura:iteration><c:board level="{!v.count}" />',
      ),
    );
    expect(rows(model, treeOf(model, 'House'))).toBe('House\n  Gate each gate\n  board');
  });

  test.each<readonly [name: string, markup: string, findings: readonly string[]]>([
    ['sound', '<c:Gate open="true" passed="{!c.count}" /><c:board level="{!v.count}" />', []],
    ['an action that the controller has not', '<c:Gate open="true" passed="{!c.counted}" />', ['handler-missing counted']],
    ['a bundle that is not there', '<c:Gaet open="true" />', ['component-unknown c:Gaet']],
    ['what no attribute takes', '<c:Gate open="true" colour="red" passed="{!c.count}" />', ['prop-unknown colour']],
  ])('%s', (_, markup, findings) => expect(found(house(markup))).toEqual(findings));

  test('a newer bundle cannot hold an older one', () => {
    const files = { ...gate, ...bundles({ board: { exposed: true, html: '<c-gate></c-gate>' } }) };
    expect(found(files)).toEqual(['layer-crossed Gate']);
  });
});

test('a package of the registry that bears the platform’s name makes no bundle of a component', () => {
  const { model } = analyseFiles({
    'src/main.jsx':
      "import { createRoot } from 'react-dom/client';\nimport { App } from './App';\ncreateRoot(document.body).render(<App />);\n",
    'src/App.jsx':
      "import { useBasket } from '@salesforce/commerce-sdk-react';\nexport function App() { const basket = useBasket(); return <p>{basket.total}</p>; }\n",
  });
  expect([...model.components.values()].map(({ name, framework }) => `${name} ${framework}`)).toContain('App react');
});

test('a name that the markup reads at two places is one finding, with both', () => {
  const { findings } = analyseFiles(
    bundles({ app: { exposed: true, js: '  depth = 2;', html: '<p>{level}</p><b>{level}</b><i>{depth}</i>' } }),
  );
  const told = findings.filter(({ rule }) => rule === 'name-unknown');
  expect(told.map(({ subject, evidence }) => [subject, evidence.length])).toEqual([['level', 2]]);
});

describe('content for a slot within what conditions and lists hold', () => {
  const filled = (content: string): Files =>
    bundles({
      board: { exposed: true, js: '  open = true;\n  rows = [{ id: 1 }];', html: `<c-frame>${content}</c-frame>` },
      frame: { html: '<slot name="foot"></slot>' },
    });
  test.each([
    ['a condition', '<template lwc:if={open}><b slot="foot">a</b></template><template lwc:else><i slot="foot">b</i></template>'],
    ['the older condition', '<template if:true={open}><b slot="foot">a</b></template>'],
    ['a list', '<template for:each={rows} for:item="row"><b key={row.id} slot="foot">a</b></template>'],
  ])('%s', (_, content) => {
    expect(found(filled(content))).toEqual([]);
  });
  test.each([
    ['no slot', '<template lwc:if={open}><b>a</b></template>', 'slot-nowhere default'],
    ['another slot', '<template lwc:if={open}><b slot="head">a</b></template>', 'slot-nowhere head'],
  ])('is nowhere for %s', (_, content, told) => {
    expect(found(filled(content))).toEqual([told]);
  });
});

describe('what changes a field', () => {
  const changes = (js: string, name: string): string[] => {
    const { model } = analyseFiles(bundles({ board: { exposed: true, js, html: '{rows}{draft}' } }));
    const ways = makeFlowQueries(model, unfold(model, pageNamed(model, 'board')));
    return traceLines(traceOf(ways, spotNamed(ways, `board.${name}`), 'changes')).map((line) => line.trim());
  };

  test('a function that a wire hands its answer to', () => {
    const js = "  @api ovenId;\n  rows = [];\n  @wire(getRows, { id: '$ovenId' }) wiredRows({ data }) { this.rows = data; }";
    expect(changes(js, 'rows')).toEqual([
      'board owns rows',
      'board changes rows',
      'board starts wiredRows | platform when getRows answers',
    ]);
  });

  test('the setter of a property that is given from outside, and one that nobody uses', () => {
    const api = "  draft = '';\n  held;\n  @api get kind() { return this.held; }\n  set kind(to) { this.held = to; this.draft = to; }";
    expect(changes(api, 'draft')).toEqual([
      'board owns draft',
      'board changes draft',
      'board starts set kind | platform when kind is given',
    ]);
    const own = "  draft = '';\n  held;\n  get kind() { return this.held; }\n  set kind(to) { this.held = to; this.draft = to; }";
    expect(changes(own, 'draft')).toEqual(['board owns draft', 'board changes draft', 'board starts set kind | uncalled set kind']);
  });
});
