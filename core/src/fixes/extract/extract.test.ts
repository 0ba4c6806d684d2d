import type { Files } from '../../testing/project';
import { proposalTables, react, svelte, sveltePart, vue, vuePart } from '../../testing/proposals';

/** The same markup with some words of its own, in each framework. */
const reactFacts = (side: string, since: string, more = ''): string =>
  `<dl className="facts" id="${side.toLowerCase()}">\n        <dt className="fact">${side}</dt>\n        <dd title={level}>{level}</dd>\n        <dd className="${side}" onBlur={() => go('a')}>m</dd>\n        <dt className="fact">Since</dt>\n        <dd onClick={() => go(${since})}>{${since}}</dd>${more}\n      </dl>`;
const reactPlace = (name: string, markup: string, params = '{ level, since }: { level: string; since: string }', head = ''): string =>
  `import { go } from './go';\n${head}\nexport function ${name}(${params}) {\n  return (\n    <div>\n      ${markup}${name === 'Lower' ? `\n      <form>${form}</form>` : ''}\n    </div>\n  );\n}\n`;
const go = { 'src/go.ts': 'export const go = (to: string) => console.log(to);\n' };
/** Markup that only one side has, so that the two are no twins. */
const form = ['Name', 'Rise', 'Keeper', 'Side', 'Boats', 'Tolls']
  .map((one) => `<label>${one} <input name="${one}" readOnly /></label>`)
  .join('');

const reactFiles = (upper: string, lower: string): Files =>
  react({
    'src/App.tsx':
      'import { Upper } from \'./Upper\';\nimport { Lower } from \'./Lower\';\n\nexport function App() {\n  const [now] = [Date.prototype.constructor.name];\n  return (\n    <main>\n      <Upper level="2.4" since={now} />\n      <Lower level="1.1" when={now} />\n    </main>\n  );\n}\n',
    'src/Upper.tsx': upper,
    'src/Lower.tsx': lower,
    ...go,
  });
const lowerParams = '{ level, when }: { level: string; when: string }';

const vueFacts = (side: string, since: string): string =>
  `<dl class="facts" id="${side.toLowerCase()}">\n      <dt class="fact">${side}</dt>\n      <dd :title="level">{{ level }}</dd>\n      <dt class="fact">Since</dt>\n      <dd v-if="${since}">{{ ${since} }}</dd>\n      <dd v-for="one in 2" :key="one" class="${side}">{{ one }}</dd>\n    </dl>`;
const vuePlace = (markup: string, since: string, style = ''): string =>
  `${vuePart(`defineProps<{ level: string; ${since}: string }>();`, `<div>\n    ${markup}\n  </div>`)}${style}`;
const vueSides = (style = ''): Files =>
  vue({
    'src/App.vue': vuePart(
      "import Upper from './Upper.vue';\nimport Lower from './Lower.vue';\n\nconst now = 'noon';",
      '<main><Upper level="2.4" :since="now" /><Lower level="1.1" :when="now" />{{ now }}</main>',
    ),
    'src/Upper.vue': vuePlace(vueFacts('Upper', 'since'), 'since', style),
    'src/Lower.vue': vuePlace(`${vueFacts('Lower', 'when')}<form>${form}</form>`, 'when', style),
  });

const svelteFacts = (side: string, since: string): string =>
  `<dl class="facts" id="${side.toLowerCase()}">\n    <dt class="fact">${side}</dt>\n    <dd title={level}>{level}</dd>\n    <dt class="fact">Since</dt>\n    {#if ${since}}<dd>{${since}}</dd>{/if}\n    {#each [1, 2] as one (one)}<dd class="${side}">{one}</dd>{/each}\n  </dl>`;
const svelteSides = (older = false, style = ''): Files => {
  const place = (side: string, since: string): string =>
    `${sveltePart(older ? `  export let level: string;\n  export let ${since}: string;` : `  let { level, ${since} }: { level: string; ${since}: string } = $props();`, `<div>\n  ${svelteFacts(side, since)}${side === 'Lower' ? `<form>${form}</form>` : ''}\n</div>`)}${style}`;
  return svelte({
    'src/App.svelte': sveltePart(
      "  import Upper from './Upper.svelte';\n  import Lower from './Lower.svelte';\n\n  const now = 'noon';",
      '<main><Upper level="2.4" since={now} /><Lower level="1.1" when={now} />{now}</main>',
    ),
    'src/Upper.svelte': place('Upper', 'since'),
    'src/Lower.svelte': place('Lower', 'when'),
  });
};

/** The same files with more in the stretch. */
const withMore = (files: Files, more: (since: string) => string): Files =>
  Object.fromEntries(
    Object.entries(files).map(([file, text]) => [file, text.replace('</dl>', `${more(/Lower/.test(file) ? 'when' : 'since')}</dl>`)]),
  );

proposalTables(
  'markup-repeated',
  [
    [
      'React: texts, values and a handler of the module',
      reactFiles(reactPlace('Upper', reactFacts('Upper', 'since')), reactPlace('Lower', reactFacts('Lower', 'when'), lowerParams)),
      { 'src/Facts.tsx': "import { go } from './go';", 'src/Lower.tsx': '<Facts' },
    ],
    [
      'React: in a list, with a key',
      reactFiles(
        reactPlace(
          'Upper',
          `{[level].map((one) => (\n        ${reactFacts('Upper', 'since').replace('<dl ', '<dl key={one} ')}\n      ))}`,
        ),
        reactPlace('Lower', reactFacts('Lower', 'when'), lowerParams),
      ),
      { 'src/Upper.tsx': 'key={one}' },
    ],
    [
      'React: twice in one component',
      reactFiles(
        reactPlace('Upper', `${reactFacts('Upper', 'since')}\n      ${reactFacts('Middle', 'level')}`),
        'export function Lower({ level, when }: { level: string; when: string }) {\n  return <i title={when}>{level}</i>;\n}\n',
      ),
    ],
    ['Vue', vueSides(), { 'src/Facts.vue': "defineProps(['", 'src/Upper.vue': "import Facts from './Facts.vue';" }],
    ['Svelte', svelteSides(), { 'src/Facts.svelte': '} = $props();', 'src/Upper.svelte': "import Facts from './Facts.svelte';" }],
    ['Svelte before 5', svelteSides(true), { 'src/Facts.svelte': 'export let' }],
    [
      'Svelte: bound both ways, spread, and called from a list',
      withMore(
        svelteSides(),
        (since) => `<input bind:value={${since}} {...level} />{#each [1, 2] as one (one)}<b onclick={() => ${since}(one)}>{one}</b>{/each}`,
      ),
      { 'src/Facts.svelte': 'bind:value', 'src/Upper.svelte': 'bind:value={since}' },
    ],
    [
      'Vue: it listens by its owner, in a list too',
      withMore(
        vueSides(),
        (since) => `<b v-for="n in 2" :key="n" :title="level + n" @click="${since}(n)">{{ n }}</b><i @click="${since}">a</i>`,
      ),
      { 'src/Facts.vue': '(n)">{{ n }}</b>' },
    ],
    [
      'React without types: what its owner has in a list',
      Object.fromEntries(
        Object.entries(
          reactFiles(
            reactPlace(
              'Upper',
              reactFacts('Upper', 'since', '{[1, 2].map((one) => <i key={one} title={level + one} onClick={() => since(one)}>{one}</i>)}'),
            ),
            reactPlace(
              'Lower',
              reactFacts('Lower', 'when', '{[1, 2].map((one) => <i key={one} title={level + one} onClick={() => when(one)}>{one}</i>)}'),
              lowerParams,
            ),
          ),
        ).map(([file, text]) => [file.replace('.tsx', '.jsx'), text.replace(/: \{ level: string; (?:since|when): string \}\)/, ')')]),
      ),
      { 'src/Facts.jsx': 'title={level + one}' },
    ],
  ],
  [
    [
      'React: a condition of its owner',
      reactFiles(
        reactPlace('Upper', reactFacts('Upper', 'since', '{level && <dd>m</dd>}')),
        reactPlace('Lower', reactFacts('Lower', 'when', '{level && <dd>m</dd>}'), lowerParams),
      ),
      'whose kind is not known',
    ],
    [
      'React: constants within an expression',
      reactFiles(
        reactPlace('Upper', reactFacts('Upper', 'since', "{'upper'.length}")),
        reactPlace('Lower', reactFacts('Lower', 'when', "{'low'.length}"), lowerParams),
      ),
      'in a way that no prop can say',
    ],
    [
      'React: something is spread',
      reactFiles(
        reactPlace(
          'Upper',
          reactFacts('Upper', 'since').replace('<dd title={level}>', '<dd title={level} {...rest}>'),
          '{ level, since, ...rest }: any',
        ),
        reactPlace(
          'Lower',
          reactFacts('Lower', 'when').replace('<dd title={level}>', '<dd title={level} {...rest}>'),
          '{ level, when, ...rest }: any',
        ),
      ),
      'whose kind is not written in it',
    ],
    [
      'React: one name that means two things',
      reactFiles(
        reactPlace('Upper', reactFacts('Upper', 'since')),
        reactPlace('Lower', reactFacts('Lower', 'when'), lowerParams)
          .replace("from './go'", "from './leave'")
          .replace('{ go }', '{ leave as go }'),
      ),
      'go means one thing here and another there',
    ],
    ['Vue: styles of its own', vueSides('\n<style scoped>\n.fact { color: red; }\n</style>\n'), 'styles of'],
    ['Svelte: styles of its own', svelteSides(false, '\n<style>\n  .fact { color: red; }\n</style>\n'), 'styles of'],
  ],
);
