import { beforeAll, describe, expect, test } from 'vitest';
import { analyseFiles, type Files } from '../../../testing/src/project';
import { loadCompilers } from '../frameworks/registry';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte', 'a.astro']));

/** Names of the components that others may use, in order. */
const offered = (files: Files): string[] =>
  [...analyseFiles(files).model.components.values()]
    .filter((one) => one.role === 'component' && one.isPublic)
    .map(({ name }) => name)
    .sort();

const part = (name: string): string => `export function ${name}() { return <p/>; }`;
const parts: Files = { 'src/Card.jsx': part('Card'), 'src/Hint.jsx': part('Hint'), 'src/Tide.jsx': part('Tide') };
const says = (exports: unknown): Files => ({ 'package.json': JSON.stringify({ name: 'parts', exports }) });

describe('what a package lets others import', () => {
  test.each<[string, Files, string[]]>([
    ['one file, and not what stands beside it', { ...parts, ...says('./src/Card.jsx') }, ['Card']],
    [
      'what an entry hands on by name',
      { ...parts, ...says('./src/index.js'), 'src/index.js': "export { Card as Tile } from './Card';" },
      ['Card'],
    ],
    [
      'all of a module',
      { ...parts, ...says('./src/index.js'), 'src/index.js': "export * from './Card'; export * from './Hint';" },
      ['Card', 'Hint'],
    ],
    [
      'a module as one name',
      { ...parts, ...says('./src/index.js'), 'src/index.js': "export * as All from './all';", 'src/all.js': "export * from './Tide';" },
      ['Tide'],
    ],
    [
      'what is imported first',
      {
        ...parts,
        ...says('./src/index.js'),
        'src/index.js': "import { Card } from './Card'; import * as more from './Hint'; export { Card, more };",
      },
      ['Card', 'Hint'],
    ],
    [
      'members of what is exported',
      {
        ...parts,
        ...says('./src/index.jsx'),
        'src/index.jsx': "import { Hint } from './Hint'; export function Menu() { return <ul/>; } Menu.Item = Hint;",
      },
      ['Hint', 'Menu'],
    ],
    [
      'what a wrapper makes',
      {
        ...parts,
        ...says('./src/index.jsx'),
        'src/index.jsx': "import { memo } from 'react'; import { Card } from './Card'; export const Fast = memo(Card);",
      },
      ['Card'],
    ],
    [
      'the source of a build',
      { ...parts, ...says({ '.': { import: './dist/index.js' } }), 'src/index.js': "export { Hint } from './Hint';" },
      ['Hint'],
    ],
    ['several entries', { ...parts, ...says({ './card': './src/Card.jsx', './hint': './src/Hint.jsx' }) }, ['Card', 'Hint']],
    ['files by a pattern', { ...parts, ...says({ './*': './src/*.jsx' }) }, ['Card', 'Hint', 'Tide']],
    [
      'styles and data beside',
      { ...parts, ...says({ '.': './src/Card.jsx', './style.css': './style.css', './package.json': './package.json' }) },
      ['Card'],
    ],
    ['a folder of styles beside', { ...parts, ...says({ '.': './src/Card.jsx', './styles/*': './build/styles/*' }) }, ['Card']],
    [
      'an entry that is named after a theme',
      {
        ...parts,
        ...says({ '.': './src/Card.jsx', './theme': './src/theme/index.js' }),
        'src/theme/index.js': "export { Hint } from '../Hint';",
      },
      ['Card', 'Hint'],
    ],
    [
      'a file that is a component',
      {
        ...says({ '.': './src/index.js' }),
        'src/index.js': "export { default as Card } from './Card.vue';",
        'src/Card.vue': '<template><p/></template>',
        'src/Hint.vue': '<template><p/></template>',
      },
      ['Card'],
    ],
    [
      'what an entry registers for all templates',
      {
        ...says({ '.': './src/index.js' }),
        'src/index.js': "import Card from './Card.vue'; export default { install(app) { app.component('Card', Card); } };",
        'src/Card.vue': '<template><p/></template>',
        'src/Hint.vue': '<template><p/></template>',
      },
      ['Card'],
    ],
  ])('%s', (_, files, expected) => {
    expect(offered(files)).toEqual(expected);
  });
});

describe('what an entry does with a component is not all followed: it counts as given', () => {
  test.each([
    'export const parts = { card: Card, hint: { of: Hint } };',
    'export default { Card, Hint };',
    'export const all = [Card, Hint];',
    "export function get(name) { return name === 'card' ? Card : Hint; }",
    'export class Kit { static Card = Card; static Hint = Hint; }',
    "export const later = () => import('./Card'); export const hint = Hint;",
    "registry.add('card', Card); registry.add('hint', Hint);",
    "import * as cards from './Card'; import * as hints from './Hint'; export const get = (name) => cards[name] ?? hints[name];",
  ])('%s', (code) => {
    const entry = `import { Card } from './Card'; import { Hint } from './Hint'; import registry from 'registry'; export { Tide } from './Tide'; ${code}`;
    const files = { ...parts, ...says('./src/index.jsx'), 'src/index.jsx': entry, 'src/Own.jsx': part('Own') };
    expect(offered(files)).toEqual(['Card', 'Hint', 'Tide']);
  });
  test('what it renders it keeps', () => {
    const entry = "import { Card } from './Card'; export function Board() { return <Card/>; }";
    expect(offered({ ...parts, ...says('./src/index.jsx'), 'src/index.jsx': entry })).toEqual(['Board']);
  });
});

describe('all that is exported counts where that cannot be told', () => {
  test.each<[string, Files]>([
    ['it names nothing', { ...parts, 'package.json': '{ "name": "parts" }' }],
    ['an entry is not among the files', { ...parts, ...says({ '.': './src/Card.jsx', './more': './built/more.js' }) }],
    ['no component is reached', { ...parts, ...says('./config.js'), 'config.js': 'export default {};' }],
  ])('%s', (_, files) => {
    expect(offered(files)).toEqual(['Card', 'Hint', 'Tide']);
  });
  test('an entry registers what its text does not tell', () => {
    const files: Files = {
      ...says('./src/index.js'),
      'src/index.js':
        "import Card from './Card.vue'; import { others } from 'others'; export { Card }; export default { install(app) { for (const one of others) app.component(one.name, one); } };",
      'src/Card.vue': '<script>export default { name: "Card" }</script><template><p/></template>',
      'src/Hint.vue': '<script>export default { name: "Hint" }</script><template><p/></template>',
    };
    expect(offered(files)).toEqual(['Card', 'Hint']);
  });
});
