import type { Entry } from '../entry';
import type { RuleId } from '../ids';

/** What Liana says about the findings of this family. */
export const pagesCatalogue = {
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
    title: 'Used where its kind cannot run',
    message: ({ component, what, how, mark }) =>
      how === 'marked'
        ? `${component} marks ${what} with ${mark}, and nothing of ${what} runs in the browser.`
        : how === 'unmarked'
          ? `${what} answers to people, and ${component} never starts it in the browser.`
          : how === 'given'
            ? `${component} is started in the browser, and the function for ${what} does not come there.`
            : how === 'handler'
              ? `${component} puts ${what}, a function of the server, on an element.`
              : how === 'absent'
                ? `${component} reads ${what} where the page is made, and only a browser has it.`
                : how === 'older'
                  ? `${component} uses ${what}, which is a bundle of the older framework.`
                  : how === 'data'
                    ? `The server hands the function ${what} to ${component}, and functions do not cross to the browser.`
                    : how === 'unstarted'
                      ? `${what} answers to people, and ${component} is never started in the browser.`
                      : how === 'async'
                        ? `${component} runs in the browser and renders ${what}, which is async.`
                        : `${component} runs on the server and has ${what}.`,
    consequence: ({ what, how }) =>
      how === 'marked'
        ? 'The mark does nothing: it is a component of the page, which is made before the browser has it.'
        : how === 'unmarked'
          ? `The markup of ${what} is on the page, and none of its handlers runs.`
          : how === 'given'
            ? `What the server makes looks right, and in the browser ${what} is undefined.`
            : how === 'handler'
              ? 'Its text stands in the attribute, and nothing happens when the event comes.'
              : how === 'absent'
                ? 'The page cannot be made: the name is not defined there.'
                : how === 'older'
                  ? `A bundle of the older framework may hold a newer one, and not the other way round: the template cannot be compiled.`
                  : how === 'data'
                    ? 'The framework refuses it, and the page fails when it is asked for.'
                    : how === 'unstarted'
                      ? `The markup of ${what} is on the page, and none of its handlers runs.`
                      : how === 'async'
                        ? 'Only a server waits for a component; in the browser the framework refuses it.'
                        : 'The framework refuses it: functions cannot be sent to the browser, and the server keeps no state.',
    fix: ({ component, what, how, mark }) =>
      how === 'marked'
        ? `Take ${mark} off, and mark the parts of other frameworks in ${what}.`
        : how === 'unmarked'
          ? `Start ${what} with a client mark, or make of it a link or a form.`
          : how === 'given'
            ? `Let ${component} hold or import the function for ${what}, or hear an event of the document.`
            : how === 'handler'
              ? `Listen for the event in a script of the markup.`
              : how === 'absent'
                ? `Read ${what} in a script of the markup, or in a part that is started in the browser.`
                : how === 'older'
                  ? `Write ${what} anew as a bundle of the newer framework, or put ${component} into it.`
                  : how === 'data'
                    ? `Hand over plain data, and put ${what} into a module that both halves import.`
                    : how === 'unstarted'
                      ? `Let the page start in the browser, or make of ${what} a link or a form.`
                      : how === 'async'
                        ? `Render ${what} on the server, and give it to ${component} as content.`
                        : `Move this part of ${component} into a file that begins with 'use client', or mark the function with 'use server'.`,
    help: {
      what: 'A component that runs on the server holds state, listens to an event of an element, or gives a function to a component that is marked for the client; the server’s half of a page hands a function to the other; an async component is rendered in the browser; a part that answers to people stands on a page that is never started there, or without the mark that starts it; a part that is started in the browser is given a function; what only a browser has is read where a page is made.',
      why: 'What runs on the server is sent as markup. Functions and state stay behind.',
      fault: '// app/page.tsx\nexport default function TodayPage() {\n  return <button onClick={() => book()}>Book</button>;\n}',
      sound:
        "// BookButton.tsx\n'use client';\n\nexport function BookButton() {\n  return <button onClick={() => book()}>Book</button>;\n}",
    },
  },
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
