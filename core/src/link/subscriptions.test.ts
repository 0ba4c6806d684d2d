import { describe, expect, test } from 'vitest';
import { bundles } from '../../../testing/src/bundles';
import { mounted, spotNamed, traceLines, tracedIn, waysOf } from '../../../testing/src/trace';
import { traceOf } from '../flow';

const app = (subscribe: string, tell: string): string =>
  `import { level } from './level';\nfunction Gauge() { const [shown, setShown] = useState(0); useEffect(() => ${subscribe}, []); return <b>{shown}</b>; }\nfunction Pump() { const [water] = useState(3); return <button onClick={() => ${tell}}>fill</button>; }\nexport function App() { return <main><Gauge/><Pump/></main>; }`;

const asClass = {
  'src/level.ts':
    'class Level {\n  value = 0;\n  listeners = new Set();\n  subscribe(listener) { this.listeners.add(listener); return () => this.listeners.delete(listener); }\n  set(next) { this.value = next; this.listeners.forEach((tell) => tell(next)); }\n}\nexport const level = new Level();',
};
const asFunctions = {
  'src/level.ts':
    'const listeners = new Set();\nfunction subscribe(listener) { listeners.add(listener); return () => listeners.delete(listener); }\nfunction set(next) { for (const tell of listeners) tell(next); }\nexport const level = { subscribe, set };',
};

describe('a list of those who want to be told', () => {
  test.each([
    ['of a store that is made of a class', 'level.subscribe(setShown)', asClass],
    ['of a store, by a function', 'level.subscribe((next) => setShown(next))', asClass],
    ['of a module', 'level.subscribe(setShown)', asFunctions],
  ])('%s: what they are told comes from who tells', (_, subscribe, store) => {
    const files = mounted(app(subscribe, 'level.set(water)'), store);
    expect(tracedIn(files, 'Gauge.shown', 'comes').join('\n')).toMatch(/Pump owns water \| constant/);
    expect(tracedIn(files, 'Pump.water', 'goes').join('\n')).toMatch(/Gauge changes shown\n\s*Gauge paints shown \| painted/);
    expect(tracedIn(files, 'Gauge.shown', 'changes').join('\n')).toMatch(/Pump starts click/);
  });

  test('those who are not in it are told nothing', () => {
    const files = mounted(app('level.subscribe(console.log)', 'level.set(water)'), asClass);
    expect(tracedIn(files, 'Pump.water', 'goes').join('\n')).not.toMatch(/Gauge changes/);
  });

  test('what is taken out of it is not called', () => {
    const files = mounted(app('() => level.leave(setShown)', 'level.set(water)'), {
      'src/level.ts':
        'class Level {\n  listeners = new Set();\n  leave(listener) { this.listeners.delete(listener); }\n  set(next) { this.listeners.forEach((tell) => tell(next)); }\n}\nexport const level = new Level();',
    });
    expect(tracedIn(files, 'Pump.water', 'goes').join('\n')).not.toMatch(/Gauge changes/);
  });

  test('functions that came with an event, and are called later', () => {
    const files = bundles({
      app: {
        exposed: true,
        js: "  keeper = 'A';\n  asked = new Set();\n  constructor() { super(); this.addEventListener('ask', (event) => this.keep(event)); }\n  keep(event) { this.asked.add(event.detail.answer); }\n  leave() { this.keeper = 'B'; for (const answer of this.asked) answer(this.keeper); }",
        html: '<button onclick={leave}>leave</button><c-menu></c-menu>',
      },
      menu: {
        js: "  name;\n  connectedCallback() { const answer = (name) => { this.name = name; }; this.dispatchEvent(new CustomEvent('ask', { detail: { answer }, bubbles: true, composed: true })); }",
        html: '<b>{name}</b>',
      },
    });
    const ways = waysOf(files, 'app');
    expect(traceLines(traceOf(ways, spotNamed(ways, 'menu.name'), 'changes')).join('\n')).toMatch(/app starts click/);
  });
});
