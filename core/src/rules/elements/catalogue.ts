import type { Framework } from '../../model/framework';
import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What the catalogue says otherwise where components are elements of the page. */
type ElementWords = Partial<Pick<Entry, 'message' | 'consequence' | 'fix'>>;

/** What happens in one of the two frameworks whose components are elements, and in the other. */
const either =
  (ofElements: string, ofLwc: string) =>
  (framework: Framework): string =>
    framework === 'lwc' ? ofLwc : ofElements;

const isEvent = (name = ''): boolean => /^(?:@|on)/.test(name);

const ends = 'disconnectedCallback';

/** What the catalogue says of components that are elements of the page. */
export const elementWords: Readonly<Partial<Record<RuleId, ElementWords>>> = {
  'component-unknown': {
    message: ({ owner, tag, near, forgotten }) =>
      forgotten
        ? `${owner} uses ${tag}, and no page of the project loads ${forgotten} with it, which defines it.`
        : `${owner} uses ${tag}, which nothing in the project defines${near ? `; ${near} exists` : ''}.`,
    consequence: ({ tag }, framework) =>
      either(
        `<${tag}> stays an element that nothing stands for: it shows what is between its tags, and does nothing.`,
        `There is no bundle for <${tag}>, so the template cannot be compiled.`,
      )(framework),
    fix: ({ tag, near, forgotten }) =>
      forgotten
        ? `Load ${forgotten} there, by an import for what it does and not for its types alone.`
        : near
          ? `Write ${near}.`
          : `Define ${tag}, and import what defines it, or take it away.`,
  },
  'name-unknown': {
    consequence: ({ name, how, asks }) =>
      how === 'asked-with'
        ? `${name} is undefined for ever, and with that ${asks} is never asked.`
        : `The template reads undefined for ${name} without a word, and shows nothing there.`,
    fix: ({ name, near }) => (near ? `Write ${near} instead of ${name}.` : `Give the class a member ${name}, or take it away.`),
  },
  'handler-missing': {
    consequence: ({ name, called }, framework) =>
      called
        ? `${name} runs each time the markup is made; when the event is raised nothing does.`
        : either(
            'Nothing is given, so nothing happens when the event is raised.',
            'It fails when the event is raised, and not before.',
          )(framework),
  },
  'prop-spelt': {
    consequence: ({ target, given, prop }) =>
      isEvent(given)
        ? `${target} raises ${prop}, so the function given here never runs.`
        : `${target} never reads ${given}, and ${prop} is not given.`,
    fix: ({ target, given, prop = '', attribute }, framework) =>
      framework === 'lwc' && /^on.*[^a-z0-9_]/.test(prop)
        ? `Raise it in ${target} by a name in lower case: a template listens to no other. Or listen with addEventListener.`
        : attribute && given?.toLowerCase() === prop.toLowerCase() && framework === 'elements'
          ? `Let ${target} take it by an attribute in lower case, which is how markup gives it; or set the property ${prop}.`
          : `Write ${prop} instead of ${given}.`,
  },
  'prop-unknown': {
    consequence: ({ target, prop }, framework) =>
      either(
        `The element keeps ${prop}, and nothing in ${target} reads it.`,
        `${target} has no ${prop} that is marked with api, so the value is lost.`,
      )(framework),
  },
  'two-way-half': {
    consequence: ({ prop }) => `live puts ${prop} back whenever the element renders: what people enter is lost.`,
    fix: ({ target }) => `Let ${target} tell of its input and set the value, or give it without live.`,
  },
  'prop-written': {
    consequence: ({ prop, what }, framework) =>
      what === 'whole'
        ? `What the owner gave is overwritten, and what it gives next overwrites this: ${prop} has two masters.`
        : framework === 'lwc'
          ? `What is given is read-only: the change throws.`
          : `It is the owner’s ${prop} that changes, without the owner: nothing renders because of it, and nobody can tell where the change came from.`,
  },
  'change-unseen': {
    consequence: ({ state, how, collection }) =>
      collection
        ? `What ${state} holds is changed by its own methods, which are not followed: the page shows what it held before.`
        : how === 'plain' || how === 'module'
          ? `Nothing follows ${state}: the page shows what it was until something else renders the element.`
          : `Only another value in place of ${state} is noticed: it is the same list or object, so nothing renders again.`,
    fix: ({ state, how, collection }, framework) =>
      how === 'plain' || how === 'module'
        ? either(`Declare ${state} as a reactive property or as state.`, `Make ${state} a field of the class.`)(framework)
        : collection
          ? `Make a new one with the change in it, and assign it to ${state}.`
          : `Make a new list or object with the change in it, and assign it.`,
  },
  'endless-render': {
    consequence: ({ state }) =>
      state
        ? 'Setting it renders again, which sets it again: the page never rests.'
        : 'Rendering never comes to an end: the page freezes or the stack overflows.',
    fix: ({ component, state }) =>
      state
        ? `Set ${state} only where it is another one than before, or compute it from what it depends on.`
        : `Put a condition, or a list that gets shorter, between ${component} and itself.`,
  },
  'subscription-kept': {
    fix: ({ how }) =>
      how === 'unnamed'
        ? 'Keep the function in a member, and hand the same one to what adds it and to what removes it.'
        : `End it in ${ends}, with the same function on the same target.`,
  },
  'slot-shape': {
    message: ({ target, slot, given, wants }) => `${target} is given ${given} for ${slot}, and its slot takes ${wants}.`,
    consequence: ({ given }) => `${given} is shown nowhere: no slot takes it.`,
    fix: ({ target, given, wants }) => `Give ${wants}, or let the slot of ${target} take ${given}.`,
  },
  'event-never-raised': {
    consequence: ({ target }) => `Nothing inside ${target} raises it, so the function given here never runs.`,
  },
  'context-missing': {
    consequence: ({ component, context }) =>
      `Nobody above ${component} answers for ${context}: it takes nothing there, and fails where it cannot do without it.`,
  },
};
