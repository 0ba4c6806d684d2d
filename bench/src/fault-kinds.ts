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
};

/** Two letters changed places, none of them the first. */
function slip(name: string): string | undefined {
  const at = [...name].findIndex(
    (letter, index) =>
      index > 0 && index + 1 < name.length && letter !== name[index + 1] && /[a-z]/.test(letter) && /[a-z]/.test(name[index + 1] ?? ''),
  );
  return at < 0 || name.length < 5 ? undefined : name.slice(0, at) + (name[at + 1] ?? '') + (name[at] ?? '') + name.slice(at + 2);
}

const plain = ({ use }: KnownUse): boolean => use.node.spreads.every((spread) => spread.names !== undefined);
const textAt = (project: Project, file: FilePath, span: Span): string => project.texts.get(file)?.slice(span.start, span.end) ?? '';

/** Uses with a binding that stands in the text under its own name. */
function bindings(project: Project): { known: KnownUse; name: string; span: Span; nameSpan: Span; isRequired: boolean }[] {
  return project.uses.flatMap((known) =>
    known.use.node.bindings.flatMap((binding) => {
      const prop = known.target.contract.props.get(binding.name);
      const isWritten = textAt(project, known.use.file, binding.nameSpan).endsWith(binding.name) && binding.direction === 'in';
      if (!prop || !isWritten || !plain(known) || known.inContentOfCloner || known.owner.facts.clones) return [];
      return [
        {
          known,
          name: binding.name,
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
      if (wrong === undefined || target.contract.openness !== 'closed' || target.contract.props.has(wrong) || name.startsWith('on'))
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
      const kinds = target.contract.props.get(name)?.kinds;
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
        target.contract.props.has('children') ||
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
        if (part.spreads.some((spread) => spread.names === undefined)) return [];
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
          use.node.bindings.some((one) => one.name === name && one.direction === 'two-way'),
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
      const given = (name: string): (typeof node.bindings)[number] | undefined => node.bindings.find((one) => one.name === name);
      const value = given('value') ?? given('checked');
      const change = given('onChange');
      const type = given('type')?.constant ?? '';
      if (
        !value ||
        value.readings.length === 0 ||
        !change ||
        given('readOnly') ||
        given('disabled') ||
        given('ref') ||
        given('onInput') ||
        (given('type') && type === '') ||
        /hidden|radio|button|submit|checkbox/.test(type)
      )
        return [];
      return [{ edits: [{ file, ...change.span, text: '' }], rules: ['two-way-half'], subject: value.name, at: value.nameSpan.start }];
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
};
