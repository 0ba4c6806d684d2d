import type { ComponentFacts, TemplateNode } from '../../model/facts';
import { remembered } from '../../model/remembered';
import { walkTemplate } from '../../model/walk';

/** Values that the markup of a component shows or decides by, by index; of a part that is read, `index.part` too. */
export const shownIn = remembered((facts: ComponentFacts): ReadonlySet<string> => {
  const shown = new Set<string>();
  const note = (readings: Extract<TemplateNode, { kind: 'text' }>['readings']): void => {
    for (const reading of readings) {
      shown.add(String(reading.value));
      if (reading.path[0] !== undefined) shown.add(`${reading.value}.${reading.path[0]}`);
    }
  };
  walkTemplate(facts.template, (node) => {
    if (node.kind === 'text' || node.kind === 'branch' || node.kind === 'repeat') note(node.readings);
    else if (node.kind !== 'outlet') for (const binding of node.bindings) if (binding.direction === 'in') note(binding.readings);
  });
  return shown;
});

/** Values that the markup shows, as they are or by what is computed from them, by index. */
export const shownAtAll = remembered((facts: ComponentFacts): ReadonlySet<number> => {
  const { values } = facts;
  const shown = new Set([...shownIn(facts)].map((one) => parseInt(one, 10)));
  for (const index of shown) if (values[index]?.kind === 'derived') for (const { value } of values[index].from) shown.add(value);
  return shown;
});
