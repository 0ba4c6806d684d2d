import { mounted, type TraceCase } from '../trace';
import { vue } from './alike';

/** Keys of queries as most applications keep them, and a query and a mutation that use them. */
const jobs = {
  'src/jobs.ts': `import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
export const keys = { all: ['jobs'] as const, lists: () => [...keys.all, 'list'] as const, one: (id: string) => [...keys.all, id] as const };
export const listQuery = () => queryOptions({ queryKey: keys.lists(), queryFn: () => fetch('/jobs') });
export const useJobs = () => useQuery({ ...listQuery(), staleTime: 1 });
export const useJob = (id: string) => useQuery({ queryKey: keys.one(id), queryFn: () => fetch(id) });
export function useFinish() { const client = useQueryClient(); return useMutation({ mutationFn: (id: string) => fetch(id), onSuccess: (answer, id) => client.invalidateQueries({ queryKey: keys.lists() }) }); }`,
};

const jobsShown = (body: string): string => `import { useFinish, useJob, useJobs } from './jobs';\nexport function App() { ${body} }`;

/** A layout that gives its outlet something, and a page that takes it by a hook of the project. */
const workspace = (outlet: string, page: string): TraceCase['files'] => ({
  'src/main.tsx': `import { createRoot } from 'react-dom/client'; import { createBrowserRouter, RouterProvider } from 'react-router-dom'; import { Layout } from './Layout'; import { App } from './App';
const router = createBrowserRouter([{ path: '/', element: <Layout />, children: [{ index: true, element: <App /> }] }]);
createRoot(x).render(<RouterProvider router={router} />);`,
  'src/Layout.tsx': `import { useState } from 'react'; import { Outlet, useOutletContext } from 'react-router-dom';
export const useWorkspace = () => useOutletContext();
export function Layout() { const [query, setQuery] = useState('all'); return <main>${outlet}</main>; }`,
  'src/App.tsx': `import { useWorkspace } from './Layout';\nexport function App() { ${page} }`,
});

const taken = 'const { query, setQuery } = useWorkspace(); return <b onClick={() => setQuery("")}>{query}</b>;';

/** What packages from outside carry from one part of an application to another. */
export const outside: readonly TraceCase[] = [
  {
    name: 'a query whose key and options stand in another module is asked again by a key that its own begins with',
    files: mounted(
      jobsShown('const { data } = useJobs(); const { mutate } = useFinish(); return <b onClick={() => mutate("1")}>{data}</b>;'),
      jobs,
    ),
    of: 'App.useJobs.data',
    ask: 'changes',
    rungs: [
      'App owns data',
      'App/useJobs gives data',
      'App/useFinish changes useQuery',
      'App/useFinish catches onSuccess',
      'App/useFinish relays mutate',
      'App calls useFinish.mutate',
      'App starts click | platform b',
    ],
  },
  {
    name: 'a query with another key is asked again by nobody: it comes from outside',
    files: mounted(
      jobsShown('const { data } = useJob("1"); const { mutate } = useFinish(); return <b onClick={() => mutate("1")}>{data}</b>;'),
      jobs,
    ),
    of: 'App.useJob.data',
    ask: 'changes',
    rungs: ['App owns data', 'App/useJob gives data', 'App/useJob owns useQuery | asked query keys.one(id)'],
  },
  {
    name: 'what is made of the key says nothing of what is answered',
    files: mounted(jobsShown('const { data } = useJob("1"); return <b>{data}</b>;'), jobs),
    of: 'App.useJob.data',
    ask: 'comes',
    rungs: [
      'App owns data',
      'App/useJob gives data',
      '  App/useJob owns useQuery | asked query keys.one(id)',
      'App/useJob derives id',
      'App/useJob passes id | constant "1"',
    ],
  },
  {
    name: 'a mutation runs what it was handed, and what that has asked again is shown anew',
    files: mounted(
      `${jobsShown('const { data } = useJobs(); const { mutate } = useFinish(); return <Done onDone={mutate}>{data}</Done>;')}\nfunction Done({ onDone, children }) { return <b onClick={() => onDone("1")}>{children}</b>; }`,
      jobs,
    ),
    of: 'Done.onDone',
    ask: 'goes',
    rungs: [
      'Done owns onDone',
      'Done raises onDone',
      '  App relays mutate',
      '  App/useFinish relays mutate',
      '  App/useFinish catches mutationFn',
      'App relays mutate',
      'App/useFinish relays mutate',
      'App/useFinish catches onSuccess',
      '  App/useFinish calls keys.lists',
      '  jobs.ts relays lists',
      '  jobs.ts catches lists',
      'App/useFinish changes useQuery',
      'App/useJobs gives useJobs',
      'App paints useJobs | painted',
    ],
  },
  {
    name: 'a function behind a mutation is handed what that was called with, after the answer',
    files: mounted(
      'import { useMutation } from "@tanstack/react-query";\nexport function App() { const [last, setLast] = useState("none"); const save = useMutation({ mutationFn: send, onSuccess: (answer, what) => setLast(what) }); return <b onClick={() => save.mutate("tea")}>{last}</b>; }',
    ),
    of: 'App.last',
    ask: 'comes',
    rungs: ['App owns last', '  App owns last | constant', 'App changes what', 'App calls save.mutate | constant "tea"'],
  },
  {
    name: 'what is answered is not what a mutation was called with',
    files: mounted(
      'import { useMutation } from "@tanstack/react-query";\nexport function App() { const [last, setLast] = useState("none"); const save = useMutation({ mutationFn: send, onSuccess: (answer) => setLast(answer) }); return <b onClick={() => save.mutate("tea")}>{last}</b>; }',
    ),
    of: 'App.last',
    ask: 'comes',
    rungs: ['App owns last', '  App owns last | constant', 'App changes answer', 'App calls save.mutate | unknown'],
  },
  {
    name: 'all queries are asked again',
    files: mounted(
      'import { useQuery, useQueryClient } from "@tanstack/react-query";\nexport function App() { const client = useQueryClient(); const { data } = useQuery({ queryKey: ["boats"], queryFn: load }); return <b onClick={() => client.invalidateQueries()}>{data}</b>; }',
    ),
    of: 'App.useQuery.data',
    ask: 'changes',
    rungs: ['App owns data', 'App changes useQuery', 'App starts click | platform b'],
  },
  {
    name: 'a key under another name of the component is another one',
    files: mounted(
      'import { useQuery, useQueryClient } from "@tanstack/react-query";\nexport function App({ one, other }) { const client = useQueryClient(); const { data } = useQuery({ queryKey: one, queryFn: load }); return <b onClick={() => client.invalidateQueries({ queryKey: other })}>{data}</b>; }',
    ),
    of: 'App.useQuery.data',
    ask: 'changes',
    rungs: ['App owns data', 'App owns useQuery | asked query one'],
  },
  {
    name: 'what a mutation is told beside its functions runs nothing',
    files: mounted(
      'import { useMutation } from "@tanstack/react-query";\nexport function App() { const [user] = useState("Ida"); const save = useMutation({ mutationFn: () => send(), meta: user }); return <Go onGo={() => save.mutate()}>{user}</Go>; }\nfunction Go({ onGo, children }) { return <b onClick={() => onGo()}>{children}</b>; }',
    ),
    of: 'Go.onGo',
    ask: 'goes',
    rungs: ['Go owns onGo', 'Go raises onGo', 'App catches onGo', 'App calls save.mutate', 'App catches mutationFn'],
  },
  {
    name: 'what an outlet gives is taken by the page in it',
    files: workspace('<Outlet context={{ query, setQuery }} />', taken),
    of: 'App.useWorkspace.query',
    ask: 'comes',
    rungs: [
      'App owns query',
      'App/useWorkspace gives query',
      'Layout gives query',
      '  Layout owns query | constant',
      'App/useWorkspace gives setQuery',
      'App/useWorkspace gives setQuery',
      'App changes query | constant ""',
    ],
  },
  {
    name: 'a state goes through an outlet to the page that takes it',
    files: workspace('<Outlet context={{ query, setQuery }} />', taken),
    of: 'Layout.query',
    ask: 'goes',
    rungs: ['Layout owns query', 'App/useWorkspace gives query', 'App/useWorkspace gives query', 'App paints query | painted'],
  },
  {
    name: 'a state is changed by the page that an outlet gave its setter',
    files: workspace('<Outlet context={{ query, setQuery }} />', taken),
    of: 'Layout.query',
    ask: 'changes',
    rungs: [
      'Layout owns query',
      'App/useWorkspace relays setQuery',
      'App/useWorkspace relays setQuery',
      'App changes query',
      'App starts click | platform b',
    ],
  },
  {
    name: 'an outlet that gives nothing',
    files: workspace('<Outlet />{query}', 'const work = useWorkspace(); return <b>{work}</b>;'),
    of: 'App.work',
    ask: 'comes',
    rungs: ['App owns work', 'App/useWorkspace gives useOutletContext', 'App/useWorkspace gives useOutletContext | ungiven Outlet'],
  },
  {
    name: 'a page that does not take what its outlet gives',
    files: workspace('<Outlet context={query} />', 'return <b/>;'),
    of: 'Layout.query',
    ask: 'goes',
    rungs: ['Layout owns query', 'Layout gives context | untaken Outlet'],
  },
  {
    name: 'a store of a module that Vue takes',
    files: {
      ...vue({
        'App.vue': [
          "import { useStore } from '@nanostores/vue'; import { level, raise } from './level';\nconst now = useStore(level);",
          '<b @click="raise(2)">{{ now }}</b>',
        ],
      }),
      'src/level.ts': "import { atom } from 'nanostores';\nexport const level = atom(0);\nexport function raise(to) { level.set(to); }",
    },
    of: 'App.now',
    ask: 'comes',
    rungs: ['App owns now', 'App takes level', '  level.ts owns level | constant', 'level.ts changes to', 'App calls raise | constant 2'],
  },
  {
    name: 'content of a component that clones it may be given more than is written',
    files: mounted(
      'function Steps({ children }) { return <ol>{Children.map(children, (child, at) => cloneElement(child, { at }))}</ol>; }\nfunction Step({ at }) { return <li>{at}</li>; }\nexport function App() { return <Steps><Step/></Steps>; }',
    ),
    of: 'Step.at',
    ask: 'comes',
    rungs: ['Step owns at', 'Step passes at | unknown Steps may add it to its content'],
  },
  {
    name: 'a value of a hook from outside that nothing here keeps',
    files: mounted(
      'import { useForm } from "react-hook-form";\nexport function App() { const form = useForm(); const hours = form.watch("hours"); return <b>{hours}</b>; }',
    ),
    of: 'App.hours',
    ask: 'changes',
    rungs: ['App owns hours', 'App renames form.watch', 'App owns form | leaves useForm of react-hook-form'],
  },
];
