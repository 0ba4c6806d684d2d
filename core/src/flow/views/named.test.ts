import { expect, test } from 'vitest';
import { centralProjects } from '../../../../testing/src/traces/central';
import { mounted, waysOf } from '../../../../testing/src/trace';
import { vue } from '../../../../testing/src/traces/alike';
import { loadCompilers } from '../../frameworks/registry';
import type { FlowQueries } from '..';
import { placesNamed, spotsNamed, spotsOfFile } from './named';
import { nameOf } from '../steps/step';

await loadCompilers(['App.vue']);

const named = ({ graph }: FlowQueries, component: string, name: string): string[] =>
  placesNamed(graph, component).flatMap((place) => spotsNamed(graph, place, name).map((spot) => nameOf(graph, spot)));

test('what a component calls its model stands for the model', () => {
  const ways = waysOf(
    vue({ 'App.vue': ['', '<Field v-model="text"/>'], 'Field.vue': ['const model = defineModel();', '<input v-model="model">'] }),
  );
  expect(named(ways, 'App', 'text')).toEqual([]);
  const own = waysOf(vue({ 'App.vue': ['const model = defineModel();', '<input v-model="model">'] }));
  expect(named(own, 'App', 'model')).toEqual(['modelValue']);
  expect(named(own, 'App', 'modelValue')).toEqual(['modelValue']);
});

test('a part of what a hook gives, by the name that it is taken under', () => {
  const ways = waysOf(
    mounted(
      "import { useQuery } from '@tanstack/react-query';\nfunction useBoats() { return useQuery({ queryKey: ['boats'] }); }\nexport function App() { const { data } = useBoats(); return <p>{data}</p>; }",
    ),
  );
  expect(named(ways, 'App', 'data')).toEqual(['data']);
  expect(named(ways, 'App', 'rows')).toEqual([]);
});

test('what a store holds is meant before what it does under the same name', () => {
  const { graph } = waysOf(centralProjects.byModules);
  expect(spotsOfFile(graph, 'src/store/harbour.js', 'warned').map((spot) => nameOf(graph, spot))).toEqual(['harbour.warned']);
  expect(spotsOfFile(graph, 'src/store/harbour.js', 'arrive').map((spot) => nameOf(graph, spot))).toEqual(['arrive']);
});

test('a member of a class or a store of a module, by both names', () => {
  const { graph } = waysOf(
    mounted(
      "import { useLevels } from './levels';\nexport function App() { const north = useLevels((s) => s.north); return <p>{north}</p>; }",
      { 'src/levels.ts': 'export const useLevels = create((set) => ({ north: 1, setNorth: (north) => set({ north }) }));' },
    ),
  );
  const asked = (name: string) => spotsOfFile(graph, 'src/levels.ts', name).map((spot) => nameOf(graph, spot));
  expect(asked('useLevels.north')).toEqual(asked('north'));
  expect(asked('useLevels.north')).toHaveLength(1);
  expect(asked('useLevels.south')).toEqual([]);
  expect(asked('useOthers.north')).toEqual([]);
});
