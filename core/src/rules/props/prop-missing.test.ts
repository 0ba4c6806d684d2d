import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const setup = (script: string): string => `<script setup>${script}</script>`;

const script = (text: string): string => `<script>${text}</script>`;

const vueRow = `${setup('defineProps({ eta: { type: String, required: true }, boat: String });')}<template><p>{{ eta }}{{ boat }}</p></template>`;

const svelteRow = '<script lang="ts">let { eta, boat }: { eta: string; boat?: string } = $props();</script><p>{eta}{boat}</p>';

const row = 'function Row({ eta, boat }: { eta: string; boat?: string }) { return <p>{eta}{boat}</p>; }\n';

table(
  'prop-missing',
  'vue',
  [
    ['not given', { App: `${setup('')}<template><main><Row boat="b"/></main></template>`, Row: vueRow }, 'App eta'],
    ['in a list', { App: `${setup('const all = [1];')}<template><Row v-for="one in all" :key="one"/></template>`, Row: vueRow }, 'App eta'],
    [
      'declared by a type',
      {
        App: `${setup('')}<template><main><Row/></main></template>`,
        Row: '<script setup lang="ts">defineProps<{ eta: string; boat?: string }>();</script><template><p>{{ eta }}{{ boat }}</p></template>',
      },
      'App eta',
    ],
  ],
  [
    ['given by kebab case', { App: `${setup('')}<template><Row last-eta="1"/></template>`, Row: vueRow.replaceAll('eta', 'lastEta') }],
    ['bound', { App: `${setup('const eta = "1";')}<template><Row :eta="eta"/></template>`, Row: vueRow }],
    ['the same name, short', { App: `${setup('const eta = "1";')}<template><Row :eta/></template>`, Row: vueRow }],
    ['all of an object', { App: `${setup('const row = load();')}<template><Row v-bind="row"/></template>`, Row: vueRow }],
    ['with a default', { App: `${setup('')}<template><Row/></template>`, Row: vueRow.replace('required: true', "default: ''") }],
    ['two-way', { App: `${setup('const eta = ref("1");')}<template><Row v-model:eta="eta"/></template>`, Row: vueRow }],
  ],
);

table(
  'prop-missing',
  'svelte',
  [
    ['not given', { App: '<Row boat="b"/>', Row: svelteRow }, 'App eta'],
    ['in a list', { App: '{#each [1] as one (one)}<Row boat="b"/>{/each}', Row: svelteRow }, 'App eta'],
    [
      'an older prop without a default',
      { App: '<Row/>', Row: '<script lang="ts">export let eta: string;</script><p>{eta}</p>' },
      'App eta',
    ],
  ],
  [
    ['given', { App: '<Row eta="1"/>', Row: svelteRow }],
    ['short', { App: `${script('const eta = "1";')}<Row {eta}/>`, Row: svelteRow }],
    ['all of an object', { App: `${script('const row = load();')}<Row {...row}/>`, Row: svelteRow }],
    ['bound', { App: `${script('let eta = $state("1");')}<Row bind:eta/>`, Row: svelteRow }],
    [
      'with a default',
      { App: '<Row/>', Row: svelteRow.replace('{ eta, boat }', "{ eta = '', boat }").replace('eta: string', 'eta?: string') },
    ],
    ['an older prop with a default', { App: '<Row/>', Row: `${script('export let eta = "";')}<p>{eta}</p>` }],
  ],
);

table(
  'prop-missing',
  'react',
  [
    ['not given', `${row}export function App() { return <Row boat="b"/>; }`, 'App eta'],
    [
      'read each time without asking for it, where nothing declares it',
      'function Line({ tower }) { const place = tower.name; return <p>{place}</p>; }\nexport function App() { return <Line/>; }',
      'App tower',
    ],
    ['in a list', `${row}export function App({ all = [] }) { return all.map((one) => <Row key={one} boat={one}/>); }`, 'App eta'],
    ['of a type from another file', "import { Row } from './Row';\nexport function App() { return <><Row/><p/></>; }", 'App eta'],
    [
      'required children',
      'function Frame({ children }: { children: ReactNode }) { return <p>{children}</p>; }\nexport function App() { return <Frame/>; }',
      'App children',
    ],
    ['through memo', 'const Row = memo(({ eta }: { eta: string }) => <p>{eta}</p>);\nexport function App() { return <Row/>; }', 'App eta'],
    ['a spread whose names are all seen', `${row}export function App() { return <Row {...{ boat: 'b' }}/>; }`, 'App eta'],
  ].map(([name, text, found]) => [name, (text ?? '').replace("import { Row } from './Row';", `${row}`), found] as [string, string, string]),
  [
    [
      'asked for before it is read',
      'function Line({ tower }) { if (!tower) return null; return <p>{tower.name}</p>; }\nexport function App() { return <Line/>; }',
    ],
    [
      'read only after a return',
      'function Line({ busy, tower }) { if (busy) return <i/>; return <p>{tower.name}</p>; }\nexport function App() { return <Line busy/>; }',
    ],
    [
      'read only on a condition',
      'function Line({ open, tower }) { return <p>{open && <b>{tower.name}</b>}</p>; }\nexport function App() { return <Line/>; }',
    ],
    [
      'read only when something happens',
      'function Line({ tower }) { return <p onClick={() => print(tower.name)}/>; }\nexport function App() { return <Line/>; }',
    ],
    ['given', `${row}export function App() { return <Row eta="1"/>; }`],
    ['given by a spread that cannot be seen', `${row}export function App(props) { return <Row {...props.all}/>; }`],
    ['a default', 'function Row({ eta = "-" }: { eta: string }) { return <p>{eta}</p>; }\nexport function App() { return <Row/>; }'],
    ['declared optional', 'function Row({ eta }: { eta?: string }) { return <p>{eta}</p>; }\nexport function App() { return <Row/>; }'],
    ['nothing declares it', 'function Row({ eta }) { return <p>{eta}</p>; }\nexport function App() { return <Row/>; }'],
    [
      'a type from outside',
      "import type { P } from 'out';\nfunction Row({ eta }: P) { return <p>{eta}</p>; }\nexport function App() { return <Row/>; }",
    ],
    [
      'content gives children',
      'function Frame({ children }: { children: ReactNode }) { return <p>{children}</p>; }\nexport function App() { return <Frame>a</Frame>; }',
    ],
    [
      'a parent that clones its content',
      `${row}function Group({ children }) { return cloneElement(children, { eta: '1' }); }\nexport function App() { return <Group><Row/></Group>; }`,
    ],
    ['a lone child of a part from outside', `import { Tip } from 'out';\n${row}export function App() { return <Tip><Row/></Tip>; }`],
    [
      'a wrapper that may add it',
      'const Row = withEta(({ eta }: { eta: string }) => <p>{eta}</p>);\nexport function App() { return <Row/>; }',
    ],
    [
      'required in one alternative only',
      'function Row(props: { eta: string } | { boat: string }) { return <p/>; }\nexport function App() { return <Row boat="b"/>; }',
    ],
    [
      'key is no prop',
      'function Row({ eta }: { key?: string; eta: string }) { return <p>{eta}</p>; }\nexport function App() { return <Row eta="1"/>; }',
    ],
    ['handed on as a value', `import { List } from 'out';\n${row}export function App() { return <List of={Row}/>; }`],
  ],
);

/** A class whose base says what it is given. */
const rowClass = (props: string, more = '', before = ''): string =>
  `type Props = { eta: string; boat?: string };\n${before}class Row extends React.Component<${props}> { ${more} render() { return <p>{this.props.eta}{this.props.boat}</p>; } }\nexport function App() { return <Row boat="b"/>; }`;

table(
  'prop-missing',
  'react',
  [
    ['a class, by the type of its base', rowClass('Props'), 'App eta'],
    ['and by one that is written there', rowClass('{ eta: string; boat?: string }'), 'App eta'],
  ],
  [
    ['a default of the class', rowClass('Props', "static defaultProps = { eta: '1' };")],
    ['a decorator may give it', rowClass('Props', '', "@inject('eta')\n")],
    ['a base of one’s own', rowClass('Props').replace('React.Component', 'Base')],
    ['a parameter of the class', rowClass('P').replace('class Row', 'class Row<P>')],
    ['nothing is said of its props', rowClass('Props').replace('<Props>', '')],
  ],
);

/** A part whose props are told apart by one of them. */
const action = (use: string): string =>
  `type Common = { label: string };\ntype Props = Common & ({ kind: 'link'; href: string } | { kind: 'press'; onPress: () => void });\nfunction Action(props: Props) { return <b>{props.label}</b>; }\nconst kind = pick();\nexport function App() { return <Action ${use}/>; }`;

table(
  'prop-missing',
  'react',
  [
    ['what the alternative needs that a constant chooses', action('kind="link" label="a"'), 'App href'],
    ['the other one', action('kind={\'press\'} label="a"'), 'App onPress'],
  ],
  [
    ['it is given', action('kind="link" label="a" href="/"')],
    ['which one it is cannot be told', action('kind={kind} label="a"')],
  ],
);
