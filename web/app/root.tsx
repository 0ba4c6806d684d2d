import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/atkinson-hyperlegible-mono';
import '@fontsource-variable/bricolage-grotesque';
import './theme/liana.css';
import InitColorSchemeScript from '@mui/material/InitColorSchemeScript';
import { ThemeProvider } from '@mui/material/styles';
import { isRouteErrorResponse, Link, Links, Meta, Outlet, Scripts, ScrollRestoration } from 'react-router';
import type { ReactNode } from 'react';
import { DropAnywhere } from './parts/DropAnywhere';
import { Notices } from './parts/Notices';
import { Splash } from './parts/Splash';
import { WorkNotice } from './parts/WorkNotice';
import { sweepDeleted } from './storage/projects';
import { theme } from './theme/theme';
import type { Route } from './+types/root';

export const meta: Route.MetaFunction = () => [{ title: 'Liana' }];

export function Layout({ children }: { children: ReactNode }) {
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
        <InitColorSchemeScript attribute='[data-theme="%s"]' defaultMode="system" />
        {children}
        <ScrollRestoration />
        <Scripts />
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

export function HydrateFallback() {
  return <Splash />;
}

export default function Root() {
  return (
    <ThemeProvider theme={theme} defaultMode="system">
      <Notices>
        <DropAnywhere>
          <Outlet />
        </DropAnywhere>
      </Notices>
      <WorkNotice />
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
    <main className="empty" style={{ minHeight: '100vh' }}>
      <h2>{isRouteErrorResponse(error) && error.status === 404 ? 'There is nothing here' : 'Something went wrong'}</h2>
      <p>{message}</p>
      <p>
        <Link to="/">Go to your projects</Link>. What was saved is still there.
      </p>
    </main>
  );
}
