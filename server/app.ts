import compression from 'compression';
import staticGzip from 'express-static-gzip';
import express, { type ErrorRequestHandler, type Express, type Request } from 'express';
import helmet from 'helmet';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { pinoHttp } from 'pino-http';
import type { Logger } from 'pino';
import { calendarInPaths, LARGEST_CALENDAR_BODY } from '#contract/calendar-in.ts';
import { packupPaths } from '#contract/packup.ts';
import { playPaths } from '#contract/plays.ts';
import { healthPath, type DatabaseState } from '#contract/health.ts';
import { FACTS } from '#server/facts.ts';
import { agentsRoutes } from '#server/features/agents/agents.routes.ts';
import { airRoutes } from '#server/features/air/air.routes.ts';
import { benchRoutes } from '#server/features/bench/bench.routes.ts';
import { calendarInRoutes, calendarOutRoutes } from '#server/features/calendar/calendar-exchange.routes.ts';
import { calendarRoutes } from '#server/features/calendar/calendar.routes.ts';
import { careRoutes } from '#server/features/care/care.routes.ts';
import { costsRoutes } from '#server/features/costs/costs.routes.ts';
import { doubleReedsRoutes } from '#server/features/doublereeds/doublereeds.routes.ts';
import { faultsRoutes } from '#server/features/faults/faults.routes.ts';
import { breaksRoutes } from '#server/features/breaks/breaks.routes.ts';
import { conditionsRoutes } from '#server/features/conditions/conditions.routes.ts';
import { inspectionsRoutes } from '#server/features/inspections/inspections.routes.ts';
import { instrumentsRoutes } from '#server/features/instruments/instruments.routes.ts';
import { methodsRoutes } from '#server/features/methods/methods.routes.ts';
import { packupRoutes } from '#server/features/packup/packup.routes.ts';
import { reedDaysOf } from '#server/features/reeds/reed-days.views.ts';
import { reedsRoutes } from '#server/features/reeds/reeds.routes.ts';
import { settingsRoutes } from '#server/features/settings/settings.routes.ts';
import { playersRoutes } from '#server/features/players/players.routes.ts';
import { callerOf } from '#server/http/caller.ts';
import { namedIn } from '#server/http/named-in.ts';
import { NotAllowed } from '#server/may.ts';
import { guardHost } from '#server/http/guard.ts';
import { refuseDeepNesting } from '#server/http/nesting.ts';
import { waitingLine, type Urgency } from '#server/http/waiting-line.ts';
import { errorHandler, notFoundHandler } from '#server/http/problem.ts';
import { formatOf, lengthsInUnits } from '#server/http/format-of.ts';
import type { Serving } from '#server/http/respond.ts';
import type { AnyFact } from '#server/record/define-fact.ts';
import { recordRoutes, type ToldOf } from '#server/record/record.routes.ts';
import type { Services } from '#server/services.ts';
import type { Caller } from '#server/caller.ts';
import { dataRoutes, type RecordFiles } from '#server/features/data/data.routes.ts';
import type { Format } from '#core/explain/format.ts';
import { ofInstrument, ofPlayer } from '#core/record/fact.ts';

export type AppOptions = {
  readonly serve: (caller: Caller, format: Format) => Services;
  /** The record as a file among files; without it none goes out or comes in. */
  readonly files?: Omit<RecordFiles, 'definitions'>;
  readonly health: () => { readonly version: string; readonly database: DatabaseState; readonly migrations: number };
  readonly boundHost: string;
  /** The kinds of fact that can be posted. */
  readonly kinds?: readonly AnyFact<Services>[];
  /** Told of every error, so that damage to the record is remembered. */
  readonly noticed?: (error: unknown) => void;
  readonly log?: Logger;
  /** The built web app; without it only the API is served. */
  readonly webFolder?: string;
};

type LoggedRequest = { readonly method: string; readonly url: string };
type LoggedAnswer = { readonly statusCode: number };

/** Whoever has the address of a calendar reads it: it stands in no log. */
const withoutSecret = (url: string): string => url.replace(/(\/subscribed\/).*/, '$1…');

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
    staticGzip(folder, {
      index: false,
      serveStatic: {
        setHeaders: (res, file) => {
          if (file.includes(assets)) res.setHeader('Cache-Control', 'public, max-age=31536000, immutable');
        },
      },
    }),
  );
  // Deep links survive a reload: a path that names no file is the app's. What looks like a file and is none is missing.
  app.get('/{*splat}', (req, res, next) => {
    if (path.extname(req.path) !== '' || req.path.startsWith('/assets/')) return next();
    return res.sendFile('index.html', { root: folder });
  });
}

/** The record of an instrument tells of it, and of what its player is in. */
const toldOf: ToldOf = ({ instruments }, instrumentId) => {
  const playerId = instruments.playerOf(instrumentId);
  return playerId === undefined ? undefined : [ofInstrument(instrumentId), ofPlayer(playerId)];
};

const TICK = new RegExp(`^${packupPaths.events('[^/]+')}$`);
/** Ticking a step off and logging a play are done with an instrument in the hand. */
const urgencyOf = ({ method, path: at }: Request): Urgency =>
  method === 'POST' && (at === playPaths.log || at === playPaths.evening || TICK.test(at)) ? 'now' : 'soon';

const noticing =
  (noticed: AppOptions['noticed']): ErrorRequestHandler =>
  (error, _req, _res, next) => {
    noticed?.(error);
    next(error);
  };

/** What a request is served with, once whoever asks may see or say what it names. */
const servicesOf =
  (serve: AppOptions['serve']): Serving =>
  (req) => {
    const asked = serve(callerOf(req), formatOf(req));
    if (!asked.may(() => namedIn(req, asked.record.touchedBy))) throw new NotAllowed();
    return asked;
  };

/** Who asked for what, how it ended and how long it took; never headers or bodies. */
const logging = (log: Logger) =>
  pinoHttp({
    logger: log,
    quietReqLogger: true,
    serializers: {
      req: ({ method, url }: LoggedRequest) => `${method} ${withoutSecret(url)}`,
      res: ({ statusCode }: LoggedAnswer) => statusCode,
    },
    customLogLevel: (_req, res) => (res.statusCode >= 500 ? 'error' : 'info'),
  });

/** The whole server, without the listening. */
export function createApp(options: AppOptions): Express {
  const { serve, files, health, boundHost, log, webFolder, kinds = FACTS, noticed } = options;
  const app = express();
  app.disable('x-powered-by');
  if (log) app.use(logging(log));
  // First, so that a refusal carries them as well.
  app.use(securityHeaders);
  app.use(guardHost(boundHost));
  // Of a page of JSON the first level saves nearly as much as the sixth, in a third of the time.
  app.use(compression({ level: 1 }));
  app.use('/api', (_req, res, next) => {
    res.setHeader('Cache-Control', 'no-store');
    next();
  });
  app.get(healthPath, (_req, res) => {
    const now = health();
    res.status(now.database === 'ok' ? 200 : 503).json(now);
  });
  const line = waitingLine(urgencyOf);
  app.use('/api', line.atTheDoor);
  app.use(
    Object.values(calendarInPaths),
    express.json({ limit: LARGEST_CALENDAR_BODY, verify: (_req, _res, bytes) => refuseDeepNesting(bytes) }),
  );
  app.use(express.json({ limit: '100kb', verify: (_req, _res, bytes) => refuseDeepNesting(bytes) }));
  app.use('/api', line.inLine, lengthsInUnits);
  const services = servicesOf(serve);
  for (const routes of [
    playersRoutes,
    instrumentsRoutes,
    careRoutes,
    packupRoutes,
    methodsRoutes,
    breaksRoutes,
    conditionsRoutes,
    faultsRoutes,
    inspectionsRoutes,
    benchRoutes,
    costsRoutes,
    agentsRoutes,
    reedsRoutes,
    doubleReedsRoutes,
    airRoutes,
    settingsRoutes,
    calendarRoutes,
    calendarInRoutes,
  ])
    app.use(routes(services));
  // What other programs take in is not what may be another in a second.
  app.use(calendarOutRoutes(services, (asked, playerId, now) => reedDaysOf(asked, playerId, now, 'last')));
  app.use(recordRoutes(services, kinds, toldOf));
  if (files) app.use(dataRoutes(services, { ...files, definitions: kinds }));
  app.use('/api', notFoundHandler);
  if (webFolder !== undefined && existsSync(webFolder)) serveWeb(app, webFolder);
  app.use(notFoundHandler);
  app.use(noticing(noticed));
  app.use(errorHandler);
  return app;
}
