import { proposalTables, react, reactApp, svelte, svelteApp, sveltePart, vue, vueApp, vuePart } from '../testing/proposals';

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
