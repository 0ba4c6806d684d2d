import { describe, expect, test } from 'vitest';
import { analyseFiles, type Files, findingLines } from './project';

/** A small application: in React one file, in Vue and Svelte its components by name; `App` is the first. */
export type Sources = string | Readonly<Record<string, string>>;

const mounts = {
  react: { 'src/main.tsx': "import { App } from './App'; createRoot(x).render(<App/>);" },
  vue: { 'src/main.js': "import { createApp } from 'vue'; import App from './App.vue'; createApp(App).mount('#app');" },
  svelte: { 'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });" },
} as const;
export type Framework = keyof typeof mounts;

/** `App` gets the imports of the other components, so that a case says only what it is about. */
export function filesOf(framework: Framework, sources: Sources): Files {
  if (typeof sources === 'string') return { ...mounts[framework], 'src/App.tsx': sources };
  // A case that is about the places of files says them in full.
  if ('package.json' in sources) return sources;
  const others = Object.keys(sources).filter((name) => name !== 'App' && !name.includes('.'));
  const entries = Object.entries(sources).map(([name, text]) => {
    if (name.includes('.')) return [`src/${name}`, text];
    const imports = others
      .filter((one) => one !== name && text.includes(`<${one}`))
      .map((one) => `import ${one} from './${one}.${framework}';`);
    const lang = framework === 'vue' ? '<script setup>' : '<script>';
    const given =
      imports.length > 0
        ? text.includes(lang)
          ? text.replace(lang, `${lang}${imports.join(' ')}\n`)
          : `${lang}${imports.join(' ')}</script>${text}`
        : text;
    return [`src/${name}.${framework}`, given];
  });
  return { ...mounts[framework], ...Object.fromEntries(entries) };
}

type Fires = readonly (readonly [name: string, sources: Sources, found: string])[];
type Silent = readonly (readonly [name: string, sources: Sources])[];

/** Cases in which a rule must find just one thing, named; and cases in which it must stay silent. */
export function table(rule: string, framework: Framework, fires: Fires, silent: Silent): void {
  const found = (sources: Sources): string[] => {
    const { model, findings } = analyseFiles(filesOf(framework, sources));
    // A case that cannot be parsed would stay silent whatever the rule does.
    const problems = [...model.files.values()].flatMap(({ file, problems: all }) => all.map(({ message }) => `${file}: ${message}`));
    expect(problems).toEqual([]);
    return findingLines(findings).filter((line) => line.startsWith(`${rule} `));
  };
  describe(`${rule}, ${framework}`, () => {
    test.each(fires)('fires: %s', (_, sources, expected) => expect(found(sources)).toEqual([`${rule} ${expected}`]));
    test.each(silent)('stays silent: %s', (_, sources) => expect(found(sources)).toEqual([]));
  });
}
