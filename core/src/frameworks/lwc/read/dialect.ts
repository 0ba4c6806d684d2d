import type * as t from '@babel/types';
import { channelDialect, heard } from '../../../read/script/channels';
import type { Body, Dialect, Effects } from '../../../read/script/body';
import { readArgs, readExpression } from '../../../read/script/expressions';
import { lookUp, type Scope } from '../../../read/script/scope';
import { bare, dottedName, spanOf } from '../../../read/script/syntax';

type Call = t.CallExpression | t.OptionalCallExpression;

const messages = /^lightning\/(?:messageService|empApi)$/;
const own = /^(?!lightning\/|lwc\/)[a-z]\w*\/[A-Za-z_]\w*$/;
/** Modules whose calls are followed: those of the project, and methods of its server. */
const followed = new RegExp(`${own.source}|^@salesforce/apex/`);
const sends = /^(?:fire|publish|emit|dispatch|send|notify|broadcast)\w*$/;
const hears = /^(?:register|subscribe|listen|on|addListener)\w*$/;
const ends = /^un(?:register|subscribe|listen)\w*$/;

const isText = (node: t.Node | undefined): boolean => node !== undefined && bare(node).type === 'StringLiteral';

/** A wired message context lets go of its subscriptions by itself. */
function endsByItself(body: Body, context: t.Node | undefined): boolean {
  const node = context && bare(context);
  const name =
    node?.type === 'MemberExpression' && node.object.type === 'ThisExpression' && node.property.type === 'Identifier'
      ? node.property.name
      : undefined;
  const meaning = name === undefined ? undefined : body.own?.(name);
  return meaning?.kind === 'value' && body.values[meaning.value]?.origin?.what === 'MessageContext';
}

/** `subscribe(context, CHANNEL, hear)`, `publish(context, CHANNEL, message)`: messages over a channel of the platform. */
function readMessage(body: Body, call: Call, api: string, scope: Scope, sink: Effects): boolean {
  const [context, channel, third] = call.arguments;
  const name = channel && dottedName(bare(channel));
  if (api === 'unsubscribe' || api === 'releaseMessageContext') {
    body.endings.add('');
    for (const one of call.arguments) readExpression(body, one, scope, 'computed', sink);
    return true;
  }
  if (name === undefined || (api !== 'subscribe' && api !== 'publish')) return false;
  if (context) readExpression(body, context, scope, 'computed', sink);
  if (api === 'publish') {
    const args = readArgs(body, third ? [third] : [], scope, sink);
    (sink.sends ??= []).push({ channel: { on: 'channel', name, event: '' }, bubbles: false, args, span: spanOf(call) });
    return true;
  }
  if (!third) return false;
  const hear = heard(body, third, scope, { on: 'channel', name, event: '' }, call);
  (sink.hears ??= []).push(endsByItself(body, context) ? { ...hear, ends: true } : hear);
  return true;
}

/** `fireEvent(pageRef, 'lit', payload)`, `registerListener('lit', this.hear, this)`: a module of the project through which parts tell each other. */
function readOwnBus(body: Body, call: Call, name: string, api: string, scope: Scope, sink: Effects): boolean {
  const at = call.arguments.findIndex(isText);
  const text = call.arguments[at];
  if (ends.test(api)) {
    body.endings.add(text?.type === 'StringLiteral' ? text.value : '');
    return true;
  }
  if (at < 0 || text?.type !== 'StringLiteral') return false;
  const channel = { on: 'channel' as const, name: `${name}()`, event: text.value };
  if (sends.test(api)) {
    for (const one of call.arguments.slice(0, at)) readExpression(body, one, scope, 'computed', sink);
    const args = readArgs(body, call.arguments.slice(at + 1), scope, sink);
    (sink.sends ??= []).push({ channel, bubbles: false, args, span: spanOf(call) });
    return true;
  }
  const run = call.arguments[at + 1];
  if (!hears.test(api) || !run) return false;
  (sink.hears ??= []).push(heard(body, run, scope, channel, call));
  return true;
}

/** `registerRefreshHandler(this, this.reload)`: undone by `unregisterRefreshHandler`. */
function readRefresh(body: Body, call: Call, api: string, scope: Scope, sink: Effects): boolean {
  if (api === 'unregisterRefreshHandler' || api === 'unregisterRefreshContainer') {
    body.endings.add('refresh');
    return true;
  }
  const run = call.arguments[1];
  if ((api !== 'registerRefreshHandler' && api !== 'registerRefreshContainer') || !run) return false;
  (sink.hears ??= []).push(heard(body, run, scope, { on: 'window', event: 'refresh' }, call));
  return true;
}

function readCall(
  body: Body,
  call: Call,
  callee: { readonly base: t.Node; readonly path: readonly string[] },
  scope: Scope,
  sink: Effects,
): boolean {
  const { base, path } = callee;
  const origin =
    base.type === 'Identifier' && path.length === 0 && !lookUp(scope, base.name) ? body.module.imported.get(base.name) : undefined;
  if (origin && base.type === 'Identifier') {
    if (messages.test(origin.from) && readMessage(body, call, origin.imported, scope, sink)) return true;
    if (origin.from === 'lightning/refresh' && readRefresh(body, call, origin.imported, scope, sink)) return true;
    const isOwn = own.test(origin.from) || /^\.\.?\//.test(origin.from);
    if (isOwn && readOwnBus(body, call, base.name, origin.imported, scope, sink)) return true;
  }
  return channelDialect.call?.(body, call, callee, scope, sink) ?? false;
}

/** What the reading of expressions must know of this framework. */
export const lwcDialect: Dialect = { ...channelDialect, call: readCall, raisesOnSelf: true, propsWritable: true, ownModules: followed };
