import { beforeAll, describe, expect, test } from 'vitest';
import { factsOf } from '../../../testing/src/project';
import { walkTemplate } from '../model/walk';
import { loadCompilers } from './registry';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const files = { react: 'src/App.tsx', vue: 'src/App.vue', svelte: 'src/App.svelte' } as const;
type Framework = keyof typeof files;

const texts: Readonly<Record<Framework, (markup: string) => string>> = {
  react: (markup) => `export function App({ t, o, go, tip }) { return ${markup}; }`,
  vue: (markup) =>
    `<script setup>const { t, o } = defineProps(['t', 'o']); const go = () => 1; const vTip = {};</script><template>${markup}</template>`,
  svelte: (markup) => `<script>let { t, o, go, tip } = $props();</script>${markup}`,
};

/** What the one element of some markup is given: `event click [stop]`. */
function bindingsOf(framework: Framework, markup: string): string[] {
  const found: string[] = [];
  const [component] = factsOf(texts[framework](markup), files[framework]).components;
  walkTemplate(component?.template ?? [], (node) => {
    if (node.kind !== 'element' && node.kind !== 'use') return;
    for (const { to, modifiers } of node.bindings)
      found.push(`${to.kind} ${to.name}${modifiers && modifiers.length > 0 ? ` [${modifiers.join(' ')}]` : ''}`);
  });
  return found;
}

describe('what is given is told by what takes it, and not by how it is written', () => {
  const cases: readonly [framework: Framework, markup: string, expected: readonly string[]][] = [
    ['react', '<button onClick={go}/>', ['listener click']],
    ['react', '<button onClickCapture={go}/>', ['listener click [capture]']],
    ['react', '<p className={t} title={o}/>', ['attribute class', 'attribute title']],
    ['react', '<Card open={t} onPick={go}/>', ['prop open', 'prop onPick']],
    ['vue', '<button @click="go"/>', ['listener click']],
    ['vue', '<button @click.stop="go"/>', ['listener click [stop]']],
    ['vue', '<button @click.capture.once="go"/>', ['listener click [capture once]']],
    ['vue', '<p :class="t" :style="o" :title="o"/>', ['attribute class', 'attribute style', 'attribute title']],
    ['vue', '<input :value.prop="t"/>', ['property value']],
    ['vue', '<p v-tip="t"/>', ['directive tip']],
    ['svelte', '<button onclick={go}/>', ['listener click']],
    ['svelte', '<button onclickcapture={go}/>', ['listener click [capture]']],
    ['svelte', '<button on:click|stopPropagation={go}/>', ['listener click [stop]']],
    ['svelte', '<details open={t} class:open={o} use:tip></details>', ['attribute open', 'class open', 'directive tip']],
    ['svelte', '<Card --tone={t} onpick={go}/>', ['variable --tone', 'prop onpick']],
    ['svelte', '<p ongotpointercapture={go}/>', ['listener gotpointercapture']],
    ['svelte', '<p style:--tone={t} style:color={o}></p>', ['style --tone', 'style color']],
  ];
  test.each(cases)('%s: %s', (framework, markup, expected) => {
    expect(bindingsOf(framework, markup)).toEqual(expected);
  });
});
