import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const vueApp = (script: string, markup: string): Sources => ({ App: `<script setup>${script}</script><template>${markup}</template>` });

const svelteApp = (script: string, markup: string): Sources => ({ App: `<script>${script}</script>${markup}` });

const button = (handler: string, given: string): string =>
  `export function App() { const [open, setOpen] = useState(false); ${handler} return <p onClick={${given}}>{open}</p>; }`;

table(
  'handler-missing',
  'vue',
  [
    ['by name', vueApp('const clearAll = () => 1;', '<p @click="clearAl">{{ clearAll }}</p>'), 'App clearAl'],
    ['called', vueApp('', '<p @click="clear(1)"/>'), 'App clear'],
    [
      'on a part',
      {
        App: '<template><Panel @go="leave"/></template>',
        Panel: '<script setup>const emit = defineEmits(["go"]);</script><template><p @click="emit(\'go\')"/></template>',
      },
      'App leave',
    ],
  ],
  [
    ['declared', vueApp('const clear = () => 1;', '<p @click="clear"/>')],
    ['imported', vueApp('import { clear } from "./clear";', '<p @click="clear"/>')],
    ['a method', { 'App.vue': '<script>export default { methods: { clear() {} } };</script><template><p @click="clear"/></template>' }],
    ['the event', vueApp('const go = () => 1;', '<p @click="go($event)"/>')],
    ['in place', vueApp('import { ref } from "vue"; const a = ref(1);', '<p @click="a++"/>')],
    ['what is caught', vueApp('const go = () => 1;', '<p @click="() => { try { go(); } catch (e) { console.log(e); } }"/>')],
  ],
);

table(
  'handler-missing',
  'svelte',
  [
    ['called, and it gives a number', svelteApp('let n = $state(0); const add = () => n++;', '<p onclick={add()}>{n}</p>'), 'App add'],
    [
      'called, and it gives a flag',
      svelteApp('let on = $state(true); const flip = () => (on = !on);', '<p onclick={flip()}>{on}</p>'),
      'App flip',
    ],
    ['by name', svelteApp('const clearAll = () => 1;', '<p onclick={clearAl}>{clearAll}</p>'), 'App clearAl'],
    ['the older form', svelteApp('', '<p on:click={clear}/>'), 'App clear'],
    [
      'on a part',
      { App: '<Panel ongo={leave}/>', Panel: '<script>let { ongo } = $props();</script><button onclick={ongo}>x</button>' },
      'App leave',
    ],
  ],
  [
    ['declared', svelteApp('const clear = () => 1;', '<p onclick={clear}/>')],
    ['called, and it gives a function', svelteApp('let n = $state(0); const add = () => () => n++;', '<p onclick={add()}>{n}</p>')],
    ['called, and it gives what it is handed', svelteApp('const keep = (run) => run;', '<p onclick={keep(print)}/>')],
    ['imported', svelteApp('import { clear } from "./clear";', '<p onclick={clear}/>')],
    ['a prop', svelteApp('let { onclear } = $props();', '<p onclick={onclear}/>')],
    ['forwarded', svelteApp('', '<p on:click/>')],
    ['the platform’s', svelteApp('', '<p onclick={print}/>')],
  ],
);

table(
  'handler-missing',
  'react',
  [
    ['a function of the component is called', button('function close() { setOpen(false); }', 'close()'), 'App close'],
    ['with what it needs', button('const close = (row) => { setOpen(row); };', 'close(1)'), 'App close'],
    ['a setter is called', button('', 'setOpen(true)'), 'App setOpen'],
    ['a function of the module', `function close() { location.reload(); }\n${button('', 'close()')}`, 'App close'],
  ],
  [
    ['handed over', button('function close() { setOpen(false); }', 'close')],
    ['in a function', button('function close() { setOpen(false); }', '() => close()')],
    ['it gives a function', button('function closer(row) { return () => setOpen(row); }', 'closer(1)')],
    ['it may give a function', button('const closer = (row) => bind(row);', 'closer(1)')],
    ['bound', button('function close() { setOpen(false); }', 'close.bind(null)')],
    ['from outside', `import { close } from 'out';\n${button('', 'close()')}`],
    ['for what is no event', 'function size() { }\nexport function App() { return <p title={size()}/>; }'],
  ],
);

table(
  'handler-missing',
  'svelte',
  [
    ['called', { App: '<script>function close() { location.reload(); }</script><p onclick={close()}></p>' }, 'App close'],
    ['called, the older way', { App: '<script>function close() { location.reload(); }</script><p on:click={close()}></p>' }, 'App close'],
    [
      'with what it needs',
      { App: '<script>const close = (row) => { location.assign(row); };</script><p onclick={close(1)}></p>' },
      'App close',
    ],
  ],
  [
    ['handed over', { App: '<script>function close() { location.reload(); }</script><p onclick={close}></p>' }],
    ['in a function', { App: '<script>function close() { location.reload(); }</script><p onclick={() => close()}></p>' }],
    [
      'it gives a function',
      { App: '<script>function closer(row) { return () => location.assign(row); }</script><p onclick={closer(1)}></p>' },
    ],
    ['from outside', { App: '<script>import { close } from "out";</script><p onclick={close()}></p>' }],
    [
      'it may give a function',
      { App: '<script>import { bind } from "out"; const closer = (row) => bind(row);</script><p onclick={closer(1)}></p>' },
    ],
  ],
);

const printer = 'export function print(all) { window.print(all); }\nexport const printer = (all) => () => window.print(all);';

table(
  'handler-missing',
  'react',
  [
    [
      'a method that a class does not have',
      'export class App extends Component { clear() {} render() { return <p onClick={this.clearAll}/>; } }',
      'App clearAll',
    ],
    [
      'a function of another file is called',
      {
        'package.json': '{}',
        'src/App.tsx': "import { print } from './print';\nexport function App({ a }) { return <p onClick={print(a)}/>; }",
        'src/print.ts': printer,
      },
      'App print',
    ],
    [
      'what a hook gives is called',
      'function useList() { const clear = () => { print(1); }; return { clear }; }\nexport function App() { const { clear } = useList(); return <p onClick={clear()}/>; }',
      'App clear',
    ],
  ],
  [
    ['a method', 'export class App extends Component { clear() {} render() { return <p onClick={this.clear}/>; } }'],
    ['a field', 'export class App extends Component { clear = () => 1; render() { return <p onClick={this.clear}/>; } }'],
    [
      'put there later',
      'export class App extends Component { constructor(props) { super(props); this.clear = make(); } render() { return <p onClick={this.clear}/>; } }',
    ],
    ['inherited', "import { Base } from './base';\nexport class App extends Base { render() { return <p onClick={this.clear}/>; } }"],
    [
      'a function of another file gives one',
      {
        'package.json': '{}',
        'src/App.tsx': "import { printer } from './print';\nexport function App({ a }) { return <p onClick={printer(a)}/>; }",
        'src/print.ts': printer,
      },
    ],
    [
      'called for what it gives',
      {
        'package.json': '{}',
        'src/App.tsx':
          "import { print } from './print';\nfunction Row({ text }) { return <p>{text}</p>; }\nexport function App({ a }) { return <Row text={print(a)}/>; }",
        'src/print.ts': printer,
      },
    ],
  ],
);

table(
  'handler-missing',
  'vue',
  [
    [
      'called where a function is wanted',
      {
        App: '<script setup>import { useStops } from "./stops"; const { draw } = useStops();</script><template><Knob :pull="draw(1)"/></template>',
        Knob: '<script setup lang="ts">const props = defineProps<{ pull: () => void }>();</script><template><p @click="props.pull()"/></template>',
        'stops.js': 'export function useStops() { function draw(stop) { print(stop); } return { draw }; }',
      },
      'App draw',
    ],
  ],
  [
    [
      'handed over',
      {
        App: '<script setup>import { useStops } from "./stops"; const { draw } = useStops();</script><template><Knob :pull="draw"/></template>',
        Knob: '<script setup lang="ts">const props = defineProps<{ pull: () => void }>();</script><template><p @click="props.pull()"/></template>',
        'stops.js': 'export function useStops() { function draw(stop) { print(stop); } return { draw }; }',
      },
    ],
  ],
);
