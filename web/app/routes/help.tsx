import { Link, type ShouldRevalidateFunction } from 'react-router';
import { ThemeSwitch } from '../parts/ThemeSwitch';
import { helpFor } from '../shipped/help.server';
import { HelpView } from '../views/help/HelpView';
import { RuleView } from '../views/help/RuleView';
import type { Route } from './+types/help';

export const meta: Route.MetaFunction = () => [{ title: 'What Liana finds · Liana' }];

/** The help that ships with Liana: all rules, or one. */
export function loader({ params }: Route.LoaderArgs) {
  const rules = helpFor(params.rule);
  if (!rules) throw new Response(`Liana has no rule ${params.rule}.`, { status: 404 });
  return { rules, single: params.rule !== undefined };
}

/** Finding among the rules needs nothing new. */
export const shouldRevalidate: ShouldRevalidateFunction = ({ currentUrl, nextUrl }) => currentUrl.pathname !== nextUrl.pathname;

export default function Help({ loaderData: { rules, single } }: Route.ComponentProps) {
  const [rule] = rules;
  return (
    <>
      <header className="bar">
        <Link to="/" className="brand" aria-label="Liana, all projects">
          Liana
        </Link>
        <nav aria-label="Help">
          <Link to="/">Projects</Link>
          <Link to="/help" className={single ? undefined : 'active'} aria-current={single ? undefined : 'page'}>
            What Liana finds
          </Link>
        </nav>
        <ThemeSwitch />
      </header>
      <main className="help">{single && rule ? <RuleView rule={rule} /> : <HelpView rules={rules} />}</main>
    </>
  );
}
