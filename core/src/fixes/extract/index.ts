import { adapterOf, markupOf } from '../../frameworks/registry';
import type { FilePath } from '../../model/span';
import { piecesOf, type Repeated, tagEnd } from '../../overlap';
import { readFile } from '../../frameworks/read-file';
import { freeNames } from '../free-names';
import { bringImports, dropUnusedImports, wayTo, writeImports } from '../imports';
import { CannotWrite, type Rewrite } from '../rewrite';
import { indentAt, sourceOf, startsLine } from '../source';
import { sameMeaning } from '../ways';
import { pascal } from '../written';
import type { Framework } from '../../model/framework';
import { componentText, refuseOther, unique, useText } from './component';
import { gather } from './gather';
import { nameHoles, type Passage, passagesOf, slotHoles } from './passages';
import type { Variation, Occurrence } from './places';
import { stayingHoles, stayingOn, staysWith } from './root';

/** A file and a component of a name that nothing has yet, in the folder of the first place. */
function freshName(
  rewrite: Rewrite,
  { component, source }: Occurrence,
  wanted: string,
): { readonly name: string; readonly file: FilePath } {
  const folder = component.file.slice(0, component.file.lastIndexOf('/') + 1);
  const ending =
    markupOf(component.framework) === 'expression'
      ? source.isTyped
        ? 'tsx'
        : component.file.endsWith('.js')
          ? 'js'
          : 'jsx'
      : component.framework;
  const names = new Set([...rewrite.model.components.values()].map((one) => one.name));
  let name = wanted;
  for (let turn = 2; names.has(name) || rewrite.has(`${folder}${name}.${ending}`); turn++) name = `${wanted}${turn}`;
  return { name, file: `${folder}${name}.${ending}` };
}

/** Stretches whose look comes from styles of their own component cannot leave it. */
function refuseStyled({ source, component }: Occurrence): void {
  const scoped = markupOf(component.framework) === 'blocks' ? /<style\b/ : /<style\b[^>]*\b(?:scoped|module)\b/;
  if (markupOf(component.framework) !== 'expression' && scoped.test(source.text))
    throw new CannotWrite(`The styles of ${component.name} are its own and would not reach it.`);
}

/** Words of Vue that begin as its directives do, and are no names of a component's own. */
const builtIn = /^v-(?:if|else|else-if|for|bind|on|model|show|text|html|slot|once|pre|cloak|memo|is)$/;

/** A directive that the component has for itself: `v-focus`, declared as `vFocus`. */
function ownDirective(text: string, stretch: string): string | undefined {
  const named = [...stretch.matchAll(/\sv-[a-z][\w-]*/g)].map(([found]) => found.trim());
  return named.find((one) => !builtIn.test(one) && new RegExp(`\\bv${pascal(one.slice(2))}\\b`).test(text));
}

/** What a framework gives to each component under one name, or to what stands just where it does, means another thing in the new one. */
function refuseOwn({ source: { text, framework }, piece: { span } }: Occurrence): void {
  const stretch = text.slice(span.start, span.end);
  if (markupOf(framework) === 'directives') {
    const found =
      /\$(?:attrs|emit|parent|root|refs|el|props|data|options|watch|forceUpdate)\b/.exec(stretch)?.[0] ?? ownDirective(text, stretch);
    if (found) throw new CannotWrite(`${found} in it is of the component that it stands in.`);
  }
  if (markupOf(framework) === 'blocks') {
    const found = /\$\$(?:props|restProps|slots)\b/.exec(stretch)?.[0];
    if (found) throw new CannotWrite(`${found} in it is of the component that it stands in.`);
    const placed = /\s(?:slot=|animate:)/.exec(stretch.slice(0, tagEnd(stretch, 0)))?.[0].trim();
    if (placed) throw new CannotWrite(`Its outermost element has ${placed}, which belongs to where it stands.`);
  }
}

const propsMost = 12;

/** So many props less are worth handing in whole things, of which the new component needs parts. */
const worthWhole = 3;

/** What the new component takes: single values or, where these are many, what they are made of under its own name. */
function fewest(places: readonly Occurrence[], framework: Framework): Variation[] {
  const single = gather(places, framework, false);
  if (unique(single).length <= worthWhole) return single;
  try {
    const byName = gather(places, framework, true);
    return unique(byName).length + worthWhole <= unique(single).length ? byName : single;
  } catch (error) {
    if (error instanceof CannotWrite) return single;
    throw error;
  }
}

/** What is to be taken out of some places: what becomes a prop, and what content is handed on. */
type Plan = { readonly places: readonly Occurrence[]; readonly holes: readonly Variation[]; readonly passages: readonly Passage[] };

/** Throws where the places cannot be made one with certainty. */
function plan(places: readonly Occurrence[]): Plan {
  const [first] = places;
  if (!first) throw new CannotWrite('It stands nowhere any more.');
  const { framework } = first.component;
  if (places.some((one) => one.component.framework !== framework)) throw new CannotWrite('It stands in components of two frameworks.');
  if (places.some((one) => one.component.facts.form === 'class'))
    throw new CannotWrite('It stands in a class, where what it reads is not plain.');
  places.forEach(refuseStyled);
  places.forEach(refuseOwn);
  const passages = passagesOf(places);
  const taken = [...fewest(places, framework), ...stayingHoles(places)];
  const holes = [...taken, ...nameHoles(places), ...slotHoles(places, passages, taken)];
  refuseOther(places, holes);
  if (unique(holes).length > propsMost) throw new CannotWrite(`It would need ${unique(holes).length} props.`);
  return { places, holes, passages };
}

/** A plan for all places or, where some of them are not like the others, for most. */
function planForMost(places: readonly Occurrence[]): Plan {
  const attempt = (some: readonly Occurrence[]): Plan | CannotWrite => {
    try {
      return plan(some);
    } catch (error) {
      if (error instanceof CannotWrite) return error;
      throw error;
    }
  };
  const whole = attempt(places);
  if (!(whole instanceof CannotWrite)) return whole;
  if (places.length === 2) throw whole;
  // Whatever most are like, one of the first few is like it.
  const groups = places
    .slice(0, 4)
    .map((first) => places.filter((one) => one === first || !(attempt([first, one]) instanceof CannotWrite)));
  const most = groups.reduce((best, group) => (group.length > best.length ? group : best));
  const some = most.length > 1 && most.length < places.length ? attempt(most) : whole;
  if (some instanceof CannotWrite) throw whole;
  return some;
}

/**
 * The edits by which markup that stands in several places becomes a component of its own: what
 * differs, and what comes from who has it, are its props; each place becomes a use. How many of the
 * places become one: those that are not like the others stay. Throws `CannotWrite` where that is not certain.
 */
export function extractRepeated(rewrite: Rewrite, { places: all }: Repeated, wanted: string): number {
  const { places, holes, passages } = planForMost(
    all.map(({ component: id, piece }): Occurrence => {
      const component = rewrite.model.components.get(id);
      if (!component) throw new CannotWrite('One of the places is not there any more.');
      const source = rewrite.source(component);
      return { component, source, piece, nodes: piecesOf(rewrite.model, component).nodes, staying: stayingOn({ source, piece }) };
    }),
  );
  const first = places[0] as Occurrence;
  const { framework } = first.component;
  const { name, file } = freshName(rewrite, first, wanted);
  const body = componentText(framework, name, first, holes);
  const text = withImports(rewrite, first, places, file, body, holes);
  const facts = readFile(file, text);
  const made = facts.components[0];
  const free =
    markupOf(framework) === 'expression'
      ? freeNames(sourceOf(file, text, framework))
      : [...(made?.undeclared ?? []).map((one) => one.name), ...(markupOf(framework) === 'blocks' ? freeStores(text) : [])];
  if (facts.problems.length > 0 || !made || free.length > 0)
    throw new CannotWrite(`${free[0] ?? 'Something'} in it comes from where it stands.`);
  rewrite.create(file, text);
  places.forEach((place, at) => {
    const { source, piece } = place;
    const indent = startsLine(source.text, piece.span.start) ? indentAt(source.text, piece.span.start) : '';
    rewrite.put(source, piece.span, useText(framework, name, holes, at, { indent, own: staysWith(place), passages }));
    rewrite.need(source, markupOf(framework) === 'expression' ? name : `default ${name}`, wayTo(source, rewrite, file));
  });
  writeImports(rewrite);
  for (const source of rewrite.opened()) dropUnusedImports(rewrite, source);
  return places.length;
}

/** Stores of Svelte that a text reads and does not declare. */
function freeStores(text: string): string[] {
  const read = [...text.matchAll(/(?<![\w$.])\$([A-Za-z_]\w*)/g)].map(([, name]) => name ?? '');
  const isRune = /^(?:state|derived|props|effect|bindable|inspect|host)$/;
  return read
    .filter((name) => !isRune.test(name) && !new RegExp(`(?:import|let|const)\\b[^;\\n]*\\b${name}\\b`).test(text))
    .map((name) => `$${name}`);
}

/** The new component's text with the imports that it needs. */
function withImports(
  rewrite: Rewrite,
  first: Occurrence,
  places: readonly Occurrence[],
  file: FilePath,
  body: string,
  holes: readonly Variation[],
): string {
  const { framework } = first.component;
  const own = bringImports(rewrite, first.source, file, body);
  for (const { source } of places)
    for (const name of own.flatMap((one) => one.names))
      if (!sameMeaning(rewrite.model, first.source.file, source.file, name))
        throw new CannotWrite(`${name} means one thing here and another there.`);
  const types = ['ComponentProps', 'ReactNode'].filter(
    (one) => first.source.isTyped && markupOf(framework) === 'expression' && holes.some((hole) => hole.type.includes(one)),
  );
  const lines = [
    ...(types.length > 0 ? [`import type { ${types.join(', ')} } from '${adapterOf(framework).write.package}';`] : []),
    ...own.map((one) => one.line),
  ];
  if (lines.length === 0) return body;
  return markupOf(framework) === 'expression'
    ? `${lines.join('\n')}\n\n${body}`
    : body.replace(/(<script[^>]*>\n)/, `$1${lines.map((line) => `${markupOf(framework) === 'blocks' ? '  ' : ''}${line}\n`).join('')}\n`);
}
