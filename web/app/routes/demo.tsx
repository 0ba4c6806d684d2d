import { redirect } from 'react-router';
import { comparedWithSound, handInDemo, handInRefactor } from '../analysis/hand-in';
import { demos } from '../shipped/demos';
import { Shell } from '../parts/Shell';
import type { Route } from './+types/demo';

/**
 * One address that opens the demo: `/demo`, `/demo?edition=sound`, `/demo?framework=vue`; with `edition=refactored` what a
 * refactor made of the sound one, compared with it.
 */
export async function clientLoader({ request }: Route.ClientLoaderArgs) {
  const asked = new URL(request.url).searchParams;
  const { framework, refactored } = demos.find((one) => one.framework === asked.get('framework')) ?? demos[0];
  if (asked.get('edition') === 'refactored' && refactored) {
    const after = await handInRefactor(framework);
    return redirect(`/projects/${after}/${comparedWithSound(framework)}`);
  }
  const edition = asked.get('edition') === 'sound' ? 'sound' : 'worn';
  return redirect(`/projects/${await handInDemo(framework, edition)}/tree`);
}
clientLoader.hydrate = true as const;

export function HydrateFallback() {
  return <Shell />;
}

export default function Demo() {
  return null;
}
