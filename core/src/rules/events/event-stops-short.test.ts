import { table } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const pill = 'function Pill({ onClear }: { onClear?: () => void }) { return <p onClick={() => onClear?.()}/>; }\n';

const sends = (options: string): string =>
  `function Pill() { const r = useRef(null); return <p ref={r} onClick={() => r.current.dispatchEvent(new CustomEvent('cleared'${options}))}/>; }\n`;

const hears = (target: string, options = ''): string =>
  `export function App() { useEffect(() => { const go = () => 1; ${target}.addEventListener('cleared', go${options}); return () => ${target}.removeEventListener('cleared', go${options}); }, []); return <Pill/>; }`;

/** A part that sends through a function of the module, and the one around it that listens by script; what stands between may listen too. */
const through = (given: string, between = ''): string =>
  `const PICK = 'plot:pick';
const tell = (el: any, name: string, detail: any, more?: any) => el.dispatchEvent(new CustomEvent(name, { detail, ...more }));
function Plot() { const box = useRef(null); return <b ref={box} onClick={() => tell(box.current, PICK, 1${given})}/>; }
function Bar() { const own = useRef(null); useEffect(() => { const el = own.current; const go = (e: any) => { ${between} }; el.addEventListener(PICK, go); return () => el.removeEventListener(PICK, go); }, []); return <i ref={own}><Plot/></i>; }
export function App() { const frame = useRef(null); const [n, set] = useState(0); useEffect(() => { const el = frame.current; const hear = (e: any) => set(e.detail); el.addEventListener(PICK, hear); return () => el.removeEventListener(PICK, hear); }, []); return <main ref={frame}>{n}<Bar/></main>; }`;

const vuePill = '<script setup>const emit = defineEmits(["clear"]);</script><template><p @click="emit(\'clear\')"/></template>';

const go = '<script setup>const go = () => 1;</script>';

const sveltePill =
  '<script>import { createEventDispatcher } from "svelte"; const dispatch = createEventDispatcher();</script><p on:click={() => dispatch("clear")}></p>';

const svelteGo = '<script>const go = () => 1;</script>';

table(
  'event-stops-short',
  'react',
  [
    ['an element around the part', `${pill}export function App() { return <section onClear={() => 1}><Pill/></section>; }`, 'App onClear'],
    [
      'a part that does not hand it down',
      `${pill}function Panel({ a }: { a?: string; onClear?: () => void }) { return <div>{a}<Pill/></div>; }\nexport function App() { return <Panel onClear={() => 1}/>; }`,
      'App onClear',
    ],
    ['sent without bubbling', `${sends('')}${hears('window')}`, 'App cleared'],
    ['sent without bubbling, with details', `${sends(', { detail: 1 }')}${hears('document')}`, 'App cleared'],
    ['a listener between keeps it', through(', { bubbles: true }', 'e.stopPropagation();'), 'App plot:pick'],
  ],
  [
    ['given to the part itself', `${pill}export function App() { return <section><Pill onClear={() => 1}/></section>; }`],
    [
      'events of the platform bubble',
      `function Pill({ onClick }: { onClick?: () => void }) { return <p onClick={() => onClick?.()}/>; }\nexport function App() { return <section onClick={() => 1}><Pill/></section>; }`,
    ],
    ['it bubbles', `${sends(', { bubbles: true }')}${hears('window')}`],
    ['a listener between lets it go on', through(', { bubbles: true }', 'e.detail;')],
    ['it may bubble', `${sends(', { bubbles: far }')}${hears('window')}`],
    ['heard on the way down', `${sends('')}${hears('window', ', true')}`],
    ['heard on the way down, by name', `${sends('')}${hears('window', ', { capture: true }')}`],
    [
      'sent to the window',
      "function Pill() { return <p onClick={() => window.dispatchEvent(new CustomEvent('cleared'))}/>; }\n" + hears('window'),
    ],
    [
      'a custom element in it may raise it',
      `${pill}export function App() { return <section onClear={() => 1}><Pill/><lock-gate/></section>; }`,
    ],
    [
      'the part hands it down',
      `${pill}function Panel({ onClear }: { onClear?: () => void }) { return <div><Pill onClear={onClear}/></div>; }\nexport function App() { return <Panel onClear={() => 1}/>; }`,
    ],
  ],
);

table(
  'event-stops-short',
  'vue',
  [
    [
      'an element around the part',
      { App: `<template><section @clear="go"><Pill/></section></template>${go}`, Pill: vuePill },
      'App @clear',
    ],
    [
      'a part between',
      { App: `<template><Panel @clear="go"/></template>${go}`, Panel: '<template><div><Pill/></div><i/></template>', Pill: vuePill },
      'App @clear',
    ],
    [
      'in the content of a part',
      {
        App: `<template><Panel @clear="go"><Pill/></Panel></template>${go}`,
        Panel: '<template><div><slot/></div><i/></template>',
        Pill: vuePill,
      },
      'App @clear',
    ],
  ],
  [
    ['on the part', { App: `<template><section><Pill @clear="go"/></section></template>${go}`, Pill: vuePill }],
    [
      'emitted again',
      {
        App: `<template><Panel @clear="go"/></template>${go}`,
        Panel: '<script setup>defineEmits(["clear"]);</script><template><div><Pill @clear="$emit(\'clear\')"/></div><i/></template>',
        Pill: vuePill,
      },
    ],
    [
      'falls through to the one root',
      { App: `<template><Panel @clear="go"/></template>${go}`, Panel: '<template><Pill/></template>', Pill: vuePill },
    ],
    [
      'of the platform',
      {
        App: `<template><section @click="go"><Pill/></section></template>${go}`,
        Pill: '<script setup>const emit = defineEmits(["click"]);</script><template><p @click="emit(\'click\')"/></template>',
      },
    ],
    [
      'a custom element may raise it',
      { App: `<template><section @clear="go"><Pill/><lock-gate/></section></template>${go}`, Pill: vuePill },
    ],
    [
      'nothing below raises it: another rule',
      { App: `<template><Panel @clear="go"/></template>${go}`, Panel: '<template><div/><i/></template>' },
    ],
  ],
);

table(
  'event-stops-short',
  'svelte',
  [
    ['an element around the part', { App: `${svelteGo}<section on:clear={go}><Pill/></section>`, Pill: sveltePill }, 'App on:clear'],
    ['a part between', { App: `${svelteGo}<Panel on:clear={go}/>`, Panel: '<div><Pill/></div>', Pill: sveltePill }, 'App on:clear'],
    [
      'in the content',
      { App: `${svelteGo}<Panel on:clear={go}><Pill/></Panel>`, Panel: '<div><slot/></div>', Pill: sveltePill },
      'App on:clear',
    ],
  ],
  [
    ['on the part', { App: `${svelteGo}<section><Pill on:clear={go}/></section>`, Pill: sveltePill }],
    ['forwarded', { App: `${svelteGo}<Panel on:clear={go}/>`, Panel: '<div><Pill on:clear/></div>', Pill: sveltePill }],
    ['of the platform', { App: `${svelteGo}<section on:click={go}><Pill/></section>`, Pill: '<p on:click></p>' }],
    [
      'handed down',
      { App: `${svelteGo}<Panel onclear={go}/>`, Panel: '<script>let { onclear } = $props();</script><p onclick={onclear}></p>' },
    ],
    [
      'a custom element may raise it',
      { App: `${svelteGo}<section on:clear={go}><Pill/><lock-gate></lock-gate></section>`, Pill: sveltePill },
    ],
  ],
);

/** A part that sends an event to its own element, and one that waits for it at an element of its own. */
const sendsOwn = (options: string): string =>
  `<script setup>import { ref } from 'vue'; const root = ref(null); const go = () => root.value.dispatchEvent(new CustomEvent('cleared', { detail: 1${options} }));</script><template><p ref="root" @click="go"/></template>`;
const waits = (inside: string): string => `${go}<template><main><div @cleared="go">${inside}</div></main></template>`;

table(
  'event-stops-short',
  'vue',
  [
    ['sent to an element further in', { App: waits('<Pill/>'), Pill: sendsOwn('') }, 'App cleared'],
    ['two components further in', { App: waits('<Box/>'), Box: '<template><p><Pill/></p></template>', Pill: sendsOwn('') }, 'App cleared'],
  ],
  [
    ['it bubbles', { App: waits('<Pill/>'), Pill: sendsOwn(', bubbles: true') }],
    ['another sends it so that it bubbles', { App: waits('<Pill/><Other/>'), Pill: sendsOwn(''), Other: sendsOwn(', bubbles: true') }],
    ['it does not stand there', { App: waits('').replace('</main>', '<Pill/></main>'), Pill: sendsOwn('') }],
  ],
);

table(
  'event-stops-short',
  'react',
  [
    [
      'waited for at an element by a function',
      `${sends('')}export function App() { const box = useRef(null); useEffect(() => { const go = () => 1; box.current.addEventListener('cleared', go); return () => box.current.removeEventListener('cleared', go); }, []); return <main ref={box}><Pill/></main>; }`,
      'App cleared',
    ],
  ],
  [
    [
      'on the way down',
      `${sends('')}export function App() { const box = useRef(null); useEffect(() => { const go = () => 1; box.current.addEventListener('cleared', go, true); return () => box.current.removeEventListener('cleared', go, true); }, []); return <main ref={box}><Pill/></main>; }`,
    ],
    [
      'at the very element',
      `export function App() { const r = useRef(null); useEffect(() => { const go = () => 1; r.current.addEventListener('cleared', go); return () => r.current.removeEventListener('cleared', go); }, []); return <p ref={r} onClick={() => r.current.dispatchEvent(new CustomEvent('cleared'))}/>; }`,
    ],
  ],
);

const press = (options: string): string =>
  `export const press = (node) => { const go = () => node.dispatchEvent(new CustomEvent('pressed'${options})); node.addEventListener('click', go); return { destroy: () => node.removeEventListener('click', go) }; };\nexport const other = (node) => { node.dispatchEvent(new CustomEvent('otherwise', { bubbles: true })); };`;
const rack = (name: string): string => `<script>import { ${name} } from './press';</script><p use:${name}></p>`;

table(
  'event-stops-short',
  'svelte',
  [
    [
      'sent by a function that an element is given to',
      {
        App: '<script>const go = () => 1;</script><div onpressed={go}><Rack/></div><Strip/>',
        Rack: rack('press'),
        Strip: rack('other'),
        'press.js': press(''),
      },
      'App pressed',
    ],
  ],
  [
    [
      'so that it bubbles',
      {
        App: '<script>const go = () => 1;</script><div onpressed={go}><Rack/></div>',
        Rack: rack('press'),
        'press.js': press(', { bubbles: true }'),
      },
    ],
    [
      'at the very element',
      {
        App: "<script>import { press } from './press'; const go = () => 1;</script><p use:press onpressed={go}></p>",
        'press.js': press(''),
      },
    ],
  ],
);
