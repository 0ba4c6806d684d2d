import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@fontsource-variable/bricolage-grotesque';
import './theme/liana.css';
import Button from '@mui/material/Button';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { ThemeProvider } from '@mui/material/styles';
import { isRouteErrorResponse, Link, Links, Meta, Outlet, Scripts, ScrollRestoration, useLocation } from 'react-router';
import { type ReactNode, useContext } from 'react';
import { DropAnywhere } from './parts/DropAnywhere';
import { NotStored } from './parts/NotStored';
import { NonceContext } from './parts/nonce';
import { Notices } from './parts/Notices';
import { Shell } from './parts/Shell';
import { useOpening } from './parts/useOpening';
import { WorkNotice } from './parts/WorkNotice';
import { sweepDeleted } from './storage/projects';
import { theme } from './theme/theme';
import type { Route } from './+types/root';

export const meta: Route.MetaFunction = () => [{ title: 'Liana' }];

export function Layout({ children }: { children: ReactNode }) {
  const nonce = useContext(NonceContext);
  const withNonce = nonce === undefined ? {} : { nonce };
  return (
    <html lang="en" suppressHydrationWarning>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <link rel="icon" href="/liana.svg" />
        <Meta />
        <Links />
      </head>
      <body>
        <InitColorSchemeScript attribute='[data-theme="%s"]' defaultMode="system" {...withNonce} />
        {children}
        <ScrollRestoration {...withNonce} />
        <Scripts {...withNonce} />
      </body>
    </html>
  );
}

/** Everything that is shown comes from this browser, so the server sends only the shell. */
export async function clientLoader() {
  await sweepDeleted().catch(() => undefined);
  return null;
}
clientLoader.hydrate = true as const;

/** How long work may take before its progress is shown, in milliseconds, where nothing else is on the page yet. */
const soon = 150;

/** What stands on the page until the browser has what it keeps. */
export function HydrateFallback() {
  const { pathname } = useLocation();
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      {/^\/(projects|demo)\b/.test(pathname) ? <Shell /> : <div className="splash">Liana</div>}
      <WorkNotice after={soon} />
    </ThemeProvider>
  );
}

export default function Root() {
  const isOpening = useOpening();
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      <Notices>
        <DropAnywhere>{isOpening ? <Shell /> : <Outlet />}</DropAnywhere>
      </Notices>
      <NotStored />
      <WorkNotice {...(isOpening ? { after: soon } : {})} />
    </ThemeProvider>
  );
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  const message = isRouteErrorResponse(error)
    ? String(error.data || error.statusText)
    : error instanceof Error
      ? error.message
      : String(error);
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      <main className="empty" style={{ minHeight: '100vh' }}>
        <h2>{isRouteErrorResponse(error) && error.status === 404 ? 'There is nothing here' : 'Something went wrong'}</h2>
        <p>{message}</p>
        {!isRouteErrorResponse(error) && (
          <p>
            <Button variant="contained" onClick={() => window.location.reload()}>
              Try again
            </Button>
          </p>
        )}
        <p>
          <Link to="/">Go to your projects</Link>. What was saved is still there.
        </p>
      </main>
    </ThemeProvider>
  );
}
