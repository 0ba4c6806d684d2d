import type { ActionFact, TemplateNode, ValueFact } from '../../../model/facts';
import { traitsOf } from '../../../frameworks/registry';
import { tagText } from '../../../model/tag-text';
import { conditionOf } from '../../../tree';
import type { Frame } from '../../graph/frames';
import type { ComputationStep } from '../../../read/script/computation';
import type { StepWord } from '../../../read/script/operators';
import type { Listening } from './links';

/** `a`, `a and b`, `a, b and 3 more`. */
export function several(names: readonly string[], most = 4): string {
  const own = [...new Set(names)];
  const shown = own.length > most ? [...own.slice(0, most - 1), `${own.length - most + 1} more`] : own;
  const last = shown.at(-1) ?? '';
  return shown.length < 2 ? last : `${shown.slice(0, -1).join(', ')} and ${last}`;
}

const stepWords: Readonly<Record<StepWord, string>> = {
  passes: 'passes some',
  narrows: 'takes a part',
  computes: 'computes',
  joins: 'joins',
  switches: 'switches',
  times: 'waits',
  starts: 'starts',
  keeps: 'keeps',
  recovers: 'recovers',
  ends: 'ends',
  does: 'does more',
};

/** What a computation does, in a few words: each once, in their order. */
export function stepsInShort(steps: readonly ComputationStep[]): string {
  const words = [...new Set(steps.map((step) => stepWords[step.does]))];
  return words.length > 3 ? `${words.slice(0, 3).join(', ')} …` : words.join(', ');
}

/** The word that stands before what a step does. */
export const stepWord = (step: ComputationStep): string => stepWords[step.does];

/** When a value is computed again, as a sentence; empty where no more is known than what it is made of. */
export function againWords({ component, kind, name }: Frame, value: ValueFact, sources: readonly string[]): string {
  const of = several(sources);
  const whole = kind === 'module' ? 'the module' : name;
  if (value.once) return `Computed once, when ${whole} is set up.`;
  if (sources.length === 0) return '';
  if (value.follows) return `Kept until ${several(sources).replace(/ and /, ' or ')} is another.`;
  if (value.tracked) return `Computed again whenever ${of.replace(/ and /, ' or ')} is another.`;
  if (component && traitsOf(component).rerender === 'component') return `Computed from ${of}, each time ${whole} renders.`;
  return '';
}

/** A node of the markup as a row: what it is, and the few words beside it. */
export function markupWords(node: TemplateNode, names: readonly string[]): { readonly name: string; readonly does: string } {
  switch (node.kind) {
    case 'repeat':
      return { name: `each of ${node.over}`, does: node.item === '' ? 'repeats' : `one at a time, as ${node.item}` };
    case 'branch':
      return { name: `where ${conditionOf(node)}`, does: 'decides what shows' };
    case 'text':
      return { name: several(names), does: 'painted as text' };
    case 'outlet':
      return { name: 'content', does: node.slotProps.length > 0 ? 'handed to the content' : 'shown' };
    case 'element':
      return { name: tagText(node), does: 'painted' };
    case 'use':
      return { name: tagText(node), does: 'given on' };
  }
}

/** What people do that runs something: `click on <button>`. */
export function listeningWords(on: readonly Listening[]): string {
  const words = [...new Set(on.map(({ node, binding }) => `${binding.to.name} ${node.kind === 'use' ? 'of' : 'on'} ${tagText(node)}`))];
  return words.length > 2 ? `${words[0] ?? ''} and ${words.length - 1} more` : words.join(', ');
}

/** What an effect is called: the function that makes it, where it has no name of its own. */
export const effectName = (action: ActionFact | undefined): string => action?.name || (action?.kind ?? 'effect');
