import { getProject, deleteProject, listProjects, renameProject, restoreProject } from '../storage/projects';
import { removeForGood } from '../storage/room';
import { clearReadings, usageOf } from '../storage/usage';
import { ProjectsView } from '../views/projects/ProjectsView';
import type { Route } from './+types/projects';

export const meta: Route.MetaFunction = () => [{ title: 'Projects · Liana' }];

export async function clientLoader() {
  return { ...(await listProjects()), usage: await usageOf() };
}

/** Rename, delete and bring back. Each answers what it did, so that the page can say it and offer to undo it. */
export async function clientAction({ request }: Route.ClientActionArgs) {
  const form = await request.formData();
  const id = String(form.get('id'));
  const intent = String(form.get('intent'));
  const name = (await getProject(id))?.name ?? String(form.get('name') ?? '');
  if (intent === 'clear readings') await clearReadings();
  else if (intent === 'remove') await removeForGood(id);
  else if (intent === 'rename') {
    const given = String(form.get('name')).trim();
    const other = given === '' ? undefined : await renameProject(id, given, String(form.get('seen') ?? name));
    if (other !== undefined) return { intent: 'renamed elsewhere', id, name: other };
  } else if (intent === 'delete') {
    if ((await deleteProject(id)) === 'gone') return { intent: 'gone', id, name };
  } else if (intent === 'restore') {
    if (!(await restoreProject(id))) return { intent: 'past', id, name };
  }
  return { intent, id, name };
}

export default function Projects({ loaderData }: Route.ComponentProps) {
  return <ProjectsView {...loaderData} />;
}
