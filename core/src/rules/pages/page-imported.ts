import { isGiven, isPlain, knownUse } from '../../contract';

import { adapterOf } from '../../frameworks/registry';
import { showsNextRoute } from '../../frameworks/route-tags';
import type { ComponentId } from '../../model/ids';
import { useById } from '../../model/lookup';
import type { Component, Model, Use } from '../../model/model';
import { indexOf } from '../../flow/graph/index-of';
import { locate, type Location, type Span } from '../../model/span';
import { usesIn, walkTemplate } from '../../model/walk';
import type { Check, Found, Rule } from '../rule';

/** Props that only a router gives to what it shows. */
const handed = new Set(['params', 'searchParams', 'data', 'form', 'loaderData', 'actionData']);

/** What a router shows, with the uses by which it does. */
function shownByRouter(model: Model): { readonly shown: Set<ComponentId>; readonly by: Set<Use> } {
  const shown = new Set<ComponentId>();
  const by = new Set<Use>();
  const note = (uses: readonly Use[]): void => {
    for (const use of uses) {
      by.add(use);
      if (use.target.kind === 'component') shown.add(use.target.id);
    }
  };
  for (const page of model.pages) {
    const entry = model.components.get(page.entry);
    // Pages by their file's place; a root's own markup is not shown by a router.
    if (page.chain.length === 0 && page.path !== '' && entry?.role === 'component') shown.add(page.entry);
    if (page.path !== '' && entry?.role === 'root') note(model.usesBy.get(page.entry) ?? []);
    for (const step of page.chain) {
      if (step.body !== undefined) note((model.usesBy.get(step.body) ?? []).slice(0, 1));
      const route = step.use === undefined ? undefined : useById(model, step.use);
      for (const binding of route?.node.bindings ?? [])
        note(
          usesIn(binding.markup ?? [])
            .slice(0, 1)
            .flatMap((node) => model.useOfNode.get(node) ?? []),
        );
    }
  }
  return { shown, by };
}

/** Where a page reads the parameters of its address from the route that it asks for; undefined where it does not. */
function paramsRead(model: Model, { facts, file, framework }: Component): Span | undefined {
  const at = facts.values.findIndex(({ kind, source }) => {
    if (source === undefined || (kind !== 'hook' && kind !== 'module' && kind !== 'context')) return false;
    const meant = model.named(file, source);
    return meant.kind === 'outside' && adapterOf(framework).link.givesRoute?.(meant.module, meant.name);
  });
  const { routeParams = /^params$/ } = adapterOf(framework).link;
  return indexOf(facts)
    .sinks.get(at)
    ?.find(({ reading }) => reading.path.some((one) => routeParams.test(one)))?.reading.span;
}

/** What a page lives from that only its route gives, and where it takes it. */
function routeNeed({ model, pages }: Check, page: Component, use: Use): { readonly what: string; readonly at: Location } | undefined {
  const value = page.facts.values.find((one) => one.origin?.kind === 'loader');
  if (value) return { what: `what the route loads (${value.origin?.what ?? value.name})`, at: locate(page.file, value.span) };
  const params = page.facts.values.find((one) => one.origin?.kind === 'url' && one.origin.what === 'useParams');
  const own = paramsRead(model, page);
  const { routerFiles } = adapterOf(page.framework).link;
  const isOffRoute = pages.pagesOf(use.owner).some((one) => !/[:[]/.test(one.path));
  if (own && isOffRoute) return { what: 'the parameters of its address', at: locate(page.file, own) };
  // Every page on which it is used that way may have parameters of its own.
  if (params && pages.pagesOf(use.owner).some((one) => !one.path.includes(':')))
    return { what: 'the parameters of its address', at: locate(page.file, params.span) };
  const known = knownUse(model, use);
  for (const prop of known && isPlain(known) ? page.contract.members.values() : [])
    if (handed.has(prop.name) && known && (routerFiles?.test(page.file) || !isGiven(known, prop.key)))
      return { what: prop.name, at: prop.declared };
  let outlet: Location | undefined;
  walkTemplate(page.facts.template, (node) => {
    if (node.kind === 'use' && showsNextRoute(node.tag) && model.useOfNode.get(node)?.target.kind === 'outside')
      outlet = locate(page.file, node.nameSpan);
  });
  return outlet ? { what: 'the place where a route shows its page', at: outlet } : undefined;
}

/** A page or a layout is used as a child, and lives from what only the router gives it. */
export const pageImported: Rule = {
  inProject: (check) => {
    const { model } = check;
    const { shown, by } = shownByRouter(model);
    return [...shown].flatMap((id): Found[] => {
      const page = model.components.get(id);
      if (page?.fileRole !== 'source') return [];
      return (model.usesOf.get(id) ?? []).flatMap((use): Found[] => {
        const owner = model.components.get(use.owner);
        if (owner?.role !== 'component' || owner.fileRole !== 'source' || by.has(use) || use.node.asValue) return [];
        // Shown under another address as it is: still a page.
        if (shown.has(owner.id) && owner.facts.template.length === 1 && owner.facts.template[0] === use.node) return [];
        const need = routeNeed(check, page, use);
        if (!need) return [];
        const at = locate(use.file, use.node.nameSpan);
        return [
          {
            rule: 'page-imported',
            component: owner.id,
            subject: page.name,
            at,
            words: { owner: owner.name, page: page.name, need: need.what },
            evidence: [
              { at, text: `${owner.name} uses ${page.name} as a child.` },
              { at: need.at, text: `${page.name} lives from ${need.what}.` },
            ],
            touches: page.id,
          },
        ];
      });
    });
  },
};
