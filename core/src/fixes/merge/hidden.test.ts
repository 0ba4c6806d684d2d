import { beforeAll, describe, expect, test } from 'vitest';
import { applyEdits } from '..';
import { loadCompilers } from '../../frameworks/registry';
import { analyseFiles, type Files } from '../../../../testing/src/project';
import { rendered } from '../../../../testing/src/render';
import { mergeTwins } from '.';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

// Differences that the facts of a component do not tell: in words of a framework's own, in texts
// without an element of their own, within code. Whatever is merged must show what both showed.

type Case = readonly [name: string, first: string, second: string];
/** `seen`: rendering tells the two apart, so that a merge may be held against it. */
type Table = { readonly seen: readonly Case[]; readonly unseen: readonly Case[] };

const framed = (inner: string): string => `<b>one</b><i title="a">two</i><u title="b">three</u>${inner}`;

const react = (name: string, inner: string): string =>
  `export function ${name}({ label, pick }) {\n  return (\n    <div role="note">\n      <b>{label}</b>\n      ${framed(inner)}\n    </div>\n  );\n}\n`;
const reactFiles = (first: string, second: string): Files => ({
  'src/main.jsx':
    "import { createRoot } from 'react-dom/client';\nimport { App } from './App';\ncreateRoot(document.body).render(<App />);\n",
  'src/App.jsx':
    'import { Hint } from \'./Hint\';\nimport { Info } from \'./Info\';\n\nexport function App() {\n  return (\n    <main>\n      <Hint label="x" />\n      <Info label="y" />\n    </main>\n  );\n}\n',
  'src/Hint.jsx': react('Hint', first),
  'src/Info.jsx': react('Info', second),
});

const single = (framework: 'vue' | 'svelte', inner: string): string =>
  framework === 'vue'
    ? `<script setup>\nconst props = defineProps(['label', 'pick']);\nconst all = ['p', 'q'];\n</script>\n\n<template>\n  <div role="note">${framed(inner)}</div>\n</template>\n`
    : `<script>\n  let { label, pick } = $props();\n  const all = ['p', 'q'];\n</script>\n\n<div role="note">${framed(inner)}</div>\n`;
const singleFiles = (framework: 'vue' | 'svelte', first: string, second: string): Files => {
  const imports = ['Hint', 'Info', 'Frame'].map((one) => `import ${one} from './${one}.${framework}';`);
  const use = '<main><Hint label="x" /><Info label="y" /></main>';
  const frame = framework === 'vue' ? '<p><slot name="head" /><slot name="foot" /></p>' : '';
  return {
    'src/main.js':
      framework === 'vue'
        ? "import { createApp } from 'vue';\nimport App from './App.vue';\ncreateApp(App).mount('#app');\n"
        : "import { mount } from 'svelte';\nimport App from './App.svelte';\nmount(App, { target: document.body });\n",
    [`src/App.${framework}`]:
      framework === 'vue'
        ? `<script setup>\n${imports.slice(0, 2).join('\n')}\n</script>\n\n<template>\n  ${use}\n</template>\n`
        : `<script>\n  ${imports.slice(0, 2).join('\n  ')}\n</script>\n\n${use}\n`,
    [`src/Hint.${framework}`]: single(framework, first).replace('<script setup>', `<script setup>\n${imports[2] ?? ''}`),
    [`src/Info.${framework}`]: single(framework, second).replace('<script setup>', `<script setup>\n${imports[2] ?? ''}`),
    ...(framework === 'vue' ? { 'src/Frame.vue': `<script setup>\nconst a = 1;\n</script>\n\n<template>\n  ${frame}\n</template>\n` } : {}),
  };
};

const tables: Readonly<Record<'react' | 'vue' | 'svelte', Table>> = {
  react: {
    seen: [
      ['a text in a fragment', '<><s>a</s>near</>', '<><s>a</s>far</>'],
      ['a text in code', "<s>{label && 'near'}</s>", "<s>{label && 'far'}</s>"],
      ['a text in a template', '<s>{`near ${label}`}</s>', '<s>{`far ${label}`}</s>'],
      ['a number in code', '<s>{label.length + 1}</s>', '<s>{label.length + 2}</s>'],
      ['an operator', "<s>{label === 'x' ? <em>a</em> : null}</s>", "<s>{label !== 'x' ? <em>a</em> : null}</s>"],
      ['texts around an element, over several lines', '<s>near\n<em>a</em>\nhere</s>', '<s>far\n<em>a</em>\nhere</s>'],
      ['a text more', '<s>near\n<em>a</em>\nhere</s>', '<s>near\n<em>a</em>\nhere\n<em>b</em>\nnow</s>'],
      ['a blank', '<s>a {label}</s>', '<s>a{label}</s>'],
      ['a text in markup that a list makes', '{[1, 2].map((one) => <s key={one}>near</s>)}', '{[1, 2].map((one) => <s key={one}>far</s>)}'],
      ['what a list is made of', '{[1, 2].map((one) => <s key={one}>a</s>)}', '{[1, 3, 4].map((one) => <s key={one}>a</s>)}'],
      ['letters by their names in an attribute', '<s title="near &amp; it\'s">a</s>', '<s title="far &lt; here">a</s>'],
      ['a style', '<s style={{ top: 1 }}>a</s>', '<s style={{ top: 2 }}>a</s>'],
    ],
    unseen: [
      ['another argument of a handler', '<s onClick={() => pick(1)}>a</s>', '<s onClick={() => pick(2)}>a</s>'],
      [
        'another order of doing',
        '<s onClick={() => { pick(label); pick(0); }}>a</s>',
        '<s onClick={() => { pick(0); pick(label); }}>a</s>',
      ],
    ],
  },
  vue: {
    seen: [
      [
        'the place that is filled',
        '<Frame><template #head><s>a</s></template></Frame>',
        '<Frame><template #foot><s>a</s></template></Frame>',
      ],
      ['texts around an element, over several lines', '<s>near\n<em>a</em>\nhere</s>', '<s>far\n<em>a</em>\nhere</s>'],
      ['a text for a place', '<Frame><template #head>near</template></Frame>', '<Frame><template #head>far</template></Frame>'],
      ['letters by their names in an attribute', '<s title="near &amp; it\'s">a</s>', '<s title="far &lt; here">a</s>'],
      ['hidden or not', '<s v-show="label === \'x\'">a</s>', '<s v-show="label === \'y\'">a</s>'],
      ['a text in a template element', '<template v-if="label">near</template>', '<template v-if="label">far</template>'],
      ['markup as a text', '<s v-html="`<em>near</em>`" />', '<s v-html="`<em>far</em>`" />'],
      ['shown as text or as markup', '<s v-text="label" />', '<s v-html="label" />'],
      ['constants in code', "<s>{{ label ? 'near' : '' }}</s>", "<s>{{ label ? 'far' : '' }}</s>"],
      ['the fallback of a place', '<slot name="rest">near</slot>', '<slot name="rest">far</slot>'],
      [
        'the other branch',
        '<s v-if="!label">a</s><template v-else>near</template>',
        '<s v-if="!label">a</s><template v-else>far</template>',
      ],
    ],
    unseen: [
      ['a modifier', '<s @click.stop="pick">a</s>', '<s @click="pick">a</s>'],
      ['how a field is bound', '<input v-model.trim="all[0]" />', '<input v-model="all[0]" />'],
      ['a key', '<s v-for="one in all" :key="one">a</s>', '<s v-for="one in all" :key="one + 1">a</s>'],
    ],
  },
  svelte: {
    seen: [
      ['shown as text or as markup', '<s>{label}</s>', '<s>{@html label}</s>'],
      ['texts around an element, over several lines', '<s>near\n<em>a</em>\nhere</s>', '<s>far\n<em>a</em>\nhere</s>'],
      ['a text beside a block', '{#if label}near{/if}', '{#if label}far{/if}'],
      ['the other branch', '{#if !label}<s>a</s>{:else}near{/if}', '{#if !label}<s>a</s>{:else}far{/if}'],
      ['letters by their names in an attribute', '<s title="near &amp; it\'s">a</s>', '<s title="far &lt; here">a</s>'],
      ['a class by a condition', "<s class:on={label === 'x'}>a</s>", "<s class:on={label === 'y'}>a</s>"],
      ['a style', '<s style:top="1px">a</s>', '<s style:top="2px">a</s>'],
      ['constants in code', "<s>{label ? 'near' : ''}</s>", "<s>{label ? 'far' : ''}</s>"],
      ['a constant of the markup', '{#if label}{@const near = 1}<s>{near}</s>{/if}', '{#if label}{@const near = 2}<s>{near}</s>{/if}'],
      [
        'a piece of the file',
        '{#snippet part()}<s>near</s>{/snippet}{@render part()}',
        '{#snippet part()}<s>far</s>{/snippet}{@render part()}',
      ],
    ],
    unseen: [
      ['an action', '<s use:pick>a</s>', '<s>a</s>'],
      ['a key', '{#each all as one (one)}<s>a</s>{/each}', '{#each all as one}<s>a</s>{/each}'],
      ['a block that begins anew', '{#key label}<s>a</s>{/key}', '<s>a</s>'],
    ],
  },
};

/** The files with both made one, or the reason why not. */
function merged(files: Files): Files | string {
  const { model } = analyseFiles(files);
  const [a, b] = ['Hint', 'Info'].map((name) => [...model.components.values()].find((one) => one.name === name)?.id);
  const made = mergeTwins(model, a as never, b as never, (file) => files[file]);
  if ('wrong' in made) return made.wrong;
  const edited = (file: string, text: string): string =>
    applyEdits(
      text,
      made.edits.filter((edit) => edit.file === file),
    );
  return Object.fromEntries(Object.entries(files).map(([file, text]) => [file, edited(file, text)]));
}

for (const framework of ['react', 'vue', 'svelte'] as const) {
  const filesOf = (first: string, second: string): Files =>
    framework === 'react' ? reactFiles(first, second) : singleFiles(framework, first, second);
  describe(`${framework}: a difference that is easily missed`, () => {
    test.each(tables[framework].seen)('%s: kept, or refused', async (_, first, second) => {
      const files = filesOf(first, second);
      const before = await rendered(files);
      const after = merged(files);
      if (typeof after !== 'string') expect(await rendered(after)).toBe(before);
    });
    test.each(tables[framework].unseen)('%s: both kept, or refused', (_, first, second) => {
      const after = merged(filesOf(first, second));
      if (typeof after === 'string') return;
      const kept = Object.entries(after).find(([file]) => file.includes('Hint'))?.[1];
      expect(kept).toContain(first);
      expect(kept).toContain(second);
    });
  });
}
