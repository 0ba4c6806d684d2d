import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const stores = (file: string, text: string, App: string): Sources => ({ App, [file]: text });

const levels = 'import { writable } from "svelte/store"; export const levels = writable(0);';

const proxyStore = "import { proxy, useSnapshot } from 'valtio';\nconst levels = proxy({ upper: 2 });\n";

const mapStore = "import { map } from 'nanostores';\nconst levels = map({});\nconst rise = (id) => levels.setKey(id, 1);\n";

const atomStore = "import { atom, useAtomValue, useSetAtom, useAtom } from 'jotai';\nconst levels = atom(2);\n";

table(
  'store-dead',
  'svelte',
  [
    ['read alone', stores('stores.js', levels, '<script>import { levels } from "./stores";</script><p>{$levels}</p>'), 'App levels'],
    [
      'written alone',
      stores('stores.js', levels, '<script>import { levels } from "./stores";</script><p onclick={() => levels.set(1)}></p>'),
      'App levels',
    ],
    [
      'written from itself',
      stores('stores.js', levels, '<script>import { levels } from "./stores";</script><p onclick={() => levels.update((n) => n + 1)}></p>'),
      'App levels',
    ],
    [
      'with runes, read alone',
      stores(
        'board.svelte.js',
        'export const board = $state({ level: 0 });',
        '<script>import { board } from "./board.svelte.js";</script><p>{board.level}</p>',
      ),
      'App board',
    ],
  ],
  [
    [
      'both',
      stores('stores.js', levels, '<script>import { levels } from "./stores";</script><p onclick={() => levels.set(1)}>{$levels}</p>'),
    ],
    [
      'written by its module',
      stores(
        'stores.js',
        `${levels} export function raise() { levels.update((n) => n + 1); }`,
        '<script>import { levels, raise } from "./stores";</script><p onclick={raise}>{$levels}</p>',
      ),
    ],
    [
      'a source of its own',
      stores(
        'stores.js',
        'import { readable } from "svelte/store"; export const now = readable(0, (set) => { set(1); });',
        '<script>import { now } from "./stores";</script><p>{$now}</p>',
      ),
    ],
    [
      'writable with a source of its own',
      stores(
        'stores.js',
        'import { writable } from "svelte/store"; export const now = writable(0, (set) => { set(1); });',
        '<script>import { now } from "./stores";</script><p>{$now}</p>',
      ),
    ],
    [
      'handed on',
      stores(
        'stores.js',
        levels,
        '<script>import { levels } from "./stores"; import { keep } from "out"; keep(levels);</script><p>{$levels}</p>',
      ),
    ],
    ['bound', stores('stores.js', levels, '<script>import { levels } from "./stores";</script><input bind:value={$levels}/>')],
    [
      'imported as a whole',
      stores(
        'stores.js',
        levels,
        '<script>import * as all from "./stores"; import { levels } from "./stores";</script><p>{$levels}{all.x}</p>',
      ),
    ],
    [
      'computed from',
      stores(
        'stores.js',
        `${levels} import { derived } from "svelte/store"; export const twice = derived(levels, (n) => n * 2);`,
        '<script>import { levels, twice } from "./stores";</script><p onclick={() => levels.set(1)}>{$twice}</p>',
      ),
    ],
  ],
);

table(
  'store-dead',
  'react',
  [
    ['written alone', `${proxyStore}export function App() { return <p onClick={() => { levels.upper = 3; }}/>; }`, 'App levels'],
    ['read alone', `${proxyStore}export function App() { const { upper } = useSnapshot(levels); return <p>{upper}</p>; }`, 'App levels'],
    ['a map whose members are only set', `${mapStore}export function App() { return <p onClick={() => rise('a')}/>; }`, 'App levels'],
    [
      'an atom that is only set',
      `${atomStore}export function App() { const set = useSetAtom(levels); return <p onClick={() => set(3)}/>; }`,
      'App levels',
    ],
  ],
  [
    [
      'both',
      `${proxyStore}export function App() { const { upper } = useSnapshot(levels); return <p onClick={() => { levels.upper = 3; }}>{upper}</p>; }`,
    ],
    [
      'handed to a function from outside',
      `${proxyStore}import { devtools } from 'out';\ndevtools(levels);\nexport function App() { const { upper } = useSnapshot(levels); return <p>{upper}</p>; }`,
    ],
    [
      'a map whose members are set and shown',
      `${mapStore}import { useStore } from '@nanostores/react';\nexport function App() { const all = useStore(levels); return <p onClick={() => rise('a')}>{all.a}</p>; }`,
    ],
    [
      'a list that a function of that name makes',
      "import map from 'lodash/map';\nconst rows = map({ a: 1 }, (one) => one);\nexport function App() { return <p>{rows.length}</p>; }",
    ],
    [
      'an atom that is there to be set',
      "import { atom, useAtomValue, useSetAtom } from 'jotai';\nconst levels = atom([2]);\nconst drop = atom(null, (get, set, id) => set(levels, get(levels).filter((one) => one !== id)));\nexport function App() { const all = useAtomValue(levels); const set = useSetAtom(drop); return <p onClick={() => set(2)}>{all}</p>; }",
    ],
    ['an atom that is only read', `${atomStore}export function App() { const level = useAtomValue(levels); return <p>{level}</p>; }`],
    [
      'an atom, both',
      `${atomStore}export function App() { const [level, set] = useAtom(levels); return <p onClick={() => set(3)}>{level}</p>; }`,
    ],
    [
      'an atom, apart',
      `${atomStore}function Other() { const set = useSetAtom(levels); return <p onClick={() => set(3)}/>; }\nexport function App() { const level = useAtomValue(levels); return <p>{level}<Other/></p>; }`,
    ],
    [
      'a store by a maker of its own',
      "import { create } from 'zustand';\nconst useLevels = create((set) => ({ upper: 2, raise: () => set({ upper: 3 }) }));\nexport function App() { const upper = useLevels((s) => s.upper); return <p>{upper}</p>; }",
    ],
  ],
);
