import { beforeAll } from 'vitest';
import { loadCompilers } from '../frameworks/registry';
import { table } from '../../../testing/src/rules';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;
const script = (text: string): string => `<script>${text}</script>`;
const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;
const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const note = 'function Note({ note, onNote }) { return <input value={note} onChange={(e) => onNote(e.target.value)}/>; }\n';
table(
  'state-too-high',
  'react',
  [
    [
      'value and setter go to one child',
      app('<Note note={note} onNote={setNote}/>', "const [note, setNote] = useState('');", note),
      'App note',
    ],
    [
      'by a function',
      app('<Note note={note} onNote={change}/>', "const [note, setNote] = useState(''); const change = (next) => setNote(next);", note),
      'App note',
    ],
    [
      'by a function in place',
      app('<i/><Note note={note} onNote={(next) => setNote(next)}/>', "const [note, setNote] = useState('');", note),
      'App note',
    ],
  ],
  [
    ['shown beside it', app('<p>{note}</p><Note note={note} onNote={setNote}/>', "const [note, setNote] = useState('');", note)],
    [
      'in two children',
      app('<Note note={note} onNote={setNote}/><Note note={note} onNote={setNote}/>', "const [note, setNote] = useState('');", note),
    ],
    ['under a condition', app('{ready() && <Note note={note} onNote={setNote}/>}', "const [note, setNote] = useState('');", note)],
    ['in a list', app('{all.map((one) => <Note key={one} note={note} onNote={setNote}/>)}', "const [note, setNote] = useState('');", note)],
    ['with a key', app('<Note key={id()} note={note} onNote={setNote}/>', "const [note, setNote] = useState('');", note)],
    [
      'read by an effect',
      app('<Note note={note} onNote={setNote}/>', "const [note, setNote] = useState(''); useEffect(() => { save(note); }, [note]);", note),
    ],
    [
      'sent by a handler of its own',
      app('<button onClick={() => save(note)}/><Note note={note} onNote={setNote}/>', "const [note, setNote] = useState('');", note),
    ],
    [
      'it starts from a prop',
      `${note}function Box({ first }) { const [note, setNote] = useState(first); return <Note note={note} onNote={setNote}/>; }\n${app('<Box first="a"/>')}`,
    ],
    [
      'the function does more',
      app(
        '<Note note={note} onNote={change}/>',
        "const [note, setNote] = useState(''); const [, count] = useState(0); const change = (next) => { setNote(next); count(1); };",
        note,
      ),
    ],
  ],
);
const vueNote = `${setup("defineProps({ note: String }); const emit = defineEmits(['note']);")}<template><input :value="note" @input="emit('note', $event.target.value)"/></template>`;
table(
  'state-too-high',
  'vue',
  [
    [
      'value and change go to one child',
      {
        App: vueApp('<Note :note="note" @note="change"/>', "const note = ref(''); const change = (next) => { note.value = next; };"),
        Note: vueNote,
      },
      'App note',
    ],
    [
      'by a function in place',
      { App: vueApp('<i/><Note :note="note" @note="(next) => { note = next; }"/>', "const note = ref('');"), Note: vueNote },
      'App note',
    ],
    [
      'both ways',
      {
        App: vueApp('<Note v-model="note"/>', "const note = ref('');"),
        Note: `${setup('const model = defineModel();')}<template><input v-model="model"/></template>`,
      },
      'App note',
    ],
  ],
  [
    [
      'shown beside it',
      {
        App: vueApp(
          '{{ note }}<Note :note="note" @note="change"/>',
          "const note = ref(''); const change = (next) => { note.value = next; };",
        ),
        Note: vueNote,
      },
    ],
    [
      'watched',
      {
        App: vueApp(
          '<Note :note="note" @note="change"/>',
          "const note = ref(''); const change = (next) => { note.value = next; }; watch(note, save);",
        ),
        Note: vueNote,
      },
    ],
    [
      'computed with',
      {
        App: vueApp(
          '<p>{{ size }}</p><Note :note="note" @note="change"/>',
          "const note = ref(''); const size = computed(() => note.value.length); const change = (next) => { note.value = next; };",
        ),
        Note: vueNote,
      },
    ],
    [
      'under a condition',
      {
        App: vueApp(
          '<Note v-if="ready()" :note="note" @note="change"/>',
          "const note = ref(''); const change = (next) => { note.value = next; };",
        ),
        Note: vueNote,
      },
    ],
    [
      'in two children',
      {
        App: vueApp(
          '<Note :note="note" @note="change"/><Note :note="note" @note="change"/>',
          "const note = ref(''); const change = (next) => { note.value = next; };",
        ),
        Note: vueNote,
      },
    ],
  ],
);
const svelteNote = '<script>let { note, onnote } = $props();</script><input value={note} oninput={(e) => onnote(e.target.value)}/>';
table(
  'state-too-high',
  'svelte',
  [
    [
      'value and change go to one child',
      {
        App: '<script>let note = $state(""); const change = (next) => { note = next; };</script><Note {note} onnote={change}/>',
        Note: svelteNote,
      },
      'App note',
    ],
    [
      'by a function in place',
      { App: '<script>let note = $state("");</script><i/><Note {note} onnote={(next) => { note = next; }}/>', Note: svelteNote },
      'App note',
    ],
    [
      'both ways',
      {
        App: '<script>let note = $state("");</script><Note bind:note/>',
        Note: '<script>let { note = $bindable() } = $props();</script><input bind:value={note}/>',
      },
      'App note',
    ],
  ],
  [
    [
      'shown beside it',
      {
        App: '<script>let note = $state(""); const change = (next) => { note = next; };</script>{note}<Note {note} onnote={change}/>',
        Note: svelteNote,
      },
    ],
    [
      'read by an effect',
      {
        App: '<script>let note = $state(""); const change = (next) => { note = next; }; $effect(() => save(note));</script><Note {note} onnote={change}/>',
        Note: svelteNote,
      },
    ],
    [
      'under a condition',
      {
        App: '<script>let note = $state(""); const change = (next) => { note = next; };</script>{#if ready()}<Note {note} onnote={change}/>{/if}',
        Note: svelteNote,
      },
    ],
    [
      'in a list',
      {
        App: '<script>let note = $state(""); const change = (next) => { note = next; };</script>{#each all() as one (one)}<Note {note} onnote={change}/>{/each}',
        Note: svelteNote,
      },
    ],
    [
      'in two children',
      {
        App: '<script>let note = $state(""); const change = (next) => { note = next; };</script><Note {note} onnote={change}/><Note {note} onnote={change}/>',
        Note: svelteNote,
      },
    ],
  ],
);

const copy = (name: string, effect = 'useEffect(() => setOwn(day), [day]);'): string =>
  `function ${name}({ day }) { const [own, setOwn] = useState(day); ${effect} return <i onClick={() => setOwn('x')}>{own}</i>; }\n`;
table(
  'state-too-low',
  'react',
  [
    [
      'two siblings',
      app('<A day={day}/><B day={day}/><b onClick={() => setDay("y")}/>', 'const [day, setDay] = useState("x");', copy('A') + copy('B')),
      'B own',
    ],
    [
      'three siblings',
      app(
        '<A day={day}/><B day={day}/><C day={day}/><b onClick={() => setDay("y")}/>',
        'const [day, setDay] = useState("x");',
        copy('A') + copy('B') + copy('C'),
      ),
      'B own',
    ],
    [
      'by a block',
      app(
        '<A day={day}/><B day={day}/><b onClick={() => setDay("y")}/>',
        'const [day, setDay] = useState("x");',
        copy('A', 'useEffect(() => { setOwn(day); }, [day]);') + copy('B'),
      ),
      'B own',
    ],
  ],
  [
    ['one alone', app('<A day={day}/><b onClick={() => setDay("y")}/>', 'const [day, setDay] = useState("x");', copy('A'))],
    [
      'the other shows what it is given',
      app(
        '<A day={day}/><B day={day}/><b onClick={() => setDay("y")}/>',
        'const [day, setDay] = useState("x");',
        `${copy('A')}function B({ day }) { return <p>{day}</p>; }\n`,
      ),
    ],
    [
      'of other values',
      app(
        '<A day={day}/><B day={night}/><b onClick={() => { setDay("y"); setNight("z"); }}/>',
        'const [day, setDay] = useState("x"); const [night, setNight] = useState("x");',
        copy('A') + copy('B'),
      ),
    ],
    [
      'never changed by hand',
      app(
        '<A day={day}/><B day={day}/><b onClick={() => setDay("y")}/>',
        'const [day, setDay] = useState("x");',
        `${copy('A')}function B({ day }) { const [own, setOwn] = useState(day); useEffect(() => setOwn(day), [day]); return <i>{own}</i>; }\n`,
      ),
    ],
    [
      'the same component twice',
      app('<A day={day}/><A day={day}/><b onClick={() => setDay("y")}/>', 'const [day, setDay] = useState("x");', copy('A')),
    ],
  ],
);

const legend =
  'function Legend({ word, colour = false, times = false, help = false }: { word: string; colour?: boolean; times?: boolean; help?: boolean }) { return <p>{word}{colour && <i/>}{times && <b/>}{help && <u/>}</p>; }\n';
table(
  'flags-many',
  'react',
  [
    ['one form', app('<Legend word="a" colour/><Legend word="b" colour/><Legend word="c" colour/>', '', legend), 'Legend Legend'],
    [
      'two of eight',
      app('<Legend word="a" colour times/><Legend word="b" colour times/><Legend word="c" help/>', '', legend),
      'Legend Legend',
    ],
    [
      'said in full',
      app('<Legend word="a" colour={true} help={false}/><Legend word="b" colour/><Legend word="c"/>', '', legend),
      'Legend Legend',
    ],
  ],
  [
    [
      'five of eight',
      app(
        '<Legend word="a"/><Legend word="b" colour/><Legend word="c" times/><Legend word="d" help/><Legend word="e" colour help/>',
        '',
        legend,
      ),
    ],
    [
      'known while running',
      app('<Legend word="a" colour={pick()}/><Legend word="b"/><Legend word="c" help/>', 'const pick = () => true;', legend)
        .replace('{pick()}', '{a}')
        .replace('const pick = () => true;', 'const [a] = useState(true);'),
    ],
    ['two uses', app('<Legend word="a" colour/><Legend word="b" times/>', '', legend)],
    ['two flags', app('<L a/><L b/><L a/>', '', 'function L({ a = false, b = false }) { return <p>{a && <i/>}{b && <b/>}</p>; }\n')],
    [
      'read for more',
      app(
        '<Legend word="a" colour/><Legend word="b" colour/><Legend word="c" colour/>',
        '',
        legend.replace('{help && <u/>}', '{help && <u/>}<Out help={help}/>'),
      ),
    ],
    ['spread over', app('<Legend {...load()}/><Legend word="b"/><Legend word="c" help/>', '', legend)],
  ],
);
const vueLegend = `${setup('defineProps({ colour: Boolean, times: Boolean, help: Boolean });')}<template><p><i v-if="colour"/><b v-if="times"/><u v-if="help"/></p></template>`;
table(
  'flags-many',
  'vue',
  [
    ['one form', { App: vueApp('<Legend colour/><Legend colour/><Legend colour/>'), Legend: vueLegend }, 'Legend Legend'],
    ['two forms', { App: vueApp('<Legend colour times/><Legend colour times/><Legend help/>'), Legend: vueLegend }, 'Legend Legend'],
    [
      'bound to constants',
      { App: vueApp('<Legend :colour="true"/><Legend :colour="true"/><Legend/>'), Legend: vueLegend },
      'Legend Legend',
    ],
  ],
  [
    ['five forms', { App: vueApp('<Legend/><Legend colour/><Legend times/><Legend help/><Legend colour help/>'), Legend: vueLegend }],
    ['known while running', { App: vueApp('<Legend :colour="a"/><Legend/><Legend help/>', 'const a = ref(true);'), Legend: vueLegend }],
    ['two uses', { App: vueApp('<Legend colour/><Legend times/>'), Legend: vueLegend }],
    ['an object is given', { App: vueApp('<Legend v-bind="a"/><Legend/><Legend help/>', 'const a = load();'), Legend: vueLegend }],
    [
      'texts',
      {
        App: vueApp('<Legend tone="a"/><Legend tone="b"/><Legend tone="a"/>'),
        Legend: `${setup('defineProps({ tone: String });')}<template><p><i v-if="tone"/></p></template>`,
      },
    ],
  ],
);

const count = 'const Count = createContext(null);\nfunction Sum() { const n = useContext(Count); return <b>{n}</b>; }\n';
table(
  'context-close',
  'react',
  [
    ['right below', app('<Count value={2}><Sum/></Count>', '', count), 'App Count'],
    ['in an element', app('<Count value={2}><p><Sum/></p></Count>', '', count), 'App Count'],
    ['one part between', app('<Count value={2}><Box/></Count>', '', `${count}function Box() { return <Sum/>; }\n`), 'App Count'],
  ],
  [
    [
      'two take it',
      app('<Count value={2}><Sum/><Other/></Count>', '', `${count}function Other() { const n = useContext(Count); return <i>{n}</i>; }\n`),
    ],
    ['in two places', app('<Count value={2}><Sum/><Sum/></Count>', '', count)],
    [
      'far below',
      app(
        '<Count value={2}><A/></Count>',
        '',
        `${count}function A() { return <B/>; }\nfunction B() { return <C/>; }\nfunction C() { return <Sum/>; }\n`,
      ),
    ],
    [
      'content of another',
      `${count}function Shell({ children }) { return <Count value={2}>{children}</Count>; }\n${app('<Shell><Sum/></Shell>')}`,
    ],
    ['two providers', app('<Count value={2}><Sum/></Count><Count value={3}><i/></Count>', '', count)],
    ['in a list', app('<Count value={2}>{all.map((one) => <Sum key={one}/>)}</Count>', '', count)],
  ],
);
const vueKey = { 'key.js': "export const key = Symbol('key');" };
const vueGives = "import { provide } from 'vue'; import { key } from './key'; provide(key, 2);";
const vueSum = `${setup("import { inject } from 'vue'; import { key } from './key'; const n = inject(key);")}<template><b>{{ n }}</b></template>`;
table(
  'context-close',
  'vue',
  [
    ['right below', { App: vueApp('<Sum/>', vueGives), Sum: vueSum, ...vueKey }, 'App key'],
    ['in an element', { App: vueApp('<p><Sum/></p>', vueGives), Sum: vueSum, ...vueKey }, 'App key'],
    ['one part between', { App: vueApp('<Box/>', vueGives), Box: vueApp('<Sum/>'), Sum: vueSum, ...vueKey }, 'App key'],
  ],
  [
    ['in two places', { App: vueApp('<Sum/><Sum/>', vueGives), Sum: vueSum, ...vueKey }],
    ['two take it', { App: vueApp('<Sum/><Other/>', vueGives), Sum: vueSum, Other: vueSum, ...vueKey }],
    [
      'content of another',
      { App: vueApp('<Shell><Sum/></Shell>'), Shell: `${setup(vueGives)}<template><p><slot/></p></template>`, Sum: vueSum, ...vueKey },
    ],
    ['in a list', { App: vueApp('<Sum v-for="one in all" :key="one"/>', `${vueGives} const all = load();`), Sum: vueSum, ...vueKey }],
    ['far below', { App: vueApp('<A/>', vueGives), A: vueApp('<B/>'), B: vueApp('<C/>'), C: vueApp('<Sum/>'), Sum: vueSum, ...vueKey }],
  ],
);
const svelteGives = "import { setContext } from 'svelte'; setContext('n', 2);";
const svelteSum = "<script>import { getContext } from 'svelte'; const n = getContext('n');</script><b>{n}</b>";
table(
  'context-close',
  'svelte',
  [
    ['right below', { App: `${script(svelteGives)}<Sum/>`, Sum: svelteSum }, 'App n'],
    ['in an element', { App: `${script(svelteGives)}<p><Sum/></p>`, Sum: svelteSum }, 'App n'],
    ['one part between', { App: `${script(svelteGives)}<Box/>`, Box: '<p><Sum/></p>', Sum: svelteSum }, 'App n'],
  ],
  [
    ['in two places', { App: `${script(svelteGives)}<Sum/><Sum/>`, Sum: svelteSum }],
    ['two take it', { App: `${script(svelteGives)}<Sum/><Other/>`, Sum: svelteSum, Other: svelteSum }],
    [
      'content of another',
      {
        App: '<Shell><Sum/></Shell>',
        Shell: `${script(`${svelteGives} let { children } = $props();`)}{@render children()}`,
        Sum: svelteSum,
      },
    ],
    ['in a list', { App: `${script(`${svelteGives} const all = load();`)}{#each all as one (one)}<Sum/>{/each}`, Sum: svelteSum }],
    ['far below', { App: `${script(svelteGives)}<A/>`, A: '<p><B/></p>', B: '<p><C/></p>', C: '<p><Sum/></p>', Sum: svelteSum }],
  ],
);

const store = (does: string, before = '<i/>'): Readonly<Record<string, string>> => ({
  App: `${before}<Form/>`,
  Form: `${script(`import { draft } from './draft'; ${does}`)}<input bind:value={$draft}/>`,
  'draft.js': "import { writable } from 'svelte/store'; export const draft = writable('');",
});
table(
  'store-private',
  'svelte',
  [
    ['a store of one component', store(''), 'Form draft'],
    [
      'state of a module',
      {
        App: '<Form/>',
        Form: `${script("import { draft } from './draft.svelte.js';")}<input oninput={() => (draft.text = 'a')}/>{draft.text}`,
        'draft.svelte.js': "export const draft = $state({ text: '' });",
      },
      'Form draft',
    ],
    [
      'set by a function',
      {
        App: '<Form/>',
        Form: `${script("import { draft } from './draft'; const put = () => draft.set('a');")}<input oninput={put}/>{$draft}`,
        'draft.js': "import { writable } from 'svelte/store'; export const draft = writable('');",
      },
      'Form draft',
    ],
  ],
  [
    ['two use it', { ...store(''), App: '<Form/><Other/>', Other: `${script("import { draft } from './draft';")}{$draft}` }],
    ['under a condition', { ...store(''), App: '{#if open()}<Form/>{/if}' }],
    ['in two places', { ...store(''), App: '<Form/><Form/>' }],
    ['in a list', { ...store(''), App: '{#each all() as one (one)}<Form/>{/each}' }],
    ['used by a module', { ...store(''), 'save.js': "import { draft } from './draft'; export const save = () => draft.set('');" }],
  ],
);

const useLevels = "import { useLevels } from './levels';\n";
const levels = {
  'src/levels.ts': "import { useState } from 'react';\nexport function useLevels() { const [a] = useState([1]); return a; }",
};
const derived = (one: string, other: string, more = levels, take = 'const levels = useLevels();'): Readonly<Record<string, string>> => ({
  'package.json': '{}',
  'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
  'src/App.tsx': `${useLevels}function A() { ${take} const low = ${one}; return <p>{low}</p>; }\nfunction B() { ${take} const low = ${other}; return <i>{low}</i>; }\n${app('<A/><B/>')}`,
  ...more,
});
const formula = 'levels.filter((one) => one < 2).length';
table(
  'derived-twice',
  'react',
  [
    ['of a hook', derived(formula, formula), 'B low'],
    ['kept by a hook', derived(`useMemo(() => ${formula}, [levels])`, `useMemo(() => ${formula}, [levels])`), 'B low'],
    [
      'of a context',
      {
        ...derived(formula, formula, levels, 'const levels = useContext(Levels);'),
        'src/App.tsx': `const Levels = createContext([]);\nfunction A() { const levels = useContext(Levels); const low = ${formula}; return <p>{low}</p>; }\nfunction B() { const levels = useContext(Levels); const low = ${formula}; return <i>{low}</i>; }\n${app('<Levels value={[1]}><A/><B/></Levels>')}`,
      },
      'B low',
    ],
  ],
  [
    ['another computation', derived(formula, 'levels.filter((one) => one < 3).length')],
    ['a mere reading', derived('levels.length', 'levels.length')],
    ['of props', derived(formula, formula, levels, 'const [levels] = useState([1]);')],
    ['of hooks that are given something', derived(formula, formula, levels, 'const [k] = useState(1); const levels = useLevels(k);')],
    [
      'in one component',
      {
        ...derived(formula, formula),
        'src/App.tsx': `${useLevels}${app('<p>{low}</p><i>{other}</i>', `const levels = useLevels(); const low = ${formula}; const other = ${formula};`)}`,
      },
    ],
  ],
);
