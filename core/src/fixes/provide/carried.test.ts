import { proposalTables, react, reactApp, svelte, svelteApp, sveltePart, vue, vueApp, vuePart } from '../../../../testing/src/proposals';

// A value through two parts, in each framework.
const lane =
  "import { Berth } from './Berth';\n\ntype Props = { eta: string; tone?: string };\n\nexport function Lane({ eta, tone }: Props) {\n  return <section className={tone}><Berth eta={eta} /></section>;\n}\n";
const berth =
  "import { Clock } from './Clock';\n\nexport function Berth({ eta }: { eta: string }) {\n  return <p><Clock at={eta} /></p>;\n}\n";
const clock = 'export function Clock({ at }: { at: string }) {\n  return <time>{at.toUpperCase()}</time>;\n}\n';
const canal = {
  'src/App.tsx': reactApp('<Lane eta={eta} />'),
  'src/Lane.tsx': lane,
  'src/Berth.tsx': berth,
  'src/Clock.tsx': clock,
};
const vueLane = vuePart(
  "import Berth from './Berth.vue';\n\ndefineProps<{ eta: string; tone?: string }>();",
  '<section :class="tone"><Berth :eta="eta" /></section>',
);
const vueBerth = vuePart("import Clock from './Clock.vue';\n\ndefineProps<{ eta: string }>();", '<p><Clock :at="eta" /></p>');
const vueClock = vuePart(
  'const props = defineProps<{ at: string }>();\nconst late = () => props.at.length > 9;',
  '<time :data-late="late()">{{ at }}{{ props.at }}</time>',
);
const vueCanal = {
  'src/App.vue': vueApp('<Lane :eta="eta" />'),
  'src/Lane.vue': vueLane,
  'src/Berth.vue': vueBerth,
  'src/Clock.vue': vueClock,
};
const svelteLane = sveltePart(
  "  import Berth from './Berth.svelte';\n\n  let { eta, tone }: { eta: string; tone?: string } = $props();",
  '<section class={tone}><Berth {eta} /></section>',
);
const svelteBerth = sveltePart(
  "  import Clock from './Clock.svelte';\n\n  let { eta }: { eta: string } = $props();",
  '<p><Clock at={eta} /></p>',
);
const svelteClock = sveltePart('  let { at }: { at: string } = $props();', '<time>{at.toUpperCase()}</time>');
const svelteCanal = {
  'src/App.svelte': svelteApp('<Lane {eta} />'),
  'src/Lane.svelte': svelteLane,
  'src/Berth.svelte': svelteBerth,
  'src/Clock.svelte': svelteClock,
};

proposalTables(
  'prop-carried',
  [
    ['the reader takes it', react(canal), { 'src/Clock.tsx': 'useContext(EtaContext)', 'src/Berth.tsx': 'export function Berth() {' }],
    [
      'in a list, each with its own',
      react({
        ...canal,
        'src/App.tsx': reactApp(
          '{etas.map((eta) => (\n        <Lane key={eta} tone="calm" eta={eta} />\n      ))}',
          '',
          "const [etas] = useState(['noon', 'one']);",
        ),
      }),
      { 'src/App.tsx': '<EtaContext.Provider key={eta} value={eta}>' },
    ],
    [
      'given twice, once as a constant',
      react({ ...canal, 'src/App.tsx': reactApp('<Lane eta={eta} /><Lane eta="one" tone="calm" />') }),
      { 'src/App.tsx': '<EtaContext.Provider value="one">' },
    ],
    [
      'all props under one name',
      react({
        ...canal,
        'src/Berth.tsx':
          "import { Clock } from './Clock';\n\ntype Props = { eta: string; side: string };\n\nexport function Berth(props: Props) {\n  return <p title={props.side}><Clock at={props.eta} /></p>;\n}\n",
        'src/Lane.tsx': lane.replace('<Berth eta', '<Berth side="left" eta'),
        'src/Clock.tsx':
          'export function Clock(props: { at: string }) {\n  const late = props.at.length > 9;\n  return <time data-late={late}>{props.at}</time>;\n}\n',
      }),
    ],
    [
      'the reader is used elsewhere too: the last of the chain takes it',
      react({
        ...canal,
        'src/App.tsx': reactApp('<Clock at="now" />\n      <Lane eta={eta} />', "import { Clock } from './Clock';\n"),
        'src/Lane.tsx': lane.replace('<Berth eta={eta} />', '{[1, 2].map((one) => <Berth key={one} eta={eta} />)}'),
      }),
      { 'src/Berth.tsx': 'useContext(EtaContext)', 'src/Clock.tsx': 'at: string' },
    ],
    [
      'an arrow that is all expression, and a default',
      react({ ...canal, 'src/Clock.tsx': "export const Clock = ({ at = 'never' }: { at?: string }) => <time>{at}</time>;\n" }),
      { 'src/Clock.tsx': "useContext(EtaContext) ?? 'never';" },
    ],
    [
      'an arrow whose expression begins on a line of its own',
      react({ ...canal, 'src/Clock.tsx': 'export const Clock = ({ at }: { at: string }) =>\n  <time>{at}</time>;\n' }),
      { 'src/Clock.tsx': 'return (\n' },
    ],
    [
      'without types',
      react(
        Object.fromEntries(
          Object.entries(canal).map(([file, text]) => [
            file.replace('.tsx', '.jsx'),
            text.replace(/^type Props.*\n\n/m, '').replace(/: (?:Props|\{ (?:eta|at): string \})\)/, ')'),
          ]),
        ),
      ),
      { 'src/Clock.jsx': 'createContext(undefined)' },
    ],
    [
      'types that stand in a file of their own',
      react({
        ...canal,
        'src/Lane.tsx': lane.replace(/type Props.*\n/, "import type { LaneProps } from './types';\n").replace(': Props)', ': LaneProps)'),
        'src/Clock.tsx':
          "import type { ClockProps } from './types';\n\nexport function Clock({ at }: ClockProps) {\n  return <time>{at.toUpperCase()}</time>;\n}\n",
        'src/types.ts': 'export type LaneProps = { eta: string; tone?: string };\n\nexport interface ClockProps {\n  at: string;\n}\n',
      }),
      { 'src/types.ts': 'export type LaneProps = { tone?: string };\n' },
    ],
    [
      'a name that is taken already',
      react({
        ...canal,
        'src/other.ts': "import { createContext } from 'react';\nexport const EtaContext = createContext('');\n",
      }),
      { 'src/Clock.tsx': 'EtaContext2' },
    ],
    ['Vue: the reader takes it', vue(vueCanal), { 'src/Clock.vue': "inject<Ref<string>>('eta')!", 'src/App.vue': "provide('eta', eta);" }],
    [
      'Vue: what the owner was given itself',
      vue({
        ...vueCanal,
        'src/App.vue': vuePart("import Dock from './Dock.vue';", '<Dock name="noon" />'),
        'src/Dock.vue': vuePart(
          "import Lane from './Lane.vue';\n\nconst { name } = defineProps<{ name: string }>();",
          '<main>{{ name }}<Lane :eta="name" /></main>',
        ),
      }),
      { 'src/Dock.vue': "provide('eta', computed(() => name));" },
    ],
    [
      'Vue: the reader takes its props apart',
      vue({
        ...vueCanal,
        'src/Clock.vue': vuePart(
          'const { at } = defineProps<{ at: string }>();\nconst late = () => at.length > 9;\nconst both = () => ({ at });',
          '<time :data-late="late()">{{ at }}{{ both().at }}</time>',
        ),
      }),
      { 'src/Clock.vue': '({ at: at.value })' },
    ],
    [
      'Vue: a constant, read in script',
      vue({ ...vueCanal, 'src/App.vue': vueApp('<Lane eta="noon" />{{ eta }}') }),
      { 'src/App.vue': "provide('eta', ref('noon'));" },
    ],
    [
      'Vue without types: a function',
      vue(
        Object.fromEntries(
          Object.entries({
            'src/App.vue': vueApp('<Lane :eta="eta" />', "const eta = () => 'noon';\nconst on = ref(1);"),
            'src/Lane.vue': vueLane,
            'src/Berth.vue': vueBerth,
            'src/Clock.vue': vuePart(
              "const props = defineProps(['at']);\nconst now = () => props.at();",
              '<time>{{ now() }}{{ props.at() }}</time>',
            ),
          }).map(([file, text]) => [
            file,
            text.replace(' lang="ts"', '').replace(/defineProps<\{ eta: string(; tone\?: string)? \}>\(\)/, "defineProps(['eta', 'tone'])"),
          ]),
        ),
      ),
      { 'src/Clock.vue': 'const now = () => at();' },
    ],
    [
      'Vue: the reader is used elsewhere too',
      vue({
        ...vueCanal,
        'src/App.vue': vueApp('<Clock at="now" /><Lane :eta="eta" />', "import Clock from './Clock.vue';\nconst eta = ref('noon');"),
        'src/Lane.vue': vueLane.replace('<Berth ', '<Berth v-for="one in 2" :key="one" '),
      }),
      { 'src/Berth.vue': "inject<Ref<string>>('eta')!" },
    ],
    [
      'Svelte: the reader takes it',
      svelte(svelteCanal),
      { 'src/Clock.svelte': "getContext<() => string>('eta');\n  const at = $derived(getAt());" },
    ],
    [
      'Svelte: the reader is used elsewhere too',
      svelte({
        ...svelteCanal,
        'src/App.svelte': svelteApp(
          '<Clock at="now" /><Lane {eta} />',
          "  import Clock from './Clock.svelte';\n  let eta = $state('noon');",
        ),
        'src/Lane.svelte': svelteLane.replace('<Berth {eta} />', '{#each [1, 2] as one (one)}<Berth {eta} />{/each}'),
      }),
      { 'src/Berth.svelte': "getContext<() => string>('eta')" },
    ],
    [
      'Svelte: a callback',
      svelte({
        ...svelteCanal,
        'src/App.svelte': svelteApp('<Lane onpick={(one) => (eta = one)} />{eta}'),
        'src/Lane.svelte': svelteLane
          .replace(/eta: string/, 'onpick: (one: string) => void')
          .replace('{ eta, ', '{ onpick, ')
          .replace('{eta}', '{onpick}'),
        'src/Berth.svelte': svelteBerth
          .replace(/eta: string/, 'onpick: (one: string) => void')
          .replace('{ eta }', '{ onpick }')
          .replace('at={eta}', '{onpick}'),
        'src/Clock.svelte': sveltePart(
          '  let { onpick }: { onpick: (one: string) => void } = $props();',
          "<button onclick={() => onpick('a')}>a</button>",
        ),
      }),
      { 'src/Clock.svelte': "getContext<() => (one: string) => void>('onpick')" },
    ],
  ],
  [
    [
      'the reader is used elsewhere, and two levels are no way for a context',
      react({ ...canal, 'src/App.tsx': reactApp('<Clock at="now" />\n      <Lane eta={eta} />', "import { Clock } from './Clock';\n") }),
      'two levels below',
    ],
    [
      'a type that is declared elsewhere, for others too',
      react({
        ...canal,
        'src/Lane.tsx': lane.replace(/type Props.*\n/, "import type { Props } from './types';\n"),
        'src/types.ts': 'export type Props = { eta: string; tone?: string };\n',
        'src/show.ts': "import type { Props } from './types';\nexport const show = (all: Props) => all.eta;\n",
      }),
      'may be used elsewhere',
    ],
    [
      'a type that two components have',
      react({ ...canal, 'src/Lane.tsx': `${lane}\nexport function Side({ tone }: Props) {\n  return <b>{tone}</b>;\n}\n` }),
      'may be used elsewhere',
    ],
    [
      'what is spread on the first of the chain',
      react({
        ...canal,
        'src/App.tsx': reactApp(
          '<Lane eta={eta} />\n      <Lane {...all} />',
          '',
          "const [eta] = useState('noon');\n  const all = load();",
        ),
      }),
      'what cannot be seen',
    ],
    [
      'below a part that may look at what is in it',
      react({ ...canal, 'src/App.tsx': reactApp('<Tabs><Lane eta={eta} /></Tabs>', "import { Tabs } from 'tabs';\n") }),
      'Tabs may look at what is in it',
    ],
    ['Vue: two values', vue({ ...vueCanal, 'src/App.vue': vueApp('<Lane :eta="eta" /><Lane eta="one" />') }), 'more than one thing'],
    ['Vue: an expression', vue({ ...vueCanal, 'src/App.vue': vueApp('<Lane :eta="eta + 1" />') }), 'give it a name first'],
    [
      'Vue: of a list',
      vue({ ...vueCanal, 'src/App.vue': vueApp('<Lane v-for="one in etas" :key="one" :eta="one" />', "const etas = ref(['noon']);") }),
      'another one at each place',
    ],
    [
      'Svelte: of a list',
      svelte({
        ...svelteCanal,
        'src/App.svelte': svelteApp('{#each etas as eta (eta)}<Lane {eta} />{/each}', "  let etas = $state(['noon']);"),
      }),
      'another one at each place',
    ],
    [
      'Svelte before 5',
      svelte({
        'src/App.svelte': sveltePart("  import Lane from './Lane.svelte';\n  let eta = 'noon';", '<Lane {eta} />'),
        'src/Lane.svelte': sveltePart("  import Berth from './Berth.svelte';\n  export let eta: string;", '<Berth {eta} />'),
        'src/Berth.svelte': sveltePart("  import Clock from './Clock.svelte';\n  export let eta: string;", '<Clock at={eta} />'),
        'src/Clock.svelte': sveltePart('  export let at: string;', '<time>{at}</time>'),
      }),
      'in a form that is not followed',
    ],
  ],
);
