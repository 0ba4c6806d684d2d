import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What Liana says about the findings of this family. */
export const listsCatalogue = {
  'list-unkeyed': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A repeated part without an identity',
    message: ({ component, part, how }) => `${component} repeats ${part} ${how}.`,
    consequence: ({ part, position, anew }) =>
      anew
        ? `Each time the list is made again, every ${part} is made anew: what it remembers is lost, and so is where the user was in it.`
        : position
          ? `When the list is filtered or put in another order, what each ${part} remembers stays at its position and shows with another item.`
          : `The framework cannot tell the items apart: when the list changes, what a ${part} remembers may show with another item.`,
    fix: ({ part }) => `Give each ${part} a key that belongs to its item, such as its id.`,
    help: {
      what: 'A part repeated over a list has no key; or its position as key, while the list changes its order or loses items and the parts keep something (state, or a field’s text).',
      why: 'The key is how the framework knows which item a part belonged to before. Without it, state moves to the wrong item.',
      fault: '{passages.filter(waiting).map((passage, index) => (\n  <PassageRow key={index} passage={passage} />\n))}',
      sound: '{passages.filter(waiting).map((passage) => (\n  <PassageRow key={passage.id} passage={passage} />\n))}',
      forms: {
        svelte: {
          fault: '{#each passages as passage}\n  <PassageRow {passage} />\n{/each}',
          sound: '{#each passages as passage (passage.id)}\n  <PassageRow {passage} />\n{/each}',
        },
      },
    },
  },
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
