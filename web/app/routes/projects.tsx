import { getProject, deleteProject, listProjects, renameProject, restoreProject } from '../storage/projects';
import { ProjectsView } from '../views/projects/ProjectsView';
import type { Route } from './+types/projects';

export const meta: Route.MetaFunction = () => [{ title: 'Projects · Liana' }];

export async function clientLoader() {
  return listProjects();
}

/** Rename, delete and bring back. Each answers what it did, so that the page can say it and offer to undo it. */
export async function clientAction({ request }: Route.ClientActionArgs) {
  const form = await request.formData();
  const id = String(form.get('id'));
  const intent = String(form.get('intent'));
  const name = (await getProject(id))?.name ?? '';
  if (intent === 'rename') {
    const given = String(form.get('name')).trim();
    if (given !== '') await renameProject(id, given);
  } else if (intent === 'delete') await deleteProject(id);
  else if (intent === 'restore') await restoreProject(id);
  return { intent, id, name };
}

export default function Projects({ loaderData }: Route.ComponentProps) {
  return <ProjectsView projects={loaderData.projects} damaged={loaderData.damaged} />;
}
