import type * as t from '@babel/types';
import type { Binding, KeyFact, SpreadFact, TemplateNode, TemplateUse } from '../../../model/facts';
import { defaultSlot, type MemberKey, memberOf, propKey, slotKey } from '../../../model/member';
import type { Span } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { branch, expressionAt, handlerAt, type Markup, repeat, shownText } from '../../../read/markup/expressions';
import { addValue, excerpt, newEffects } from '../../../read/script/body';
import { callGiven } from '../../../read/script/called';
import { readingsOf, readStatement } from '../../../read/script/expressions';
import { spreadOn } from '../../../read/markup/spread';
import { bindLocal, demand, memberChain } from '../../../read/script/names';
import { innerScope, lookUp, noteUndeclared, type Scope } from '../../../read/script/scope';
import { bare, dottedName, type FunctionNode, isFunction, madeIn, patternNames, pushChildren, spanOf } from '../../../read/script/syntax';
import { lostOf, withProps } from './frontmatter';
import type { AstroAttribute, AstroElement, AstroNode, Hole } from './markup';
import { append } from '../../../model/append';

/** Markup that is being read: the markup within the expression that is read at the moment, and the functions of scripts that no other script sees. */
export type AstroMarkup = Markup & { readonly holes: readonly Hole[]; readonly ofScripts: ReadonlySet<string> };

const noKey: KeyFact = { kind: 'none' };
/** Attributes by which the compiler is told something, and that nobody is given. */
const directive = /^(?:client|is|set|define|transition|server|slot)(?::|$)/;

/** Reads what stands between two tags. */
export function readNodes(markup: AstroMarkup, nodes: readonly AstroNode[], scope: Scope): TemplateNode[] {
  return nodes.flatMap((node) => {
    switch (node.kind) {
      case 'text':
        return [];
      case 'expression':
        return readExpressionNode(markup, node, scope);
      case 'element':
        return readElement(markup, node, scope);
    }
  });
}

/** The expression between two braces, in which each piece of markup stands as a number at its place. */
function expressionOf(
  markup: AstroMarkup,
  range: Span,
  holes: readonly Hole[],
): { readonly node: t.Expression; readonly markup: AstroMarkup } | undefined {
  let { text } = markup;
  for (const { start, end } of holes) text = `${text.slice(0, start)}(0)${' '.repeat(end - start - 3)}${text.slice(end)}`;
  // Nothing but white space and comments shows nothing.
  const written = text.slice(range.start, range.end).replace(/\/\*[\s\S]*?\*\/|\/\/[^\n]*/g, '');
  if (written.trim() === '') return undefined;
  const node = expressionAt({ ...markup, text }, range);
  return node && { node: withProps(node), markup: { ...markup, holes } };
}

function readExpressionNode(markup: AstroMarkup, node: Extract<AstroNode, { kind: 'expression' }>, scope: Scope): TemplateNode[] {
  // One that is not closed has been told of.
  if (markup.text[node.end - 1] !== '}') return [];
  const found = expressionOf(markup, { start: node.start + 1, end: node.end - 1 }, node.holes);
  return found ? readShown(found.markup, found.node, scope, { start: node.start, end: node.end }) : [];
}

/** The markup that a number of an expression stands for. */
function holeAt(markup: AstroMarkup, node: t.Node): Hole | undefined {
  return node.type === 'NumericLiteral' ? markup.holes.find(({ start }) => start === (node.start ?? 0) - 1) : undefined;
}

/** What an expression shows: markup under conditions and in lists, content of a slot, a text. */
function readShown(markup: AstroMarkup, given: t.Node, scope: Scope, span: Span): TemplateNode[] {
  const node = bare(given);
  const hole = holeAt(markup, node);
  if (hole) return readNodes(markup, hole.nodes, scope);
  const below = (one: t.Node): TemplateNode[] => readShown(markup, one, scope, spanOf(one));
  switch (node.type) {
    case 'ConditionalExpression': {
      const [shown, other] = [below(node.consequent), below(node.alternate)];
      if (shown.length + other.length === 0) break;
      return [branch(markup, node.test, false, scope, shown), ...(other.length > 0 ? [branch(markup, node.test, true, scope, other)] : [])];
    }
    case 'LogicalExpression': {
      if (!holdsMarkup(markup, node) && !isSlot(node.right)) break;
      if (node.operator === '&&') return [branch(markup, node.left, false, scope, below(node.right))];
      return [...below(node.left), branch(markup, node.left, true, scope, below(node.right))];
    }
    case 'ArrayExpression':
      if (holdsMarkup(markup, node)) return node.elements.flatMap((one) => (one ? below(one) : []));
      break;
    case 'CallExpression':
    case 'OptionalCallExpression': {
      // A function that is written to be called where it stands.
      const run = bare(node.callee);
      if (isFunction(run) && node.arguments.length === 0) return readResult(markup, run, innerScope(scope));
      const repeated = readRepeat(markup, node, scope, span);
      if (repeated) return [repeated];
      const slot = slotShown(node);
      if (slot !== undefined) return [readRendered(markup, node, slot, scope, span)];
      break;
    }
    default:
  }
  const rest = holdsMarkup(markup, node) ? readWithin(markup, node, scope) : [];
  return [...shownText(markup, node, scope, span), ...rest];
}

const isSlot = (node: t.Node): boolean => {
  const inner = bare(node);
  return inner.type === 'CallExpression' && slotShown(inner) !== undefined;
};

function holdsMarkup(markup: AstroMarkup, node: t.Node): boolean {
  const { start, end } = spanOf(node);
  return markup.holes.some((hole) => start <= hole.start && hole.start < end);
}

/** Markup somewhere within an expression that is followed no further: in a function, as an argument. */
function readWithin(markup: AstroMarkup, node: t.Node, scope: Scope): TemplateNode[] {
  const found: TemplateNode[] = [];
  const stack: { node: t.Node; scope: Scope }[] = [{ node, scope }];
  for (let at = stack.pop(); at; at = stack.pop()) {
    const hole = holeAt(markup, at.node);
    if (hole) {
      append(found, readNodes(markup, hole.nodes, at.scope));
      continue;
    }
    if (isFunction(at.node)) {
      const inner = innerScope(at.scope);
      for (const param of at.node.params) bindLocal(param, [], inner);
      append(found, readResult(markup, at.node, inner));
      continue;
    }
    const children: t.Node[] = [];
    pushChildren(at.node, children);
    // The first is met first.
    for (const child of children.reverse()) stack.push({ node: child, scope: at.scope });
  }
  return found;
}

/** `rows.map((row) => <Row row={row} />)`. */
function readRepeat(
  markup: AstroMarkup,
  node: t.CallExpression | t.OptionalCallExpression,
  scope: Scope,
  span: Span,
): TemplateNode | undefined {
  const { callee } = node;
  if (callee.type !== 'MemberExpression' && callee.type !== 'OptionalMemberExpression') return undefined;
  const [first] = node.arguments;
  const run = first && bare(first);
  if (callee.computed || dottedName(callee.property) !== 'map' || !isFunction(run) || !holdsMarkup(markup, run)) return undefined;
  if (callee.type === 'MemberExpression') noteAsked(markup, callee, scope);
  const [item, position] = run.params;
  const pattern = item?.type === 'AssignmentPattern' ? item.left : item;
  const place = position?.type === 'Identifier' ? { position: position.name } : {};
  return repeat(markup, callee.object, { ...(pattern ? { pattern } : {}), ...place }, span, scope, (inner) =>
    readResult(markup, run, inner),
  );
}

/** Notes that a list has to be there for its method. */
function noteAsked({ body }: AstroMarkup, callee: t.MemberExpression, scope: Scope): void {
  const asked = memberChain(callee);
  if (!asked.optional && asked.path.length === 1 && asked.base.type === 'Identifier')
    demand(body, asked.base.name, asked, scope, spanOf(callee));
}

/** What a function gives that makes markup: its one expression, or what its statements return. */
function readResult(markup: AstroMarkup, { body }: FunctionNode, scope: Scope): TemplateNode[] {
  if (body.type !== 'BlockStatement') return readShown(markup, body, scope, spanOf(body));
  return readStatements(markup, body.body, scope);
}

function readStatements(markup: AstroMarkup, statements: readonly t.Statement[], scope: Scope): TemplateNode[] {
  return statements.flatMap((one): TemplateNode[] => {
    switch (one.type) {
      case 'ReturnStatement':
        return one.argument ? readShown(markup, one.argument, scope, spanOf(one.argument)) : [];
      case 'IfStatement': {
        const then = readStatements(markup, one.consequent.type === 'BlockStatement' ? one.consequent.body : [one.consequent], scope);
        const other = one.alternate
          ? readStatements(markup, one.alternate.type === 'BlockStatement' ? one.alternate.body : [one.alternate], scope)
          : [];
        return [
          ...(then.length > 0 ? [branch(markup, one.test, false, scope, then)] : []),
          ...(other.length > 0 ? [branch(markup, one.test, true, scope, other)] : []),
        ];
      }
      case 'VariableDeclaration':
        for (const each of one.declarations) bindLocal(each.id, each.init ? readingsOf(markup.body, each.init, scope) : [], scope);
        return [];
      default:
        readStatement(markup.body, one, scope, newEffects());
        return [];
    }
  });
}

/** `Astro.slots.render('head')`: the slot that is shown; `*` for one whose name is known only while running. */
function slotShown(node: t.CallExpression | t.OptionalCallExpression): string | undefined {
  if (dottedName(node.callee) !== 'Astro.slots.render') return undefined;
  const [name] = node.arguments;
  return name?.type === 'StringLiteral' ? name.value : '*';
}

/** The slots that the script at the top of a file asks for as texts, to show them somewhere below. */
export function slotsAsked(markup: AstroMarkup, statements: readonly t.Statement[], scope: Scope): TemplateNode[] {
  const found: TemplateNode[] = [];
  const stack: t.Node[] = [...statements].reverse();
  for (let node = stack.pop(); node; node = stack.pop()) {
    const slot = node.type === 'CallExpression' ? slotShown(node) : undefined;
    if (slot !== undefined && node.type === 'CallExpression') found.push(readRendered(markup, node, slot, scope, spanOf(node)));
    pushChildren(node, stack);
  }
  return found;
}

/** A slot that is shown by a call, which may hand values to content that is a function. */
function readRendered(
  markup: AstroMarkup,
  node: t.CallExpression | t.OptionalCallExpression,
  name: string,
  scope: Scope,
  span: Span,
): TemplateNode {
  const [, handed] = node.arguments;
  const given = handed?.type === 'ArrayExpression' ? handed.elements.flatMap((one) => one ?? []) : [];
  const slotProps = given.map((one) => readingsOf(markup.body, one, scope));
  return { kind: 'outlet', slot: slotMember(name), span, slotProps };
}

const slotMember = (name: string | undefined): MemberKey => (name === undefined || name === 'default' ? defaultSlot : slotKey(name));

const textOf = ({ text }: Markup, element: AstroElement, name: string): string | undefined => {
  const found = element.attributes.find((one) => one.name === name && one.kind === 'text');
  return found && text.slice(found.value.start, found.value.end);
};

const nameSpanOf = ({ start, name }: AstroElement): Span => ({ start: start + 1, end: start + 1 + Math.max(name.length, 1) });

const isComponentName = (name: string): boolean => /^[A-Z]|\./.test(name);

function readElement(markup: AstroMarkup, element: AstroElement, scope: Scope): TemplateNode[] {
  const { name, start, end } = element;
  const span = { start, end };
  const set = element.attributes.find((one) => one.name === 'set:html' || one.name === 'set:text');
  const shown = set ? readAttributeShown(markup, set, scope) : [];
  if (name === '' || name === 'Fragment') {
    const children = [...shown, ...readNodes(markup, element.children, scope)];
    return [{ kind: 'element', tag: '', span, nameSpan: nameSpanOf(element), bindings: [], spreads: [], children, key: noKey }];
  }
  if (name === 'slot') return [readSlot(markup, element, scope)];
  if (isComponentName(name)) return [readUse(markup, element, scope, shown)];
  const { bindings, spreads } = readAttributes(markup, element, scope, true);
  const children = [...shown, ...readNodes(markup, element.children, scope)];
  const hasText = element.children.some((one) => one.kind === 'text' && !one.isBlank) || shown.length > 0;
  return [
    {
      kind: 'element',
      tag: name,
      span,
      nameSpan: nameSpanOf(element),
      bindings,
      spreads,
      children,
      key: noKey,
      ...(hasText ? { hasText: true as const } : {}),
    },
  ];
}

function readAttributeShown(markup: AstroMarkup, attribute: AstroAttribute, scope: Scope): TemplateNode[] {
  const found =
    attribute.kind === 'text' || attribute.kind === 'empty' ? undefined : expressionOf(markup, attribute.value, attribute.holes);
  return found ? readShown(found.markup, found.node, scope, attribute.value) : [];
}

function readSlot(markup: AstroMarkup, element: AstroElement, scope: Scope): TemplateNode {
  const hasText = element.children.some((one) => one.kind === 'text' && !one.isBlank);
  const fallback = readNodes(markup, element.children, scope);
  return {
    kind: 'outlet',
    slot: slotMember(textOf(markup, element, 'name')),
    span: { start: element.start, end: element.end },
    slotProps: [],
    ...(fallback.length > 0 ? { fallback } : {}),
    ...(hasText ? { fallbackText: true as const } : {}),
  };
}

function readUse(markup: AstroMarkup, element: AstroElement, scope: Scope, shown: readonly TemplateNode[]): TemplateUse {
  const { body } = markup;
  const { name } = element;
  const attributes = readAttributes(markup, element, scope, false);
  const content = readContent(markup, element, scope);
  const root = name.split('.')[0] ?? '';
  const held = lookUp(scope, root);
  const use: Writable<TemplateUse> = {
    kind: 'use',
    tag: name === 'Astro.self' ? 'default' : held ? '' : name,
    span: { start: element.start, end: element.end },
    nameSpan: nameSpanOf(element),
    bindings: [...attributes.bindings, ...content.slots],
    spreads: attributes.spreads,
    children: [...shown, ...content.children],
    key: noKey,
    content: content.hands ? 'function' : content.children.length + shown.length > 0 ? 'markup' : content.hasText ? 'text' : 'none',
  };
  if (content.hands) use.slotProps = content.hands;
  if (held) {
    const node = {
      type: 'Identifier',
      name: root,
      start: element.start + 1,
      end: element.start + 1 + root.length,
    } as unknown as t.Identifier;
    use.dynamic = readingsOf(body, node, scope);
  }
  const mark = element.attributes.find((one) => one.name.startsWith('client:'));
  if (mark) {
    use.startedBy = { name: mark.name, span: { start: mark.start, end: mark.end } };
    if (mark.name === 'client:only') use.isOnlyStarted = true;
  }
  return use;
}

type Content = {
  readonly children: readonly TemplateNode[];
  readonly slots: readonly Binding[];
  readonly hands?: readonly number[];
  readonly hasText: boolean;
};

/** What stands between the tags of a use: the content of each slot that its children name, and of the default one. */
function readContent(markup: AstroMarkup, element: AstroElement, scope: Scope): Content {
  const given = element.children.filter((one) => one.kind !== 'text' || !one.isBlank);
  const [only, ...others] = given;
  if (only?.kind === 'expression' && others.length === 0) {
    const found = expressionOf(markup, { start: only.start + 1, end: only.end - 1 }, only.holes);
    const run = found && bare(found.node);
    if (found && isFunction(run)) return readFunctionContent(found.markup, run, scope);
  }
  const slots = new Map<string, { node: AstroNode; nodes: TemplateNode[] }>();
  const isLate = element.attributes.some((one) => /^(?:client:only|server:defer)$/.test(one.name));
  const children: TemplateNode[] = [];
  for (const child of given) {
    const slot = slotOf(markup, child);
    // It stands there until the part is started, whatever slots that has.
    if (slot === 'fallback' && isLate) continue;
    const nodes = readNodes(markup, [child], scope);
    if (slot === undefined || slot === 'default') append(children, nodes);
    else {
      const known = slots.get(slot);
      if (known) append(known.nodes, nodes);
      else slots.set(slot, { node: child, nodes });
    }
  }
  return {
    children,
    slots: [...slots].map(([name, { node, nodes }]): Binding => {
      const at = node.kind === 'element' ? nameSpanOf(node) : { start: node.start, end: node.start + 1 };
      return {
        to: memberOf(slotMember(name)),
        written: name,
        span: { start: node.start, end: node.end },
        nameSpan: at,
        direction: 'in',
        readings: [],
        markup: nodes,
      };
    }),
    hasText: given.some((one) => one.kind === 'text' && slotOf(markup, one) === undefined),
  };
}

/** The slot that a child of a use is for; of an expression, that of the markup in it. */
function slotOf(markup: AstroMarkup, node: AstroNode): string | undefined {
  if (node.kind === 'element') return textOf(markup, node, 'slot');
  if (node.kind !== 'expression') return undefined;
  const inner = node.holes.flatMap(({ nodes }) => nodes).map((one) => slotOf(markup, one));
  return inner.length > 0 && inner.every((one) => one === inner[0]) ? inner[0] : undefined;
}

/** Content that is a function of what the slot hands it. */
function readFunctionContent(markup: AstroMarkup, run: FunctionNode, scope: Scope): Content {
  const inner = innerScope(scope);
  const hands = run.params.map((param) => {
    const names = patternNames(param);
    const name = names.find((found) => found.path.length === 0)?.name ?? excerpt(markup.body.module, spanOf(param), 30);
    const value = addValue(markup.body, { name, kind: 'handed', span: spanOf(param), from: [] });
    for (const found of names) inner.names.set(found.name, { kind: 'value', value, path: found.path });
    return value;
  });
  return { children: readResult(markup, run, inner), slots: [], hands, hasText: false };
}

type Attributes = { readonly bindings: readonly Binding[]; readonly spreads: readonly SpreadFact[] };

function readAttributes(markup: AstroMarkup, element: AstroElement, scope: Scope, isNative: boolean): Attributes {
  const bindings: Binding[] = [];
  const spreads: SpreadFact[] = [];
  for (const one of element.attributes) {
    if (one.kind === 'spread') spreads.push(readSpread(markup, one, element, scope, isNative));
    else if (one.name === 'define:vars') append(bindings, readAttribute(markup, one, scope, isNative));
    else if (one.name !== '' && !directive.test(one.name)) append(bindings, readAttribute(markup, one, scope, isNative));
  }
  return { bindings, spreads };
}

function readAttribute(markup: AstroMarkup, one: AstroAttribute, scope: Scope, isNative: boolean): Binding[] {
  const { body, text } = markup;
  const name = one.name.replace(/^class:list$/, 'class');
  const binding: Binding = {
    to: isNative ? { kind: 'attribute', name } : memberOf(propKey(name)),
    written: one.name,
    span: { start: one.start, end: one.end },
    nameSpan: one.kind === 'shorthand' ? one.value : { start: one.start, end: one.nameEnd },
    direction: 'in',
    readings: [],
  };
  if (one.kind === 'empty') return [{ ...binding, constant: 'true' }];
  if (one.kind === 'text') {
    const isHeard = isNative && /^on[a-z]+$/.test(name);
    if (isHeard) noteUnseen(markup, one, scope);
    return [
      {
        ...binding,
        constant: JSON.stringify(text.slice(one.value.start, one.value.end)),
        ...(isHeard ? { direction: 'out' as const } : {}),
      },
    ];
  }
  const found = expressionOf(markup, one.value, one.holes);
  const inner = found && bare(found.node);
  if (!found || !inner) return [{ ...binding, constant: 'undefined' }];
  if (one.holes.length > 0) return [{ ...binding, markup: readShown(found.markup, inner, scope, one.value) }];
  if (isFunction(inner)) return [{ ...binding, ...handlerAt(markup, name, one.value, scope), made: 'function' }];
  const readings = readingsOf(body, inner, scope);
  // A list of classes arrives as one text.
  if (one.name === 'class:list') return [{ ...binding, readings: readingsOf(body, inner, scope, 'computed') }];
  const made = madeIn(inner);
  const lost = lostOf(inner);
  const call = callGiven(body, inner, scope);
  const isPart = inner.type === 'Identifier' && /^[A-Z]/.test(inner.name) && body.module.imported.has(inner.name);
  return [
    {
      ...binding,
      readings,
      ...(readings.length === 0 ? { constant: excerpt(body.module, one.value) } : {}),
      ...(made ? { made } : {}),
      ...(lost ? { unsendable: lost } : {}),
      ...(call ? { call } : {}),
      ...(isPart ? { component: inner.name } : {}),
    },
  ];
}

/** `onclick="open()"` knows what the window has, and no function of a script that is a module. */
function noteUnseen({ text, ofScripts }: AstroMarkup, { value }: AstroAttribute, scope: Scope): void {
  for (const match of text.slice(value.start, value.end).matchAll(/(?<![\w$.])([A-Za-z_$][\w$]*)(?=\s*\()/g)) {
    const [name = ''] = match;
    const start = value.start + match.index;
    if (ofScripts.has(name)) noteUndeclared(scope, { name, span: { start, end: start + name.length }, ofCall: true, hidden: 'module' });
  }
}

function readSpread(markup: AstroMarkup, one: AstroAttribute, element: AstroElement, scope: Scope, isNative: boolean): SpreadFact {
  const span = { start: one.start, end: one.end };
  const found = expressionOf(markup, one.value, one.holes);
  const inner = found && bare(found.node);
  const target = {
    kind: isNative ? ('element' as const) : lookUp(scope, element.name.split('.')[0] ?? '') ? ('unknown' as const) : ('use' as const),
    tag: element.name,
  };
  return spreadOn(markup.body, inner, span, scope, target, propKey);
}
