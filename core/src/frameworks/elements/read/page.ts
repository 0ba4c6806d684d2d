import type { ComponentFacts, FileFacts, ImportFact, Problem } from '../../../model/facts';
import { noFacts } from '../../../model/no-facts';
import type { FilePath } from '../../../model/span';
import type { Writable } from '../../../model/writable';
import { assembleComponent } from '../../../read/component';
import { isElementTag } from '../../../read/elements/platform';
import { attributeNamed, type HtmlElement, parseHtml, walkHtml } from '../../../read/markup/html';
import { addAction, type Dialect, fillAction, newBody, newEffects } from '../../../read/script/body';
import { readStatement } from '../../../read/script/expressions';
import { declarationsOf } from '../../../read/script/declarations';
import { moduleScope } from '../../../read/script/module-scope';
import { readModule } from '../../../read/script/modules';
import { parseScriptAt } from '../../../read/script/parse';
import { innerScope } from '../../../read/script/scope';
import { spanOf } from '../../../read/script/syntax';
import { handlesDialect, newHandles, parentsIn, settleHandles } from './handles';
import { type ElementMarkup, markupOfPage } from './markup';
import { append } from '../../../model/append';

/** The module that a script of a page loads, as a file beside it would import it. */
function loaded(text: string, script: HtmlElement): ImportFact | undefined {
  const src = attributeNamed(script, 'src');
  if (!src?.value) return undefined;
  const written = text.slice(src.value.start, src.value.end);
  if (/^[a-z]+:|^\/\//.test(written)) return { local: '', imported: '*', from: written, typeOnly: false, span: src.span };
  // The root of what is served is the folder of the page, or one that is configured elsewhere.
  return {
    local: '',
    imported: '*',
    from: written.startsWith('/') ? `.${written}` : /^\.{1,2}\//.test(written) ? written : `./${written}`,
    typeOnly: false,
    span: src.span,
  };
}

/** Reads a page of static HTML: the elements in it, the modules that it loads, and what its own scripts do. Never throws. */
export function readPage(file: FilePath, text: string): FileFacts {
  const nodes = parseHtml(text);
  let holdsElements = false;
  const scripts: HtmlElement[] = [];
  walkHtml(nodes, (element) => {
    if (isElementTag(element.tag.toLowerCase())) holdsElements = true;
    if (element.tag.toLowerCase() === 'script') scripts.push(element);
  });
  if (!holdsElements && !scripts.some((one) => /createElement|customElements|innerHTML/.test(text.slice(one.span.start, one.span.end))))
    return noFacts(file);
  const problems: Problem[] = [];
  const programs = scripts.flatMap((script) => {
    const [content] = script.children;
    const type = attributeNamed(script, 'type')?.value;
    const kind = type ? text.slice(type.start, type.end) : '';
    if (!content || content.kind !== 'text' || (kind !== '' && !/^(?:module|text\/javascript)$/.test(kind))) return [];
    const read = parseScriptAt(text, content.span, 'js');
    append(problems, read.problems);
    return [read.program];
  });
  const statements = programs.flatMap((one) => one.body);
  const program = { type: 'Program', body: statements, directives: [], sourceType: 'module', start: 0, end: text.length } as never;
  const { imports } = readModule(statements);
  const declared = declarationsOf(statements);
  const module = moduleScope(program, text, declared, imports);
  const handles = newHandles(new Map(), parentsIn(program));
  const dialect: Dialect = handlesDialect(() => markup, handles);
  const body = newBody(module, dialect);
  const scope = innerScope();
  const markup: ElementMarkup = {
    body,
    text,
    lang: 'js',
    problems,
    event: 'event',
    methods: new Map(),
    constants: new Map(),
    outer: scope,
    slotted: new WeakMap(),
    showing: new Set(),
    handleOf: () => undefined,
  };
  const shown = markupOfPage(markup, nodes, scope);
  for (const statement of statements) {
    if (statement.type === 'ImportDeclaration' || statement.type.startsWith('Export')) continue;
    const sink = newEffects();
    readStatement(body, statement, scope, sink);
    if (!sink.changes && !sink.invokes && !sink.sends && !sink.hears && !sink.calls) continue;
    fillAction(body, addAction(body, 'when the page is loaded', 'lifecycle', spanOf(statement)), sink);
  }
  const name = file.split('/').at(-1) ?? file;
  const component: Writable<ComponentFacts> = assembleComponent(body, () => {
    const template = [...shown, ...handles.template];
    settleHandles(body, handles, template);
    return {
      name,
      local: 'default',
      span: { start: 0, end: text.length },
      nameSpan: { start: 0, end: Math.min(1, text.length) },
      form: 'file',
      openness: 'closed',
      through: [],
      template,
      slots: [],
      members: [],
      eventName: (member) => member.name,
    };
  });
  return {
    ...noFacts(file),
    framework: 'elements',
    problems,
    imports: [...imports, ...scripts.flatMap((one) => loaded(text, one) ?? [])],
    exports: [{ exported: 'default', local: 'default', span: component.nameSpan }],
    components: [component],
  };
}
