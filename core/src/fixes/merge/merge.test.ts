import { beforeAll, describe, expect, test } from 'vitest';
import { patchOf, applyEdits } from '..';
import { loadCompilers } from '../../frameworks/registry';
import { analyseFiles, type Files } from '../../../../testing/src/project';
import { rendered } from '../../../../testing/src/render';
import { mergeTwins, type MergeNames } from '.';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** The files after two components were made one. */
function merged(files: Files, a: string, b: string, names: MergeNames = {}): { files: Files; props: string[] } | { wrong: string } {
  const { model } = analyseFiles(files);
  const id = (name: string) => [...model.components.values()].find((one) => one.name === name)?.id ?? ('' as never);
  const made = mergeTwins(model, id(a), id(b), (file) => files[file], names);
  if ('wrong' in made) return made;
  const after = Object.entries(files).map(([file, text]) => [
    file,
    applyEdits(
      text,
      made.edits.filter((edit) => edit.file === file),
    ),
  ]);
  expect(patchOf(made.edits, (file) => files[file])).toContain('+++ /dev/null');
  return { files: Object.fromEntries(after) as Files, props: made.props.map((prop) => `${prop.name} = ${prop.fallback} / ${prop.given}`) };
}

type Pair = readonly [name: string, first: string, second: string, uses: string, props: readonly string[]];

async function rendersTheSame(files: Files, props: readonly string[]): Promise<void> {
  const before = await rendered(files);
  const after = merged(files, 'Hint', 'Info');
  if ('wrong' in after) throw new Error(after.wrong);
  expect(after.props).toEqual(props);
  const second = Object.keys(files).find((file) => /Info\./.test(file)) ?? '';
  expect(after.files[second]).toBe('');
  expect(await rendered(after.files)).toBe(before);
}

const react = (head: string, body: string, name: string): string =>
  `export function ${name}(${head}) {\n  return (\n    ${body}\n  );\n}\n`;
const box = (inner: string, tone = 'hint'): string => `<div className="${tone}" role="note">\n      ${inner}\n    </div>`;
const reactPairs: readonly Pair[] = [
  [
    'a class, with a type from elsewhere',
    'import type { Props } from \'./types\';\n\nexport function Hint({ label }: Props) {\n  return <div className="hint" role="note"><b>{label}</b><i>!</i></div>;\n}\n',
    'import type { Props } from \'./types\';\n\nexport function Info({ label }: Props) {\n  return <div className="info" role="note"><b>{label}</b><i>!</i></div>;\n}\n',
    'label',
    ["tone = 'hint' / 'info'"],
  ],
  [
    'constants in what they do',
    "import { useState } from 'react';\n\nexport function Hint({ label }: { label: string }) {\n  const [open] = useState('hint');\n  const size = { width: 12, tone: 'a' };\n  return (\n    <div className={open} role=\"note\">\n      <b>{label}</b>\n      <i>{size.width + size.tone}</i>\n    </div>\n  );\n}\n",
    "import { useState } from 'react';\n\nexport function Info({ label }: { label: string }) {\n  const [open] = useState('info');\n  const size = { width: 20, tone: 'a' };\n  return (\n    <div className={open} role=\"note\">\n      <b>{label}</b>\n      <i>{size.width + size.tone}</i>\n    </div>\n  );\n}\n",
    'label',
    ["state = 'hint' / 'info'", 'width = 12 / 20'],
  ],
  [
    'another element in its place',
    react('{ label }: { label: string }', box('<b>{label}</b><i>!</i><u>a</u>'), 'Hint'),
    react('{ label }: { label: string }', box('<b>{label}</b><em className="loud">!!</em><u>a</u>'), 'Info'),
    'label',
    ['mark = undefined / <em className="loud">!!</em>'],
  ],
  [
    'a class',
    react('{ label }: { label: string }', box('<b>{label}</b><i>!</i>'), 'Hint'),
    react('{ label }: { label: string }', box('<b>{label}</b><i>!</i>', 'info'), 'Info'),
    'label',
    ["tone = 'hint' / 'info'"],
  ],
  [
    'a text',
    react('{ label }: { label: string }', box('<b>{label}</b><button>Close</button>'), 'Hint'),
    react('{ label }: { label: string }', box('<b>{label}</b><button>Leave it</button>'), 'Info'),
    'label',
    ["action = 'Close' / 'Leave it'"],
  ],
  [
    'props under other names',
    react('{ label }: { label: string }', box('<b>{label}</b><i>!</i>'), 'Hint'),
    react('{ text }: { text: string }', box('<b>{text}</b><i>!</i>'), 'Info'),
    'text',
    [],
  ],
  [
    'a part that one alone has',
    react('{ label }: { label: string }', box('<b>{label}</b><u>a</u>'), 'Hint'),
    react('{ label }: { label: string }', box('<b>{label}</b><i>more</i><u>a</u>'), 'Info'),
    'label',
    ['withI = false / true'],
  ],
  [
    'a part that the other alone has',
    react('{ label }: { label: string }', box('<b>{label}</b><i>more</i><u>a</u>'), 'Hint'),
    react('{ label }: { label: string }', box('<b>{label}</b><u>a</u>'), 'Info'),
    'label',
    ['withI = true / false'],
  ],
  [
    'a layer around',
    react('{ label }: { label: string }', box('<b>{label}</b><u>a</u>'), 'Hint'),
    react('{ label }: { label: string }', box('<p><b>{label}</b></p><u>a</u>'), 'Info'),
    'label',
    ['isInfo = false / true'],
  ],
  [
    'another order',
    react('{ label }: { label: string }', box('<b>{label}</b><u>a</u><i>c</i>'), 'Hint'),
    react('{ label }: { label: string }', box('<i>c</i><b>{label}</b><u>a</u>'), 'Info'),
    'label',
    ['isInfo = false / true'],
  ],
  [
    'another form of condition',
    react('{ label }: { label: string }', box('<b>{label}</b>{label && <u>a</u>}'), 'Hint'),
    react('{ label }: { label: string }', box('<b>{label}</b>{label ? <u>a</u> : null}'), 'Info'),
    'label',
    [],
  ],
];

test.each([
  [
    'styles of their own',
    "import styles from './Hint.module.css';\n",
    "import styles from './Info.module.css';\n",
    'styles.box',
    'styles.box',
    'styles means one thing in Hint and another in Info',
  ],
  [
    'two functions',
    "import { one } from './kit';\n",
    "import { two } from './kit';\n",
    'one()',
    'two()',
    'Hint has “const tone = one();” in line 4 where Info has “const tone = two();” in line 4',
  ],
])('not merged: %s', (_, first, second, mine, theirs, why) => {
  const part = (head: string, name: string, tone: string): string =>
    `${head}\nexport function ${name}({ label }: { label: string }) {\n  const tone = ${tone};\n  return (\n    <div className={tone} role="note">\n      <b>{label}</b>\n      <i>!</i>\n    </div>\n  );\n}\n`;
  const files = {
    'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    'src/App.tsx':
      'import { Hint } from \'./Hint\';\nimport { Info } from \'./Info\';\n\nexport function App() {\n  return <main><Hint label="1" /><Info label="2" /></main>;\n}\n',
    'src/Hint.tsx': part(first, 'Hint', mine),
    'src/Info.tsx': part(second, 'Info', theirs),
    'src/kit.ts': "export const one = () => 'one';\nexport const two = () => 'two';\n",
  };
  expect(merged(files, 'Hint', 'Info')).toEqual({ wrong: expect.stringContaining(why) as string });
});

test('not merged: texts that name letters', () => {
  const part = (name: string, text: string): string => react('{ label }: { label: string }', box(`<b>{label}</b><i>${text}</i>`), name);
  const files = {
    'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
    'src/App.tsx':
      'import { Hint } from \'./Hint\';\nimport { Info } from \'./Info\';\n\nexport function App() {\n  return <main><Hint label="1" /><Info label="2" /></main>;\n}\n',
    'src/Hint.tsx': part('Hint', 'Close &times;'),
    'src/Info.tsx': part('Info', 'Leave &rarr;'),
  };
  expect(merged(files, 'Hint', 'Info')).toEqual({ wrong: expect.stringContaining('names a letter') as string });
});

describe('React: the merged component renders what both did', () => {
  test.each(reactPairs)('%s', async (_, first, second, prop, props) => {
    const app = `import { Hint } from './Hint';\nimport { Info } from './Info';\n\nexport function App() {\n  return (\n    <main>\n      <Hint label="one" />\n      <Info ${prop}="two" />\n      <Info ${prop}={'three'}></Info>\n    </main>\n  );\n}\n`;
    const files = {
      'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);",
      'src/App.tsx': app,
      'src/Hint.tsx': first,
      'src/Info.tsx': second,
    };
    await rendersTheSame(files, props);
  });
});

const vueOf = (props: string, inner: string): string =>
  `<script setup>\ndefineProps({ ${props}: { type: String, required: true } });\n</script>\n\n<template>\n  ${inner}\n</template>\n`;
const vueBox = (inner: string, tone = 'hint'): string => `<div class="${tone}" role="note">${inner}</div>`;
const vuePairs: readonly Pair[] = [
  [
    'constants in what they do',
    '<script setup>\nconst props = defineProps({ label: { type: String, required: true } });\nconst mark = \'hint\';\n</script>\n\n<template>\n  <div role="note" :title="mark"><b>{{ props.label }}</b><u>a</u><i>b</i></div>\n</template>\n',
    '<script setup>\nconst props = defineProps({ label: { type: String, required: true } });\nconst mark = \'info\';\n</script>\n\n<template>\n  <div role="note" :title="mark"><b>{{ props.label }}</b><u>a</u><i>b</i></div>\n</template>\n',
    'label',
    ["mark2 = 'hint' / 'info'"],
  ],
  [
    'another element in its place',
    vueOf('label', vueBox('<b>{{ label }}</b><i>!</i><u>a</u>')),
    vueOf('label', vueBox('<b>{{ label }}</b><em class="loud">!!</em><u>a</u>')),
    'label',
    ['mark = undefined / <em class="loud">!!</em>'],
  ],
  [
    'a class and a text',
    vueOf('label', vueBox('<b>{{ label }}</b><button>Close</button>')),
    vueOf('label', vueBox('<b>{{ label }}</b><button>Leave it</button>', 'info')),
    'label',
    ["tone = 'hint' / 'info'", "action = 'Close' / 'Leave it'"],
  ],
  [
    'props under other names',
    vueOf('label', vueBox('<b>{{ label }}</b><i>!</i>')),
    vueOf('text', vueBox('<b>{{ text }}</b><i>!</i>')),
    'text',
    [],
  ],
  [
    'a part that one alone has',
    vueOf('label', vueBox('<b>{{ label }}</b><u>a</u>')),
    vueOf('label', vueBox('<b>{{ label }}</b><i>more</i><u>a</u>')),
    'label',
    ['withI = false / true'],
  ],
  [
    'a layer around',
    vueOf('label', vueBox('<b>{{ label }}</b><u>a</u>')),
    vueOf('label', vueBox('<p><b>{{ label }}</b></p><u>a</u>')),
    'label',
    ['isInfo = false / true'],
  ],
];

describe('Vue: the merged component renders what both did', () => {
  test.each(vuePairs)('%s', async (_, first, second, prop, props) => {
    const app = `<script setup>\nimport Hint from './Hint.vue';\nimport Info from './Info.vue';\n</script>\n\n<template>\n  <main>\n    <Hint label="one" />\n    <Info ${prop}="two" />\n    <Info :${prop}="'three'"></Info>\n  </main>\n</template>\n`;
    await rendersTheSame(
      {
        'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');",
        'src/App.vue': app,
        'src/Hint.vue': first,
        'src/Info.vue': second,
      },
      props,
    );
  });
});

const svelteOf = (prop: string, inner: string): string => `<script>\n  let { ${prop} } = $props();\n</script>\n\n${inner}\n`;
const sveltePairs: readonly Pair[] = [
  [
    'constants in what they do',
    '<script>\n  let { label } = $props();\n  const tone = toneOf(\'hint\');\n  function toneOf(kind) {\n    return kind + kind;\n  }\n</script>\n\n<div role="note" class={tone}><b>{label}</b><u>a</u><i>b</i></div>\n',
    '<script>\n  let { label } = $props();\n  const tone = toneOf(\'info\');\n  function toneOf(kind) {\n    return kind + kind;\n  }\n</script>\n\n<div role="note" class={tone}><b>{label}</b><u>a</u><i>b</i></div>\n',
    'label',
    ["toneOf2 = 'hint' / 'info'"],
  ],
  [
    'another element in its place, the older way',
    '<script>\n  export let label;\n</script>\n\n<div class="hint"><b>{label}</b><i>!</i><u>a</u></div>\n',
    '<script>\n  export let label;\n</script>\n\n<div class="hint"><b>{label}</b><em>!!</em><u>a</u></div>\n',
    'label',
    ['mark = undefined / <em>!!</em>'],
  ],
  [
    'another element that reads something',
    svelteOf('label', vueBox('<b>{label}</b><i>!</i><u>a</u>')),
    svelteOf('label', vueBox('<b>{label}</b><em>{label}</em><u>a</u>')),
    'label',
    ['isInfo = false / true'],
  ],
  [
    'another element in its place',
    svelteOf('label', vueBox('<b>{label}</b><i>!</i><u>a</u>')),
    svelteOf('label', vueBox('<b>{label}</b><em class="loud">!!</em><u>a</u>')),
    'label',
    ['mark = undefined / <em class="loud">!!</em>'],
  ],
  [
    'a class and a text',
    svelteOf('label', vueBox('<b>{label}</b><button>Close</button>')),
    svelteOf('label', vueBox('<b>{label}</b><button>Leave it</button>', 'info')),
    'label',
    ["tone = 'hint' / 'info'", "action = 'Close' / 'Leave it'"],
  ],
  [
    'props under other names',
    svelteOf('label', vueBox('<b>{label}</b><i>!</i>')),
    svelteOf('text', vueBox('<b>{text}</b><i>!</i>')),
    'text',
    [],
  ],
  [
    'a part that one alone has',
    svelteOf('label', vueBox('<b>{label}</b><u>a</u>')),
    svelteOf('label', vueBox('<b>{label}</b><i>more</i><u>a</u>')),
    'label',
    ['withI = false / true'],
  ],
  [
    'a layer around',
    svelteOf('label', vueBox('<b>{label}</b><u>a</u>')),
    svelteOf('label', vueBox('<p><b>{label}</b></p><u>a</u>')),
    'label',
    ['isInfo = false / true'],
  ],
  [
    'a condition that one alone has',
    svelteOf('label', vueBox('<b>{label}</b><u>a</u>')),
    svelteOf('label', vueBox('<b>{label}</b>{#if label}<i>c</i>{/if}<u>a</u>')),
    'label',
    ['withACondition = false / true'],
  ],
];

describe('Svelte: the merged component renders what both did', () => {
  test.each(sveltePairs)('%s', async (_, first, second, prop, props) => {
    const app = `<script>\n  import Hint from './Hint.svelte';\n  import Info from './Info.svelte';\n</script>\n\n<main>\n  <Hint label="one" />\n  <Info ${prop}="two" />\n  <Info ${prop}={'three'}></Info>\n</main>\n`;
    await rendersTheSame(
      {
        'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });",
        'src/App.svelte': app,
        'src/Hint.svelte': first,
        'src/Info.svelte': second,
      },
      props,
    );
  });
});
