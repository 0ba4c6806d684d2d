import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What Liana says about the findings of this family. */
export const propsCatalogue = {
  'prop-missing': {
    severity: 'fault',
    about: 'broken binding',
    title: 'A required prop is not given',
    message: ({ target, prop }) => `${target} needs ${prop}, and nothing passes it.`,
    consequence: ({ target, prop, read }) =>
      read
        ? `${target} reads from ${prop} each time that it renders, and throws here, where ${prop} is undefined.`
        : `${prop} is declared without a default, so ${target} receives undefined here.`,
    fix: ({ target, prop, owner, read }) =>
      `Pass ${prop} to ${target} in ${owner}, or give it a default${read ? '' : ' or mark it optional'} in ${target}.`,
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
    consequence: ({ target, given, prop }) => `${target} never reads ${given}, and ${prop} is not given.`,
    fix: ({ given, prop }) => `Write ${prop} instead of ${given}.`,
    help: {
      what: 'A use gives a prop under a name that is one or two letters, or a letter’s case, away from one that the component declares and the use does not give.',
      why: 'The framework does not guess. The value is dropped, and the declared prop stays without one.',
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
  'default-lacking': {
    severity: 'risk',
    about: 'broken binding',
    title: 'An optional prop is read as if it were given',
    message: ({ component, prop, count, owners }) => `${component} relies on ${prop}, left out by ${count} in ${owners}.`,
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
  'prop-written': {
    severity: 'risk',
    about: 'broken binding',
    title: 'A component changes what it was given',
    message: ({ component, prop, what, list = prop }) =>
      what === 'whole'
        ? `${component} writes ${prop}, which it was given.`
        : what === 'member'
          ? `${component} changes the inside of ${prop}, which it was given.`
          : list === ''
            ? `${component} changes a list within ${prop}, which it was given.`
            : `${component} changes the list ${list} that it was given.`,
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
    fix: ({ prop, what, list = prop }) =>
      what === 'list' && list !== ''
        ? `Tell the owner what to change, or work on a copy: [...${list}].`
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
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
