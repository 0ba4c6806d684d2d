import { describe, expect, test } from 'vitest';
import { analyseFiles } from '../../../../testing/src/project';

const gauge = `export class TideGauge extends HTMLElement {
  connectedCallback() { this.innerHTML = '<button>Up</button>'; this.querySelector('button').addEventListener('click', () => this.raise()); }
  raise() { this.dispatchEvent(new CustomEvent('level-change', { bubbles: true })); }
}
customElements.define('tide-gauge', TideGauge);`;
const page =
  '<body><tide-gauge id="main" class="wide first"></tide-gauge><p id="said"></p><script type="module" src="./page.js"></script></body>';

/** What is found of events where the script of the page is this one. */
function foundWith(script: string, more: Readonly<Record<string, string>> = {}): string[] {
  const { findings } = analyseFiles({
    'index.html': page,
    'tide-gauge.js': gauge,
    'page.js': `import './tide-gauge.js';\n${script}`,
    ...more,
  });
  return findings.map(({ rule, at }) => `${rule} ${at.file}`);
}

describe('what a script of a page listens for, in a module of its own', () => {
  const forms: readonly (readonly [name: string, script: (event: string) => string])[] = [
    ['by a name', (event) => `const gauge = document.querySelector('tide-gauge');\ngauge.addEventListener('${event}', () => 1);`],
    ['in place', (event) => `document.querySelector('tide-gauge').addEventListener('${event}', () => 1);`],
    ['where it is there', (event) => `document.querySelector('tide-gauge')?.addEventListener('${event}', () => 1);`],
    ['by its id', (event) => `const gauge = document.getElementById("main");\ngauge.addEventListener("${event}", show);`],
    ['by an id as a selector', (event) => `document.querySelector('#main').addEventListener('${event}', show);`],
    ['by a class', (event) => `document.querySelector('.first').addEventListener('${event}', show);`],
    ['on each', (event) => `document.querySelectorAll('tide-gauge').forEach((one) => one.addEventListener('${event}', show));`],
    [
      'on each of a list',
      (event) => `const all = document.querySelectorAll('tide-gauge');\nall.forEach((one) => { one.addEventListener('${event}', show); });`,
    ],
  ];

  test.each(forms)('%s: it is heard', (_, script) => expect(foundWith(script('level-change'))).toEqual([]));

  test.each(forms)('%s: under another name it is never raised', (_, script) =>
    expect(foundWith(script('level-changed'))).toEqual(['event-never-raised page.js', 'event-unheard tide-gauge.js']),
  );

  test('in a module that the script imports', () => {
    const more = { 'hear.js': "document.querySelector('tide-gauge').addEventListener('level-changed', () => 1);" };
    expect(foundWith("import './hear.js';", more)).toEqual(['event-never-raised hear.js', 'event-unheard tide-gauge.js']);
  });

  test('on another element nothing hears it', () => {
    expect(foundWith("document.querySelector('#said').addEventListener('click', () => 1);")).toEqual(['event-unheard tide-gauge.js']);
  });

  test('what a script listens for that no page loads is of no page, and nothing is said of it', () => {
    const more = { 'other.js': "document.querySelector('tide-gauge').addEventListener('level-changed', () => 1);" };
    expect(foundWith('', more)).toEqual(['event-unheard tide-gauge.js']);
  });
});
