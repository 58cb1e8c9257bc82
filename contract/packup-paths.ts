export const packupPaths = {
  start: '/api/runs',
  one: (key: string) => `/api/runs/${key}`,
  events: (key: string) => `/api/runs/${key}/events`,
  /** The run whose events are posted there. */
  runOf: (path: string) => path.split('/').at(-2) ?? '',
} as const;
