import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useTell } from '../shared/useTell';
import { useMemo } from 'react';
import { checkRoutes, liveRoutes, proposeRoutes, routeKey } from '../../core/routes';
import type { Route } from '../../core/routes';
import { indexStructure } from '../../core/structure';
import type { HomeRequest } from '../../contract/routes';
import { api } from '../shared/api';
import { useUndo } from '../shared/undo/useUndo';

const NONE: Route[] = [];

/** An account's routes, those that its structure suggests beside them, and what can be done with them. */
export function useRoutes(account: number | undefined) {
  const client = useQueryClient();
  const tell = useTell();
  const { did } = useUndo(account);
  const tree = useQuery({
    queryKey: ['tree', account, 'forms'],
    queryFn: () => api.tree(account!, 'forms'),
    enabled: account !== undefined,
    staleTime: Infinity,
  });
  const kept = useQuery({
    queryKey: ['routes', account],
    queryFn: () => api.routes(account!),
    enabled: account !== undefined,
  });
  const index = useMemo(() => tree.data && indexStructure({ ...tree.data, negatives: [] }), [tree.data]);
  const all = kept.data?.routes ?? NONE;
  // A route to what has ended is no route any more: it goes with the next change.
  const routes = useMemo(() => (index ? liveRoutes(all, index) : NONE), [all, index]);
  const proposed = useMemo(() => {
    if (!index || !tree.data) return NONE;
    // What has a route of its kind already needs no other.
    const has = new Set(routes.map(({ sourceId, takes }) => `${sourceId} ${takes}`));
    return proposeRoutes(tree.data.adGroups, index).filter(
      ({ sourceId, takes }) => !has.has(`${sourceId} ${takes}`),
    );
  }, [index, tree.data, routes]);
  const change = useMutation({
    mutationFn: (next: Route[]) => api.keepRoutes(account!, next),
    onSuccess: (answer) => client.setQueryData(['routes', account], answer),
    onError: (error: Error) => tell(error.message, { kind: 'fault' }),
  });
  const keep = (next: Route[]) => {
    const [fault] = index ? checkRoutes(next, index) : [];
    if (fault) return tell(fault.sentence, { kind: 'fault' });
    const words =
      next.length > routes.length
        ? 'routes kept'
        : next.length < routes.length
          ? 'a route removed'
          : 'a route changed';
    change.mutate(next, { onSuccess: () => did({ words, undoing: { kind: 'routes', routes } }) });
  };
  const makeHome = useMutation({
    mutationFn: (request: Omit<HomeRequest, 'account'>) => api.makeHome({ account: account!, ...request }),
    onSuccess: () => tell('Staged. Routes can already lead there.'),
    onSettled: () =>
      client.invalidateQueries({
        predicate: ({ queryKey }) => ['tree', 'changes', 'routes'].includes(String(queryKey[0])),
      }),
  });
  return {
    tree: tree.data,
    makeHome,
    gone: index ? all.length - routes.length : 0,
    index,
    routes,
    proposed,
    error: tree.error ?? kept.error,
    isLoading: tree.isLoading || kept.isLoading,
    /** Adds routes, or puts them in place of the ones between the same ends, and of the one that was changed. */
    put: (list: readonly Route[], changed: Route | null = null) => {
      const keys = new Set([...list, ...(changed ? [changed] : [])].map(routeKey));
      keep([...routes.filter((one) => !keys.has(routeKey(one))), ...list]);
    },
    remove: (route: Route) => keep(routes.filter((one) => routeKey(one) !== routeKey(route))),
  };
}

export type RoutesState = ReturnType<typeof useRoutes>;
