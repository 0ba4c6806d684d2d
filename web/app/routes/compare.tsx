import { messageOf } from '@liana/core';
import { data } from 'react-router';
import { openProject, runWork, Stopped } from '../analysis/client';
import { getAnalyst } from '../analysis/client';
import type { Option } from '../parts/controls/Choice';
import { getProject, listProjects } from '../storage/projects';
import { loadPlan } from '../storage/plans';
import { listReadings, nameReading, removeReading } from '../storage/readings';
import { timeWords } from '../views/compare/commits';
import { CompareView } from '../views/compare/CompareView';
import { parseCompareState } from '../views/compare/state';
import type { Route } from './+types/compare';

export const meta: Route.MetaFunction = () => [{ title: 'Compare · Liana' }];

/** What the project can be compared with: itself as it is, its earlier readings, and the other projects of this browser. */
async function sidesOf(projectId: string): Promise<Option[]> {
  const [readings, { projects }, { plan }] = await Promise.all([
    listReadings(projectId),
    listProjects(),
    loadPlan({ id: projectId, name: '' }),
  ]);
  return [
    { value: 'now', words: 'this project, as it is now' },
    ...(plan.parts.length > 0 ? [{ value: 'plan', words: 'its plan, as the skeleton would be' }] : []),
    ...readings.map(({ id, name, readAt }): Option => ({
      value: `reading:${id ?? 0}`,
      words: name ?? `read on ${timeWords(readAt)}`,
      group: 'Earlier versions of it',
    })),
    ...projects.flatMap(({ id, name }): Option[] =>
      id === projectId ? [] : [{ value: `project:${id}`, words: name, group: 'Other projects' }],
    ),
  ];
}

export async function clientLoader({ params, request }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project) throw data('This browser does not hold that project.', { status: 404 });
  const opened = await openProject(project.id, project.name, project.readAt).catch(() => undefined);
  if (!opened) return undefined;
  const sides = await sidesOf(project.id);
  const { before, after, component } = parseCompareState(new URL(request.url).searchParams);
  const nothing = { project, sides, compared: undefined, wrong: undefined, chosen: undefined };
  if (!before) return nothing;
  try {
    const compared = await runWork(`Comparing ${project.name}`, (analyst, report) => analyst.versions(project.id, before, after, report));
    const chosen = component === undefined ? undefined : await getAnalyst().version(project.id, before, after, component);
    return { ...nothing, compared, chosen };
  } catch (error) {
    if (error instanceof Stopped) return { ...nothing, wrong: 'It was stopped. Choose a version once more to compare.' };
    return { ...nothing, wrong: messageOf(error) };
  }
}

/** Keeps the project as it is under a name, or takes a kept version away. */
export async function clientAction({ params, request }: Route.ClientActionArgs) {
  const form = await request.formData();
  const removed = Number(form.get('remove') ?? Number.NaN);
  if (Number.isInteger(removed)) await removeReading(params.projectId, removed);
  const name = String(form.get('name') ?? '').trim();
  if (name !== '') await nameReading(params.projectId, name);
  return null;
}

export default function Compare({ loaderData }: Route.ComponentProps) {
  return loaderData ? <CompareView {...loaderData} /> : null;
}
