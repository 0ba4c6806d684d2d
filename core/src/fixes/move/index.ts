import { adapterOf, markupOf } from '../../frameworks/registry';
import { readFile } from '../../frameworks/read-file';
import type { WhatIf } from '../../what-if';
import type { Stand } from '../../what-if/move';
import { spotAt } from '../../what-if/stand';
import type { TemplateNode, TemplateUse } from '../../model/facts';
import { literalPattern } from '../../model/literal-pattern';
import { useById } from '../../model/lookup';
import type { Component, Model } from '../../model/model';
import type { FilePath } from '../../model/span';
import type { Tree } from '../../model/tree';
import { templateChildren, usesIn } from '../../model/walk';
import { counted } from '../../rules';
import { dropUnusedImports, putImport, wayTo, writeImports } from '../imports';
import { applyEdits } from '../patch';
import type { Proposal } from '../propose';
import { CannotWrite, type ReadText, Rewrite } from '../rewrite';
import { indentAt, type Source } from '../source';
import { sameMeaning } from '../ways';
import { cutSpan, putInMarkup, putInSlot } from './place';

/**
 * The edits by which some places stand elsewhere, for the texts that `textOf` gives; or why they cannot be written with
 * certainty. `answers` are those to the same moves: where a value would be lost, or an event not be heard, nothing is written.
 */
export function proposeMoves(
  model: Model,
  tree: Tree,
  stands: readonly Stand[],
  answers: readonly (WhatIf | undefined)[],
  textOf: ReadText,
): Proposal {
  const rewrite = new Rewrite(model, textOf);
  try {
    const says = stands.map((stand, at) => writeMove(rewrite, tree, stand, answers[at]));
    writeImports(rewrite);
    for (const source of rewrite.opened()) dropUnusedImports(rewrite, source);
    const edits = rewrite.edits();
    for (const source of rewrite.opened()) refuseUnreadable(source, applyEdits(source.text, rewrite.editsOf(source.file)));
    return { says: says.filter((one) => one !== '').join(' '), edits };
  } catch (error) {
    if (error instanceof CannotWrite) return { wrong: error.message };
    throw error;
  }
}

const undeclaredIn = (file: FilePath, text: string): string[] =>
  readFile(file, text).components.flatMap(({ undeclared = [] }) => undeclared.map(({ name }) => name));

/** Throws where a file could not be read any more, or names what nothing declares. */
function refuseUnreadable({ file, text }: Source, after: string): void {
  if (readFile(file, after).problems.length > readFile(file, text).problems.length)
    throw new CannotWrite(`${file} could not be read after it.`);
  const known = new Set(undeclaredIn(file, text));
  const unknown = undeclaredIn(file, after).find((name) => !known.has(name));
  if (unknown !== undefined) throw new CannotWrite(`${unknown} is not declared where it would stand.`);
}

/** Throws where the part would not be what it is: the reason, in a sentence. */
function refuseOther(name: string, answered: WhatIf): void {
  if (answered.endless) throw new CannotWrite(`${name} would stand within itself, again and again, unless a condition ends it.`);
  const unanswered = answered.answers.find(({ before, after }) => before !== null && after === null);
  if (unanswered) throw new CannotWrite(`Nobody would answer ${unanswered.key} of ${unanswered.component}.`);
  const nobody = answered.elsewhere.find(({ after }) => after === null);
  if (nobody) throw new CannotWrite(`On ${nobody.page} nobody would answer ${nobody.key} of ${nobody.component}.`);
  const [lost] = answered.lost;
  if (lost) throw new CannotWrite(`${lost.component} would not be given ${lost.name}: where that is to come from is for you to say.`);
  const [another] = answered.another;
  if (another) throw new CannotWrite(`${another.component} would be given another value for ${another.name}.`);
  const [unheard] = answered.unheard;
  if (unheard) throw new CannotWrite(`Nobody would hear ${unheard.event} of ${unheard.component}: who is to hear it is for you to say.`);
}

/** Writes one move; what else it would do, in a sentence, empty for nothing. */
function writeMove(rewrite: Rewrite, tree: Tree, stand: Stand, answered: WhatIf | undefined): string {
  const { model } = rewrite;
  const [moved, target] = [tree.places[stand.moved], tree.places[stand.target]];
  const use = moved?.use && useById(model, moved.use);
  const from = use && model.components.get(use.owner);
  const spot = target && spotAt(model, tree, target, stand.slot);
  const to = spot && model.components.get(spot.owner.component);
  const part = moved && model.components.get(moved.component);
  if (!use || !from || !to || !target || !part) throw new CannotWrite('It is not there any more.');
  if (!answered) throw new CannotWrite(`${part.name} cannot stand in itself.`);
  refuseOther(part.name, answered);
  for (const one of [from, to]) {
    const { name, write } = adapterOf(one.framework);
    if (one.facts.element || !write.rewrites || one.role !== 'component')
      throw new CannotWrite(`Liana does not write moves for ${one.role === 'component' ? name : 'what no component writes'} yet.`);
  }
  if (from.framework !== to.framework) throw new CannotWrite(`${from.name} and ${to.name} are of two frameworks.`);
  if (use.node.tag === '' || use.node.asValue) throw new CannotWrite(`${part.name} is chosen while running.`);
  const targetUse = stand.slot === undefined || !target.use ? undefined : useById(model, target.use);
  if (stand.slot !== undefined && targetUse?.owner !== to.id) throw new CannotWrite('What it would stand in is not there any more.');
  refuseGuarded(from, use.node, from === to ? targetUse?.node : undefined, part.name);
  const [source, goal] = [rewrite.source(from), rewrite.source(to)];
  if (targetUse && source === goal && isSpanIn(use.node, targetUse.node)) throw new CannotWrite(`${part.name} cannot stand in itself.`);
  const { start, end } = use.node.span;
  const body = { text: source.text.slice(start, end), indent: indentAt(source.text, start) };
  if (source !== goal) bringNames(rewrite, source, goal, from, use.node, body.text);
  const cut = cutSpan(source, use.node.span, from);
  rewrite.put(source, cut, '');
  const put = rewrite.recorded(() => {
    if (stand.slot === undefined) putInMarkup(rewrite, goal, to, body);
    else if (targetUse) {
      const holder = model.components.get(target.component);
      putInSlot(rewrite, goal, targetUse.node, stand.slot, body, holder ? rewrite.source(holder).text : '');
    }
  });
  // It would be put where it ends, or into what is taken out with it.
  if (put.some((one) => one.file === source.file && one.start > cut.start && one.start <= cut.end))
    throw new CannotWrite(`${part.name} stands there already, the last of what is in it.`);
  const uses = stand.slot === undefined ? (model.usesOf.get(to.id) ?? []).length : 0;
  return uses > 1 ? `${to.name} has ${counted(uses, 'use')}: ${part.name} would stand in each.` : '';
}

const isSpanIn = (outer: TemplateUse, inner: TemplateUse): boolean =>
  inner.span.start >= outer.span.start && inner.span.end <= outer.span.end;

/** Throws where a list or a condition is around the use that would not be around its new place. */
function refuseGuarded(from: Component, use: TemplateUse, goal: TemplateUse | undefined, name: string): void {
  const stays = new Set(goal ? around(from.facts.template, goal) : []);
  for (const node of around(from.facts.template, use) ?? []) {
    if ((node.kind !== 'repeat' && node.kind !== 'branch') || stays.has(node)) continue;
    const where = node.kind === 'repeat' ? 'in a list' : 'under a condition';
    throw new CannotWrite(`${name} stands ${where} there: what becomes of that is for you to say.`);
  }
}

/** The nodes around one of a template, outermost first; undefined where it is not there. */
function around(nodes: readonly TemplateNode[], wanted: TemplateUse): readonly TemplateNode[] | undefined {
  for (const node of nodes) {
    if (node === wanted) return [];
    const inner = around(templateChildren(node), wanted);
    if (inner) return [node, ...inner];
  }
  return undefined;
}

/** Imports what the markup names of its file, where it would stand. Throws where a name means another thing there, or cannot be had. */
function bringNames(rewrite: Rewrite, source: Source, goal: Source, from: Component, use: TemplateUse, body: string): void {
  const { model } = rewrite;
  if (markupOf(source.framework) !== 'expression') {
    if (!/<script\b/.test(goal.text)) throw new CannotWrite(`${goal.file} has no script that could import it.`);
    if (markupOf(source.framework) === 'directives' && !/<script\b[^>]*\bsetup\b/.test(goal.text))
      throw new CannotWrite(`${goal.file} registers its components by name, which is not written yet.`);
    if (/\bclass[=:]/.test(body) && /<style\b/.test(source.text))
      throw new CannotWrite(`The styles of ${from.name} are its own and would not reach it.`);
  }
  const imported = new Set((model.files.get(source.file)?.imports ?? []).map(({ local }) => local));
  const before = adapterOf(source.framework).write.beforeName;
  const stands = (name: string): boolean => new RegExp(`${before}${literalPattern(name)}(?![\\w$])`).test(body);
  const tags = new Set(usesIn([use]).map(({ tag }) => tag.split('.')[0] ?? ''));
  for (const name of imported) {
    if (!stands(name) && !tags.has(name)) continue;
    if (isTaken(rewrite, source, goal, name)) putImport(rewrite, source, goal, name);
  }
  const own = new Set(tags);
  for (const { name, kind } of from.facts.values) if (kind === 'module' && stands(name)) own.add(name);
  for (const name of own) {
    if (imported.has(name) || name === '') continue;
    const facts = model.files.get(source.file);
    const isDeclared =
      from.facts.values.some((one) => one.kind === 'module' && one.name === name) || facts?.components.some((one) => one.local === name);
    // Whatever is given to all files, or built in, is known everywhere.
    if (!isDeclared) continue;
    const exported = facts?.exports.find((one) => one.from === undefined && one.local === name);
    if (!exported) throw new CannotWrite(`${name} is known in ${source.file} alone.`);
    if (isTaken(rewrite, source, goal, name))
      rewrite.need(goal, exported.exported === 'default' ? `default ${name}` : name, wayTo(goal, rewrite, source.file));
  }
}

/** Whether a name has to be imported; throws where it means another thing there. */
function isTaken({ model }: Rewrite, source: Source, goal: Source, name: string): boolean {
  const there = model.files.get(goal.file);
  const isThere =
    model.named(goal.file, name).kind !== 'unknown' ||
    there?.imports.some(({ local }) => local === name) ||
    there?.components.some(({ local }) => local === name);
  if (!isThere) return true;
  if (sameMeaning(model, source.file, goal.file, name)) return false;
  throw new CannotWrite(`${name} means one thing here and another there.`);
}
