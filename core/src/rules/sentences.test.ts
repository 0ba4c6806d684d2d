import { analyseFiles } from '../../../testing/src/project';
import { filesOf, type Framework, type Sources } from '../../../testing/src/rules';
import { loadCompilers } from '../frameworks/registry';
import type { Finding } from '../model/finding';
import { beforeAll, describe, expect, test } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

/** All that a finding of one rule says: message, consequence, fix, and its evidence. */
function saidBy(rule: string, framework: Framework, sources: Sources): string {
  const found = analyseFiles(filesOf(framework, sources)).findings.filter((one: Finding) => one.rule === rule);
  expect(found).toHaveLength(1);
  return found
    .flatMap(({ message, consequence, fix, evidence }) => [message, consequence, fix, ...evidence.map(({ text }) => text)])
    .join('\n');
}

const pill = 'function Pill({ onClear }: { onClear?: () => void }) { return <button onClick={() => onClear?.()}/>; }\n';
const list = 'const [notes, put] = useState([]);';
const vueMarkup = (object: string, markup: string, before = ''): Sources => ({
  'App.vue': `<script>${before} export default { ${object} };</script><template>${markup}</template>`,
});

type Says = readonly (readonly [name: string, rule: string, framework: Framework, sources: Sources, says: string, not: string])[];

const cases: Says = [
  [
    'an event that one of two uses hears',
    'event-unheard',
    'react',
    `${pill}export function App() { return <><Pill onClear={() => {}}/><Pill/></>; }`,
    'Pill raises onClear, and not every use listens.',
    'nobody listens',
  ],
  [
    'an event that no use hears',
    'event-unheard',
    'react',
    `${pill}export function App() { return <Pill/>; }`,
    'Pill raises onClear, and nobody listens: 1 use of 1, in App.',
    'not every use',
  ],
  [
    'a plain variable of React',
    'change-unseen',
    'react',
    'export function App() { let open = false; return <p onClick={() => { open = !open; }}>{open ? "a" : "b"}</p>; }',
    'each rendering begins with a new open',
    '$state',
  ],
  [
    'a change beside the old value, set again',
    'change-unseen',
    'react',
    `export function App() { ${list} return <p onClick={() => { notes.push(1); put(notes); }}>{notes.length}</p>; }`,
    'set it with put.',
    'never sets',
  ],
  [
    'a reducer',
    'change-unseen',
    'react',
    'function reduce(notes, action) { notes.list.push(action.note); return notes; }\nexport function App() { const [notes, send] = useReducer(reduce, { list: [] }); return <p onClick={() => send({ note: 1 })}>{notes.list}</p>; }',
    'Give back a new list or object from the reducer.',
    'and sets no other',
  ],
  [
    'a shallow box of Vue',
    'change-unseen',
    'vue',
    {
      App: '<script setup>import { shallowRef } from "vue"; const notes = shallowRef([]); const add = () => { notes.value.push(1); };</script><template><p @click="add">{{ notes.length }}</p></template>',
    },
    'Only another value in place of notes is noticed',
    'React',
  ],
  [
    'a getter of a function of the project',
    'change-unseen',
    'svelte',
    {
      App: '<script>import { useLevel } from "./level.svelte.js"; const { level, raise } = useLevel();</script><button onclick={raise}>{level}</button>',
      'level.svelte.js':
        'export function useLevel() { let level = $state(1); return { get level() { return level; }, raise() { level += 1; } }; }',
    },
    'so that its getter is asked each time',
    'toRefs',
  ],
  [
    'what markup of Vue does not see of the platform',
    'name-unknown',
    'vue',
    vueMarkup('', '<p>{{ window.innerWidth }}</p>'),
    'reads window, which the platform has and markup does not see.\nVue reads undefined for window, and reading from it throws.',
    'declares',
  ],
  [
    'what it does not see of the module',
    'name-unknown',
    'vue',
    vueMarkup('props: ["a"]', '<p>{{ a }}{{ total }}</p>', 'const total = 12;'),
    'reads total, which the module has and does not hand on to its markup.',
    'declares',
  ],
  [
    'what it does not see of an import',
    'name-unknown',
    'vue',
    vueMarkup('props: ["a"]', '<p>{{ a }}{{ total }}</p>', 'import { total } from "./total";'),
    'reads total, which the module has and does not hand on to its markup.',
    'declares',
  ],
  [
    'a name that nothing declares',
    'name-unknown',
    'vue',
    vueMarkup('data() { return { total: 1 }; }', '<p>{{ totla }}{{ total }}</p>'),
    'reads totla, which nothing declares; total is declared.',
    'does not see',
  ],
  [
    'a handler that is named and is not there',
    'handler-missing',
    'vue',
    vueMarkup('', '<p @click="clear"/>'),
    'the event is raised and nothing happens',
    'throws',
  ],
  [
    'a handler that is called and is not there',
    'handler-missing',
    'vue',
    vueMarkup('', '<p @click="clear(1)"/>'),
    'Vue reads undefined for clear, and calling it throws when the event is raised.',
    'nothing happens',
  ],
  [
    'a prop that is read each time',
    'prop-missing',
    'react',
    'function Row({ boat }) { return <p>{boat.name}{boat.berth}</p>; }\nexport function App() { return <Row/>; }',
    'reads from boat each time that it renders, and throws here',
    'optional',
  ],
  [
    'a prop that is declared',
    'prop-missing',
    'react',
    'function Row({ eta }: { eta: string }) { return <p>{eta}</p>; }\nexport function App() { return <Row/>; }',
    'mark it optional',
    'throws',
  ],
];

describe('findings say what is so', () => {
  test.each(cases)('%s', (_, rule, framework, sources, says, not) => {
    const said = saidBy(rule, framework, sources);
    expect(said).toContain(says);
    expect(said).not.toContain(not);
  });
});
