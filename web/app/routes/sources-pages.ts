import { demoPages } from '../shipped/demo-pages.server';

/** The demo's pages with their finished plan, as JSON; pictures and texts in base 64. */
export async function loader() {
  return Response.json(await demoPages());
}
