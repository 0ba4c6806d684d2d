import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What Liana says about the findings of this family. */
export const eventsCatalogue = {
  'event-unheard': {
    severity: 'risk',
    about: 'broken binding',
    title: 'An event that nobody hears',
    message: ({ component, event, unheard, some }) =>
      some ? `${component} raises ${event}, and not every use listens.` : `${component} raises ${event}, and nobody listens: ${unheard}.`,
    consequence: ({ event, unheard, some }) =>
      some ? `A control does nothing where ${event} is not given: ${unheard}.` : `Nothing comes of ${event}, whatever raises it.`,
    fix: ({ event, owners }) => `Pass ${event} in ${owners}, or do not offer the action there.`,
    help: {
      what: 'A component calls an optional callback. Some of its uses give one and others do not, or none does.',
      why: 'The user clicks and nothing happens. There is no error anywhere, because the callback is optional.',
      fault: '<StatusPill status={status} onClear={clear} />\n<StatusPill status={status} />   // its button does nothing',
      sound: '<StatusPill status={status} onClear={clear} />\n<StatusPill status={status} onClear={() => book(passage)} />',
    },
  },
  'event-never-raised': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A listener for an event that never comes',
    message: ({ target, event }) => `${event} is listened for, and ${target} never raises it.`,
    consequence: ({ target, event }, framework) =>
      framework === 'react'
        ? `${target} takes ${event} and never calls it, so the function given here never runs.`
        : `Nothing inside ${target} raises it, so the function given here never runs.`,
    fix: ({ target, event }) => `Raise ${event} in ${target} where it happens, or take the listener away.`,
    help: {
      what: 'A use listens for an event, or gives a declared callback, that the component never raises, forwards or lets through.',
      why: 'The handler looks alive and is dead. Often the event was renamed in the component, or it comes from a part further down that does not pass it on.',
      fault:
        'function StatusPill({ status }: { status: Status; onClear: () => void }) { … }\n\n<StatusPill status={status} onClear={clear} />',
      sound:
        'function StatusPill({ status, onClear }: { status: Status; onClear: () => void }) {\n  return <button onClick={onClear}>{status}</button>;\n}',
      forms: {
        vue: {
          fault: '<StatusPill @cleared="clear" />\n\n// StatusPill.vue\nconst emit = defineEmits<{ clear: [] }>();',
          sound: '<StatusPill @clear="clear" />',
        },
        svelte: {
          fault: '<StatusPill on:clear={clear} />\n\n// StatusPill.svelte\nlet { onclear } = $props();',
          sound: '<StatusPill onclear={clear} />',
        },
      },
    },
  },
  'event-stops-short': {
    severity: 'fault',
    about: 'broken binding',
    title: 'An event that does not come this far',
    message: ({ listener, event, raiser }) => `${listener} waits for ${event}, which ${raiser} raises and which does not come this far.`,
    consequence: ({ raiser, bubbles, kept }) =>
      kept === 'root'
        ? `It is not composed, so it ends at the shadow root in which ${raiser} stands.`
        : kept === 'stopped'
          ? `A listener on its way keeps it from going further.`
          : bubbles === 'no'
            ? `It is sent without bubbling, so it is heard only at the very element that it is sent to.`
            : `What a component raises goes to who uses ${raiser}, and no further: the function given here never runs.`,
    fix: ({ event, raiser, bubbles, kept }, framework) =>
      kept === 'root'
        ? `Send it with composed: true, or listen within the shadow tree and raise it again from there.`
        : kept === 'stopped'
          ? `Do not stop it there, or listen before it is stopped.`
          : bubbles === 'no'
            ? `Send it with bubbles: true, or listen at the element itself.`
            : framework === 'react'
              ? `Hand ${event} down to ${raiser}, or listen where ${raiser} is used.`
              : framework === 'vue'
                ? `Listen where ${raiser} is used and emit it again from there, or provide a function to all below.`
                : `Forward it where ${raiser} is used, hand a callback down, or put a function into a context.`,
    help: {
      what: 'A listener waits further up than the event travels: at a component whose descendant raises it, at an element around such a component, or at the document for what does not bubble.',
      why: 'Events of components do not bubble as those of the platform do. The names are right, the handler exists, and nothing connects them.',
      fault: '<section onClear={clear}>\n  <StatusPill status={status} />   // StatusPill calls onClear\n</section>',
      sound: '<section>\n  <StatusPill status={status} onClear={clear} />\n</section>',
      forms: {
        vue: {
          fault: '<LockPanel @clear="clear" />\n\n// LockPanel.vue\n<StatusPill />   <!-- StatusPill emits clear -->',
          sound: '<LockPanel @clear="clear" />\n\n// LockPanel.vue\n<StatusPill @clear="$emit(\'clear\')" />',
        },
        svelte: {
          fault: '<LockPanel on:clear={clear} />\n\n// LockPanel.svelte\n<StatusPill />   // StatusPill dispatches clear',
          sound: '<LockPanel on:clear={clear} />\n\n// LockPanel.svelte\n<StatusPill on:clear />',
        },
      },
    },
  },
  'event-relayed': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'An event that is only passed up',
    message: ({ event, relays }) => `${event} is caught and raised again unchanged by ${relays}.`,
    consequence: ({ count, source }) => `${count} components declare an event that is ${source}’s, and each of them can drop it.`,
    fix: ({ source }, framework) =>
      framework === 'react'
        ? `Pass the handler to ${source} as it is, in a slot or by context.`
        : `Share a context or a store with ${source}, or give ${source} its handler in a slot.`,
    help: {
      what: 'Two or more components in a row listen to an event of a child only to raise the same event with the same values.',
      why: 'Each step has to be declared, and the name may change on the way. When one step is missing, nothing happens and nothing says so.',
      fault:
        'function PassageQueue({ onClear }) {\n  return <PassageRow onClear={(id) => onClear(id)} />;\n}\n\nfunction LockCard({ onClear }) {\n  return <PassageQueue onClear={(id) => onClear(id)} />;\n}',
      sound: 'const clear = useContext(ClearContext);   // in PassageRow',
      forms: {
        vue: {
          fault: '<!-- in LockCard, and in PassageQueue -->\n<PassageQueue @clear="(id) => emit(\'clear\', id)" />',
          sound: "const clear = inject('clear');   // in PassageRow",
        },
        svelte: {
          fault: '<!-- in LockCard, and in PassageQueue -->\n<PassageQueue on:clear />',
          sound: "const clear = getContext('clear');   // in PassageRow",
        },
      },
    },
  },
  'event-idle': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'An event that is never raised',
    message: ({ component, event }) => `${component} declares ${event}, never raises it, and nobody listens.`,
    consequence: ({ event }) => `Whoever reads the contract expects ${event}.`,
    fix: ({ component, event }) => `Remove ${event} from ${component}.`,
    help: {
      what: 'A component declares an event, no line of it raises it, and no use listens.',
      why: 'The contract promises what does not happen.',
      fault: "const emit = defineEmits(['select', 'hover']);   // hover is never raised",
      sound: "const emit = defineEmits(['select']);",
    },
  },
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
