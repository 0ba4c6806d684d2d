import type { AgainFact, TemplateNode } from '../../model/facts';
import { bindingFor } from '../../model/given';
import type { ComponentId } from '../../model/ids';
import type { Component, Model, Use } from '../../model/model';
import { contains, locate, type Span } from '../../model/span';
import { remembered } from '../../model/remembered';
import { componentText } from '../../model/tag-text';
import type { Found, Rule } from '../rule';

/** Uses that a component renders each time: not under a condition, in a list, or as content that another may leave out. */
const alwaysRendered = remembered((component: Component, model: Model): readonly Use[] => {
  const found: Use[] = [];
  const visit = (nodes: readonly TemplateNode[], around?: Span): void => {
    for (const node of nodes) {
      // Markup from a variable may have been put there under a condition.
      if (around && !contains(around, node.span)) continue;
      if (node.kind === 'element') visit(node.children, node.span);
      if (node.kind !== 'use' || node.asValue || node.tag === '') continue;
      const use = model.useOfNode.get(node);
      if (use) found.push(use);
    }
  };
  // Several alternatives at the top stand for conditions that were not told.
  if (component.facts.template.length <= 1 || component.facts.form === 'file' || component.facts.form === 'element')
    visit(component.facts.template);
  return found;
});

/** State that is set each time, so that rendering or an effect never comes to rest. */
function setEachTime(component: Component, again: readonly AgainFact[]): Found[] {
  return again.map(({ value, span, by }): Found => {
    const state = component.facts.values[value];
    const at = locate(component.file, span);
    return {
      rule: 'endless-render',
      component: component.id,
      subject: state?.name ?? component.name,
      at,
      words: { component: component.name, state: state?.name ?? '', by },
      evidence: [
        { at, text: `${state?.name ?? ''} is set each time, by ${by}.` },
        ...(state
          ? [{ at: locate(component.file, state.span), text: `It is state: setting it makes ${component.name} render again.` }]
          : []),
      ],
      touches: component.id,
    };
  });
}

/** The same where some use leaves out what a default stands for, which is another one each time. */
function setWhereLeftOut(model: Model): Found[] {
  return [...model.components.values()].flatMap((component) => {
    const again = (component.facts.again ?? []).filter(({ unlessGiven: key }) => {
      const uses = key === undefined || component.fileRole !== 'source' ? [] : (model.usesOf.get(component.id) ?? []);
      return uses.some(({ node }) => node.spreads.length === 0 && key !== undefined && !bindingFor(node, key));
    });
    return setEachTime(component, again);
  });
}

/** Components render each other, or themselves, without a condition or a list between; or set state each time they do. */
export const endlessRender: Rule = {
  inComponent: (component) =>
    setEachTime(
      component,
      (component.facts.again ?? []).filter(({ unlessGiven }) => unlessGiven === undefined),
    ),
  inProject: ({ model }) => {
    const usesOf = (id: ComponentId): readonly Use[] => {
      const component = model.components.get(id);
      return component?.fileRole === 'source' ? alwaysRendered(component, model) : [];
    };
    /** The uses that lead from a component back to itself. */
    const circleFrom = (start: ComponentId): Use[] | undefined => {
      const stack: { id: ComponentId; way: Use[] }[] = [{ id: start, way: [] }];
      const seen = new Set<ComponentId>();
      for (let at = stack.pop(); at; at = stack.pop()) {
        if (seen.has(at.id) || at.way.length > 6) continue;
        seen.add(at.id);
        for (const use of usesOf(at.id)) {
          if (use.target.kind !== 'component') continue;
          if (use.target.id === start) return [...at.way, use];
          stack.push({ id: use.target.id, way: [...at.way, use] });
        }
      }
      return undefined;
    };
    const told = new Set<ComponentId>();
    const circles = [...model.components.values()].flatMap((component): Found[] => {
      if (component.fileRole !== 'source' || told.has(component.id)) return [];
      const circle = circleFrom(component.id);
      const [first] = circle ?? [];
      if (!circle || !first) return [];
      for (const use of circle) told.add(use.owner);
      const names = circle.map((use) => model.components.get(use.owner)?.name ?? '');
      return [
        {
          rule: 'endless-render',
          component: component.id,
          subject: component.name,
          at: locate(first.file, first.node.nameSpan),
          words: { component: component.name, circle: [...names, component.name].join(', which renders ') },
          evidence: circle.map((use) => ({
            at: locate(use.file, use.node.nameSpan),
            text: `${model.components.get(use.owner)?.name ?? ''} renders ${componentText(use.node.tag)} each time.`,
          })),
          touches: component.id,
        },
      ];
    });
    return [...circles, ...setWhereLeftOut(model)];
  },
};
