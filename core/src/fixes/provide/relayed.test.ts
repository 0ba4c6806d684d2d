import { proposalTables, react, reactApp, svelte, svelteApp, sveltePart, vue, vueApp, vuePart } from '../../../../testing/src/proposals';

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

proposalTables(
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
