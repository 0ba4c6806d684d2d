import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const vueGauge = `${setup('defineProps({ maxLevel: Number });')}<template><p>{{ maxLevel }}</p><b/></template>`;

const svelteGauge = '<script>let { maxLevel } = $props();</script><p>{maxLevel}</p>';

table(
  'prop-spelt',
  'vue',
  [
    ['a letter too few', { App: `${setup('')}<template><Gauge :maxLevl="1"/></template>`, Gauge: vueGauge }, 'App maxLevl'],
    [
      'letters changed places, by kebab case',
      { App: `${setup('')}<template><Gauge :max-leevl="1"/></template>`, Gauge: vueGauge },
      'App maxLeevl',
    ],
    ['a letter too many', { App: `${setup('')}<template><Gauge :maxLevell="1"/></template>`, Gauge: vueGauge }, 'App maxLevell'],
  ],
  [
    ['the name itself', { App: `${setup('')}<template><Gauge :max-level="1"/></template>`, Gauge: vueGauge }],
    ['quite another name', { App: `${setup('')}<template><Gauge tone="a"/></template>`, Gauge: vueGauge }],
    ['the declared one is given as well', { App: `${setup('')}<template><Gauge :maxLevel="1" :maxLevl="2"/></template>`, Gauge: vueGauge }],
    [
      'an attribute for the root',
      { App: `${setup('')}<template><Gauge title="a"/></template>`, Gauge: vueGauge.replaceAll('maxLevel', 'titel').replace('<b/>', '') },
    ],
    [
      'near to two',
      {
        App: `${setup('')}<template><Gauge :levelC="1"/></template>`,
        Gauge: `${setup('defineProps({ levelA: Number, levelB: Number });')}<template><p>{{ levelA }}{{ levelB }}</p><b/></template>`,
      },
    ],
  ],
);

table(
  'prop-spelt',
  'svelte',
  [
    ['a letter too few', { App: '<Gauge maxLevl={1}/>', Gauge: svelteGauge }, 'App maxLevl'],
    ['another case', { App: '<Gauge maxlevel={1}/>', Gauge: svelteGauge }, 'App maxlevel'],
    [
      'bound both ways',
      {
        App: '<script>let maxLevle = $state(1);</script><Gauge bind:maxLevle/>',
        Gauge: svelteGauge.replace('maxLevel }', 'maxLevel = $bindable() }'),
      },
      'App maxLevle',
    ],
  ],
  [
    ['the name itself', { App: '<Gauge maxLevel={1}/>', Gauge: svelteGauge }],
    ['quite another name', { App: '<Gauge tone="a"/>', Gauge: svelteGauge }],
    ['the declared one is given as well', { App: '<Gauge maxLevel={1} maxLevl={2}/>', Gauge: svelteGauge }],
    [
      'the rest goes on',
      { App: '<Gauge maxLevl={1}/>', Gauge: '<script>let { maxLevel, ...rest } = $props();</script><p {...rest}>{maxLevel}</p>' },
    ],
    [
      'all props are taken',
      { App: '<Gauge maxLevl={1}/>', Gauge: '<script>export let maxLevel;</script><p {...$$restProps}>{maxLevel}</p>' },
    ],
  ],
);

table(
  'prop-spelt',
  'react',
  [
    [
      'a letter',
      'function Row({ label }: { label: string }) { return <p>{label}</p>; }\nexport function App() { return <Row labl="a"/>; }',
      'App labl',
    ],
    [
      'two letters exchanged',
      'function Row({ label }: { label: string }) { return <p>{label}</p>; }\nexport function App() { return <Row lable="a"/>; }',
      'App lable',
    ],
    [
      'letter case',
      'function Row({ maxLevel }: { maxLevel: number }) { return <p>{maxLevel}</p>; }\nexport function App() { return <Row maxlevel={1}/>; }',
      'App maxlevel',
    ],
    [
      'an event',
      'function Row({ onSelect }: { onSelect?: () => void }) { return <p onClick={onSelect}/>; }\nexport function App() { return <Row onSelct={() => {}}/>; }',
      'App onSelct',
    ],
  ],
  [
    [
      'the declared one is given as well',
      'function Row({ label }: { label: string }) { return <p>{label}</p>; }\nexport function App() { return <Row label="a" labl="b"/>; }',
    ],
    [
      'two are equally near',
      'function Row({ labelA, labelB }: { labelA?: string; labelB?: string }) { return <p>{labelA}{labelB}</p>; }\nexport function App() { return <Row labelC="a"/>; }',
    ],
    ['a short name', 'function Row({ id }: { id?: string }) { return <p>{id}</p>; }\nexport function App() { return <Row as="a"/>; }'],
    [
      'another word',
      'function Row({ label }: { label?: string }) { return <p>{label}</p>; }\nexport function App() { return <Row title="a"/>; }',
    ],
    [
      'an open contract',
      'function Row(props) { return <p>{format(props)}{props.label}</p>; }\nexport function App() { return <Row labl="a"/>; }',
    ],
  ],
);
