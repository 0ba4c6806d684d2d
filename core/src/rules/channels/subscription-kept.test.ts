import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

table(
  'subscription-kept',
  'react',
  [
    [
      'the window',
      'function Part() { useEffect(() => { window.addEventListener("resize", go); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
      'Part resize of the window',
    ],
    [
      'taken away on the other way',
      'function Part() { useEffect(() => { document.addEventListener("keydown", go, { capture: true }); return () => document.removeEventListener("keydown", go); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
      'Part keydown of the document',
    ],
    [
      'a timer',
      'function Part() { useEffect(() => { setInterval(go, 1000); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
      'Part a timer',
    ],
    [
      'the window, of which nothing is given that could be removed',
      'function Part() { const r = useRef(null); useEffect(() => { window.addEventListener("resize", go); r.current.remove(); }, []); return <p ref={r}/>; }\nexport function App() { return <Part/>; }',
      'Part resize of the window',
    ],
    [
      'a channel',
      "import { bus } from './bus';\nfunction Part() { useEffect(() => { bus.on('alarm', go); }, []); return <p/>; }\nexport function App() { return <Part/>; }",
      'Part alarm of bus',
    ],
  ],
  [
    [
      'taken away on the same way, as far as is told',
      'const inward = { capture: true };\nfunction Part() { useEffect(() => { document.addEventListener("keydown", go, inward); window.addEventListener("keyup", go, { capture: true }); window.addEventListener("scroll", go, { passive: true }); return () => { document.removeEventListener("keydown", go, inward); window.removeEventListener("keyup", go, true); window.removeEventListener("scroll", go); }; }, []); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'undone',
      'function Part() { useEffect(() => { window.addEventListener("resize", go); return () => window.removeEventListener("resize", go); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'once',
      'function Part() { useEffect(() => { window.addEventListener("resize", go, { once: true }); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'a signal',
      'function Part({ signal }) { useEffect(() => { window.addEventListener("resize", go, { signal }); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'a timer that fires once',
      'function Part() { useEffect(() => { setTimeout(go, 1000); }, []); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'its own element',
      'function Part() { const r = useRef(null); useEffect(() => { r.current.addEventListener("resize", go); }, []); return <p ref={r}/>; }\nexport function App() { return <Part/>; }',
    ],
    [
      'undone within a condition',
      'function Part({ on }) { useEffect(() => { if (on) { window.addEventListener("resize", go); return () => window.removeEventListener("resize", go); } }, [on]); return <p/>; }\nexport function App() { return <Part/>; }',
    ],
    ['the root of all', 'export function App() { useEffect(() => { window.addEventListener("resize", go); }, []); return <p/>; }'],
    [
      'what subscribing gives takes it away',
      "import { Component } from 'react';\nimport { Keyboard } from 'device';\nclass Part extends Component { componentDidMount() { this.shown = Keyboard.addListener('shown', this.go); } componentWillUnmount() { this.shown.remove(); } go = () => 1; render() { return <p/>; } }\nexport function App() { return <Part/>; }",
    ],
    [
      'a list of them',
      "import { Component } from 'react';\nimport { Keyboard } from 'device';\nclass Part extends Component { componentDidMount() { this.all = [Keyboard.addListener('shown', this.go)]; } componentWillUnmount() { this.all.forEach((one) => { one.remove(); }); } go = () => 1; render() { return <p/>; } }\nexport function App() { return <Part/>; }",
    ],
    [
      'what subscribing gives is returned',
      "import { bus } from './bus';\nfunction Part() { useEffect(() => bus.subscribe(go), []); return <p/>; }\nexport function App() { return <Part/>; }",
    ],
  ],
);

table(
  'subscription-kept',
  'vue',
  [
    [
      'the window',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { onMounted } from "vue"; onMounted(() => { window.addEventListener("resize", () => 1); });</script><template><p/></template>',
      },
      'Part resize of the window',
    ],
    [
      'a timer',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { onMounted } from "vue"; onMounted(() => { setInterval(() => 1, 9); });</script><template><p/></template>',
      },
      'Part a timer',
    ],
    [
      'in the options',
      {
        App: '<template><Part/></template>',
        Part: '<script>export default { mounted() { document.addEventListener("keydown", () => 1); } };</script><template><p/></template>',
      },
      'Part keydown of the document',
    ],
  ],
  [
    [
      'undone',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { onMounted, onUnmounted } from "vue"; const f = () => 1; onMounted(() => window.addEventListener("resize", f)); onUnmounted(() => window.removeEventListener("resize", f));</script><template><p/></template>',
      },
    ],
    [
      'undone by a name',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { onMounted, onUnmounted } from "vue"; const f = () => 1; const stop = () => window.removeEventListener("resize", f); onMounted(() => { window.addEventListener("resize", f); onUnmounted(stop); });</script><template><p/></template>',
      },
    ],
    [
      'the timer is cleared',
      {
        App: '<template><Part/></template>',
        Part: '<script setup>import { onMounted, onBeforeUnmount } from "vue"; let t; onMounted(() => { t = setInterval(() => 1, 9); }); onBeforeUnmount(() => clearInterval(t));</script><template><p/></template>',
      },
    ],
    [
      'undone in the options',
      {
        App: '<template><Part/></template>',
        Part: '<script>export default { mounted() { document.addEventListener("keydown", this.go); }, unmounted() { document.removeEventListener("keydown", this.go); }, methods: { go() {} } };</script><template><p/></template>',
      },
    ],
    [
      'the root of all',
      {
        App: '<script setup>import { onMounted } from "vue"; onMounted(() => { window.addEventListener("resize", () => 1); });</script><template><p/></template>',
      },
    ],
  ],
);

table(
  'subscription-kept',
  'svelte',
  [
    [
      'the window',
      {
        App: '<Part/>',
        Part: '<script>import { onMount } from "svelte"; onMount(() => { window.addEventListener("resize", () => 1); });</script><p></p>',
      },
      'Part resize of the window',
    ],
    [
      'a timer',
      { App: '<Part/>', Part: '<script>import { onMount } from "svelte"; onMount(() => { setInterval(() => 1, 9); });</script><p></p>' },
      'Part a timer',
    ],
    [
      'an effect',
      {
        App: '<Part/>',
        Part: '<script>let { on } = $props(); $effect(() => { if (on) document.addEventListener("keydown", () => 1); });</script><p></p>',
      },
      'Part keydown of the document',
    ],
  ],
  [
    [
      'a function that ends it, handed to the end of life',
      {
        App: '<Part/>',
        Part: '<script>import { onDestroy, onMount } from "svelte"; import { level } from "./level"; let stop; onMount(() => { stop = level.subscribe(() => 1); }); onDestroy(stop);</script><p></p>',
        'level.js': 'import { writable } from "svelte/store"; export const level = writable(1);',
      },
    ],
    [
      'returned',
      {
        App: '<Part/>',
        Part: '<script>import { onMount } from "svelte"; const f = () => 1; onMount(() => { window.addEventListener("resize", f); return () => window.removeEventListener("resize", f); });</script><p></p>',
      },
    ],
    [
      'at the end',
      {
        App: '<Part/>',
        Part: '<script>import { onMount, onDestroy } from "svelte"; const f = () => 1; onMount(() => { window.addEventListener("resize", f); }); onDestroy(() => window.removeEventListener("resize", f));</script><p></p>',
      },
    ],
    ['in the markup', { App: '<Part/>', Part: '<svelte:window onresize={() => 1}/><p></p>' }],
    [
      'within a condition',
      {
        App: '<Part/>',
        Part: '<script>let { on } = $props(); const f = () => 1; $effect(() => { if (on) { document.addEventListener("keydown", f); return () => document.removeEventListener("keydown", f); } });</script><p></p>',
      },
    ],
    [
      'once',
      {
        App: '<Part/>',
        Part: '<script>import { onMount } from "svelte"; onMount(() => { window.addEventListener("resize", () => 1, { once: true }); });</script><p></p>',
      },
    ],
  ],
);
