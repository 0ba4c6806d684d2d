import { useEffect, useState } from 'react';
import { useLocation, useNavigation } from 'react-router';

const shownAfter = 150;

const projectIn = (pathname: string): string | undefined => /^\/projects\/([^/]+)/.exec(pathname)?.[1];

/** Whether another project than the one shown is on its way, and has been for longer than one notices. */
export function useOpening(): boolean {
  const { location: coming } = useNavigation();
  const { pathname } = useLocation();
  const target = coming && projectIn(coming.pathname);
  const opening = target !== undefined && target !== projectIn(pathname) ? target : undefined;
  const [late, setLate] = useState<string>();

  useEffect(() => {
    if (opening === undefined) return;
    const timer = setTimeout(() => setLate(opening), shownAfter);
    return () => {
      clearTimeout(timer);
      setLate(undefined);
    };
  }, [opening]);
  return opening !== undefined && late === opening;
}
