import { Router } from 'express';
import { succeed } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { localDate } from '#core/time/local-date.ts';
import { calendarImportFact, calendarInPaths, calendarPreviewRequest } from '#contract/calendar-in.ts';
import { feedQuery, fileQuery, sittingPaths, subscribedQuery } from '#contract/sittings.ts';
import { notFound } from '#server/failure.ts';
import { calendarImportDefinition } from '#server/features/calendar/calendar-import.fact.ts';
import { importRequestOf, previewOf } from '#server/features/calendar/calendar-in.use-cases.ts';
import {
  calendarOut,
  endFeed,
  pathOfFeed,
  renewFeed,
  type ReedDaysOf,
} from '#server/features/calendar/calendar-out.use-cases.ts';
import { sendFailure } from '#server/http/problem.ts';
import { bodyOf, param, queryOf, answerLogged, sendOutcome, type Serving } from '#server/http/respond.ts';
import { whenFree } from '#server/http/when-free.ts';
import { logFact } from '#server/record/log-fact.ts';

/** What day it is where this machine stands: a calendar program does not say where it is. */
function clockOf(ms: number): WallClock {
  const at = new Date(ms);
  return {
    on: localDate(`${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}`),
    atMinute: at.getHours() * 60 + at.getMinutes(),
  };
}
/** What is asked for behind an address: alarms, and nothing that came in from elsewhere, where it does not say. */
const wantedOf = ({
  imported,
  alarms,
}: {
  readonly imported?: 'yes' | 'no' | undefined;
  readonly alarms?: 'yes' | 'no' | undefined;
}) => ({
  imported: imported === 'yes',
  alarms: alarms !== 'no',
});
const pad = (value: number): string => String(value).padStart(2, '0');

/** Calendars in: a file is looked at, then taken in. */
export function calendarInRoutes(services: Serving): Router {
  const router = Router();
  router.post(calendarInPaths.preview, async (req, res) => {
    const asked = services(req);
    const { now, ...file } = bodyOf(calendarPreviewRequest, req);
    sendOutcome(res, await previewOf(asked, file, now));
  });
  router.post(calendarInPaths.imports, async (req, res) => {
    const asked = services(req);
    const request = await importRequestOf(asked, bodyOf(calendarImportFact.request, req));
    if (!request.ok) return sendOutcome(res, request);
    return answerLogged(res, () => logFact(asked, calendarImportDefinition, request.value));
  });
  return router;
}

/** Calendars out: a file, and an address to subscribe to. */
export function calendarOutRoutes(services: Serving, reedDaysOf: ReedDaysOf): Router {
  const router = Router();
  router.get(sittingPaths.file, async (req, res) => {
    const { playerId, today, ...told } = queryOf(fileQuery, req);
    const now = { on: today, atMinute: clockOf(services(req).nowMs()).atMinute };
    const file = await calendarOut(services(req), playerId, { now, reedDaysOf, ...wantedOf(told) });
    if (!file.ok) return sendOutcome(res, file);
    res.attachment('ulu.ics').type('text/calendar').send(file.value);
  });
  router.get(sittingPaths.feed, (req, res) => {
    const { playerId } = queryOf(feedQuery, req);
    const secret = services(req).calendar.secretOf(playerId);
    res.json({ path: secret === null ? null : pathOfFeed(secret) });
  });
  router.post(sittingPaths.feed, async (req, res) => {
    const asked = services(req);
    const { playerId } = bodyOf(feedQuery, req);
    const renewed = await whenFree(() => renewFeed(asked, playerId));
    sendOutcome(res, renewed.ok ? succeed({ path: renewed.value }) : renewed);
  });
  router.post(sittingPaths.endFeed, async (req, res) => {
    const asked = services(req);
    const { playerId } = bodyOf(feedQuery, req);
    const ended = await whenFree(() => endFeed(asked, playerId));
    sendOutcome(res, ended.ok ? succeed({ path: null }) : ended);
  });
  // Nobody guesses 24 bytes by lot; whoever tries is told nothing, however often, and nobody is shut out for it.
  router.get(sittingPaths.subscribed, async (req, res) => {
    const [, secret = ''] = /^([\w-]{32})\.ics$/.exec(param(req, 'secret')) ?? [];
    const playerId = services(req).calendar.playerOfSecret(secret);
    if (playerId === undefined) return sendFailure(res, notFound('', { code: 'no-such-calendar' }));
    const now = clockOf(services(req).nowMs());
    const wanted = wantedOf(queryOf(subscribedQuery, req));
    const file = await calendarOut(services(req), playerId, { now, reedDaysOf, ...wanted });
    if (!file.ok) return sendOutcome(res, file);
    // The same calendar has the same tag: whoever has it already is told so, in no bytes (304).
    res.set('Cache-Control', 'private, no-cache').type('text/calendar').send(file.value);
  });
  return router;
}
