import { adapterOf, markupOf } from '../../frameworks/registry';
import type * as t from '@babel/types';
import type { Component } from '../../model/model';
import { takenBy } from '../contract';
import { CannotWrite, type Rewrite } from '../rewrite';
import { endOf, everyNode, type Source, startOf } from '../source';

/** A prop that is to be added to a component: what it is when it is not given, and its type, both as code. */
export type NewProp = {
  readonly name: string;
  readonly fallback: string;
  readonly type: 'string' | 'number' | 'boolean' | 'unknown' | 'content';
};

const inPattern = ({ name, fallback }: NewProp): string => (fallback === 'undefined' ? ` ${name},` : ` ${name} = ${fallback},`);
const inType =
  ({ framework }: Source) =>
  ({ name, type }: NewProp): string =>
    ` ${name}?: ${type === 'content' ? (adapterOf(framework).write.contentType ?? 'unknown') : type};`;

const runtimeTypes = { string: 'String', number: 'Number', boolean: 'Boolean', unknown: 'null', content: 'null' } as const;
const inObject = ({ name, fallback, type }: NewProp): string => ` ${name}: { type: ${runtimeTypes[type]}, default: ${fallback} },`;
const inDefaults = ({ name, fallback }: NewProp): string => ` ${name}: ${fallback},`;

const all = (props: readonly NewProp[], write: (prop: NewProp) => string): string => props.map(write).join('');

/** The members of a type that is written out, or is declared so in the same file; undefined where it is neither. */
function membersOf(source: Source, type: t.Node): t.TSTypeLiteral | t.TSInterfaceBody | undefined {
  if (type.type === 'TSTypeLiteral') return type;
  if (type.type === 'TSIntersectionType') return type.types.map((one) => membersOf(source, one)).find(Boolean);
  if (type.type !== 'TSTypeReference' || type.typeName.type !== 'Identifier') return undefined;
  const { name } = type.typeName;
  let found: t.TSTypeLiteral | t.TSInterfaceBody | undefined;
  everyNode(source.program, (node) => {
    if (node.type === 'TSInterfaceDeclaration' && node.id.name === name) found ??= node.body;
    if (node.type === 'TSTypeAliasDeclaration' && node.id.name === name) found ??= membersOf(source, node.typeAnnotation);
  });
  return found;
}

/** Adds props to a type; one from elsewhere stays as it is, and gets what is new beside it. */
function intoType(rewrite: Rewrite, source: Source, type: t.Node, props: readonly NewProp[]): void {
  const members = membersOf(source, type);
  if (members) rewrite.insert(source, startOf(members) + 1, all(props, inType(source)));
  else rewrite.insert(source, endOf(type), ` & {${all(props, inType(source))} }`);
}

function intoPattern(rewrite: Rewrite, source: Source, pattern: t.ObjectPattern, props: readonly NewProp[]): void {
  rewrite.insert(source, startOf(pattern) + 1, all(props, inPattern));
  const type = pattern.typeAnnotation?.type === 'TSTypeAnnotation' ? pattern.typeAnnotation.typeAnnotation : undefined;
  if (type) intoType(rewrite, source, type, props);
}

/** `const Hint: FC<Props> = …`: what is said of the props where the component is named. */
function typeOfVariable({ program }: Source, run: t.Node): t.Node | undefined {
  let found: t.Node | undefined;
  everyNode(program, (node) => {
    if (node.type !== 'VariableDeclarator' || node.init !== run || node.id.type !== 'Identifier') return;
    const type = node.id.typeAnnotation?.type === 'TSTypeAnnotation' ? node.id.typeAnnotation.typeAnnotation : undefined;
    found = type && 'typeParameters' in type ? (type.typeParameters as t.TSTypeParameterInstantiation | null)?.params[0] : undefined;
  });
  return found;
}

function inReact(rewrite: Rewrite, source: Source, component: Component, props: readonly NewProp[]): void {
  const { run, pattern, all: name } = takenBy(source, component) ?? {};
  if (!run || name !== undefined) throw notFollowed(component);
  if (pattern) {
    intoPattern(rewrite, source, pattern, props);
    const type = pattern.typeAnnotation ? undefined : typeOfVariable(source, run);
    if (type) intoType(rewrite, source, type, props);
    return;
  }
  const open = source.text.indexOf('(', 'id' in run && run.id ? endOf(run.id) : startOf(run));
  if (run.params.length > 0 || open < 0) throw notFollowed(component);
  rewrite.insert(source, open + 1, `{${all(props, inPattern)} }${source.isTyped ? `: {${all(props, inType(source))} }` : ''}`);
}

function inVue(rewrite: Rewrite, source: Source, component: Component, props: readonly NewProp[]): void {
  const { call, pattern } = takenBy(source, component) ?? {};
  if (!call) {
    const added = `defineProps({${all(props, inObject)} });\n`;
    intoScript(rewrite, source, `\n${added}`, 'end', `<script setup>\n${added}</script>\n\n`);
    return;
  }
  const [inner, defaults] = isNamed(call, 'withDefaults') ? call.arguments : [call];
  if (inner?.type !== 'CallExpression') throw notFollowed(component);
  const type = inner.typeParameters?.type === 'TSTypeParameterInstantiation' ? inner.typeParameters.params[0] : undefined;
  const [given] = inner.arguments;
  if (!type) {
    if (given?.type !== 'ObjectExpression') throw notFollowed(component);
    rewrite.insert(source, startOf(given) + 1, all(props, inObject));
    return;
  }
  if (!membersOf(source, type)) throw notFollowed(component);
  intoType(rewrite, source, type, props);
  if (pattern) rewrite.insert(source, startOf(pattern) + 1, all(props, inPattern));
  else if (defaults?.type === 'ObjectExpression') rewrite.insert(source, startOf(defaults) + 1, all(props, inDefaults));
  else if (inner !== call) throw notFollowed(component);
  else {
    rewrite.insert(source, startOf(call), 'withDefaults(');
    rewrite.insert(source, endOf(call), `, {${all(props, inDefaults)} })`);
  }
}

const isNamed = (call: t.CallExpression, name: string): boolean => call.callee.type === 'Identifier' && call.callee.name === name;

function inSvelte(rewrite: Rewrite, source: Source, component: Component, props: readonly NewProp[]): void {
  const { call, pattern } = takenBy(source, component) ?? {};
  if (pattern) {
    intoPattern(rewrite, source, pattern, props);
    return;
  }
  if (call) throw notFollowed(component);
  const isOlder = /\bexport let\b|\$:/.test(source.text);
  const runes = `\n  let {${all(props, inPattern)} } = $props();`;
  const older = all(props, ({ name, fallback }) => `\n  export let ${name} = ${fallback};`);
  intoScript(rewrite, source, isOlder ? older : runes, 'start', `<script>${runes}\n</script>\n\n`);
}

/** Puts a statement at the start or the end of a component's script; where it has none, it gets one. */
function intoScript(rewrite: Rewrite, source: Source, statement: string, where: 'start' | 'end', whole: string): void {
  const script = /<script\b(?![^>]*\bmodule\b)([^>]*)>/.exec(source.text);
  if (!script || (where === 'end' && !/\bsetup\b/.test(script[1] ?? ''))) {
    rewrite.insert(source, 0, whole);
    return;
  }
  const start = script.index + script[0].length;
  rewrite.insert(source, where === 'start' ? start : source.text.indexOf('</script>', start), statement);
}

const notFollowed = ({ name }: Component): CannotWrite =>
  new CannotWrite(`The props of ${name} are declared in a form that is not followed.`);

/** Declares some props in a component's own file. Throws where that has a form that is not followed. */
export function declareProps(rewrite: Rewrite, component: Component, props: readonly NewProp[]): void {
  if (props.length === 0) return;
  const source = rewrite.source(component);
  if (markupOf(component.framework) === 'expression' && component.facts.form === 'function') inReact(rewrite, source, component, props);
  else if (markupOf(component.framework) === 'directives') inVue(rewrite, source, component, props);
  else if (markupOf(component.framework) === 'blocks') inSvelte(rewrite, source, component, props);
  else throw notFollowed(component);
}
