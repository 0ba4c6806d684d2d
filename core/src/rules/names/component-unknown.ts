import { nearest } from '../../contract';
import type { Evidence } from '../../model/finding';
import { locate } from '../../model/span';
import { traitsOf } from '../../frameworks/registry';

import type { Component, Model, Use } from '../../model/model';
import { remembered } from '../../model/remembered';
import type { Found, Rule } from '../rule';

/** The tags that the components of a project have, with who has each. */
const tagsIn = remembered(
  (model: Model): ReadonlyMap<string, Component> =>
    new Map([...model.components.values()].flatMap((one) => (one.facts.element?.tags ?? []).map((tag): [string, Component] => [tag, one]))),
);

/** Bundles of the older framework by their names in lower case: they hold newer ones, and no newer one holds them. */
const olderNamed = remembered(
  (model: Model): ReadonlyMap<string, Component> =>
    new Map([...model.components.values()].filter(({ facts }) => facts.element?.isOlder).map((one) => [one.name.toLowerCase(), one])),
);

/** The bundle of the older framework that a tag names; undefined where it names none. */
export const olderMeant = (model: Model, tag: string): Component | undefined =>
  olderNamed(model).get(tag.replace(/^\w+-/, '').replace(/-/g, '').toLowerCase());

/** Where the owner imports a class that stays away when it is compiled: nothing but types names it. */
function importedAsType({ files }: Model, owner: Component, meant: Component | undefined): Evidence[] {
  const named = files
    .get(owner.file)
    ?.imports.find(({ local, inTypesAlone, typeOnly }) => local === meant?.name && (inTypesAlone || typeOnly));
  return named ? [{ at: locate(owner.file, named.span), text: `${named.local} is imported for types alone, which loads nothing.` }] : [];
}

/** Where components are elements, a tag that nothing defines stays an element that does nothing. */
function unknownElement(model: Model, { file, node }: Use, owner: Component, tags: ReadonlyMap<string, Component>): Found[] {
  const at = locate(file, node.nameSpan);
  const older = olderMeant(model, node.tag);
  if (older)
    return [
      {
        rule: 'layer-crossed',
        component: owner.id,
        subject: older.name,
        at,
        words: { component: owner.name, what: older.name, how: 'older' },
        evidence: [
          { at, text: `${owner.name} uses ${node.tag}.` },
          { at: locate(older.file, older.facts.nameSpan), text: `${older.name} is a bundle of the older framework.` },
        ],
        touches: owner.id,
      },
    ];
  const unloaded = tags.get(node.tag);
  const near = unloaded ? undefined : nearest(node.tag, [...tags.keys()]);
  const meant = unloaded ?? (near === undefined ? undefined : tags.get(near));
  return [
    {
      rule: 'component-unknown',
      component: owner.id,
      subject: node.tag,
      at,
      words: { owner: owner.name, tag: node.tag, near: near ?? '', holder: '', forgotten: unloaded?.file ?? '' },
      evidence: [
        { at, text: `${owner.name} uses ${node.tag}, which nothing ${unloaded ? 'that is loaded with it' : 'in the project'} defines.` },
        ...(meant ? [{ at: locate(meant.file, meant.facts.nameSpan), text: `${near ?? node.tag} is defined here.` }] : []),
        ...importedAsType(model, owner, unloaded),
      ],
      touches: owner.id,
    },
  ];
}

/** Where markup finds components by selectors, an element that none in reach means: one that exists and is not brought in, or none at all. */
function unreached(model: Model, { file, node }: Use, owner: Component): Found {
  const at = locate(file, node.nameSpan);
  const selectors = selectorsIn(model);
  const forgotten = selectors.get(node.tag);
  const near = forgotten ? undefined : nearest(node.tag, [...selectors.keys()]);
  const meant = forgotten ?? (near === undefined ? undefined : selectors.get(near));
  return {
    rule: 'component-unknown',
    component: owner.id,
    subject: node.tag,
    at,
    words: { owner: owner.name, tag: node.tag, near: near ?? '', holder: '', forgotten: forgotten?.name ?? '' },
    evidence: [
      { at, text: `${owner.name} uses ${node.tag}, which nothing that it may use stands for.` },
      ...(meant ? [{ at: locate(meant.file, meant.facts.nameSpan), text: `${meant.name} stands here.` }] : []),
    ],
    touches: owner.id,
  };
}

/** A directive that exists and is not brought in, by what is written for it on an element. */
function unreachedDirectives(model: Model, owner: Component): Found[] {
  return (owner.facts.untaken ?? []).flatMap(({ name, span, tag, by, file, isStructural, isText }): Found[] => {
    if (!by) return [];
    const at = locate(owner.file, span);
    const meant = file === undefined ? undefined : [...model.components.values()].find((one) => one.file === file && one.name === by);
    const as = tag === name ? '' : isStructural ? 'template' : isText ? 'text' : 'property';
    return [
      {
        rule: 'component-unknown',
        component: owner.id,
        subject: name,
        at,
        words: { owner: owner.name, tag: name, near: '', holder: '', forgotten: by, as, on: tag },
        evidence: [
          { at, text: `${owner.name} writes ${name}, which nothing that it may use takes.` },
          ...(meant ? [{ at: locate(meant.file, meant.facts.nameSpan), text: `${by} stands here.` }] : []),
        ],
        touches: owner.id,
      },
    ];
  });
}

/** The tags that selectors of components mean, with who has each. */
const selectorsIn = remembered(
  (model: Model): ReadonlyMap<string, Component> =>
    new Map(
      [...model.components.values()].flatMap((one) =>
        (one.facts.selected?.selector ?? '')
          .split(',')
          .map((each) => each.trim())
          .filter((each) => /^[\w-]+$/.test(each))
          .map((tag): [string, Component] => [tag, one]),
      ),
    ),
);

/**
 * A tag looks like a component and resolves to nothing. Vue may know components by registration that
 * no file of the project shows: there only a name that is clearly misspelt counts.
 */
export const componentUnknown: Rule = {
  inProject: ({ model }) => {
    const names = [
      ...new Set(
        [...model.components.values()]
          .filter((one) => one.role !== 'root' && one.role !== 'route')
          .flatMap(({ name, facts }) => [name, facts.saidName ?? name]),
      ),
    ];
    const directives = [...model.components.values()].flatMap((one) => (one.fileRole === 'source' ? unreachedDirectives(model, one) : []));
    const uses = [...model.usesBy.values()].flat().flatMap((use): Found[] => {
      const owner = model.components.get(use.owner);
      const { target, node } = use;
      if (target.kind !== 'unresolved' || !target.undeclared || owner?.fileRole !== 'source' || node.asValue) return [];
      const [root = ''] = node.tag.split('.');
      const imported = (model.files.get(use.file)?.imports ?? []).flatMap((one) => (/^[A-Z]/.test(one.local) ? [one.local] : []));
      const { memberOf } = target;
      const near = memberOf === undefined ? nearest(root, [...new Set([...imported, ...names])]) : undefined;
      // What exists under that very name may be registered in a way that cannot be seen.
      const isImported = imported.includes(root);
      const isForgotten = owner.facts.registersTags === true && isImported;
      const known = traitsOf(owner).areElements ? tagsIn(model) : undefined;
      if (known) return unknownElement(model, use, owner, known);
      if (traitsOf(owner).selectors) return node.unregistered ? [unreached(model, use, owner)] : [];
      if (traitsOf(owner).registeredTags && !isForgotten && (near === undefined || names.includes(root))) return [];
      if (!/^[A-Z]/.test(root)) return [];
      const at = locate(use.file, node.nameSpan);
      const meant = near === undefined ? undefined : [...model.components.values()].find((one) => one.name === near);
      return [
        {
          rule: 'component-unknown',
          component: owner.id,
          subject: node.tag,
          at,
          words: {
            owner: owner.name,
            tag: node.tag,
            near: near ?? '',
            holder: memberOf === undefined ? '' : root,
            forgotten: isForgotten ? 'yes' : '',
          },
          evidence: [
            {
              at,
              text:
                memberOf !== undefined
                  ? `${owner.name} uses ${node.tag}, which ${root} does not have.`
                  : isForgotten
                    ? `${owner.name} uses ${node.tag}, which it does not register.`
                    : `${owner.name} uses ${node.tag}, which its file neither declares nor imports.`,
            },
            ...(meant ? [{ at: locate(meant.file, meant.facts.nameSpan), text: `${meant.name} stands here.` }] : []),
          ],
          touches: owner.id,
        },
      ];
    });
    return [...uses, ...directives];
  },
};
