import { describe, expect, test } from 'vitest';
import { analyseFiles } from '../../../../testing/src/project';

type Files = Readonly<Record<string, string>>;

const rulesOf = (files: Files): string[] => analyseFiles(files).findings.map(({ rule, component }) => `${rule} ${component.split('#')[1]}`);

const raising = 'raise() { this.dispatchEvent(new CustomEvent("tide-open", { bubbles: true, composed: true })); }';
const box = (listened: string): string => `import { LitElement, html } from 'lit';
import { OpenMixin } from './mixin.js';
class TideContent extends OpenMixin(LitElement) {}
customElements.define('tide-content', TideContent);
class TideDrop extends LitElement { render() { return html\`<slot></slot>\`; } }
customElements.define('tide-drop', TideDrop);
class TideBox extends LitElement {
  static properties = { isSeen: { state: true } };
  render() { return html\`<tide-drop @${listened}=\${this.seen}><tide-content></tide-content>\${this.isSeen}</tide-drop>\`; }
  seen() { this.isSeen = true; }
}
customElements.define('tide-box', TideBox);`;
const page = '<body><tide-box></tide-box><script type="module" src="./box.js"></script></body>';

describe('functions that make a class of another one', () => {
  test.each([
    ['of what they are handed', `export const OpenMixin = (Base) => class extends Base { ${raising} };`],
    ['without brackets around it', `export const OpenMixin = superclass => class extends superclass { ${raising} };`],
    [
      'of what another function makes of it',
      `import { Busy } from './busy.js';\nexport const OpenMixin = (Base) => class extends Busy(Base) { ${raising} };`,
    ],
    [
      'by a statement, of what two others make of it',
      `import { Busy } from './busy.js';\nexport function OpenMixin(Base) { return class Open extends Busy(Busy(Base)) { ${raising} }; }`,
    ],
    [
      'by what is private in it',
      `export const OpenMixin = (Base) => class extends Base { constructor() { super(); this.addEventListener('focus', this.#raise); } #${raising} };`,
    ],
  ])('%s: what it raises is raised by who extends it', (_, mixin) => {
    const files = {
      'index.html': page,
      'mixin.js': mixin,
      'busy.js': 'export const Busy = (Base) => class extends Base { requestUpdate() {} };',
    };
    expect(rulesOf({ ...files, 'box.js': box('tide-open') })).toEqual([]);
    expect(rulesOf({ ...files, 'box.js': box('tide-opened') })).toContain('event-never-raised TideBox');
  });

  test('of a component of React it is no element', () => {
    const { model } = analyseFiles({
      'withFocus.jsx':
        "import { Component } from 'react';\nexport const withFocus = (Inner) => class extends Component { focus() { this.node.dispatchEvent(new Event('x')); } render() { return <Inner />; } };",
    });
    expect(model.files.get('withFocus.jsx')?.framework).not.toBe('elements');
  });
});

test('a class is no twin of one that it extends without markup of its own', () => {
  const rows = '<header><b>x</b><i>y</i></header><main><p>a</p><p>b</p><ul><li>c</li><li>d</li></ul></main><footer><em>z</em></footer>';
  const files = {
    'index.html': '<body><a-dialog></a-dialog><b-dialog></b-dialog><script type="module" src="./all.js"></script></body>',
    'all.js': `import { LitElement, html } from 'lit';
export class ADialog extends LitElement { render() { return html\`${rows}\`; } }
customElements.define('a-dialog', ADialog);
export class BDialog extends ADialog {}
customElements.define('b-dialog', BDialog);`,
  };
  expect(rulesOf(files).filter((one) => one.startsWith('twins'))).toEqual([]);
});

describe('a package whose elements are for its users', () => {
  const parts = {
    'components/gauge.js': `import { LitElement, html } from 'lit';
class TideGauge extends LitElement { render() { return html\`<button @click=\${() => this.dispatchEvent(new CustomEvent('level-change'))}>Up</button>\`; } }
customElements.define('tide-gauge', TideGauge);`,
    'package.json': '{ "name": "tides", "version": "1.0.0" }',
  };
  const shows = '<body><tide-gauge></tide-gauge><script type="module" src="../components/gauge.js"></script></body>';

  test('pages that only try them out leave open who hears them', () => expect(rulesOf({ ...parts, 'demo/gauge.html': shows })).toEqual([]));

  test('a page of its own is an application, in which nobody else does', () =>
    expect(rulesOf({ ...parts, 'pages/gauge.html': shows })).toEqual(['event-unheard TideGauge']));
});

test('what stands around a slot may hear what its users put there', () => {
  const menu = (inside: string): Files => ({
    'index.html': '<body><tide-menu></tide-menu><tide-item></tide-item><script type="module" src="./menu.js"></script></body>',
    'menu.js': `import { LitElement, html } from 'lit';
class TideList extends LitElement { render() { return html\`<slot></slot>\`; } }
customElements.define('tide-list', TideList);
class TideItem extends LitElement { render() { return html\`<button @click=\${() => this.dispatchEvent(new CustomEvent('item-taken', { bubbles: true, composed: true }))}>x</button>\`; } }
customElements.define('tide-item', TideItem);
class TideMenu extends LitElement { render() { return html\`<tide-list @item-taken=\${() => console.log(1)}>${inside}</tide-list>\`; } }
customElements.define('tide-menu', TideMenu);`,
  });
  expect(rulesOf(menu('<slot></slot>')).filter((one) => one.startsWith('event-never'))).toEqual([]);
  const unraised = menu('<p><slot></slot></p>')['menu.js']?.replaceAll("'item-taken'", "'item-seen'") ?? '';
  expect(rulesOf({ ...menu(''), 'menu.js': unraised }).filter((one) => one.startsWith('event-never'))).toEqual([]);
  expect(rulesOf(menu('<p>x</p>')).filter((one) => one.startsWith('event-never'))).toEqual(['event-never-raised TideMenu']);
});
