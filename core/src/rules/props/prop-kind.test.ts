import { type Sources, table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const gauge =
  'type Tone = "calm" | "late";\nfunction Gauge(props: { level?: number; open?: boolean; tone?: Tone; onPick?: () => void; name?: string; any?: unknown }) { return <p>{props.level}{props.open}{props.tone}{props.name}{props.any}</p>; }\n';

const useGauge = (given: string): string => `${gauge}export function App() { return <Gauge ${given}/>; }`;

table(
  'prop-kind',
  'react',
  [
    ['a text for a number', useGauge('level="2"'), 'App level'],
    ['a text for a flag', useGauge('open="false"'), 'App open'],
    ['a word that is not among those', useGauge('tone="clam"'), 'App tone'],
    ['a number for a text', useGauge('name={4}'), 'App name'],
  ],
  [
    ['of its kind', useGauge('level={2} open tone="late" name="a"')],
    ['a flag that is said', useGauge('open={false}')],
    ['anything', useGauge('any="2"')],
    ['a value that is not seen', useGauge('level={out}')],
    [
      'a union that takes it',
      'function Part({ a }: { a: string | number }) { return <p>{a}</p>; }\nexport function App() { return <Part a="2"/>; }',
    ],
    [
      'a type from outside',
      'import type { Tone } from \'out\';\nfunction Part({ a }: { a: Tone }) { return <p>{a}</p>; }\nexport function App() { return <Part a="2"/>; }',
    ],
    [
      'a type parameter',
      'type P<T> = { a: T };\nfunction Part({ a }: P<string>) { return <p>{a}</p>; }\nexport function App() { return <Part a="2"/>; }',
    ],
    [
      'alternatives of the whole',
      'type P = { k: "a"; a: number } | { k: "b"; a: string };\nfunction Part(p: P) { return <p>{p.a}</p>; }\nexport function App() { return <Part k="b" a="2"/>; }',
    ],
    ['nothing', useGauge('level={undefined}')],
  ],
);

table(
  'prop-kind',
  'vue',
  [
    [
      'a text for a number',
      {
        App: '<template><Gauge level="2"/></template>',
        Gauge: '<script setup>defineProps({ level: Number });</script><template><p>{{ level }}</p></template>',
      },
      'App level',
    ],
    [
      'a text for a flag',
      {
        App: '<template><Gauge open="false"/></template>',
        Gauge: '<script setup>defineProps({ open: { type: Boolean } });</script><template><p>{{ open }}</p></template>',
      },
      'App open',
    ],
    [
      'a number for a text',
      {
        App: '<template><Gauge :name="4"/></template>',
        Gauge: '<script setup>defineProps({ name: { type: String } });</script><template><p>{{ name }}</p></template>',
      },
      'App name',
    ],
    [
      'a name alone for a number',
      {
        App: '<template><Gauge level/></template>',
        Gauge: '<script setup>defineProps({ level: Number });</script><template><p>{{ level }}</p></template>',
      },
      'App level',
    ],
  ],
  [
    [
      'a name alone, which is the empty text',
      {
        App: '<template><Gauge name/></template>',
        Gauge: '<script setup>defineProps({ name: String });</script><template><p>{{ name }}</p></template>',
      },
    ],
    [
      'bound',
      {
        App: '<template><Gauge :level="2"/></template>',
        Gauge: '<script setup>defineProps({ level: Number });</script><template><p>{{ level }}</p></template>',
      },
    ],
    [
      'a flag alone',
      {
        App: '<template><Gauge open/></template>',
        Gauge: '<script setup>defineProps({ open: Boolean });</script><template><p>{{ open }}</p></template>',
      },
    ],
    [
      'an empty flag',
      {
        App: '<template><Gauge open=""/></template>',
        Gauge: '<script setup>defineProps({ open: Boolean });</script><template><p>{{ open }}</p></template>',
      },
    ],
    [
      'either',
      {
        App: '<template><Gauge level="2"/></template>',
        Gauge: '<script setup>defineProps({ level: [Number, String] });</script><template><p>{{ level }}</p></template>',
      },
    ],
    [
      'a class of its own',
      {
        App: '<template><Gauge level="2"/></template>',
        Gauge: '<script setup>import { Level } from "out"; defineProps({ level: Level });</script><template><p>{{ level }}</p></template>',
      },
    ],
    [
      'any',
      {
        App: '<template><Gauge level="2"/></template>',
        Gauge: '<script setup>defineProps(["level"]);</script><template><p>{{ level }}</p></template>',
      },
    ],
  ],
);

table(
  'prop-kind',
  'svelte',
  [
    [
      'a text for a number',
      { App: '<Gauge level="2"/>', Gauge: '<script lang="ts">let { level }: { level: number } = $props();</script><p>{level}</p>' },
      'App level',
    ],
    [
      'a text for a flag',
      {
        App: '<Gauge open="false"/>',
        Gauge: '<script lang="ts">type P = { open?: boolean }; let { open }: P = $props();</script><p>{open}</p>',
      },
      'App open',
    ],
    [
      'a word that is not among those',
      { App: '<Gauge tone="clam"/>', Gauge: '<script lang="ts">let { tone }: { tone: "calm" | "late" } = $props();</script><p>{tone}</p>' },
      'App tone',
    ],
  ],
  [
    [
      'of its kind',
      { App: '<Gauge level={2}/>', Gauge: '<script lang="ts">let { level }: { level: number } = $props();</script><p>{level}</p>' },
    ],
    ['no type', { App: '<Gauge level="2"/>', Gauge: '<script>let { level } = $props();</script><p>{level}</p>' }],
    [
      'a flag alone',
      { App: '<Gauge open/>', Gauge: '<script lang="ts">let { open }: { open: boolean } = $props();</script><p>{open}</p>' },
    ],
    [
      'either',
      {
        App: '<Gauge level="2"/>',
        Gauge: '<script lang="ts">let { level }: { level: number | string } = $props();</script><p>{level}</p>',
      },
    ],
    [
      'the rest of the words',
      { App: '<Gauge tone="late"/>', Gauge: '<script lang="ts">let { tone }: { tone: "calm" | "late" } = $props();</script><p>{tone}</p>' },
    ],
  ],
);

const documented = (comment: string, given: string): Sources => ({
  App: `<Gauge ${given}/>`,
  Gauge: `<script>${comment}\nlet { max, open = false } = $props();</script><p>{max}{open}</p>`,
});

table(
  'prop-kind',
  'svelte',
  [
    ['a type in a comment', documented('/** @type {{ max: number, open?: boolean }} */', 'max="5"'), 'App max'],
    [
      'a text for a flag',
      documented('/** What it shows.\n * @type {{ max: number, open?: boolean }} */', 'max={5} open="false"'),
      'App open',
    ],
  ],
  [
    ['as the comment says', documented('/** @type {{ max: number, open?: boolean }} */', 'max={5} open={true}')],
    ['a comment that is no type', documented('/** Takes numbers. */', 'max="5"')],
    ['a comment that cannot be parsed', documented('/** @type {{ max: } */', 'max="5"')],
  ],
);

const action = (use: string): string =>
  `type Props = { kind: 'link'; href: string } | { kind: 'press'; onPress: () => void; href?: number };\nfunction Action(props: Props) { return <b>{props.kind}</b>; }\nexport function App() { return <Action ${use}/>; }`;

table(
  'prop-kind',
  'react',
  [
    ['a text for a function', action('kind="press" onPress="ring"'), 'App onPress'],
    ['by the alternative that a constant chooses', action('kind="press" onPress={() => 1} href="/"'), 'App href'],
  ],
  [
    ['as the other alternative has it', action('kind="link" href="/"')],
    ['a function', action('kind="press" onPress={() => 1}')],
  ],
);
