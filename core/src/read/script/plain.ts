import type * as t from '@babel/types';
import type { FileFacts, SharedFact } from '../../model/facts';
import type { FilePath } from '../../model/span';
import type { Writable } from '../../model/writable';
import type { Dialect, ModuleScope } from './body';
import { voidsOf } from './called';
import { aliasOf, type Declared, declarationsOf } from './declarations';
import { eventClassesOf } from './event-classes';
import { mayLast, readModuleBody } from './module-body';
import { ambientOf, kept, moduleScope, sharedValue, takenApart } from './module-scope';
import { readModule } from './modules';
import { changersOf } from './param-changes';
import { parseScript } from './parse';
import { readTypeDeclaration } from './types';

/** A module as far as it has been read, for whoever reads components out of it. */
export type ReadModule = {
  readonly program: t.Program;
  readonly declared: readonly Declared[];
  readonly module: ModuleScope;
  readonly facts: Writable<FileFacts>;
};

/**
 * What a module imports, exports and declares, in every framework whose components are classes. `text` may go on
 * after the script, for what is read with it. Never throws.
 */
export function readModuleHead(file: FilePath, script: string, text = script): ReadModule {
  const { program, problems } = parseScript(file, script);
  const { imports, exports } = readModule(program.body);
  const declared = declarationsOf(program.body);
  const module = moduleScope(program, text, declared, imports);
  const facts: Writable<FileFacts> = {
    file,
    framework: 'script',
    problems: [...problems],
    imports,
    exports,
    types: kept(program.body, readTypeDeclaration),
    components: [],
    shared: [],
    roots: [],
    routes: [],
    ambient: kept(program.body, ambientOf),
    aliases: [],
    makers: [],
    ...changersOf(module),
    ...voidsOf(module),
    ...eventClassesOf(module, declared),
  };
  return { program, declared, module, facts };
}

/** Adds what the module itself holds and does; `apart` names what was read as something of its own. */
export function addModuleBody({ program, declared, module, facts }: ReadModule, apart: ReadonlySet<string>, dialect: Dialect): void {
  const components = new Set(facts.components.map((one) => one.local));
  const shared: SharedFact[] = declared.filter(({ name }) => !components.has(name)).map((one) => sharedValue(module, one));
  facts.shared = [...shared, ...program.body.flatMap((statement) => takenApart(statement, module))];
  facts.aliases = declared.filter(({ name }) => !apart.has(name)).flatMap(aliasOf);
  if (!mayLast(module.text)) return;
  const body = readModuleBody(module, program.body, (name) => apart.has(name), dialect, facts.file);
  if (body) facts.module = body;
}
