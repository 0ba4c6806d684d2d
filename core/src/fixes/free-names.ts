import type * as t from '@babel/types';
import globals from 'globals';
import { patternNames } from '../read/script/syntax';
import { everyNode, type Source } from './source';

const known = new Set([...Object.keys(globals.browser), ...Object.keys(globals.es2021), 'undefined', 'React']);

const isNameOnly = (holder: t.Node | undefined, node: t.Node): boolean =>
  holder !== undefined &&
  (('key' in holder && holder.key === node && !('computed' in holder && holder.computed)) ||
    ('property' in holder && holder.property === node && !('computed' in holder && holder.computed)) ||
    holder.type === 'JSXAttribute' ||
    holder.type.startsWith('TS') ||
    holder.type === 'ImportSpecifier');

/** Names that the code of a file reads and nothing in it declares, wherever in it that may be; globals are left out. */
export function freeNames({ program }: Source): string[] {
  const declared = new Set<string>();
  const read = new Set<string>();
  everyNode(program, (node, parents) => {
    const holder = parents.at(-1);
    if (node.type === 'ImportDeclaration') for (const { local } of node.specifiers) declared.add(local.name);
    if ('params' in node && Array.isArray(node.params))
      for (const param of node.params as t.Node[]) for (const { name } of patternNames(param)) declared.add(name);
    if (node.type === 'VariableDeclarator') for (const { name } of patternNames(node.id)) declared.add(name);
    if ((node.type === 'FunctionDeclaration' || node.type === 'ClassDeclaration') && node.id) declared.add(node.id.name);
    if (node.type === 'Identifier' && !isNameOnly(holder, node)) read.add(node.name);
    if (node.type === 'JSXIdentifier' && /^[A-Z]/.test(node.name) && !isNameOnly(holder, node)) read.add(node.name);
  });
  return [...read].filter((name) => !declared.has(name) && !known.has(name));
}
