import type { SpreadFact, TemplateNode } from '../../model/facts';
import type { Writable } from '../../model/writable';
import { eventKey } from '../../model/member';
import { walkTemplate } from '../../model/walk';
import { type Body, propMember } from '../script/body';
import { formulaAfter } from '../script/formula';
import { parseExpressionAt } from '../script/parse';
import { objectNames } from '../script/syntax';

/**
 * Tells the members of what is spread on uses where the body or its module declares it as an object in
 * place that nothing changes: `const common = { size: 2 }; <Knob {...common}/>`.
 */
export function noteSpreadKeys(body: Body, template: readonly TemplateNode[]): void {
  walkTemplate(template, (node) => {
    if (node.kind !== 'use') return;
    for (const spread of node.spreads) {
      const names = spread.keys ? undefined : namesOf(body, spread);
      // Names of events are those of the object, as they are.
      if (names) (spread as Writable<SpreadFact>).keys = names.map((name) => (spread.ofEvents ? eventKey(name) : propMember(body, name)));
    }
  });
}

function namesOf({ values, actions, module }: Body, { readings }: SpreadFact): readonly string[] | undefined {
  const [only, ...more] = readings;
  const value = only && values[only.value];
  if (!only || !value || more.length > 0 || only.path.length > 0 || only.held) return undefined;
  if (value.kind === 'module') return module.objects.get(value.source ?? value.name);
  const isChanged = actions.some(({ changes }) => changes.some((one) => one.value === only.value));
  const text = value.kind === 'derived' && !value.plain && !isChanged ? formulaAfter(module.text, value.span.end) : '';
  const node = text.startsWith('{') ? parseExpressionAt(text, { start: 0, end: text.length }, 'tsx') : undefined;
  return node && 'type' in node ? objectNames(node) : undefined;
}
