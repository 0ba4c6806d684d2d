import type { ValueFact } from '../../../model/facts';
import { defaultSlot, type MemberKey } from '../../../model/member';
import type { Frame } from '../../graph/frames';
import type { Graph } from '../../graph/graph';
import { givenTo } from '../../graph/targets';

/** Who gives a member at the place of a frame. */
export function givenWords(graph: Graph, frame: Frame, key: MemberKey): string {
  if (frame.kind === 'hook') return 'given by who calls it';
  const given = givenTo(graph, frame, key);
  if (!given) return frame.place < 0 ? '' : 'nobody above gives it';
  const spread = given.use.spreads.some((one) => one.keys === undefined || one.keys.includes(key));
  if (key === defaultSlot && given.use.content !== 'none') return `content of ${given.owner.name}`;
  if (!given.binding) return spread ? `given by ${given.owner.name}` : 'given nowhere';
  return given.binding.constant === undefined ? `given by ${given.owner.name}` : `a constant of ${given.owner.name}`;
}

/** Who hears an event there. */
export function heardWords(graph: Graph, frame: Frame, key: MemberKey): string {
  const given = givenTo(graph, frame, key);
  if (!given) return frame.place < 0 ? '' : 'nobody above hears it';
  const spread = given.use.spreads.some((one) => one.keys === undefined || one.keys.includes(key));
  return given.binding || spread ? `heard by ${given.owner.name}` : 'heard by nobody';
}

/** Who answers for a context there. */
export function answeredWords(graph: Graph, frame: Frame, value: ValueFact): string {
  const meant = value.source === undefined ? undefined : graph.named(frame, value.source);
  if (meant?.kind !== 'context') return 'taken from above';
  const provider = graph.providerOf(frame, meant.id, value.asks);
  const by = provider && graph.frames[provider.owner];
  if (provider) return `answered by ${by?.name || 'the application'}`;
  const context = graph.model.contexts.get(meant.id);
  return context?.isOne ? 'one for all' : context?.fallback === 'given' ? 'the default' : 'nobody above provides it';
}
