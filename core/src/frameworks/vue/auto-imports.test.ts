import { describe, expect, test } from 'vitest';
import { analyseFiles, type Files, findingLines } from '../../../../testing/src/project';
import { traceOf } from '../../flow';
import { spotNamed, traceLines, waysOf } from '../../../../testing/src/trace';
import { loadCompilers } from '../registry';

await loadCompilers(['App.vue']);

const nuxt: Files = { 'nuxt.config.ts': 'export default {};' };

const board = (files: Files, script = ''): Files => ({
  'pages/index.vue': `<script setup>${script} const { picked, pick } = useBoats(); const far = () => pick(2);</script><template><main @click="far">{{ picked }}{{ shortName(picked) }}</main></template>`,
  'composables/useBoats.ts':
    "import { ref } from 'vue';\nexport function useBoats() { const picked = ref(1); const pick = (one) => { picked.value = one; }; return { picked, pick }; }",
  'utils/text.ts': 'export const shortName = (name) => name;',
  ...files,
});

describe('names that the folders of a configured project give to all of its files', () => {
  test.each([
    ['without an import', board(nuxt)],
    ['by the module for all of them', board(nuxt, "import { useBoats } from '#imports';")],
    [
      'of a default, by the name of its file',
      board(
        {
          ...nuxt,
          'composables/useBoats.ts': '',
          'composables/use-boats.ts':
            "import { ref } from 'vue';\nexport default function () { const picked = ref(1); const pick = (one) => { picked.value = one; }; return { picked, pick }; }",
        },
        '',
      ),
    ],
  ])('%s', (_, files) => {
    expect(findingLines(analyseFiles(files).findings).filter((line) => line.includes('unknown'))).toEqual([]);
    const ways = waysOf(files, 'Pages');
    expect(traceLines(traceOf(ways, spotNamed(ways, 'useBoats.picked'), 'changes')).at(-1)).toMatch(
      /^ *Pages starts click \| platform main$/,
    );
  });

  test('are unknown where no configuration says so, and so is what no folder has', () => {
    const told = (files: Files): string[] => findingLines(analyseFiles(files).findings).filter((line) => line.startsWith('name-unknown'));
    expect(told(board({}))).toEqual(['name-unknown Pages shortName']);
    expect(told(board({ ...nuxt, 'utils/text.ts': '', 'lib/text.ts': 'export const shortName = 1;' }))).toEqual([
      'name-unknown Pages shortName',
    ]);
  });
});

test('a configured application without pages shows its own component, in its layout', () => {
  const { model } = analyseFiles({
    ...nuxt,
    'app.vue': '<template><NuxtLayout><p/></NuxtLayout></template>',
    'layouts/default.vue': '<template><main><slot/></main></template>',
  });
  expect(model.pages.map(({ name, path, why }) => `${name} ${path} ${why}`)).toEqual(['App / file']);
});
