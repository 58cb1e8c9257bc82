import compression from 'compression';
import express, { type Express } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { pinoHttp } from 'pino-http';
import type { Logger } from 'pino';
import { healthPath } from '#contract/health.ts';
import { agentsRoutes } from '#server/features/agents/agents.routes.ts';
import { careRoutes } from '#server/features/care/care.routes.ts';
import { conditionsRoutes } from '#server/features/conditions/conditions.routes.ts';
import { instrumentsRoutes } from '#server/features/instruments/instruments.routes.ts';
import { packupRoutes } from '#server/features/packup/packup.routes.ts';
import { playersRoutes } from '#server/features/players/players.routes.ts';
import { playsRoutes } from '#server/features/plays/plays.routes.ts';
import { recordRoutes } from '#server/features/record/record.routes.ts';
import { schoolsRoutes } from '#server/features/schools/schools.routes.ts';
import { guardHost } from '#server/http/guard.ts';
import { errorHandler, notFoundHandler } from '#server/http/problem.ts';
import type { Services } from '#server/repositories.ts';

export type AppOptions = {
  readonly services: Services;
  readonly version: string;
  readonly countMigrations: () => number;
  readonly boundHost: string;
  readonly log?: Logger;
  /** The built web app; without it only the API is served. */
  readonly webFolder?: string;
};

type LoggedRequest = { readonly method: string; readonly url: string };
type LoggedAnswer = { readonly statusCode: number };

const securityHeaders = helmet({
  contentSecurityPolicy: {
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'"],
      // MUI's styling engine writes style elements.
      styleSrc: ["'self'", "'unsafe-inline'"],
      imgSrc: ["'self'", 'data:'],
      // Plain http on one's own machine: nothing may be upgraded to https.
      upgradeInsecureRequests: null,
    },
  },
  strictTransportSecurity: false,
});

function serveWeb(app: Express, folder: string): void {
  const assets = `${path.sep}assets${path.sep}`;
  app.use(
    express.static(folder, {
      index: false,
      setHeaders: (res, file) => {
        if (file.includes(assets)) res.setHeader('Cache-Control', 'public, max-age=31536000, immutable');
      },
    }),
  );
  // Deep links survive a reload: every path that is no file is the app's.
  app.get('/{*splat}', (_req, res) => res.sendFile('index.html', { root: folder }));
}

/** The whole server, without the listening. */
export function createApp({ services, version, countMigrations, boundHost, log, webFolder }: AppOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  if (log)
    app.use(
      pinoHttp({
        logger: log,
        quietReqLogger: true,
        // Who asked for what, how it ended and how long it took; never headers or bodies.
        serializers: {
          req: ({ method, url }: LoggedRequest) => `${method} ${url}`,
          res: ({ statusCode }: LoggedAnswer) => statusCode,
        },
        customLogLevel: (_req, res) => (res.statusCode >= 500 ? 'error' : 'info'),
      }),
    );
  app.use(guardHost(boundHost));
  app.use(securityHeaders);
  app.use(compression());
  app.use(express.json({ limit: '100kb' }));
  app.use('/api', (_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store');
    next();
  });
  app.get(healthPath, (_req, res) => void res.json({ version, database: 'ok', migrations: countMigrations() }));
  for (const routes of [
    playersRoutes,
    instrumentsRoutes,
    playsRoutes,
    careRoutes,
    packupRoutes,
    recordRoutes,
    schoolsRoutes,
    conditionsRoutes,
    agentsRoutes,
  ])
    app.use(routes(services));
  app.use('/api', notFoundHandler);
  if (webFolder !== undefined && existsSync(webFolder)) serveWeb(app, webFolder);
  app.use(errorHandler);
  return app;
}
