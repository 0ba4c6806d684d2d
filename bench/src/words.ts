import type { Words } from './application';

const shared = ['Button', 'Field', 'Panel', 'Badge', 'Row', 'Menu', 'Tabs', 'Hint', 'Icon', 'Stack'];

/** One to three of the shared parts, the same for the same numbers. */
function some(random: () => number): string[] {
  return Array.from({ length: 1 + Math.floor(random() * 3) }, () => shared[Math.floor(random() * shared.length)] as string);
}

/** The application as single-file components with `<script setup>`. */
export const vueWords: Words = {
  ending: 'vue',
  sharedPart: () => `<script setup lang="ts">
import { ref } from 'vue';

const { label, tone = 'calm', disabled = false } = defineProps<{ label: string; tone?: 'calm' | 'loud'; disabled?: boolean }>();
const emit = defineEmits<{ press: [label: string] }>();
const isOpen = ref(false);

function press() {
  isOpen.value = !isOpen.value;
  emit('press', label);
}
</script>

<template>
  <div :class="['part', tone]" :aria-disabled="disabled">
    <button @click="press">{{ label }}</button>
    <slot v-if="isOpen" />
  </div>
</template>

<style scoped>
.part {
  display: grid;
  gap: 0.5rem;
}
</style>
`,
  part: (name, below, random) => {
    const parts = some(random);
    const kind = random();
    const takes = random() < 0.3;
    return `<script setup lang="ts">
import { computed, ${takes ? 'inject, ' : ''}ref } from 'vue';
${[...new Set(parts)].map((one) => `import ${one} from '@/shared/${one}.vue';`).join('\n')}
import type { Filter, Item } from '@/model/types';
${takes ? "import { sessionKey } from '@/model/session';\n" : ''}${below.map((one) => `import ${one} from './${one}.vue';`).join('\n')}

const { items, filter, title = '${name}' } = defineProps<{ items: Item[]; filter: Filter; title?: string }>();
const emit = defineEmits<{ choose: [id: string] }>();
${takes ? 'const session = inject(sessionKey)!;\n' : ''}const chosen = ref<string | null>(null);
const visible = computed(() => items.filter((item) => item.name.includes(filter.text)));
const total = computed(() => visible.value.reduce((sum, item) => sum + item.amount, 0));

function choose(id: string) {
  chosen.value = id;
  emit('choose', id);
}
</script>

<template>
  <p v-if="items.length === 0" class="empty">Nothing here yet.</p>
  <section v-else class="${name.toLowerCase()}" :data-chosen="chosen">
    <h2>{{ title }} <small>{{ total }}</small></h2>
${
  kind < 0.5
    ? `    <ul>
      <li v-for="item in visible" :key="item.id">
        <${parts[0]} :label="item.name" :tone="item.done ? 'calm' : 'loud'" @press="choose(item.id)">
          <span>{{ item.tags.join(', ') }}</span>
        </${parts[0]}>
      </li>
    </ul>`
    : `    <${parts[0]} :label="title" :disabled="${takes ? '!session.canEdit' : 'filter.onlyOpen'}" @press="choose" />`
}
${parts[1] ? `    <${parts[1]} label="More" tone="loud" />\n` : ''}    <template v-if="!filter.onlyOpen">
${below.map((one) => `      <${one} :items="visible" :filter="filter" @choose="emit('choose', $event)" />`).join('\n') || '      <p>{{ chosen }}</p>'}
    </template>
  </section>
</template>

<style scoped>
.${name.toLowerCase()} {
  padding: 1rem;
}
</style>
`;
  },
  page: (_, tops) => `<script setup lang="ts">
import { provide, reactive, ref } from 'vue';
import { sessionKey } from '@/model/session';
import type { Filter, Item } from '@/model/types';
${tops.map((one) => `import ${one} from './${one}.vue';`).join('\n')}

const items = ref<Item[]>([]);
const filter = reactive<Filter>({ text: '', onlyOpen: false });
provide(sessionKey, { user: 'a', canEdit: true });

function remove(id: string) {
  items.value = items.value.filter((item) => item.id !== id);
}
</script>

<template>
  <main>
    <input v-model="filter.text" />
${tops.map((one) => `    <${one} :items="items" :filter="filter" @choose="remove" />`).join('\n')}
  </main>
</template>
`,
  session: `import type { InjectionKey } from 'vue';
import type { Session } from './types';

export const sessionKey: InjectionKey<Session> = Symbol('session');
`,
  main: (pages) => [
    { file: 'src/App.vue', text: '<template><RouterView /></template>\n' },
    {
      file: 'src/main.ts',
      text: `import { createApp } from 'vue';\nimport { createRouter, createWebHistory } from 'vue-router';\nimport App from './App.vue';\n\nconst router = createRouter({\n  history: createWebHistory(),\n  routes: [\n${pages.map((name) => `    { path: '/${name.toLowerCase()}', component: () => import('./pages/${name}/${name}.vue') },`).join('\n')}\n  ],\n});\n\ncreateApp(App).use(router).mount('#app');\n`,
    },
  ],
};

/** The application with runes. */
export const svelteWords: Words = {
  ending: 'svelte',
  sharedPart: (name) => `<script lang="ts">
  import type { Snippet } from 'svelte';

  type ${name}Props = { label: string; tone?: 'calm' | 'loud'; disabled?: boolean; onpress?: (label: string) => void; children?: Snippet };
  let { label, tone = 'calm', disabled = false, onpress, children }: ${name}Props = $props();
  let isOpen = $state(false);

  function press() {
    isOpen = !isOpen;
    onpress?.(label);
  }
</script>

<div class="part {tone}" aria-disabled={disabled}>
  <button onclick={press}>{label}</button>
  {#if isOpen}{@render children?.()}{/if}
</div>

<style>
  .part {
    display: grid;
    gap: 0.5rem;
  }
</style>
`,
  part: (name, below, random) => {
    const parts = some(random);
    const kind = random();
    const takes = random() < 0.3;
    return `<script lang="ts">
${takes ? "  import { getContext } from 'svelte';\n  import { sessionKey } from '@/model/session';\n  import type { Session } from '@/model/types';\n" : ''}${[...new Set(parts)].map((one) => `  import ${one} from '@/shared/${one}.svelte';`).join('\n')}
  import type { Filter, Item } from '@/model/types';
${below.map((one) => `  import ${one} from './${one}.svelte';`).join('\n')}

  type Props = { items: Item[]; filter: Filter; onchoose: (id: string) => void; title?: string };
  let { items, filter, onchoose, title = '${name}' }: Props = $props();
${takes ? '  const session = getContext<Session>(sessionKey);\n' : ''}  let chosen = $state<string | null>(null);
  const visible = $derived(items.filter((item) => item.name.includes(filter.text)));
  const total = $derived(visible.reduce((sum, item) => sum + item.amount, 0));

  function choose(id: string) {
    chosen = id;
    onchoose(id);
  }
</script>

{#if items.length === 0}
  <p class="empty">Nothing here yet.</p>
{:else}
  <section class="${name.toLowerCase()}" data-chosen={chosen}>
    <h2>{title} <small>{total}</small></h2>
${
  kind < 0.5
    ? `    <ul>
      {#each visible as item (item.id)}
        <li>
          <${parts[0]} label={item.name} tone={item.done ? 'calm' : 'loud'} onpress={() => choose(item.id)}>
            <span>{item.tags.join(', ')}</span>
          </${parts[0]}>
        </li>
      {/each}
    </ul>`
    : `    <${parts[0]} label={title} disabled={${takes ? '!session.canEdit' : 'filter.onlyOpen'}} onpress={choose} />`
}
${parts[1] ? `    <${parts[1]} label="More" tone="loud" />\n` : ''}    {#if !filter.onlyOpen}
${below.map((one) => `      <${one} items={visible} {filter} {onchoose} />`).join('\n') || '      <p>{chosen}</p>'}
    {/if}
  </section>
{/if}

<style>
  .${name.toLowerCase()} {
    padding: 1rem;
  }
</style>
`;
  },
  page: (_, tops) => `<script lang="ts">
  import { setContext } from 'svelte';
  import { sessionKey } from '@/model/session';
  import type { Filter, Item } from '@/model/types';
${tops.map((one) => `  import ${one} from './${one}.svelte';`).join('\n')}

  let items = $state<Item[]>([]);
  let filter = $state<Filter>({ text: '', onlyOpen: false });
  setContext(sessionKey, { user: 'a', canEdit: true });

  function remove(id: string) {
    items = items.filter((item) => item.id !== id);
  }
</script>

<input bind:value={filter.text} />
${tops.map((one) => `<${one} {items} {filter} onchoose={remove} />`).join('\n')}
`,
  session: `export const sessionKey = Symbol('session');
`,
  main: (pages) => [
    {
      file: 'src/App.svelte',
      text: `<script lang="ts">\n${pages.map((name) => `  import ${name} from './pages/${name}/${name}.svelte';`).join('\n')}\n  let path = $state(location.hash);\n</script>\n\n${pages.map((name) => `{#if path === '#${name}'}<${name} />{/if}`).join('\n')}\n`,
    },
    {
      file: 'src/main.ts',
      text: `import { mount } from 'svelte';\nimport App from './App.svelte';\n\nmount(App, { target: document.body });\n`,
    },
  ],
};
