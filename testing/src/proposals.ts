import { beforeAll, describe, expect, test } from 'vitest';
import { applyEdits, propose } from '../../core/src/fixes';
import { loadCompilers } from '../../core/src/frameworks/registry';
import { analyseFiles, type Files } from './project';
import { rendered } from './render';

type Case = readonly [name: string, files: Files, holds?: Readonly<Record<string, string>>];
type Refused = readonly [name: string, files: Files, why: string];

export const react = (files: Files): Files => ({
  'src/main.tsx':
    "import { createRoot } from 'react-dom/client';\nimport { App } from './App';\ncreateRoot(document.body).render(<App />);\n",
  ...files,
});
export const vue = (files: Files): Files => ({
  'src/main.ts': "import { createApp } from 'vue';\nimport App from './App.vue';\ncreateApp(App).mount('#app');\n",
  ...files,
});
export const svelte = (files: Files): Files => ({
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

/** Projects for which a proposal is written, with what their files hold then, and those for which it is refused, with the reason. */
export function proposalTables(rule: string, written: readonly Case[], refused: readonly Refused[]): void {
  describe(rule, () => {
    beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));
    const cases = written.map(([name, files, holds = {}]) => ({ name, files, holds }));
    test.each(cases)('$name: it renders the same, the finding is gone and none is new', async ({ files, holds }) => {
      const { after, before, key } = changed(files, rule);
      for (const [file, text] of Object.entries(holds)) expect(after[file]).toContain(text);
      const left = analyseFiles(after).findings.map((one) => one.key);
      expect(left).not.toContain(key);
      expect(left.filter((one) => !before.includes(one))).toEqual([]);
      expect(await rendered(after)).toBe(await rendered(files));
    });
    test('with other line ends: each file keeps its own', () => {
      const [first] = cases;
      if (!first) return;
      const files = Object.fromEntries(Object.entries(first.files).map(([file, text]) => [file, text.replace(/\n/g, '\r\n')]));
      const plain = changed(first.files, rule).after;
      const { after } = changed(files, rule);
      for (const [file, text] of Object.entries(after)) {
        expect(text).not.toMatch(/(?<!\r)\n/);
        expect(text.replace(/\r\n/g, '\n')).toBe(plain[file]);
      }
    });
    test.each(refused)('%s: refused, and it says why', (_, files, why) => {
      const { proposal } = proposed(files, rule);
      expect(proposal).toEqual({ wrong: expect.stringContaining(why) as string });
    });
  });
}
// Parts of a project, each as a whole file.
const state = "import { useState } from 'react';\n";
export const reactApp = (use: string, head = '', body = "const [eta] = useState('noon');"): string =>
  `${state}import { Lane } from './Lane';\n${head}\nexport function App() {\n  ${body}\n  return (\n    <main>\n      ${use}\n    </main>\n  );\n}\n`;
export const vueApp = (use: string, script = "const eta = ref('noon');"): string =>
  `<script setup lang="ts">\nimport { ref } from 'vue';\nimport Lane from './Lane.vue';\n\n${script}\n</script>\n\n<template>\n  <main>${use}</main>\n</template>\n`;
export const vuePart = (script: string, markup: string): string =>
  `<script setup lang="ts">\n${script}\n</script>\n\n<template>\n  ${markup}\n</template>\n`;
export const sveltePart = (script: string, markup: string): string => `<script lang="ts">\n${script}\n</script>\n\n${markup}\n`;
export const svelteApp = (use: string, script = "  let eta = $state('noon');"): string =>
  sveltePart(`  import Lane from './Lane.svelte';\n\n${script}`, `<main>${use}</main>`);
