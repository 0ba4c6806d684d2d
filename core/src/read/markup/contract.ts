import type { EventFact, Openness, MemberFact, ProvideFact, RaiseFact, SlotFact, TemplateNode, TemplateUse } from '../../model/facts';
import type { MemberKey } from '../../model/member';
import { walkTemplate } from '../../model/walk';
import type { Body } from '../script/body';

/** The slots that a template shows. */
export function slotsOf(template: readonly TemplateNode[]): SlotFact[] {
  const slots = new Map<MemberKey, SlotFact>();
  walkTemplate(template, (node) => {
    if (node.kind !== 'outlet') return;
    const known = slots.get(node.slot);
    slots.set(node.slot, {
      key: node.slot,
      span: known?.span ?? node.span,
      fallback: (known?.fallback ?? false) || (node.fallback?.length ?? 0) > 0 || node.fallbackText === true,
      hasSlotProps: (known?.hasSlotProps ?? false) || node.slotProps.length > 0,
    });
  });
  return [...slots.values()];
}

/** The events of a contract: props that are called, by the name without the spelling of markup. */
export function eventsOf(raises: readonly RaiseFact[], props: readonly MemberFact[], nameOf: (prop: MemberFact) => string): EventFact[] {
  return props
    .filter((prop) => prop.kind === 'callback')
    .map((prop) => ({
      name: nameOf(prop),
      key: prop.key,
      span: prop.span,
      raised: raises.filter((raise) => raise.member === prop.key),
      travels: 'owner',
    }));
}

/** Whether users may give names that are not declared: what is not declared goes on to others, or nowhere. */
export function opennessOf(body: Body, open: boolean): { openness: Openness; through: string[] } {
  const through = body.restTargets.filter((target) => target.kind === 'use').map((target) => target.tag);
  if (open || body.restTargets.some((target) => target.kind === 'unknown')) return { openness: 'open', through: [] };
  if (body.restTargets.some((target) => target.kind === 'element')) return { openness: 'platform', through: [] };
  return through.length > 0 ? { openness: 'through', through } : { openness: 'closed', through: [] };
}

/** What is given to all below stands around the template, outermost first. */
export function provided(provides: readonly ProvideFact[], template: readonly TemplateNode[]): readonly TemplateNode[] {
  return provides.reduceRight<readonly TemplateNode[]>(
    (inside, { key, span, readings }) => [
      {
        kind: 'use',
        tag: key,
        span,
        nameSpan: span,
        bindings: [{ to: { kind: 'prop', name: 'value' }, written: 'value', span, nameSpan: span, direction: 'in', readings }],
        spreads: [],
        children: inside,
        key: { kind: 'none' },
        content: 'markup',
      } satisfies TemplateUse,
    ],
    template,
  );
}
