import { redirect } from 'react-router';
import { getProject } from '../storage/projects';
import type { Route } from './+types/start';

/** A project opens with its tree; one without source opens with its plan. */
export async function clientLoader({ params }: Route.ClientLoaderArgs) {
  const project = await getProject(params.projectId);
  return redirect(`/projects/${params.projectId}/${project?.origin.kind === 'plan' ? 'carve' : 'tree'}`);
}

export default function Start() {
  return null;
}
