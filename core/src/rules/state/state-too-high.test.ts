import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;

const vueApp = (markup: string, inside = ''): string => `${setup(inside)}<template><main>${markup}</main></template>`;

const note = 'function Note({ note, onNote }) { return <input value={note} onChange={(e) => onNote(e.target.value)}/>; }\n';

const vueNote = `${setup("defineProps({ note: String }); const emit = defineEmits(['note']);")}<template><input :value="note" @input="emit('note', $event.target.value)"/></template>`;

const svelteNote = '<script>let { note, onnote } = $props();</script><input value={note} oninput={(e) => onnote(e.target.value)}/>';

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
