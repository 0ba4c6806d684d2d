import { describe, expect, test } from 'vitest';
import { analyseFiles, type Files, pageNamed } from '../../../testing/src/project';
import { makeFlowQueries, strandsOf } from '../flow';
import { unfold } from '../tree';
import { livesAt, type LivesElsewhere } from '.';

/** What would come of it if a state lived with another component, by their names. */
function lives(files: Files, state: string, at: string): LivesElsewhere | undefined {
  const { model } = analyseFiles(files);
  const tree = unfold(model, pageNamed(model, 'App'));
  const strand = strandsOf(makeFlowQueries(model, tree)).strands.find(({ name }) => name === state);
  const place = tree.places.find(({ component }) => model.components.get(component)?.name === at);
  if (!strand || !place) throw new Error(`There is no ${strand ? at : state}.`);
  return livesAt(model, tree, strand, place.index);
}

const files: Files = {
  'src/App.jsx': `import { useState } from 'react';
export function App() { return <main><Side/><Main/></main>; }
function Main() { const [lock, setLock] = useState(1); return <div><List lock={lock} onPick={setLock}/><Foot/></div>; }
const List = ({ lock, onPick }) => <ul><Row lock={lock} onPick={onPick}/></ul>;
const Row = ({ lock, onPick }) => <li onClick={() => onPick(2)}>{lock}</li>;
const Side = () => <nav/>;
const Foot = () => <p/>;`,
};

describe('a state that lives elsewhere', () => {
  test('further up it is handed on by more, and more renders', () => {
    expect(lives(files, 'lock', 'App')).toEqual({
      reached: [{ component: 'Row', through: ['Main', 'List'] }],
      out: [],
      nearest: 'Row',
      carriers: { now: 1, then: 2 },
      renders: { now: 4, then: 6 },
    });
  });
  test('further down by fewer', () => {
    expect(lives(files, 'lock', 'List')).toMatchObject({
      reached: [{ component: 'Row', through: [] }],
      carriers: { now: 1, then: 0 },
      renders: { now: 4, then: 2 },
    });
  });
  test('with the one that reads it by nobody', () => {
    expect(lives(files, 'lock', 'Row')).toMatchObject({ reached: [{ component: 'Row', through: [] }], carriers: { now: 1, then: 0 } });
  });
  test('beside those that read it, it does not reach them', () => {
    expect(lives(files, 'lock', 'Foot')).toMatchObject({ reached: [], out: ['Row'], nearest: 'Row' });
  });
  test('where it lives, nothing is asked', () => {
    expect(lives(files, 'lock', 'Main')).toBeUndefined();
  });
  test('what renders only where it is read is not counted', async () => {
    const { loadCompilers } = await import('../frameworks/registry');
    await loadCompilers(['a.svelte']);
    const svelte: Files = {
      'src/App.svelte': "<script>import Main from './Main.svelte';</script><Main/>",
      'src/Main.svelte':
        "<script>import Row from './Row.svelte'; let lock = $state(1);</script><button onclick={() => lock++}></button><Row {lock}/>",
      'src/Row.svelte': '<script>let { lock } = $props();</script>{lock}',
      'src/main.js': "import { mount } from 'svelte'; import App from './App.svelte'; mount(App, { target: document.body });",
    };
    const found = lives(svelte, 'lock', 'App');
    expect(found).toMatchObject({ carriers: { now: 0, then: 0 }, nearest: 'Main' });
    expect(found?.renders).toBeUndefined();
  });
});
