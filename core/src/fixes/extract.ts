import type { Binding, ComponentFacts, Reading, SpreadFact } from '../model/facts';
import type { Component } from '../model/model';
import type { FilePath, Span } from '../model/span';
import {
  bound,
  type Framework,
  giving,
  literalOf,
  pascal,
  type Piece,
  piecesOf,
  quoted,
  type Repeated,
  shown,
  staticTexts,
  withBraces,
} from '../overlap';
import { readFile } from '../read';
import { freeNames } from './free-names';
import { bringImports, dropUnusedImports, wayTo, writeImports } from './imports';
import { CannotWrite, type Rewrite } from './rewrite';
import { indentAt, type Source, sourceOf, startsLine } from './source';

/** One place of a stretch that repeats. */
type Place = { readonly component: Component; readonly source: Source; readonly piece: Piece; readonly nodes: readonly Piece[] };

/** What differs, or comes from who has the stretch: a prop of the new component. */
type Hole = {
  readonly name: string;
  /** Constants that are the same by chance are told apart by what they are about. */
  readonly about: string;
  /** What is given at each place, as code. */
  readonly given: readonly string[];
  /** Its type as code of the framework's script; empty where it is not known. */
  readonly type: string;
  /** Where it stands at each place, and what comes there. */
  readonly spans: readonly Span[];
  readonly text: string;
  /** It is bound both ways. */
  readonly isTwoWay?: true;
};

const innerKinds = new Set(['item', 'handed', 'param']);

/** Whom a reading is of: the stretch itself, the module, or the component that has the stretch. */
function ownerOf({ component, piece }: Place, value: number): 'inner' | 'module' | 'owner' {
  const known = component.facts.values[value];
  if (!known || known.kind === 'module') return 'module';
  const isWithin = known.span.start >= piece.span.start && known.span.end <= piece.span.end;
  return innerKinds.has(known.kind) && isWithin ? 'inner' : 'owner';
}

/** A value that is read, called or changed in some code, and where. */
type Mention = { readonly value: number; readonly span: Span; readonly isChange?: true };

function mentionsOf(facts: ComponentFacts, readings: readonly Reading[], action?: number): Mention[] {
  const run = action === undefined ? undefined : facts.actions[action];
  const changes = (run?.changes ?? []).map(({ value, span }): Mention => ({ value, span, isChange: true }));
  const raises = (run?.raises ?? []).flatMap(({ value, span }): Mention[] => (value === undefined ? [] : [{ value, span }]));
  return [...readings, ...(run?.reads ?? []), ...(run?.invokes ?? []), ...raises, ...changes];
}

const folded = (text: string): string => text.replace(/\s+/g, ' ').trim();
const says = ({ source }: Place, { start, end }: Span): string => folded(source.text.slice(start, end));

/** The last name in an expression, as a name for what it gives: `keeper.name` → `name`. */
const lastName = (code: string): string | undefined => /(?:^|\.)([A-Za-z_$][\w$]*)(?:\.length)?$/.exec(code.replace(/^props\./, ''))?.[1];

/** What several names have in common, where that is a name: `ratings`, `ratings2` → `ratings`. */
function commonName(names: readonly (string | undefined)[]): string | undefined {
  const [first, ...more] = names;
  if (first === undefined) return undefined;
  let length = first.length;
  for (const name of more) while (length > 0 && name?.slice(0, length) !== first.slice(0, length)) length--;
  const common = first.slice(0, length);
  return more.every((name) => name === first) || /^[a-z][a-zA-Z]{3,}$/.test(common) ? common : undefined;
}

const camel = (name: string): string => name.replace(/^[:@]|^on:/, '').replace(/[-:](\w)/g, (_, letter: string) => letter.toUpperCase());

/** Names that mean something else to a framework when they are given to a component. */
const taken = new Set(['class', 'className', 'style', 'key', 'ref', 'slot', 'is', 'children']);

/** Gathers what becomes a prop, walking all places side by side. */
class Holes {
  readonly found: Hole[] = [];

  constructor(
    private readonly places: readonly Place[],
    private readonly framework: Framework,
  ) {}

  private nameFor(wanted: string, tag: string): string {
    const used = new Set(this.found.map((one) => one.name));
    const first = taken.has(wanted) || !/^[A-Za-z_$][\w$]*$/.test(wanted) ? 'tone' : wanted;
    if (!used.has(first)) return first;
    const second = tag === '' ? `${first}2` : `${camel(tag)}${pascal(first)}`;
    let name = second;
    for (let turn = 2; used.has(name); turn++) name = `${second}${turn}`;
    return name;
  }

  /** Whether a stretch of the first place is a hole already. */
  private isMade({ start, end }: Span): boolean {
    return this.found.some(({ spans: [one] }) => one?.start === start && one.end === end);
  }

  /** Adds a hole; where one about the same thing gives the same at each place already, that one is used again. */
  add({
    wanted,
    tag,
    write,
    ...hole
  }: Omit<Hole, 'name' | 'text'> & { wanted: string; tag: string; write: (name: string) => string }): void {
    const same = this.found.find((one) => one.about === hole.about && one.given.every((code, at) => code === hole.given[at]));
    const name = same?.name ?? this.nameFor(wanted, tag);
    this.found.push({ ...hole, name, text: write(name) });
  }

  /**
   * What some code is, by what it mentions at each place: the same everywhere (`stays`), its owner's
   * (`given`), or made of both what the stretch itself has and what its owner has (`mixed`).
   */
  kindOf(mentions: readonly (readonly Mention[])[], texts: readonly string[]): 'stays' | 'given' | 'mixed' {
    const owners = mentions.map((all, at) => new Set(all.map(({ value }) => ownerOf(this.places[at] as Place, value))));
    if (!owners.some((one) => one.has('owner')) && new Set(texts).size === 1) return 'stays';
    return owners.some((one) => one.has('inner')) ? 'mixed' : 'given';
  }

  /** Leaves code where it is, and makes a prop of each thing in it that is its owner's. */
  closeOver(mentions: readonly (readonly Mention[])[], about: string): void {
    const roots = mentions.map((all, at) => this.rootsOf(all, at, about));
    const [first = []] = roots;
    if (roots.some((own) => own.length !== first.length)) throw new CannotWrite(`${about} belongs to a list in it, and differs.`);
    if (this.framework === 'react' && this.places[0]?.source.isTyped && first.length > 0)
      throw new CannotWrite(`${about} takes ${first[0]?.text ?? ''} of its owner, whose kind is not written in it.`);
    first.forEach(({ name }, index) => {
      const own = roots.map((one) => one[index] as { text: string; span: Span });
      this.add({
        about: 'expression',
        spans: own.map((one) => one.span),
        given: own.map((one) => one.text),
        wanted: name,
        tag: '',
        type: '',
        write: (to) => to,
      });
      const { source } = this.places[0] as Place;
      const isShorthand = /[{,]\s*$/.test(source.text.slice(0, own[0]?.span.start)) && /^\s*[,}]/.test(source.text.slice(own[0]?.span.end));
      if (isShorthand && this.found.at(-1)?.name !== name) throw new CannotWrite(`${name} names a member in it.`);
    });
  }

  /** The names of the owner's things in some code, as they stand there: `ui`, `props.ui`. */
  private rootsOf(all: readonly Mention[], at: number, about: string): { name: string; text: string; span: Span }[] {
    const place = this.places[at] as Place;
    const { text } = place.source;
    const found = new Map<number, { name: string; text: string; span: Span }>();
    for (const { value, span, isChange } of all) {
      if (ownerOf(place, value) !== 'owner') continue;
      const name = place.component.facts.values[value]?.name ?? '';
      const root = new RegExp(`^(?:[\\w$]+\\.)?${name.replace(/[^\w]/g, '\\$&')}(?![\\w$])`).exec(text.slice(span.start, span.end))?.[0];
      if (isChange || root === undefined) throw new CannotWrite(`${about} changes or takes ${name} in a way that is not followed.`);
      found.set(span.start, { name, text: root, span: { start: span.start, end: span.start + root.length } });
    }
    return [...found.values()].sort((x, y) => x.span.start - y.span.start);
  }

  /** A component that a value holds comes from who has the stretch. */
  chosen(pieces: readonly Piece[]): void {
    const mentions = pieces.map(({ node }): Mention[] =>
      node.kind === 'use' && node.dynamic !== undefined ? [{ value: node.dynamic, span: node.nameSpan }] : [],
    );
    const texts = pieces.map(({ node }, at) => (node.kind === 'use' ? says(this.places[at] as Place, node.nameSpan) : ''));
    if (mentions.some((one) => one.length > 0) && this.kindOf(mentions, texts) !== 'stays') this.closeOver(mentions, texts[0] ?? '');
  }

  /** What is spread on an element is handed in as the object that it is. */
  spread(pieces: readonly Piece[]): void {
    const all = pieces.map(({ node }) =>
      node.kind === 'element' || node.kind === 'use' ? node.spreads.filter((one) => one.span.end > node.nameSpan.end) : [],
    );
    const [first = []] = all;
    if (all.some((own) => own.length !== first.length)) throw new CannotWrite('Something is spread in one of the places alone.');
    first.forEach((_, index) => {
      const own = all.map((spreads) => spreads[index] as SpreadFact);
      const mentions = own.map((one, at) => mentionsOf((this.places[at] as Place).component.facts, one.readings));
      const texts = own.map((one, at) => says(this.places[at] as Place, one.span));
      if (this.kindOf(mentions, texts) !== 'stays') this.closeOver(mentions, texts[0] ?? '');
    });
  }

  text(element: readonly Piece[]): void {
    const all = element.map((piece, at) => staticTexts((this.places[at] as Place).source.text, piece));
    const [first = []] = all;
    if (all.some((one) => one.length !== first.length)) throw new CannotWrite('Texts stand at different places in it.');
    first.forEach((_, index) => {
      const given = all.map((spans, at) => says(this.places[at] as Place, spans[index] as Span));
      if (new Set(given).size === 1) return;
      const tag = element[0]?.label ?? '';
      const wanted = /^h\d$/.test(tag) ? 'title' : /^(?:label|legend|dt|th)$/.test(tag) ? 'label' : tag === 'button' ? 'action' : 'text';
      this.add({
        about: 'text',
        spans: all.map((spans) => spans[index] as Span),
        given: given.map(quoted),
        wanted,
        tag,
        type: 'string',
        write: (name) => shown(this.framework, name),
      });
    });
  }

  binding(elements: readonly Piece[], bindings: readonly Binding[]): void {
    const [first] = bindings;
    const [element] = elements;
    if (!first || !element) return;
    // What is bound both ways is told as its value and as its event, by one text.
    if (this.isMade(first.span)) return;
    if (first.markup) throw new CannotWrite(`${first.name} is given markup.`);
    const texts = bindings.map((binding, at) => says(this.places[at] as Place, binding.span));
    const mentions = bindings.map((binding, at) =>
      mentionsOf((this.places[at] as Place).component.facts, binding.readings, binding.action),
    );
    const kind = this.kindOf(mentions, texts);
    if (kind === 'stays') return;
    if (bindings.some((one) => one.direction === 'two-way') || texts[0]?.startsWith('bind:')) {
      this.twoWay(bindings, texts);
      return;
    }
    if (kind === 'mixed' || (this.framework === 'vue' && first.name.startsWith('@'))) {
      this.closeOver(mentions, first.name);
      return;
    }
    if (/^(?:on|bind|use|class|style|transition|in|out|animate):/.test(first.name))
      throw new CannotWrite(`${first.name} is no plain attribute.`);
    const given = texts.map((text) => (/^\{[\w$]+\}$/.test(text) ? text.slice(1, -1) : literalOf(this.framework, text)));
    const isConstant = bindings.every((one) => one.constant !== undefined && one.readings.length === 0);
    const own = isConstant ? undefined : commonName(given.map(lastName));
    const attribute = camel(first.name.replace(/^:/, ''));
    const wanted = own !== undefined && !/^on[A-Z]/.test(attribute) ? own : attribute;
    const spelt = first.name.replace(/^:|^v-bind:/, '');
    const type = given.every((code) => /^'/.test(code)) ? 'string' : typeOf(element, spelt);
    this.add({
      about: !isConstant ? 'expression' : /^(?:id|for|htmlFor|aria-\w+)$/.test(spelt) ? 'id' : spelt,
      spans: bindings.map((one) => one.span),
      given,
      wanted,
      tag: element.label,
      type,
      write: (name) => bound(this.framework, spelt, name),
    });
  }

  /** Whether an expression is a flag, by how it is written or how the one value that it is was made. */
  private isBoolean(text: string, mentions: readonly Mention[], at: number): boolean {
    const looks = (code: string): boolean => /^!|[=!]==?|[<>]/.test(code) && !/=>|\?/.test(code);
    const { facts, contract } = (this.places[at] as Place).component;
    const [only, ...more] = mentions;
    const value = only && more.length === 0 ? facts.values[only.value] : undefined;
    if (looks(text)) return true;
    if (!value || value.name !== text) return false;
    const kinds = value.kind === 'prop' ? contract.props.get(text)?.kinds : undefined;
    return looks(value.formula ?? '') || (kinds !== undefined && kinds.size > 0 && [...kinds].every((kind) => kind === 'flag'));
  }

  /** In Svelte: a prop that may be bound goes on to what it was bound to. */
  private twoWay(bindings: readonly Binding[], texts: readonly string[]): void {
    const [first] = bindings;
    const given = texts.map((text) => /^bind:[\w-]+=\{([\w$.]+)\}$/.exec(text)?.[1] ?? /^bind:([\w$]+)$/.exec(text)?.[1]);
    const about = first?.name.replace(/^bind:/, '') ?? '';
    if (!first || this.framework !== 'svelte' || given.includes(undefined) || about === 'this' || about === 'group')
      throw new CannotWrite(`${first?.name ?? 'It'} is bound both ways.`);
    this.add({
      about: `both ways ${about}`,
      isTwoWay: true,
      spans: bindings.map((one) => one.span),
      given: given.map((one) => one ?? ''),
      wanted: camel(about),
      tag: '',
      type: '',
      write: (name) => (name === about ? `bind:${about}` : `bind:${about}={${name}}`),
    });
  }

  /** What is shown, decided or repeated by an expression. */
  expression(
    pieces: readonly Piece[],
    spans: readonly Span[],
    mentions: readonly (readonly Mention[])[],
    kind: 'shown' | 'condition' | 'list',
  ): void {
    const texts = spans.map((span, at) => says(this.places[at] as Place, span));
    const [first] = spans;
    const made = this.kindOf(mentions, texts);
    if (made === 'stays' || !first || this.isMade(first)) return;
    if (made === 'mixed') {
      this.closeOver(mentions, texts[0] ?? '');
      return;
    }
    const source = (this.places[0] as Place).source;
    if (kind === 'list' && this.framework === 'react' && source.isTyped)
      throw new CannotWrite(`It repeats over ${texts[0] ?? ''}, whose kind is not written in it.`);
    const isBoolean = texts.every((text, at) => this.isBoolean(text, mentions[at] ?? [], at));
    if (kind === 'condition' && this.framework === 'react' && source.isTyped && !isBoolean)
      throw new CannotWrite(`It stands and falls with ${texts[0] ?? ''}, whose kind is not known.`);
    const own = commonName(texts.map(lastName));
    const tag = pieces[0]?.parent === undefined ? '' : ((this.places[0] as Place).nodes[pieces[0].parent]?.label ?? '');
    const wanted = own ?? (kind === 'condition' ? 'isShown' : kind === 'list' ? 'items' : 'value');
    const type = kind === 'condition' && isBoolean ? 'boolean' : kind === 'shown' ? 'ReactNode' : '';
    this.add({ about: 'expression', spans, given: texts, wanted, tag: /^[a-z]\w*$/.test(tag) ? tag : '', type, write: (name) => name });
  }
}

/** In TypeScript: what an attribute takes, told by the element or component that it stands on. */
function typeOf({ kind, label, node }: Piece, attribute: string): string {
  if (kind === 'element') return `ComponentProps<'${label}'>['${attribute}']`;
  return node.kind === 'use' ? `ComponentProps<typeof ${node.tag}>['${attribute}']` : '';
}

/** The expression alone of what is shown: `{a}`, `{{ a }}` → `a`. */
function expressionSpan(framework: Framework, text: string, span: Span): Span {
  if (framework === 'react') return span;
  const outer = withBraces(text, span);
  const inner = /^(\{\{?\s*)[\s\S]*?(\s*\}?\})$/.exec(text.slice(outer.start, outer.end));
  if (!inner) throw new CannotWrite('Something in it is shown in a form that is not followed.');
  return { start: outer.start + (inner[1] ?? '').length, end: outer.end - (inner[2] ?? '').length };
}

/** What a list repeats over, as it stands in the text. */
function overSpan(framework: Framework, text: string, { span }: Piece, over: string): Span {
  const head = framework === 'react' ? 0 : (/(?:\s(?:in|of)\s+|\{#each\s+)/.exec(text.slice(span.start, span.end))?.index ?? 0);
  const start = text.indexOf(over, span.start + head);
  if (start < 0 || start > span.end) throw new CannotWrite('It repeats in a form that is not followed.');
  return { start, end: start + over.length };
}

function gather(places: readonly Place[], framework: Framework): Hole[] {
  const holes = new Holes(places, framework);
  const [first] = places;
  if (!first) return [];
  for (let step = 0; step < first.piece.end - first.piece.index; step++) {
    const pieces = places.map(({ nodes, piece }) => nodes[piece.index + step] as Piece);
    const [piece] = pieces;
    if (!piece) continue;
    const { node } = piece;
    if (node.kind === 'element' || node.kind === 'use') {
      if (node.kind === 'use' && node.ref) throw new CannotWrite(`${node.tag} is held while it runs.`);
      holes.chosen(pieces);
      holes.spread(pieces);
      if (node.bindings.some((one) => one.name === 'ref' || one.name === 'bind:this'))
        throw new CannotWrite('An element of it is held by a reference.');
      holes.text(pieces);
      for (const { name } of piece.traits) {
        const all = pieces.map((one) => one.traits.find((trait) => trait.name === name)?.binding);
        holes.binding(
          pieces,
          all.flatMap((one) => one ?? []),
        );
      }
    } else if (node.kind === 'text' || (node.kind === 'outlet' && framework === 'react')) {
      const spans = pieces.map((one, at) => expressionSpan(framework, (places[at] as Place).source.text, one.span));
      const values = pieces.map(({ node: one }) =>
        one.kind === 'text' ? one.readings : one.kind === 'outlet' && one.reading ? [one.reading] : [],
      );
      if (pieces.some(({ node: one }) => one.kind === 'outlet' && one.hands.length > 0))
        throw new CannotWrite('It has a place for content that is handed something.');
      holes.expression(pieces, spans, values, 'shown');
    } else if (node.kind === 'branch')
      holes.expression(
        pieces,
        pieces.map((one) => one.span),
        pieces.map(({ node: one }) => (one.kind === 'branch' ? one.readings : [])),
        'condition',
      );
    else if (node.kind === 'repeat') {
      const spans = pieces.map((one, at) =>
        overSpan(framework, (places[at] as Place).source.text, one, one.node.kind === 'repeat' ? one.node.over : ''),
      );
      holes.expression(
        pieces,
        spans,
        pieces.map(({ node: one }) => (one.kind === 'repeat' ? one.readings : [])),
        'list',
      );
    } else throw new CannotWrite('It has a place for content.');
  }
  return holes.found;
}

/** The text of the stretch at one place with something in the place of each hole. */
function filledText({ source, piece }: Place, at: number, holes: readonly Hole[], fill: (hole: Hole) => string): string {
  let made = source.text.slice(piece.span.start, piece.span.end);
  const puts = holes.flatMap((hole) => (hole.spans[at] ? [{ span: hole.spans[at], text: fill(hole) }] : []));
  for (const { span, text } of puts.sort((a, b) => b.span.start - a.span.start))
    made = made.slice(0, span.start - piece.span.start) + text + made.slice(span.end - piece.span.start);
  return made;
}

/** The text of the stretch with its holes filled, without the indentation of where it stood. */
function stretchText(place: Place, holes: readonly Hole[], indent: string): string {
  const own = indentAt(place.source.text, place.piece.span.start);
  return filledText(place, 0, holes, (hole) => hole.text)
    .split('\n')
    .map((line, at) => (at === 0 ? line : line.startsWith(own) ? indent + line.slice(own.length) : line))
    .join('\n');
}

/** White space that shows in no framework: at the ends of lines, and all but one blank elsewhere. */
const unspaced = (text: string): string => text.replace(/(?<=[<>{}§])\s*\n\s*|\s*\n\s*(?=[<>{}§/])/g, '').replace(/\s+/g, ' ');

/** All that is no hole must be the same at each place, down to the letter: not every difference has a place in the facts. */
function refuseOther(places: readonly Place[], holes: readonly Hole[]): void {
  const left = places.map((place, at) => unspaced(filledText(place, at, holes, (hole) => (hole.name === '' ? '' : '§'))));
  if (new Set(left).size > 1) throw new CannotWrite('The places differ in a way that no prop can say.');
}

/** One of each name. What is shown and given to an attribute too must be fit for that; of all else that differs the type is not known. */
function unique(holes: readonly Hole[]): Hole[] {
  const byName = new Map<string, Hole>();
  for (const hole of holes) {
    if (hole.name === '') continue;
    const known = byName.get(hole.name);
    const type = !known || known.type === 'ReactNode' ? hole.type : hole.type === 'ReactNode' || hole.type === known.type ? known.type : '';
    byName.set(hole.name, { ...(known ?? hole), type });
  }
  return [...byName.values()];
}

function given(framework: Framework, { name, given: all, isTwoWay }: Hole, at: number): string {
  const code = all[at] ?? '';
  if (isTwoWay) return code === name ? `bind:${name}` : `bind:${name}={${code}}`;
  return giving(framework, name, code).trim();
}

/** A use of the new component, in one line or, where that is long, an attribute to a line. */
function useText(framework: Framework, name: string, holes: readonly Hole[], at: number, indent: string, key: string): string {
  const all = [...(key === '' ? [] : [key]), ...unique(holes).map((hole) => given(framework, hole, at))];
  const line = `<${name}${all.map((one) => ` ${one}`).join('')} />`;
  return indent.length + line.length <= 100 ? line : `<${name}\n${all.map((one) => `${indent}  ${one}\n`).join('')}${indent}/>`;
}

/** The whole text of the new component, without its imports. */
function componentText(framework: Framework, name: string, place: Place, holes: readonly Hole[]): string {
  const props = unique(holes);
  const { isTyped, text } = place.source;
  const names = props.map((one) => one.name).join(', ');
  if (framework === 'vue') {
    const known = props.every((one) => one.type === 'string' || one.type === 'boolean');
    const declared =
      isTyped && known
        ? `defineProps<{ ${props.map((one) => `${one.name}: ${one.type}`).join('; ')} }>();`
        : `defineProps([${props.map((one) => `'${one.name}'`).join(', ')}]);`;
    return `<script setup${isTyped ? ' lang="ts"' : ''}>\n${props.length > 0 ? `${declared}\n` : ''}</script>\n\n<template>\n  ${stretchText(place, holes, '  ')}\n</template>\n`;
  }
  if (framework === 'svelte') {
    const isOlder = /\bexport let\b|^\s*\$:/m.test(text) || (!/\$(?:props|state|derived)\b/.test(text) && /\bon:\w/.test(text));
    const typeIn = ({ type }: Hole): string => (/^(?:string|boolean)$/.test(type) ? type : 'any');
    const types = isTyped ? `: { ${props.map((one) => `${one.name}: ${typeIn(one)}`).join('; ')} }` : '';
    const pattern = props.map((one) => (one.isTwoWay ? `${one.name} = $bindable()` : one.name)).join(', ');
    const declared = isOlder
      ? props.map((one) => `  export let ${one.name}${isTyped ? `: ${typeIn(one)}` : ''};\n`).join('')
      : `  let { ${pattern} }${types} = $props();\n`;
    return `<script${isTyped ? ' lang="ts"' : ''}>\n${props.length > 0 ? declared : ''}</script>\n\n${stretchText(place, holes, '')}\n`;
  }
  const members = props.map((one) => `${one.name}: ${one.type === '' ? 'unknown' : one.type};`);
  const line = `type Props = { ${members.join(' ').replace(/;$/, '')} };\n\n`;
  const long = `type Props = {\n${members.map((one) => `  ${one}\n`).join('')}};\n\n`;
  const type = !isTyped ? '' : line.length <= 100 ? line : long;
  const params = props.length === 0 ? '' : `{ ${names} }${isTyped ? ': Props' : ''}`;
  return `${props.length > 0 ? type : ''}export function ${name}(${params}) {\n  return (\n    ${stretchText(place, holes, '    ')}\n  );\n}\n`;
}

/** A file and a component of a name that nothing has yet, in the folder of the first place. */
function freshName(rewrite: Rewrite, { component, source }: Place, wanted: string): { readonly name: string; readonly file: FilePath } {
  const folder = component.file.slice(0, component.file.lastIndexOf('/') + 1);
  const ending =
    component.framework === 'react' ? (source.isTyped ? 'tsx' : component.file.endsWith('.js') ? 'js' : 'jsx') : component.framework;
  const names = new Set([...rewrite.model.components.values()].map((one) => one.name));
  let name = wanted;
  for (let turn = 2; names.has(name) || rewrite.has(`${folder}${name}.${ending}`); turn++) name = `${wanted}${turn}`;
  return { name, file: `${folder}${name}.${ending}` };
}

function keyOf({ source, piece }: Place): string {
  const { node } = piece;
  if ((node.kind !== 'element' && node.kind !== 'use') || node.key.kind === 'none') return '';
  if (node.key.kind === 'spread') throw new CannotWrite('Its key cannot be seen.');
  const found = /(?<=\s):?key\s*=\s*(?:\{[^{}]*\}|"[^"]*")/.exec(source.text.slice(piece.span.start, piece.span.end));
  if (!found) throw new CannotWrite('Its key stands in a form that is not followed.');
  return found[0];
}

/** Stretches whose look comes from styles of their own component cannot leave it. */
function refuseStyled({ source, component }: Place): void {
  const scoped = component.framework === 'svelte' ? /<style\b/ : /<style\b[^>]*\b(?:scoped|module)\b/;
  if (component.framework !== 'react' && scoped.test(source.text))
    throw new CannotWrite(`The styles of ${component.name} are its own and would not reach it.`);
}

/**
 * The edits by which markup that stands in several places becomes a component of its own: what
 * differs, and what comes from who has it, are its props; each place becomes a use. Throws
 * `CannotWrite` where that is not certain.
 */
export function extractRepeated(rewrite: Rewrite, { places: all }: Repeated, wanted: string): void {
  const places = all.map(({ component: id, piece }): Place => {
    const component = rewrite.model.components.get(id);
    if (!component) throw new CannotWrite('One of the places is not there any more.');
    return { component, source: rewrite.source(component), piece, nodes: piecesOf(rewrite.model, component).nodes };
  });
  const [first] = places;
  if (!first) throw new CannotWrite('It stands nowhere any more.');
  const { framework } = first.component;
  if (places.some((one) => one.component.framework !== framework)) throw new CannotWrite('It stands in components of two frameworks.');
  if (places.some((one) => one.component.facts.form === 'class'))
    throw new CannotWrite('It stands in a class, where what it reads is not plain.');
  places.forEach(refuseStyled);
  const holes = [...gather(places, framework), keyHole(places)];
  refuseOther(places, holes);
  if (unique(holes).length > 12) throw new CannotWrite(`It would need ${unique(holes).length} props.`);
  const { name, file } = freshName(rewrite, first, wanted);
  const body = componentText(framework, name, first, holes);
  const text = withImports(rewrite, first, places, file, body, holes);
  const facts = readFile(file, text);
  const made = facts.components[0];
  const free = framework === 'react' ? freeNames(sourceOf(file, text, framework)) : (made?.undeclared ?? []).map((one) => one.name);
  if (facts.problems.length > 0 || !made || free.length > 0)
    throw new CannotWrite(`${free[0] ?? 'Something'} in it comes from where it stands.`);
  rewrite.create(file, text);
  places.forEach((place, at) => {
    const { source, piece } = place;
    const indent = startsLine(source.text, piece.span.start) ? indentAt(source.text, piece.span.start) : '';
    rewrite.put(source, piece.span, useText(framework, name, holes, at, indent, keyOf(place)));
    rewrite.need(source, framework === 'react' ? name : `default ${name}`, wayTo(source, rewrite, file));
  });
  writeImports(rewrite);
  for (const source of rewrite.opened()) dropUnusedImports(rewrite, source);
}

/** Keys go with the uses; nothing comes in their place. */
function keyHole(places: readonly Place[]): Hole {
  const spans = places.map((place): Span => {
    const key = keyOf(place);
    const at = place.source.text.indexOf(key, place.piece.span.start);
    return key === '' ? { start: place.piece.span.start, end: place.piece.span.start } : { start: at - 1, end: at + key.length };
  });
  return { name: '', about: '', given: [], type: '', spans, text: '' };
}

/** The new component's text with the imports that it needs. */
function withImports(
  rewrite: Rewrite,
  first: Place,
  places: readonly Place[],
  file: FilePath,
  body: string,
  holes: readonly Hole[],
): string {
  const { framework } = first.component;
  const own = bringImports(rewrite, first.source, file, body);
  for (const { source } of places)
    for (const { name } of own) {
      const [mine, theirs] = [rewrite.model.named(first.source.file, name), rewrite.model.named(source.file, name)];
      if (JSON.stringify(mine) !== JSON.stringify(theirs) || mine.kind === 'unknown')
        throw new CannotWrite(`${name} means one thing here and another there.`);
    }
  const types = ['ComponentProps', 'ReactNode'].filter(
    (one) => first.source.isTyped && framework === 'react' && holes.some((hole) => hole.type.includes(one)),
  );
  const lines = [...(types.length > 0 ? [`import type { ${types.join(', ')} } from 'react';`] : []), ...own.map((one) => one.line)];
  if (lines.length === 0) return body;
  return framework === 'react'
    ? `${lines.join('\n')}\n\n${body}`
    : body.replace(/(<script[^>]*>\n)/, `$1${lines.map((line) => `${framework === 'svelte' ? '  ' : ''}${line}\n`).join('')}\n`);
}
