import type { Express } from 'express';

export type Route = { readonly method: string; readonly path: string };

/** What of a router of Express is read: it has no list of its own. */
type Layer = {
  readonly route?: { readonly path: string | readonly string[]; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle?: { readonly stack?: readonly Layer[] };
};

/** Every route of an app, those of the routers in it as well. */
export function routesOf(app: Express): Route[] {
  const inStack = (stack: readonly Layer[]): Route[] =>
    stack.flatMap(({ route, handle }) => {
      if (route === undefined) return inStack(handle?.stack ?? []);
      return Object.keys(route.methods).flatMap((method) => [route.path].flat().map((path) => ({ method, path })));
    });
  return inStack((app.router as unknown as { readonly stack: readonly Layer[] }).stack);
}
