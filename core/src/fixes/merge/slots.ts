import { adapterOf, markupOf } from '../../frameworks/registry';
import { contentSpan, nameOf, type Piece, type Swap } from '../../overlap';
import type { NewProp } from './declare';
import { type MergedProp, newProp, type Work } from './fill';
import { isBetweenTags, unitOf } from './unit';

/** A name for what may be put in some element's place. */
const slotName = (piece: Piece): string =>
  /^h\d$/.test(piece.label)
    ? 'heading'
    : piece.label === 'button'
      ? 'action'
      : /^(?:svg|img|i)$/.test(piece.label)
        ? 'mark'
        : nameOf(piece).length > 2
          ? nameOf(piece)
          : 'part';

/** Svelte before version 5, where content has a name but is no prop. */
const isOlder = ({ laid, framework }: Work): boolean =>
  markupOf(framework) === 'blocks' && /\bexport let\b|<slot\b/.test(laid.texts.join(' '));

/** Whether what the users put in is declared as a prop. */
export const isPropSlot = (work: Work): boolean =>
  markupOf(work.framework) === 'expression' || (markupOf(work.framework) === 'blocks' && !isOlder(work));

/** Leaves a place for either: what the first has is what stands there where nothing is given. */
export function slotHole(work: Work, { a, b }: Swap): void {
  const { laid, framework } = work;
  const given = laid.texts[1].slice(b.span.start, b.span.end);
  const name = newProp(work, 'slot', slotName(a), 'undefined', given);
  const type: NewProp['type'] = markupOf(framework) === 'expression' ? 'content' : 'unknown';
  work.props.push({ ...(work.props.pop() as MergedProp), type });
  const unit = unitOf(framework, laid.texts[0], a);
  const own = laid.texts[0].slice(unit.start, unit.end);
  work.puts.push({
    ...unit,
    other: unitOf(framework, laid.texts[1], b),
    text: placed(work, name, own, isBetweenTags(framework, laid.texts[0], unit)),
  });
}

function placed(work: Work, name: string, own: string, between: boolean): string {
  if (markupOf(work.framework) === 'directives' || isOlder(work)) return `<slot name="${name}">${own}</slot>`;
  if (markupOf(work.framework) === 'blocks') return `{#if ${name}}{@render ${name}()}{:else}${own}{/if}`;
  return between ? `{${name} ?? ${own}}` : `${name} ?? (${own})`;
}

/** What a use of the second has to hold, and where: an attribute, or content of its own. */
export function slotGiven(
  work: Work,
  text: string,
  use: { readonly start: number; readonly end: number },
  tag: string,
): { start: number; end: number; text: string }[] {
  const slots = work.props.filter((prop) => prop.kind === 'slot');
  if (slots.length === 0 || markupOf(work.framework) === 'expression') return [];
  const { fillsSlot } = adapterOf(work.framework).write;
  const content = slots.map(({ name, given }) => fillsSlot?.(name, given, work.laid.texts.join(' ')) ?? '').join('');
  const inside = contentSpan(text, use);
  if (inside) return [{ start: inside.start, end: inside.start, text: content }];
  const close = /\s*\/>$/.exec(text.slice(use.start, use.end))?.[0] ?? '';
  return [{ start: use.end - close.length, end: use.end, text: `>${content}</${tag}>` }];
}
