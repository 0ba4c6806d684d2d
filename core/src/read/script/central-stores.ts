import type * as t from '@babel/types';
import type { Reading } from '../../model/facts';
import type { Span } from '../../model/span';
import { addValue, type Body, type ModuleScope } from './body';
import { readingsOf } from './expressions';
import { madeReducerOf, readReducer } from './reducers';
import {
  declareActionGroup,
  declareActionMaker,
  declareKeySelector,
  declareSelector,
  declareThunk,
  isActionMaker,
} from './store-functions';
import type { Scope } from './scope';
import { fillStore, noteFields } from './store-content';
import { type PlacedStore, readStoreModule, storeModuleOf, storeOptionsOf } from './store-modules';
import { type StoreShape, storeShapeOf } from './store-shapes';
import { bare, calleeName, dottedName, forEachChild, type FunctionNode, resultOf, spanOf } from './syntax';

/** The body of a module, and the names in force in it. */
type Within = { readonly body: Body; readonly scope: Scope };

/** A store, or a part of one, that stands in a folder for it: its key is the name of the file. */
export function declarePlaced({ body, scope }: Within, { key, object }: PlacedStore): void {
  const name = key ?? 'store';
  const span = spanOf(object);
  const value = addValue(body, { name, kind: 'store', span, from: [], shape: key === undefined ? 'root' : 'module', isDefault: true });
  body.queue.push(() => readStoreModule(body, value, object, scope, key !== undefined));
  if (key === undefined) return;
  const partOfStore = { kind: 'module' as const, key };
  addValue(body, { name: '', kind: 'store', span, from: [{ value, path: [], how: 'part', span, partOfStore }], shape: 'root' });
}

/** Texts in which the parts of a store may be listed for an application. */
export const providesStore = /\b(?:provideSt(?:ore|ate)|StoreModule)\b/;

/** `provideStore({ boats })`, `StoreModule.forFeature('boats', boats)`: the parts of the store that an application has, wherever they are listed. */
export function declareProvided({ body, scope }: Within, statement: t.Node): void {
  const visit = (node: t.Node): void => {
    const name = node.type === 'CallExpression' ? (dottedName(node.callee)?.split('.').at(-1) ?? '') : '';
    const [first, second] = node.type === 'CallExpression' ? node.arguments.map((one) => bare(one)) : [];
    const isWhole = /^(?:provideStore|forRoot)$/.test(name) && first?.type === 'ObjectExpression';
    const isPart = /^(?:provideState|forFeature)$/.test(name) && first?.type === 'StringLiteral' && second !== undefined;
    if (isWhole || isPart) {
      const span = spanOf(node);
      const value = addValue(body, { name: 'store', kind: 'store', span, from: [], shape: 'root' });
      body.queue.push(() => {
        const key = first.type === 'StringLiteral' ? [first.value] : [];
        const read = isPart ? readingsOf(body, second, scope) : readingsOf(body, first, scope);
        const from = read.map((one): Reading => ({
          ...one,
          ...(isPart ? { held: { at: [...key, ...(one.held?.at ?? [])], how: one.held?.how ?? one.how } } : {}),
          partOfStore: { kind: 'member' },
        }));
        Object.assign(body.values[value] ?? {}, { from });
      });
      return;
    }
    forEachChild(node, visit);
  };
  visit(statement);
}

/** A function that a call makes for the store of an application: of actions, of what it holds, or one that the store runs. */
export function madeForStore(body: Body, name: string, at: Span, call: t.CallExpression, scope: Scope): number | undefined {
  if (isActionMaker(call)) return declareActionMaker(body, name, at, call);
  const [first] = call.arguments;
  switch (calleeName(call)) {
    case 'createAsyncThunk':
      return declareThunk(body, name, at, call, scope);
    case 'createSelector':
    case 'createDraftSafeSelector':
      return declareSelector(body, name, at, call, scope);
    case 'createActionGroup':
      return declareActionGroup(body, name, at, call);
    case 'createFeatureSelector':
      return first?.type === 'StringLiteral' ? declareKeySelector(body, name, at, first.value) : undefined;
    default:
      return undefined;
  }
}

type StoreReader = { readonly shape: string; readonly read: (body: Body, store: number, scope: Scope) => void };

/** A store that an application has one of, or a part of it, by how it is written; undefined for all else. */
export function centralOf({ module }: Body, init: t.Node | undefined): StoreReader | undefined {
  const part = storeModuleOf(init);
  const options = part ?? storeOptionsOf(init);
  if (options) return { shape: part ? 'module' : 'root', read: (body, store, scope) => readStoreModule(body, store, options, scope) };
  const put = (body: Body, store: number, from: Reading[]): void => void Object.assign(body.values[store] ?? {}, { from });
  const reducer = madeReducerOf(init);
  if (reducer)
    return {
      shape: 'slice',
      read: (body, store, scope) => {
        noteFields(body, store, reducer.first);
        put(body, store, readReducer(body, store, reducer, scope));
      },
    };
  const combined = rootShapeOf(module, init);
  return combined && { shape: 'root', read: (body, store, scope) => put(body, store, fillStore(body, store, combined, scope)) };
}

/** `combineReducers({ … })`, `configureStore({ reducer })`, `createStore(reducer)` of the package for it. */
export function rootShapeOf({ imported }: Pick<ModuleScope, 'imported'>, init: t.Node | undefined): StoreShape | undefined {
  const call = init && bare(init);
  const shape = call && storeShapeOf(call);
  if (shape) return shape.shape === 'root' ? shape : undefined;
  const origin = call?.type === 'CallExpression' ? imported.get(calleeName(call) ?? '') : undefined;
  const [first] = call?.type === 'CallExpression' ? call.arguments : [];
  if (!first || !/^(?:redux|@reduxjs\/toolkit)$/.test(origin?.from ?? '') || !/createStore$/.test(origin?.imported ?? '')) return undefined;
  return rootShapeOf({ imported }, first) ?? { shape: 'root', first };
}

/** `(set, get) => ({ … })`: what makes a part of a store, for one that is put together of several. */
export function sliceMadeBy(node: FunctionNode): boolean {
  const [set] = node.params;
  const result = resultOf(node);
  return (
    set?.type === 'Identifier' && set.name === 'set' && result !== undefined && result !== null && bare(result).type === 'ObjectExpression'
  );
}
