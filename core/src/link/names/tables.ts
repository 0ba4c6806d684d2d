import type { FilePath } from '../../model/span';
import type { FileIndexes } from './file-index';
import type { Local } from './meant';

/** A table of routes: the name that its file declares it by; absent for all routes of the file. */
export type RouteTable = { readonly file: FilePath; readonly table?: string };

/** Answers which tables of routes a group of components hands to the router, itself and by those that it brings in. */
export type TablesOf = (file: FilePath, name: string) => readonly RouteTable[];

/** Makes the answers. */
export function makeTables(indexes: FileIndexes, local: Local): TablesOf {
  function tableAt(file: FilePath, name: string): RouteTable[] {
    const meant = local(file, name, 0);
    return meant.kind === 'shared' ? [{ file: meant.file, table: meant.fact.name }] : [];
  }

  function tablesOf(file: FilePath, name: string, depth = 0): RouteTable[] {
    const group = depth > 8 ? undefined : indexes.get(file)?.facts.groups?.find((one) => one.name === name);
    if (!group) return [];
    const named = group.tables.flatMap((one) => tableAt(file, one));
    const brought = group.brings.flatMap((one) => {
      const meant = local(file, one, 0);
      if (meant.kind !== 'shared') return [];
      const tables = indexes.get(meant.file)?.facts.lists?.find((list) => list.name === meant.fact.name)?.tables ?? [];
      return [...tables.flatMap((name) => tableAt(meant.file, name)), ...tablesOf(meant.file, meant.fact.name, depth + 1)];
    });
    const own = indexes.get(file)?.facts.routes.some(({ table }) => table === name || table.startsWith(`${name}/`));
    return [...named, ...brought, ...(own ? [{ file, table: name }] : [])];
  }

  return (file, name) => tablesOf(file, name);
}
