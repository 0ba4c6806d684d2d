import { expect, test } from 'vitest';
import { mounted, tracedIn } from '../../../testing/src/trace';
import { importSvelte, importVue, svelte, vue } from '../../../testing/src/traces/alike';
import { loadCompilers } from '../frameworks/registry';

await loadCompilers(['App.vue', 'App.svelte']);

const events = {
  'src/events.ts':
    "export const PICK = 'plot:pick';\nexport const tell = (el, name, detail, more) => el.dispatchEvent(new CustomEvent(name, { detail, ...more }));\nexport const shout = (name, detail) => window.dispatchEvent(new CustomEvent(name, { detail }));\nexport const listen = (name, hear) => { window.addEventListener(name, hear); return () => window.removeEventListener(name, hear); };",
};

test('an element and a name that a function of a module is handed', () => {
  const files = mounted(
    "import { PICK, tell } from './events';\nfunction Plot() { const box = useRef(null); return <b ref={box} onClick={() => tell(box.current, PICK, 1, { bubbles: true })}/>; }\nexport function App() { const frame = useRef(null); const [n, set] = useState(0); useEffect(() => { frame.current.addEventListener('plot:pick', (e) => set(e.detail)); }, []); return <main ref={frame}>{n}<Plot/></main>; }",
    events,
  );
  expect(tracedIn(files, 'App.n', 'changes')).toEqual([
    'App owns n',
    'App changes n',
    'App catches plot:pick',
    'App hears plot:pick',
    'Plot publishes plot:pick',
    'Plot starts click | platform b',
  ]);
});

test('a name that functions of a module send and listen by', () => {
  const files = mounted(
    "import { listen, shout } from './events';\nfunction Plot() { return <b onClick={() => shout('told', 1)}/>; }\nexport function App() { const [n, set] = useState(0); useEffect(() => listen('told', (e) => set(e.detail)), []); return <main>{n}<Plot/></main>; }",
    events,
  );
  const lines = tracedIn(files, 'App.n', 'changes');
  expect(lines.slice(0, 2)).toEqual(['App owns n', 'App changes n']);
  expect(lines.slice(-2)).toEqual(['Plot publishes told', 'Plot starts click | platform b']);
});

test('a name that nobody can tell is sent by nobody', () => {
  const files = mounted(
    "import { tell } from './events';\nfunction Plot({ name }) { const box = useRef(null); return <b ref={box} onClick={() => tell(box.current, name, 1, { bubbles: true })}/>; }\nexport function App() { const frame = useRef(null); const [n, set] = useState(0); useEffect(() => { frame.current.addEventListener('plot:pick', (e) => set(e.detail)); }, []); return <main ref={frame}>{n}<Plot name=\"x\"/></main>; }",
    events,
  );
  expect(tracedIn(files, 'App.n', 'changes').some((line) => line.startsWith('Plot'))).toBe(false);
});

const raise = "export function raise(emit, by) { emit(by < 0 ? 'empty' : 'fill', Math.abs(by)); }";

test.each([
  [
    'vue',
    {
      ...vue({
        'App.vue': [
          `import { ref } from 'vue'; ${importVue('Lock')}\nconst level = ref(0);`,
          '<Lock @fill="(by) => (level = by)"/><p>{{ level }}</p>',
        ],
        'Lock.vue': ["import { raise } from './raise';\nconst emit = defineEmits(['fill', 'empty']);", '<b @click="raise(emit, 1)"/>'],
      }),
      'src/raise.js': raise,
    },
  ],
  [
    'svelte',
    {
      ...svelte({
        'App.svelte': [`${importSvelte('Lock')}\nlet level = 0;`, '<Lock on:fill={(e) => (level = e.detail)}/><p>{level}</p>'],
        'Lock.svelte': [
          "import { createEventDispatcher } from 'svelte'; import { raise } from './raise';\nconst dispatch = createEventDispatcher();",
          '<b on:click={() => raise(dispatch, 1)}></b>',
        ],
      }),
      'src/raise.js': raise,
    },
  ],
] as const)('what raises the events of a part, handed to a function of a module: %s', (_, files) => {
  const lines = tracedIn(files, 'App.level', 'changes');
  expect(lines.slice(0, 3)).toEqual(['App owns level', 'App changes level', 'App catches fill']);
  expect(lines.slice(-2)).toEqual(['Lock raises fill', 'Lock starts click | platform b']);
});
