import type { Files } from '../../../../testing/src/project';
import { proposalTables, react, svelte, sveltePart, vue, vuePart } from '../../../../testing/src/proposals';

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

/** Two parts of Vue with places for content, of which the owner gives some. */
const vueWithContent = (stretch: (own: string, word: string) => string, head = '', given = ''): Files =>
  vue({
    'src/App.vue': vuePart(
      "import Upper from './Upper.vue';\nimport Lower from './Lower.vue';",
      `<main><Upper :all="['a', 'b']">${given}</Upper><Lower :all="['c']"><template #mark="{ one }">m{{ one }}</template></Lower></main>`,
    ),
    'src/Upper.vue': vuePart(
      `${head}const props = defineProps<{ all: string[] }>();\nconst tone = 'wide';`,
      `<div>\n    ${stretch('one', 'Upper')}\n  </div>`,
    ),
    'src/Lower.vue': vuePart(
      `${head}const props = defineProps<{ all: string[] }>();\nconst tone = 'small';`,
      `<div>\n    ${stretch('other', 'Lower')}<form>${form}</form>\n  </div>`,
    ),
  });
const list = (one: string, word: string): string =>
  `<ul v-if="all.length > 0" class="lines" :title="tone">\n      <li v-for="(${one}, at) in all" :key="at" :class="tone">\n        <slot name="mark" :one="${one}" :tone="tone">{{ ${one} }} {{ at }} {{ tone }}</slot><b v-if="!!$slots.mark">${word}</b>\n      </li>\n      <li class="rest" title="rest"><em class="rest" title="more"><slot /></em><hr class="end" title="end" /></li>\n    </ul>`;

/** Parts of Svelte that read a store. */
const ofStore: Files = {
  ...Object.fromEntries(
    Object.entries(withMore(svelteSides(), () => '<p title={$tide}>{$tide}</p>{#each [1, 2] as one (one)}<s>{one + $tide}</s>{/each}')).map(
      ([file, text]) => [
        file,
        /Upper|Lower/.test(file) ? text.replace('<script lang="ts">', `<script lang="ts">\n  import { tide } from './tide';`) : text,
      ],
    ),
  ),
  'src/tide.ts': "import { writable } from 'svelte/store';\n\nexport const tide = writable('low');\n",
};

/** Parts of Svelte that show what they are given between their tags. */
const contentGiven = Object.fromEntries(
  Object.entries(withMore(svelteSides(), () => '<p>{@render children?.()}</p>')).map(([file, text]) => [
    file,
    text
      .replace(/let \{ level, (\w+) \}: \{/, "let { level, $1, children }: { children?: import('svelte').Snippet;")
      .replace('<Lower level="1.1" when={now} />', '<Lower level="1.1" when={now}>in it</Lower>'),
  ]),
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
    [
      'React: one of three places is not like the others, and stays',
      reactFiles(
        reactPlace(
          'Upper',
          `${reactFacts('Upper', 'since', '<dd>a {level}</dd>')}\n      ${reactFacts('Middle', 'level', '<dd>a {level}</dd>')}`,
        ),
        reactPlace('Lower', reactFacts('Lower', 'when', '<dd>a{level}</dd>'), lowerParams),
      ),
      { 'src/Lower.tsx': '<dl className="facts"', 'src/Upper.tsx': '<Facts' },
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
    [
      'Vue: places for content, in a list whose item has another name; its condition goes with the use',
      vueWithContent(list),
      {
        'src/Lines.vue': '<slot name="mark" :one="one" :tone="tone">',
        'src/Upper.vue': '<template v-if="$slots.mark" #mark="given"><slot name="mark" v-bind="given" /></template>',
        'src/Lower.vue': 'v-if="all.length > 0"',
      },
    ],
    [
      'Vue: in a list, whose item is given; elsewhere alone',
      vueWithContent((own, word) => {
        const item = `<li class="line" :title="tone"><b class="what" :title="${own}">{{ ${own} }}</b><i class="how" :title="tone">{{ ${own}.length }}</i><em title="m" class="end">{{ tone }}</em><u class="x" title="y">a</u></li>`;
        return word === 'Upper'
          ? `<ul>${item.replace('<li ', `<li v-for="${own} in all" :key="${own}" `)}</ul>`
          : `<ol>${item.replaceAll(own, 'tone')}</ol><p><slot name="mark" :one="1" /></p>`;
      }),
      { 'src/Upper.vue': 'v-for="one in all" :key="one" :tone="tone" :title="one"' },
    ],
    [
      'Vue: places for content that the owner asks for, by a name in script',
      vueWithContent(
        (own, word) => list(own, word).replace('$slots.mark', 'slots.mark'),
        "import { useSlots } from 'vue';\nconst slots = useSlots();\n",
        '<template #default>d</template>',
      ),
      { 'src/Lines.vue': '<b v-if="!!$slots.mark">' },
    ],
    [
      'Vue: places for content that have other names',
      vueWithContent((own, word) =>
        word === 'Lower' ? list(own, word) : list(own, word).replace('name="mark"', 'name="sign"').replace('$slots.mark', '$slots.sign'),
      ),
      {
        'src/Lower.vue': '<template v-if="$slots.mark" #sign="given"><slot name="mark" v-bind="given" /></template>',
        'src/Upper.vue': '<template v-if="$slots.sign" #sign="given"><slot name="sign" v-bind="given" /></template>',
      },
    ],
    [
      'Vue: what is given for a component in it has texts of its own',
      {
        ...vueWithContent(
          (own, word) =>
            `${list(own, word).replace('</ul>', `<Frame><template #head>${word}</template><template #default>a</template></Frame></ul>`)}`,
          "import Frame from './Frame.vue';\n",
        ),
        'src/Frame.vue': vuePart('', '<li><i><slot name="head" /></i><slot /></li>'),
      },
      { 'src/Lines.vue': '<template #head>{{ ' },
    ],
    ['Svelte: the value of a store', ofStore, { 'src/Facts.svelte': "import { tide } from './tide';" }],
    [
      'Svelte: the value of a store of its own',
      Object.fromEntries(
        Object.entries(ofStore).map(([file, text]) => [
          file,
          text.replace("import { tide } from './tide';", "import { writable } from 'svelte/store';\n  const tide = writable('low');"),
        ]),
      ),
      { 'src/Facts.svelte': '{one + tide}', 'src/Upper.svelte': 'tide={$tide}' },
    ],
    ['Svelte: content that it shows is handed in', contentGiven, { 'src/Facts.svelte': '?.()}</p>' }],
    [
      'React: written over other lines',
      reactFiles(
        reactPlace('Upper', reactFacts('Upper', 'since')),
        reactPlace('Lower', reactFacts('Lower', 'when'), lowerParams)
          .replace('<dd title={level}>', '<dd\n          title={level}\n        >')
          .replace('<dt className="fact">Since</dt>', '<dt className="fact">\n          Since\n        </dt>'),
      ),
    ],
    [
      'React: texts in quotes stay as they are',
      reactFiles(
        reactPlace('Upper', reactFacts('Upper', 'since', "<dd title={['a  b',\n  since].join(' ( ')}>m</dd>")),
        reactPlace('Lower', reactFacts('Lower', 'when', "<dd title={['c',\n  when].join(' ( ')}>m</dd>"), lowerParams),
      ),
      { 'src/Upper.tsx': "{['a  b', since].join(' ( ')}" },
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
    [
      'Vue: an event of the component that it stands in',
      vueWithContent((own, word) => list(own, word).replace('<hr ', `<hr @click="$emit('pick')" `)),
      '$emit in it is of the component',
    ],
    [
      'Vue: it asks for content that has no place in it',
      vueWithContent((own, word) => list(own, word).replace('$slots.mark', '$slots.more')),
      '$slots.more asks for content',
    ],
    [
      'Vue: a place for content with a computed name',
      vueWithContent((own, word) => list(own, word).replace('name="mark"', ':name="tone"')),
      'whose name is computed',
    ],
    [
      'Vue: one place asks how, the other does not',
      vueWithContent((own, word) => list(own, word).replace('<b ', word === 'Upper' ? '<b @click.once="tone" ' : '<b @click="tone" ')),
      'in a way that no prop can say',
    ],
    [
      'React: a blank between two, in one of the places',
      reactFiles(
        reactPlace('Upper', reactFacts('Upper', 'since', '<dd>a {level}</dd>')),
        reactPlace('Lower', reactFacts('Lower', 'when', '<dd>a{level}</dd>'), lowerParams),
      ),
      'in a way that no prop can say',
    ],
    [
      'Vue: a directive of the component that it stands in',
      vueWithContent((own, word) => list(own, word).replace('<hr ', '<hr v-focus '), 'const vFocus = { mounted: () => undefined };\n'),
      'v-focus in it is of the component',
    ],
    [
      'Svelte: it is given for a place',
      Object.fromEntries(Object.entries(svelteSides(true)).map(([file, text]) => [file, text.replace('<dl ', '<dl slot="facts" ')])),
      'has slot=, which belongs to where it stands',
    ],
    [
      'React: letters by their names in an attribute that would become script',
      reactFiles(
        reactPlace('Upper', reactFacts('Upper', 'since', '<dd title="near &amp; it\'s">m</dd>')),
        reactPlace('Lower', reactFacts('Lower', 'when', '<dd title="far &amp; it\'s">m</dd>'), lowerParams),
      ),
      'names a letter',
    ],
    ['Vue: styles of its own', vueSides('\n<style scoped>\n.fact { color: red; }\n</style>\n'), 'styles of'],
    ['Svelte: styles of its own', svelteSides(false, '\n<style>\n  .fact { color: red; }\n</style>\n'), 'styles of'],
  ],
);
