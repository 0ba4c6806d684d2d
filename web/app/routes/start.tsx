import { data, redirect } from 'react-router';
import { getAnalyst, openProject } from '../analysis/client';
import { getProject } from '../storage/projects';
import { FiguresView } from '../views/figures/FiguresView';
import type { Route } from './+types/start';

export const meta: Route.MetaFunction = () => [{ title: 'Figures · Liana' }];

/** A project’s first page is what it amounts to; one without source opens with its plan. */
export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project) throw data('This browser does not hold that project.', { status: 404 });
  if (project.origin.kind === 'plan') return redirect(`/projects/${project.id}/carve`);
  const summary = await openProject(project.id, project.name, project.readAt).catch(() => undefined);
  if (!summary) return undefined;
  return { project, ...(await getAnalyst().figures(project.id)) };
}

export default function Start({ loaderData }: Route.ComponentProps) {
  return loaderData ? <FiguresView {...loaderData} /> : null;
}
