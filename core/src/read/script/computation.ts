import type * as t from '@babel/types';
import type { Span } from '../../model/span';
import { listMethods, type OperatorWords, streamMakers, streamOperators, type StepWord } from './operators';
import { parseExpressionAt, type ScriptLang } from './parse';
import { bare, dottedName, isFunction, keyName, resultOf, spanOf } from './syntax';

/** One step of a computation, in the order in which they happen. */
export type ComputationStep = {
  readonly does: StepWord;
  /** The operator or the method as it is written; empty for what has none. */
  readonly name: string;
  /** What it does, going on from its name; code stands between backticks. */
  readonly says: string;
  readonly at: Span;
};

/** What a name is declared to hold: where that is written, and what it does step by step. */
export type Computation = { readonly at: Span; readonly steps: readonly ComputationStep[] };

/** A declaration is looked for no further than this behind its name. */
const mostAhead = 8000;
const mostCode = 48;
const langs: readonly ScriptLang[] = ['ts', 'tsx'];

/**
 * Reads what a name is computed from, `const total = rows.filter(isLate).length;`, from the offset behind the name on:
 * its span in the text, and its steps from what is first to what is last. Undefined where nothing follows that gives a
 * value: a parameter, a member of a pattern, a declaration without one.
 */
export function computationAfter(text: string, from: number): Computation | undefined {
  const start = getterAt(text, from) ?? initialiserAt(text, from) ?? initialiserOfPattern(text, from);
  const parsed = start === undefined ? undefined : expressionAt(text, start);
  // What stands behind a comma is the next name of the list.
  const node = parsed?.type === 'SequenceExpression' ? parsed.expressions[0] : parsed;
  if (!node) return undefined;
  const at = spanOf(node);
  return { at, steps: stepsOf(text, node) };
}

/** Where the value of a declaration begins, behind its `=`; its type may stand between. */
function initialiserAt(text: string, from: number): number | undefined {
  const end = Math.min(text.length, from + 2000);
  let depth = 0;
  const typed = /^\s*[?!]?\s*:/.test(text.slice(from, from + 40));
  for (let at = from; at < end; at++) {
    const letter = text[at] ?? '';
    if ('([{<'.includes(letter)) depth++;
    else if (letter === '>' && text[at - 1] === '=') continue;
    else if (')]}>'.includes(letter)) {
      if (--depth < 0) return undefined;
    } else if (depth > 0) continue;
    else if (letter === '=' && text[at + 1] !== '>' && text[at + 1] !== '=') return at + 1;
    else if (letter === ';' || letter === ',') return undefined;
    else if (!typed && !/[\s?!]/.test(letter)) return undefined;
  }
  return undefined;
}

/** The same for a name within a pattern: `const [rows, setRows] = useState([])`. */
function initialiserOfPattern(text: string, from: number): number | undefined {
  const opening = /\b(?:const|let|var)\s*[[{][^;=()]*$/.exec(text.slice(Math.max(0, from - 400), from));
  const rest = opening ? /^[^;=()]*[\]}]\s*(?::[^=;]{1,200})?=(?!=|>)/.exec(text.slice(from, from + 600)) : null;
  return rest ? from + rest[0].length : undefined;
}

/** Where what a getter gives begins: behind the `return` of `get total() { … return … }`. */
function getterAt(text: string, from: number): number | undefined {
  const head = /^\s*\(\s*\)\s*(?::[^={;]{1,200})?\{/.exec(text.slice(from, from + 300));
  if (!head) return undefined;
  const found = /\breturn\b/.exec(text.slice(from + head[0].length, from + head[0].length + mostAhead));
  return found ? from + head[0].length + found.index + found[0].length : undefined;
}

/** The expression that begins at an offset: as far as the parser gets. */
function expressionAt(text: string, start: number): t.Expression | undefined {
  const end = Math.min(text.length, start + mostAhead);
  for (const lang of langs) {
    let stop = end;
    for (let tries = 0; tries < 4; tries++) {
      const found = parseExpressionAt(text, { start, end: stop }, lang);
      if (!('message' in found)) return found;
      if (found.start <= start || found.start >= stop) break;
      stop = found.start;
    }
  }
  return undefined;
}

/** The text of some code on one line, cut where it is long, as it stands within a sentence. */
function code(text: string, node: t.Node): string {
  const { start, end } = spanOf(node);
  const written = text
    .slice(start, end)
    .replace(/\s+/g, ' ')
    .replace(/\bthis\./g, '')
    .replaceAll('`', "'");
  return `\`${written.length > mostCode ? `${written.slice(0, mostCode - 1)}…` : written}\``;
}

/** What an operator does with what it is given. */
function worded(text: string, [does, says]: OperatorWords, name: string, given: readonly t.Node[], at: Span): ComputationStep {
  const run = given.map(bare).find(isFunction);
  const result = run && resultOf(run);
  const first = given[0];
  const inner = result ? code(text, result) : run ? 'what its function gives' : first ? code(text, first) : 'what is there';
  const [each] = run?.params ?? [];
  const listed = given.filter((one) => !isFunction(bare(one))).flatMap((one) => inList(one));
  const isPart =
    does === 'computes' && name === 'map' && result?.type === 'MemberExpression' && dottedName(result)?.split('.')[0] === dottedName(each);
  const filled = says
    .replace('{fn} of each {each}', () => (each && result ? '{fn} of each {each}' : 'something else of each: {fn}'))
    .replace('{fn}', () => inner)
    .replace('{each}', () => (each ? code(text, each) : ''))
    .replace('{all}', () => (listed.length === 0 ? 'all' : listed.map((one) => code(text, one)).join(', ')))
    .replace(/\{(\d)\}/g, (_, at: string) => {
      const one = given[Number(at)];
      return one ? code(text, one) : 'some';
    });
  return { does: isPart ? 'narrows' : does, name, says: filled, at };
}

/** What stands in a list that is written in place, or in an object; else the thing itself. */
function inList(given: t.Node): t.Node[] {
  const node = bare(given);
  if (node.type === 'ArrayExpression') return node.elements.filter((one): one is t.Expression => one !== null);
  if (node.type !== 'ObjectExpression') return [node];
  return node.properties.flatMap((one) => (one.type === 'ObjectProperty' ? [one.value] : []));
}

/** The steps of an expression, those of what it begins with first. */
function stepsOf(text: string, given: t.Node): ComputationStep[] {
  const waits = given.type === 'AwaitExpression';
  const node = bare(given);
  if (waits) return [...stepsOf(text, node), { does: 'times', name: 'await', says: 'waits until it has come', at: spanOf(given) }];
  switch (node.type) {
    case 'CallExpression':
    case 'OptionalCallExpression':
      return stepsOfCall(text, node);
    case 'MemberExpression':
    case 'OptionalMemberExpression':
      return stepsOfMember(text, node);
    case 'ConditionalExpression':
      return [
        ...stepsOf(text, node.consequent),
        {
          does: 'computes',
          name: '',
          says: `${code(text, node.consequent)} where ${code(text, node.test)}, else ${code(text, node.alternate)}`,
          at: spanOf(node),
        },
      ];
    case 'LogicalExpression':
      return [...stepsOf(text, node.left), stepOfLogic(text, node)];
    case 'BinaryExpression':
      return [{ does: 'computes', name: '', says: code(text, node), at: spanOf(node) }];
    case 'UnaryExpression':
      return [
        {
          does: 'computes',
          name: '',
          says: node.operator === '!' ? `whether ${code(text, node.argument)} does not hold` : code(text, node),
          at: spanOf(node),
        },
      ];
    case 'TemplateLiteral':
      return node.expressions.length === 0 ? [] : [{ does: 'computes', name: '', says: 'one text of several', at: spanOf(node) }];
    default:
      return [];
  }
}

function stepOfLogic(text: string, { operator, left, right, ...node }: t.LogicalExpression): ComputationStep {
  const at = spanOf(node as t.Node);
  if (operator === '??') return { does: 'computes', name: '', says: `${code(text, right)} where there is none`, at };
  if (operator === '||') return { does: 'computes', name: '', says: `${code(text, right)} where ${code(text, left)} does not hold`, at };
  return { does: 'computes', name: '', says: `${code(text, right)} where ${code(text, left)} holds`, at };
}

/** `rows.length`, `found().boat`: a part. What is only the way to a value is no step. */
function stepsOfMember(text: string, node: t.MemberExpression | t.OptionalMemberExpression): ComputationStep[] {
  const name = !node.computed && node.property.type === 'Identifier' ? node.property.name : undefined;
  if (node.object.type === 'ThisExpression') return [];
  const before = stepsOf(text, node.object);
  if (name === undefined)
    return [...before, { does: 'narrows', name: '', says: `what stands under ${code(text, node.property)}`, at: spanOf(node) }];
  if (name === 'value' || name === 'current') return before;
  const at = { start: spanOf(node.property).start, end: spanOf(node.property).end };
  return [
    ...before,
    {
      does: 'narrows',
      name,
      says: name === 'length' || name === 'size' ? 'how many there are' : `this part of ${code(text, node.object)}`,
      at,
    },
  ];
}

function stepsOfCall(text: string, node: t.CallExpression | t.OptionalCallExpression): ComputationStep[] {
  const { callee } = node;
  const given = node.arguments.filter((one) => one.type !== 'ArgumentPlaceholder');
  const at = spanOf(node);
  if (callee.type === 'MemberExpression' || callee.type === 'OptionalMemberExpression') {
    const name = !callee.computed && callee.property.type === 'Identifier' ? callee.property.name : '';
    const own = { start: spanOf(callee.property).start, end: at.end };
    if (name === 'pipe') return [...stepsOf(text, callee.object), ...given.flatMap((one) => stepOfOperator(text, bare(one)))];
    const known = listMethods.get(name);
    // What takes no function may be a method of anything else.
    if (known && (!known[1].includes('{fn}') || given.some((one) => isFunction(bare(one)))))
      return [...stepsOf(text, callee.object), worded(text, known, name, given, own)];
    const first = given[0] && bare(given[0]);
    if (isFunction(first) && given.length <= 2 && /^(?:by|memo|from)$/.test(name)) return madeBy(text, first);
    // A value that is opened, and one that is handed on in another guise, are the same one.
    if (given.length === 0 && (callee.object.type === 'ThisExpression' || /^(?:as[A-Z]|get$|valueOf$)/.test(name)))
      return stepsOf(text, callee.object);
    return [...stepsOf(text, callee.object), { does: 'computes', name, says: `what ${code(text, node)} gives`, at: own }];
  }
  const name = dottedName(callee) ?? '';
  const maker = streamMakers.get(name);
  if (maker) return [worded(text, maker, name, given, at)];
  const functions = given.map(bare).filter(isFunction);
  const [run] = functions;
  const first = given[0] && bare(given[0]);
  if (run) {
    const others = given
      .filter((one) => !isFunction(bare(one)))
      .flatMap((one) => (bare(one).type === 'ArrayExpression' && isFunction(first) ? [] : inList(one)));
    const joined =
      isFunction(first) || others.length < 2
        ? []
        : [{ does: 'joins' as const, name: '', says: others.map((one) => code(text, one)).join(', '), at }];
    return [...joined, ...madeBy(text, run)];
  }
  if (!first) return [];
  const options = given[1] && bare(given[1]);
  const initial =
    options?.type === 'ObjectExpression'
      ? options.properties.find((one) => one.type === 'ObjectProperty' && keyName(one) === 'initialValue')
      : undefined;
  const starts: ComputationStep[] =
    initial?.type === 'ObjectProperty'
      ? [{ does: 'starts', name: '', says: `with ${code(text, initial.value)}`, at: spanOf(initial) }]
      : [];
  // What is handed on in another guise is nothing new: `toSignal(found$)`.
  const inner = stepsOf(text, first);
  if (starts.length > 0 || inner.length > 0 || /^(?:to|un|as)[A-Z]|^\$|^unref$/.test(name)) return [...inner, ...starts];
  return [{ does: 'computes', name, says: `what ${code(text, node)} gives`, at }];
}

/** What a function gives that is run again whenever something that it reads is another. */
function madeBy(text: string, run: t.Function): ComputationStep[] {
  const result = isFunction(run) ? resultOf(run) : undefined;
  return result ? stepsOf(text, result) : [];
}

function stepOfOperator(text: string, node: t.Node): ComputationStep[] {
  const at = spanOf(node);
  if (node.type !== 'CallExpression')
    return [{ does: 'computes', name: dottedName(node) ?? '', says: 'an operator of the project’s own', at }];
  const name = dottedName(node.callee)?.split('.').at(-1) ?? '';
  const known = streamOperators.get(name);
  const given = node.arguments.filter((one) => one.type !== 'ArgumentPlaceholder');
  return [known ? worded(text, known, name, given, at) : { does: 'computes', name, says: 'an operator that is not known here', at }];
}
