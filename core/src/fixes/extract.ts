import type { Binding, ComponentFacts, Reading } from '../model/facts';
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
};

const innerKinds = new Set(['item', 'handed', 'param']);

/** Whom a reading is of: the stretch itself, the module, or the component that has the stretch. */
function ownerOf({ component, piece }: Place, value: number): 'inner' | 'module' | 'owner' {
  const known = component.facts.values[value];
  if (!known || known.kind === 'module') return 'module';
  const isWithin = known.span.start >= piece.span.start && known.span.end <= piece.span.end;
  return innerKinds.has(known.kind) && isWithin ? 'inner' : 'owner';
}

function valuesOf(facts: ComponentFacts, readings: readonly Reading[], action?: number): number[] {
  const run = action === undefined ? undefined : facts.actions[action];
  const more = run ? [...run.reads, ...run.changes, ...run.invokes, ...run.raises] : [];
  return [...readings, ...more].flatMap((one) => one.value ?? []);
}

const folded = (text: string): string => text.replace(/\s+/g, ' ').trim();
const says = ({ source }: Place, { start, end }: Span): string => folded(source.text.slice(start, end));

/** The last name in an expression, as a name for what it gives: `keeper.name` → `name`. */
const lastName = (code: string): string | undefined => /(?:^|\.)([A-Za-z_$][\w$]*)(?:\.length)?$/.exec(code.replace(/^props\./, ''))?.[1];

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

  /** Whether some readings, the same at each place, may stay; throws where they belong to both the stretch and its owner. */
  stays(values: readonly (readonly number[])[], texts: readonly string[]): boolean {
    const owners = values.map((all, at) => new Set(all.map((value) => ownerOf(this.places[at] as Place, value))));
    const isOwners = owners.some((one) => one.has('owner'));
    const isSame = new Set(texts).size === 1;
    if (!isOwners && isSame) return true;
    if (owners.some((one) => one.has('inner'))) throw new CannotWrite(`${texts[0] ?? ''} belongs to a list in it, and differs.`);
    return false;
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
    if (first.markup) throw new CannotWrite(`${first.name} is given markup.`);
    const texts = bindings.map((binding, at) => says(this.places[at] as Place, binding.span));
    const values = bindings.map((binding, at) => valuesOf((this.places[at] as Place).component.facts, binding.readings, binding.action));
    if (this.stays(values, texts)) return;
    if (bindings.some((one) => one.direction === 'two-way')) throw new CannotWrite(`${first.name} is bound both ways.`);
    if (this.framework === 'vue' && first.name.startsWith('@')) throw new CannotWrite(`It listens for ${first.name.slice(1)} itself.`);
    if (/^(?:on|bind|use|class|style|transition|in|out|animate):/.test(first.name))
      throw new CannotWrite(`${first.name} is no plain attribute.`);
    const given = texts.map((text) => (/^\{[\w$]+\}$/.test(text) ? text.slice(1, -1) : literalOf(this.framework, text)));
    const isConstant = bindings.every((one) => one.constant !== undefined && one.readings.length === 0);
    const names = new Set(given.map((code) => (isConstant ? undefined : lastName(code))));
    const attribute = camel(first.name.replace(/^:/, ''));
    const [own] = names;
    const wanted = names.size === 1 && own !== undefined && !/^on[A-Z]/.test(attribute) ? own : attribute;
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

  /** What is shown, decided or repeated by an expression. */
  expression(
    pieces: readonly Piece[],
    spans: readonly Span[],
    values: readonly (readonly number[])[],
    kind: 'shown' | 'condition' | 'list',
  ): void {
    const texts = spans.map((span, at) => says(this.places[at] as Place, span));
    if (this.stays(values, texts)) return;
    const [first] = spans;
    if (!first || this.found.some(({ spans: [one] }) => one?.start === first.start && one.end === first.end)) return;
    const source = (this.places[0] as Place).source;
    if (kind === 'list' && this.framework === 'react' && source.isTyped)
      throw new CannotWrite(`It repeats over ${texts[0] ?? ''}, whose kind is not written in it.`);
    const isBoolean = texts.every((text) => /^!|[=!]==?|[<>]/.test(text));
    if (kind === 'condition' && this.framework === 'react' && source.isTyped && !isBoolean)
      throw new CannotWrite(`It stands and falls with ${texts[0] ?? ''}, whose kind is not known.`);
    const names = new Set(texts.map(lastName));
    const [own] = names;
    const tag = pieces[0]?.parent === undefined ? '' : ((this.places[0] as Place).nodes[pieces[0].parent]?.label ?? '');
    const wanted = names.size === 1 && own !== undefined ? own : kind === 'condition' ? 'isShown' : kind === 'list' ? 'items' : 'value';
    const type = kind === 'condition' ? 'boolean' : kind === 'shown' ? 'ReactNode' : '';
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
      if (node.kind === 'use' && (node.dynamic !== undefined || node.ref))
        throw new CannotWrite(`${node.tag} is chosen or held while it runs.`);
      if (node.spreads.some((spread) => spread.span.start >= piece.span.start && spread.span.end > node.nameSpan.end))
        throw new CannotWrite('Something is spread in it.');
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
        one.kind === 'text'
          ? one.readings.map((reading) => reading.value)
          : one.kind === 'outlet' && one.reading
            ? [one.reading.value]
            : [],
      );
      if (pieces.some(({ node: one }) => one.kind === 'outlet' && one.hands.length > 0))
        throw new CannotWrite('It has a place for content that is handed something.');
      holes.expression(pieces, spans, values, 'shown');
    } else if (node.kind === 'branch')
      holes.expression(
        pieces,
        pieces.map((one) => one.span),
        pieces.map(({ node: one }) => (one.kind === 'branch' ? one.readings.map((reading) => reading.value) : [])),
        'condition',
      );
    else if (node.kind === 'repeat') {
      const spans = pieces.map((one, at) =>
        overSpan(framework, (places[at] as Place).source.text, one, one.node.kind === 'repeat' ? one.node.over : ''),
      );
      holes.expression(
        pieces,
        spans,
        pieces.map(({ node: one }) => (one.kind === 'repeat' ? one.readings.map((reading) => reading.value) : [])),
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

/** One of each name; what is shown and given to an attribute too must be fit for that. */
function unique(holes: readonly Hole[]): Hole[] {
  const byName = new Map<string, Hole>();
  for (const hole of holes) {
    const known = byName.get(hole.name);
    if (hole.name !== '' && (!known || known.type === 'ReactNode')) byName.set(hole.name, known ? { ...known, type: hole.type } : hole);
  }
  return [...byName.values()];
}

/** A use of the new component, in one line or, where that is long, an attribute to a line. */
function useText(framework: Framework, name: string, holes: readonly Hole[], at: number, indent: string, key: string): string {
  const all = [...(key === '' ? [] : [key]), ...unique(holes).map((hole) => giving(framework, hole.name, hole.given[at] ?? '').trim())];
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
    const declared = isOlder ? props.map((one) => `  export let ${one.name};\n`).join('') : `  let { ${names} } = $props();\n`;
    return `<script>\n${props.length > 0 ? declared : ''}</script>\n\n${stretchText(place, holes, '')}\n`;
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
