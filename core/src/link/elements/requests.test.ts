import { describe, expect, test } from 'vitest';
import { bundles, type Bundle } from '../../../../testing/src/bundles';
import { analyseFiles, type Files } from '../../../../testing/src/project';

const ask = (composed: boolean): string =>
  `new CustomEvent('keeperrequest', { detail: { answer }, bubbles: true${composed ? ', composed: true' : ''} })`;
const menu = (read: string, composed = true, field = 'keeper;'): Bundle => ({
  js: `  ${field}\n  connectedCallback() { const answer = (keeper) => { this.keeper = keeper; }; this.dispatchEvent(${ask(composed)}); }\n  get name() { return ${read}; }`,
  html: '<b>{name}</b>',
});
const shell = (answer: string): Bundle => ({
  js: `  keeper = { name: 'M. Oake' };\n  constructor() { super(); this.addEventListener('keeperrequest', ${answer}); }\n  give(event) { event.stopPropagation(); event.detail.answer(this.keeper); }`,
  html: '<c-bar></c-bar><slot></slot>',
});

const board = (inside: string): Bundle => ({ exposed: true, html: `<c-shell>${inside}</c-shell>` });
const app = (parts: Readonly<Record<string, Bundle>>, inside = '<c-menu></c-menu>'): Files =>
  bundles({ board: board(inside), bar: { html: '<span>bar</span>' }, ...parts });

const missing = (files: Files): string[] =>
  analyseFiles(files)
    .findings.filter(({ rule }) => rule === 'context-missing')
    .map(({ subject, at }) => `${subject} ${at.file.replace(/^.*\//, '')}`);

describe('what is asked for by an event, and is needed', () => {
  const cases: readonly [name: string, files: Files, missing: string[]][] = [
    ['is given by who hears it', app({ menu: menu('this.keeper.name'), shell: shell('(event) => this.give(event)') }), []],
    ['is given by a method itself', app({ menu: menu('this.keeper.name'), shell: shell('this.give') }), []],
    [
      'is not given where the event is only counted',
      app({
        menu: menu('this.keeper.name'),
        shell: {
          ...shell('() => this.count()'),
          js: '  n = 0;\n  constructor() { super(); this.addEventListener("keeperrequest", () => this.count()); }\n  count() { this.n++; }',
        },
      }),
      ['keeperrequest menu.js'],
    ],
    ['is given by nobody', app({ menu: menu('this.keeper.name'), shell: { html: '<slot></slot>' } }), ['keeperrequest menu.js']],
    ['may be missing, where that is seen to', app({ menu: menu('this.keeper?.name'), shell: { html: '<slot></slot>' } }), []],
    [
      'may be missing, where something stands in its stead',
      app({ menu: menu('this.keeper.name', true, "keeper = { name: 'nobody' };"), shell: { html: '<slot></slot>' } }),
      [],
    ],
    [
      'ends at the shadow root of the part that asks for it from within, and goes on from what is slotted',
      app(
        {
          menu: menu('this.keeper.name', false),
          bar: { html: '<c-menu></c-menu>' },
          shell: shell('(event) => this.give(event)'),
        },
        '<c-menu></c-menu>',
      ),
      ['keeperrequest menu.js'],
    ],
    [
      'comes by an element of the same tree',
      app({ menu: menu('this.keeper.name', false), shell: shell('(event) => this.give(event)') }),
      [],
    ],
  ];

  test.each(cases)('%s', (_, files, expected) => {
    expect(missing(files)).toEqual(expected);
  });

  const lit = (body: string): Files => ({
    'index.html': '<!doctype html><html><body><fare-sign></fare-sign><script type="module" src="./sign.js"></script></body></html>',
    'sign.js': `import { LitElement, html } from 'lit';\nexport class FareSign extends LitElement {\n${body}\n}\ncustomElements.define('fare-sign', FareSign);\n`,
  });
  const sent = "const ask = new CustomEvent('fare-ask', { bubbles: true, composed: true, detail: {} });\n    this.dispatchEvent(ask);";
  test.each<[name: string, body: string, missing: string[]]>([
    [
      'used at once',
      `  connectedCallback() {\n    super.connectedCallback();\n    ${sent}\n    this.label = ask.detail.fare.label;\n  }`,
      ['fare-ask sign.js'],
    ],
    [
      'used with a question',
      `  connectedCallback() {\n    super.connectedCallback();\n    ${sent}\n    this.label = ask.detail.fare?.label;\n  }`,
      [],
    ],
    [
      'used under a condition',
      `  connectedCallback() {\n    super.connectedCallback();\n    ${sent}\n    if (ask.detail.fare) this.label = ask.detail.fare.label;\n  }`,
      [],
    ],
    [
      'kept, and opened in the markup',
      `  fare;\n  connectedCallback() {\n    super.connectedCallback();\n    ${sent}\n    this.fare = ask.detail.fare;\n  }\n  render() { return html\`\${this.fare.label}\`; }`,
      ['fare-ask sign.js'],
    ],
    [
      'kept, and opened only where it is there',
      `  fare;\n  connectedCallback() {\n    super.connectedCallback();\n    ${sent}\n    this.fare = ask.detail.fare;\n  }\n  render() { return this.fare ? html\`\${this.fare.label}\` : html\`closed\`; }`,
      [],
    ],
  ])('what comes back in the event itself: %s', (_, body, expected) => {
    expect(missing(lit(body))).toEqual(expected);
  });
});
