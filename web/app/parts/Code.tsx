import { css } from '@codemirror/lang-css';
import { html } from '@codemirror/lang-html';
import { javascript } from '@codemirror/lang-javascript';
import { vue } from '@codemirror/lang-vue';
import { HighlightStyle, type LanguageSupport, syntaxHighlighting } from '@codemirror/language';
import { EditorState, RangeSetBuilder } from '@codemirror/state';
import { Decoration, EditorView, lineNumbers } from '@codemirror/view';
import { tags } from '@lezer/highlight';
import { svelte } from '@replit/codemirror-lang-svelte';
import { useEffect, useRef } from 'react';
import type { Excerpt, Grammar } from '../analysis/answers';

const colours = HighlightStyle.define([
  { tag: [tags.keyword, tags.operatorKeyword, tags.modifier], color: 'var(--moss)', fontWeight: '600' },
  { tag: [tags.string, tags.special(tags.string)], color: 'var(--string)' },
  { tag: [tags.comment], color: 'var(--faint)', fontStyle: 'italic' },
  { tag: [tags.tagName, tags.typeName, tags.className], fontWeight: '600' },
]);

const grammars: Readonly<Record<Grammar, () => LanguageSupport>> = {
  script: () => javascript({ jsx: true, typescript: true }),
  vue,
  svelte,
  html,
  styles: css,
};

function marksOf(excerpt: Excerpt) {
  const builder = new RangeSetBuilder<Decoration>();
  let last = 0;
  for (const { start, end } of [...excerpt.marks].sort((a, b) => a.start - b.start || a.end - b.end)) {
    const from = Math.max(start, last);
    const to = Math.min(end, excerpt.text.length);
    if (from >= to) continue;
    builder.add(from, to, Decoration.mark({ class: 'cm-marked' }));
    last = to;
  }
  return EditorView.decorations.of(builder.finish());
}

type Props = {
  excerpt: Excerpt;
  loose?: boolean;
  caption?: string;
  /** Called with the offset in the file of a name that was clicked. */
  onName?: (offset: number) => void;
};

/** The offset in the file that a position in an excerpt stands for. */
export function fileOffset(excerpt: Excerpt, position: number): number {
  const before = excerpt.text.slice(0, position);
  const line = before.split('\n').length - 1;
  return (excerpt.from[line] ?? 0) + position - (before.lastIndexOf('\n') + 1);
}

/** Some lines of code with their numbers, and what is meant marked in them. */
export function Code({ excerpt, loose = false, caption, onName }: Props) {
  const holder = useRef<HTMLDivElement>(null);
  const named = useRef(onName);
  const label = `${excerpt.file}, line ${excerpt.line}`;

  useEffect(() => {
    named.current = onName;
  }, [onName]);

  useEffect(() => {
    if (!holder.current) return;
    const view = new EditorView({
      parent: holder.current,
      state: EditorState.create({
        doc: excerpt.text,
        extensions: [
          lineNumbers({ formatNumber: (line) => String(line + excerpt.firstLine - 1) }),
          grammars[excerpt.grammar](),
          syntaxHighlighting(colours),
          EditorView.lineWrapping,
          EditorState.readOnly.of(true),
          EditorView.editable.of(false),
          EditorView.contentAttributes.of({ tabindex: '0', 'aria-label': `Code of ${label}`, 'aria-readonly': 'true' }),
          marksOf(excerpt),
          EditorView.domEventHandlers({
            click: (event, editor) => {
              const position = editor.posAtCoords({ x: event.clientX, y: event.clientY });
              if (position === null || !editor.state.wordAt(position) || !editor.state.selection.main.empty) return;
              named.current?.(fileOffset(excerpt, position));
            },
          }),
        ],
      }),
    });
    return () => view.destroy();
  }, [excerpt, label]);

  return (
    <figure className={`code${loose ? ' loose' : ''}${onName ? ' named' : ''}`}>
      <figcaption>{caption ?? `${excerpt.file}:${excerpt.line}`}</figcaption>
      <div ref={holder} />
    </figure>
  );
}
