import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** Why markup has no such name: it is the platform's or the module's, which markup does not see, or nothing declares it. */
const unseen = (hidden: string | undefined, near: string | undefined): string =>
  hidden === 'module'
    ? 'which the module has and does not hand on to its markup'
    : `${hidden ? 'which the platform has and markup does not see' : 'which nothing declares'}${near ? `; ${near} is declared` : ''}`;

const declared = (name: string | undefined, hidden: string | undefined, near: string | undefined): string =>
  near
    ? `Write ${near} instead of ${name}.`
    : hidden
      ? `Hand ${name} on as a member of the component, or use it in the script.`
      : `Declare ${name} in the script, or take it away.`;

/** What Liana says about the findings of this family. */
export const namesCatalogue = {
  'handler-missing': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A handler that does not exist',
    message: ({ component, name, listener, near, called, hidden }) =>
      called
        ? `${component} calls ${name} for ${listener}, instead of handing it over.`
        : `${component} gives ${listener} the handler ${name}, ${unseen(hidden, near)}.`,
    consequence: ({ called, name, silent, throws }, framework) =>
      silent
        ? `The component has no ${name}, so that nothing is given: the event is raised and nothing happens.`
        : called
          ? `${name} runs each time the markup is made; when the event is raised nothing does.`
          : framework === 'vue'
            ? throws
              ? `Vue reads undefined for ${name}, and ${throws} throws when the event is raised.`
              : 'Vue gives no warning for it: the event is raised and nothing happens.'
            : 'The component throws as soon as it renders, or when the event is raised.',
    fix: ({ name, near, called, hidden }) => (called ? `Hand over a function: () => ${name}(…).` : declared(name, hidden, near)),
    help: {
      what: 'Markup names a function for an event, and neither the script nor the framework has one of that name; or it calls a function that gives no function back, where it should name it.',
      why: 'Renaming a function in the script does not rename it in the markup.',
      fault: '<button @click="clearAl">Clear</button>',
      sound: '<button @click="clearAll">Clear</button>',
      forms: {
        react: { fault: '<button onClick={clear(row)}>Clear</button>', sound: '<button onClick={() => clear(row)}>Clear</button>' },
        svelte: { fault: '<button onclick={clearAl}>Clear</button>', sound: '<button onclick={clearAll}>Clear</button>' },
      },
    },
  },
  'name-unknown': {
    severity: 'fault',
    about: 'broken binding',
    title: 'Markup reads a name that nothing declares',
    message: ({ component, name, near, hidden, how, asks }) =>
      how === 'asked-with'
        ? `${component} asks ${asks} with ${name}, ${unseen(hidden, near)}.`
        : how === 'looked-up'
          ? `A script of ${component} asks the page for ${name}, which no markup of it has${near ? `; ${near} is there` : ''}.`
          : `The markup of ${component} reads ${name}, ${unseen(hidden, near)}.`,
    consequence: ({ name, throws, how }, framework) =>
      how === 'looked-up'
        ? 'What it asks for is null: the script throws, and what stands behind it does not run.'
        : framework === 'vue' && throws
          ? `Vue reads undefined for ${name}, and ${throws} throws.`
          : framework === 'vue'
            ? `Vue reads undefined for ${name}, warns in development, and shows nothing there.`
            : `${name} is not defined: the component throws when it renders.`,
    fix: ({ name, near, hidden, how }) =>
      how === 'looked-up'
        ? near
          ? `Ask for ${near}.`
          : `Give an element this name, or ask first whether there is one.`
        : declared(name, hidden, near),
    help: {
      what: 'Markup reads a name that script, block, language, platform and framework do not have; or a script asks the page for an element that no markup of it has, and goes on as if it were there.',
      why: 'It is undefined while running. In a condition it hides a part for ever; in a text it leaves a gap.',
      fault: '<p v-if="isOpne">{{ label }}</p>',
      sound: '<p v-if="isOpen">{{ label }}</p>',
      forms: { svelte: { fault: '{#if isOpne}<p>{label}</p>{/if}', sound: '{#if isOpen}<p>{label}</p>{/if}' } },
    },
  },
  'component-unknown': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A component that is not there',
    message: ({ owner, tag, near, holder, forgotten }) =>
      holder
        ? `${owner} uses ${tag}, and ${holder} has no such member.`
        : forgotten
          ? `${owner} uses ${tag}, which it imports and does not register.`
          : `${owner} uses ${tag}, which is neither declared nor imported${near ? `; ${near} exists` : ''}.`,
    consequence: ({ tag, holder }, framework) =>
      holder
        ? `${tag} is undefined: rendering throws.`
        : framework === 'vue'
          ? `Vue writes an unknown element <${tag}> into the page, which shows nothing.`
          : `${tag} is not defined: rendering throws.`,
    fix: ({ tag, near, holder, forgotten }) =>
      holder
        ? `Write a member that ${holder} has, or add this one to it.`
        : forgotten
          ? `List ${tag} among the components, or take it away.`
          : near
            ? `Write ${near} and import it.`
            : `Import ${tag}, or take it away.`,
    help: {
      what: 'A tag looks like a component and resolves to nothing: not imported, not registered, not defined, or misspelt.',
      why: 'A lost import after a move, or a name that was changed elsewhere.',
      fault: 'export function LockCard() {\n  return <LevelGuage level={2} />;\n}',
      sound: "import { LevelGauge } from './LevelGauge';\n\nexport function LockCard() {\n  return <LevelGauge level={2} />;\n}",
    },
  },
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
