import type { Severity } from '../model/finding';
import type { Framework } from '../model/facts';

/** Names that a rule found, to be put into its sentences. */
export type Words = Readonly<Record<string, string>>;

export type Entry = {
  readonly severity: Severity;
  /** Which of the two tables of findings it belongs to. */
  readonly about: 'broken binding' | 'redundant abstraction';
  readonly title: string;
  readonly message: (words: Words) => string;
  readonly consequence: (words: Words, framework: Framework) => string;
  readonly fix: (words: Words) => string;
  readonly help: { readonly what: string; readonly why: string; readonly fault: string; readonly sound: string };
};

/** All that Liana says about its findings, one entry a rule, in the order of the list. */
export const catalogue = {
  'prop-missing': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A required prop is not given',
    message: ({ target, prop }) => `${target} needs ${prop}, and nothing passes it.`,
    consequence: ({ target, prop }) => `${prop} is declared without a default, so ${target} receives undefined here.`,
    fix: ({ target, prop, owner }) => `Pass ${prop} to ${target} in ${owner}, or give it a default or mark it optional in ${target}.`,
    help: {
      what: 'A use of a component does not give a prop that the component declares as required and has no default for.',
      why: 'The component receives undefined. It shows nothing where the value belongs, or throws deep inside where the cause is hard to see.',
      fault: 'type Props = { boat: Boat; eta: string };\n\n<PassageRow boat={boat} />',
      sound: 'type Props = { boat: Boat; eta: string };\n\n<PassageRow boat={boat} eta={passage.eta} />',
    },
  },
  'prop-spelt': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A prop is misspelt',
    message: ({ target, given, prop }) => `${target} is given ${given}; it declares ${prop}.`,
    consequence: ({ target, given, prop }) => `${target} never reads ${given}, and ${prop} stays undefined.`,
    fix: ({ given, prop }) => `Write ${prop} instead of ${given}.`,
    help: {
      what: 'A use gives a prop under a name that is one or two letters, or a letter’s case, away from one that the component declares and the use does not give.',
      why: 'The framework does not guess. The value is dropped and the declared prop stays undefined.',
      fault: 'function LevelGauge({ maxLevel }: { maxLevel: number }) { … }\n\n<LevelGauge maxlevel={4} />',
      sound: '<LevelGauge maxLevel={4} />',
    },
  },
  'prop-unknown': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A prop is given that nobody takes',
    message: ({ target, prop }) => `${target} is given ${prop}, and does not take it.`,
    consequence: ({ target, prop }) => `${target} neither declares ${prop} nor passes undeclared props on, so the value is lost.`,
    fix: ({ target, prop }) => `Remove ${prop} here, or declare it in ${target} and use it there.`,
    help: {
      what: 'A use gives a prop that the component neither declares nor lets through to an element or another component.',
      why: 'The value is lost without a word. Often the prop was renamed or removed in the component and this use was forgotten.',
      fault: 'function BoatBadge({ name }: { name: string }) { … }\n\n<BoatBadge name="Heron" tone="calm" />',
      sound: '<BoatBadge name="Heron" />',
    },
  },
  'context-missing': {
    severity: 'fault',
    about: 'broken binding',
    title: 'No provider is above',
    message: ({ component, context, pages }) => `${component} takes ${context}, and no provider is above it on ${pages}.`,
    consequence: ({ context }) => `${context} has no usable default, so the component reads from nothing and throws when it renders there.`,
    fix: ({ context, component }) => `Put a provider of ${context} around ${component} on that page, or give ${context} a default.`,
    help: {
      what: 'At some place in the tree a component takes a context that no ancestor provides and that has no default.',
      why: 'Context follows the tree as it is composed, not the imports. Moving a component, or using it on another page, can take it out of its provider’s reach.',
      fault:
        'const keeper = useContext(KeeperContext);\nreturn <b>{keeper.name}</b>;\n\n// on this page nothing renders <KeeperContext value={…}>',
      sound: '<KeeperContext value={keeper}>\n  <KeeperMenu />\n</KeeperContext>',
    },
  },
  'event-unheard': {
    severity: 'risk',
    about: 'broken binding',
    title: 'An event that nobody hears',
    message: ({ component, event }) => `${component} raises ${event}, and nobody listens.`,
    consequence: ({ event, unheard }) => `Where ${event} is not given nothing happens: ${unheard}.`,
    fix: ({ event, owners }) => `Pass ${event} in ${owners}, or do not offer the action there.`,
    help: {
      what: 'A component calls an optional callback. Some of its uses give one and others do not, or none does.',
      why: 'The user clicks and nothing happens. There is no error anywhere, because the callback is optional.',
      fault: '<StatusPill status={status} onClear={clear} />\n<StatusPill status={status} />   // its button does nothing',
      sound: '<StatusPill status={status} onClear={clear} />\n<StatusPill status={status} onClear={() => book(passage)} />',
    },
  },
  'list-unkeyed': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A repeated part without an identity',
    message: ({ component, part, how }) => `${component} repeats ${part} ${how}.`,
    consequence: ({ part, position }) =>
      position
        ? `When the list is filtered or put in another order, what each ${part} remembers stays at its position and shows with another item.`
        : `React cannot tell the items apart: when the list changes, what a ${part} remembers may show with another item.`,
    fix: ({ part }) => `Give each ${part} a key that belongs to its item, such as its id.`,
    help: {
      what: 'A part repeated over a list has no key; or its position as key, while the list changes its order or loses items and the parts keep something (state, or a field’s text).',
      why: 'The key is how the framework knows which item a part belonged to before. Without it, state moves to the wrong item.',
      fault: '{passages.filter(waiting).map((passage, index) => (\n  <PassageRow key={index} passage={passage} />\n))}',
      sound: '{passages.filter(waiting).map((passage) => (\n  <PassageRow key={passage.id} passage={passage} />\n))}',
    },
  },
  'prop-carried': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'A prop that is only carried through',
    message: ({ prop, carriers }) => `${prop} goes unread through ${carriers}.`,
    consequence: ({ prop, count }) => `${count} components declare ${prop} only to hand it on, and each change of it touches them all.`,
    fix: ({ prop, last, count }) =>
      `Pass ${last} down as children or a slot, or provide ${prop} by context: ${count} props and their types go.`,
    help: {
      what: 'A value passes unread through two or more components in a row before one uses it.',
      why: 'Every component on the way declares something it does not care about. Renaming or adding to it means editing them all, and one is easily forgotten.',
      fault: '<LockList passages={passages} />\n  <LockCard passages={passages} />\n    <PassageQueue items={passages} />',
      sound: '<LockList>\n  {(lock) => <LockCard lock={lock} queue={<PassageQueue items={passages} />} />}\n</LockList>',
    },
  },
} as const satisfies Readonly<Record<string, Entry>>;

export type RuleId = keyof typeof catalogue;

/** The entry of a rule, for any id that may be one. */
export function entryOf(rule: string): Entry | undefined {
  return (catalogue as Readonly<Record<string, Entry>>)[rule];
}
