import { useCallback, useLayoutEffect, useRef } from 'react';
import { useLocation, useNavigate, useNavigation, useSearchParams } from 'react-router';

type Change = (before: URLSearchParams) => URLSearchParams;

/**
 * The URL's parameters and how to change them. A change builds on the one asked for before it, even
 * while the router still loads that one: of two quick clicks neither is lost.
 */
export function useUrlParams(): [URLSearchParams, (change: Change, options?: { replace?: boolean }) => void] {
  const [params] = useSearchParams();
  const { pathname, search } = useLocation();
  const navigate = useNavigate();
  const { location: coming } = useNavigation();
  const asked = coming?.pathname === pathname ? coming.search : search;
  const latest = useRef(asked);

  useLayoutEffect(() => {
    latest.current = asked;
  }, [asked]);

  const change = useCallback(
    (next: Change, options: { replace?: boolean } = {}) => {
      latest.current = `?${next(new URLSearchParams(latest.current))}`;
      void navigate(latest.current, { ...options, preventScrollReset: true });
    },
    [navigate],
  );
  return [params, change];
}
