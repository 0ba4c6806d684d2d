import { data } from 'react-router';
import { getAnalyst, openProject } from '../analysis/client';
import { getProject } from '../storage/projects';
import { FiguresView } from '../views/figures/FiguresView';
import type { Route } from './+types/figures';

export const meta: Route.MetaFunction = () => [{ title: 'Figures · Liana' }];

export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project) throw data('This browser does not hold that project.', { status: 404 });
  const summary = await openProject(project.id, project.name, project.readAt).catch(() => undefined);
  if (!summary) return undefined;
  return { project, ...(await getAnalyst().figures(project.id)) };
}

export default function FiguresRoute({ loaderData }: Route.ComponentProps) {
  return loaderData ? <FiguresView {...loaderData} /> : null;
}
