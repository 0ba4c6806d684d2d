import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What Liana says about the findings of this family. */
export const channelsCatalogue = {
  'channel-unpaired': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A message with one end',
    message: ({ component, event, does, near }) =>
      does === 'commits' || does === 'dispatches'
        ? `${component} ${does} ${event}, which the store has nothing for${near ? `; it has ${near}` : ''}.`
        : does === 'sends'
          ? `${component} sends ${event}, and nothing in the project waits for it${near ? `; ${near} is waited for` : ''}.`
          : `${component} waits for ${event}, and nothing in the project sends it${near ? `; ${near} is sent` : ''}.`,
    consequence: ({ does, since }) =>
      // Somebody outside the project may still be the other end.
      since
        ? `Nothing in the project ${does === 'hears' ? 'runs its handler' : 'hears it'} any more.`
        : does === 'hears'
          ? 'Its handler never runs.'
          : does === 'sends'
            ? 'It is sent into nothing.'
            : 'Nothing in the store runs.',
    fix: ({ event, near, does }) =>
      does === 'commits' || does === 'dispatches'
        ? near
          ? `Tell it ${near}.`
          : `Add ${event} to the store, or take this away.`
        : near
          ? `Use one name at both ends: ${near} or ${event}.`
          : does === 'hears'
            ? `Send ${event} where it happens, or stop waiting for it.`
            : `Listen for ${event} where it matters, or stop sending it.`,
    help: {
      what: 'An event of the project’s own is sent over the document or the window with nobody to hear it, or waited for under a name that is close to one that is sent.',
      why: 'The two ends agree by a text alone. Nothing tells when one of them is renamed.',
      fault: "window.dispatchEvent(new CustomEvent('alarm-raised'));\n\nwindow.addEventListener('alarm-rased', show);",
      sound: "window.addEventListener('alarm-raised', show);",
    },
  },
  'subscription-kept': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A subscription that is never ended',
    message: ({ component, what }) => `${component} begins to hear ${what} and never stops.`,
    consequence: ({ owner, what }) => `After ${owner} is gone its handler still runs, and each new ${owner} adds another one to ${what}.`,
    fix: ({ how }, framework) =>
      how === 'promise'
        ? 'Let the function be synchronous and start what is asynchronous inside of it: then what it returns is called at the end.'
        : how === 'unnamed'
          ? 'Give the function a name, and hand the same one to what adds it and to what removes it.'
          : framework === 'vue'
            ? 'End it in onUnmounted, with the same function on the same target.'
            : framework === 'svelte'
              ? 'Return a function from onMount, or from the effect, that ends it.'
              : 'Return a function from the effect that ends it, with the same function on the same target.',
    help: {
      what: 'At the start of its life a component listens to the window, the document, a channel or a timer, and nothing ends that when the component goes.',
      why: 'The handler keeps the component alive and runs for parts that nobody sees. After ten visits to the page it runs ten times.',
      fault: "useEffect(() => {\n  window.addEventListener('resize', measure);\n}, []);",
      sound:
        "useEffect(() => {\n  window.addEventListener('resize', measure);\n  return () => window.removeEventListener('resize', measure);\n}, []);",
      forms: {
        vue: {
          fault: "onMounted(() => window.addEventListener('resize', measure));",
          sound:
            "onMounted(() => window.addEventListener('resize', measure));\nonUnmounted(() => window.removeEventListener('resize', measure));",
        },
        svelte: {
          fault: "onMount(() => {\n  window.addEventListener('resize', measure);\n});",
          sound: '<svelte:window onresize={measure} />',
        },
      },
    },
  },
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
