import { redirect } from 'react-router';
import { handInDemo } from '../analysis/hand-in';
import { demos } from '../shipped/demos';
import { Shell } from '../parts/Shell';
import type { Route } from './+types/demo';

/** One address that opens the demo: `/demo`, `/demo?edition=sound`, `/demo?framework=vue`. */
export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  const asked = new URL(request.url).searchParams;
  const edition = asked.get('edition') === 'sound' ? 'sound' : 'worn';
  const framework = demos.find((one) => one.framework === asked.get('framework'))?.framework ?? demos[0].framework;
  return redirect(`/projects/${await handInDemo(framework, edition)}/tree`);
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <Shell />;
}

export default function Demo() {
  return null;
}
