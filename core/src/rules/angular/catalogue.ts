import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What the catalogue says otherwise of components of Angular, whose compiler refuses what others find out when they run. */
export const angularWords: Readonly<Partial<Record<RuleId, Partial<Pick<Entry, 'message' | 'consequence' | 'fix'>>>>> = {
  'prop-missing': {
    consequence: ({ target, prop }) => `The compiler refuses the template: ${prop} is required by ${target}.`,
    fix: ({ target, prop, owner }) => `Bind ${prop} of ${target} in ${owner}, or give it a default in ${target} instead of asking for it.`,
  },
  'prop-spelt': {
    consequence: ({ target, given = '', prop, attribute }) =>
      attribute
        ? `${given} stays a text on the element: the input ${prop} of ${target} is not given.`
        : given.startsWith('(')
          ? `${target} has no output ${given}: it is taken for an event of the element, which never comes, and ${prop} is not heard.`
          : `The compiler refuses the template: ${target} has no input ${given}, and ${prop} is not given.`,
  },
  'prop-unknown': {
    consequence: ({ target, prop, text, element }) =>
      element
        ? `The compiler refuses the template: ${target} has no property ${prop}.`
        : text
          ? `It stays a text on the element: ${target} never learns of ${prop}.`
          : `The compiler refuses the template: neither ${target} nor its element has ${prop}.`,
    fix: ({ target, prop, element }) =>
      element
        ? `Write [attr.${prop}] where the attribute is meant, import the directive that takes it, or take it away.`
        : `Remove ${prop} here, or make it an input of ${target} and use it there.`,
  },
  'two-way-half': {
    consequence: ({ target, prop, half = '' }) =>
      half.startsWith('only the value')
        ? `The compiler refuses the template: a binding both ways needs an output ${prop}Change of ${target}, too.`
        : half.startsWith('only the change')
          ? `The compiler refuses the template: a binding both ways needs an input ${prop} of ${target}, too.`
          : `The compiler refuses the template: ${target} has neither an input ${prop} nor an output ${prop}Change.`,
    fix: ({ target, prop }) =>
      `Declare ${prop} with model() in ${target}, or an input ${prop} and an output ${prop}Change; or bind it one way.`,
  },
  'prop-written': {
    consequence: ({ prop, what }) =>
      what === 'whole'
        ? `The owner does not learn of it, and what it gives next overwrites ${prop}: it has two masters.`
        : `It is the owner’s ${prop} that changes, without the owner: nobody can tell where the change came from.`,
    fix: ({ prop, what }) =>
      what === 'list'
        ? `Tell the owner what to change by an output, or work on a copy: [...${prop}].`
        : `Tell the owner what to change by an output, or work on a copy of ${prop}.`,
  },
  'prop-copied': {
    fix: ({ prop, state }) =>
      `Use ${prop} itself, take it over in ngOnChanges or by linkedSignal, or name it initial${(prop ?? '').charAt(0).toUpperCase()}${(prop ?? '').slice(1)} if ${state} is meant to go its own way.`,
  },
  'component-unknown': {
    message: ({ owner, tag, near, forgotten, as }) =>
      as
        ? `${owner} writes ${tag}, and nothing that it may use takes it: that would need ${forgotten}.`
        : forgotten
          ? `${owner} uses <${tag}>, which is ${forgotten}, and may not use it.`
          : `${owner} uses <${tag}>, which nothing that it may use stands for${near ? `; <${near}> exists` : ''}.`,
    consequence: ({ tag, as, on }) =>
      as === 'template'
        ? `Nothing decides on it: what stands on it is never shown.`
        : as === 'text'
          ? `It stays a text on <${on}>: no directive is made for it.`
          : as
            ? `The compiler refuses the template: <${on}> has no property ${tag}.`
            : `The compiler refuses the template: <${tag}> is not a known element.`,
    fix: ({ owner, tag, near, forgotten }) =>
      forgotten
        ? `Add ${forgotten} to the imports of ${owner}, or to those of the module that declares ${owner}.`
        : near
          ? `Write ${near}, and add what it is to the imports.`
          : `Add what stands for <${tag}> to the imports, or take it away.`,
  },
  'name-unknown': {
    consequence: ({ name }) => `The compiler refuses the template: ${name} does not exist there.`,
    fix: ({ name, near, component }) =>
      near ? `Write ${near} instead of ${name}.` : `Give ${component} a member ${name}, import the pipe if it is one, or take it away.`,
  },
  'handler-missing': {
    message: ({ component, name, listener, near, called, uncalled }) =>
      uncalled
        ? `${component} names ${name} for ${listener}, and does not call it.`
        : called
          ? `${component} calls ${name} for ${listener}, which gives nothing, instead of handing it over.`
          : `${component} gives ${listener} the handler ${name}, which nothing declares${near ? `; ${near} exists` : ''}.`,
    consequence: ({ name, called, uncalled }) =>
      uncalled
        ? `What is written for an event is run; ${name} alone does nothing.`
        : called
          ? `${name} runs each time the view is checked, and nothing is handed over.`
          : `The compiler refuses the template: ${name} does not exist there.`,
    fix: ({ name, near, called, uncalled }) =>
      uncalled
        ? `Call it: ${name}(…).`
        : called
          ? `Hand over the function ${name} itself, without calling it.`
          : near
            ? `Write ${near} instead of ${name}.`
            : `Give the class a method ${name}, or take the listener away.`,
  },
  'event-never-raised': {
    consequence: ({ target }) =>
      `Nothing inside ${target} raises it, and no event of the page has that name, so what is written for it never runs.`,
    fix: ({ target, event }) => `Let ${target} raise ${event} where it happens, or take the listener away.`,
  },
  'change-unseen': {
    message: ({ component, state, how, by }) =>
      how === 'handed'
        ? `${component} changes ${state} in place, which it hands to ${by}.`
        : how === 'unchecked'
          ? `${component} writes ${state} in something that runs by itself, and is checked only on push.`
          : `${component} changes what the signal ${state} holds in place, and sets no other in its stead.`,
    consequence: ({ state, how, by }) =>
      how === 'handed'
        ? `${by} is checked again only when it is given another ${state}: it goes on showing what it showed.`
        : how === 'unchecked'
          ? `Nothing tells the framework that the markup is another: the page shows what it showed until something else has the part checked.`
          : `A signal compares by identity: ${state} holds the same list or object as before, so nothing that reads it runs again.`,
    fix: ({ state, how }) =>
      how === 'handed'
        ? `Make a new list or object with the change in it, and assign it to ${state}.`
        : how === 'unchecked'
          ? `Make ${state} a signal and set it, or call markForCheck after the change.`
          : `Make a new list or object with the change in it, and set it: ${state}.update((before) => …).`,
  },
  'endless-render': {
    consequence: ({ state }) =>
      state
        ? 'Setting it runs the effect again, which sets it again: the framework stops with an error, or the page never rests.'
        : 'Rendering never comes to an end: the page freezes or the stack overflows.',
    fix: ({ component, state }) =>
      state
        ? `Read ${state} with untracked, or make it a computed value of what it depends on.`
        : `Put a condition, or a list that gets shorter, between ${component} and itself.`,
  },
  'stale-reading': {
    message: ({ component, value, action, how }) =>
      how === 'unfollowed'
        ? `${action} in ${component} reads ${value}, a plain field, which nothing follows.`
        : how === 'once'
          ? `${action} in ${component} keeps the value that ${value} has when the component starts.`
          : `${action} in ${component} reads ${value} when its readings are no longer followed.`,
    consequence: ({ component, value, action, how }) =>
      how === 'once'
        ? `When ${value} changes, ${component} keeps showing what it was.`
        : `When ${value} changes, ${action} does not run again.`,
    fix: ({ value, action, how }) =>
      how === 'unfollowed'
        ? `Make ${value} a signal, so that ${action} follows it.`
        : how === 'once'
          ? `Make ${action} a computed value: computed(() => …).`
          : `Read ${value} before the first await and outside of promises and timers, so that ${action} follows it.`,
  },
  'subscription-kept': {
    fix: () =>
      'End it with the component: pipe it through takeUntilDestroyed(), read it by toSignal or the async pipe, or unsubscribe in ngOnDestroy.',
  },
  'slot-nowhere': {
    consequence: ({ target, given }) => `${target} has no place for it: ${given ?? 'what stands there'} is shown nowhere.`,
  },
  'slot-shape': {
    message: ({ target, slot, given, wants }) => `${target} is given ${given} for ${slot}, and takes ${wants}.`,
    consequence: ({ given }) => `${given} is undefined, or shown nowhere.`,
    fix: ({ target, given, wants }) => `Give ${wants}, or let ${target} take ${given}.`,
  },
  'context-missing': {
    message: ({ component, context, pages }) => `${component} asks for ${context}, and nobody provides it for it on ${pages}.`,
    consequence: ({ component, context }) => `There is no provider for ${context}: making ${component} throws.`,
    fix: ({ component, context }) => `Provide ${context} around ${component}, or ask for it with optional where it can do without it.`,
  },
  'context-shadowed': {
    fix: ({ owner, context }) =>
      `If both are meant, say so: let ${owner} ask for the outer ${context} with skipSelf; else take one of the providers away.`,
  },
  'context-close': {
    consequence: ({ context, consumer }) =>
      `An input would say the same in one line, and ${consumer} would say what it needs without ${context}.`,
    fix: ({ context, consumer }) => `Give it to ${consumer} as an input, and remove the provider of ${context}.`,
  },
  'store-private': {
    fix: ({ component, store }) => `Provide ${store} in ${component}, or keep what it holds there.`,
  },
  'list-unkeyed': {
    fix: ({ part }) => `Track each ${part} by what belongs to its item, such as its id.`,
  },
};
