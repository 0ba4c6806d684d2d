import {
  applyEdits,
  type Component,
  type ComponentId,
  type FilePath,
  type KnownUse,
  propKey,
  type TextEdit,
  walkTemplate,
} from '@liana/core';
import { migrate } from 'svelte/compiler';
import { faultKinds, type Project } from './fault-kinds';
import { asFunction } from './class-to-function';
import { partsToExtract } from './parts-to-extract';

/** A rewrite of a project, and what a comparison of before and after must tell of it. */
export type Rewrite = {
  readonly edits: readonly TextEdit[];
  /** What was rewritten; absent where it was the whole project. */
  readonly of?: ComponentId;
  readonly status?: 'changed' | 'renamed';
  /** What changes of its contract, as `name change to`. */
  readonly contract: readonly string[];
  /** What breaks, by any of these rules, of this subject; absent for a sound rewrite. */
  readonly breaks?: { readonly rules: readonly string[]; readonly subject: string };
};

/** The places of a project where a kind of rewrite may be made; each gives undefined where it cannot be made there after all. */
type Rewrites = (project: Project) => readonly (() => Rewrite | undefined)[];

const edit = (project: Project, file: FilePath, start: number, end: number, text: string): TextEdit => ({
  file,
  start,
  end,
  was: project.texts.get(file)?.slice(start, end) ?? '',
  text,
});

const own = (project: Project): Component[] =>
  [...project.model.components.values()].filter(({ role, fileRole }) => role === 'component' && fileRole === 'source');

/** Every place in the project where a word stands by itself; undefined where it is part of a path, a member or a key, which mean another thing. */
function wordEverywhere(project: Project, word: string, to: string, isMember: boolean): TextEdit[] | undefined {
  const edits: TextEdit[] = [];
  const alone = new RegExp(`(?<![\\w$])${word}(?![\\w$])`, 'g');
  for (const [file, text] of project.texts)
    for (const { index } of text.matchAll(alone)) {
      const [before, after] = [text.slice(Math.max(0, index - 40), index), text.slice(index + word.length, index + word.length + 40)];
      // A part of a path is no name.
      if (/\/$/.test(before) || /^\.(?:[jt]sx?|s?css|less|vue|svelte|astro|html)\b/.test(after)) continue;
      if (!isMember && /['"`]$/.test(before) !== /^['"`]/.test(after)) continue;
      if (isMember && (/\w-$/.test(before) || /^-\w/.test(after))) return undefined;
      if (!isMember && (/\.\s*$/.test(before) || /^\s*:/.test(after))) return undefined;
      edits.push(edit(project, file, index, index + word.length, to));
    }
  return edits;
}

const isFree = (project: Project, word: string): boolean => ![...project.texts.values()].some((text) => text.includes(word));

/** Names that the platform or the language gives a meaning of its own. */
const isTaken = (name: string): boolean =>
  [Object.prototype, Array.prototype, String.prototype, Function.prototype, Map.prototype, Promise.prototype, globalThis].some(
    (one) => name in one,
  );

/** Names of bindings at elements and at what is not of the project. */
function namesOutside(project: Project): Set<string> {
  const known = new Set(project.uses.map(({ use }) => use.node));
  const names = new Set<string>();
  for (const { facts } of project.model.components.values())
    walkTemplate(facts.template, (node) => {
      if ('bindings' in node && !known.has(node as never)) for (const { to } of node.bindings) names.add(to.name);
    });
  return names;
}

const usesInSource = ({ uses }: Project): KnownUse[] =>
  uses.filter(({ owner }) => owner.fileRole === 'source' && owner.role === 'component');

/** A rewrite of a component that keeps its contract. */
const kept = (of: ComponentId, edits: readonly TextEdit[]): Rewrite => ({ edits, of, status: 'changed', contract: [] });

/** Kinds of rewrites that change nothing for anybody, each with all places of a project where it may be made. */
export const soundKinds: Readonly<Record<string, Rewrites>> = {
  'two bindings change places': (project) =>
    usesInSource(project).map(({ use, owner }) => () => {
      const [one, other] = use.node.bindings;
      const { file } = use;
      const text = project.texts.get(file) ?? '';
      if (!one || !other || use.node.spreads.length > 0 || one.span.end > other.span.start) return undefined;
      const [a, b] = [one, other].map(({ span }) => text.slice(span.start, span.end));
      if (!a || !b || a === b || text.slice(one.span.end, other.span.start).trim() !== '') return undefined;
      const edits = [edit(project, file, one.span.start, one.span.end, b), edit(project, file, other.span.start, other.span.end, a)];
      return kept(owner.id, edits);
    }),

  'a component is renamed': (project) =>
    own(project).map((component) => () => {
      const to = `${component.name}Kept`;
      if (component.framework !== 'react' || !/^[A-Z]\w{3,}$/.test(component.name)) return undefined;
      if (own(project).filter(({ name }) => name === component.name).length > 1 || !isFree(project, to)) return undefined;
      const edits = wordEverywhere(project, component.name, to, false);
      return edits?.some(({ file }) => file === component.file) ? { ...kept(component.id, edits), status: 'renamed' } : undefined;
    }),

  'a prop is renamed everywhere': (project) => {
    const outside = namesOutside(project);
    return own(project).flatMap((component) =>
      [...component.contract.members].map(([key, { name }]) => () => {
        const to = `${name}kept`;
        if (key !== propKey(name) || !/^[a-z]{4,}$/.test(name) || /^on|^(?:children|class|style)$/.test(name)) return undefined;
        if (outside.has(name) || isTaken(name) || component.contract.openness !== 'closed' || !isFree(project, to)) return undefined;
        const edits = wordEverywhere(project, name, to, true);
        const isOwn = edits?.some(({ file }) => file === component.file);
        return edits && isOwn ? { ...kept(component.id, edits), contract: [`${name} renamed ${to}`] } : undefined;
      }),
    );
  },

  'a use is wrapped in a provider': (project) =>
    usesInSource(project).map(({ use, owner, inContentOfCloner }) => () => {
      const { file } = use;
      if (owner.framework !== 'react' || !/\.[jt]sx$/.test(file) || inContentOfCloner || owner.facts.clones) return undefined;
      const { span, bindings } = use.node;
      if (bindings.some(({ to }) => to.name === 'key' || to.name === 'ref') || project.texts.get(file)?.[span.start] !== '<')
        return undefined;
      return kept(owner.id, [
        edit(project, file, 0, 0, "import { createContext as makeFresh } from 'react';\nconst Fresh = makeFresh(0);\n"),
        edit(project, file, span.start, span.start, '<Fresh.Provider value={1}>'),
        edit(project, file, span.end, span.end, '</Fresh.Provider>'),
      ]);
    }),

  'a part is extracted': (project) =>
    own(project).flatMap((around) => {
      const { file, facts } = around;
      if (around.framework !== 'react' || facts.form !== 'function' || facts.clones || !/\.[jt]sx$/.test(file)) return [];
      const text = project.texts.get(file) ?? '';
      return partsToExtract(file, text, facts.span).map(({ start, end, read }) => () => {
        const name = `Drawn${around.name.replace(/\W/g, '')}`;
        const made = `\nfunction ${name}(${read.length > 0 ? `{ ${read.join(', ')} }` : ''}) {\n  return ${text.slice(start, end)};\n}\n`;
        return kept(around.id, [
          edit(project, file, start, end, `<${[name, ...read.map((one) => `${one}={${one}}`)].join(' ')} />`),
          edit(project, file, text.length, text.length, made),
        ]);
      });
    }),

  'a class becomes a function': (project) =>
    own(project)
      .filter(({ framework, facts }) => framework === 'react' && facts.form === 'class')
      .map(({ id, file, facts }) => () => {
        const made = asFunction(file, project.texts.get(file) ?? '', facts.span);
        return (
          made &&
          kept(
            id,
            made.map(({ start, end, text }) => edit(project, file, start, end, text)),
          )
        );
      }),

  // The framework's own tool rewrites all files at once.
  'legacy becomes runes': (project) => [
    () => {
      const edits = [...project.texts].flatMap(([file, text]): TextEdit[] => {
        if (!file.endsWith('.svelte')) return [];
        try {
          const { code } = migrate(text, { filename: file });
          return code === text || code.includes('@migration') ? [] : [edit(project, file, 0, text.length, code)];
        } catch {
          return [];
        }
      });
      return edits.length > 0 ? { edits, contract: [] } : undefined;
    },
  ],
};

/** Kinds of rewrites that break something: faults, as they are planted for the rules. */
export const brokenKinds: Readonly<Record<string, Rewrites>> = Object.fromEntries(
  Object.entries(faultKinds).map(([kind, sites]): [string, Rewrites] => [
    kind,
    (project) =>
      sites(project).map(({ edits, rules, subject }) => () => ({
        edits: edits.map(({ file, start, end, text }) => edit(project, file, start, end, text)),
        contract: [],
        breaks: { rules, subject },
      })),
  ]),
);

/** The texts of a project with a rewrite made. */
export function rewritten(project: Project, { edits }: Rewrite): Map<FilePath, string> {
  const files = new Set(edits.map(({ file }) => file));
  return new Map(
    [...files].map((file) => [
      file,
      applyEdits(
        project.texts.get(file) ?? '',
        edits.filter((one) => one.file === file),
      ),
    ]),
  );
}
