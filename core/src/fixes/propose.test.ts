import { beforeAll, describe, expect, test } from 'vitest';
import { loadCompilers } from '../read';
import { analyseFiles, type Files } from '../testing/project';
import { rendered } from '../testing/render';
import { applyEdits, propose } from '.';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

type Case = readonly [name: string, files: Files, holds?: Readonly<Record<string, string>>];
type Refused = readonly [name: string, files: Files, why: string];

const react = (files: Files): Files => ({
  'src/main.tsx':
    "import { createRoot } from 'react-dom/client';\nimport { App } from './App';\ncreateRoot(document.body).render(<App />);\n",
  ...files,
});
const vue = (files: Files): Files => ({
  'src/main.ts': "import { createApp } from 'vue';\nimport App from './App.vue';\ncreateApp(App).mount('#app');\n",
  ...files,
});
const svelte = (files: Files): Files => ({
  'src/main.ts': "import { mount } from 'svelte';\nimport App from './App.svelte';\nmount(App, { target: document.body });\n",
  ...files,
});

/** All findings of a project by key, and what is proposed for those of a rule. */
function proposed(files: Files, rule: string) {
  const { model, findings } = analyseFiles(files);
  const finding = findings.find((one) => one.rule === rule);
  if (!finding) throw new Error(`No ${rule}; there are ${findings.map((one) => one.key).join(', ')}`);
  return { keys: findings.map((one) => one.key), finding, proposal: propose(model, finding, (file) => files[file]) };
}

function changed(files: Files, rule: string): { after: Files; before: readonly string[]; key: string } {
  const { keys, finding, proposal } = proposed(files, rule);
  if (!proposal || 'wrong' in proposal) throw new Error(proposal?.wrong ?? 'Nothing is proposed.');
  const after = new Map(Object.entries(files));
  for (const file of new Set(proposal.edits.map((edit) => edit.file))) {
    const text = applyEdits(
      files[file] ?? '',
      proposal.edits.filter((edit) => edit.file === file),
    );
    if (text === '') after.delete(file);
    else after.set(file, text);
  }
  return { after: Object.fromEntries(after), before: keys, key: finding.key };
}

function tables(rule: string, written: readonly Case[], refused: readonly Refused[]): void {
  describe(rule, () => {
    const cases = written.map(([name, files, holds = {}]) => ({ name, files, holds }));
    test.each(cases)('$name: it renders the same, the finding is gone and none is new', async ({ files, holds }) => {
      const { after, before, key } = changed(files, rule);
      for (const [file, text] of Object.entries(holds)) expect(after[file]).toContain(text);
      const left = analyseFiles(after).findings.map((one) => one.key);
      expect(left).not.toContain(key);
      expect(left.filter((one) => !before.includes(one))).toEqual([]);
      expect(await rendered(after)).toBe(await rendered(files));
    });
    test.each(refused)('%s: refused, and it says why', (_, files, why) => {
      const { proposal } = proposed(files, rule);
      expect(proposal).toEqual({ wrong: expect.stringContaining(why) as string });
    });
  });
}

// A value through two parts, in React; each part as a whole file.
const state = "import { useState } from 'react';\n";
const reactApp = (use: string, head = '', body = "const [eta] = useState('noon');"): string =>
  `${state}import { Lane } from './Lane';\n${head}\nexport function App() {\n  ${body}\n  return (\n    <main>\n      ${use}\n    </main>\n  );\n}\n`;
const lane =
  "import { Berth } from './Berth';\n\ntype Props = { eta: string; tone?: string };\n\nexport function Lane({ eta, tone }: Props) {\n  return <section className={tone}><Berth eta={eta} /></section>;\n}\n";
const berth =
  "import { Clock } from './Clock';\n\nexport function Berth({ eta }: { eta: string }) {\n  return <p><Clock at={eta} /></p>;\n}\n";
const clock = 'export function Clock({ at }: { at: string }) {\n  return <time>{at.toUpperCase()}</time>;\n}\n';
const canal = { 'src/App.tsx': reactApp('<Lane eta={eta} />'), 'src/Lane.tsx': lane, 'src/Berth.tsx': berth, 'src/Clock.tsx': clock };

const vueApp = (use: string, script = "const eta = ref('noon');"): string =>
  `<script setup lang="ts">\nimport { ref } from 'vue';\nimport Lane from './Lane.vue';\n\n${script}\n</script>\n\n<template>\n  <main>${use}</main>\n</template>\n`;
const vuePart = (script: string, markup: string): string =>
  `<script setup lang="ts">\n${script}\n</script>\n\n<template>\n  ${markup}\n</template>\n`;
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

const sveltePart = (script: string, markup: string): string => `<script lang="ts">\n${script}\n</script>\n\n${markup}\n`;
const svelteApp = (use: string, script = "  let eta = $state('noon');"): string =>
  sveltePart(`  import Lane from './Lane.svelte';\n\n${script}`, `<main>${use}</main>`);
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

tables(
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

const relay = (name: string, below: string, raise: string): string =>
  `import { ${below} } from './${below}';\n\nexport function ${name}({ onPick }: { onPick: (id: string) => void }) {\n  return <p><${below} onPick={(id) => ${raise}} /></p>;\n}\n`;
const row =
  "export function Row({ onPick }: { onPick: (id: string) => void }) {\n  return <button onClick={() => onPick('a')}>a</button>;\n}\n";
const relays = {
  'src/App.tsx': reactApp('<Lane onPick={setEta} />{eta}', '', "const [eta, setEta] = useState('noon');"),
  'src/Lane.tsx': relay('Lane', 'Berth', 'onPick(id)'),
  'src/Berth.tsx': relay('Berth', 'Row', 'onPick(id)'),
  'src/Row.tsx': row,
};
const vueRelay = (below: string, listen: string): string =>
  vuePart(
    `import ${below} from './${below}.vue';\n\nconst emit = defineEmits<{ pick: [id: string] }>();`,
    `<p><${below} @pick="${listen}" /></p>`,
  );
const vueRelays = {
  'src/App.vue': vueApp(
    '<Lane @pick="pick" />{{ eta }}',
    "const eta = ref('noon');\nconst pick = (id: string) => {\n  eta.value = id;\n};",
  ),
  'src/Lane.vue': vueRelay('Berth', "emit('pick', $event)"),
  'src/Berth.vue': vueRelay('Row', "(id) => emit('pick', id)"),
  'src/Row.vue': vuePart(
    'const emit = defineEmits<{ pick: [id: string]; drop: [] }>();',
    `<button @click="emit('pick', 'a')" @blur="emit('drop')">a</button>`,
  ),
};
const svelteRelay = (below: string): string =>
  sveltePart(
    `  import ${below} from './${below}.svelte';\n\n  let { onpick }: { onpick: (id: string) => void } = $props();`,
    `<p><${below} onpick={(id) => onpick(id)} /></p>`,
  );
const svelteRelays = {
  'src/App.svelte': svelteApp('<Lane onpick={(id) => (eta = id)} />{eta}'),
  'src/Lane.svelte': svelteRelay('Berth'),
  'src/Berth.svelte': svelteRelay('Row'),
  'src/Row.svelte': sveltePart(
    '  let { onpick }: { onpick: (id: string) => void } = $props();',
    "<button onclick={() => onpick('a')}>a</button>",
  ),
};

tables(
  'event-relayed',
  [
    [
      'what raises it takes the handler',
      react(relays),
      { 'src/Row.tsx': 'const onPick = useContext(PickContext);', 'src/Lane.tsx': 'export function Lane() {' },
    ],
    [
      'what raises it is used elsewhere too',
      react({
        ...relays,
        'src/App.tsx': reactApp(
          '<Row onPick={setEta} />\n      <Lane onPick={setEta} />\n      {eta}',
          "import { Row } from './Row';\n",
          "const [eta, setEta] = useState('noon');",
        ),
        'src/Lane.tsx': relay('Lane', 'Berth', 'onPick(id)')
          .replace('<p><Berth ', '<p>{[1, 2].map((one) => <Berth key={one} ')
          .replace('/></p>', '/>)}</p>'),
      }),
      { 'src/Berth.tsx': 'const onPick = useContext(PickContext);' },
    ],
    ['Vue', vue(vueRelays), { 'src/Row.vue': "pick('a')", 'src/Lane.vue': '<Berth />', 'src/App.vue': "provide('pick', pick);" }],
    ['Svelte', svelte(svelteRelays), { 'src/Row.svelte': "getContext<() => (id: string) => void>('onpick')" }],
  ],
  [
    [
      'Vue: written in place',
      vue({ ...vueRelays, 'src/App.vue': vueApp('<Lane @pick="eta = $event" />{{ eta }}') }),
      'give it a name first',
    ],
    [
      'Svelte before 5',
      svelte({
        'src/App.svelte': sveltePart(
          "  import Lane from './Lane.svelte';\n  let eta = 'noon';",
          '<Lane on:pick={(one) => (eta = one.detail)} />{eta}',
        ),
        'src/Lane.svelte': sveltePart("  import Berth from './Berth.svelte';", '<p><Berth on:pick /></p>'),
        'src/Berth.svelte': sveltePart("  import Row from './Row.svelte';", '<p><Row on:pick /></p>'),
        'src/Row.svelte': sveltePart(
          "  import { createEventDispatcher } from 'svelte';\n  const dispatch = createEventDispatcher();",
          "<button on:click={() => dispatch('pick', 'a')}>a</button>",
        ),
      }),
      'waits for the event itself',
    ],
  ],
);

/** The same markup with some words of its own, in each framework. */
const reactFacts = (side: string, since: string, more = ''): string =>
  `<dl className="facts" id="${side.toLowerCase()}">\n        <dt className="fact">${side}</dt>\n        <dd title={level}>{level}</dd>\n        <dd className="${side}" onBlur={() => go('a')}>m</dd>\n        <dt className="fact">Since</dt>\n        <dd onClick={() => go(${since})}>{${since}}</dd>${more}\n      </dl>`;
const reactPlace = (name: string, markup: string, params = '{ level, since }: { level: string; since: string }', head = ''): string =>
  `import { go } from './go';\n${head}\nexport function ${name}(${params}) {\n  return (\n    <div>\n      ${markup}${name === 'Lower' ? `\n      <form>${form}</form>` : ''}\n    </div>\n  );\n}\n`;
const go = { 'src/go.ts': 'export const go = (to: string) => console.log(to);\n' };
/** Markup that only one side has, so that the two are no twins. */
const form = ['Name', 'Rise', 'Keeper', 'Side', 'Boats', 'Tolls']
  .map((one) => `<label>${one} <input name="${one}" readOnly /></label>`)
  .join('');

const reactFiles = (upper: string, lower: string): Files =>
  react({
    'src/App.tsx':
      'import { Upper } from \'./Upper\';\nimport { Lower } from \'./Lower\';\n\nexport function App() {\n  const [now] = [Date.prototype.constructor.name];\n  return (\n    <main>\n      <Upper level="2.4" since={now} />\n      <Lower level="1.1" when={now} />\n    </main>\n  );\n}\n',
    'src/Upper.tsx': upper,
    'src/Lower.tsx': lower,
    ...go,
  });
const lowerParams = '{ level, when }: { level: string; when: string }';

const vueFacts = (side: string, since: string): string =>
  `<dl class="facts" id="${side.toLowerCase()}">\n      <dt class="fact">${side}</dt>\n      <dd :title="level">{{ level }}</dd>\n      <dt class="fact">Since</dt>\n      <dd v-if="${since}">{{ ${since} }}</dd>\n      <dd v-for="one in 2" :key="one" class="${side}">{{ one }}</dd>\n    </dl>`;
const vuePlace = (markup: string, since: string, style = ''): string =>
  `${vuePart(`defineProps<{ level: string; ${since}: string }>();`, `<div>\n    ${markup}\n  </div>`)}${style}`;
const vueSides = (style = ''): Files =>
  vue({
    'src/App.vue': vuePart(
      "import Upper from './Upper.vue';\nimport Lower from './Lower.vue';\n\nconst now = 'noon';",
      '<main><Upper level="2.4" :since="now" /><Lower level="1.1" :when="now" />{{ now }}</main>',
    ),
    'src/Upper.vue': vuePlace(vueFacts('Upper', 'since'), 'since', style),
    'src/Lower.vue': vuePlace(`${vueFacts('Lower', 'when')}<form>${form}</form>`, 'when', style),
  });

const svelteFacts = (side: string, since: string): string =>
  `<dl class="facts" id="${side.toLowerCase()}">\n    <dt class="fact">${side}</dt>\n    <dd title={level}>{level}</dd>\n    <dt class="fact">Since</dt>\n    {#if ${since}}<dd>{${since}}</dd>{/if}\n    {#each [1, 2] as one (one)}<dd class="${side}">{one}</dd>{/each}\n  </dl>`;
const svelteSides = (older = false, style = ''): Files => {
  const place = (side: string, since: string): string =>
    `${sveltePart(older ? `  export let level: string;\n  export let ${since}: string;` : `  let { level, ${since} }: { level: string; ${since}: string } = $props();`, `<div>\n  ${svelteFacts(side, since)}${side === 'Lower' ? `<form>${form}</form>` : ''}\n</div>`)}${style}`;
  return svelte({
    'src/App.svelte': sveltePart(
      "  import Upper from './Upper.svelte';\n  import Lower from './Lower.svelte';\n\n  const now = 'noon';",
      '<main><Upper level="2.4" since={now} /><Lower level="1.1" when={now} />{now}</main>',
    ),
    'src/Upper.svelte': place('Upper', 'since'),
    'src/Lower.svelte': place('Lower', 'when'),
  });
};

/** The same files with more in the stretch. */
const withMore = (files: Files, more: (since: string) => string): Files =>
  Object.fromEntries(
    Object.entries(files).map(([file, text]) => [file, text.replace('</dl>', `${more(/Lower/.test(file) ? 'when' : 'since')}</dl>`)]),
  );

tables(
  'markup-repeated',
  [
    [
      'React: texts, values and a handler of the module',
      reactFiles(reactPlace('Upper', reactFacts('Upper', 'since')), reactPlace('Lower', reactFacts('Lower', 'when'), lowerParams)),
      { 'src/Facts.tsx': "import { go } from './go';", 'src/Lower.tsx': '<Facts' },
    ],
    [
      'React: in a list, with a key',
      reactFiles(
        reactPlace(
          'Upper',
          `{[level].map((one) => (\n        ${reactFacts('Upper', 'since').replace('<dl ', '<dl key={one} ')}\n      ))}`,
        ),
        reactPlace('Lower', reactFacts('Lower', 'when'), lowerParams),
      ),
      { 'src/Upper.tsx': 'key={one}' },
    ],
    [
      'React: twice in one component',
      reactFiles(
        reactPlace('Upper', `${reactFacts('Upper', 'since')}\n      ${reactFacts('Middle', 'level')}`),
        'export function Lower({ level, when }: { level: string; when: string }) {\n  return <i title={when}>{level}</i>;\n}\n',
      ),
    ],
    ['Vue', vueSides(), { 'src/Facts.vue': "defineProps(['", 'src/Upper.vue': "import Facts from './Facts.vue';" }],
    ['Svelte', svelteSides(), { 'src/Facts.svelte': '} = $props();', 'src/Upper.svelte': "import Facts from './Facts.svelte';" }],
    ['Svelte before 5', svelteSides(true), { 'src/Facts.svelte': 'export let' }],
    [
      'Svelte: bound both ways, spread, and called from a list',
      withMore(
        svelteSides(),
        (since) => `<input bind:value={${since}} {...level} />{#each [1, 2] as one (one)}<b onclick={() => ${since}(one)}>{one}</b>{/each}`,
      ),
      { 'src/Facts.svelte': 'bind:value', 'src/Upper.svelte': 'bind:value={since}' },
    ],
    [
      'Vue: it listens by its owner, in a list too',
      withMore(
        vueSides(),
        (since) => `<b v-for="n in 2" :key="n" :title="level + n" @click="${since}(n)">{{ n }}</b><i @click="${since}">a</i>`,
      ),
      { 'src/Facts.vue': '(n)">{{ n }}</b>' },
    ],
    [
      'React without types: what its owner has in a list',
      Object.fromEntries(
        Object.entries(
          reactFiles(
            reactPlace(
              'Upper',
              reactFacts('Upper', 'since', '{[1, 2].map((one) => <i key={one} title={level + one} onClick={() => since(one)}>{one}</i>)}'),
            ),
            reactPlace(
              'Lower',
              reactFacts('Lower', 'when', '{[1, 2].map((one) => <i key={one} title={level + one} onClick={() => when(one)}>{one}</i>)}'),
              lowerParams,
            ),
          ),
        ).map(([file, text]) => [file.replace('.tsx', '.jsx'), text.replace(/: \{ level: string; (?:since|when): string \}\)/, ')')]),
      ),
      { 'src/Facts.jsx': 'title={level + one}' },
    ],
  ],
  [
    [
      'React: a condition of its owner',
      reactFiles(
        reactPlace('Upper', reactFacts('Upper', 'since', '{level && <dd>m</dd>}')),
        reactPlace('Lower', reactFacts('Lower', 'when', '{level && <dd>m</dd>}'), lowerParams),
      ),
      'whose kind is not known',
    ],
    [
      'React: constants within an expression',
      reactFiles(
        reactPlace('Upper', reactFacts('Upper', 'since', "{'upper'.length}")),
        reactPlace('Lower', reactFacts('Lower', 'when', "{'low'.length}"), lowerParams),
      ),
      'in a way that no prop can say',
    ],
    [
      'React: something is spread',
      reactFiles(
        reactPlace(
          'Upper',
          reactFacts('Upper', 'since').replace('<dd title={level}>', '<dd title={level} {...rest}>'),
          '{ level, since, ...rest }: any',
        ),
        reactPlace(
          'Lower',
          reactFacts('Lower', 'when').replace('<dd title={level}>', '<dd title={level} {...rest}>'),
          '{ level, when, ...rest }: any',
        ),
      ),
      'whose kind is not written in it',
    ],
    [
      'React: one name that means two things',
      reactFiles(
        reactPlace('Upper', reactFacts('Upper', 'since')),
        reactPlace('Lower', reactFacts('Lower', 'when'), lowerParams)
          .replace("from './go'", "from './leave'")
          .replace('{ go }', '{ leave as go }'),
      ),
      'go means one thing here and another there',
    ],
    ['Vue: styles of its own', vueSides('\n<style scoped>\n.fact { color: red; }\n</style>\n'), 'styles of'],
    ['Svelte: styles of its own', svelteSides(false, '\n<style>\n  .fact { color: red; }\n</style>\n'), 'styles of'],
  ],
);

const idle = (params: string, head = ''): string => `${head}\nexport function Lane(${params}) {\n  return <i>{eta}</i>;\n}\n`;

tables(
  'prop-idle',
  [
    [
      'React',
      react({
        'src/App.tsx': reactApp('<Lane\n        eta={eta}\n        side={sides.left}\n      />', "import { sides } from './sides';\n"),
        'src/Lane.tsx': idle('{ eta, side }: Props', 'type Props = {\n  eta: string;\n  side: string;\n};\n'),
        'src/sides.ts': "export const sides = { left: 'left' };\n",
      }),
      { 'src/App.tsx': '<Lane\n        eta={eta}\n      />', 'src/Lane.tsx': 'type Props = {\n  eta: string;\n};' },
    ],
    [
      'Vue',
      vue({
        'src/App.vue': vueApp('<Lane :eta="eta" side="left" />'),
        'src/Lane.vue': vuePart("withDefaults(defineProps<{ eta: string; side?: string }>(), { side: 'right' });", '<i>{{ eta }}</i>'),
      }),
      { 'src/App.vue': '<Lane :eta="eta" />', 'src/Lane.vue': 'withDefaults(defineProps<{ eta: string }>(), {  });' },
    ],
    [
      'Vue, as a list of names',
      vue({
        'src/App.vue': vueApp('<Lane :eta="eta" side="left" />'),
        'src/Lane.vue': vuePart("defineProps(['eta', 'side']);", '<i>{{ eta }}</i>'),
      }),
      { 'src/Lane.vue': "defineProps(['eta']);" },
    ],
    [
      'Svelte',
      svelte({
        'src/App.svelte': svelteApp('<Lane {eta} side="left" />'),
        'src/Lane.svelte': sveltePart("  let { side = 'right', eta }: { side?: string; eta: string } = $props();", '<i>{eta}</i>'),
      }),
      { 'src/Lane.svelte': 'let { eta }: { eta: string } = $props();' },
    ],
  ],
  [
    [
      'React: what is spread may hold it',
      react({
        'src/App.tsx': reactApp('<Lane eta={eta} side="left" />\n      <Lane {...all} />', "import { all } from './all';\n"),
        'src/Lane.tsx': idle('{ eta, side }: Props', 'type Props = {\n  eta: string;\n  side: string;\n};\n'),
        'src/all.ts': "export const all = { eta: 'a', side: 'left' };\n",
      }),
      'may give it by a spread',
    ],
  ],
);
