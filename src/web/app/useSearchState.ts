import { useCallback, useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';

/** What the address was last asked to become, until it is; two changes in one breath both count. */
let asked: string | null = null;

/**
 * The search part of the address, and a way to change it. The router hands out the search as it was drawn; a change
 * made from that would undo one that is still on its way, so changes start from what was asked for last.
 */
export function useSearchState(): [
  URLSearchParams,
  (change: (next: URLSearchParams) => void, options?: { replace?: boolean }) => void,
] {
  const { search } = useLocation();
  const navigate = useNavigate();
  useEffect(() => {
    if (asked === search.replace(/^\?/, '')) asked = null;
  }, [search]);
  const update = useCallback(
    (change: (next: URLSearchParams) => void, options: { replace?: boolean } = {}) => {
      const next = new URLSearchParams(asked ?? window.location.search);
      change(next);
      asked = next.toString();
      const mine = asked;
      void Promise.resolve(navigate({ search: mine }, { replace: options.replace ?? false })).finally(() => {
        if (asked === mine) asked = null;
      });
    },
    [navigate],
  );
  return [new URLSearchParams(search), update];
}
