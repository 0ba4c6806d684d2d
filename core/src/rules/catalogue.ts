import type { Entry } from './entry';
import { redundant } from './catalogue-redundant';

export type { Entry, Help, HelpForm, Words } from './entry';

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
  'prop-kind': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A prop of another kind',
    message: ({ target, prop, given, takes }) => `${target} is given ${given} for ${prop}, and takes ${takes}.`,
    consequence: ({ prop, takes }, framework) =>
      framework === 'vue'
        ? `Vue warns in development and hands ${prop} on as it is; what expects ${takes} shows wrong or throws.`
        : `Nothing turns it into ${takes}: what reads ${prop} shows wrong or throws.`,
    fix: ({ prop, takes }) => `Give ${prop} ${takes}.`,
    help: {
      what: 'A use gives a constant of another kind than the component declares: a text for a number, "false" for a flag, a word that is not among those it takes.',
      why: 'Markup makes texts of everything that stands in quotes. "false" is a text, and counts as true.',
      fault: 'type Props = { level: number; open?: boolean };\n\n<LevelGauge level="2" open="false" />',
      sound: '<LevelGauge level={2} open={false} />',
      forms: { vue: { fault: '<LevelGauge level="2" open="false" />', sound: '<LevelGauge :level="2" :open="false" />' } },
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
  'default-lacking': {
    severity: 'risk',
    about: 'broken binding',
    title: 'An optional prop is read as if it were given',
    message: ({ component, prop, count, owners }) => `${component} relies on ${prop}, which ${count} in ${owners} leaves out.`,
    consequence: ({ component, prop }) =>
      `${prop} is declared as optional, and reading it as ${component} does throws where it is undefined.`,
    fix: ({ component, prop, owners }) => `Give ${prop} a default in ${component} or ask whether it is there, or pass it in ${owners}.`,
    help: {
      what: 'A prop is declared as optional and has no default. The component reads a member of it, or calls it, without asking whether it is there, and some use leaves it out.',
      why: 'The declaration tells users that they may leave it out; those who do get an error deep inside, when the component renders or when the user clicks.',
      fault: 'type Props = { boat?: Boat };\n\nfunction BoatBadge({ boat }: Props) {\n  return <b>{boat!.name}</b>;\n}\n\n<BoatBadge />',
      sound: 'function BoatBadge({ boat }: Props) {\n  return boat ? <b>{boat.name}</b> : null;\n}',
      forms: {
        vue: {
          fault: 'defineProps({ boat: Object });\n\n<template>\n  <b>{{ boat.name }}</b>\n</template>\n\n<BoatBadge />',
          sound: '<template>\n  <b v-if="boat">{{ boat.name }}</b>\n</template>',
        },
        svelte: {
          fault: 'let { boat }: { boat?: Boat } = $props();\n\n<b>{boat.name}</b>\n\n<BoatBadge />',
          sound: '{#if boat}<b>{boat.name}</b>{/if}',
        },
      },
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
  'two-way-half': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A two-way binding with one half',
    message: ({ target, prop, half, field }) =>
      field ? `${target} is given ${prop}, and nothing follows its change.` : `${prop} is bound both ways, and ${target} has ${half}.`,
    consequence: ({ target, prop, field }, framework) =>
      field
        ? `React puts ${prop} back after every key: the user cannot change the <${field}>.`
        : framework === 'svelte'
          ? `${target} does not mark ${prop} as bindable: in development Svelte throws as soon as it is written to, and what changes inside never comes back.`
          : `What changes inside ${target} never comes back, and the owner's value stays as it was.`,
    fix: ({ target, prop, field }, framework) =>
      field
        ? `Give the <${field}> an onChange that sets the value, use default${prop === 'checked' ? 'Checked' : 'Value'}, or mark it readOnly.`
        : framework === 'svelte'
          ? `Declare ${prop} with $bindable() in ${target}, or pass it one way.`
          : `Declare ${prop} with defineModel in ${target}, or raise update:${prop} where it changes, or pass it one way.`,
    help: {
      what: 'A two-way binding onto a component that has only the value, only the change, or neither; in React a field with a value and nothing that follows its change.',
      why: 'Half a binding looks right on the first rendering. It fails when somebody uses it: the change is lost, or the field does not move.',
      fault: '<input value={boat} />',
      sound: '<input value={boat} onChange={(event) => setBoat(event.target.value)} />',
      forms: {
        vue: {
          fault: '<DateField v-model="eta" />\n\n// DateField.vue\ndefineProps<{ modelValue: string }>();',
          sound: '// DateField.vue\nconst eta = defineModel<string>();',
        },
        svelte: {
          fault: '<DateField bind:value={eta} />\n\n// DateField.svelte\nlet { value } = $props();',
          sound: '// DateField.svelte\nlet { value = $bindable() } = $props();',
        },
      },
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
    consequence: ({ raiser, bubbles }) =>
      bubbles === 'no'
        ? `It is sent without bubbling, so it is heard only at the very element that it is sent to.`
        : `What a component raises goes to who uses ${raiser}, and no further: the function given here never runs.`,
    fix: ({ event, raiser, bubbles }, framework) =>
      bubbles === 'no'
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
  'handler-missing': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A handler that does not exist',
    message: ({ component, name, listener, near, called }) =>
      called
        ? `${component} calls ${name} for ${listener}, instead of handing it over.`
        : `${component} gives ${listener} the handler ${name}, which nothing declares${near ? `; ${near} is declared` : ''}.`,
    consequence: ({ called, name }, framework) =>
      called
        ? `${name} runs each time the markup is made; when the event is raised nothing does.`
        : framework === 'vue'
          ? 'Vue gives no warning for it: the event is raised and nothing happens.'
          : 'The component throws as soon as it renders, or when the event is raised.',
    fix: ({ name, near, called }) =>
      called
        ? `Hand over a function: () => ${name}(…).`
        : near
          ? `Write ${near} instead of ${name}.`
          : `Declare ${name} in the script, or take it away.`,
    help: {
      what: 'Markup names a function for an event, and neither the script nor the framework has one of that name; or it calls a function that returns nothing, where it should name it.',
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
    message: ({ component, name, near }) =>
      `The markup of ${component} reads ${name}, which nothing declares${near ? `; ${near} is declared` : ''}.`,
    consequence: ({ name }, framework) =>
      framework === 'vue'
        ? `Vue reads undefined for ${name}, warns in development, and shows nothing there.`
        : `${name} is not defined: the component throws when it renders.`,
    fix: ({ name, near }) => (near ? `Write ${near} instead of ${name}.` : `Declare ${name} in the script, or take it away.`),
    help: {
      what: 'Markup reads a name that script, block, language, platform and framework do not have.',
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
    message: ({ owner, tag, near }) => `${owner} uses ${tag}, which is neither declared nor imported${near ? `; ${near} exists` : ''}.`,
    consequence: ({ tag }, framework) =>
      framework === 'vue'
        ? `Vue writes an unknown element <${tag}> into the page, which shows nothing.`
        : `${tag} is not defined: rendering throws.`,
    fix: ({ tag, near }) => (near ? `Write ${near} and import it.` : `Import ${tag}, or take it away.`),
    help: {
      what: 'A tag looks like a component and resolves to nothing: not imported, not registered, not defined, or misspelt.',
      why: 'A lost import after a move, or a name that was changed elsewhere.',
      fault: 'export function LockCard() {\n  return <LevelGuage level={2} />;\n}',
      sound: "import { LevelGauge } from './LevelGauge';\n\nexport function LockCard() {\n  return <LevelGauge level={2} />;\n}",
    },
  },
  'slot-nowhere': {
    severity: 'fault',
    about: 'broken binding',
    title: 'Content that is shown nowhere',
    message: ({ target, content }) => `${target} is given ${content}, and renders it nowhere.`,
    consequence: ({ content }) => `The ${content} is dropped without a word.`,
    fix: ({ target, slot }, framework) =>
      framework === 'react' || (framework === 'svelte' && slot === 'children')
        ? `Render children in ${target}, or take the content away.`
        : `Put a slot${slot === 'children' ? '' : ` named ${(slot ?? '').replace('#', '')}`} into ${target}, or take the content away.`,
    help: {
      what: 'A use gives content for a slot, or between its tags, that the component does not render.',
      why: 'The text is in the source and not on the page. Often a slot was renamed, or a wrapper lost its children in a refactor.',
      fault:
        'function Panel({ title }: { title: string }) {\n  return <section><h2>{title}</h2></section>;\n}\n\n<Panel title="Locks"><LockList /></Panel>',
      sound:
        'function Panel({ title, children }: { title: string; children: ReactNode }) {\n  return <section><h2>{title}</h2>{children}</section>;\n}',
      forms: {
        vue: {
          fault: '<Panel>\n  <template #foot>…</template>\n</Panel>\n\n<!-- Panel.vue --> <slot name="footer" />',
          sound: '<template #footer>…</template>',
        },
        svelte: {
          fault: '<Panel><LockList /></Panel>\n\n<!-- Panel.svelte --> <h2>{title}</h2>',
          sound: '<!-- Panel.svelte --> <h2>{title}</h2>{@render children()}',
        },
      },
    },
  },
  'slot-shape': {
    severity: 'fault',
    about: 'broken binding',
    title: 'Content of another form than the slot has',
    message: ({ target, slot, given, wants, reads }) =>
      reads === 'yes'
        ? `Content for ${slot} of ${target} reads ${given}, and the slot hands out ${wants}.`
        : `${target} is given ${given} as ${slot}, and takes ${wants}.`,
    consequence: ({ given, wants, reads }) =>
      reads === 'yes'
        ? `${given} is undefined in the content.`
        : given === 'a function'
          ? 'React shows nothing in its place, and warns in development.'
          : wants === 'exactly one'
            ? 'React throws: it expects a single child.'
            : 'Calling it throws when the component renders.',
    fix: ({ target, given, wants, reads }) =>
      reads === 'yes'
        ? `Hand ${given} out in ${target}, or read what it does hand out: ${wants}.`
        : `Give ${wants}, or change what ${target} does with it.`,
    help: {
      what: 'A component calls its content and is given markup, or shows its content and is given a function; it takes exactly one child and is given several; or content reads a value that the slot does not hand out.',
      why: 'Slots have a form as props have a kind, and nothing in the markup shows it.',
      fault:
        'function PassageQueue({ children }) {\n  return rows.map((row) => children(row));\n}\n\n<PassageQueue><PassageRow /></PassageQueue>',
      sound: '<PassageQueue>{(row) => <PassageRow row={row} />}</PassageQueue>',
      forms: {
        vue: {
          fault: '<slot name="row" :boat="boat" />\n\n<template #row="{ boat, eta }">{{ eta }}</template>',
          sound: '<slot name="row" :boat="boat" :eta="eta" />',
        },
        svelte: {
          fault: '{@render row(boat)}\n\n{#snippet row(boat, eta)}<p>{eta}</p>{/snippet}',
          sound: '{@render row(boat, eta)}',
        },
      },
    },
  },
  'change-unseen': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A change that nobody notices',
    message: ({ component, state, how }) =>
      how === 'plain'
        ? `${component} shows ${state}, a plain variable, and writes it later.`
        : how === 'apart'
          ? `${component} takes ${state} out once, and shows what it was then.`
          : `${component} changes ${state} in place, and never sets it.`,
    consequence: ({ state, how, along }, framework) =>
      along
        ? `Nothing follows the change itself: ${state} shows only because ${along} is set along with it, and not any more where that stays as it is.`
        : how === 'plain'
          ? `Nothing follows ${state}: the page shows its first value until something else renders the part.`
          : how === 'apart'
            ? `${state} is a copy from when the component was set up; the change does not reach the page.`
            : framework === 'svelte'
              ? `Svelte follows assignments here: a method that changes ${state} inside is none, so nothing renders again.`
              : `React compares ${state} by identity: it is the same list or object, so nothing renders again.`,
    fix: ({ state = '', how }, framework) =>
      how === 'plain'
        ? framework === 'vue'
          ? `Make it reactive: const ${state} = ref(…), and write ${state}.value.`
          : `Make it state: let ${state} = $state(…).`
        : how === 'apart'
          ? `Take it out with toRefs, of a store with storeToRefs, or read it where it is held.`
          : framework === 'svelte'
            ? `Assign it: ${state} = [...${state}, one].`
            : `Make a new value and set it: set${state.charAt(0).toUpperCase()}${state.slice(1)}([...${state}, one]).`,
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
  'channel-unpaired': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A message with one end',
    message: ({ component, event, does, near }) =>
      does === 'sends'
        ? `${component} sends ${event}, and nothing in the project waits for it${near ? `; ${near} is waited for` : ''}.`
        : `${component} waits for ${event}, and nothing in the project sends it; ${near} is sent.`,
    consequence: ({ does }) => (does === 'sends' ? 'It is sent into nothing.' : 'Its handler never runs.'),
    fix: ({ event, near }) =>
      near ? `Use one name at both ends: ${near} or ${event}.` : `Listen for ${event} where it matters, or stop sending it.`,
    help: {
      what: 'An event of the project’s own is sent over the document or the window with nobody to hear it, or waited for under a name that is close to one that is sent.',
      why: 'The two ends agree by a text alone. Nothing tells when one of them is renamed.',
      fault: "window.dispatchEvent(new CustomEvent('alarm-raised'));\n\nwindow.addEventListener('alarm-rased', show);",
      sound: "window.addEventListener('alarm-raised', show);",
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
          : 'Setting it renders again, which sets it again: React stops with an error, or the page never rests.'
        : 'Rendering never comes to an end: the page freezes or the stack overflows.',
    fix: ({ component, state, by }, framework) =>
      state
        ? by === 'rendering'
          ? `Set ${state} in a handler or an effect, or compute it from what it depends on.`
          : framework === 'svelte'
            ? `Read ${state} with untrack, or derive it from what it depends on.`
            : `Give the effect a list of what it follows, and take ${state} from what it was.`
        : `Put a condition, or a list that gets shorter, between ${component} and itself.`,
    help: {
      what: 'Components render each other, or themselves, without a condition or a list in between; or state is set while rendering, or by an effect that runs after each rendering, and nothing keeps it from being set again.',
      why: 'A part that holds itself must stop somewhere.',
      fault: 'function Thread({ talk }) {\n  return <div>{talk.text}<Thread talk={talk.reply} /></div>;\n}',
      sound: 'function Thread({ talk }) {\n  return <div>{talk.text}{talk.reply && <Thread talk={talk.reply} />}</div>;\n}',
    },
  },
  'prop-written': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A component changes what it was given',
    message: ({ component, prop, what }) =>
      what === 'whole'
        ? `${component} writes ${prop}, which it was given.`
        : what === 'member'
          ? `${component} changes the inside of ${prop}, which it was given.`
          : `${component} changes the list ${prop} that it was given.`,
    consequence: ({ prop, what }, framework) =>
      what === 'whole'
        ? framework === 'vue'
          ? 'Vue refuses it and warns: what is given to a component cannot be written by it.'
          : 'What is given to a component is frozen: it throws, or nothing happens.'
        : what === 'member'
          ? `It is the owner’s ${prop} that changes, without the owner: nobody can tell where the change came from.`
          : framework === 'react'
            ? `The owner's list is another one now, and nobody is told: nothing renders again, and whoever compares ${prop} sees no change.`
            : `The owner's list changes without the owner: who else is given it sees the change too, and nobody can tell where it came from.`,
    fix: ({ prop, what }) =>
      what === 'list'
        ? `Tell the owner what to change, or work on a copy: [...${prop}].`
        : `Tell the owner what to change, or work on a copy of ${prop}.`,
    help: {
      what: 'A component writes a prop, or changes the inside of a list or an object that it got as one.',
      why: 'The list belongs to whoever gave it. Two parts that show the same list then disagree about it, or one of them changes for no reason that its code shows.',
      fault: 'function PassageQueue({ items }: { items: Passage[] }) {\n  const next = () => items.shift();',
      sound: 'function PassageQueue({ items, onNext }: Props) {\n  const sorted = [...items].sort(byTime);',
      forms: {
        vue: {
          fault: 'const props = defineProps<{ items: Passage[] }>();\nconst next = () => props.items.shift();',
          sound: "const emit = defineEmits<{ next: [] }>();\nconst next = () => emit('next');",
        },
        svelte: { fault: 'let { items } = $props();\nconst next = () => items.shift();', sound: 'let { items = $bindable() } = $props();' },
      },
    },
  },
  'prop-copied': {
    severity: 'risk',
    about: 'broken binding',
    title: 'State that starts from a prop and stays behind',
    message: ({ component, prop, state }) => `${component} copies ${prop} into ${state} once, and its owner gives another one later.`,
    consequence: ({ prop, state }) => `When the owner's value changes, ${state} still holds the first ${prop}.`,
    fix: ({ component, prop, state }) =>
      `Use ${prop} itself, key ${component} by what it belongs to, or name it initial${(prop ?? '').charAt(0).toUpperCase()}${(prop ?? '').slice(1)} if ${state} is meant to go its own way.`,
    help: {
      what: 'State takes its first value from a prop and nothing puts later values into it, while some use gives a value that changes.',
      why: 'The first value is taken once, when the part is mounted. Then two sources say different things.',
      fault: 'function NoteField({ note }) {\n  const [text, setText] = useState(note);',
      sound: '<NoteField key={shift.id} note={shift.note} />',
    },
  },
  'stale-reading': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A reading that stays behind',
    message: ({ component, value, action, how }) =>
      how === 'late'
        ? `${action} in ${component} reads ${value} when its readings are no longer followed.`
        : `${action} in ${component} reads ${value} and does not follow it.`,
    consequence: ({ value, action, how }) =>
      how === 'list'
        ? `When ${value} changes, ${action} still sees the value of the rendering that it was made in.`
        : `When ${value} changes, ${action} does not run again.`,
    fix: ({ value, action, how }) =>
      how === 'late'
        ? `Read ${value} before the first await and outside of promises and timers, so that ${action} follows it.`
        : how === 'hidden'
          ? `Hand ${value} to the function as an argument, so that the statement itself names it.`
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
  'subscription-kept': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A subscription that is never ended',
    message: ({ component, what }) => `${component} begins to hear ${what} and never stops.`,
    consequence: ({ component, what }) =>
      `After ${component} is gone its handler still runs, and each new ${component} adds another one to ${what}.`,
    fix: (_, framework) =>
      framework === 'vue'
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
  'page-imported': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A page is used as a part',
    message: ({ owner, page, need }) => `${owner} uses the page ${page} as a child, and ${page} lives from ${need}.`,
    consequence: ({ page }) => `Here the router gives it nothing, or what belongs to another page: ${page} shows wrong or throws.`,
    fix: ({ page }) => `Take what both need out of ${page} into a component of its own, and give it what it shows as props.`,
    help: {
      what: 'A component that a router shows as a page or a layout is also used as a child of another component, and it lives from what only its route gives: loaded data, parameters as props, the place for the route’s own page.',
      why: 'It worked on its own address and was imported for its looks. What the route gives does not come along.',
      fault: 'function RosterPage() {\n  return <LockPage />;   // LockPage reads useLoaderData()\n}',
      sound:
        'function LockPage() {\n  return <LockPanel lock={useLoaderData()} />;\n}\n\nfunction RosterPage() {\n  return <LockPanel lock={lock} />;\n}',
      forms: {
        svelte: {
          fault: "import LockPage from '../lock/+page.svelte';\n\n<LockPage />   <!-- it takes data from its loader -->",
          sound: "import LockPanel from '$lib/LockPanel.svelte';\n\n<LockPanel {lock} />",
        },
      },
    },
  },
  'layer-crossed': {
    severity: 'fault',
    about: 'broken binding',
    title: 'What only the browser has, on the server',
    message: ({ component, what }) => `${component} runs on the server and has ${what}.`,
    consequence: () => 'The framework refuses it: functions cannot be sent to the browser, and the server keeps no state.',
    fix: ({ component }) =>
      `Move this part of ${component} into a file that begins with 'use client', or mark the function with 'use server'.`,
    help: {
      what: 'A component that runs on the server holds state, listens to an event of an element, or gives a function to a component that is marked for the client.',
      why: 'What runs on the server is sent as markup. Functions and state stay behind.',
      fault: '// app/page.tsx\nexport default function TodayPage() {\n  return <button onClick={() => book()}>Book</button>;\n}',
      sound:
        "// BookButton.tsx\n'use client';\n\nexport function BookButton() {\n  return <button onClick={() => book()}>Book</button>;\n}",
    },
  },
  'two-truths': {
    severity: 'risk',
    about: 'broken binding',
    title: 'Two copies of one thing',
    message: ({ what, first, second, page }) => `${first} and ${second} each keep a copy of ${what} on ${page}.`,
    consequence: ({ first, second }) => `When one of them changes its copy, ${first} and ${second} show different things on one screen.`,
    fix: ({ what, first, second }) => `Ask for ${what} once, above ${first} and ${second} or in a store, and give it to both.`,
    help: {
      what: 'Two components of one page ask for the same address, or read the same key of the browser’s storage, each into a state of its own, and one of them changes its copy.',
      why: 'A count in the bar says three, the list below has two rows. Both are right about their own copy.',
      fault:
        "// in TopBar and in PassageQueue\nconst [passages, setPassages] = useState([]);\nuseEffect(() => {\n  fetch('/api/passages').then((r) => r.json()).then(setPassages);\n}, []);",
      sound: '// in TodayPage\n<TopBar passages={passages} />\n<PassageQueue passages={passages} onClear={clear} />',
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
  ...redundant,
} as const satisfies Readonly<Record<string, Entry>>;

export type RuleId = keyof typeof catalogue;

/** The entry of a rule, for any id that may be one. */
export function entryOf(rule: string): Entry | undefined {
  return (catalogue as Readonly<Record<string, Entry>>)[rule];
}
