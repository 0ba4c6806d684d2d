import type { Entry } from './entry';

/** What Liana says of abstractions that are too much, in the order of the list. */
export const redundant = {
  twins: {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'Two components that are nearly one',
    message: ({ first, second, alike, across }) => `${first} and ${second} are ${alike} alike${across ? ', in two frameworks' : ''}.`,
    consequence: ({ first, second, holes }) => `What is changed in ${first} has to be changed in ${second} too. They differ in ${holes}.`,
    fix: ({ first, second, across }) =>
      across
        ? `Keep one of ${first} and ${second} as soon as one framework can show both; until then change both together.`
        : `Keep one of ${first} and ${second}, with what differs as its props, and use it in both places.`,
    help: {
      what: 'Two components have nearly the same markup, take nearly the same props and keep the same state, perhaps under other names.',
      why: 'A second one was made because adapting the first looked like more work. From then on every repair has to be made twice, and one of them is forgotten.',
      fault:
        'function HintBubble({ label }) {\n  return <div className="hint"><b>{label}</b><i>?</i></div>;\n}\n\nfunction InfoBubble({ text }) {\n  return <div className="info"><b>{text}</b><i>i</i></div>;\n}',
      sound: 'function Bubble({ tone, mark, label }) {\n  return <div className={tone}><b>{label}</b><i>{mark}</i></div>;\n}',
    },
  },
  'markup-repeated': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'The same markup in several places',
    message: ({ count, places, first }) => `${first} and ${places} have ${count} lines of markup in common.`,
    consequence: ({ times }) => `It stands ${times} times, and each change of it has to be made as often.`,
    fix: ({ holes, name }) => `Take it out into a component ${name}${holes}.`,
    help: {
      what: 'A stretch of markup stands in several places, alike but for texts, values and classes.',
      why: 'It has no name yet, so nobody can change it in one place.',
      fault:
        '<dl><dt>Upper</dt><dd>{upper} m</dd><dt>Since</dt><dd>{since}</dd></dl>\n\n// and in another page\n<dl><dt>Lower</dt><dd>{lower} m</dd><dt>Since</dt><dd>{when}</dd></dl>',
      sound: '<LevelFacts side="Upper" level={upper} since={since} />\n<LevelFacts side="Lower" level={lower} since={when} />',
    },
  },
  'component-idle': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'A component that nothing renders',
    message: ({ component }) => `Nothing renders ${component}.`,
    consequence: ({ component, only }) => `It is read, kept and changed with the rest, and no page shows ${component}${only}.`,
    fix: ({ component, only }) => `Remove ${component}${only}.`,
    help: {
      what: 'No page, route or other component of the project renders it, and no other file imports it.',
      why: 'Everyone who changes what it uses has to change it too, for nobody.',
      fault: '// LevelDial.tsx\nexport function LevelDial() { … }\n\n// and no file imports it',
      sound: '// the file is gone',
    },
  },
  'wrapper-thin': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'A component that only hands on',
    message: ({ component, inner }) => `${component} only hands on to ${inner}.`,
    consequence: ({ component, inner }) => `Whoever reads ${component} has to open ${inner} to learn what it does.`,
    fix: ({ component, inner, uses }) => `Use ${inner} in place of ${component}, in ${uses}.`,
    help: {
      what: 'A component renders one other component, hands on what it is given under the same names, and adds nothing.',
      why: 'It is one more name, one more file and one more step for everyone who follows a value.',
      fault: 'function LevelFrame(props) {\n  return <LevelChart {...props} />;\n}',
      sound: '<LevelChart levels={levels} />',
      forms: {
        vue: {
          fault: '<!-- LevelFrame.vue -->\n<template>\n  <LevelChart v-bind="$attrs" />\n</template>',
          sound: '<LevelChart :levels="levels" />',
        },
        svelte: { fault: '<script>\n  let props = $props();\n</script>\n\n<LevelChart {...props} />', sound: '<LevelChart {levels} />' },
      },
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
  'store-private': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'A store of one component',
    message: ({ store, component }) => `${store} is read and written by ${component} alone.`,
    consequence: ({ component, store }) =>
      `${component} is there once and as long as the page is, so ${store} keeps nothing that its own state would not keep.`,
    fix: ({ component, store }) => `Keep ${store} as state of ${component}.`,
    help: {
      what: 'State is kept outside all components, and one component alone, which stands once on every page, reads and writes it.',
      why: 'Whoever meets a store looks for its other readers. There are none.',
      fault: "// draft-store.ts\nexport const draft = writable('');\n\n// PassageForm alone uses it",
      sound: "const [draft, setDraft] = useState('');",
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
  'state-too-high': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'State that lives higher than it is used',
    message: ({ state, owner, child }) => `${state} lives in ${owner}, and ${child} alone uses it.`,
    consequence: ({ state, owner, others }, framework) =>
      framework === 'react'
        ? `Each change of ${state} renders ${owner}${others} again.`
        : `Whoever reads ${owner} has to follow ${state} down to learn that nothing else needs it.`,
    fix: ({ state, child, owner }, framework) =>
      framework === 'react'
        ? `Move ${state} into ${child}: then ${owner} and what stands beside ${child} stay as they are when it changes.`
        : `Move ${state} into ${child}.`,
    help: {
      what: 'Everything that reads or changes a state stands in or below one child of the component that owns it, and that child is there once, without a condition.',
      why: 'The owner and all its other children render with each change, and two props go down that need not be there.',
      fault:
        "function LockPage() {\n  const [note, setNote] = useState('');\n  return <main><LevelChart /><NoteField note={note} onNote={setNote} /></main>;\n}",
      sound: "function NoteField() {\n  const [note, setNote] = useState('');\n  …\n}",
    },
  },
  'state-too-low': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'The same state kept twice in step',
    message: ({ first, second, state }) => `${first} and ${second} each keep ${state} and are kept in step by hand.`,
    consequence: ({ owner, state }) => `${owner} has ${state} already; the copies follow it one rendering late, and may miss a change.`,
    fix: ({ owner, first, second, state }) =>
      `Keep ${state} in ${owner} alone; let ${first} and ${second} show what they are given and raise what changes.`,
    help: {
      what: 'Two components beside each other keep a state of their own, take it over from the same value of their owner by an effect, and change it themselves.',
      why: 'There are three copies of one thing. Each effect shows the old value first.',
      fault:
        'function DateField({ day }) {\n  const [own, setOwn] = useState(day);\n  useEffect(() => setOwn(day), [day]);\n  …\n}\n\n// and DayTitle does the same',
      sound: 'function DateField({ day, onDay }) {\n  return <input value={day} onChange={(event) => onDay(event.target.value)} />;\n}',
    },
  },
  'flags-many': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'Many flags, few forms',
    message: ({ component, flags, occur, possible }) => `${component} has ${flags} flags and occurs in ${occur} of ${possible} forms.`,
    consequence: ({ component, combos }) => `${component} has to work in every form, and is used in these: ${combos}.`,
    fix: ({ occur }) => `Make ${occur} variants of it, or take what the flags switch as slots.`,
    help: {
      what: 'Three or more flags each switch a piece of a component’s markup, and its uses give few of the possible combinations.',
      why: 'With each flag the forms double, and nobody tries the ones that nobody uses.',
      fault: '<LockPanel withLevels withQueue />\n<LockPanel withForm dense />',
      sound: '<LockPanel top={<LevelChart />} list={<PassageQueue />} />\n<LockPanel list={<PassageForm />} />',
    },
  },
  'derived-twice': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'The same computation in two components',
    message: ({ first, second, value, source }) => `${second} computes ${value} from ${source} as ${first} does.`,
    consequence: ({ value }) => `Two places have to agree on what ${value} is.`,
    fix: ({ value, source }) => `Compute ${value} once, beside ${source}, and let both read it.`,
    help: {
      what: 'Two components compute the same from the same store, context or hook.',
      why: 'One of them is changed one day, and the screen shows two different counts of one thing.',
      fault:
        'const waiting = levels.filter((level) => level.isLow).length;   // in TopBar\nconst waiting = levels.filter((level) => level.isLow).length;   // in LockList',
      sound: 'export const waitingOf = (levels) => levels.filter((level) => level.isLow).length;',
    },
  },
  'component-crowded': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'A component that does several jobs',
    message: ({ component, count, usual }) => `${component} holds ${count} values, uses and actions; others here hold ${usual}.`,
    consequence: ({ component, groups }) => `${component} has ${groups} groups that have nothing to do with each other.`,
    fix: ({ names }) => `Make each group a component of its own: ${names}.`,
    help: {
      what: 'A component has far more values, uses and actions than the others of the project, in groups that do not touch each other.',
      why: 'What does not belong together is read, rendered and changed together.',
      fault: '// one component: the form with its fields and checks,\n// the table with its order and filter, the chart with its range',
      sound: '<BookingForm />\n<PassageTable />\n<LevelRange />',
    },
  },
  'prop-idle': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'A prop that is never read',
    message: ({ component, prop }) => `${component} declares ${prop} and never reads it.`,
    consequence: ({ prop, given }) =>
      given ? `${given} ${prop} for nothing.` : `Whoever uses the component has to learn that ${prop} does nothing.`,
    fix: ({ component, prop, given }) => `Remove ${prop} from ${component}${given ? ' and from its uses' : ''}.`,
    help: {
      what: 'A component declares a prop, and neither reads it nor hands it on.',
      why: 'Its users compute and pass it, and rely on something that does not happen.',
      fault: 'function StatusPill({ status, dense }: { status: string; dense?: boolean }) {\n  return <b>{status}</b>;\n}',
      sound: 'function StatusPill({ status }: { status: string }) {\n  return <b>{status}</b>;\n}',
    },
  },
  'prop-unused': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'A prop that nobody varies',
    message: ({ component, prop, constant, count }) =>
      constant ? `All ${count} uses of ${component} give ${prop} as ${constant}.` : `${prop} is never passed to ${component}.`,
    consequence: ({ prop, constant }) =>
      constant ? `${prop} looks like a choice, and there is none.` : `What ${prop} switches or shows is code that never runs.`,
    fix: ({ prop, constant, component }) =>
      constant
        ? `Make ${constant} the default of ${prop}, or write it into ${component}.`
        : `Remove ${prop} from ${component}, with what it switches.`,
    help: {
      what: 'No use gives an optional prop; or two or more uses, which are all there are, give the same constant.',
      why: 'Every option doubles the forms that have to be thought of. This one has a single value.',
      fault: 'function PassageQueue({ items, dense = false }) { … }\n\n<PassageQueue items={items} />   // nobody gives dense',
      sound: 'function PassageQueue({ items }) { … }',
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
  'wrapper-empty': {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'A layer without effect',
    message: ({ component, layer }) => `${component} has ${layer} that does nothing.`,
    consequence: ({ layer }) => `Without ${layer} the page is the same.`,
    fix: ({ layer }) => `Remove ${layer}, and keep what is inside.`,
    help: {
      what: 'A fragment stands around one element or inside another fragment; or a provider gives the value that it took from the provider around it.',
      why: 'It looks as if it were there for a reason.',
      fault: 'return (\n  <>\n    <main>…</main>\n  </>\n);',
      sound: 'return <main>…</main>;',
    },
  },
} as const satisfies Readonly<Record<string, Entry>>;
