import { Link } from 'react-router';
import { frameworkWords } from '../parts/frameworks';
import { helpFor } from '../shipped/help.server';
import { severityWords } from '../theme/Glyph';
import type { Route } from './+types/help';

export const meta: Route.MetaFunction = () => [{ title: 'What Liana finds · Liana' }];

/** The help that ships with Liana: all rules, or one. */
export function loader({ params }: Route.LoaderArgs) {
  const rules = helpFor(params.rule);
  if (!rules) throw new Response(`Liana has no rule ${params.rule}.`, { status: 404 });
  return { rules, single: params.rule !== undefined };
}

export default function Help({ loaderData: { rules, single } }: Route.ComponentProps) {
  return (
    <main className="help">
      <p>
        <Link to="/">Projects</Link>
        {single && (
          <>
            {' '}
            · <Link to="/help">What Liana finds</Link>
          </>
        )}
      </p>
      {!single && <h1>What Liana finds</h1>}
      {rules.map((rule) => (
        <section key={rule.id} id={rule.id}>
          {single ? (
            <h1>{rule.title}</h1>
          ) : (
            <h2>
              <Link to={`/help/${rule.id}`}>{rule.title}</Link>
            </h2>
          )}
          <p style={{ color: 'var(--faint)' }}>
            <code>{rule.id}</code> · {severityWords[rule.severity].group.toLowerCase()}
          </p>
          <p>{rule.help.what}</p>
          {single && (
            <>
              <p>{rule.help.why}</p>
              <h3>The fault</h3>
              <pre tabIndex={0}>{rule.help.fault}</pre>
              <h3>Sound</h3>
              <pre tabIndex={0}>{rule.help.sound}</pre>
              {Object.entries(rule.help.forms ?? {}).map(([framework, form]) => (
                <div key={framework}>
                  <h3>The fault in {frameworkWords([framework])}</h3>
                  <pre tabIndex={0}>{form.fault}</pre>
                  <h3>Sound in {frameworkWords([framework])}</h3>
                  <pre tabIndex={0}>{form.sound}</pre>
                </div>
              ))}
            </>
          )}
        </section>
      ))}
    </main>
  );
}
