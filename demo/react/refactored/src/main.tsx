import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { LockPage } from '@/pages/LockPage';
import { RosterPage } from '@/pages/RosterPage';
import { TodayPage } from '@/pages/TodayPage';
import './towpath.css';

const router = createBrowserRouter([
  { path: '/', element: <TodayPage /> },
  { path: '/locks/:lockId', element: <LockPage /> },
  { path: '/roster', element: <RosterPage /> },
]);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <RouterProvider router={router} />
  </StrictMode>,
);
