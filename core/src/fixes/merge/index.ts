import { adapterOf, markupOf } from '../../frameworks/registry';
import type { TextEdit } from '../../model/finding';
import type { ComponentId } from '../../model/ids';
import type { Component, Model, Use } from '../../model/model';
import type { FilePath } from '../../model/span';
import { type Hole, isInSwap, layBeside, swapsOf } from '../../overlap';
import { dropUnusedImports, putImport, wayTo, writeImports } from '../imports';
import { statementSpan } from '../lists';
import { applyEdits } from '../patch';
import { CannotWrite, type ReadText, Rewrite } from '../rewrite';
import { endOf, type Source, startOf } from '../source';
import { handsOn, sameMeaning } from '../ways';
import { giving } from '../written';
import { declareProps } from './declare';
import { enclosingPair, formHole, isForm, type MergedProp, type MergeNames, propHole, scriptHole, type Work } from './fill';
import { refuseHidden } from './rest';
import { compareScripts } from './script';
import { isPropSlot, slotGiven, slotHole } from './slots';

export type { MergedProp, MergeNames } from './fill';

export type Merged = {
  /** The component that stays, and its text with the new props. */
  readonly name: string;
  readonly text: string;
  readonly props: readonly MergedProp[];
  /** All changes: of the component that stays, of each use, and the other one taken away. */
  readonly edits: readonly TextEdit[];
  /** Those of them that rewrite uses, without imports. */
  readonly useEdits: readonly TextEdit[];
  readonly uses: number;
};

/** What cannot be written as text, and why. */
export type NotMerged = { readonly wrong: string };

/** Rewrites one use of the second component as a use of the first, which its file calls `tag`. */
function rewriteUse(rewrite: Rewrite, work: Work, { node, file }: Use, tag: string): void {
  const { names, a, b } = work.laid;
  const source = rewrite.source(a.component, file);
  const { text } = source;
  if (node.spreads.length > 0) throw new CannotWrite(`${file} gives ${b.component.name} what cannot be seen.`);
  if (node.asValue || node.nameSpan.end <= node.nameSpan.start) throw new CannotWrite(`${file} hands ${b.component.name} on as a value.`);
  const edit = (start: number, end: number, to: string): void => rewrite.put(source, { start, end }, to);
  edit(node.nameSpan.start, node.nameSpan.end, tag);
  const whole = text.slice(node.span.start, node.span.end);
  const end = new RegExp(`</\\s*${text.slice(node.nameSpan.start, node.nameSpan.end)}\\s*>$`).exec(whole);
  if (end) edit(node.span.start + end.index + 2, node.span.end - 1, tag);
  for (const binding of node.bindings) {
    const plain = binding.to.name;
    const mine = names.get(plain);
    if (mine === undefined || mine === plain) continue;
    const written = text.slice(binding.span.start, binding.span.end);
    if (written.startsWith('{')) edit(binding.span.start, binding.span.end, `${mine}=${written}`);
    else if (text.slice(binding.nameSpan.end - plain.length, binding.nameSpan.end) === plain)
      edit(binding.nameSpan.end - plain.length, binding.nameSpan.end, mine);
    else throw new CannotWrite(`${plain} is given in ${file} in a form that is not followed.`);
  }
  for (const given of slotGiven(work, text, node.span, tag)) edit(given.start, given.end, given.text);
  const added = work.props
    .filter((prop) => prop.kind !== 'slot' || markupOf(work.framework) === 'expression')
    .filter((prop) => prop.given !== '' && prop.given !== prop.fallback && prop.given !== 'undefined')
    .map((prop) => giving(work.framework, prop.name, prop.given));
  // Where the first has a default of its own, what is not given must be said.
  const cleared = work.props.filter((prop) => prop.given === 'undefined' && prop.fallback !== 'undefined');
  if (cleared.length > 0) throw new CannotWrite(`${cleared[0]?.name ?? ''} has to be left out in one of them.`);
  if (added.length > 0) edit(node.nameSpan.end, node.nameSpan.end, added.join(''));
}

const isDefault = (model: Model, { file, facts }: Component): boolean =>
  facts.form === 'file' || (model.files.get(file)?.exports.some((one) => one.exported === 'default' && one.local === facts.local) ?? false);

/** What a file calls a component; where it does not know it yet, its import is asked for. */
function tagIn(rewrite: Rewrite, component: Component, file: FilePath): string {
  const { model } = rewrite;
  if (file === component.file) return component.facts.local;
  const known = model.files.get(file)?.imports.find(({ local }) => {
    const meant = model.named(file, local);
    return meant.kind === 'component' && meant.id === component.id;
  });
  if (known) return known.local;
  const source = rewrite.source(component, file);
  rewrite.need(source, isDefault(model, component) ? `default ${component.name}` : component.name, wayTo(source, rewrite, component.file));
  return component.name;
}

/** A component's own text as some edits make it, from the line on of whatever is changed before it: the type of its props. */
function textAfter({ text }: Source, { facts }: Component, edits: readonly TextEdit[]): string {
  if (facts.form === 'file') return applyEdits(text, edits);
  const before = Math.min(facts.span.start, ...edits.map((edit) => edit.start));
  const start = text.lastIndexOf('\n', before - 1) + 1;
  const own = edits.filter((edit) => edit.end <= facts.span.end);
  return applyEdits(
    text.slice(start, facts.span.end),
    own.map((edit) => ({ ...edit, start: edit.start - start, end: edit.end - start })),
  );
}

/** Takes a component away, with its file where that holds nothing else. */
function remove(rewrite: Rewrite, { file, facts, name }: Component, source: Source): 'file' | 'part' {
  const all = rewrite.model.files.get(file);
  const isAlone = facts.form === 'file' || ((all?.components.length ?? 0) === 1 && (all?.shared.length ?? 0) === 0 && !all?.module);
  if (isAlone) {
    rewrite.put(source, { start: 0, end: source.text.length }, '');
    return 'file';
  }
  const statement = source.program.body.find((one) => startOf(one) <= facts.span.start && endOf(one) >= facts.span.end);
  const declaration = statement?.type === 'ExportNamedDeclaration' ? statement.declaration : statement;
  if (!statement || (declaration?.type === 'VariableDeclaration' && declaration.declarations.length > 1))
    throw new CannotWrite(`${name} stands in a form that is not followed.`);
  const { start, end } = statementSpan(source, statement);
  rewrite.put(source, { start, end: end + (/^\r?\n/.exec(source.text.slice(end))?.[0].length ?? 0) }, '');
  return 'part';
}

/** What both call by one name must be one thing: styles and settings often are not. */
function refuseOtherMeanings(model: Model, one: Component, other: Component): void {
  const theirs = new Set(importedNames(model, other));
  for (const name of importedNames(model, one))
    if (theirs.has(name) && !sameMeaning(model, one.file, other.file, name))
      throw new CannotWrite(`${name} means one thing in ${one.name} and another in ${other.name}.`);
}

const importedNames = (model: Model, { file }: Component): string[] =>
  (model.files.get(file)?.imports ?? []).flatMap((fact) => (fact.typeOnly ? [] : [fact.local]));

function merge(rewrite: Rewrite, one: Component, other: Component, asked: MergeNames): Merged {
  const { model } = rewrite;
  const [first, second] = [rewrite.source(one), rewrite.source(other)];
  const texts = [first.text, second.text] as const;
  const laid = layBeside(model, one, other, texts);
  const framework = one.framework;
  if (laid.alignment.pairs.length === 0) throw new CannotWrite('Their markup has nothing in common.');
  if (laid.a.nodes.length > 0 && one.facts.wrappedBy.length + other.facts.wrappedBy.length > 0)
    throw new CannotWrite('One of them is wrapped by a function.');
  refuseOtherMeanings(model, one, other);
  const scripts = compareScripts(one, other, texts, laid.names as Map<string, string>);
  if ('wrong' in scripts) throw new CannotWrite(scripts.wrong);
  const taken = new Set([...one.facts.values.map((value) => value.name), ...one.contract.members.keys()]);
  const work: Work = { model, laid, framework, puts: [], props: [], names: asked, taken, imports: new Set() };
  const forms = new Map<number, string>();
  const swaps = swapsOf(laid, framework);
  const regions = [
    ...new Map(
      laid.holes
        .filter((hole) => !isInSwap(hole, swaps) && isForm(work, hole))
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
    else if (!isInSwap(hole, swaps) && !isForm(work, hole)) propHole(work, hole);
  }
  refuseHidden(work);
  for (const hole of scripts.holes) scriptHole(work, hole);
  for (const put of work.puts) rewrite.put(first, put, put.text);
  declareProps(
    rewrite,
    one,
    work.props.filter((prop) => prop.kind !== 'slot' || isPropSlot(work)),
  );
  const text = textAfter(first, one, rewrite.editsOf(one.file));
  for (const name of work.imports) putImport(rewrite, second, first, name);
  const uses = (model.usesOf.get(other.id) ?? []).filter((use) => model.components.get(use.owner)?.fileRole === 'source');
  const useEdits = rewrite.recorded(() => {
    for (const use of uses) rewriteUse(rewrite, work, use, tagIn(rewrite, one, use.file));
  });
  const gone = remove(rewrite, other, second);
  const keeper = gone === 'file' ? handsOn(model, other.file) : undefined;
  if (keeper !== undefined) throw new CannotWrite(`${keeper} hands ${other.name} on to others.`);
  writeImports(rewrite);
  for (const source of rewrite.opened()) if (source !== second || gone === 'part') dropUnusedImports(rewrite, source);
  return { name: one.name, text, props: work.props, edits: rewrite.edits(), useEdits, uses: uses.length };
}

/**
 * One component in the place of two: the first with a prop for each place where they differ (what
 * Plotkin 1970, “A note on inductive generalization”, calls their least general generalisation), each
 * use of the second rewritten, and the second taken away. Says why where that cannot be written as
 * text with certainty.
 */
export function mergeTwins(model: Model, a: ComponentId, b: ComponentId, textOf: ReadText, names: MergeNames = {}): Merged | NotMerged {
  const [one, other] = [model.components.get(a), model.components.get(b)];
  if (!one || !other || textOf(one.file) === undefined || textOf(other.file) === undefined)
    return { wrong: 'One of them is not there any more.' };
  if (one.facts.element ?? other.facts.element) return { wrong: 'Liana does not write this change for components that are elements.' };
  if (one.framework !== other.framework) return { wrong: 'They are written for two frameworks.' };
  if (!adapterOf(one.framework).write.rewrites)
    return { wrong: `Liana does not write this change for ${adapterOf(one.framework).name} yet.` };
  if (one.file === other.file && one.facts.form !== 'function') return { wrong: 'They stand in one file.' };
  try {
    return merge(new Rewrite(model, textOf), one, other, names);
  } catch (error) {
    if (error instanceof CannotWrite) return { wrong: error.message };
    throw error;
  }
}
