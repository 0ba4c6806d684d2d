import { beforeAll, describe, expect, test } from 'vitest';
import { applyEdits } from '..';
import { loadCompilers } from '../../frameworks/registry';
import { analyseFiles, type Files } from '../../../../testing/src/project';
import { seeded } from '../../../../testing/src/random';
import { rendered } from '../../../../testing/src/render';
import { mergeTwins } from '.';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** Markup as a tree, to be written in any framework. */
type Node = { tag: string; tone: string; text: string; prop: string; when: string; children: Node[] };

const words = ['Level', 'Open', 'Since noon', 'Closed', 'Keeper', 'Two boats'];

type Framework = 'react' | 'vue' | 'svelte';

function makeTree(random: () => number, depth: number): Node {
  const any = <T>(all: readonly T[]): T => all[Math.floor(random() * all.length)] as T;
  const count = depth === 0 ? 0 : 1 + Math.floor(random() * 3);
  return {
    tag: depth > 2 ? 'section' : depth === 0 ? any(['b', 'i', 'em', 'small']) : any(['div', 'section']),
    tone: random() < 0.5 ? any(['calm', 'loud', 'wide']) : '',
    text: depth === 0 && random() < 0.6 ? any(words) : '',
    prop: depth === 0 && random() < 0.5 ? any(['label', 'word']) : '',
    when: depth < 2 && random() < 0.2 ? 'label' : '',
    children: Array.from({ length: count }, () => makeTree(random, depth - 1)),
  };
}

const all = (node: Node): Node[] => [node, ...node.children.flatMap(all)];

/** One change of a copy, of a kind that people make. */
function change(root: Node, random: () => number): void {
  const any = <T>(from: readonly T[]): T | undefined => from[Math.floor(random() * from.length)];
  const inner = any(all(root).filter((node) => node.children.length > 0));
  const leaf = any(all(root).filter((node) => node.children.length === 0));
  switch (Math.floor(random() * 6)) {
    case 0: {
      const dressed = any(all(root).filter((node) => node.tone !== ''));
      if (dressed) dressed.tone = `${dressed.tone}-two`;
      return;
    }
    case 1:
      if (leaf && leaf.text !== '') leaf.text = `${leaf.text} again`;
      return;
    case 2:
      inner?.children.splice(Math.floor(random() * (inner.children.length + 1)), 0, {
        tag: 'hr',
        tone: 'new',
        text: '',
        prop: '',
        when: '',
        children: [],
      });
      return;
    case 3:
      if (inner && inner.children.length > 1) inner.children.splice(Math.floor(random() * inner.children.length), 1);
      return;
    case 4:
      if (inner) inner.children = [{ tag: 'div', tone: '', text: '', prop: '', when: '', children: inner.children }];
      return;
    default:
      inner?.children.reverse();
  }
}

/** The markup of a tree; `names` are the props under their names in this component. */
function write(framework: Framework, node: Node, names: Readonly<Record<string, string>>, isRoot = true): string {
  const tone = node.tone === '' ? '' : ` ${framework === 'react' ? 'className' : 'class'}="${node.tone}"`;
  const prop = names[node.prop];
  const value = prop === undefined ? '' : framework === 'vue' ? `{{ ${prop} }}` : `{${prop}}`;
  const inner = `${node.text}${value}${node.children.map((child) => write(framework, child, names, false)).join('')}`;
  const when = isRoot ? undefined : names[node.when];
  const directive = framework === 'vue' && when !== undefined ? ` v-if="${when}"` : '';
  const element = node.tag === 'hr' ? `<hr${tone}${directive} />` : `<${node.tag}${tone}${directive}>${inner}</${node.tag}>`;
  if (when === undefined || framework === 'vue') return element;
  return framework === 'react' ? `{${when} && ${element}}` : `{#if ${when}}${element}{/if}`;
}

function component(framework: Framework, name: string, tree: Node, names: Readonly<Record<string, string>>): string {
  const props = Object.values(names);
  const markup = write(framework, tree, names);
  if (framework === 'react')
    return `type Props = { ${props.map((prop) => `${prop}: string`).join('; ')} };\n\nexport function ${name}({ ${props.join(', ')} }: Props) {\n  return (\n    ${markup}\n  );\n}\n`;
  if (framework === 'vue')
    return `<script setup>\ndefineProps({ ${props.map((prop) => `${prop}: String`).join(', ')} });\n</script>\n\n<template>\n  ${markup}\n</template>\n`;
  return `<script>\n  let { ${props.join(', ')} } = $props();\n</script>\n\n${markup}\n`;
}

function application(framework: Framework, given: string, other: string): string {
  const uses = `<First label="one" word="two" />\n      <Second ${given}="three" ${other}="four" />\n      <Second ${given}="" ${other}="five"></Second>`;
  const ending = framework === 'react' ? '' : `.${framework}`;
  const imports = ['First', 'Second']
    .map((name) => `import ${framework === 'react' ? `{ ${name} }` : name} from './${name}${ending}';`)
    .join('\n');
  if (framework === 'react') return `${imports}\n\nexport function App() {\n  return (\n    <main>\n      ${uses}\n    </main>\n  );\n}\n`;
  if (framework === 'vue') return `<script setup>\n${imports}\n</script>\n\n<template>\n  <main>\n      ${uses}\n  </main>\n</template>\n`;
  return `<script>\n${imports}\n</script>\n\n<main>\n      ${uses}\n</main>\n`;
}

describe.each<[Framework]>([['react'], ['vue'], ['svelte']])('%s: copies that were changed, made one again', (framework) => {
  const ending = framework === 'react' ? 'tsx' : framework;
  const seeds = Array.from({ length: 14 }, (_, at) => at + 1);
  let written = 0;
  test.each(seeds)('seed %i', async (seed) => {
    const random = seeded(seed * 101);
    const tree = makeTree(random, 3);
    const copy = structuredClone(tree);
    for (let turn = 0; turn < 1 + (seed % 4); turn++) change(copy, random);
    const names: Record<string, string> = seed % 2 === 0 ? { label: 'label', word: 'word' } : { label: 'title', word: 'text' };
    const files: Files = {
      [`src/App.${ending}`]: application(framework, names['label'] ?? '', names['word'] ?? ''),
      [`src/First.${ending}`]: component(framework, 'First', tree, { label: 'label', word: 'word' }),
      [`src/Second.${ending}`]: component(framework, 'Second', copy, names),
    };
    const { model } = analyseFiles(files);
    const id = (name: string) => [...model.components.values()].find((one) => one.name === name)?.id ?? ('' as never);
    const made = mergeTwins(model, id('First'), id('Second'), (file) => files[file]);
    if ('wrong' in made) return;
    written++;
    const after = Object.fromEntries(
      Object.entries(files).map(([file, text]) => [
        file,
        applyEdits(
          text,
          made.edits.filter((edit) => edit.file === file),
        ),
      ]),
    ) as Files;
    expect(await rendered(after), Object.values(after).join('\n')).toBe(await rendered(files));
  });
  test('nearly all can be written', () => {
    expect(written).toBeGreaterThanOrEqual(12);
  });
});
