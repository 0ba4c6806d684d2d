import { adapterOf, traitsOf } from '../../frameworks/registry';
import type { Binding, TemplateElement, TemplateUse, Unsendable } from '../../model/facts';
import { bindingKey } from '../../model/given';
import type { Component, Model } from '../../model/model';
import { locate } from '../../model/span';
import { walkTemplate } from '../../model/walk';
import type { Place, Tree } from '../../model/tree';
import { unfold } from '../../tree';
import type { Check, Found } from '../rule';
import { isInteractive, ownFunction } from './crossing';
import { lostWords } from './crossings';
import { append } from '../../model/append';

type Told = Pick<Found, 'subject' | 'at' | 'words' | 'evidence'>;

/** Of pages that a server makes: what would have to run in the browser, and does not come there. */
export function crossedIslands(model: Model): Found[] {
  return [...model.components.values()].flatMap((component): Found[] => {
    if (!traitsOf(component).madeOnce || component.role !== 'component' || component.fileRole !== 'source') return [];
    const told: Told[] = [];
    walkTemplate(component.facts.template, (node) => {
      if (node.kind === 'use') append(told, ofPart(model, component, node));
      else if (node.kind === 'element') append(told, ofElement(component, node));
    });
    return [...told, ...browserNames(component)].map((one): Found => ({
      rule: 'layer-crossed',
      component: component.id,
      touches: component.id,
      ...one,
    }));
  });
}

/** A part of a page: a mark on one that never runs in the browser, none on one that answers to people, a function for one that is started. */
function ofPart(model: Model, component: Component, node: TemplateUse): Told[] {
  const target = model.useOfNode.get(node)?.target;
  const part = target?.kind === 'component' ? model.components.get(target.id) : undefined;
  if (!part) return [];
  const at = locate(component.file, node.nameSpan);
  const { startedBy } = node;
  const declared = locate(part.file, part.facts.nameSpan);
  if (traitsOf(part).madeOnce)
    return startedBy
      ? [
          {
            subject: part.name,
            at,
            words: { component: component.name, what: part.name, how: 'marked', mark: startedBy.name },
            evidence: [
              { at: locate(component.file, startedBy.span), text: `${startedBy.name} asks for ${part.name} to be started in the browser.` },
              { at: declared, text: `${part.name} is markup when it comes to the browser.` },
            ],
          },
        ]
      : [];
  // An element of the page is started by the script that defines it.
  if (part.facts.element) return [];
  if (!startedBy)
    return isInteractive(part)
      ? [
          {
            subject: part.name,
            at,
            words: { component: component.name, what: part.name, how: 'unmarked' },
            evidence: [
              { at, text: `${component.name} uses ${part.name} without a mark that starts it.` },
              { at: declared, text: `${part.name} listens to what people do.` },
            ],
          },
        ]
      : [];
  return node.bindings.flatMap((binding): Told[] => {
    const lost = bindingKey(binding) === undefined ? undefined : lostIn(component, binding);
    if (!lost) return [];
    return [
      {
        subject: binding.to.name,
        at: locate(component.file, binding.nameSpan),
        words: { component: part.name, what: binding.to.name, how: 'given', lost },
        evidence: [
          { at: locate(component.file, binding.nameSpan), text: `What is given for ${binding.to.name} ${lostWords[lost]}.` },
          {
            at: locate(component.file, startedBy.span),
            text: `${startedBy.name} starts ${part.name} in the browser, with plain data alone.`,
          },
        ],
      },
    ];
  });
}

/** What is lost of what a binding gives, where only plain data is sent. */
function lostIn(component: Component, binding: Binding): Unsendable | undefined {
  if (ownFunction(component, binding)) return 'function';
  if (binding.unsendable) return binding.unsendable;
  const [only, ...more] = binding.readings;
  return more.length === 0 && only?.how === 'same' && only.path.length === 0 ? component.facts.values[only.value]?.unsendable : undefined;
}

const isHandler = ({ to }: Binding): boolean => to.kind === 'attribute' && /^on[a-z]+$/.test(to.name);

/** A function of the server is put on an element as a handler. */
function ofElement(component: Component, node: TemplateElement): Told[] {
  return node.bindings.flatMap((binding): Told[] => {
    if (!isHandler(binding) || !ownFunction(component, binding)) return [];
    const [reading] = binding.readings;
    const subject = (reading && component.facts.values[reading.value]?.name) ?? binding.written;
    const at = locate(component.file, binding.nameSpan);
    return [
      {
        subject,
        at,
        words: { component: component.name, what: subject, how: 'handler' },
        evidence: [{ at, text: `${binding.written} of <${node.tag}> is given a function of the server.` }],
      },
    ];
  });
}

/** A script that asks the page for one element of its component's own markup, of a component that stands on a page more than once. */
export function startedOnce({ model, pages }: Check): Found[] {
  return [...model.components.values()].flatMap((component): Found[] => {
    const asked = (component.facts.lookUps ?? []).find((one) => !one.all && isOwnElement(component, one.selector));
    if (!asked || component.fileRole !== 'source') return [];
    const page = pages.pagesOf(component.id).find((one) => standsTwice(unfold(model, one), component));
    if (!page) return [];
    const at = locate(component.file, asked.span);
    return [
      {
        rule: 'layer-crossed',
        component: component.id,
        subject: component.name,
        at,
        words: { component: component.name, what: asked.selector, how: 'once', page: page.name },
        evidence: [
          { at, text: `The script asks for ${asked.selector}: the first that there is.` },
          {
            at: locate(component.file, component.facts.nameSpan),
            text: `${component.name} stands on ${page.name} more than once, and its script runs once.`,
          },
        ],
        touches: component.id,
      },
    ];
  });
}

function standsTwice({ places }: Tree, { id }: Component): boolean {
  const own = places.filter((place) => place.component === id);
  const isUnderCondition = (at: Place | undefined): boolean =>
    at !== undefined && (at.branches.length > 0 || isUnderCondition(places[at.parent]));
  // Alternatives of one condition stand there one at a time.
  return own.some((place) => place.repeats.length > 0) || own.filter((place) => !isUnderCondition(place)).length > 1;
}

/** Whether a selector means an element of a component's own markup. */
function isOwnElement({ facts }: Component, selector: string): boolean {
  const [, mark = '', name = ''] = /^([#.[]?)([\w-]+)\]?$/.exec(selector) ?? [];
  if (name === '') return false;
  let found = false;
  walkTemplate(facts.template, (node) => {
    if (node.kind !== 'element') return;
    const words = (attribute: string): string[] =>
      node.bindings.flatMap(({ to, constant }) => (to.name === attribute ? (constant ?? '').replace(/^["']|["']$/g, '').split(/\s+/) : []));
    if (
      mark === ''
        ? node.tag === name
        : mark === '['
          ? node.bindings.some(({ to }) => to.name === name)
          : words(mark === '#' ? 'id' : 'class').includes(name)
    )
      found = true;
  });
  return found;
}

/** What only a browser has, read where the page is made. */
function browserNames(component: Component): Told[] {
  return (component.facts.absent ?? []).map(({ name, span }): Told => {
    const at = locate(component.file, span);
    return {
      subject: name,
      at,
      words: { component: component.name, what: name, how: 'absent' },
      evidence: [
        {
          at,
          text: `${name} is read at the top of ${component.name}, which runs on the server of ${adapterOf(component.framework).name}.`,
        },
      ],
    };
  });
}
