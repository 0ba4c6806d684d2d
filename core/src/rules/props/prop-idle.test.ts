import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const app = (markup: string, before = ''): string => `${before}export function App() { return <main>${markup}</main>; }`;

const vueApp = (markup: string, before = ''): string => `${setup(before)}<template><main>${markup}</main></template>`;

const pill = (head: string, body: string): string => `function Pill(${head}) { return <b>${body}</b>; }\n`;

const vuePill = (props: string, markup: string): string => `${setup(`defineProps({ ${props} });`)}<template><b>${markup}</b></template>`;

const sveltePill = (props: string, markup: string): string => `<script lang="ts">let { ${props} } = $props();</script><b>${markup}</b>`;

table(
  'prop-idle',
  'react',
  [
    ['never read', pill('{ a, dense }: { a: string; dense?: boolean }', '{a}') + app('<Pill a="1"/>'), 'Pill dense'],
    ['never read, and given', pill('{ a, dense }: { a: string; dense?: boolean }', '{a}') + app('<Pill a="1" dense/>'), 'Pill dense'],
    [
      'while the class that it stands in reads its own prop of that name',
      'class Bar extends React.Component { render() { return <i>{this.props.dense}</i>; } }\n' +
        pill('{ a, dense }: { a: string; dense?: boolean }', '{a}') +
        app('<Pill a="1" dense/><Bar dense/>'),
      'Pill dense',
    ],
    ['without a type, with a default', pill('{ a, dense = false }', '{a}') + app('<Pill a="1"/>'), 'Pill dense'],
  ],
  [
    ['read in markup', pill('{ dense }: { dense?: boolean }', '{dense ? 1 : 2}') + app('<Pill/>')],
    ['read in a statement', 'function Pill({ dense }) { let a = 1; if (dense) a = 2; return <b>{a}</b>; }\n' + app('<Pill/>')],
    ['handed on', pill('{ dense }: { dense?: boolean }', '<Out dense={dense}/>') + app('<Pill/>')],
    ['the props as a whole', 'function Pill(props: { dense?: boolean }) { return <Out {...props}/>; }\n' + app('<Pill/>')],
    ['left unread on purpose', pill('{ _dense }: { _dense?: boolean }', '1') + app('<Pill/>')],
    ['a callback that is given', pill('{ onOpen }: { onOpen?: () => void }', '1') + app('<Pill onOpen={() => 1}/>')],
    [
      'that who is handed the element reads',
      'function Bar({ children }) { return <i>{children.map((child) => child.props.dense ? child : null)}</i>; }\n' +
        pill('{ dense }: { dense?: boolean }', '1') +
        app('<Bar><Pill dense/></Bar>'),
    ],
    [
      'that who is handed the element takes out of it',
      'function Bar({ children }) { const { key, dense = 1 } = children.props; return <i>{dense}</i>; }\n' +
        pill('{ dense }: { dense?: boolean }', '1') +
        app('<Bar><Pill dense/></Bar>'),
    ],
    ['taken under another name', pill('{ dense: tight }: { dense?: boolean }', '{tight}') + app('<Pill/>')],
    [
      'of a type that two share',
      'type Props = { dense?: boolean };\nfunction Pill({ dense }: Props) { return <b/>; }\nfunction Tag({ dense }: Props) { return <i>{dense}</i>; }\n' +
        app('<Pill/><Tag/>'),
    ],
  ],
);

table(
  'prop-idle',
  'vue',
  [
    ['never read', { App: vueApp('<Pill a="1"/>'), Pill: vuePill('a: String, dense: Boolean', '{{ a }}') }, 'Pill dense'],
    ['given by kebab case', { App: vueApp('<Pill :is-dense="true"/>'), Pill: vuePill('isDense: Boolean', '') }, 'Pill isDense'],
    [
      'a list of names',
      { App: vueApp('<Pill a="1"/>'), Pill: `${setup("defineProps(['a', 'dense']);")}<template><b>{{ a }}</b></template>` },
      'Pill dense',
    ],
  ],
  [
    ['read in markup', { App: vueApp('<Pill/>'), Pill: vuePill('dense: Boolean', '{{ dense }}') }],
    [
      'read in script',
      {
        App: vueApp('<Pill/>'),
        Pill: `${setup('const props = defineProps({ dense: Boolean }); print(props.dense);')}<template><b/></template>`,
      },
    ],
    [
      'handed on as a whole',
      {
        App: vueApp('<Pill/>'),
        Pill: `${setup('const props = defineProps({ dense: Boolean });')}<template><b v-bind="props"/></template>`,
      },
    ],
    ['decides what shows', { App: vueApp('<Pill/>'), Pill: vuePill('dense: Boolean', '<i v-if="dense"/>') }],
    ['a style', { App: vueApp('<Pill/>'), Pill: `${vuePill('tone: String', '')}<style scoped>b { color: v-bind(tone); }</style>` }],
  ],
);

table(
  'prop-idle',
  'svelte',
  [
    ['never read', { App: '<Pill a="1"/>', Pill: sveltePill('a, dense', '{a}') }, 'Pill dense'],
    ['with a default', { App: '<Pill a="1"/>', Pill: sveltePill('a, dense = false', '{a}') }, 'Pill dense'],
    ['an older prop', { App: '<Pill a="1"/>', Pill: '<script>export let a; export let dense = false;</script><b>{a}</b>' }, 'Pill dense'],
  ],
  [
    ['read', { App: '<Pill/>', Pill: sveltePill('dense', '{dense}') }],
    ['a class', { App: '<Pill/>', Pill: '<script>let { dense } = $props();</script><b class:dense/>' }],
    ['read in script', { App: '<Pill/>', Pill: '<script>let { dense } = $props(); $effect(() => print(dense));</script><b/>' }],
    ['all that is given', { App: '<Pill/>', Pill: '<script>let props = $props();</script><b {...props}/>' }],
    ['taken under another name', { App: '<Pill/>', Pill: '<script>let { dense: tight } = $props();</script><b>{tight}</b>' }],
  ],
);
