import type { TemplateNode } from '../../model/facts';
import type { TextEdit } from '../../model/finding';
import type { ComponentId } from '../../model/ids';
import type { Component, Model, Use } from '../../model/model';
import type { FilePath, Span } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { declareProps, type NewProp } from './declare';
import { type Hole, type Laid, layBeside, nameOf } from './holes';
import { importEdits } from './imports';
import type { Piece } from './pieces';
import { sameScript } from './script';
import { closingAt, contentSpan, renamed, withBraces } from './text';

/** A prop of the merged component that stands for what differs; `key` names it whatever it is called. */
export type MergedProp = NewProp & {
  readonly key: string;
  readonly kind: Hole['kind'] | 'form';
  /** What uses of the second give, as code. */ readonly given: string;
};

export type Merged = {
  /** The component that stays, and its text with the new props. */
  readonly name: string;
  readonly text: string;
  readonly props: readonly MergedProp[];
  /** All changes: of the component that stays, of each use, and the other one taken away. */
  readonly edits: readonly TextEdit[];
  readonly uses: number;
};

/** Names for props by their keys, where they are to be called otherwise than proposed. */
export type MergeNames = Readonly<Record<string, string>>;

/** What cannot be written as text, and why. */
export type NotMerged = { readonly wrong: string };

type Put = { readonly start: number; readonly end: number; readonly text: string };
type Framework = Component['framework'];

class CannotMerge extends Error {}

const pascal = (text: string): string =>
  text.replace(/(?:^|[^A-Za-z0-9]+)([A-Za-z0-9])/g, (_, letter: string) => letter.toUpperCase()).replace(/[^A-Za-z0-9]/g, '');

/** An expression in markup: `{x}`, `{{ x }}`. */
const shown = (framework: Framework, code: string): string => (framework === 'vue' ? `{{ ${code} }}` : `{${code}}`);

/** An attribute with an expression: `tone={x}`, `:tone="x"`. */
const bound = (framework: Framework, name: string, code: string): string =>
  framework === 'vue' ? `:${name.replace(/^:/, '')}="${code}"` : `${name}={${code}}`;

const quoted = (text: string): string =>
  `'${text
    .replace(/\\/g, '\\\\')
    .replace(/'/g, "\\'")
    .replace(/\s*\n\s*/g, ' ')}'`;

/** What an attribute says, as code: `"a"` → `'a'`, `{3}` → `3`, nothing → `true`. */
function literalOf(framework: Framework, binding: string): string {
  const value = /^[^=]+=\s*([\s\S]*)$/.exec(binding)?.[1];
  if (value === undefined) return 'true';
  if (value.startsWith('{')) return value.slice(1, -1).trim();
  const inner = /^(["'])([\s\S]*)\1$/.exec(value)?.[2] ?? value;
  return framework === 'vue' && /^(?::|v-bind:)/.test(binding) ? inner : quoted(inner);
}

/** An attribute that gives a literal, in the shortest form the framework has. */
function giving(framework: Framework, name: string, code: string): string {
  const text = /^'([^'"\\{}<>]*)'$/.exec(code)?.[1];
  if (text !== undefined) return ` ${name}="${text}"`;
  if (code === 'true') return ` ${name}`;
  return ` ${bound(framework, name, code.replace(/"/g, "'"))}`;
}

const typeOf = (code: string): NewProp['type'] =>
  code.startsWith("'") ? 'string' : /^-?\d/.test(code) ? 'number' : /^(?:true|false)$/.test(code) ? 'boolean' : 'unknown';

/** Markup that stands between tags, not within an expression. */
function isBetweenTags(framework: Framework, text: string, span: Span): boolean {
  if (framework !== 'react') return true;
  const before = text.slice(0, span.start).trimEnd();
  return !/(?:=>|[({?:&|,=[]|\breturn)$/.test(before);
}

/** The braces in which an expression of markup stands: all that would have to go with it. */
function container(text: string, span: Span): Span {
  let depth = 0;
  for (let at = span.start - 1; at >= 0; at--) {
    if (text[at] === '}') depth++;
    else if (text[at] === '{' && depth-- === 0) {
      const end = closingAt(text, at);
      if (end >= span.end) return { start: at, end: end + 1 };
      return span;
    }
  }
  return span;
}

/** The stretch that has to be moved or wrapped as one: the node, or the expression that it stands in. */
function unitOf(framework: Framework, text: string, piece: Piece): Span {
  if (framework !== 'react') {
    if (piece.kind === 'element' || piece.kind === 'use') return piece.span;
    const inner = piece.node.kind === 'branch' || piece.node.kind === 'repeat' ? piece.node.children : [];
    const [only, ...more] = inner;
    // A directive stands on the element that it is about; a block stands around what it is about.
    if (framework === 'vue' && inner.length > 0) {
      if (!only || more.length > 0 || only.span.end < piece.span.end) throw new CannotMerge('A condition around several parts differs.');
      return only.span;
    }
    return inner.length > 0 ? blockSpan(text, piece.span) : withBraces(text, piece.span);
  }
  if ((piece.kind === 'element' || piece.kind === 'use') && (isBetweenTags(framework, text, piece.span) || piece.parent < 0))
    return piece.span;
  return piece.parent < 0 ? piece.span : container(text, piece.span);
}

/** The block that a condition or a list of Svelte opens: `{#if open}…{/if}`. */
function blockSpan(text: string, span: Span): Span {
  const start = text.lastIndexOf('{#', span.start);
  const kind = /^\{#(\w+)/.exec(text.slice(start))?.[1];
  if (start < 0 || kind === undefined || /[}>]/.test(text.slice(start + 2, span.start)))
    throw new CannotMerge('Only one way of a condition differs.');
  let depth = 0;
  for (const match of text.slice(start).matchAll(new RegExp(`\\{([#/])${kind}\\b[^}]*\\}`, 'g'))) {
    depth += match[1] === '#' ? 1 : -1;
    if (depth === 0) return { start, end: start + match.index + match[0].length };
  }
  throw new CannotMerge('A block is not closed.');
}

const isExpression = (unit: string): boolean => unit.startsWith('{') && unit.endsWith('}');
const inner = (unit: string): string => (isExpression(unit) ? unit.slice(1, -1).trim() : unit);

function only(framework: Framework, flag: string, unit: string, between: boolean): string {
  if (framework === 'vue') return `<template v-if="${flag}">${unit}</template>`;
  if (framework === 'svelte') return `{#if ${flag}}${unit}{/if}`;
  return between ? `{${flag} && (${inner(unit)})}` : `${flag} && (${inner(unit)})`;
}

function either(framework: Framework, flag: string, second: string, first: string, between: boolean): string {
  if (framework === 'vue') return `<template v-if="${flag}">${second}</template><template v-else>${first}</template>`;
  if (framework === 'svelte') return `{#if ${flag}}${second}{:else}${first}{/if}`;
  const code = `${flag} ? (${inner(second)}) : (${inner(first)})`;
  return between ? `{${code}}` : code;
}

type Work = {
  readonly model: Model;
  readonly laid: Laid;
  readonly framework: Framework;
  readonly puts: Put[];
  readonly props: MergedProp[];
  readonly names: MergeNames;
  /** Names that are in use in the component, and may not be taken. */
  readonly taken: Set<string>;
  /** Names of the other file's imports that come along. */
  readonly imports: Set<string>;
};

/** A prop for what differs; its key is where it stands, so that it stays when others are renamed. */
function newProp(work: Work, kind: MergedProp['kind'], proposed: string, fallback: string, given: string): string {
  const key = `${kind}-${work.props.filter((one) => one.kind === kind).length + 1}`;
  const asked = work.names[key];
  let name = asked !== undefined && /^[A-Za-z_$][\w$]*$/.test(asked) ? asked : proposed;
  for (let turn = 2; work.taken.has(name); turn++) name = `${asked ?? proposed}${turn}`;
  work.taken.add(name);
  const type = fallback === 'undefined' ? typeOf(given) : typeOf(fallback);
  work.props.push({ key, kind, name, fallback, given, type });
  return name;
}

/** Everything that a stretch of the second's markup reads must be there in the first. Throws `CannotMerge` where it is not. */
function bringAlong(work: Work, root: Piece): void {
  const { b, a, names } = work.laid;
  const values = b.component.facts.values;
  const need = (name: string): void => {
    const mine = work.model.named(a.component.file, name);
    const theirs = work.model.named(b.component.file, name);
    if (JSON.stringify(mine) === JSON.stringify(theirs)) return;
    if (mine.kind !== 'unknown') throw new CannotMerge(`${name} means one thing here and another there.`);
    work.imports.add(name);
  };
  const check = (value: number): void => {
    const known = values[value];
    if (!known || known.kind === 'item' || known.kind === 'param' || known.kind === 'handed') return;
    if (known.kind === 'module') need(known.source?.split('.')[0] ?? known.name);
    else if (!names.has(known.name)) {
      if (known.kind !== 'prop')
        throw new CannotMerge(`${known.name} of ${b.component.name} has nothing that stands for it in ${a.component.name}.`);
      work.taken.add(known.name);
      work.props.push({ key: `prop-${known.name}`, kind: 'value', name: known.name, fallback: 'undefined', given: '', type: 'unknown' });
      (names as Map<string, string>).set(known.name, known.name);
    }
  };
  walkTemplate([root.node], (node: TemplateNode) => {
    if (node.kind === 'use' && node.tag !== '') need(node.tag.split('.')[0] ?? '');
    const readings =
      node.kind === 'outlet'
        ? [...(node.reading ? [node.reading] : []), ...node.hands.flat()]
        : node.kind === 'element' || node.kind === 'use'
          ? []
          : node.readings;
    for (const reading of readings) check(reading.value);
    if (node.kind !== 'element' && node.kind !== 'use') return;
    for (const spread of node.spreads) for (const reading of spread.readings) check(reading.value);
    for (const binding of node.bindings) {
      for (const reading of binding.readings) check(reading.value);
      const action = binding.action === undefined ? undefined : b.component.facts.actions[binding.action];
      for (const one of [...(action?.reads ?? []), ...(action?.changes ?? []), ...(action?.invokes ?? []), ...(action?.raises ?? [])])
        if (one.value !== undefined) check(one.value);
    }
  });
}

/** The pair of pieces in which a difference lies that can only be told as two forms: the nearest that stand for each other. */
function enclosingPair(laid: Laid, [a, b]: Hole['around']): readonly [number, number] {
  for (let at = a; at >= 0; at = laid.a.nodes[at]?.parent ?? -1) {
    const pair = laid.alignment.pairs.find(([one]) => one === at);
    if (pair && isWithin(laid, pair[1], b)) return pair;
  }
  const [root, other] = [laid.a.roots, laid.b.roots];
  if (root.length === 1 && other.length === 1) return [root[0] ?? -1, other[0] ?? -1];
  throw new CannotMerge('They differ in what stands outermost, and there are several parts of it.');
}

function isWithin({ b }: Laid, outer: number, at: number): boolean {
  return at < 0 ? false : outer <= at && at < (b.nodes[outer]?.end ?? -1);
}

/** What must be said as two forms, beside what can be said by a prop. */
function isForm(work: Work, hole: Hole): boolean {
  if (hole.kind === 'text') return hole.a === undefined || hole.b === undefined;
  if (hole.kind === 'class' || hole.kind === 'value') return hole.texts === undefined || hole.a === undefined;
  if (hole.kind === 'presence') return !canInsert(work, hole);
  return true;
}

function canInsert(work: Work, hole: Hole): boolean {
  const { laid, framework } = work;
  const text = laid.texts[hole.a ? 0 : 1];
  const piece = hole.a ? laid.a.nodes[hole.difference?.a ?? -1] : laid.b.nodes[hole.difference?.b ?? -1];
  const [around, other] = [laid.a.nodes[hole.around[0]], laid.b.nodes[hole.around[1]]];
  if (!piece || /\bv-else\b/.test(text.slice(piece.span.start, piece.span.end).slice(0, 200))) return false;
  try {
    unitOf(framework, text, piece);
  } catch (error) {
    if (error instanceof CannotMerge) return false;
    throw error;
  }
  if (hole.a) return piece.parent >= 0;
  if (!other || (other.kind !== 'element' && other.kind !== 'use')) return false;
  const mine = laid.alignment.pairs.find(([, one]) => one === other.index)?.[0];
  const into = mine === undefined ? undefined : laid.a.nodes[mine];
  return (
    around === undefined &&
    into !== undefined &&
    contentSpan(laid.texts[0], into.span) !== undefined &&
    (framework !== 'react' || isBetweenTags(framework, text, unitOf(framework, text, piece)))
  );
}

const commonWords = new Set(['App', 'Page', 'View', 'Item']);

/** What the second's name says that the first's does not: `HintBubble`, `InfoBubble` → `Info`. */
function ownWord(first: string, second: string): string {
  const words = (name: string): string[] => name.match(/[A-Z][a-z0-9]*|[a-z0-9]+/g) ?? [name];
  const others = new Set(words(first));
  const own = words(second).filter((word) => !others.has(word) && !commonWords.has(word));
  return own.length > 0 ? pascal(own.join(' ')) : pascal(second);
}

function formHole(work: Work, [a, b]: readonly [number, number], forms: Map<number, string>): void {
  const { laid, framework } = work;
  const [mine, theirs] = [laid.a.nodes[a], laid.b.nodes[b]];
  if (!mine || !theirs) throw new CannotMerge('They differ as a whole.');
  bringAlong(work, theirs);
  const known = [...forms.values()][0];
  const flag = known ?? newProp(work, 'form', `is${ownWord(laid.a.component.name, laid.b.component.name)}`, 'false', 'true');
  forms.set(a, flag);
  const [first, second] = [unitOf(framework, laid.texts[0], mine), unitOf(framework, laid.texts[1], theirs)];
  const between =
    mine.parent >= 0 && (isBetweenTags(framework, laid.texts[0], first) || isExpression(laid.texts[0].slice(first.start, first.end)));
  const other = renamed(laid.texts[1].slice(second.start, second.end), laid.names);
  work.puts.push({ ...first, text: either(framework, flag, other, laid.texts[0].slice(first.start, first.end), between) });
}

/** A name for what a text says: by the element it stands in. */
const textName = (tag: string): string =>
  /^h\d$/.test(tag) ? 'title' : tag === 'button' ? 'action' : tag === 'label' || tag === 'legend' ? 'label' : 'text';

function propHole(work: Work, hole: Hole): void {
  const { laid, framework } = work;
  if (hole.kind === 'text' && hole.a && hole.texts) {
    const name = newProp(work, 'text', textName(hole.about), quoted(hole.texts[0]), quoted(hole.texts[1]));
    work.puts.push({ ...hole.a, text: shown(framework, name) });
  } else if ((hole.kind === 'class' || hole.kind === 'value') && hole.a) {
    const says = literalOf(framework, laid.texts[0].slice(hole.a.start, hole.a.end));
    const also = hole.b ? literalOf(framework, laid.texts[1].slice(hole.b.start, hole.b.end)) : 'undefined';
    const about = hole.about.replace(/^(?::|v-bind:)/, '');
    const name = newProp(
      work,
      hole.kind,
      hole.kind === 'class' ? 'tone' : about.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase()),
      says,
      also,
    );
    work.puts.push({ ...hole.a, text: bound(framework, about, name) });
  } else if (hole.kind === 'presence') presenceHole(work, hole);
}

function presenceHole(work: Work, hole: Hole): void {
  const { laid, framework } = work;
  const [mine, theirs] = [laid.a.nodes[hole.difference?.a ?? -1], laid.b.nodes[hole.difference?.b ?? -1]];
  const proposed = `with${pascal(nameOf(mine ?? theirs)) || 'More'}`;
  if (mine) {
    const flag = newProp(work, 'presence', proposed, 'true', 'false');
    const unit = unitOf(framework, laid.texts[0], mine);
    const text = laid.texts[0].slice(unit.start, unit.end);
    work.puts.push({ ...unit, text: only(framework, flag, text, isBetweenTags(framework, laid.texts[0], unit) || isExpression(text)) });
    return;
  }
  if (!theirs) return;
  bringAlong(work, theirs);
  const flag = newProp(work, 'presence', proposed, 'false', 'true');
  const unit = unitOf(framework, laid.texts[1], theirs);
  const at = placeFor(work, theirs);
  work.puts.push({ start: at, end: at, text: only(framework, flag, renamed(laid.texts[1].slice(unit.start, unit.end), laid.names), true) });
}

/** Where in the first a piece of the second belongs: behind what stands before it, or before what stands behind it. */
function placeFor({ laid, framework }: Work, theirs: Piece): number {
  const siblings = theirs.parent >= 0 ? (laid.b.nodes[theirs.parent]?.children ?? []) : laid.b.roots;
  const at = siblings.indexOf(theirs.index);
  const partner = (index: number | undefined): Piece | undefined => {
    const pair = laid.alignment.pairs.find(([, other]) => other === index);
    return pair && laid.a.nodes[pair[0]];
  };
  for (let before = at - 1; before >= 0; before--) {
    const mine = partner(siblings[before]);
    if (mine) return unitOf(framework, laid.texts[0], mine).end;
  }
  for (let after = at + 1; after < siblings.length; after++) {
    const mine = partner(siblings[after]);
    if (mine) return unitOf(framework, laid.texts[0], mine).start;
  }
  const into = partner(theirs.parent);
  const content = into && contentSpan(laid.texts[0], into.span);
  if (!content) throw new CannotMerge(`There is no place for ${nameOf(theirs)}.`);
  return content.start;
}

/** Insertions and replacements made in a text; of two that overlap, the outer one has the inner one's text already. */
function made(text: string, puts: readonly Put[]): string {
  let result = text;
  let from = text.length + 1;
  for (const put of [...puts].sort((x, y) => y.start - x.start || y.end - x.end)) {
    if (put.end > from) throw new CannotMerge('Two of the differences lie within each other.');
    result = result.slice(0, put.start) + put.text + result.slice(put.end);
    from = put.start;
  }
  return result;
}

/** Rewrites one use of the second component as a use of the first. */
function useEdits(work: Work, use: Use, text: string, tag: string): TextEdit[] {
  const { names, b } = work.laid;
  const { node, file } = use;
  if (node.spreads.length > 0) throw new CannotMerge(`${use.file} gives ${b.component.name} what cannot be seen.`);
  if (node.asValue || node.nameSpan.end <= node.nameSpan.start)
    throw new CannotMerge(`${use.file} hands ${b.component.name} on as a value.`);
  const edit = (start: number, end: number, to: string): TextEdit => ({ file, start, end, was: text.slice(start, end), text: to });
  const edits = [edit(node.nameSpan.start, node.nameSpan.end, tag)];
  const whole = text.slice(node.span.start, node.span.end);
  const end = new RegExp(`</\\s*${text.slice(node.nameSpan.start, node.nameSpan.end)}\\s*>$`).exec(whole);
  if (end) edits.push(edit(node.span.start + end.index + 2, node.span.end - 1, tag));
  for (const binding of node.bindings) {
    const plain = binding.name.replace(/^(?:@|on:|bind:|#)/, '');
    const mine = names.get(binding.name)?.replace(/^(?:@|on:|bind:|#)/, '') ?? names.get(plain);
    if (mine === undefined || mine === plain) continue;
    const written = text.slice(binding.span.start, binding.span.end);
    if (written.startsWith('{')) edits.push(edit(binding.span.start, binding.span.end, `${mine}=${written}`));
    else if (text.slice(binding.nameSpan.end - plain.length, binding.nameSpan.end) === plain)
      edits.push(edit(binding.nameSpan.end - plain.length, binding.nameSpan.end, mine));
    else throw new CannotMerge(`${plain} is given in ${file} in a form that is not followed.`);
  }
  const added = work.props
    .filter((prop) => prop.given !== '' && prop.given !== prop.fallback && prop.given !== 'undefined')
    .map((prop) => giving(work.framework, prop.name, prop.given));
  // Where the first has a default of its own, what is not given must be said.
  const cleared = work.props.filter((prop) => prop.given === 'undefined' && prop.fallback !== 'undefined');
  if (cleared.length > 0) throw new CannotMerge(`${cleared[0]?.name ?? ''} has to be left out in one of them.`);
  if (added.length > 0) edits.push(edit(node.nameSpan.end, node.nameSpan.end, added.join('')));
  return edits;
}

/** A component's own text, from the line on of whatever is changed before it: the type of its props. */
function withTypes(text: string, span: Span, puts: readonly Put[]): Span {
  const start = Math.min(span.start, ...puts.map((put) => put.start));
  return { start: text.lastIndexOf('\n', start - 1) + 1, end: span.end };
}

/** The whole of a component's declaration with its export and the line it ends. */
function declarationSpan(text: string, { facts }: Component): Span {
  let { start, end } = facts.span;
  const before = /(?:export\s+(?:default\s+)?)?(?:const\s+\w+(?:\s*:[^=]+)?\s*=\s*)?$/.exec(text.slice(0, start));
  start -= before?.[0].length ?? 0;
  end += /^\s*;?[^\S\n]*\n?\n?/.exec(text.slice(end))?.[0].length ?? 0;
  return { start, end };
}

function removalOf(model: Model, component: Component, text: string): TextEdit {
  const file = model.files.get(component.file);
  const isAlone =
    component.facts.form === 'file' || ((file?.components.length ?? 0) === 1 && (file?.shared.length ?? 0) === 0 && !file?.module);
  const span = isAlone ? { start: 0, end: text.length } : declarationSpan(text, component);
  return { file: component.file, ...span, was: text.slice(span.start, span.end), text: '' };
}

function merge(
  model: Model,
  one: Component,
  other: Component,
  texts: readonly [string, string],
  textOf: (file: FilePath) => string | undefined,
  asked: MergeNames,
): Merged {
  const laid = layBeside(model, one, other, texts);
  const framework = one.framework;
  if (laid.alignment.pairs.length === 0) throw new CannotMerge('Their markup has nothing in common.');
  if (laid.a.nodes.length > 0 && one.facts.wrappedBy.length + other.facts.wrappedBy.length > 0)
    throw new CannotMerge('One of them is wrapped by a function.');
  const differs = sameScript(one, other, texts, laid.names as Map<string, string>);
  if (differs !== undefined) throw new CannotMerge(differs);
  const taken = new Set([...one.facts.values.map((value) => value.name), ...one.contract.props.keys()]);
  const work: Work = { model, laid, framework, puts: [], props: [], names: asked, taken, imports: new Set() };
  const forms = new Map<number, string>();
  const regions = [
    ...new Map(
      laid.holes
        .filter((hole) => isForm(work, hole))
        .map((hole) => {
          const pair = enclosingPair(laid, hole.around);
          return [pair[0], pair] as const;
        }),
    ).values(),
  ];
  const outer = regions.filter(([a]) => !regions.some(([at]) => at !== a && at <= a && a < (laid.a.nodes[at]?.end ?? -1)));
  const isInForm = (hole: Hole): boolean =>
    outer.some(([a, b]) => {
      const [mine, theirs] = [laid.a.nodes[a], laid.b.nodes[b]];
      return (
        (hole.a && mine && hole.a.start >= mine.span.start && hole.a.end <= mine.span.end) ||
        (hole.b && theirs && hole.b.start >= theirs.span.start && hole.b.end <= theirs.span.end)
      );
    });
  for (const pair of outer) formHole(work, pair, forms);
  for (const hole of laid.holes) if (!isForm(work, hole) && !isInForm(hole)) propHole(work, hole);
  const declared = declareProps(texts[0], one, work.props);
  if (!declared) throw new CannotMerge(`The props of ${one.name} are declared in a form that is not followed.`);
  const puts = [...work.puts, ...declared.map(({ at, text }): Put => ({ start: at, end: at, text }))];
  const uses = (model.usesOf.get(other.id) ?? []).filter((use) => model.components.get(use.owner)?.fileRole === 'source');
  const inFile = new Map<FilePath, Use[]>();
  for (const use of uses) inFile.set(use.file, [...(inFile.get(use.file) ?? []), use]);
  const edits: TextEdit[] = puts.map((put) => ({
    file: one.file,
    start: put.start,
    end: put.end,
    was: texts[0].slice(put.start, put.end),
    text: put.text,
  }));
  edits.push(...importEdits(model, other, one, { names: work.imports, into: texts[0], from: texts[1] }));
  for (const [file, all] of inFile) {
    const text = textOf(file);
    if (text === undefined) throw new CannotMerge(`${file} is not at hand.`);
    const named = importEdits(model, other, one, { file, text });
    edits.push(...named.edits);
    for (const use of all) edits.push(...useEdits(work, use, text, named.tag));
  }
  edits.push(removalOf(model, other, texts[1]));
  // Throws where the differences lie within each other.
  made(texts[0], puts);
  const span = one.facts.form === 'file' ? { start: 0, end: texts[0].length } : withTypes(texts[0], one.facts.span, puts);
  const own = puts.filter((put) => put.start >= span.start && put.end <= span.end);
  const text = made(
    texts[0].slice(span.start, span.end),
    own.map((put) => ({ start: put.start - span.start, end: put.end - span.start, text: put.text })),
  );
  return { name: one.name, text, props: work.props, edits, uses: uses.length };
}

/**
 * One component in the place of two: the first with a prop for each place where they differ (what
 * Plotkin 1970, “A note on inductive generalization”, calls their least general generalisation), each
 * use of the second rewritten, and the second taken away. Says why where that cannot be written as
 * text with certainty.
 */
export function mergeTwins(
  model: Model,
  a: ComponentId,
  b: ComponentId,
  textOf: (file: FilePath) => string | undefined,
  names: MergeNames = {},
): Merged | NotMerged {
  const [one, other] = [model.components.get(a), model.components.get(b)];
  const texts = [one && textOf(one.file), other && textOf(other.file)] as const;
  if (!one || !other || texts[0] === undefined || texts[1] === undefined) return { wrong: 'One of them is not there any more.' };
  if (one.framework !== other.framework) return { wrong: 'They are written for two frameworks.' };
  if (one.file === other.file && one.facts.form !== 'function') return { wrong: 'They stand in one file.' };
  try {
    return merge(model, one, other, [texts[0], texts[1]], textOf, names);
  } catch (error) {
    if (error instanceof CannotMerge) return { wrong: error.message };
    throw error;
  }
}
