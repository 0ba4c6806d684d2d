import type { TemplateNode } from '../../model/facts';
import type { ComponentId } from '../../model/ids';
import type { Component, Model } from '../../model/model';
import { locate, type Location } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import { tagText } from '../../model/tag-text';
import type { Found, Rule } from '../rule';
import { isInteractive, ownFunction } from './crossing';
import { crossedIslands, startedOnce } from './islands';

/** Pages whose files run on the server unless they say otherwise. */
const serverPage = /(^|\/)app\/(.*\/)?page\.[jt]sx?$/;

/**
 * Components that run on the server: those that pages of such an application render, down to the
 * files that are marked for the client.
 */
function serverComponents(model: Model): Component[] {
  const found = new Map<ComponentId, Component>();
  const stack = model.pages.filter((page) => page.path !== '' && serverPage.test(page.file)).map((page) => page.entry);
  for (let id = stack.pop(); id !== undefined; id = stack.pop()) {
    const component = model.components.get(id);
    if (!component || found.has(id) || component.fileRole !== 'source' || runsAt(model, component) === 'client') continue;
    found.set(id, component);
    for (const use of model.usesBy.get(id) ?? []) if (use.target.kind === 'component') stack.push(use.target.id);
  }
  return [...found.values()];
}

const runsAt = (model: Model, component: Component): 'client' | 'server' | undefined => model.files.get(component.file)?.runs;

type Crossing = {
  readonly subject: string;
  readonly at: Location;
  readonly what: string;
  readonly text: string;
  readonly there?: Component;
};

function crossingsIn(model: Model, component: Component): Crossing[] {
  const found: Crossing[] = [];
  const file = component.file;
  const state = component.facts.values.find((value) => value.kind === 'state' && value.shape === undefined);
  if (state)
    found.push({
      subject: state.name,
      at: locate(file, state.span),
      what: `the state ${state.name}`,
      text: `${state.name} is state, which only the browser has.`,
    });
  walkTemplate(component.facts.template, (node: TemplateNode) => {
    if (node.kind !== 'element' && node.kind !== 'use') return;
    const target = node.kind === 'use' ? model.useOfNode.get(node)?.target : undefined;
    const there = target?.kind === 'component' ? model.components.get(target.id) : undefined;
    if (node.kind === 'use' && (!there || runsAt(model, there) !== 'client')) return;
    for (const binding of node.bindings) {
      // A form's action may be a function of the server.
      if (!ownFunction(component, binding) || (node.kind === 'element' && binding.to.kind !== 'listener')) continue;
      const to = tagText(node);
      found.push({
        subject: binding.written,
        at: locate(file, binding.nameSpan),
        what: `the function ${binding.written} for ${to}`,
        text: `A function is given to ${to}, which lives in the browser.`,
        ...(there ? { there } : {}),
      });
    }
  });
  return found;
}

/** Functions that the server's half of a page hands to the other one. */
function handedOver(model: Model): Found[] {
  return [...model.files.values()].flatMap(({ file, handsOver }): Found[] => {
    const page = handsOver && [...model.components.values()].find((one) => one.file === handsOver.to && one.role === 'component');
    if (!handsOver || !page) return [];
    return handsOver.functions.map(({ name, span }) => ({
      rule: 'layer-crossed',
      component: page.id,
      subject: name,
      at: locate(file, span),
      words: { component: page.name, what: name, how: 'data' },
      evidence: [
        { at: locate(file, span), text: `${name} is a function, and this script runs on the server.` },
        { at: locate(page.file, page.facts.nameSpan), text: `${page.name} is given what it returns.` },
      ],
      touches: page.id,
    }));
  });
}

/** Parts that answer to people, on pages that are never started in the browser. */
function neverStarted(model: Model): Found[] {
  return [...model.files.values()].flatMap(({ file, neverStarts }): Found[] => {
    const page = neverStarts && [...model.components.values()].find((one) => one.file === neverStarts.file && one.role === 'component');
    if (!neverStarts || !page) return [];
    return (model.usesBy.get(page.id) ?? []).flatMap((use): Found[] => {
      const part = use.target.kind === 'component' ? model.components.get(use.target.id) : undefined;
      if (!part || !isInteractive(part)) return [];
      const at = locate(use.file, use.node.nameSpan);
      return [
        {
          rule: 'layer-crossed',
          component: page.id,
          subject: part.name,
          at,
          words: { component: page.name, what: part.name, how: 'unstarted' },
          evidence: [
            { at, text: `${part.name} listens to what people do.` },
            { at: locate(file, neverStarts.span), text: 'The page is not started in the browser.' },
          ],
          touches: page.id,
        },
      ];
    });
  });
}

/** Components that wait, rendered by files that are marked for the client. */
function waitingThere(model: Model): Found[] {
  return [...model.usesBy.values()].flat().flatMap((use): Found[] => {
    const owner = model.components.get(use.owner);
    const part = use.target.kind === 'component' ? model.components.get(use.target.id) : undefined;
    if (!owner || owner.role !== 'component' || owner.fileRole !== 'source' || runsAt(model, owner) !== 'client' || !part?.facts.isAsync)
      return [];
    const at = locate(use.file, use.node.nameSpan);
    return [
      {
        rule: 'layer-crossed',
        component: part.id,
        subject: part.name,
        at,
        words: { component: owner.name, what: part.name, how: 'async' },
        evidence: [
          { at, text: `${owner.name} is marked for the client, and renders ${part.name}.` },
          { at: locate(part.file, part.facts.nameSpan), text: `${part.name} is async.` },
        ],
        touches: part.id,
      },
    ];
  });
}

/** What only the browser has is used by a component that runs on the server, or the reverse. */
export const layerCrossed: Rule = {
  inProject: (check) => {
    const { model } = check;
    return [
      ...onServer(model),
      ...handedOver(model),
      ...neverStarted(model),
      ...waitingThere(model),
      ...crossedIslands(model),
      ...startedOnce(check),
    ];
  },
};

function onServer(model: Model): Found[] {
  if (!model.pages.some((page) => serverPage.test(page.file) && page.path !== '')) return [];
  return serverComponents(model).flatMap((component) =>
    crossingsIn(model, component).map(({ subject, at, what, text, there }): Found => ({
      rule: 'layer-crossed',
      component: component.id,
      subject,
      at,
      words: { component: component.name, what },
      evidence: [
        { at, text: text },
        {
          at: locate(component.file, component.facts.nameSpan),
          text: `${component.name} runs on the server: nothing above it is marked for the client.`,
        },
        ...(there ? [{ at: locate(there.file, there.facts.nameSpan), text: `${there.name} is marked for the client.` }] : []),
      ],
      touches: component.id,
    })),
  );
}
