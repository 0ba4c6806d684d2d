import { beforeAll } from 'vitest';
import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const part = (effect: string): string =>
  `function Part() { useEffect(${effect}, []); return <p/>; }\nexport function App() { return <Part/>; }`;

table(
  'subscription-kept',
  'react',
  [
    [
      'another function is taken away than was added',
      part("() => { window.addEventListener('keydown', () => go()); return () => window.removeEventListener('keydown', () => go()); }"),
      'Part keydown of the window',
    ],
    [
      'bound anew',
      part("() => { window.addEventListener('keydown', go.bind(1)); return () => window.removeEventListener('keydown', go.bind(1)); }"),
      'Part keydown of the window',
    ],
    [
      'in a hook',
      'function usePolling() { useEffect(() => { setInterval(go, 100); }, []); }\nfunction Part() { usePolling(); return <p/>; }\nexport function App() { return <Part/>; }',
      'Part a timer',
    ],
  ],
  [
    [
      'the same function',
      part("() => { window.addEventListener('keydown', go); return () => window.removeEventListener('keydown', go); }"),
    ],
    [
      'one made in place, until a signal',
      part(
        "() => { const end = new AbortController(); window.addEventListener('keydown', () => go(), { signal: end.signal }); return () => end.abort(); }",
      ),
    ],
    [
      'a hook that ends it',
      'function usePolling() { useEffect(() => { const id = setInterval(go, 100); return () => clearInterval(id); }, []); }\nfunction Part() { usePolling(); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'a hook that nothing calls',
      'function usePolling() { useEffect(() => { setInterval(go, 100); }, []); }\nexport function App() { return <p/>; }',
    ],
  ],
);

table(
  'subscription-kept',
  'vue',
  [
    [
      'another function is taken away than was added',
      {
        App: '<template><Part/></template>',
        Part: '<script>export default { mounted() { window.addEventListener("resize", () => this.go()); }, beforeUnmount() { window.removeEventListener("resize", this.go); }, methods: { go() {} } };</script><template><p/></template>',
      },
      'Part resize of the window',
    ],
    [
      'in a composable',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { usePolling } from "./polling"; usePolling();</script><template><p/></template>',
        'polling.js':
          'import { ref } from "vue"; export function usePolling() { const n = ref(1); setInterval(() => { n.value = 2; }, 100); return n; }',
      },
      'Part a timer',
    ],
  ],
  [
    [
      'a composable that ends it',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { usePolling } from "./polling"; usePolling();</script><template><p/></template>',
        'polling.js':
          'import { onUnmounted, ref } from "vue"; export function usePolling() { const n = ref(1); const id = setInterval(() => { n.value = 2; }, 100); onUnmounted(() => clearInterval(id)); return n; }',
      },
    ],
  ],
);

const mounted = (run: string): Readonly<Record<string, string>> => ({
  App: '<Part/>',
  Part: `<script>import { onMount } from "svelte"; let n = $state(1); onMount(${run});</script><p>{n}</p>`,
});

table(
  'subscription-kept',
  'svelte',
  [
    [
      'what would end it comes in a promise',
      mounted('async () => { await 1; const id = setInterval(() => { n = 2; }, 100); return () => clearInterval(id); }'),
      'Part a timer',
    ],
  ],
  [
    ['it is returned at once', mounted('() => { const id = setInterval(() => { n = 2; }, 100); return () => clearInterval(id); }')],
    [
      'asynchronous within',
      mounted('() => { (async () => { await 1; })(); const id = setInterval(() => { n = 2; }, 100); return () => clearInterval(id); }'),
    ],
  ],
);
