import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What Liana says about the findings of this family. */
export const stateCatalogue = {
  'change-unseen': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A change that nobody notices',
    message: ({ component, state, how, by }) =>
      how === 'plain'
        ? `${component} shows ${state}, a plain variable, and writes it later.`
        : how === 'content'
          ? `What the store ${state} holds is changed in place, and nothing else is put into it.`
          : how === 'module'
            ? `${component} shows ${state}, a variable of the module, and writes it later.`
            : how === 'replaced'
              ? `${component} puts another object in the place of ${state}, which it shows.`
              : how === 'ref'
                ? `${component} shows what the ref ${state} holds, and writes it later.`
                : how === 'apart'
                  ? by
                    ? `${by} gives ${state} as it was once, and ${component} shows that.`
                    : `${component} takes ${state} out once, and shows what it was then.`
                  : how === 'reducer'
                    ? `${component} holds ${state}, which its reducer changes in place and gives back as it was.`
                    : `${component} changes ${state} in place, and sets no other in its stead.`,
    consequence: ({ state, how, along, shallow, collection, alias }, framework) =>
      along
        ? `Nothing follows the change itself: ${state} shows only because ${along} is set along with it, and not any more where that stays as it is.`
        : how === 'content'
          ? `${state} holds the same list or object as before, so nobody who follows it is told.`
          : how === 'replaced'
            ? `The page follows the object that ${state} is at first, and not the name: it goes on showing that one.`
            : how === 'ref'
              ? `Nothing renders when a ref is written: the page shows what it held before until something else renders the part.`
              : how === 'module'
                ? `Nothing renders when a variable of the module is written: the page shows what it was until something else renders the part.`
                : collection
                  ? `What ${state} holds is changed by its own methods, which are not followed here: the page shows what it held before.`
                  : how === 'plain'
                    ? framework === 'react'
                      ? `Nothing renders when ${state} is written, and each rendering begins with a new ${state}: what was written is lost.`
                      : `Nothing follows ${state}: the page shows its first value until something else renders the part.`
                    : how === 'apart'
                      ? `${state} is a copy from when the component was set up; the change does not reach the page.`
                      : shallow
                        ? shallow === 'members'
                          ? `Only another value in place of a member of ${state} is noticed: nothing follows what is inside of it.`
                          : `Only another value in place of ${state} is noticed: nothing follows what is inside.`
                        : framework === 'svelte'
                          ? alias
                            ? `Svelte follows assignments by name here: one to another name for what ${state} holds is none, so nothing renders again.`
                            : `Svelte follows assignments here: a method that changes ${state} inside is none, so nothing renders again.`
                          : `React compares ${state} by identity: it is the same list or object, so nothing renders again.`,
    fix: ({ state = '', how, shallow, collection, setter, from }, framework) =>
      collection
        ? `Use SvelteMap, SvelteSet, SvelteDate or SvelteURLSearchParams of svelte/reactivity, which are followed.`
        : how === 'content'
          ? `Make a new list or object with the change in it, and set it.`
          : how === 'replaced'
            ? `Change the members of ${state}, or hold it with ref and set ${state}.value.`
            : how === 'ref' || how === 'module'
              ? `Make it state: hold it with useState, and set it.`
              : how === 'plain'
                ? framework === 'vue'
                  ? `Make it reactive: const ${state} = ref(…), and write ${state}.value.`
                  : framework === 'react'
                    ? `Make it state: hold it with useState, and set it.`
                    : `Make it state: let ${state} = $state(…).`
                : how === 'apart'
                  ? from === 'getter'
                    ? `Read ${state} where it is held, so that its getter is asked each time.`
                    : `Take it out with toRefs, of a store with storeToRefs, or read it where it is held.`
                  : how === 'reducer'
                    ? `Give back a new list or object from the reducer.`
                    : shallow || framework === 'svelte'
                      ? `Make a new list or object with the change in it, and assign it.`
                      : `Make a new list or object with the change in it, and set it${setter ? ` with ${setter}` : ''}.`,
    help: {
      what: 'State is changed in a way that the framework does not follow: inside a list or object that must be set anew, in a plain variable, or in a reactive object of which a member was taken out once.',
      why: 'The data is right and the page is old. It looks as if the click did nothing, until something else renders the part.',
      fault: 'const [notes, setNotes] = useState([]);\nconst add = (note) => notes.push(note);',
      sound: 'const [notes, setNotes] = useState([]);\nconst add = (note) => setNotes([...notes, note]);',
      forms: {
        vue: {
          fault: 'const { level } = reactive({ level: 2 });\nlet open = false;\nconst toggle = () => { open = !open; };',
          sound: 'const gauge = reactive({ level: 2 });\nconst { level } = toRefs(gauge);\nconst open = ref(false);',
        },
        svelte: {
          fault: 'let open = false;   // in a component with runes\n\n<button onclick={() => (open = !open)}>{open}</button>',
          sound: 'let open = $state(false);',
        },
      },
    },
  },
  'endless-render': {
    severity: 'fault',
    about: 'broken binding',
    title: 'Rendering without an end',
    message: ({ circle, component, state, by }) =>
      state ? `${component} sets ${state} each time, by ${by}.` : `${circle}, without a condition.`,
    consequence: ({ state }, framework) =>
      state
        ? framework === 'svelte'
          ? 'Svelte stops it with an error: the effect sets off itself.'
          : framework === 'react'
            ? 'Setting it renders again, which sets it again: React stops with an error, or the page never rests.'
            : framework === 'vue'
              ? 'Setting it sets off what sets it: while developing, Vue stops that after a hundred times and says so; in production the page never rests.'
              : 'Setting it sets off what sets it: an error stops that, or the page never rests.'
        : 'Rendering never comes to an end: the page freezes or the stack overflows.',
    fix: ({ component, state, by }, framework) =>
      state
        ? by === 'rendering'
          ? `Set ${state} in a handler or an effect, or compute it from what it depends on.`
          : framework === 'svelte'
            ? `Read ${state} with untrack, or derive it from what it depends on.`
            : framework === 'react'
              ? `Give the effect a list of what it follows, and take ${state} from what it was.`
              : framework === 'angular'
                ? `Read ${state} with untracked, or compute it from what it depends on.`
                : `Set ${state} only where something else has changed, or compute it from what it depends on.`
        : `Put a condition, or a list that gets shorter, between ${component} and itself.`,
    help: {
      what: 'Components render each other, or themselves, without a condition or a list in between; or state is set while rendering, or by an effect that runs after each rendering, and nothing keeps it from being set again.',
      why: 'A part that holds itself must stop somewhere.',
      fault: 'function Thread({ talk }) {\n  return <div>{talk.text}<Thread talk={talk.reply} /></div>;\n}',
      sound: 'function Thread({ talk }) {\n  return <div>{talk.text}{talk.reply && <Thread talk={talk.reply} />}</div>;\n}',
    },
  },
  'stale-reading': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A reading that stays behind',
    message: ({ component, value, action, how }) =>
      how === 'late'
        ? `${action} in ${component} reads ${value} when its readings are no longer followed.`
        : how === 'captured'
          ? `${action} in ${component} takes ${value} into a local, which what runs later goes on reading.`
          : how === 'handed'
            ? `${component} hands ${action} the value that ${value} has when it is set up.`
            : how === 'watched'
              ? `${component} hands a watcher the value that ${value} has when it is set up.`
              : how === 'taken'
                ? `${component} takes ${value} out of its props once, when it is set up.`
                : how === 'once'
                  ? `${action} in ${component} is computed from ${value} once, when it is set up.`
                  : how === 'provided'
                    ? `${component} provides ${action} with the value that ${value} has when it is set up.`
                    : `${action} in ${component} reads ${value} and does not follow it.`,
    consequence: ({ component, value, action, how }) =>
      how === 'list'
        ? `When ${value} changes, ${action} still sees the value of the rendering that it was made in.`
        : how === 'handed' || how === 'captured'
          ? `When ${value} changes, ${action} goes on with what it was.`
          : how === 'once' || how === 'taken'
            ? `When ${value} changes, ${component} keeps showing what it was.`
            : how === 'provided'
              ? `When ${value} changes, all who take ${action} keep the old value.`
              : `When ${value} changes, ${action} does not run again.`,
    fix: ({ value, action, how }) =>
      how === 'late'
        ? `Read ${value} before the first await and outside of promises and timers, so that ${action} follows it.`
        : how === 'hidden'
          ? `Hand ${value} to the function as an argument, so that the statement itself names it.`
          : how === 'captured'
            ? `Read ${value} of the instance where it is needed, and not into a local before.`
            : how === 'handed'
              ? `Hand over a function that reads ${value}, or what it is held in.`
              : how === 'watched'
                ? `Give the watcher a function that reads ${value}: watch(() => …, …).`
                : how === 'taken'
                  ? `Read ${value} from the props where it is needed, or take it out with toRefs.`
                  : how === 'once'
                    ? `Make ${action} a value that the framework computes again when ${value} changes.`
                    : how === 'provided'
                      ? `Provide a function that gives ${value}, or an object with a getter for it.`
                      : `Add ${value} to what ${action} follows, or read it through a ref if only the latest value is wanted.`,
    help: {
      what: 'An effect, a callback or a memo reads a value that it does not follow, and the value changes: it is not in its list, it is read after an await or in a timer, or it is hidden in a function.',
      why: 'It works on the first try and fails after a change.',
      fault: 'const save = useCallback(() => send(note), []);',
      sound: 'const save = useCallback(() => send(note), [note]);',
      forms: {
        vue: {
          fault:
            'watchEffect(async () => {\n  const rows = await load();\n  shown.value = rows.filter((row) => row.lock === lock.value);\n});',
          sound:
            'watchEffect(async () => {\n  const wanted = lock.value;\n  const rows = await load();\n  shown.value = rows.filter((row) => row.lock === wanted);\n});',
        },
        svelte: {
          fault: '$effect(() => {\n  setTimeout(() => save(note), 500);\n});',
          sound: '$effect(() => {\n  const latest = note;\n  setTimeout(() => save(latest), 500);\n});',
        },
      },
    },
  },
  'store-dead': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A store with one end only',
    message: ({ store, lacks, has }) => `${store} is ${has} and never ${lacks}.`,
    consequence: ({ store, lacks }) =>
      lacks === 'read' ? `Nothing shows what is put into ${store}.` : `What reads ${store} shows its first value for ever.`,
    fix: ({ store, lacks }) =>
      lacks === 'read'
        ? `Read ${store} where it should show, or remove it with what writes it.`
        : `Write ${store} where it should change, or make it a constant.`,
    help: {
      what: 'A store that the whole application shares is written and nothing reads it, or it is read and nothing writes it.',
      why: 'One end was renamed, moved or removed, and the other was left. Both ends look sound on their own.',
      fault: 'export const levels = proxy({ upper: 2 });\n\nlevels.upper = 3;   // and nothing reads levels',
      sound: 'const { upper } = useSnapshot(levels);',
      forms: {
        svelte: {
          fault: 'export const levels = writable(2);\n\n<p>{$levels}</p>   // and nothing sets it',
          sound: '<button onclick={() => levels.set(3)}>Raise</button>',
        },
      },
    },
  },
  'two-truths': {
    severity: 'risk',
    about: 'broken binding',
    title: 'Two copies of one thing',
    message: ({ what, first, second, page, kind, copy }) =>
      kind === 'copies-state'
        ? `${second} begins ${copy} with what ${what} holds, and changes both apart from then on.`
        : kind === 'copies'
          ? `${second} copies ${what} once and changes its copy, and ${what} is changed as well.`
          : `${first} and ${second} each keep a copy of ${what} on ${page}.`,
    consequence: ({ what, first, second, kind, copy }) =>
      kind === 'copies-state'
        ? `What is put into ${what} later never comes to ${copy}.`
        : kind === 'copies'
          ? `After the first change of either, ${second} shows something else than ${what} holds.`
          : `When one of them changes its copy, ${first} and ${second} show different things on one screen.`,
    fix: ({ what, first, second, kind, copy }) =>
      kind === 'copies-state'
        ? `Compute ${copy} from ${what}, and keep only what makes it differ.`
        : kind === 'copies'
          ? `Read ${what} itself where it is shown, and change it in the store alone.`
          : `Ask for ${what} once, above ${first} and ${second} or in a store, and give it to both.`,
    help: {
      what: 'Two components of one page ask for the same address, or read the same key of the browser’s storage, each into a state of its own, and one of them changes its copy; or a component copies a store, or a state of its own, into a state once, and both are changed afterwards.',
      why: 'A count in the bar says three, the list below has two rows. Both are right about their own copy.',
      fault:
        "// in TopBar and in PassageQueue\nconst [passages, setPassages] = useState([]);\nuseEffect(() => {\n  fetch('/api/passages').then((r) => r.json()).then(setPassages);\n}, []);",
      sound: '// in TodayPage\n<TopBar passages={passages} />\n<PassageQueue passages={passages} onClear={clear} />',
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
    message: ({ first, second, state }) =>
      `${first === second ? `Two places of ${first}` : `${first} and ${second}`} each keep ${state} and are kept in step by hand.`,
    consequence: ({ owner, state, how }) =>
      how === 'told'
        ? `${owner} tells each of them what the other does; a change that it does not hear of leaves them apart.`
        : `${owner} has ${state} already; the copies follow it one rendering late, and may miss a change.`,
    fix: ({ owner, first, second, state }) =>
      `Keep ${state} in ${owner} alone; let ${first === second ? first : `${first} and ${second}`} show what ${first === second ? 'it is' : 'they are'} given and raise what changes.`,
    help: {
      what: 'Two components beside each other keep a state of their own, take it over from the same value of their owner by an effect, and change it themselves; or their owner tells each of them what the other one raises.',
      why: 'There are three copies of one thing. Each effect shows the old value first.',
      fault:
        'function DateField({ day }) {\n  const [own, setOwn] = useState(day);\n  useEffect(() => setOwn(day), [day]);\n  …\n}\n\n// and DayTitle does the same',
      sound: 'function DateField({ day, onDay }) {\n  return <input value={day} onChange={(event) => onDay(event.target.value)} />;\n}',
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
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
