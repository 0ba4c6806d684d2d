import { markupOf } from '../../frameworks/registry';
import type { Framework } from '../../model/framework';
import { propKey } from '../../model/member';
import { isListener } from '../../model/given';
import type { Binding, SpreadFact } from '../../model/facts';
import type { Span } from '../../model/span';
import { folded, type Piece, staticTexts } from '../../overlap';
import { CannotWrite } from '../rewrite';
import { bound, literalOf, pascal, quoted, refuseLetters, shown } from '../written';
import { camel, commonName, lastName } from './names';
import { type Variation, type Mention, mentionsOf, ownerOf, type Occurrence, says, textAt } from './places';
import { literalPattern } from '../../model/literal-pattern';

/** What is given by a plain attribute. */
const plainTargets = new Set<Binding['to']['kind']>(['prop', 'attribute', 'property', 'slot']);

/** Names that mean something else to a framework when they are given to a component. */
const taken = new Set(['class', 'className', 'style', 'key', 'ref', 'slot', 'is', 'children']);

/** Gathers what becomes a prop, walking all places side by side. */
export class Holes {
  readonly found: Variation[] = [];

  /** `byName`: an expression that is the same at each place stays, and what it takes from its owner is handed in under its names. */
  constructor(
    private readonly places: readonly Occurrence[],
    private readonly framework: Framework,
    private readonly byName: boolean,
  ) {}

  private nameFor(asked: string, tag: string): string {
    // In Svelte a name with this letter is a store's value, which is given under a name of its own.
    const wanted = markupOf(this.framework) === 'blocks' ? asked.replace(/^\$+/, '') : asked;
    const used = new Set(this.found.map((one) => one.name));
    const first = taken.has(wanted) || !/^[A-Za-z_$][\w$]*$/.test(wanted) ? 'tone' : wanted;
    if (!used.has(first)) return first;
    const second = tag === '' ? `${first}2` : `${camel(tag).replace(/^./, (letter) => letter.toLowerCase())}${pascal(first)}`;
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
  }: Omit<Variation, 'name' | 'text'> & { wanted: string; tag: string; write: (name: string) => string }): void {
    const same = this.found.find((one) => one.about === hole.about && one.given.every((code, at) => code === hole.given[at]));
    const name = same?.name ?? this.nameFor(wanted, tag);
    this.found.push({ ...hole, name, text: write(name) });
  }

  /**
   * What some code is, by what it mentions at each place: the same everywhere (`stays`), its owner's
   * (`given`), or made of both what the stretch itself has and what its owner has (`mixed`).
   */
  kindOf(mentions: readonly (readonly Mention[])[], texts: readonly string[]): 'stays' | 'given' | 'mixed' {
    const owners = mentions.map((all, at) => new Set(all.map(({ value }) => ownerOf(this.places[at] as Occurrence, value))));
    if (!owners.some((one) => one.has('owner')) && new Set(texts).size === 1) return 'stays';
    if (owners.some((one) => one.has('inner'))) return 'mixed';
    return this.byName && new Set(texts).size === 1 ? 'mixed' : 'given';
  }

  /** Leaves code where it is, and makes a prop of each thing in it that is its owner's. */
  closeOver(mentions: readonly (readonly Mention[])[], about: string): void {
    const roots = mentions.map((all, at) => this.rootsOf(all, at, about));
    const [first = []] = roots;
    if (roots.some((own) => own.length !== first.length)) throw new CannotWrite(`${about} belongs to a list in it, and differs.`);
    if (markupOf(this.framework) === 'expression' && this.places[0]?.source.isTyped && first.length > 0)
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
      const { source } = this.places[0] as Occurrence;
      const [before, after] = [source.text.slice(0, own[0]?.span.start), source.text.slice(own[0]?.span.end)];
      const isShorthand = (/[{,]\s*$/.test(before) && /^\s*[,}]/.test(after)) || /\s:$|v-bind:$/.test(before);
      if (isShorthand && this.found.at(-1)?.name !== name) throw new CannotWrite(`${name} names a member in it.`);
    });
  }

  /** The names of the owner's things in some code, as they stand there: `ui`, `props.ui`. */
  private rootsOf(all: readonly Mention[], at: number, about: string): { name: string; text: string; span: Span }[] {
    const place = this.places[at] as Occurrence;
    const { text } = place.source;
    const found = new Map<number, { name: string; text: string; span: Span }>();
    for (const { value, span, isChange } of all) {
      if (ownerOf(place, value) !== 'owner') continue;
      // What is taken apart where it is handed over is read by the names of its parts.
      const known = place.component.facts.values[value]?.name ?? '';
      const name = /^[{[]/.test(known) ? (/^[A-Za-z_$][\w$]*/.exec(text.slice(span.start, span.end))?.[0] ?? known) : known;
      const root = new RegExp(`^(?:[\\w$]+\\.)?\\$?${literalPattern(name)}(?![\\w$])`).exec(text.slice(span.start, span.end))?.[0];
      if (isChange || root === undefined) throw new CannotWrite(`${about} changes or takes ${name} in a way that is not followed.`);
      found.set(span.start, { name, text: root, span: { start: span.start, end: span.start + root.length } });
    }
    return [...found.values()].sort((x, y) => x.span.start - y.span.start);
  }

  /** Where content shows: in Svelte a value like others, in Vue a place that stays, with what it hands out. */
  outlet(pieces: readonly Piece[]): void {
    const nodes = pieces.flatMap(({ node }) => (node.kind === 'outlet' ? [node] : []));
    const [first] = nodes;
    if (!first) return;
    if (markupOf(this.framework) === 'blocks' && nodes.some((one) => !one.reading))
      throw new CannotWrite('It has a slot, of Svelte before 5.');
    const mentions = nodes.map((one, at) =>
      mentionsOf((this.places[at] as Occurrence).component.facts, [...(one.reading ? [one.reading] : []), ...one.slotProps.flat()]),
    );
    if (new Set(mentions.map((one) => one.length)).size > 1) throw new CannotWrite('Its places for content hand out different things.');
    this.closeOver(mentions, 'A place for content');
  }

  /** A component that a value holds comes from who has the stretch. */
  chosen(pieces: readonly Piece[]): void {
    const mentions = pieces.map(({ node }): Mention[] =>
      node.kind === 'use' ? (node.dynamic ?? []).map(({ value, span }) => ({ value, span })) : [],
    );
    const texts = pieces.map(({ node }, at) => (node.kind === 'use' ? says(this.places[at] as Occurrence, node.nameSpan) : ''));
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
      const mentions = own.map((one, at) => mentionsOf((this.places[at] as Occurrence).component.facts, one.readings));
      const texts = own.map((one, at) => says(this.places[at] as Occurrence, one.span));
      if (this.kindOf(mentions, texts) !== 'stays') this.closeOver(mentions, texts[0] ?? '');
    });
  }

  text(element: readonly Piece[]): void {
    const all = element.map((piece, at) => staticTexts((this.places[at] as Occurrence).source.text, piece));
    const [first = []] = all;
    if (all.some((one) => one.length !== first.length)) throw new CannotWrite('Texts stand at different places in it.');
    first.forEach((_, index) => {
      const given = all.map((spans, at) => folded(textAt(this.places[at] as Occurrence, spans[index] as Span)));
      if (new Set(given).size === 1) return;
      refuseLettersIn(given.map(quoted));
      const tag = tagOf(element[0]);
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
    // Markup that is given has pieces of its own.
    if (first.markup) return;
    const texts = bindings.map((binding, at) => says(this.places[at] as Occurrence, binding.span));
    const mentions = bindings.map((binding, at) =>
      mentionsOf((this.places[at] as Occurrence).component.facts, binding.readings, binding.action),
    );
    const kind = this.kindOf(mentions, texts);
    if (kind === 'stays') return;
    if (bindings.some((one) => one.direction === 'two-way') || texts[0]?.startsWith('bind:')) {
      this.twoWay(bindings, texts);
      return;
    }
    if (kind === 'mixed' || (markupOf(this.framework) === 'directives' && isListener(first))) {
      this.closeOver(mentions, first.written);
      return;
    }
    if (!plainTargets.has(first.to.kind) && !/^on[A-Za-z]/.test(first.written))
      throw new CannotWrite(`${first.written} is no plain attribute.`);
    const given = texts.map((text) => (/^\{[\w$]+\}$/.test(text) ? text.slice(1, -1) : literalOf(this.framework, text)));
    const isConstant = bindings.every((one) => one.constant !== undefined && one.readings.length === 0);
    if (isConstant) refuseLettersIn(given);
    const own = isConstant ? undefined : commonName(given.map(lastName));
    const plain = first.written.replace(/^:|^v-bind:/, '');
    const attribute = camel(plain);
    const wanted = own !== undefined && !/^on[A-Z]/.test(attribute) ? own : attribute;
    const spelt = plain;
    const type = given.every((code) => /^'/.test(code)) ? 'string' : typeOf(element, spelt);
    this.add({
      about: !isConstant ? 'expression' : /^(?:id|for|htmlFor|aria-\w+)$/.test(spelt) ? 'id' : spelt,
      spans: bindings.map((one) => one.span),
      given,
      wanted,
      tag: tagOf(element),
      type,
      write: (name) => bound(this.framework, spelt, name),
    });
  }

  /** Whether an expression is a flag, by how it is written or how the one value that it is was made. */
  private isBoolean(text: string, mentions: readonly Mention[], at: number): boolean {
    const looks = (code: string): boolean => /^!|[=!]==?|[<>]/.test(code) && !/=>|\?/.test(code);
    const { facts, contract } = (this.places[at] as Occurrence).component;
    const [only, ...more] = mentions;
    const value = only && more.length === 0 ? facts.values[only.value] : undefined;
    if (looks(text)) return true;
    if (!value || value.name !== text) return false;
    const kinds = value.kind === 'prop' ? contract.members.get(propKey(text))?.kinds : undefined;
    return looks(value.formula ?? '') || (kinds !== undefined && kinds.size > 0 && [...kinds].every((kind) => kind === 'flag'));
  }

  /** In Svelte: a prop that may be bound goes on to what it was bound to. */
  private twoWay(bindings: readonly Binding[], texts: readonly string[]): void {
    const [first] = bindings;
    const given = texts.map((text) => /^bind:[\w-]+=\{([\w$.]+)\}$/.exec(text)?.[1] ?? /^bind:([\w$]+)$/.exec(text)?.[1]);
    const about = first?.to.name ?? '';
    if (!first || markupOf(this.framework) !== 'blocks' || given.includes(undefined) || about === 'this' || about === 'group')
      throw new CannotWrite(`${first?.to.name ?? 'It'} is bound both ways.`);
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
    const texts = spans.map((span, at) => says(this.places[at] as Occurrence, span));
    const [first] = spans;
    const made = this.kindOf(mentions, texts);
    if (made === 'stays' || !first || this.isMade(first)) return;
    if (made === 'mixed') {
      this.closeOver(mentions, texts[0] ?? '');
      return;
    }
    const source = (this.places[0] as Occurrence).source;
    if (kind === 'list' && markupOf(this.framework) === 'expression' && source.isTyped)
      throw new CannotWrite(`It repeats over ${texts[0] ?? ''}, whose kind is not written in it.`);
    const isBoolean = texts.every((text, at) => this.isBoolean(text, mentions[at] ?? [], at));
    if (kind === 'condition' && markupOf(this.framework) === 'expression' && source.isTyped && !isBoolean)
      throw new CannotWrite(`It stands and falls with ${texts[0] ?? ''}, whose kind is not known.`);
    const own = commonName(texts.map(lastName));
    const tag = pieces[0]?.parent === undefined ? '' : tagOf((this.places[0] as Occurrence).nodes[pieces[0].parent]);
    const wanted = own ?? (kind === 'condition' ? 'isShown' : kind === 'list' ? 'items' : 'value');
    const type = kind === 'condition' && isBoolean ? 'boolean' : kind === 'shown' ? 'ReactNode' : '';
    this.add({ about: 'expression', spans, given: texts, wanted, tag: /^[a-z]\w*$/.test(tag) ? tag : '', type, write: (name) => name });
  }
}

/** Texts that can stand in no attribute are given by script, which says letters as they are. */
const refuseLettersIn = (given: readonly string[]): void => refuseLetters(given.filter((code) => /['"\\{}<>]/.test(code.slice(1, -1))));

/** What an element or a use is called in the markup, for names that are made of it. */
const tagOf = (piece: Piece | undefined): string =>
  piece?.node.kind === 'use' ? (piece.node.tag.split('.').at(-1) ?? '') : (piece?.label ?? '');

/** In TypeScript: what an attribute takes, told by the element or component that it stands on. */
function typeOf({ kind, label, node }: Piece, attribute: string): string {
  if (kind === 'element') return `ComponentProps<'${label}'>['${attribute}']`;
  return node.kind === 'use' ? `ComponentProps<typeof ${node.tag}>['${attribute}']` : '';
}
