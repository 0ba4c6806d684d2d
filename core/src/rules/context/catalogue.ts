import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What Liana says about the findings of this family. */
export const contextCatalogue = {
  'context-missing': {
    severity: 'fault',
    about: 'broken binding',
    title: 'No provider is above',
    message: ({ component, context, pages }) => `${component} takes ${context}, and no provider is above it on ${pages}.`,
    consequence: ({ component, context }) =>
      `${context} has no usable default: ${component} takes nothing there, and throws where it cannot do without it.`,
    fix: ({ context, component }) => `Put a provider of ${context} around ${component} on that page, or give ${context} a default.`,
    help: {
      what: 'At some place in the tree a component takes a context that no ancestor provides and that has no default.',
      why: 'Context follows the tree as it is composed, not the imports. Moving a component, or using it on another page, can take it out of its provider’s reach.',
      fault:
        'const keeper = useContext(KeeperContext);\nreturn <b>{keeper.name}</b>;\n\n// on this page nothing renders <KeeperContext value={…}>',
      sound: '<KeeperContext value={keeper}>\n  <KeeperMenu />\n</KeeperContext>',
    },
  },
  'context-shadowed': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A context that is provided twice',
    message: ({ owner, context, consumer, page }) =>
      `${owner} provides ${context} again, so that ${consumer} takes one value outside and another inside of it on ${page}.`,
    consequence: ({ consumer, context }) =>
      `Which ${context} a ${consumer} takes depends on where it stands; moving it changes what it shows, without a word.`,
    fix: ({ owner, context }) =>
      `If both are meant, let ${owner} take the outer ${context} and make the inner one from it; else take one provider away.`,
    help: {
      what: 'A context is provided, and provided again further down with another value. The same component takes it on one page both outside and inside of the inner provider. The inner provider does not take the outer value.',
      why: 'Two truths under one name: the same component shows different things in two places, and no line of it says why.',
      fault:
        '<KeeperContext value={today}>\n  <KeeperMenu />\n  <KeeperContext value={other}>   // in RosterPanel\n    <KeeperMenu />\n  </KeeperContext>\n</KeeperContext>',
      sound:
        'const keeper = useContext(KeeperContext);\n\n<KeeperContext value={{ ...keeper, isDeputy: true }}>\n  <KeeperMenu />\n</KeeperContext>',
      forms: {
        vue: {
          fault: "provide('keeper', today);\n\n// further down, in RosterPanel.vue\nprovide('keeper', other);",
          sound: "const keeper = inject('keeper');\nprovide('keeper', { ...keeper, isDeputy: true });",
        },
        svelte: {
          fault: "setContext('keeper', today);\n\n// further down, in RosterPanel.svelte\nsetContext('keeper', other);",
          sound: "const keeper = getContext('keeper');\nsetContext('keeper', { ...keeper, isDeputy: true });",
        },
      },
    },
  },
  'context-unread': {
    severity: 'tidy',
    about: 'broken binding',
    title: 'A context that nobody takes',
    message: ({ owner, context }) => `${owner} provides ${context}, and nothing takes it.`,
    consequence: ({ context }) => `${context} is computed and handed down for nobody.`,
    fix: ({ context }) => `Remove ${context} and its provider.`,
    help: {
      what: 'A component provides a context that no component of the project takes.',
      why: 'It looks needed, and everyone who changes it has to think about readers that do not exist.',
      fault: '<TideContext value={tide}>{children}</TideContext>   // nobody reads it',
      sound: 'return <main>{children}</main>;',
    },
  },
  'context-close': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'A context for the component next to it',
    message: ({ owner, context, consumer }) => `${owner} provides ${context} for ${consumer} alone, right below it.`,
    consequence: ({ context, consumer }) =>
      `A prop would say the same in one line, and ${consumer} would say what it needs without ${context}.`,
    fix: ({ context, consumer }) => `Pass it to ${consumer} as a prop, and remove ${context}.`,
    help: {
      what: 'A context has one provider and one component that takes it, in one place, one or two levels below.',
      why: 'Contexts are for what many take, far below. Here it hides what could stand in the contract.',
      fault: '<TideContext value={tide}>\n  <LevelGauge />   // the only one that takes it\n</TideContext>',
      sound: '<LevelGauge tide={tide} />',
    },
  },
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
