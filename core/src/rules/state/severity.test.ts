import { analyseFiles } from '../../../../testing/src/project';
import { filesOf } from '../../../../testing/src/rules';
import { loadCompilers } from '../../frameworks/registry';
import { beforeAll, expect, test } from 'vitest';

beforeAll(() => loadCompilers(['a.vue', 'a.svelte']));

const listState = 'const [notes, setNotes] = useState([]);';

test.each([
  ['what shows nothing is a fault', 'notes.push(1);', 'fault'],
  ['what shows by chance is a risk', 'notes.push(1); setAt(at + 1);', 'risk'],
  ['what shows by a function that is called is one too', 'notes.push(1); go();', 'risk'],
])('a change that nobody notices: %s', (_, does, severity) => {
  const app = `export function App() { ${listState} const [at, setAt] = useState(0); const go = () => setAt(2); const add = () => { ${does} }; return <p onClick={add} onBlur={go}>{at}{notes.length}</p>; }`;
  const { findings } = analyseFiles(filesOf('react', app));
  expect(findings.filter((one) => one.rule === 'change-unseen').map((one) => one.severity)).toEqual([severity]);
});
