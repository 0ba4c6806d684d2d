import { describe, expect, test } from 'vitest';
import { analyseFiles, type Files, pageNamed } from '../../../testing/src/project';
import { makeFlowQueries, strandsOf } from '../flow';
import { unfold } from '../tree';
import { providedAt, type ProvidedElsewhere } from '.';

/** What would come of it if the context of the page's only strand of one, that starts at a component, were provided elsewhere. */
function provided(files: Files, from: string, at: string): ProvidedElsewhere | undefined {
  const { model } = analyseFiles(files);
  const tree = unfold(model, pageNamed(model, 'App'));
  const nameAt = (place: number): string | undefined => model.components.get(tree.places[place]?.component ?? ('' as never))?.name;
  const strand = strandsOf(makeFlowQueries(model, tree)).strands.find(
    ({ kind, knots }) => kind === 'context' && knots.some(({ kinds, place }) => kinds.includes('owns') && nameAt(place) === from),
  );
  const place = tree.places.find(({ index }) => nameAt(index) === at);
  if (!strand || !place) throw new Error(`There is no ${strand ? at : `context of ${from}`}.`);
  return providedAt(model, tree, strand, place.index);
}

const files: Files = {
  'src/App.jsx': `import { createContext, useContext } from 'react';
const Unit = createContext();
export function App() { return <main><Shell><Side/><Deck/></Shell><Foot/></main>; }
function Shell({ children }) { const unit = 'ft'; return <Unit.Provider value={unit}><header><Bar/></header>{children}</Unit.Provider>; }
const Bar = () => <i>{useContext(Unit)}</i>;
const Side = () => <nav><Leaf/></nav>;
const Leaf = () => <b>{useContext(Unit)}</b>;
const Deck = () => <Unit.Provider value="m"><Lamp/></Unit.Provider>;
const Lamp = () => <u>{useContext(Unit)}</u>;
const Foot = () => <s>{useContext(Unit)}</s>;`,
};

describe('a context that is provided elsewhere', () => {
  test.each<[string, string, ProvidedElsewhere]>([
    [
      'further up it reaches more, and those that have a nearer one keep that',
      'App',
      { lost: [], gained: [{ component: 'Foot', before: null }], kept: ['Bar', 'Leaf'] },
    ],
    ['further down fewer', 'Side', { lost: [{ component: 'Bar', after: null }], gained: [], kept: ['Leaf'] }],
    [
      'beside those that ask, nobody answers them',
      'Foot',
      {
        lost: [
          { component: 'Bar', after: null },
          { component: 'Leaf', after: null },
        ],
        gained: [],
        kept: [],
      },
    ],
  ])('%s', (_, at, expected) => {
    expect(provided(files, 'Shell', at)).toEqual(expected);
  });
  test('without the nearer one, the next answers', () => {
    expect(
      provided(
        {
          'src/App.jsx': (files['src/App.jsx'] ?? '')
            .replace('value="m"', 'value={unit}')
            .replace('const Deck = () => ', 'const Deck = () => { const unit = 1; return ')
            .replace('<Lamp/></Unit.Provider>;', '<Lamp/></Unit.Provider>; };'),
        },
        'Deck',
        'Foot',
      ),
    ).toEqual({
      lost: [{ component: 'Lamp', after: 'Shell' }],
      gained: [],
      kept: [],
    });
  });
  test('where it is provided, nothing is asked', () => {
    expect(provided(files, 'Shell', 'Shell')).toBeUndefined();
  });
});
