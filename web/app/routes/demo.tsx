import { redirect } from 'react-router';
import { handInDemo } from '../analysis/hand-in';
import { Splash } from '../parts/Splash';
import type { Route } from './+types/demo';

/** One address that opens the demo: `/demo`, or `/demo?edition=sound`. */
export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  const edition = new URL(request.url).searchParams.get('edition') === 'sound' ? 'sound' : 'worn';
  return redirect(`/projects/${await handInDemo('react', edition)}/tree`);
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <Splash />;
}

export default function Demo() {
  return null;
}
