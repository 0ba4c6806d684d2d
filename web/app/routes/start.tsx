import { redirect } from 'react-router';
import type { Route } from './+types/start';

/** A project opens with its tree. */
export function clientLoader({ params }: Route.ClientLoaderArgs) {
  return redirect(`/projects/${params.projectId}/tree`);
}

export default function Start() {
  return null;
}
