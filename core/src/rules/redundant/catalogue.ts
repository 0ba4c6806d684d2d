import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What Liana says about the findings of this family. */
export const redundantCatalogue = {
  twins: {
    severity: 'tidy',
    about: 'redundant abstraction',
    title: 'Two components that are nearly one',
    message: ({ all, alike, across }) => `${all} are ${alike} alike${across ? ', in two frameworks' : ''}.`,
    consequence: ({ first, second, holes }) => `What is changed in ${first} has to be changed in ${second} too. They differ in ${holes}.`,
    fix: ({ all, across, places, together }) =>
      across
        ? `Keep one of ${all} as soon as one framework can show ${together}; until then change ${together} together.`
        : `Keep one of ${all}, with what differs as its props, and use it in ${places}.`,
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
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
