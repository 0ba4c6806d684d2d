import type * as t from '@babel/types';
import { type Channel, heldEnding, type HearFact, type Reading, type SendFact, timerEvent } from '../../model/facts';
import { eventKey } from '../../model/member';
import { remembered } from '../../model/remembered';
import type { Body, Dialect, Effects, ModuleScope, WayHeard } from './body';
import { keptFunction, readArgs, readExpression, readingsOf } from './expressions';
import { innerScope, lookUp, type Scope } from './scope';
import { bare, dottedName, isFunction, keyName, spanOf } from './syntax';

type Call = t.CallExpression | t.OptionalCallExpression;

/** Methods that send something to whoever hears it, and methods that hear; told apart by what they are called on. */
const sending = new Set(['emit', 'publish', 'send', 'broadcast', 'trigger', 'fire', 'postMessage', 'dispatchEvent', 'notify', 'tell']);
/** Functions that do so without anything before them: `publish('mist:started')`, `subscribe('mist:started', add)`. */
const freely = new Set(['emit', 'publish', 'broadcast', 'subscribe', 'listen']);
/** The same, where the first thing that they are told is the name of an event: `fire('silo-read', detail)`, `on('silo-read', hear)`. */
const freelyNamed = new Set(['on', 'once', 'fire', 'trigger', 'notify', 'tell', 'listenTo', 'addListener']);
/** Methods that end a subscription: the function they name is not run by them. */
const undoing = new Set(['removeEventListener', 'removeListener', 'off', 'unsubscribe']);
const timers = new Set(['setInterval', 'setTimeout', 'requestAnimationFrame', 'requestIdleCallback']);
const hearing = new Set(['on', 'once', 'subscribe', 'addListener', 'addEventListener', 'listen', 'listenTo']);
const observers = /^(?:Intersection|Resize|Mutation)Observer$/;

/**
 * A call that sends on, listens to, or leaves the document or a channel of the module: `dispatchEvent`,
 * `addEventListener`, `channel.postMessage`, `bus.on`. False for all other calls, which are left
 * untouched.
 */
function readChannelCall(body: Body, node: Call, { base, path }: Callee, scope: Scope, sink: Effects): boolean {
  const written = path.at(-1) ?? (base.type === 'Identifier' ? base.name : '');
  // Buses of an application may spell their methods as its components do: `$on`.
  const method = path.length > 0 && isForAll(body, written) ? written.slice(1) : written;
  noteEnding(body, node, method, base, scope);
  if (undoing.has(method) && path.length > 0) {
    // The function that it takes away does not run because of it.
    const [event] = node.arguments;
    if (event && event.type !== 'Identifier') readExpression(body, event, scope, 'computed', sink);
    return true;
  }
  if (timers.has(method)) return readTimer(body, node, base, path, scope, sink);
  if (method === 'dispatchEvent') return readDispatch(body, node, base, path, scope, sink);
  if (sending.has(method)) return readSend(body, node, base, path, scope, sink);
  if (method === 'observe') return readObserve(body, node, base, scope, sink);
  return hearing.has(method) && readHear(body, node, base, path, scope, sink);
}

/** A function that is made where it stands: another one each time, so that it takes nothing away. */
function isMadeInPlace(given: t.Node | undefined): boolean {
  const node = given && bare(given);
  return (
    isFunction(node) ||
    (node?.type === 'CallExpression' && node.callee.type === 'MemberExpression' && keyName({ key: node.callee.property }) === 'bind')
  );
}

/** The name of what a call ends; an empty one where a parameter or an item of a list holds it. */
function endedName(body: Body, given: t.Node | undefined, scope: Scope): string {
  const root = given && dottedName(bare(given))?.split('.')[0];
  return root !== undefined && lookUp(scope, root) ? '' : (eventNamed(body, given) ?? '');
}

/** Notes what a call may end: an event by its name, a timer, or anything. */
function noteEnding(body: Body, node: Call, method: string, base: t.Node, scope: Scope): void {
  const maker = method === 'disconnect' && base.type === 'Identifier' ? madeBy(scope, base.name) : undefined;
  if (/^(clearInterval|clearTimeout|cancelAnimationFrame|cancelIdleCallback)$/.test(method)) body.endings.add(timerEvent);
  else if (maker !== undefined && observers.test(maker)) body.endings.add(maker);
  else if (/^(close|disconnect|abort|dispose|destroy|removeAllListeners|unsubscribe)$/.test(method)) body.endings.add('');
  else if (method === 'remove' && node.arguments.length === 0) body.endings.add(heldEnding);
  else if (undoing.has(method)) {
    const event = endedName(body, node.arguments[0], scope);
    (method === 'removeEventListener' && isMadeInPlace(node.arguments[1]) ? body.vainEndings : body.endings).add(event);
    noteWay(body, event, 'removed', method === 'removeEventListener' ? wayOf(node) : 'either');
  }
}

type Callee = { readonly base: t.Node; readonly path: readonly string[] };

/** Whether an application may give a bus to all its components under a name: `$bus`. */
const isForAll = ({ dialect }: Body, name: string): boolean => dialect.forAll?.test(name) ?? false;

/** A function of a module of the project that is told the name of an event. */
function isNamedBus(body: Body, name: string, first: t.Node | undefined): boolean {
  const from = body.module.imported.get(name)?.from ?? '';
  return freelyNamed.has(name) && /^[.@~#]\.?\//.test(from) && first !== undefined && eventNamed(body, first)?.startsWith('{') === false;
}

type Place = Pick<Channel, 'on' | 'name' | 'element' | 'own'>;

/** Members by which an element gives the root of the shadow tree that it bears. */
const shadowRoots: ReadonlySet<string> = new Set(['shadowRoot', 'renderRoot', 'template']);

/** Where a call of a method is heard: on the window, the document, an element, or something of the module. */
function placeOf(body: Body, base: t.Node, path: readonly string[], scope: Scope, first?: t.Node): Place | undefined {
  if (base.type === 'ThisExpression' && path.length === 2 && isForAll(body, path[0] ?? '')) return { on: 'channel', name: path[0] ?? '' };
  if (base.type === 'ThisExpression') return placeOfOwn(body, path);
  if (base.type !== 'Identifier') {
    if (path.at(-1) !== 'dispatchEvent' && path.at(-1) !== 'addEventListener') return undefined;
    if (base.type === 'CallExpression' && /^(?:window\.)?matchMedia$/.test(dottedName(base.callee) ?? '')) return { on: 'window' };
    const [held] = body.own && path.length === 1 ? readingsOf(body, base, scope) : [];
    return { on: 'element', ...(held && body.values[held.value]?.kind === 'ref' ? { element: held.value } : {}) };
  }
  if (path.length === 0) {
    if (base.name === 'addEventListener' || base.name === 'dispatchEvent') return { on: 'window' };
    const isOfModule =
      (freely.has(base.name) || isNamedBus(body, base.name, first)) && !lookUp(scope, base.name) && body.module.names.has(base.name);
    return isOfModule ? { on: 'channel', name: `${base.name}()` } : undefined;
  }
  const meaning = lookUp(scope, base.name);
  if (!meaning && !body.module.names.has(base.name)) {
    if (base.name === 'window' || base.name === 'globalThis' || base.name === 'self')
      return path[0] === 'document' ? { on: 'document' } : { on: 'window' };
    if (base.name === 'document') return { on: 'document' };
    return isForAll(body, base.name) && path.length === 1 ? { on: 'channel', name: base.name } : undefined;
  }
  if (!meaning) return { on: 'channel', name: [base.name, ...path.slice(0, -1)].join('.') };
  if (/^(?:window\.)?matchMedia$/.test(madeBy(scope, base.name) ?? '')) return { on: 'window' };
  const index = meaning.kind === 'value' ? meaning.value : meaning.kind === 'local' ? meaning.readings[0]?.value : undefined;
  const held = index === undefined ? undefined : channelHeldBy(body, index, 3);
  const ofElement = path.at(-1) === 'dispatchEvent' || path.at(-1) === 'addEventListener';
  if (!ofElement || held?.name?.startsWith('"')) return held;
  return { on: 'element', ...(index === undefined ? {} : { element: index }) };
}

/** Members of instances into which a module puts media queries. */
const mediaQueriesOf = remembered(
  ({ text }: ModuleScope): ReadonlySet<string> =>
    new Set(Array.from(text.matchAll(/\bthis\.(#?[\w$]+)\s*=\s*(?:window\.)?matchMedia\(/g), ([, name = '']) => name)),
);

/** Where a call on the component itself, or on something that it holds, is heard. */
function placeOfOwn(body: Body, path: readonly string[]): Place {
  const [first = ''] = path;
  if (path.length === 1 || (path.length === 2 && first === body.host)) return { on: 'element', own: 'element' };
  if (path.length > 2) return { on: 'channel', name: `this.${first}` };
  if (body.root && shadowRoots.has(first)) return { on: 'element', own: body.root === 'light' ? 'element' : 'root' };
  // A media query outlives the element that asks it.
  if (mediaQueriesOf(body.module).has(first)) return { on: 'window' };
  const held = body.own?.(first);
  const value = held?.kind === 'value' && held.path.length === 0 ? held.value : undefined;
  return { on: 'element', ...(value !== undefined && body.values[value]?.kind === 'ref' ? { element: value } : {}) };
}

/** The call or the making that an expression, or the local that it names, stands for. */
function madeAs(given: t.Node | undefined, scope: Scope): t.NewExpression | undefined {
  const node = given && bare(given);
  if (node?.type === 'NewExpression') return node;
  const meaning = node?.type === 'Identifier' ? lookUp(scope, node.name) : undefined;
  const same = meaning?.kind === 'local' && meaning.same?.path.length === 0 ? bare(meaning.same.node) : undefined;
  return same?.type === 'NewExpression' ? same : undefined;
}

/** What a local variable was made by: the constructor or the function that was called, by its name. */
function madeBy(scope: Scope, name: string): string | undefined {
  const meaning = lookUp(scope, name);
  const node = meaning?.kind === 'local' && meaning.same?.path.length === 0 ? bare(meaning.same.node) : undefined;
  return node?.type === 'NewExpression' || node?.type === 'CallExpression' ? dottedName(node.callee) : undefined;
}

/** `observer.observe(document.body)`: what outlives the component is observed until somebody ends it. */
function readObserve(body: Body, node: Call, base: t.Node, scope: Scope, sink: Effects): boolean {
  const [target] = node.arguments;
  const observed = target && dottedName(target);
  const maker = base.type === 'Identifier' ? madeBy(scope, base.name) : undefined;
  const lasts = observed !== undefined && /^(?:document(?:\.\w+)?|window)$/.test(observed);
  if (!lasts || maker === undefined || !observers.test(maker) || lookUp(scope, 'document')) return false;
  readExpression(body, node.callee, scope, 'computed', sink);
  (sink.hears ??= []).push({ channel: { on: 'document', event: maker }, span: spanOf(node), ends: false });
  return true;
}

/** `setInterval(tick, 1000)`: heard like an event of the window. */
function readTimer(body: Body, node: Call, base: t.Node, path: readonly string[], scope: Scope, sink: Effects): boolean {
  const [run, ...rest] = node.arguments;
  if (base.type !== 'Identifier' || lookUp(scope, base.name) || body.module.names.has(base.name) || !run) return false;
  if (path.length > 0 && base.name !== 'window' && base.name !== 'globalThis') return false;
  for (const one of rest) readExpression(body, one, scope, 'computed', sink);
  (sink.hears ??= []).push(heard(body, run, scope, { on: 'window', event: timerEvent }, node));
  return true;
}

/** The channel that a value of the body holds, where it was made in place or comes from the module. */
function channelHeldBy(body: Body, index: number, depth: number): Pick<Channel, 'on' | 'name'> | undefined {
  const value = body.values[index];
  if (value?.kind === 'module') return value.source === undefined ? undefined : { on: 'channel', name: value.source };
  if (value?.origin?.kind === 'message') return { on: 'channel', name: `"${value.origin.what}"` };
  const [first] = value?.from ?? [];
  return depth > 0 && first && (value?.kind === 'ref' || value?.kind === 'derived')
    ? channelHeldBy(body, first.value, depth - 1)
    : undefined;
}

/** The name of an event: a text in place, or a constant of the module. */
function eventNamed(body: Body, node: t.Node | undefined): string | undefined {
  const given = node && bare(node);
  if (given?.type === 'StringLiteral') return given.value;
  if (given?.type === 'TemplateLiteral' && given.expressions.length === 0) return given.quasis[0]?.value.cooked ?? undefined;
  const name = given && dottedName(given);
  return name === undefined ? undefined : (body.module.texts.get(name) ?? `{${name}}`);
}

/** The name of an event, with the value that holds it where the body has it from elsewhere. */
function eventOf(body: Body, node: t.Node | undefined, scope: Scope): Pick<Channel, 'event' | 'held'> {
  const name = node && dottedName(bare(node));
  const held = node && name !== undefined && lookUp(scope, name.split('.')[0] ?? '') ? readingsOf(body, node, scope)[0] : undefined;
  if (held) return { event: `{${name ?? ''}}`, held };
  const event = eventNamed(body, node);
  return event === undefined ? {} : { event };
}

/** The name is one that the module declares or imports. */
function isOfModule(body: Body, node: t.Node, scope: Scope): boolean {
  const [root] = dottedName(bare(node))?.split('.') ?? [];
  return root !== undefined && !lookUp(scope, root) && body.module.names.has(root);
}

function isText(node: t.Node | undefined): boolean {
  return node !== undefined && !isFunction(bare(node));
}

function readSend(body: Body, node: Call, base: t.Node, path: readonly string[], scope: Scope, sink: Effects): boolean {
  const place = placeOf(body, base, path, scope, node.arguments[0]);
  if (place?.on !== 'channel' && !(place && path.at(-1) === 'postMessage')) return false;
  const message = path.at(-1) === 'postMessage';
  const [first, ...rest] = node.arguments;
  const named =
    !message && first !== undefined && (bare(first).type === 'StringLiteral' || rest.length > 0 || isOfModule(body, first, scope));
  // A function by itself sends only what it is told the name of.
  if (path.length === 0 && !named) return false;
  const event = message ? { event: 'message' } : named ? eventOf(body, first, scope) : { event: '' };
  const send: SendFact = {
    channel: { ...place, ...event },
    bubbles: false,
    args: readArgs(body, named ? rest : node.arguments, scope, sink),
    span: spanOf(node),
  };
  (sink.sends ??= []).push(send);
  return true;
}

/** `target.dispatchEvent(new CustomEvent('name', { bubbles, detail }))`. */
function readDispatch(body: Body, node: Call, base: t.Node, path: readonly string[], scope: Scope, sink: Effects): boolean {
  const place = placeOf(body, base, path, scope);
  const [given] = node.arguments;
  const made = madeAs(given, scope);
  if (!place || !made) return false;
  if (base.type !== 'Identifier' || lookUp(scope, base.name)) readExpression(body, node.callee, scope, 'computed', sink);
  const back = answered(body, given, made, node, scope);
  const maker = dottedName(made.callee);
  const send: SendFact =
    maker !== undefined && body.module.names.has(maker.split('.')[0] ?? '')
      ? { channel: place, bubbles: false, args: readArgs(body, made.arguments, scope, sink), made: maker, span: spanOf(node), ...back }
      : { ...sentWith(body, made, place, scope, sink), span: spanOf(node), ...back };
  (sink.sends ??= []).push(send);
  noteRaise(body, send, sink);
  return true;
}

/** An object that is written in place, or that the one local stands for. */
function objectMeant(given: t.Node | undefined, scope: Scope): t.ObjectExpression | undefined {
  const node = given && bare(given);
  if (node?.type === 'ObjectExpression') return node;
  const meaning = node?.type === 'Identifier' ? lookUp(scope, node.name) : undefined;
  const same = meaning?.kind === 'local' && meaning.same?.path.length === 0 ? bare(meaning.same.node) : undefined;
  return same?.type === 'ObjectExpression' ? same : undefined;
}

const isOn = (given: t.Node | undefined): boolean => given !== undefined && !(given.type === 'BooleanLiteral' && !given.value);

/** What an event says that is made in place: its name, how far it goes, and what it carries. */
function sentWith(body: Body, made: t.NewExpression, place: Place, scope: Scope, sink: Effects): Omit<SendFact, 'span'> {
  const options = objectMeant(made.arguments[1], scope);
  const option = (name: string): t.Node | undefined =>
    options?.properties.find((one): one is t.ObjectProperty => one.type === 'ObjectProperty' && keyName(one) === name)?.value;
  const detail = option('detail');
  const args = detail ? readArgs(body, [detail], scope, sink) : [];
  const spread = options?.properties.find((one): one is t.SpreadElement => one.type === 'SpreadElement');
  const [from] = spread ? readingsOf(body, spread.argument, scope) : [];
  return {
    channel: { ...place, ...eventOf(body, made.arguments[0], scope) },
    bubbles: isOn(option('bubbles')),
    ...(body.root ? { composed: isOn(option('composed')) } : {}),
    ...(from ? { options: from } : {}),
    args: args.map((one) => ({ ...one, readings: inDetail(one.readings) })),
  };
}

/** What stands in the event's `detail`. */
export const inDetail = (readings: readonly Reading[]): Reading[] =>
  readings.map((read): Reading => ({ ...read, held: { at: ['detail', ...(read.held?.at ?? [])], how: read.held?.how ?? read.how } }));

/** What is raised on the component itself, or comes by it from an element of its markup, is an event of its contract. */
function noteRaise(body: Body, { channel, bubbles, composed = false, args, span, made }: SendFact, sink: Effects): void {
  if (!body.dialect.raisesOnSelf || channel.on !== 'element' || made !== undefined || channel.event === undefined) return;
  const comesBy = channel.own === 'element' || (bubbles && (composed || body.root === 'light'));
  if (!comesBy) return;
  (sink.raises ??= []).push({ member: eventKey(channel.event), optional: true, span, args, travel: { bubbles, composed } });
}

/** What comes back to who sends an event. */
type Answered = Pick<SendFact, 'asks' | 'needsAnswer' | 'answerKept'>;

/** Members of the class that a stretch of text sets to something that `from` matches. */
const keptIn = (text: string, from: string): string[] =>
  [...text.matchAll(new RegExp(`\\bthis\\.(\\w+)\\s*=\\s*${from}`, 'g'))].map((one) => one[1] ?? '');

/**
 * What others put into an event that somebody sends, as far as that reads it afterwards (`ask.detail.price`, or the object
 * that is its detail), or give to a function that it carries. Nothing where nobody could answer.
 */
function answered(body: Body, given: t.Node | undefined, made: t.NewExpression, sent: Call, scope: Scope): Answered {
  const detail = objectMeant(made.arguments[1], scope)?.properties.find(
    (one): one is t.ObjectProperty => one.type === 'ObjectProperty' && keyName(one) === 'detail',
  )?.value;
  const carried = detail && objectMeant(detail, scope);
  const [hears] = (carried?.properties ?? []).flatMap((one) => {
    const fn = one.type === 'ObjectProperty' ? functionMeant(one.value, scope) : one.type === 'ObjectMethod' ? one : undefined;
    return fn ? [fn] : [];
  });
  const { text } = body.module;
  const kept = (names: readonly string[]): Answered => ({ asks: true, ...(names.length > 0 ? { answerKept: names } : {}) });
  if (hears) return kept(keptIn(text.slice(hears.start ?? 0, hears.end ?? 0), '(?!=)'));
  const after = text.slice(sent.end ?? 0, (sent.end ?? 0) + 600);
  const names = [given, detail].flatMap((one) => (one?.type === 'Identifier' ? [one.name] : []));
  const read = names.find((name) => new RegExp(`(?<![\\w$.])${name}\\s*(?:\\??\\.|\\[)(?!defaultPrevented|type\\b)`).test(after));
  if (read === undefined) return {};
  const answer = `(?<![\\w$.])${read}\\.${read === names[0] && given?.type === 'Identifier' ? 'detail\\.' : ''}\\w+`;
  const isNeeded =
    new RegExp(`${answer}(?:\\.\\w|\\(|\\[)`).test(after) &&
    !new RegExp(`(?:\\(\\s*!?\\s*|!)${answer}\\s*(?:\\)|&&|\\|\\|)|${answer}\\s*(?:\\?|&&|\\|\\||[!=]==?)`).test(after);
  return { ...kept(keptIn(after, `${answer}\\s*[;\\n]`)), ...(isNeeded ? { needsAnswer: true } : {}) };
}

/** A function that is written in place, or that a name of the body stands for. */
function functionMeant(given: t.Node, scope: Scope): t.Node | undefined {
  const node = bare(given);
  if (isFunction(node)) return node;
  const meaning = node.type === 'Identifier' ? lookUp(scope, node.name) : undefined;
  return meaning?.kind === 'function' ? meaning.node : undefined;
}

/** The table of functions that a loop goes through whose names and functions are given: `for (const [type, run] of Object.entries(listeners))`. */
function tableWalked(body: Body, node: Call, scope: Scope): t.ObjectExpression | undefined {
  const [first, second] = node.arguments;
  const walked = (given: t.Node | undefined, at: string): t.Node | undefined => {
    const meaning = given?.type === 'Identifier' ? lookUp(scope, given.name) : undefined;
    const same = meaning?.kind === 'local' ? meaning.same : undefined;
    return same && same.path.at(-1) === at && same.path[0] === '*' ? bare(same.node) : undefined;
  };
  const [name, run] = [walked(first, '0'), walked(second, '1')];
  if (!name || name !== run || name.type !== 'CallExpression' || dottedName(name.callee) !== 'Object.entries') return undefined;
  const [table] = name.arguments;
  const given = table && bare(table);
  if (given?.type === 'ObjectExpression') return given;
  return given?.type === 'Identifier' ? body.module.tables.get(given.name) : undefined;
}

function readHear(body: Body, node: Call, base: t.Node, path: readonly string[], scope: Scope, sink: Effects): boolean {
  const table = tableWalked(body, node, scope);
  const there = table && placeOf(body, base, path, scope);
  if (table && there) {
    for (const one of table.properties) {
      const event = one.type === 'SpreadElement' ? undefined : keyName(one);
      const run = one.type === 'ObjectMethod' ? one : one.type === 'ObjectProperty' ? one.value : undefined;
      if (event !== undefined && run) (sink.hears ??= []).push(heard(body, run, innerScope(), { ...there, event }, node));
    }
    return true;
  }
  const place = placeOf(body, base, path, scope, node.arguments[0]);
  if (!place) return false;
  const [first, second] = node.arguments;
  const named = second !== undefined && isText(first);
  const run = named ? second : first;
  if (!run || (path.length === 0 && place.on === 'channel' && !named)) return false;
  if (base.type !== 'Identifier' || lookUp(scope, base.name)) readExpression(body, node.callee, scope, 'computed', sink);
  const channel: Channel = { ...place, ...(named ? eventOf(body, first, scope) : { event: '' }) };
  const method = path.at(-1);
  const by = !named && place.on === 'channel' && method !== undefined ? { by: method } : {};
  (sink.hears ??= []).push({ ...heard(body, run, scope, channel, node), ...by });
  return true;
}

/** A function, or the instance for which it runs: what is to run, and not how. */
const isNoOption = (given: t.Node): boolean => isFunction(given) || given.type === 'ThisExpression';

/** Heard once, for as long as a signal says, or by a timer that fires once. */
function endsItself(node: t.Node): boolean {
  if (node.type !== 'CallExpression' && node.type !== 'OptionalCallExpression') return false;
  const method =
    dottedName(node.callee)?.split('.').at(-1) ??
    (node.callee.type === 'MemberExpression' ? (keyName({ key: node.callee.property }) ?? '') : '');
  if (/^(once|setTimeout|requestAnimationFrame|requestIdleCallback)$/.test(method)) return true;
  return node.arguments.slice(2).some((one) => {
    const given = bare(one);
    if (isNoOption(given)) return false;
    // Options that are not written in place may hold a signal.
    if (given.type !== 'ObjectExpression') return given.type !== 'BooleanLiteral';
    return given.properties.some((property) => property.type === 'SpreadElement' || /^(once|signal)$/.test(keyName(property) ?? ''));
  });
}

/** A listener is added to the document or the window, which lets go only of the same function. */
const isListening = (node: t.Node): boolean =>
  (node.type === 'CallExpression' || node.type === 'OptionalCallExpression') &&
  /(^|\.)addEventListener$/.test(dottedName(node.callee) ?? '');

/** Which way its third argument asks for: the way in to where an event is raised, or the one back. */
function wayOf(node: t.Node): WayHeard {
  const third = node.type === 'CallExpression' || node.type === 'OptionalCallExpression' ? node.arguments[2] : undefined;
  const given = third && bare(third);
  if (!given || isNoOption(given)) return 'out';
  if (given.type !== 'ObjectExpression') return given.type === 'BooleanLiteral' ? (given.value ? 'in' : 'out') : 'either';
  if (given.properties.some((one) => one.type === 'SpreadElement')) return 'either';
  const capture = given.properties.find((one) => one.type !== 'SpreadElement' && keyName(one) === 'capture');
  if (!capture) return 'out';
  return capture.type === 'ObjectProperty' && capture.value.type === 'BooleanLiteral' ? (capture.value.value ? 'in' : 'out') : 'either';
}

/** Notes on which way an event of the document or the window is listened for, or a listener for it taken away. */
function noteWay({ ways }: Body, event: string, what: 'added' | 'removed', way: WayHeard): void {
  const known = ways.get(event) ?? { added: new Set(), removed: new Set() };
  known[what].add(way);
  ways.set(event, known);
}

/** `this.hear.bind(this)` → `this.hear`. */
function handlerIn(run: t.Node): t.Node {
  const given = bare(run);
  const isBound =
    given.type === 'CallExpression' && given.callee.type === 'MemberExpression' && keyName({ key: given.callee.property }) === 'bind';
  return isBound ? bare((given.callee as t.MemberExpression).object) : given;
}

/** A component that listens by itself is told by its method `handleEvent`. */
function ownHandler(body: Body, node: t.Node): Reading | undefined {
  const meaning = body.own?.('handleEvent');
  return meaning?.kind === 'function' && meaning.value !== undefined
    ? { value: meaning.value, path: [], how: 'same', span: spanOf(node) }
    : undefined;
}

/** A subscription: what is heard, and what then runs. */
export function heard(body: Body, run: t.Node, scope: Scope, channel: Channel, whole: t.Node): HearFact {
  const span = spanOf(whole);
  const given = handlerIn(run);
  const reading =
    given.type === 'ThisExpression'
      ? ownHandler(body, given)
      : isFunction(given)
        ? keptFunction(body, channel.event || 'message', given, scope)
        : readingsOf(body, given, scope)[0];
  const action = reading && reading.path.length === 0 ? body.values[reading.value]?.action : undefined;
  const captures = wayOf(whole) === 'out' ? {} : { captures: true as const };
  if (isListening(whole)) noteWay(body, channel.event ?? '', 'added', wayOf(whole));
  const unnamed = isListening(whole) && isMadeInPlace(run) ? { unnamed: true as const } : {};
  return {
    channel,
    span,
    ends: endsItself(whole),
    ...captures,
    ...unnamed,
    ...(reading ? { reading } : {}),
    ...(action === undefined ? {} : { action }),
  };
}

/** `channel.onmessage = (event) => …`. */
function readMessageAssignment(body: Body, node: t.AssignmentExpression, scope: Scope, sink: Effects): boolean {
  const { left } = node;
  if (left.type !== 'MemberExpression' || left.property.type !== 'Identifier' || left.property.name !== 'onmessage') return false;
  const object = bare(left.object);
  if (object.type !== 'Identifier') return false;
  const place = placeOf(body, object, ['onmessage'], scope);
  if (place?.on !== 'channel') return false;
  (sink.hears ??= []).push(heard(body, node.right, scope, { ...place, event: 'message' }, node));
  return true;
}

/** Reads what is sent and heard beside props: events of the document, channels, emitters. */
export const channelDialect: Dialect = { call: readChannelCall, assign: readMessageAssignment };
