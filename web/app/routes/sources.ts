import { demoFiles } from '../shipped/demo-sources.server';
import type { Route } from './+types/sources';

/** The source of a demo, as JSON. */
export async function loader({ params }: Route.LoaderArgs) {
  const files = await demoFiles(params.framework, params.edition);
  if (!files) throw new Response('Liana ships no such demo.', { status: 404 });
  return Response.json({ name: params.edition === 'sound' ? 'Towpath (sound)' : 'Towpath', files });
}
