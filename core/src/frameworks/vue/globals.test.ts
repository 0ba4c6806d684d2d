import { describe, expect, test } from 'vitest';
import { loadCompilers } from '../registry';
import { analyseFiles, type Files } from '../../../../testing/src/project';

await loadCompilers(['App.vue']);

describe('what is registered for all templates', () => {
  const vue = (more: Files): Files => ({
    'package.json': '{ "dependencies": { "vue": "3", "nuxt": "4" } }',
    'pages/index.vue': '<template><div><BaseButton/><LazyBaseButton/><NuxtLink/><Nowhere/></div></template>',
    'components/base/Button.vue': '<template><button/></template>',
    ...more,
  });

  test.each([
    [
      'by the folders of a project that is configured so',
      { 'nuxt.config.ts': 'export default {};' },
      'component component outside unresolved',
    ],
    ['by the folders of a package that depends on what has it so', {}, 'component component outside unresolved'],
    ['not otherwise', { 'package.json': '{ "dependencies": { "vue": "3" } }' }, 'unresolved unresolved unresolved unresolved'],
    [
      'by file name where a plugin of the bundler does it',
      {
        'vite.config.ts': "import Components from 'unplugin-vue-components/vite'; export default { plugins: [Components()] };",
        'components/BaseButton.vue': '<template><b/></template>',
        'package.json': '{ "dependencies": { "vue": "3" } }',
      },
      'component component unresolved unresolved',
    ],
    [
      'by the application',
      {
        'main.ts':
          "import { createApp } from 'vue'; import B from './components/base/Button.vue'; createApp({}).component('base-button', B);",
        'package.json': '{ "dependencies": { "vue": "3" } }',
      },
      'component unresolved unresolved unresolved',
    ],
    [
      'in a plugin',
      {
        'plugin.ts': "import B from './components/base/Button.vue'; export default { install(app) { app.component('BaseButton', B); } };",
        'package.json': '{ "dependencies": { "vue": "3" } }',
      },
      'component unresolved unresolved unresolved',
    ],
    [
      'to be loaded when it is asked for',
      {
        'plugin.ts':
          "import { defineAsyncComponent } from 'vue'; export default (app) => app.component('BaseButton', defineAsyncComponent(() => import('./components/base/Button.vue')));",
        'package.json': '{ "dependencies": { "vue": "3" } }',
      },
      'component unresolved unresolved unresolved',
    ],
    [
      'in a loop over a folder',
      {
        'plugin.ts':
          "const all = import.meta.glob('./kit/*.vue', { eager: true }); export default (app) => { for (const path in all) app.component(nameOf(path), all[path].default); };",
        'kit/BaseButton.vue': '<template><b/></template>',
        'more/Nowhere.vue': '<template><b/></template>',
        'package.json': '{ "dependencies": { "vue": "3" } }',
      },
      'component unresolved unresolved unresolved',
    ],
    [
      'in a loop over what it is handed',
      {
        'plugin.js':
          "import Vue from 'vue'; export const register = (all) => Object.keys(all).forEach((name) => Vue.component(name, all[name]));",
        'kit/base-button.vue': '<template><b/></template>',
        'kit/nowhere/index.vue': '<template><b/></template>',
        'package.json': '{ "dependencies": { "vue": "2" } }',
      },
      'component unresolved unresolved component',
    ],
    [
      'in a loop, where two have the name',
      {
        'plugin.js':
          "import Vue from 'vue'; export const register = (all) => Object.keys(all).forEach((name) => Vue.component(name, all[name]));",
        'kit/BaseButton.vue': '<template><b/></template>',
        'more/BaseButton.vue': '<template><b/></template>',
        'package.json': '{ "dependencies": { "vue": "2" } }',
      },
      'unresolved unresolved unresolved unresolved',
    ],
  ])('%s', (_, more, expected) => {
    const { model } = analyseFiles(vue(more));
    const uses = [...model.usesBy.values()]
      .flat()
      .filter((use) => use.file === 'pages/index.vue' && model.components.get(use.owner)?.role === 'component');
    expect(uses.map((use) => use.target.kind).join(' ')).toBe(expected);
  });
});
