import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const script = (text: string): string => `<script>${text}</script>`;

const app = (markup: string, before = ''): string => `${before}export function App() { return <main>${markup}</main>; }`;

const vueApp = (markup: string, before = ''): string => `${setup(before)}<template><main>${markup}</main></template>`;

const row = 'function Row({ onPick }) { return <b onClick={() => onPick(1)}/>; }\n';

const vueRelay = (below: string, markup: string): string =>
  `${setup(`const emit = defineEmits(['pick']); ${below}`)}<template><p>${markup}</p></template>`;

const dispatches = "import { createEventDispatcher } from 'svelte'; const dispatch = createEventDispatcher();";

table(
  'event-relayed',
  'react',
  [
    [
      'twice',
      `${row}function Day({ onPick }) { return <Row onPick={(id) => onPick(id)}/>; }\nfunction List({ onPick }) { return <Day onPick={(id) => onPick(id)}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
      'Day onPick',
    ],
    [
      'by named functions',
      `${row}function Day({ onPick }) { const pick = (id) => onPick(id); return <Row onPick={pick}/>; }\nfunction List({ onPick }) { const pick = (id) => onPick(id); return <Day onPick={pick}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
      'Day onPick',
    ],
    [
      'under another name',
      `${row}function Day({ onChoose }) { return <Row onPick={(id) => onChoose(id)}/>; }\nfunction List({ onTake }) { return <Day onChoose={(id) => onTake(id)}/>; }\n${app('<List onTake={(id) => print(id)}/>')}`,
      'Day onChoose',
    ],
  ],
  [
    ['once', `${row}function Day({ onPick }) { return <Row onPick={(id) => onPick(id)}/>; }\n${app('<Day onPick={(id) => print(id)}/>')}`],
    [
      'by reference',
      `${row}function Day({ onPick }) { return <Row onPick={onPick}/>; }\nfunction List({ onPick }) { return <Day onPick={onPick}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
    ],
    [
      'with something added',
      `${row}function Day({ onPick, day }) { return <Row onPick={(id) => onPick(id, day)}/>; }\nfunction List({ onPick }) { return <Day onPick={(id, day) => onPick(id, day)}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
    ],
    [
      'with a change',
      `${row}function Day({ onPick }) { const [a, setA] = useState(1); return <Row onPick={(id) => { setA(id); onPick(id); }}/>; }\nfunction List({ onPick }) { return <Day onPick={(id) => onPick(id)}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
    ],
    [
      'with another value',
      `${row}function Day({ onPick }) { return <Row onPick={(id) => onPick(id + 1)}/>; }\nfunction List({ onPick }) { return <Day onPick={(id) => onPick(id)}/>; }\n${app('<List onPick={(id) => print(id)}/>')}`,
    ],
  ],
);

table(
  'event-relayed',
  'vue',
  [
    [
      'twice',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\', $event)"/>'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\', $event)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
      'Day @pick',
    ],
    [
      'by functions',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="(id) => emit(\'pick\', id)"/>'),
        Day: vueRelay('', '<Row @pick="(id) => emit(\'pick\', id)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
      'Day @pick',
    ],
    [
      'without a value',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\')"/>'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\')"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\')"/>'),
      },
      'Day @pick',
    ],
  ],
  [
    [
      'once',
      {
        App: vueApp('<Day @pick="go"/>', 'const go = () => 1;'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\', $event)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
    ],
    [
      'with another value',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\', $event)"/>'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\', 2)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
    ],
    [
      'and raised otherwise',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\', $event)"/><i @click="emit(\'pick\', 3)"/>'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\', $event)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
    ],
    [
      'from two children',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\', $event)"/>'),
        Day: vueRelay('', '<Row @pick="emit(\'pick\', $event)"/><Row @pick="emit(\'pick\', $event)"/>'),
        Row: vueRelay('', '<b @click="emit(\'pick\', 1)"/>'),
      },
    ],
    [
      'from an element',
      {
        App: vueApp('<List @pick="go"/>', 'const go = () => 1;'),
        List: vueRelay('', '<Day @pick="emit(\'pick\', $event)"/>'),
        Day: vueRelay('', '<b @click="emit(\'pick\', $event)"/>'),
      },
    ],
  ],
);

table(
  'event-relayed',
  'svelte',
  [
    [
      'forwarded twice',
      {
        App: '<script>const go = () => 1;</script><List on:pick={go}/>',
        List: '<Day on:pick/>',
        Day: '<Row on:pick/>',
        Row: `${script(dispatches)}<button on:click={() => dispatch('pick', 1)}>x</button>`,
      },
      'Day on:pick',
    ],
    [
      'dispatched again',
      {
        App: '<script>const go = () => 1;</script><List on:pick={go}/>',
        List: `${script(dispatches)}<Day on:pick={(e) => dispatch('pick', e.detail)}/>`,
        Day: '<Row on:pick/>',
        Row: `${script(dispatches)}<button on:click={() => dispatch('pick', 1)}>x</button>`,
      },
      'Day on:pick',
    ],
    [
      'callbacks',
      {
        App: '<script>const go = () => 1;</script><List onpick={go}/>',
        List: '<script>let { onpick } = $props();</script><Day onpick={(id) => onpick(id)}/>',
        Day: '<script>let { onpick } = $props();</script><Row onpick={(id) => onpick(id)}/>',
        Row: '<script>let { onpick } = $props();</script><button onclick={() => onpick(1)}>x</button>',
      },
      'Day onpick',
    ],
  ],
  [
    [
      'once',
      {
        App: '<script>const go = () => 1;</script><Day on:pick={go}/>',
        Day: '<Row on:pick/>',
        Row: `${script(dispatches)}<button on:click={() => dispatch('pick', 1)}>x</button>`,
      },
    ],
    [
      'with another value',
      {
        App: '<script>const go = () => 1;</script><List on:pick={go}/>',
        List: `${script(dispatches)}<Day on:pick={(e) => dispatch('pick', e.detail + 1)}/>`,
        Day: '<Row on:pick/>',
        Row: `${script(dispatches)}<button on:click={() => dispatch('pick', 1)}>x</button>`,
      },
    ],
    [
      'callbacks by reference',
      {
        App: '<script>const go = () => 1;</script><List onpick={go}/>',
        List: '<script>let { onpick } = $props();</script><Day {onpick}/>',
        Day: '<script>let { onpick } = $props();</script><Row {onpick}/>',
        Row: '<script>let { onpick } = $props();</script><button onclick={() => onpick(1)}>x</button>',
      },
    ],
    [
      'events of the platform',
      { App: '<script>const go = () => 1;</script><List on:click={go}/>', List: '<Day on:click/>', Day: '<button on:click>x</button>' },
    ],
    [
      'with a change',
      {
        App: '<script>const go = () => 1;</script><List onpick={go}/>',
        List: '<script>let { onpick } = $props(); let a = $state(1);</script><Day onpick={(id) => { a = id; onpick(id); }}/>{a}',
        Day: '<script>let { onpick } = $props();</script><Row onpick={(id) => onpick(id)}/>',
        Row: '<script>let { onpick } = $props();</script><button onclick={() => onpick(1)}>x</button>',
      },
    ],
  ],
);
