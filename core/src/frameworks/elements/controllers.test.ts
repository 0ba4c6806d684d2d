import { describe, expect, test } from 'vitest';
import { analyseFiles, type Files } from '../../../../testing/src/project';
import { spotNamed, traceLines, waysOf } from '../../../../testing/src/trace';
import { type Question, traceOf } from '../../flow';

const page = (body: string): string => `<body>${body}<script type="module" src="./app.js"></script></body>`;

const counts = `constructor(host, step = 1) { this.host = host; this.step = step; host.addController(this); }
  hostConnected() {}
  more() { this.count = this.count + this.step; this.host.requestUpdate(); }
  reset = () => { this.count = 0; this.host.requestUpdate(); };`;

/** An element with a part of itself in a module of its own, and one that hears what that part sends. */
const files = (controller = counts, markup = '<b @click=${() => this.counter.more()}>${this.counter.count}</b>'): Files => ({
  'index.html': page('<tide-app></tide-app>'),
  'app.js': `import { LitElement, html } from 'lit';
import { Counter } from './counter.js';
class TideCount extends LitElement {
  counter = new Counter(this, 5);
  render() { return html\`${markup}\`; }
}
customElements.define('tide-count', TideCount);
class TideApp extends LitElement {
  static properties = { last: { state: true } };
  render() { return html\`<tide-count @counted=\${this.hear}></tide-count>\${this.last}\`; }
  hear(event) { this.last = event.detail; }
}
customElements.define('tide-app', TideApp);`,
  'counter.js': `export class Counter {\n  count = 0;\n  ${controller}\n}`,
});

const traced = (given: Files, of: string, ask: Question): string[] => {
  const ways = waysOf(given, 'index.html');
  return traceLines(traceOf(ways, spotNamed(ways, of), ask));
};

const found = (given: Files): string[] =>
  analyseFiles(given).findings.flatMap(({ rule, subject, severity }) => (severity === 'tidy' ? [] : [`${rule} ${subject}`]));

describe('parts of elements that keep state for them', () => {
  const cases: readonly [name: string, files: Files, of: string, ask: Question, rungs: readonly string[]][] = [
    [
      'who changes what it keeps',
      files(),
      'TideCount.counter.count',
      'changes',
      [
        'TideCount owns counter.count',
        'TideCount/Counter gives count',
        '  TideCount/Counter changes count',
        '  TideCount/Counter starts reset | uncalled reset',
        'TideCount/Counter changes count',
        'TideCount/Counter catches more',
        'TideCount/Counter relays counter.more',
        'TideCount calls counter.more',
        'TideCount starts click | platform b',
      ],
    ],
    [
      'a function that it keeps and that is handed to an element as it is',
      files(counts, '<b @click=${this.counter.reset}>${this.counter.count}</b>'),
      'TideCount.counter.count',
      'changes',
      [
        'TideCount owns counter.count',
        'TideCount/Counter gives count',
        '  TideCount/Counter changes count',
        '  TideCount/Counter starts more | uncalled more',
        'TideCount/Counter changes count',
        'TideCount/Counter catches reset',
        'TideCount/Counter relays counter.reset',
        'TideCount starts click | platform b',
      ],
    ],
    [
      'where it goes',
      files(),
      'Counter.count',
      'goes',
      ['TideCount/Counter owns count', 'TideCount/Counter gives counter.count', 'TideCount paints counter.count | painted'],
    ],
    [
      'what it is handed',
      files(),
      'Counter.step',
      'comes',
      ['TideCount/Counter owns step', 'TideCount/Counter starts step', 'TideCount/Counter passes step | constant 5'],
    ],
    [
      'what its constructor declares is its own',
      {
        'index.html': files()['index.html'] ?? '',
        'app.js': files()['app.js'] ?? '',
        'counter.ts':
          'export class Counter {\n  count = 0;\n  constructor(private host: Host, private step = 1) { host.addController(this); }\n  more() { this.count += this.step; }\n}',
      },
      'Counter.step',
      'comes',
      ['TideCount/Counter owns step', 'TideCount/Counter passes step | constant 5'],
    ],
    [
      'what it sends through its element is sent by that',
      files(
        `constructor(host) { (this.host = host).addController(this); }
  hostConnected() {}
  more() { this.host.dispatchEvent(new CustomEvent('counted', { detail: this.count })); }`,
      ),
      'TideApp.last',
      'comes',
      [
        'TideApp owns last',
        '  TideApp owns last | constant',
        'TideApp changes event',
        'TideApp hears event',
        'TideCount/Counter publishes count',
        'TideCount/Counter owns count | constant',
      ],
    ],
  ];
  test.each(cases)('%s', (_, given, of, ask, rungs) => {
    expect(traced(given, of, ask)).toEqual(rungs);
  });

  test('what it begins to hear and never stops is told of it', () => {
    const hears = (end: string): Files =>
      files(`constructor(host) { this.host = host; host.addController(this); }
  hear = () => { this.count = window.scrollY; this.host.requestUpdate(); };
  hostConnected() { window.addEventListener('scroll', this.hear); }
  ${end}`);
    const unraised = 'event-never-raised @counted';
    expect(found(hears(''))).toEqual([unraised, 'subscription-kept scroll of the window']);
    expect(found(hears("hostDisconnected() { window.removeEventListener('scroll', this.hear); }"))).toEqual([unraised]);
  });

  test('what it sends through its element is raised by that', () => {
    const sends = (name: string): Files =>
      files(`constructor(host) { (this.host = host).addController(this); }
  hostConnected() {}
  more() { this.host.dispatchEvent(new CustomEvent('${name}', { detail: 1 })); }`);
    expect(found(sends('counted'))).toEqual([]);
  });
});
