import { type Sources, table } from '../../../../testing/src/rules';

const app = (markup: string, inside = '', before = ''): string =>
  `${before}export function App() { ${inside} return <main>${markup}</main>; }`;

// A project of twenty small components, and one that holds far more than any of them.
const small = Array.from({ length: 21 }, (_, at) => `Part${at}`);

const names = (from: string, count: number): string[] => Array.from({ length: count }, (_, at) => `${from}${at}`);

const parts = small.map((name) => `<${name}/>`).join('');

type Crowd = { readonly groups: readonly string[]; readonly tied?: boolean };

const reactCrowd = ({ groups, tied = false }: Crowd, others = small): Sources => {
  const states = groups.flatMap((group) => names(group, 5));
  const held = states.map(
    (one) => `const [${one}, set${one}] = useState(1); const clear${one} = () => set${one}(${tied ? `${states[0] ?? ''} + 1` : '0'});`,
  );
  const shown = groups.map(
    (group) =>
      `<p>${names(group, 5)
        .map((one) => `<b onClick={clear${one}}>{${one}}</b>`)
        .join('')}{${names(group, 5).join(' + ')}}</p>`,
  );
  return `${others.map((name) => `function ${name}() { return <i>a</i>; }\n`).join('')}function Desk() { ${held.join(' ')} return <main>${shown.join('')}</main>; }\n${app(`<Desk/>${others.map((name) => `<${name}/>`).join('')}`)}`;
};

table(
  'component-crowded',
  'react',
  [
    ['two groups', reactCrowd({ groups: ['Boat', 'Lock'] }), 'Desk Desk'],
    ['three groups', reactCrowd({ groups: ['Boat', 'Lock', 'Keeper'] }), 'Desk Desk'],
    ['four groups', reactCrowd({ groups: ['Boat', 'Lock', 'Keeper', 'Toll'] }), 'Desk Desk'],
  ],
  [
    ['one group', reactCrowd({ groups: ['Boat'] })],
    ['groups that touch', reactCrowd({ groups: ['Boat', 'Lock'], tied: true })],
    ['in a small project', reactCrowd({ groups: ['Boat', 'Lock'] }, small.slice(0, 5))],
    [
      'where all are as large',
      `${['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H', 'I', 'J', 'K', 'L', 'M', 'N', 'O', 'P', 'Q', 'R', 'S', 'T', 'U']
        .map(
          (name) =>
            `function ${name}() { ${['x', 'y', 'z']
              .map((group) =>
                names(group, 5)
                  .map((one) => `const [${one}, set${one}] = useState(1); const clear${one} = () => set${one}(0);`)
                  .join(''),
              )
              .join('')} return <p onClick={clearx0}>{x0 + x1}</p>; }\n`,
        )
        .join('')}${app('<A/>')}`,
    ],
    [
      'few values',
      `${small.map((name) => `function ${name}() { return <i/>; }\n`).join('')}function Desk() { const [a, setA] = useState(1); const [b, setB] = useState(2); return <main><p onClick={() => setA(2)}>{a}</p><p onClick={() => setB(1)}>{b}</p></main>; }\n${app(`<Desk/>${parts}`)}`,
    ],
  ],
);
