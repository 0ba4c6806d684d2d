import { markupOf } from '../../frameworks/registry';
import type { Framework } from '../../model/framework';
import { renamed, unspaced } from '../../overlap';
import { CannotWrite } from '../rewrite';
import { indentAt } from '../source';
import { giving } from '../written';
import type { Passage } from './passages';
import { type Variation, innerNames, type Occurrence } from './places';

/** What a use has beside its props: how far it is indented, attributes of its own, and what it passes on. */
type Around = { readonly indent: string; readonly own: readonly string[]; readonly passages: readonly Passage[] };

/** The text of the stretch at one place with something in the place of each hole. */
function filledText({ source, piece }: Occurrence, at: number, holes: readonly Variation[], fill: (hole: Variation) => string): string {
  let made = source.text.slice(piece.span.start, piece.span.end);
  const puts = holes.flatMap((hole) => (hole.spans[at] ? [{ span: hole.spans[at], text: fill(hole) }] : []));
  for (const { span, text } of puts.sort((a, b) => b.span.start - a.span.start))
    made = made.slice(0, span.start - piece.span.start) + text + made.slice(span.end - piece.span.start);
  return made;
}

/** The text of the stretch with its holes filled, without the indentation of where it stood. */
function stretchText(place: Occurrence, holes: readonly Variation[], indent: string): string {
  const own = indentAt(place.source.text, place.piece.span.start);
  return filledText(place, 0, holes, (hole) => hole.text)
    .split('\n')
    .map((line, at) => (at === 0 ? line : line.startsWith(own) ? indent + line.slice(own.length) : line))
    .join('\n');
}

/** All that is no hole must be the same at each place, down to the letter: not every difference has a place in the facts. */
export function refuseOther(places: readonly Occurrence[], holes: readonly Variation[]): void {
  const names = places.map(innerNames);
  const left = places.map((place, at) => {
    const filled = filledText(place, at, holes, (hole) => (hole.name === '' ? '' : '§'));
    const asFirst = new Map((names[at] ?? []).map((name, index) => [name, names[0]?.[index] ?? name]));
    return renamed(unspaced(place.source.framework, filled), asFirst);
  });
  if (new Set(left).size > 1) throw new CannotWrite('The places differ in a way that no prop can say.');
}

/** One of each name. What is shown and given to an attribute too must be fit for that; of all else that differs the type is not known. */
export function unique(holes: readonly Variation[]): Variation[] {
  const byName = new Map<string, Variation>();
  for (const hole of holes) {
    if (hole.name === '') continue;
    const known = byName.get(hole.name);
    const type = !known || known.type === 'ReactNode' ? hole.type : hole.type === 'ReactNode' || hole.type === known.type ? known.type : '';
    byName.set(hole.name, { ...(known ?? hole), type });
  }
  return [...byName.values()];
}

function given(framework: Framework, { name, given: all, isTwoWay }: Variation, at: number): string {
  const code = all[at] ?? '';
  if (isTwoWay) return code === name ? `bind:${name}` : `bind:${name}={${code}}`;
  return giving(framework, name, code).trim();
}

/** In Vue: hands on what is given for a place of content, where something is, with what the place hands out. */
function forwarded({ name, own: all, hands }: Passage, at: number): string {
  const own = all[at] ?? name;
  const given = /^[\w$]+$/.test(own) ? `$slots.${own}` : `$slots['${own}']`;
  const place = `<slot${own === 'default' ? '' : ` name="${own}"`}${hands ? ' v-bind="given"' : ''} />`;
  return `<template v-if="${given}" #${name}${hands ? '="given"' : ''}>${place}</template>`;
}

/** A use of the new component, in one line or, where that is long, an attribute to a line; what it passes on stands in it. */
export function useText(framework: Framework, name: string, holes: readonly Variation[], at: number, around: Around): string {
  const { indent, own, passages } = around;
  const all = [...own, ...unique(holes).map((hole) => given(framework, hole, at))];
  const start = `<${name}${all.map((one) => ` ${one}`).join('')}`;
  const isLong = indent.length + start.length + 3 > 100;
  const head = isLong ? `<${name}\n${all.map((one) => `${indent}  ${one}\n`).join('')}${indent}` : start;
  if (passages.length === 0) return `${head}${isLong ? '' : ' '}/>`;
  return `${head}>\n${passages.map((one) => `${indent}  ${forwarded(one, at)}\n`).join('')}${indent}</${name}>`;
}

/** The whole text of the new component, without its imports. */
export function componentText(framework: Framework, name: string, place: Occurrence, holes: readonly Variation[]): string {
  const props = unique(holes);
  const { isTyped, text } = place.source;
  const names = props.map((one) => one.name).join(', ');
  if (markupOf(framework) === 'directives') {
    const known = props.every((one) => one.type === 'string' || one.type === 'boolean');
    const declared =
      isTyped && known
        ? `defineProps<{ ${props.map((one) => `${one.name}: ${one.type}`).join('; ')} }>();`
        : `defineProps([${props.map((one) => `'${one.name}'`).join(', ')}]);`;
    return `<script setup${isTyped ? ' lang="ts"' : ''}>\n${props.length > 0 ? `${declared}\n` : ''}</script>\n\n<template>\n  ${stretchText(place, holes, '  ')}\n</template>\n`;
  }
  if (markupOf(framework) === 'blocks') {
    const isOlder = /\bexport let\b|^\s*\$:/m.test(text) || (!/\$(?:props|state|derived)\b/.test(text) && /\bon:\w/.test(text));
    const typeIn = ({ type }: Variation): string => (/^(?:string|boolean)$/.test(type) ? type : 'any');
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
