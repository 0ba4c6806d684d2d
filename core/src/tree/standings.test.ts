import { describe, expect, test } from 'vitest';
import { standingsOf } from '.';
import { analyseFiles, componentNamed } from '../../../testing/src/project';

/** Two pages: one shows a card twice, the other none; a hook calls another one; one component stands on no page. */
const { model } = analyseFiles({
  'src/main.tsx':
    "import { createBrowserRouter } from 'react-router'; import { Docks } from './Docks'; import { About } from './About'; createBrowserRouter([{ path: '/', Component: Docks }, { path: '/about', Component: About }]);",
  'src/Docks.tsx': "import { Card } from './Card'; export const Docks = () => <main><h1>Docks</h1><Card/><Card/></main>;",
  'src/About.tsx': 'export const About = () => <p>About</p>;',
  'src/Card.tsx': "import { useTide } from './tide'; export const Card = () => <b>{useTide()}</b>;",
  'src/Lost.tsx': "import { useLost } from './lost'; export const Lost = () => <b>{useLost()}<i/></b>; export const Other = () => <Lost/>;",
  'src/tide.ts': "import { useClock } from './clock'; export const useTide = () => { const clock = useClock(); return clock; };",
  'src/clock.ts': "import { useState } from 'react'; export const useClock = () => { const [now] = useState(0); return now; };",
  'src/lost.ts': "import { useState } from 'react'; export const useLost = () => { const [lost] = useState(0); return lost; };",
});
const standings = standingsOf(model);

describe('where things stand', () => {
  test.each([
    ['Card', [['Docks', 1]]],
    ['Docks', [['Docks', 0]]],
    ['About', [['About', 0]]],
  ])('%s', (name, expected) => {
    const found = standings.of(componentNamed(model, name).id);
    expect(found.map(({ page, place }) => [page.name, place])).toEqual(expected);
  });

  test.each([
    ['a component’s own file', 'src/Card.tsx', ['Docks']],
    ['a hook, by who calls it', 'src/tide.ts', ['Docks']],
    ['a hook that a hook calls', 'src/clock.ts', ['Docks']],
    ['a file of no page', 'src/nowhere.ts', []],
  ])('%s', (_, file, expected) => {
    expect(standings.pagesOfFile(file).map((page) => page.name)).toEqual(expected);
  });
});
