import { camelCase, pascalCase } from '../../../write/case';
import { choice, frameFiles } from '../../../write/frame';
import type { Given, Skeleton, SkeletonFile, SkeletonPart, SkeletonTaken, SkeletonWriter } from '../../../model/skeleton';
import { htmlAttribute, htmlText, partImports, type TemplateWords, TemplateWriter } from '../../../write/template';
import { callbackName } from '../../../write/case';
import {
  expressionCode,
  filesBeside,
  folderOf,
  foreignImport,
  initial,
  isAtHand,
  itemsIn,
  noteComment,
  setter,
  typeOfValue,
  typesOf,
  valueCode,
} from '../../../write/words';

const useName = (name: string): string => `use${pascalCase(name)}`;

/** The words of one part’s template; names of handlers that it asks for are put into `handlers`. */
function wordsOf(part: SkeletonPart, handlers: Set<string>): TemplateWords {
  const stores = new Set(part.taken.filter((one) => one.from === 'store').map((one) => one.name));
  const set = (name: string, code: string): string => (stores.has(name) ? `${setter(name)}(${code})` : `${name} = ${code}`);
  const raise = (event: string): string => {
    if (event.startsWith('set ')) {
      const name = event.slice(4);
      return set(name, isAtHand(part, name) ? name : initial(typeOfValue(part, name)));
    }
    const own = part.events.find((one) => callbackName(one.name) === event);
    if (!own) return '';
    const isGiven = part.props.some((prop) => prop.name === own.changes && prop.type === own.payload);
    return own.payload === '' ? `emit('${own.name}')` : `emit('${own.name}', ${isGiven ? own.changes : initial(own.payload)})`;
  };
  const bound = (name: string, code: string): string => `:${name}="${htmlAttribute(code)}"`;
  const heard = (used: string, given: Extract<Given, { kind: 'event' }>): string => {
    if (given.on !== '') return given.payload === '' ? `emit('${given.on}')` : `emit('${given.on}', $event)`;
    if (given.changes !== '') return set(given.changes, '$event');
    const handler = `hear${used}${pascalCase(given.name)}`;
    handlers.add(handler);
    return handler;
  };
  return {
    text: (text) => htmlText(text).replace(/\{\{/g, '&#123;&#123;'),
    shown: (code) => `{{ ${code} }}`,
    bound,
    odd: (name, code) => `v-bind="${htmlAttribute(`{ '${name}': ${code} }`)}"`,
    isOdd: (name) => /^(v-|[@:#])/.test(name),
    attribute: htmlAttribute,
    expression: expressionCode,
    slot: (name) => (name === 'children' ? '<slot />' : `<slot name="${name}" />`),
    given: (used, given) => {
      if (given.kind === 'event') return `@${given.name}="${htmlAttribute(heard(used, given))}"`;
      const { value } = given;
      if (value === undefined) return '';
      if (typeof value === 'object' && 'expression' in value) return bound(given.name, expressionCode(value.expression));
      if (typeof value === 'string') return `${given.name}="${htmlAttribute(value)}"`;
      return value === true ? given.name : bound(given.name, valueCode(value));
    },
    listener: (event, raises) =>
      `@${event === 'submit' ? 'submit.prevent' : event}="${htmlAttribute(raises.map(raise).filter(Boolean).join('; '))}"`,
    each: (each) => ({ kind: 'attribute', text: `v-for="${each.item} in ${expressionCode(each.over)}" :key="${each.item}.id"` }),
    when: (when) => ({ kind: 'attribute', text: `v-if="${expressionCode(when.test)}"` }),
  };
}

function takenImport({ name, from, reads, changes }: SkeletonTaken): string {
  if (from === 'context') return `import { ${useName(name)} } from '../contexts/${name}';`;
  return `import { ${[reads && name, changes && setter(name)].filter(Boolean).join(', ')} } from '../stores/${name}';`;
}

function partFile(part: SkeletonPart, skeleton: Skeleton): SkeletonFile {
  const handlers = new Set<string>();
  const body = new TemplateWriter(wordsOf(part, handlers), skeleton).lines(part.markup, 1);
  const provided = part.state.filter((one) => one.provided);
  const vue = [...(provided.length > 0 ? ['provide'] : []), ...(part.state.length > 0 ? ['ref'] : [])];
  const items = [...new Set(typesOf(part).flatMap(itemsIn))].sort();
  const imports = [
    ...(vue.length > 0 ? [`import { ${vue.join(', ')} } from 'vue';`] : []),
    ...provided.map((one) => `import { ${one.name}Key } from '../contexts/${one.name}';`),
    ...part.taken.map(takenImport),
    ...(part.sample.length > 0
      ? [`import { ${part.sample.map((one) => one.name).join(', ')} } from '../sample/${camelCase(part.name)}';`]
      : []),
    ...items.map((name) => `import type { ${name}Item } from '../items/${name}';`),
    ...partImports(part, skeleton, '.vue'),
    ...foreignImport(typesOf(part)),
  ];
  const code = [
    ...(part.props.length > 0
      ? ['defineProps<{', ...part.props.map((prop) => `  ${prop.name}${prop.optional ? '?' : ''}: ${prop.type};`), '}>();']
      : []),
    ...(part.events.length > 0
      ? [
          `${/\bemit\(/.test(body.join('\n')) ? 'const emit = ' : ''}defineEmits<{`,
          ...part.events.map(({ name, payload }) => `  ${name}: [${payload === '' ? '' : `next: ${payload}`}];`),
          '}>();',
        ]
      : []),
    ...part.taken.filter((one) => one.from === 'context').map(({ name }) => `const ${name} = ${useName(name)}();`),
    ...part.state.map((one) => `const ${one.name} = ref<${one.type}>(${initial(one.type)});`),
    ...provided.map((one) => `provide(${one.name}Key, ${one.name});`),
    ...[...handlers].flatMap((handler) => [`function ${handler}() {`, '  // Say here what happens.', '}']),
  ];
  const note = noteComment(part.note);
  const script = [...note, ...imports, ...(imports.length > 0 && code.length > 0 ? [''] : []), ...code];
  const lines = [
    ...(script.length > 0 ? ['<script setup lang="ts">', ...script, '</script>', ''] : []),
    '<template>',
    ...body,
    '</template>',
    '',
  ];
  return { file: `src/${folderOf(part)}/${part.name}.vue`, text: lines.join('\n') };
}

function contextFile({ name, type }: { name: string; type: string }): SkeletonFile {
  const text = `import { inject, type InjectionKey, type Ref } from 'vue';
${foreignImport([type])
  .map((line) => `${line}\n`)
  .join('')}
export const ${name}Key: InjectionKey<Ref<${type}>> = Symbol('${name}');

export function ${useName(name)}(): Ref<${type}> {
  const held = inject(${name}Key);
  if (!held) throw new Error('${useName(name)} needs ${name} to be provided above it.');
  return held;
}
`;
  return { file: `src/contexts/${name}.ts`, text };
}

function storeFile({ name, type }: { name: string; type: string }): SkeletonFile {
  const text = `import { ref } from 'vue';
${foreignImport([type])
  .map((line) => `${line}\n`)
  .join('')}
export const ${name} = ref<${type}>(${initial(type)});

export function ${setter(name)}(next: ${type}): void {
  ${name}.value = next;
}
`;
  return { file: `src/stores/${name}.ts`, text };
}

function frame(skeleton: Skeleton): SkeletonFile[] {
  const pages = skeleton.parts.filter((part) => part.role === 'page');
  const { asks, shown } = choice(skeleton, (page) => page);
  const main = [
    `import { createApp } from 'vue';`,
    ...pages.map((page) => `import ${page.name} from './pages/${page.name}.vue';`),
    `import './page.css';`,
    '',
    ...asks,
    ...(pages.length > 0 ? [`createApp(${shown}).mount('#root');`] : []),
    '',
  ].join('\n');
  return [
    ...frameFiles(skeleton, {
      main: 'main.ts',
      dependencies: { vue: '^3.5.0' },
      devDependencies: { '@vitejs/plugin-vue': '^6.0.0' },
      compilerOptions: { jsx: 'preserve' },
      build: 'vite build',
      vite: [
        "import vue from '@vitejs/plugin-vue';",
        "import { defineConfig } from 'vite';",
        '',
        '// A tag with a hyphen is the platform’s, not a component.',
        "export default defineConfig({ plugins: [vue({ template: { compilerOptions: { isCustomElement: (tag) => tag.includes('-') } } })] });",
        '',
      ].join('\n'),
    }),
    { file: 'src/main.ts', text: main },
  ];
}

/** Writes a skeleton as a small Vue application of single-file components. */
export const vueSkeleton: SkeletonWriter = {
  framework: 'vue',
  write: (skeleton) => [
    ...frame(skeleton),
    ...filesBeside(skeleton, { part: (part) => partFile(part, skeleton), context: contextFile, store: storeFile }),
  ],
};
