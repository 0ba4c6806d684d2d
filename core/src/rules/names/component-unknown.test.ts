import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

table(
  'component-unknown',
  'react',
  [
    ['not imported', 'export function App() { return <LevelGauge/>; }', 'App LevelGauge'],
    ['misspelt', 'function LevelGauge() { return <p/>; }\nexport function App() { return <LevelGuage/>; }', 'App LevelGuage'],
    ['a member of nothing', 'export function App() { return <Card.Head/>; }', 'App Card.Head'],
  ],
  [
    [
      'a class of a function around it',
      'export function keep(Inner) { class Keeper extends Component { render() { return <Inner/>; } } return forwardRef(function Kept(props, ref) { return <Keeper props={props} at={ref}/>; }); }',
    ],
    ['imported from outside', "import { LevelGauge } from 'out';\nexport function App() { return <LevelGauge/>; }"],
    ['imported from a file that is not there', "import { LevelGauge } from './gone';\nexport function App() { return <LevelGauge/>; }"],
    ['held by a prop', 'export function App({ as: Tag }) { return <Tag/>; }'],
    ['a variable', 'export function App({ a }) { const Tag = a ? One : Two; return <Tag/>; }'],
    ['of the module', 'const { LevelGauge } = parts;\nexport function App() { return <LevelGauge/>; }'],
    ['a custom element', 'export function App() { return <level-gauge/>; }'],
  ],
);

table(
  'component-unknown',
  'vue',
  [
    [
      'misspelt',
      { App: '<template><div><LevelGuage/><LevelGauge/></div></template>', LevelGauge: '<template><p/></template>' },
      'App LevelGuage',
    ],
    [
      'misspelt in a list',
      { App: '<template><ul><li v-for="a in 3"><LevelGaug/></li><LevelGauge/></ul></template>', LevelGauge: '<template><p/></template>' },
      'App LevelGaug',
    ],
    [
      'misspelt with hyphens',
      { App: '<template><div><LevelGauges/><LevelGauge/></div></template>', LevelGauge: '<template><p/></template>' },
      'App LevelGauges',
    ],
  ],
  [
    ['imported', { App: '<template><LevelGauge/></template>', LevelGauge: '<template><p/></template>' }],
    ['may be registered elsewhere', { App: '<template><TideTable/></template>', LevelGauge: '<template><p/></template>' }],
    ['the framework’s own', { App: '<template><Transition><p/></Transition></template>', LevelGauge: '<template><p/></template>' }],
    ['the router’s', { App: '<template><RouterView/></template>', LevelGauge: '<template><p/></template>' }],
    [
      'of that very name, registered in a way that cannot be seen',
      {
        App: '<template><div><LevelGauges/></div></template>',
        LevelGauge: '<template><p/></template>',
        'LevelGauges.vue': '<template><p/></template>',
      },
    ],
    [
      'registered for all',
      {
        App: '<template><TideTables/></template>',
        'more.js': "import { createApp } from 'vue'; import T from './T.vue'; createApp({}).component('TideTables', T);",
        TideTable: '<template><p/></template>',
        'T.vue': '<template><p/></template>',
      },
    ],
  ],
);

table(
  'component-unknown',
  'svelte',
  [
    ['not imported', { App: '<TideTable/>', Panel: '<p></p>' }, 'App TideTable'],
    ['misspelt', { App: '<div><LevelGuage/><LevelGauge/></div>', LevelGauge: '<p></p>' }, 'App LevelGuage'],
    ['in a block', { App: '{#if true}<TideTable/>{/if}', Panel: '<p></p>' }, 'App TideTable'],
  ],
  [
    ['imported', { App: '<LevelGauge/>', LevelGauge: '<p></p>' }],
    ['held by a prop', { App: '<script>let { Tag } = $props();</script><Tag/>', Panel: '<p></p>' }],
    ['a variable', { App: '<script>import A from "a"; const Tag = $derived(A);</script><Tag/>', Panel: '<p></p>' }],
    ['from outside', { App: '<script>import Out from "out";</script><Out/>', Panel: '<p></p>' }],
    [
      'a block’s constant',
      { App: '<script>let { all } = $props();</script>{#each all as one}{@const Tag = one.tag}<Tag/>{/each}', Panel: '<p></p>' },
    ],
  ],
);

table(
  'component-unknown',
  'react',
  [
    [
      'a member that was never attached',
      'function Card() { return <p/>; }\nCard.Head = function () { return <b/>; };\nexport function App() { return <Card.Foot/>; }',
      'App Card.Foot',
    ],
    [
      'a member that is not among those assigned',
      'function Root() { return <p/>; }\nfunction Head() { return <b/>; }\nexport const Card = Object.assign(Root, { Head });\nexport function App() { return <Card.Foot/>; }',
      'App Card.Foot',
    ],
  ],
  [
    [
      'a member that was attached',
      'function Card() { return <p/>; }\nCard.Head = function () { return <b/>; };\nexport function App() { return <Card.Head/>; }',
    ],
    [
      'members that are added in a way that cannot be seen',
      "import { parts } from './parts';\nfunction Card() { return <p/>; }\nCard.Head = function () { return <b/>; };\nObject.assign(Card, parts);\nexport function App() { return <Card.Foot/>; }",
    ],
  ],
);

const listed = (components: string): Sources => ({
  'App.vue': `<script>import LevelGauge from './LevelGauge.vue'; import Bar from './Bar.vue'; export default { name: 'WholeApp', components: ${components} };</script><template><div><LevelGauge/></div></template>`,
  LevelGauge: '<template><p/></template>',
  Bar: '<template><p/></template>',
});

table(
  'component-unknown',
  'vue',
  [['imported and not registered', listed('{ Bar }'), 'App LevelGauge']],
  [
    ['registered', listed('{ LevelGauge }')],
    ['registered with others that cannot be seen', listed('{ Bar, ...more }')],
    [
      'by the name that it gives itself',
      {
        'App.vue':
          '<script>export default { name: \'TreeRow\', components: {} };</script><template><div><TreeRow v-if="a"/></div></template>',
      },
    ],
  ],
);

table(
  'component-unknown',
  'svelte',
  [
    [
      'a name that a module does not export',
      {
        App: '<script>import * as tabs from "./tabs.js"; const Tabs = tabs;</script><script module>import * as Bars from "./tabs.js";</script><Bars.Panel/>',
        'tabs.js': 'export { default as Tab } from "./Tab.svelte";',
        Tab: '<p></p>',
      },
      'App Bars.Panel',
    ],
  ],
  [
    [
      'a name that it exports',
      {
        App: '<script>import * as Tabs from "./tabs.js";</script><Tabs.Tab/>',
        'tabs.js': 'export { default as Tab } from "./Tab.svelte";',
        Tab: '<p></p>',
      },
    ],
    [
      'a module that gives all of another one, which is not here',
      { App: '<script>import * as Tabs from "./tabs.js";</script><Tabs.Panel/>', 'tabs.js': 'export * from "out";' },
    ],
  ],
);
