import type * as t from '@babel/types';
import type { StoreReading } from '../../model/facts';
import { bare, calleeName, type FunctionNode, isFunction, keyName } from './syntax';
import { ownValue } from '../../model/own-value';

/** The shape by which state outside components is recognised, and the parts of the call that makes it. */
export type StoreShape = {
  readonly shape: 'factory' | 'slice' | 'atom' | 'observable' | 'source' | 'root';
  /** What it holds first; a function makes it. */
  readonly first?: t.Node;
  /** The first is a function that computes it from other stores. */
  readonly derives?: boolean;
  readonly writer?: FunctionNode;
  /** Named functions that change it. */
  readonly handlers?: readonly (t.ObjectMethod | t.ObjectProperty)[];
  readonly reducer?: string;
  /** What stands before the names of its handlers, where it is told them by name. */
  readonly prefix?: string;
  /** What it does when others are told something: a table of functions, or a function that adds them. */
  readonly extra?: t.Node;
  /** A function that is run once and gives the members of the store. */
  readonly setup?: FunctionNode;
  /** Members by what they are: `state`, `getters`, `actions`. */
  readonly options?: t.ObjectExpression;
};

/**
 * Functions that make state outside components, by name: which argument holds its first content,
 * and how it is changed. A table, so that another maker is a line and not code.
 */
const makers: Readonly<
  Record<
    string,
    {
      readonly shape: StoreShape['shape'];
      readonly first: number | string;
      readonly handlers?: string;
      readonly made?: 'function' | 'object';
    }
  >
> = {
  create: { shape: 'factory', first: 0, made: 'function' },
  createStore: { shape: 'factory', first: 0, made: 'function' },
  createWithEqualityFn: { shape: 'factory', first: 0, made: 'function' },
  createSlice: { shape: 'slice', first: 'initialState', handlers: 'reducers' },
  configureStore: { shape: 'root', first: 'reducer' },
  combineReducers: { shape: 'root', first: 0 },
  atom: { shape: 'atom', first: 0 },
  atomWithStorage: { shape: 'atom', first: 1 },
  atomWithReset: { shape: 'atom', first: 0 },
  persistentAtom: { shape: 'atom', first: 1 },
  persistentMap: { shape: 'atom', first: 1 },
  deepMap: { shape: 'atom', first: 0 },
  /** Others of that name are given a list and a function. */
  map: { shape: 'atom', first: 0, made: 'object' },
  selector: { shape: 'atom', first: 'get' },
  proxy: { shape: 'observable', first: 0 },
  observable: { shape: 'observable', first: 0 },
  signal: { shape: 'observable', first: 0 },
  writable: { shape: 'observable', first: 0 },
  /** Changed by nobody but the function that it is given. */
  readable: { shape: 'source', first: 0 },
  $state: { shape: 'observable', first: 0 },
};

/** Functions around the maker of a store that leave its shape as it is. */
const around = new Set(['persist', 'devtools', 'immer', 'subscribeWithSelector', 'combine', 'temporal']);

/** Recognises the call that makes a store; undefined for all else. */
export function storeShapeOf(init: t.Node): StoreShape | undefined {
  const node = bare(init);
  if (node.type !== 'CallExpression') return undefined;
  if (calleeName(node) === 'defineStore') return storeOfOptions(node);
  const curried = node.callee.type === 'CallExpression' ? calleeName(node.callee) : undefined;
  const name = curried ?? calleeName(node);
  const maker = name === undefined ? undefined : ownValue(makers, name);
  if (!maker) return undefined;
  const [argument] = node.arguments;
  const options = argument ? bare(argument) : undefined;
  const first =
    typeof maker.first === 'number'
      ? givenAt(node, maker.first)
      : (member(options, maker.first) ?? (name === 'selector' ? undefined : givenAt(node, 0)));
  if (maker.made === 'function' && !isFunction(first)) return undefined;
  if (maker.made === 'object' && (first?.type !== 'ObjectExpression' || node.arguments.length > 1)) return undefined;
  if (maker.shape === 'atom') return atomOf(node, first, options);
  const handlers = maker.handlers === undefined ? undefined : member(options, maker.handlers);
  const extra = maker.shape === 'slice' ? member(options, 'extraReducers') : undefined;
  const prefix = maker.shape === 'slice' ? member(options, 'name') : undefined;
  const ownSource = name === 'writable' && node.arguments.length > 1;
  return {
    shape: ownSource ? 'source' : maker.shape,
    ...(first ? { first } : {}),
    ...(extra ? { extra } : {}),
    ...(prefix?.type === 'StringLiteral' ? { prefix: prefix.value } : {}),
    ...(handlers?.type === 'ObjectExpression'
      ? { handlers: handlers.properties.filter((one): one is t.ObjectMethod | t.ObjectProperty => one.type !== 'SpreadElement') }
      : {}),
  };
}

/** `defineStore('levels', () => { … })`, `defineStore('levels', { state, getters, actions })`. */
function storeOfOptions(node: t.CallExpression): StoreShape | undefined {
  const given = node.arguments.map((one) => bare(one)).find((one) => one.type === 'ObjectExpression' || isFunction(one));
  if (isFunction(given)) return { shape: 'factory', setup: given };
  return given?.type === 'ObjectExpression' ? { shape: 'factory', options: given } : undefined;
}

/** An atom: a first value, or a function that computes it from others, and perhaps one that writes. */
function atomOf(node: t.CallExpression, first: t.Node | undefined, options: t.Node | undefined): StoreShape {
  const keyed = options?.type === 'ObjectExpression' && member(options, 'key') !== undefined;
  const given = keyed ? (member(options, 'default') ?? member(options, 'get')) : first;
  const writer = node.arguments[1] && bare(node.arguments[1]);
  return {
    shape: 'atom',
    ...(given ? { first: given } : {}),
    ...(isFunction(given) ? { derives: true } : {}),
    ...(isFunction(writer) ? { writer } : {}),
  };
}

function givenAt(node: t.CallExpression, at: number): t.Node | undefined {
  const given = node.arguments[at];
  if (!given) return undefined;
  const inner = bare(given);
  if (inner.type === 'CallExpression' && around.has(calleeName(inner) ?? '')) return givenAt(inner, 0);
  return inner;
}

function member(options: t.Node | undefined, name: string): t.Node | undefined {
  if (options?.type !== 'ObjectExpression') return undefined;
  for (const property of options.properties) {
    if (property.type === 'ObjectProperty' && keyName(property) === name) return bare(property.value);
    if (property.type === 'ObjectMethod' && keyName(property) === name) return property;
  }
  return undefined;
}

/** Hooks from outside that read stores, by name. */
const hookShapes: Readonly<Record<string, StoreReading>> = {
  useSyncExternalStore: { gives: 'snapshot', snapshot: 1 },
  useStore: { gives: 'store', store: 0, selector: 1 },
  useStoreWithEqualityFn: { gives: 'store', store: 0, selector: 1 },
  useSnapshot: { gives: 'store', store: 0 },
  useAtom: { gives: 'pair', store: 0 },
  useAtomValue: { gives: 'store', store: 0 },
  useSetAtom: { gives: 'setter', store: 0 },
  useRecoilState: { gives: 'pair', store: 0 },
  useRecoilValue: { gives: 'store', store: 0 },
  useSetRecoilState: { gives: 'setter', store: 0 },
  useSelector: { gives: 'root', selector: 0 },
  useDispatch: { gives: 'dispatch' },
};

/** What a hook gives of a store, by the hook's name; undefined for hooks that read none. */
export function storeReadingOf(hook: string): StoreReading | undefined {
  return ownValue(hookShapes, hook);
}

/** The same of hooks that an application gives types of its own: `useAppSelector`. */
export function typedReadingOf(hook: string): StoreReading | undefined {
  const [, kind] = /^use(?:App|Typed|Root|Store|Redux)(Selector|Dispatch)$/.exec(hook) ?? [];
  return kind === undefined ? undefined : hookShapes[`use${kind}`];
}
