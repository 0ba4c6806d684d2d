import type { TextEdit } from '../../model/finding';
import type { ComponentId } from '../../model/ids';
import type { Component, Model, Use } from '../../model/model';
import type { FilePath, Span } from '../../model/span';
import { declareProps } from './declare';
import { enclosingPair, formHole, isForm, type MergedProp, type MergeNames, propHole, type Put, scriptHole, type Work } from './fill';
import { type Hole, layBeside } from './holes';
import { importEdits, sameMeaning } from './imports';
import { refuseHidden } from './rest';
import { compareScripts } from './script';
import { isPropSlot, slotGiven, slotHole, swapsOf } from './slots';
import { CannotMerge, giving } from './written';

export type { MergedProp, MergeNames } from './fill';

export type Merged = {
  /** The component that stays, and its text with the new props. */
  readonly name: string;
  readonly text: string;
  readonly props: readonly MergedProp[];
  /** All changes: of the component that stays, of each use, and the other one taken away. */
  readonly edits: readonly TextEdit[];
  readonly uses: number;
};

/** What cannot be written as text, and why. */
export type NotMerged = { readonly wrong: string };

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
  for (const given of slotGiven(work, text, node.span, tag)) edits.push(edit(given.start, given.end, given.text));
  const added = work.props
    .filter((prop) => prop.kind !== 'slot' || work.framework === 'react')
    .filter((prop) => prop.given !== '' && prop.given !== prop.fallback && prop.given !== 'undefined')
    .map((prop) => giving(work.framework, prop.name, prop.given));
  // Where the first has a default of its own, what is not given must be said.
  const cleared = work.props.filter((prop) => prop.given === 'undefined' && prop.fallback !== 'undefined');
  if (cleared.length > 0) throw new CannotMerge(`${cleared[0]?.name ?? ''} has to be left out in one of them.`);
  if (added.length > 0) edits.push(edit(node.nameSpan.end, node.nameSpan.end, added.join('')));
  return edits;
}

const isWithinSpan = (inner: Span | undefined, outer: Span): boolean =>
  inner !== undefined && inner.start >= outer.start && inner.end <= outer.end;

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

/** What both call by one name must be one thing: styles and settings often are not. */
function refuseOtherMeanings(model: Model, one: Component, other: Component): void {
  const theirs = new Set(importedNames(model, other));
  for (const name of importedNames(model, one))
    if (theirs.has(name) && !sameMeaning(model, one.file, other.file, name))
      throw new CannotMerge(`${name} means one thing in ${one.name} and another in ${other.name}.`);
}

const importedNames = (model: Model, { file }: Component): string[] =>
  (model.files.get(file)?.imports ?? []).flatMap((fact) => (fact.typeOnly ? [] : [fact.local]));

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
  refuseOtherMeanings(model, one, other);
  const scripts = compareScripts(one, other, texts, laid.names as Map<string, string>);
  if ('wrong' in scripts) throw new CannotMerge(scripts.wrong);
  const taken = new Set([...one.facts.values.map((value) => value.name), ...one.contract.props.keys()]);
  const work: Work = { model, laid, framework, puts: [], props: [], names: asked, taken, imports: new Set() };
  const forms = new Map<number, string>();
  const swaps = swapsOf(laid, framework);
  const swapped = new Set(swaps.flatMap((swap) => swap.holes));
  const isInSwap = (hole: Hole): boolean =>
    swapped.has(hole) || swaps.some(({ a, b }) => isWithinSpan(hole.a, a.span) || isWithinSpan(hole.b, b.span));
  const regions = [
    ...new Map(
      laid.holes
        .filter((hole) => !isInSwap(hole) && isForm(work, hole))
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
  for (const hole of laid.holes) {
    if (isInForm(hole)) continue;
    const swap = swaps.find((one) => one.holes[0] === hole);
    if (swap) slotHole(work, swap);
    else if (!isInSwap(hole) && !isForm(work, hole)) propHole(work, hole);
  }
  refuseHidden(work);
  for (const hole of scripts.holes) scriptHole(work, hole);
  const declared = declareProps(
    texts[0],
    one,
    work.props.filter((prop) => prop.kind !== 'slot' || isPropSlot(work)),
  );
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
