import {
  type ConfigFile,
  type FilePath,
  type KnownUse,
  type Linked,
  type Span,
  type CheckKeep,
  type TemplateNode,
  walkTemplate,
} from '@liana/core';
import { bindingKey, defaultSlot, isListener, memberName, memberOf, propKey, slotKey, usesIn } from '@liana/core';

/** A project in which faults are planted, one at a time. */
export type Project = {
  readonly model: Linked;
  readonly uses: readonly KnownUse[];
  readonly texts: ReadonlyMap<FilePath, string>;
  readonly configs: readonly ConfigFile[];
  readonly keep: CheckKeep;
  /** Keys of what is found before. */
  readonly known: ReadonlySet<string>;
};

/** A fault to be planted: the edits, and what must be found of it, where. */
export type Fault = {
  readonly edits: readonly ({ readonly file: FilePath; readonly text: string } & Span)[];
  /** Any of these may say it. */
  readonly rules: readonly string[];
  readonly subject: string;
  readonly at: number;
  /** It shows at another place than where it was planted: at uses, or where a context is taken. */
  readonly elsewhere?: true;
};

/** Two letters changed places, none of them the first. */
function slip(name: string): string | undefined {
  const at = [...name].findIndex(
    (letter, index) =>
      index > 0 && index + 1 < name.length && letter !== name[index + 1] && /[a-z]/.test(letter) && /[a-z]/.test(name[index + 1] ?? ''),
  );
  return at < 0 || name.length < 5 ? undefined : name.slice(0, at) + (name[at + 1] ?? '') + (name[at] ?? '') + name.slice(at + 2);
}

const plain = ({ use }: KnownUse): boolean => use.node.spreads.every((spread) => spread.keys !== undefined);
const textAt = (project: Project, file: FilePath, span: Span): string => project.texts.get(file)?.slice(span.start, span.end) ?? '';

/** Uses with a binding that stands in the text under its own name. */
function bindings(project: Project): { known: KnownUse; name: string; span: Span; nameSpan: Span; isRequired: boolean }[] {
  return project.uses.flatMap((known) =>
    known.use.node.bindings.flatMap((binding) => {
      const key = bindingKey(binding);
      const prop = key && known.target.contract.members.get(key);
      const isWritten = textAt(project, known.use.file, binding.nameSpan).endsWith(binding.to.name) && binding.direction === 'in';
      if (!prop || !isWritten || !plain(known) || known.inContentOfCloner || known.owner.facts.clones) return [];
      return [
        {
          known,
          name: binding.to.name,
          span: binding.span,
          nameSpan: binding.nameSpan,
          isRequired: prop.required === 'yes' && prop.fallback === undefined,
        },
      ];
    }),
  );
}

/** The parts of a template, with their components. */
function nodesOf(project: Project): { file: FilePath; framework: string; node: TemplateNode }[] {
  const found: { file: FilePath; framework: string; node: TemplateNode }[] = [];
  for (const component of project.model.components.values())
    if (component.fileRole === 'source')
      walkTemplate(component.facts.template, (node) => found.push({ file: component.file, framework: component.framework, node }));
  return found;
}

type Sites = (project: Project) => Fault[];

/** Kinds of faults, each with all places of a project where it can be planted. */
export const faultKinds: Readonly<Record<string, Sites>> = {
  'a required prop is gone': (project) =>
    bindings(project).flatMap(({ known: { use, target }, name, span, isRequired }) =>
      isRequired && target.contract.openness !== 'open' && !(name === 'children' && use.node.content !== 'none')
        ? [{ edits: [{ file: use.file, ...span, text: '' }], rules: ['prop-missing'], subject: name, at: use.node.nameSpan.start }]
        : [],
    ),

  'a prop is misspelt': (project) =>
    bindings(project).flatMap(({ known: { use, target }, name, nameSpan }) => {
      const wrong = slip(name);
      if (
        wrong === undefined ||
        target.contract.openness !== 'closed' ||
        target.contract.members.has(propKey(wrong)) ||
        name.startsWith('on')
      )
        return [];
      const start = nameSpan.end - name.length;
      return [{ edits: [{ file: use.file, start, end: nameSpan.end, text: wrong }], rules: ['prop-spelt'], subject: wrong, at: start }];
    }),

  'a prop that nobody takes': (project) =>
    project.uses.flatMap(({ use, target }) => {
      if (
        target.contract.openness !== 'closed' ||
        use.node.tag === '' ||
        !textAt(project, use.file, use.node.nameSpan).endsWith(use.node.tag)
      )
        return [];
      const at = use.node.nameSpan.end;
      if (/^\s*</.test((project.texts.get(use.file) ?? '').slice(at, at + 2))) return [];
      return [{ edits: [{ file: use.file, start: at, end: at, text: ' zigzag="calm"' }], rules: ['prop-unknown'], subject: 'zigzag', at }];
    }),

  'a flag is given as a text': (project) =>
    bindings(project).flatMap(({ known: { use, target }, name, span }) => {
      const kinds = target.contract.members.get(propKey(name))?.kinds;
      if (!kinds || [...kinds].some((kind) => kind !== 'flag' && kind !== 'nothing')) return [];
      return [{ edits: [{ file: use.file, ...span, text: `${name}="false"` }], rules: ['prop-kind'], subject: name, at: span.start }];
    }),

  'a component is misspelt': (project) =>
    nodesOf(project).flatMap(({ file, node, framework }) => {
      if (node.kind !== 'use' || node.asValue || project.model.useOfNode.get(node)?.target.kind !== 'component') return [];
      const whole = textAt(project, file, node.span);
      const wrong = slip(node.tag);
      if (wrong === undefined || !whole.endsWith('/>') || textAt(project, file, node.nameSpan) !== node.tag || framework === 'angular')
        return [];
      return [{ edits: [{ file, ...node.nameSpan, text: wrong }], rules: ['component-unknown'], subject: wrong, at: node.nameSpan.start }];
    }),

  'content with no place for it': (project) =>
    project.uses.flatMap(({ use, target }) => {
      const { node } = use;
      const whole = textAt(project, use.file, node.span);
      const takes =
        target.contract.members.has(defaultSlot) ||
        target.facts.slots.length > 0 ||
        target.contract.openness === 'open' ||
        target.facts.openness === 'open';
      if (
        takes ||
        node.content !== 'none' ||
        !whole.endsWith('/>') ||
        !whole.startsWith(`<${node.tag}`) ||
        (target.framework === 'react' && target.contract.openness !== 'closed')
      )
        return [];
      return [
        {
          edits: [{ file: use.file, start: node.span.end - 2, end: node.span.end, text: `>lost</${node.tag}>` }],
          rules: ['slot-nowhere'],
          subject: 'children',
          at: node.span.end,
        },
      ];
    }),

  'a list loses its key': (project) =>
    nodesOf(project).flatMap(({ file, node, framework }) => {
      if (node.kind !== 'repeat' || (framework !== 'react' && framework !== 'vue')) return [];
      return node.children.flatMap((part): Fault[] => {
        if ((part.kind !== 'element' && part.kind !== 'use') || part.key.kind !== 'value') return [];
        // What is spread may have a key of its own.
        if (part.spreads.some((spread) => spread.keys === undefined)) return [];
        const text = project.texts.get(file) ?? '';
        const before = /(?:\s:?key=|\sv-bind:key=)[{"]?\s*$/.exec(text.slice(0, part.key.span.start));
        const after = /^\s*[}"]?/.exec(text.slice(part.key.span.end));
        if (!before || !after) return [];
        return [
          {
            edits: [{ file, start: before.index, end: part.key.span.end + after[0].length, text: '' }],
            rules: ['list-unkeyed'],
            subject: 'key',
            at: part.nameSpan.start,
          },
        ];
      });
    }),

  'a name in markup is misspelt': (project) =>
    nodesOf(project).flatMap(({ file, node, framework }) => {
      if (node.kind !== 'text' || (framework !== 'vue' && framework !== 'svelte')) return [];
      const [reading] = node.readings;
      const name = reading && /^[A-Za-z]\w*/.exec(textAt(project, file, reading.span))?.[0];
      const wrong = name && slip(name);
      const script = (project.texts.get(file) ?? '').match(/<script[\s\S]*?<\/script>/g)?.join(' ') ?? '';
      if (!reading || !wrong || new RegExp(`\\b${wrong}\\b`).test(script)) return [];
      return [
        {
          edits: [{ file, start: reading.span.start, end: reading.span.start + name.length, text: wrong }],
          rules: ['name-unknown'],
          subject: wrong,
          at: reading.span.start,
        },
      ];
    }),

  'a listener for no event': (project) =>
    project.uses.flatMap(({ use, target }) => {
      if ((target.framework !== 'vue' && target.framework !== 'svelte') || target.contract.openness === 'open' || target.facts.raisesUnseen)
        return [];
      if (!textAt(project, use.file, use.node.nameSpan).endsWith(use.node.tag) || use.node.tag === '') return [];
      const at = use.node.nameSpan.end;
      const text = target.framework === 'vue' ? ' @zigzag="() => undefined"' : ' on:zigzag={() => undefined}';
      return [{ edits: [{ file: use.file, start: at, end: at, text }], rules: ['event-never-raised'], subject: 'zigzag', at }];
    }),

  'a prop is not bindable': (project) =>
    [...project.model.components.values()].flatMap((component) => {
      const text = project.texts.get(component.file) ?? '';
      if (component.framework !== 'svelte') return [];
      return [...text.matchAll(/(\w+)\s*=\s*\$bindable\(([^()]*)\)/g)].flatMap((match): Fault[] => {
        const name = match[1] ?? '';
        const bound = (project.model.usesOf.get(component.id) ?? []).find((use) =>
          use.node.bindings.some((one) => one.to.name === name && one.direction === 'two-way'),
        );
        if (!bound || component.contract.openness === 'open') return [];
        const given = match[2] === '' ? name : `${name} = ${match[2] ?? ''}`;
        return [
          {
            edits: [{ file: component.file, start: match.index, end: match.index + match[0].length, text: given }],
            rules: ['two-way-half'],
            subject: name,
            at: match.index,
          },
        ];
      });
    }),

  'a field loses its change': (project) =>
    nodesOf(project).flatMap(({ file, node, framework }) => {
      if (framework !== 'react' || node.kind !== 'element' || !/^(input|textarea|select)$/.test(node.tag) || node.spreads.length > 0)
        return [];
      const given = (name: string): (typeof node.bindings)[number] | undefined => node.bindings.find((one) => one.to.name === name);
      const value = given('value') ?? given('checked');
      const change = given('change');
      const type = given('type')?.constant ?? '';
      if (
        !value ||
        value.readings.length === 0 ||
        !change ||
        given('readOnly') ||
        given('disabled') ||
        given('ref') ||
        given('input') ||
        (given('type') && type === '') ||
        /hidden|radio|button|submit|checkbox/.test(type)
      )
        return [];
      return [{ edits: [{ file, ...change.span, text: '' }], rules: ['two-way-half'], subject: value.to.name, at: value.nameSpan.start }];
    }),

  'an effect is not undone': (project) =>
    [...project.model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source') return [];
      const text = project.texts.get(component.file) ?? '';
      return component.facts.actions.flatMap((action): Fault[] => {
        const [hear] = action.hears;
        if (action.kind !== 'effect' || !action.cleansUp || !hear || hear.ends || hear.channel.on === 'element') return [];
        const own = text.slice(action.span.start, action.span.end);
        const ending = /\breturn (?:\(\) =>|function)/.exec(own);
        if (!ending || component.facts.actions.filter((one) => one.cleansUp).length > 1) return [];
        const start = action.span.start + ending.index;
        const end = action.span.end - 1;
        return [
          {
            edits: [{ file: component.file, start, end, text: '' }],
            rules: ['subscription-kept'],
            subject: hear.channel.event ?? '',
            at: hear.span.start,
          },
        ];
      });
    }),

  'a dependency is dropped': (project) =>
    [...project.model.components.values()].flatMap((component) => {
      if (component.fileRole !== 'source' || component.framework !== 'react') return [];
      return component.facts.actions.flatMap((action): Fault[] => {
        const [one, ...more] = action.follows ?? [];
        const value = one && component.facts.values[one.value];
        if (
          !one ||
          more.length > 0 ||
          one.path.length > 0 ||
          value?.kind !== 'state' ||
          !action.reads.some((reading) => reading.value === one.value)
        )
          return [];
        if (!component.facts.actions.some((other) => other.changes.some((change) => change.value === one.value && change.how === 'set')))
          return [];
        const read = action.reads.find((reading) => reading.value === one.value);
        return [
          {
            edits: [{ file: component.file, ...one.span, text: '' }],
            rules: ['stale-reading'],
            subject: value.name,
            at: read?.span.start ?? 0,
          },
        ];
      });
    }),
  'a provider is gone': (project) =>
    [...project.model.components.values()].flatMap((component): Fault[] => {
      if (component.fileRole !== 'source') return [];
      const text = project.texts.get(component.file) ?? '';
      const needed = (name: string): boolean =>
        [...project.model.components.values()].some((other) =>
          other.consumes.some((take) => {
            const context = take.needed ? project.model.contexts.get(take.context) : undefined;
            return context?.name === name && context.fallback === 'none';
          }),
        ) && project.model.pages.some((page) => page.above === 'known');
      // What script gives to all below stands around the template, under its key.
      const provides = usesIn(component.facts.template).filter((use) => use.tag.startsWith('key:'));
      const scripted = provides.flatMap((given): Fault[] =>
        component.framework !== 'react' &&
        needed(given.tag.slice('key:'.length).replace(/^'|'$/g, '')) &&
        /^(?:provide|setContext)\(/.test(text.slice(given.span.start))
          ? [
              {
                edits: [{ file: component.file, ...given.span, text: 'void 0' }],
                rules: ['context-missing'],
                subject: given.tag.slice('key:'.length).replace(/^'|'$/g, ''),
                at: given.span.start,
                elsewhere: true,
              },
            ]
          : [],
      );
      const marked = (project.model.usesBy.get(component.id) ?? []).flatMap((use): Fault[] => {
        const name = use.target.kind === 'provider' ? project.model.contexts.get(use.target.context)?.name : undefined;
        const whole = text.slice(use.node.span.start, use.node.span.end);
        const [first] = use.node.children;
        const closing = /<\/[\w.]+>$/.exec(whole);
        if (name === undefined || !needed(name) || !first || !closing || !whole.startsWith('<')) return [];
        const opened = openingEnd(text, use.node.span.start);
        return [
          {
            edits: [
              { file: use.file, start: use.node.span.start, end: opened, text: '<>' },
              { file: use.file, start: use.node.span.end - closing[0].length, end: use.node.span.end, text: '</>' },
            ],
            rules: ['context-missing'],
            subject: name,
            at: use.node.span.start,
            elsewhere: true,
          },
        ];
      });
      return [...scripted, ...marked];
    }),

  'an event is raised no more': (project) =>
    [...project.model.components.values()].flatMap((component): Fault[] => {
      if (component.fileRole !== 'source' || component.facts.raisesUnseen || component.contract.openness === 'open') return [];
      const heard = new Set(
        project.uses.filter(({ target }) => target.id === component.id).flatMap(({ use }) => use.node.bindings.map(bindingKey)),
      );
      const text = project.texts.get(component.file) ?? '';
      return component.facts.events.flatMap((event): Fault[] => {
        const [raise, ...more] = event.raised;
        const isHeard = heard.has(event.key);
        if (!raise || more.length > 0 || !isHeard || memberOf(event.key).kind === 'model') return [];
        // What is forwarded as it comes has no call that could be taken away.
        if (!/^[$\w.]+(?:\?\.)?\(/.test(textAt(project, component.file, raise.span))) return [];
        // Handed on as well, it is raised still, or may be.
        const own = text.slice(component.facts.span.start, component.facts.span.end);
        if (component.framework === 'react' && own.split(new RegExp(`\\b${event.key}\\b`)).length > 3) return [];
        return [
          {
            edits: [{ file: component.file, ...raise.span, text: 'void 0' }],
            rules: ['event-never-raised', 'event-stops-short', 'prop-idle'],
            subject: memberName(event.key),
            at: raise.span.start,
            elsewhere: true,
          },
        ];
      });
    }),

  'a slot is renamed': (project) =>
    [...project.model.components.values()].flatMap((component): Fault[] => {
      if (component.fileRole !== 'source' || component.framework === 'react') return [];
      // Of what takes anything, and of slots whose names are known while running, nothing is said.
      const isOpen = component.contract.openness === 'open' || component.facts.openness === 'open';
      if (isOpen || component.facts.slots.some((slot) => /[[\]{}$*]/.test(slot.key))) return [];
      const text = project.texts.get(component.file) ?? '';
      return [...text.matchAll(/<slot\s+name="(\w+)"/g)].flatMap((match): Fault[] => {
        const name = match[1] ?? '';
        const given = (project.model.usesOf.get(component.id) ?? []).find((use) =>
          use.node.bindings.some((one) => bindingKey(one) === slotKey(name)),
        );
        if (!given || text.split(`name="${name}"`).length > 2) return [];
        const start = match.index + match[0].length - name.length - 1;
        return [
          {
            edits: [{ file: component.file, start, end: start + name.length, text: `${name}Zig` }],
            rules: ['slot-nowhere'],
            subject: name,
            at: start,
            elsewhere: true,
          },
        ];
      });
    }),

  'a list is changed in place': (project) =>
    [...project.model.components.values()].flatMap((component): Fault[] => {
      if (component.fileRole !== 'source' || component.framework !== 'react') return [];
      const text = project.texts.get(component.file) ?? '';
      return component.facts.values.flatMap((setter): Fault[] => {
        const state = setter.partner === undefined ? undefined : component.facts.values[setter.partner];
        if (setter.kind !== 'setter' || state?.kind !== 'state') return [];
        const calls = [
          ...text.matchAll(new RegExp(`\\b${setter.name}\\(\\s*\\[\\s*\\.\\.\\.${state.name},\\s*([^\\[\\]()]+?),?\\s*\\]\\s*\\)`, 'g')),
        ];
        return calls.flatMap((match): Fault[] => [
          {
            edits: [
              {
                file: component.file,
                start: match.index,
                end: match.index + match[0].length,
                text: `${state.name}.push(${match[1] ?? ''})`,
              },
            ],
            rules: ['change-unseen'],
            subject: state.name,
            at: match.index,
          },
        ]);
      });
    }),

  'half a model is gone': (project) =>
    [...project.model.components.values()].flatMap((component): Fault[] => {
      if (component.fileRole !== 'source' || component.framework !== 'vue' || component.contract.openness === 'open') return [];
      const text = project.texts.get(component.file) ?? '';
      const bound = project.uses.some(
        ({ use, target }) =>
          target.id === component.id && use.node.bindings.some((one) => one.direction === 'two-way' && one.to.name === 'modelValue'),
      );
      const model = /\bdefineModel(?:<[^>]*>)?\((?=\)|\{)/.exec(text);
      const emits = /(?<=emit\(['"])update:modelValue(?=['"])/.exec(text);
      if (!bound || component.facts.raisesUnseen) return [];
      if (model) {
        const one = { file: component.file, start: model.index, end: model.index + model[0].length, text: 'ref(' };
        return [{ edits: [one], rules: ['two-way-half'], subject: 'modelValue', at: model.index, elsewhere: true }];
      }
      if (!emits || text.split('update:modelValue').length > 3) return [];
      const all = [...text.matchAll(/update:modelValue/g)].map((match) => ({
        file: component.file,
        start: match.index,
        end: match.index + match[0].length,
        text: 'update:zig',
      }));
      return [{ edits: all, rules: ['two-way-half'], subject: 'modelValue', at: emits.index, elsewhere: true }];
    }),

  'a handler is misspelt': (project) =>
    nodesOf(project).flatMap(({ file, node, framework }) => {
      if ((node.kind !== 'element' && node.kind !== 'use') || (framework !== 'vue' && framework !== 'svelte')) return [];
      return node.bindings.flatMap((binding): Fault[] => {
        const [reading, ...more] = binding.readings;
        const name = reading && textAt(project, file, reading.span);
        const wrong = name && /^[A-Za-z]\w*$/.test(name) ? slip(name) : undefined;
        // A name that stands for attribute and value is an attribute misspelt.
        if (!reading || more.length > 0 || !wrong || !isListener(binding) || reading.span.start <= binding.nameSpan.start) return [];
        if (new RegExp(`\\b${wrong}\\b`).test(project.texts.get(file) ?? '')) return [];
        return [
          {
            edits: [{ file, ...reading.span, text: wrong }],
            rules: ['handler-missing', 'name-unknown'],
            subject: wrong,
            at: reading.span.start,
          },
        ];
      });
    }),

  'a handler is called where it stands': (project) =>
    [...project.model.components.values()].flatMap((component): Fault[] => {
      if (component.fileRole !== 'source' || component.framework !== 'react') return [];
      const found: Fault[] = [];
      walkTemplate(component.facts.template, (node) => {
        if (node.kind !== 'element') return;
        for (const binding of node.bindings) {
          const [reading, ...more] = binding.readings;
          const value = reading && component.facts.values[reading.value];
          const action = value?.action === undefined ? undefined : component.facts.actions[value.action];
          const isPlain = reading && more.length === 0 && textAt(project, component.file, reading.span) === value?.name;
          if (binding.to.kind !== 'listener' || !isPlain || value?.kind !== 'function' || !action || action.returns.length > 0) continue;
          if (!/^\(\s*\)|^\w+\s*\(\s*\)|^(?:async )?function \w*\(\s*\)/.test(textAt(project, component.file, action.span))) continue;
          if (!/\{/.test(textAt(project, component.file, action.span)) || /\breturn\b/.test(textAt(project, component.file, action.span)))
            continue;
          found.push({
            edits: [{ file: component.file, ...reading.span, text: `${value.name}()` }],
            rules: ['handler-missing'],
            subject: value.name,
            at: reading.span.start,
          });
        }
      });
      return found;
    }),
};

/** The offset behind an opening tag that begins at `from`: braces and texts are passed over. */
function openingEnd(text: string, from: number): number {
  let depth = 0;
  for (let at = from; at < text.length; at++) {
    const letter = text[at];
    if (letter === '{') depth++;
    else if (letter === '}') depth--;
    else if (letter === '>' && depth === 0) return at + 1;
  }
  return text.length;
}
