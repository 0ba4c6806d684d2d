import { markupOf } from '../../frameworks/registry';
import type { Framework } from '../../model/framework';
import type { TemplateNode } from '../../model/facts';
import type { Model } from '../../model/model';
import type { Span } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { contentSpan, type Hole, type Laid, nameOf, type Piece, renamed } from '../../overlap';
import { CannotWrite } from '../rewrite';
import { bound, literalOf, pascal, quoted, refuseLetters, shown } from '../written';
import type { NewProp } from './declare';
import type { ScriptHole } from './script';
import { either, isBetweenTags, isExpression, only, typeOf, unitOf } from './unit';
import { ownValue } from '../../model/own-value';

/** A prop of the merged component that stands for what differs; `key` names it whatever it is called. */
export type MergedProp = NewProp & {
  readonly key: string;
  readonly kind: Hole['kind'] | 'form' | 'slot';
  /** What uses of the second give, as code. */ readonly given: string;
};

/** Names for props by their keys, where they are to be called otherwise than proposed. */
export type MergeNames = Readonly<Record<string, string>>;

/** A stretch of the first component's file and what comes in its place; `other`: what stands for it in the second's, where something does. */
export type Put = { readonly start: number; readonly end: number; readonly text: string; readonly other?: Span };

/** What is being put together while two components are made one. */
export type Work = {
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
export function newProp(work: Work, kind: MergedProp['kind'], proposed: string, fallback: string, given: string): string {
  const key = `${kind}-${work.props.filter((one) => one.kind === kind).length + 1}`;
  const asked = ownValue(work.names, key);
  let name = asked !== undefined && /^[A-Za-z_$][\w$]*$/.test(asked) ? asked : proposed;
  for (let turn = 2; work.taken.has(name); turn++) name = `${asked ?? proposed}${turn}`;
  work.taken.add(name);
  const type = fallback === 'undefined' ? typeOf(given) : typeOf(fallback);
  work.props.push({ key, kind, name, fallback, given, type });
  return name;
}

/** Everything that a stretch of the second's markup reads must be there in the first. Throws `CannotWrite` where it is not. */
function bringAlong(work: Work, root: Piece): void {
  const { b, a, names } = work.laid;
  const values = b.component.facts.values;
  const need = (name: string): void => {
    const mine = work.model.named(a.component.file, name);
    const theirs = work.model.named(b.component.file, name);
    if (JSON.stringify(mine) === JSON.stringify(theirs)) return;
    if (mine.kind !== 'unknown') throw new CannotWrite(`${name} means one thing here and another there.`);
    work.imports.add(name);
  };
  const check = (value: number): void => {
    const known = values[value];
    if (!known || known.kind === 'item' || known.kind === 'param' || known.kind === 'handed') return;
    if (known.kind === 'module') need(known.source?.split('.')[0] ?? known.name);
    else if (!names.has(known.name)) {
      if (known.kind !== 'prop')
        throw new CannotWrite(`${known.name} of ${b.component.name} has nothing that stands for it in ${a.component.name}.`);
      work.taken.add(known.name);
      work.props.push({ key: `prop-${known.name}`, kind: 'value', name: known.name, fallback: 'undefined', given: '', type: 'unknown' });
      (names as Map<string, string>).set(known.name, known.name);
    }
  };
  walkTemplate([root.node], (node: TemplateNode) => {
    if (node.kind === 'use' && node.tag !== '') need(node.tag.split('.')[0] ?? '');
    const readings =
      node.kind === 'outlet'
        ? [...(node.reading ? [node.reading] : []), ...node.slotProps.flat()]
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
export function enclosingPair(laid: Laid, [a, b]: Hole['around']): readonly [number, number] {
  for (let at = a; at >= 0; at = laid.a.nodes[at]?.parent ?? -1) {
    const pair = laid.alignment.pairs.find(([one]) => one === at);
    if (pair && isWithin(laid, pair[1], b)) return pair;
  }
  const [root, other] = [laid.a.roots, laid.b.roots];
  if (root.length === 1 && other.length === 1) return [root[0] ?? -1, other[0] ?? -1];
  throw new CannotWrite('They differ in what stands outermost, and there are several parts of it.');
}

function isWithin({ b }: Laid, outer: number, at: number): boolean {
  return at < 0 ? false : outer <= at && at < (b.nodes[outer]?.end ?? -1);
}

/** What must be said as two forms, beside what can be said by a prop. */
export function isForm(work: Work, hole: Hole): boolean {
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
    if (error instanceof CannotWrite) return false;
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
    (markupOf(framework) !== 'expression' || isBetweenTags(framework, text, unitOf(framework, text, piece)))
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

export function formHole(work: Work, [a, b]: readonly [number, number], forms: Map<number, string>): void {
  const { laid, framework } = work;
  const [mine, theirs] = [laid.a.nodes[a], laid.b.nodes[b]];
  if (!mine || !theirs) throw new CannotWrite('They differ as a whole.');
  bringAlong(work, theirs);
  const known = [...forms.values()][0];
  const flag = known ?? newProp(work, 'form', `is${ownWord(laid.a.component.name, laid.b.component.name)}`, 'false', 'true');
  forms.set(a, flag);
  const [first, second] = [unitOf(framework, laid.texts[0], mine), unitOf(framework, laid.texts[1], theirs)];
  const between =
    mine.parent >= 0 && (isBetweenTags(framework, laid.texts[0], first) || isExpression(laid.texts[0].slice(first.start, first.end)));
  const other = renamed(laid.texts[1].slice(second.start, second.end), laid.names);
  work.puts.push({ ...first, other: second, text: either(framework, flag, other, laid.texts[0].slice(first.start, first.end), between) });
}

/** A name for what a text says: by the element it stands in. */
const textName = (tag: string): string =>
  /^h\d$/.test(tag) ? 'title' : tag === 'button' ? 'action' : tag === 'label' || tag === 'legend' ? 'label' : 'text';

export function propHole(work: Work, hole: Hole): void {
  const { laid, framework } = work;
  if (hole.kind === 'text' && hole.a && hole.texts) {
    refuseLetters(hole.texts);
    const name = newProp(work, 'text', textName(hole.about), quoted(hole.texts[0]), quoted(hole.texts[1]));
    work.puts.push({ ...hole.a, ...(hole.b ? { other: hole.b } : {}), text: shown(framework, name) });
  } else if ((hole.kind === 'class' || hole.kind === 'value') && hole.a) {
    const says = literalOf(framework, laid.texts[0].slice(hole.a.start, hole.a.end));
    const also = hole.b ? literalOf(framework, laid.texts[1].slice(hole.b.start, hole.b.end)) : 'undefined';
    refuseLetters([says, also]);
    const about = hole.about.replace(/^(?::|v-bind:)/, '');
    const name = newProp(
      work,
      hole.kind,
      hole.kind === 'class' ? 'tone' : about.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase()),
      says,
      also,
    );
    work.puts.push({ ...hole.a, ...(hole.b ? { other: hole.b } : {}), text: bound(framework, about, name) });
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
  work.puts.push({
    start: at,
    end: at,
    other: unit,
    text: only(framework, flag, renamed(laid.texts[1].slice(unit.start, unit.end), laid.names), true),
  });
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
  if (!content) throw new CannotWrite(`There is no place for ${nameOf(theirs)}.`);
  return content.start;
}

/** A constant of the script, as code with plain quotes. */
const plainQuoted = (token: string): string => (/^"[^"'\\]*"$/.test(token) ? `'${token.slice(1, -1)}'` : token);

/** How the script of a component reads a prop of its own; throws where it has no name for them. */
function readProp({ framework, laid }: Work, name: string): string {
  if (markupOf(framework) !== 'directives') return name;
  const taken = /(?:const|let)\s+(?:(\w+)|\{[^{}]*\})\s*=\s*(?:withDefaults\(\s*)?defineProps/.exec(laid.texts[0]);
  if (!taken) throw new CannotWrite(`${laid.a.component.name} has no name for its props in script, where one would be read.`);
  return taken[1] === undefined ? name : `${taken[1]}.${name}`;
}

/** A constant in what both do becomes a prop; one that differs in the same way already is that. */
export function scriptHole(work: Work, { a, texts, about }: ScriptHole): void {
  const [first, second] = texts.map(plainQuoted) as [string, string];
  const same = work.props.find((prop) => prop.kind === 'value' && prop.fallback === first && prop.given === second);
  const proposed =
    /^[a-z]\w*$/i.test(about) && !/^(?:default|class|key|ref|style|slot)$/.test(about)
      ? `${about[0]?.toLowerCase() ?? ''}${about.slice(1)}`
      : 'kind';
  const name = same?.name ?? newProp(work, 'value', proposed, first, second);
  work.puts.push({ ...a, text: readProp(work, name) });
}
