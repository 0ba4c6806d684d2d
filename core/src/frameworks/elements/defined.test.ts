import { describe, expect, test } from 'vitest';
import { analyseFiles, type Files } from '../../../../testing/src/project';

const page = '<!doctype html><html><body><x-app></x-app><script type="module" src="./app.ts"></script></body></html>';
const badge =
  "import { LitElement, html } from 'lit';\nexport class XBadge extends LitElement { render() { return html`new`; } }\ncustomElements.define('x-badge', XBadge);\n";
const app = (head: string, more = ''): string =>
  `import { LitElement, html } from 'lit';\n${head}\nclass XApp extends LitElement {\n${more}  render() { return html\`<x-badge></x-badge>\`; }\n}\ncustomElements.define('x-app', XApp);\n`;

const said = (files: Files): string[] =>
  analyseFiles(files).findings.flatMap(({ rule, message, evidence }) =>
    rule === 'component-unknown' ? [message, ...evidence.slice(2).map(({ text }) => text)] : [],
  );

const unloaded = 'XApp uses x-badge, and no page of the project loads badge.ts with it, which defines it.';

describe('an element that a module of the project defines', () => {
  test.each<[name: string, files: Files, expected: string[]]>([
    ['which no page loads', { 'index.html': page, 'app.ts': app(''), 'badge.ts': badge }, [unloaded]],
    [
      'which is imported as a type',
      {
        'index.html': page,
        'app.ts': app("import type { XBadge } from './badge.js';", '  badge?: XBadge;\n'),
        'badge.ts': badge,
      },
      [unloaded, 'XBadge is imported for types alone, which loads nothing.'],
    ],
    [
      'which only types name, so that the compiler leaves its import out',
      {
        'index.html': page,
        'app.ts': app(
          "import { XBadge } from './badge.js';",
          '  get badge() { return this.renderRoot.querySelector<XBadge>("x-badge"); }\n',
        ),
        'badge.ts': badge,
      },
      [unloaded, 'XBadge is imported for types alone, which loads nothing.'],
    ],
    [
      'which only types name, where the compiler is told to keep that',
      {
        'index.html': page,
        'app.ts': app(
          "import { XBadge } from './badge.js';",
          '  get badge() { return this.renderRoot.querySelector<XBadge>("x-badge"); }\n',
        ),
        'badge.ts': badge,
        'tsconfig.json': '{ "compilerOptions": { "verbatimModuleSyntax": true } }',
      },
      [],
    ],
    [
      'which only types name, where nobody sees what the configuration extends',
      {
        'index.html': page,
        'app.ts': app("import { XBadge } from './badge.js';", '  badge?: XBadge;\n'),
        'badge.ts': badge,
        'tsconfig.json': '{ "extends": "./tsconfig.base.json" }',
        'tsconfig.base.json': '{ "extends": "strict-config" }',
      },
      [],
    ],
    ...['export { XBadge };', '@property({ type: XBadge }) badge;', 'static one = { XBadge };'].map((use): [string, Files, string[]] => [
      `which is used by ${use}`,
      {
        'index.html': page,
        'app.ts': use.startsWith('export')
          ? `${app("import { XBadge } from './badge.js';")}${use}\n`
          : app("import { XBadge } from './badge.js';", `  ${use}\n`),
        'badge.ts': badge,
      },
      [],
    ]),
    [
      'which is used by its name as well',
      {
        'index.html': page,
        'app.ts': app("import { XBadge } from './badge.js';", '  isOne(one) { return one instanceof XBadge; }\n'),
        'badge.ts': badge,
      },
      [],
    ],
    ['which is imported for what it does', { 'index.html': page, 'app.ts': app("import './badge.js';"), 'badge.ts': badge }, []],
    [
      'which is loaded later',
      {
        'index.html': page,
        'app.ts': app('', "  connectedCallback() { super.connectedCallback(); import('./badge.js'); }\n"),
        'badge.ts': badge,
      },
      [],
    ],
    [
      'where the page loads something that is not among the files',
      { 'index.html': page.replace('</body>', '<script src="./vendor.js"></script></body>'), 'app.ts': app(''), 'badge.ts': badge },
      [],
    ],
    [
      'where something defines elements by names that it is handed',
      {
        'index.html': page,
        'app.ts': app("import { define } from './define.js';\ndefine('x-' + 'badge');"),
        'define.ts': 'export function define(tag) { customElements.define(tag, class extends HTMLElement {}); }\n',
        'badge.ts': badge,
      },
      [],
    ],
    ['where no page is among the files', { 'app.ts': app(''), 'badge.ts': badge }, []],
  ])('%s', (_, files, expected) => {
    expect(said(files)).toEqual(expected);
  });
});
