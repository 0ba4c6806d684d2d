import { describe, expect, test } from 'vitest';
import { findNames } from '.';
import { analyseFiles } from '../../../testing/src/project';

const { model } = analyseFiles({
  'src/App.tsx':
    "import { LockCard } from './LockCard';\nexport const LockContext = createContext(null);\nexport function useLock() { return useContext(LockContext); }\nexport function App() { const [lock] = useState(1); return <LockCard lock={lock} onLock={() => {}}/>; }",
  'src/LockCard.tsx':
    'export function LockCard({ lock, onLock }) { return <p onClick={onLock}>{lock}</p>; }\nexport function Card() { return <p/>; }',
});

describe('search', () => {
  test('finds everything that has a name, the closest first', () => {
    expect(findNames(model, 'lock').map((hit) => `${hit.kind} ${hit.name}`)).toEqual([
      'state lock',
      'prop lock',
      'component LockCard',
      'context LockContext',
      'file LockCard.tsx',
      'hook useLock',
      'event onLock',
    ]);
  });

  const cases: readonly [question: string, first: string | undefined][] = [
    ['Card', 'Card'],
    ['card', 'Card'],
    ['lockc', 'LockCard'],
    ['', undefined],
    ['   ', undefined],
    ['nothing of this name', undefined],
  ];
  test.each(cases)('%s', (question, first) => {
    expect(findNames(model, question)[0]?.name).toBe(first);
  });
});
