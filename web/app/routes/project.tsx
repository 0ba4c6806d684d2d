import { data, Outlet, redirect } from 'react-router';
import { getAnalyst, openProject, Stopped } from '../analysis/client';
import { TopBar } from '../parts/TopBar';
import { getProject } from '../storage/projects';
import { loadTriage } from '../storage/triage';
import type { Route } from './+types/project';

/** Opens a project: analysed in the worker, and only once for all views of it. */
export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  if (!project)
    throw data('This browser does not hold that project. It may have been deleted, or opened in another browser.', { status: 404 });
  try {
    const summary = await openProject(project.id, project.name, project.readAt);
    const { marks, rules } = await loadTriage(project.id);
    return { project, summary, open: await getAnalyst().openCount(project.id, { marks, rules }) };
  } catch (error) {
    if (error instanceof Stopped) throw redirect('/');
    throw error;
  }
}

export default function ProjectLayout({ loaderData: { project, summary, open } }: Route.ComponentProps) {
  return (
    <div className="screen">
      <TopBar project={project} summary={summary} open={open} />
      <Outlet />
    </div>
  );
}
