import { proposalTables, react, reactApp, svelte, svelteApp, sveltePart, vue, vueApp, vuePart } from '../../../testing/src/proposals';

const idle = (params: string, head = ''): string => `${head}\nexport function Lane(${params}) {\n  return <i>{eta}</i>;\n}\n`;

proposalTables(
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

const lane = (params: string, body: string, head = ''): string =>
  `${head}\nexport function Lane(${params}) {\n  return <i title={tone}>${body}</i>;\n}\n`;
const tones = 'type Props = {\n  eta: string;\n  tone?: string;\n};\n';

proposalTables(
  'prop-unused',
  [
    [
      'React: what nobody gives becomes its default',
      react({
        'src/App.tsx': reactApp('<Lane eta={eta} />'),
        'src/Lane.tsx': lane("{ eta, tone = 'calm' }: Props", '{eta}', tones),
      }),
      { 'src/Lane.tsx': "  const tone = 'calm';\n\n  return", 'src/App.tsx': '<Lane eta={eta} />' },
    ],
    [
      'React: what all give alike becomes that',
      react({
        'src/App.tsx': reactApp('<Lane eta={eta} tone="loud" />\n      <Lane eta="one" tone="loud" />'),
        'src/Lane.tsx': lane("{ eta, tone = 'calm' }: Props", '{eta}', tones),
      }),
      { 'src/Lane.tsx': "const tone = 'loud';", 'src/App.tsx': '<Lane eta={eta} />\n      <Lane eta="one" />' },
    ],
    [
      'React: read by the name of all props',
      react({
        'src/App.tsx': reactApp('<Lane eta={eta} tone={3} />\n      <Lane eta="one" tone={3} />'),
        'src/Lane.tsx':
          'type Props = {\n  eta: string;\n  tone: number;\n};\n\nexport function Lane(props: Props) {\n  return <i title={String(props.tone)}>{props.eta}</i>;\n}\n',
      }),
      { 'src/Lane.tsx': 'title={String(tone)}' },
    ],
    [
      'React: held against other values, it keeps its type',
      react({
        'src/App.tsx': reactApp('<Lane eta={eta} tone="loud" />\n      <Lane eta="one" tone="loud" />'),
        'src/Lane.tsx': lane(
          "{ eta, tone = 'calm' }: Props",
          "{tone === 'calm' ? eta : '!'}",
          tones.replace('string;\n}', "'calm' | 'loud';\n}"),
        ),
      }),
      { 'src/Lane.tsx': "const tone = 'loud' as 'calm' | 'loud';" },
    ],
    [
      'React: a flag by its name alone',
      react({
        'src/App.tsx': reactApp('<Lane eta={eta} loud />\n      <Lane eta="one" loud />'),
        'src/Lane.tsx':
          'type Props = {\n  eta: string;\n  loud?: boolean;\n};\n\nexport function Lane({ eta, loud = false }: Props) {\n  return <i title={String(loud)}>{eta}</i>;\n}\n',
      }),
      { 'src/Lane.tsx': 'const loud = true;' },
    ],
    [
      'Vue: a flag by its name alone',
      vue({
        'src/App.vue': vueApp('<Lane :eta="eta" loud /><Lane eta="one" loud />'),
        'src/Lane.vue': vuePart('defineProps<{ eta: string; loud?: boolean }>();', '<i :title="String(loud)">{{ eta }}</i>'),
      }),
    ],
    [
      'Vue: in script and in markup',
      vue({
        'src/App.vue': vueApp('<Lane :eta="eta" side="left" /><Lane eta="one" side="left" />'),
        'src/Lane.vue': vuePart(
          "const props = defineProps<{ eta: string; side?: string }>();\nconst far = () => props.side + '!';",
          '<i :title="far()" :class="props.side">{{ eta }} {{ side }}</i>',
        ),
      }),
      { 'src/Lane.vue': "const side = 'left';\nconst far = () => side + '!';", 'src/App.vue': '<Lane :eta="eta" /><Lane eta="one" />' },
    ],
    [
      'Svelte',
      svelte({
        'src/App.svelte': svelteApp('<Lane {eta} />'),
        'src/Lane.svelte': sveltePart(
          "  let { side = 'right', eta }: { side?: string; eta: string } = $props();",
          '<i title={side}>{eta}</i>',
        ),
      }),
      { 'src/Lane.svelte': "  const side = 'right';" },
    ],
  ],
  [
    [
      'React: letters by their names, and signs that mean something in script',
      react({
        'src/App.tsx': reactApp('<Lane eta={eta} tone="a &amp; b\\\\n it\'s" />\n      <Lane eta="one" tone="a &amp; b\\\\n it\'s" />'),
        'src/Lane.tsx': lane("{ eta, tone = 'calm' }: Props", '{eta}', tones),
      }),
      'names a letter',
    ],
    [
      'React: a sign that means something in script',
      react({
        'src/App.tsx': reactApp('<Lane eta={eta} tone="a\\\\n" />\n      <Lane eta="one" tone="a\\\\n" />'),
        'src/Lane.tsx': lane("{ eta, tone = 'calm' }: Props", '{eta}', tones),
      }),
      'says another thing in script',
    ],
    [
      'Vue: letters by their names',
      vue({
        'src/App.vue': vueApp('<Lane :eta="eta" side="a &amp; b" /><Lane eta="one" side="a &amp; b" />'),
        'src/Lane.vue': vuePart('defineProps<{ eta: string; side?: string }>();', '<i :title="side">{{ eta }}</i>'),
      }),
      'names a letter',
    ],
    [
      'Vue: a default that is made anew each time',
      vue({
        'src/App.vue': vueApp('<Lane :eta="eta" />'),
        'src/Lane.vue': vuePart(
          "withDefaults(defineProps<{ eta: string; all?: string[] }>(), { all: () => ['a'] });",
          '<i v-for="one in all" :key="one">{{ eta }}{{ one }}</i>',
        ),
      }),
      'is made anew for each Lane',
    ],
    [
      'React: the component changes it',
      react({
        'src/App.tsx': reactApp('<Lane eta={eta} />'),
        'src/Lane.tsx': lane("{ eta, tone = 'calm' }: Props", '{eta}', tones).replace(
          '  return',
          "  if (eta === 'noon') tone = 'loud';\n  return",
        ),
      }),
      'Lane changes tone',
    ],
    [
      'Svelte: the component changes it',
      svelte({
        'src/App.svelte': svelteApp('<Lane {eta} />'),
        'src/Lane.svelte': sveltePart(
          "  let { side = 'right', eta }: { side?: string; eta: string } = $props();",
          "<i title={side}>{eta}</i><button onclick={() => (side = 'left')}>a</button>",
        ),
      }),
      'Lane changes side',
    ],
    [
      'React: nobody says what it is then',
      react({
        'src/App.tsx': reactApp('<Lane eta={eta} />'),
        'src/Lane.tsx': lane('{ eta, tone }: Props', '{eta}', tones),
      }),
      'What it switches would have to go with it',
    ],
    [
      'Svelte before 5',
      svelte({
        'src/App.svelte': sveltePart("  import Lane from './Lane.svelte';\n  let eta = 'noon';", '<Lane {eta} />{eta}'),
        'src/Lane.svelte': sveltePart("  export let eta: string;\n  export let side = 'right';", '<i title={side}>{eta}</i>'),
      }),
      'in a form that is not followed',
    ],
  ],
);
