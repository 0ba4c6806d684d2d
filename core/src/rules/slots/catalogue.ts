import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What Liana says about the findings of this family. */
export const slotsCatalogue = {
  'slot-nowhere': {
    severity: 'fault',
    about: 'broken binding',
    title: 'Content that is shown nowhere',
    message: ({ target, content }) => `${target} is given ${content}, and renders it nowhere.`,
    consequence: ({ content }) => `The ${content} is dropped without a word.`,
    fix: ({ target, slot }, framework) =>
      framework === 'react' || (framework === 'svelte' && slot === 'children')
        ? `Render children in ${target}, or take the content away.`
        : `Put a slot${slot === 'children' ? '' : ` named ${(slot ?? '').replace('#', '')}`} into ${target}, or take the content away.`,
    help: {
      what: 'A use gives content for a slot, or between its tags, that the component does not render.',
      why: 'The text is in the source and not on the page. Often a slot was renamed, or a wrapper lost its children in a refactor.',
      fault:
        'function Panel({ title }: { title: string }) {\n  return <section><h2>{title}</h2></section>;\n}\n\n<Panel title="Locks"><LockList /></Panel>',
      sound:
        'function Panel({ title, children }: { title: string; children: ReactNode }) {\n  return <section><h2>{title}</h2>{children}</section>;\n}',
      forms: {
        vue: {
          fault: '<Panel>\n  <template #foot>…</template>\n</Panel>\n\n<!-- Panel.vue --> <slot name="footer" />',
          sound: '<template #footer>…</template>',
        },
        svelte: {
          fault: '<Panel><LockList /></Panel>\n\n<!-- Panel.svelte --> <h2>{title}</h2>',
          sound: '<!-- Panel.svelte --> <h2>{title}</h2>{@render children()}',
        },
      },
    },
  },
  'slot-shape': {
    severity: 'fault',
    about: 'broken binding',
    title: 'Content of another form than the slot has',
    message: ({ target, slot, given, wants, reads }) =>
      reads === 'yes'
        ? `Content for ${slot} of ${target} reads ${given}, and the slot hands out ${wants}.`
        : `${target} is given ${given} as ${slot}, and takes ${wants}.`,
    consequence: ({ given, wants, reads }) =>
      reads === 'yes'
        ? `${given} is undefined in the content.`
        : given === 'a function'
          ? 'React shows nothing in its place, and warns in development.'
          : wants === 'exactly one'
            ? 'React throws: it expects a single child.'
            : 'Calling it throws when the component renders.',
    fix: ({ target, given, wants, reads }) =>
      reads === 'yes'
        ? `Hand ${given} out in ${target}, or read what it does hand out: ${wants}.`
        : `Give ${wants}, or change what ${target} does with it.`,
    help: {
      what: 'A component calls its content and is given markup, or shows its content and is given a function; it takes exactly one child and is given several; or content reads a value that the slot does not hand out.',
      why: 'Slots have a form as props have a kind, and nothing in the markup shows it.',
      fault:
        'function PassageQueue({ children }) {\n  return rows.map((row) => children(row));\n}\n\n<PassageQueue><PassageRow /></PassageQueue>',
      sound: '<PassageQueue>{(row) => <PassageRow row={row} />}</PassageQueue>',
      forms: {
        vue: {
          fault: '<slot name="row" :boat="boat" />\n\n<template #row="{ boat, eta }">{{ eta }}</template>',
          sound: '<slot name="row" :boat="boat" :eta="eta" />',
        },
        svelte: {
          fault: '{@render row(boat)}\n\n{#snippet row(boat, eta)}<p>{eta}</p>{/snippet}',
          sound: '{@render row(boat, eta)}',
        },
      },
    },
  },
  'slot-idle': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'A slot that nobody fills',
    message: ({ component, slot }) => `No use of ${component} fills ${slot}.`,
    consequence: ({ slot }) => `${slot} shows nothing anywhere.`,
    fix: ({ component, slot }) => `Remove ${slot} from ${component}.`,
    help: {
      what: 'A component has a place for content, without anything to show when it is empty, and no use gives content for it.',
      why: 'It is a choice that nobody makes, and the markup around it stands empty on every page.',
      fault:
        'function LockCard({ title, footer }) {\n  return <article>{title}<footer>{footer}</footer></article>;\n}\n\n// nobody gives footer',
      sound: 'function LockCard({ title }) {\n  return <article>{title}</article>;\n}',
    },
  },
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
