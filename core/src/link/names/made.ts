import type { ComponentFacts, MakerFact } from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { FileIndexes } from './file-index';
import type { Local, Meant, MeantComponent } from './meant';

/** A component that a function of the project made of another, and where that function stands. */
export type MadeComponent = { readonly file: FilePath; readonly facts: ComponentFacts };

/** A copy of its own of what a maker makes: each has its own template, in which the hole has a name of its own. */
function withHole(facts: ComponentFacts, hole: string, name: string): ComponentFacts {
  const template = JSON.parse(JSON.stringify(facts.template), (key, value: unknown) =>
    key === 'tag' && value === hole ? name : value,
  ) as ComponentFacts['template'];
  return { ...facts, template, hole: name, through: facts.through.map((one) => (one === hole ? name : one)) };
}

/** Answers what components become that are handed to functions. */
export type Made = {
  /** A component handed through functions, innermost last: around it stands what those of the project make of it. */
  readonly through: (file: FilePath, wrappedBy: readonly string[], inner: MeantComponent, depth: number) => MeantComponent;
  /** What the hole of a made component stands for, by the file and the tag of the hole. */
  readonly inHole: (file: FilePath, tag: string) => Meant | undefined;
  /** All that were made so far. */
  readonly all: () => readonly MadeComponent[];
};

/** Makes the answers; what a name means within its own file is asked of `local`. */
export function makeMade(indexes: FileIndexes, local: Local): Made {
  const made = new Map<string, MadeComponent>();
  /** By file and tag. */
  const filled = new Map<string, Meant>();

  function through(file: FilePath, wrappedBy: readonly string[], inner: MeantComponent, depth: number): MeantComponent {
    return wrappedBy.reduceRight((around, wrapper): MeantComponent => {
      const meant = local(file, wrapper, depth + 1);
      const maker = meant.kind === 'shared' ? indexes.get(meant.file)?.makers.get(meant.fact.name) : undefined;
      if (!maker || meant.kind !== 'shared') return { ...around, wrapped: true };
      return { kind: 'component', ...make(meant.file, maker, around), wrapped: around.wrapped };
    }, inner);
  }

  function make(file: FilePath, maker: MakerFact, inner: MeantComponent): MadeComponent {
    const shown = inner.facts.name;
    const key = `${file}\n${maker.name}\n${inner.file}\n${inner.facts.name}`;
    const found = made.get(key);
    if (found) return found;
    const twins = [...made.values()].filter((one) => one.file === file && one.facts.name.startsWith(`${maker.name}(${shown})`)).length;
    const name = `${maker.name}(${shown})${twins > 0 ? `~${twins + 1}` : ''}`;
    const hole = `${name}.${maker.hole}`;
    filled.set(`${file}\n${hole}`, inner);
    const facts = withHole({ ...maker.component, name, local: name }, maker.hole, hole);
    const one: MadeComponent = { file, facts };
    made.set(key, one);
    return one;
  }

  return { through, inHole: (file, tag) => filled.get(`${file}\n${tag}`), all: () => [...made.values()] };
}
