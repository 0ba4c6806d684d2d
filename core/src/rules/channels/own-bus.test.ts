import { beforeAll, describe, expect, test } from 'vitest';
import { analyseFiles, findingLines } from '../../../../testing/src/project';
import { filesOf, type Framework } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const maker = 'const heard = new Map(); export const bus = { on(name, fn) { return () => heard.delete(fn); }, emit(name, data) {} };';
const names = "export const ALARM = 'lock:alarm'; export const TOPICS = ['lock:open', 'lock:shut'];";

/** One component that sends and one that hears, each by its lines; in React’s hooks, Vue’s and Svelte’s script. */
const ends: Readonly<Record<Framework, (sends: string, hears: string) => Readonly<Record<string, string>>>> = {
  react: (sends, hears) => ({
    App: `import { Sender } from './Sender'; import { Hearer } from './Hearer';\nexport function App() { return <><Sender/><Hearer/></>; }`,
    'Sender.tsx': `import { bus } from './bus'; import * as names from './names'; import { ALARM } from './names';\nexport function Sender() { return <button onClick={() => { ${sends} }}/>; }`,
    'Hearer.tsx': `import { useEffect } from 'react'; import { bus } from './bus'; import { useBus } from './useBus'; import { ALARM, TOPICS } from './names';\nexport function Hearer() { const ring = () => 1; ${hears} return <p/>; }`,
    'useBus.ts':
      "import { useEffect } from 'react'; import { bus } from './bus';\nexport function useBus(name, fn) { useEffect(() => bus.on(name, fn), [name]); }",
  }),
  vue: (sends, hears) => ({
    App: '<script setup></script><template><main><Sender/><Hearer/></main></template>',
    Sender: `<script setup>import { bus } from './bus'; import * as names from './names'; import { ALARM } from './names'; const go = () => { ${sends} };</script><template><button @click="go"/></template>`,
    Hearer: `<script setup>import { bus } from './bus'; import { ALARM, TOPICS } from './names'; const ring = () => 1; ${hears}</script><template><p/></template>`,
  }),
  svelte: (sends, hears) => ({
    App: '<Sender/><Hearer/>',
    Sender: `<script>import { bus } from './bus.js'; import * as names from './names.js'; import { ALARM } from './names.js'; const go = () => { ${sends} };</script><button onclick={go}></button>`,
    Hearer: `<script>import { bus } from './bus.js'; import { ALARM, TOPICS } from './names.js'; const ring = () => 1; ${hears}</script><p></p>`,
  }),
};

function found(framework: Framework, sends: string, hears: string, bus = maker): string[] {
  const sources = ends[framework](sends, hears);
  const files = filesOf(framework, framework === 'react' ? {} : sources);
  const react = Object.fromEntries(Object.entries(sources).map(([name, text]) => [`src/${name === 'App' ? 'App.tsx' : name}`, text]));
  const all = { ...files, ...(framework === 'react' ? react : {}), 'src/bus.js': bus, 'src/names.js': names };
  return findingLines(analyseFiles(all).findings).filter((line) => line.startsWith('channel-unpaired '));
}

const pair = "bus.emit('lock:level', 1);";
const heard = "bus.on('lock:level', ring);";

describe.each(['react', 'vue', 'svelte'] as const)('a bus of the project, %s', (framework) => {
  const inEffect = (text: string): string => (framework === 'react' ? `useEffect(() => { ${text} }, []);` : text);
  test.each<[name: string, sends: string, hears: string, expected: readonly string[]]>([
    ['both ends', pair, heard, []],
    ['sent, and nobody hears', `${pair} bus.emit('lock:horn', 1);`, heard, ['Sender lock:horn']],
    ['heard, and nobody sends', pair, `${heard} bus.on('lock:mayday', ring);`, ['Hearer lock:mayday']],
    ['near names are told once', `${pair} bus.emit('lock:slow', 1);`, `${heard} bus.on('lock:slows', ring);`, ['Hearer lock:slows']],
    ['a constant of another module', `${pair} bus.emit(ALARM, 1);`, `${heard} bus.on('lock:alarm', ring);`, []],
    ['a constant through a whole module', `${pair} bus.emit(names.ALARM, 1);`, `${heard} bus.on(ALARM, ring);`, []],
    ['a constant that nobody hears', `${pair} bus.emit(ALARM, 1);`, heard, ['Sender lock:alarm']],
    [
      'the items of a list',
      `${pair} bus.emit('lock:open', 1); bus.emit('lock:shut', 1);`,
      `${heard} TOPICS.forEach((topic) => bus.on(topic, ring));`,
      [],
    ],
    ['a name that is computed', `${pair} bus.emit('lock:horn', 1);`, `${heard} bus.on(nameOf(), ring);`, []],
    ['nothing that is sent on it is heard: it may have other ends', "bus.emit('lock:horn', 1);", "bus.on('lock:level', ring);", []],
  ])('%s', (_, sends, hears, expected) =>
    expect(found(framework, sends, inEffect(hears))).toEqual(expected.map((one) => `channel-unpaired ${one}`)),
  );

  test('a connection to a server is none', () => {
    const socket = "import { io } from 'socket.io-client'; export const bus = io();";
    expect(found(framework, `${pair} bus.emit('lock:horn', 1);`, inEffect(heard), socket)).toEqual([]);
  });
});

describe('a bus behind a hook', () => {
  test.each<[name: string, sends: string, hears: string, expected: readonly string[]]>([
    ['both ends', "bus.emit('lock:level', 1);", "useBus('lock:level', ring);", []],
    [
      'each caller is told by itself',
      "bus.emit('lock:level', 1);",
      "useBus('lock:level', ring); useBus('lock:tide', ring);",
      ['Hearer lock:tide'],
    ],
    ['a constant', 'bus.emit(ALARM, 1);', 'useBus(ALARM, ring);', []],
  ])('%s', (_, sends, hears, expected) => expect(found('react', sends, hears)).toEqual(expected.map((one) => `channel-unpaired ${one}`)));
});

describe('broadcast channels', () => {
  const post = (name: string): string => `const a = new BroadcastChannel('${name}'); a.postMessage(1); a.close();`;
  const hear = (name: string): string =>
    `useEffect(() => { const b = new BroadcastChannel('${name}'); b.addEventListener('message', ring); return () => b.close(); }, []);`;
  test.each<[name: string, sends: string, hears: string, expected: readonly string[]]>([
    ['both ends', post('levels'), hear('levels'), []],
    ['one end, where another channel has both', post('levels'), `${hear('levels')} ${hear('alarms')}`, ['Hearer alarms']],
    ['one end alone: the other may be a page elsewhere', '', hear('alarms'), []],
  ])('%s', (_, sends, hears, expected) => expect(found('react', sends, hears)).toEqual(expected.map((one) => `channel-unpaired ${one}`)));
});
