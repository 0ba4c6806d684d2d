import { demoFiles } from '../shipped/demo-sources.server';
import type { Route } from './+types/sources';

const names: Readonly<Record<string, string>> = { sound: 'Towpath (sound)', refactored: 'Towpath (refactored)' };

/** The source of a demo, as JSON. */
export async function loader({ params }: Route.LoaderArgs) {
  const files = await demoFiles(params.framework, params.edition);
  if (!files) throw new Response('Liana ships no such demo.', { status: 404 });
  return Response.json({ name: names[params.edition] ?? 'Towpath', files });
}
