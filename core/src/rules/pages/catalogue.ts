import { crossing } from './crossings';
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
    message: crossing('message'),
    consequence: crossing('consequence'),
    fix: crossing('fix'),
    help: {
      what: 'A component that runs on the server holds state, listens to an event of an element, or gives a function to a component that is marked for the client; the server’s half of a page hands a function to the other; an async component is rendered in the browser; a part that answers to people stands on a page that is never started there, or without the mark that starts it; a part that is started in the browser is given a function; what only a browser has is read where a page is made.',
      why: 'What runs on the server is sent as markup. Functions and state stay behind.',
      fault: '// app/page.tsx\nexport default function TodayPage() {\n  return <button onClick={() => book()}>Book</button>;\n}',
      sound:
        "// BookButton.tsx\n'use client';\n\nexport function BookButton() {\n  return <button onClick={() => book()}>Book</button>;\n}",
    },
  },
} as const satisfies Partial<Readonly<Record<RuleId, Entry>>>;
