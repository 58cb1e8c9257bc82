import { Router } from 'express';
import { rateLimit } from 'express-rate-limit';
import { lastDayOf, type CalendarEvent } from '#core/calendar/event.ts';
import { succeed } from '#core/kernel/outcome.ts';
import type { WallClock } from '#core/plays/play.ts';
import { addDays, localDate } from '#core/time/local-date.ts';
import { benchPaths, benchQuery } from '#contract/bench.ts';
import { calendarPaths, eventsQuery, type EventView } from '#contract/calendar.ts';
import { feedQuery, sittingPaths, sittingsQuery } from '#contract/sittings.ts';
import {
  calendarOut,
  pathOfFeed,
  renewFeed,
  type ReedDaysOf,
} from '#server/features/calendar/calendar-out.use-cases.ts';
import { sittingsPageOf } from '#server/features/calendar/sittings.views.ts';
import { benchPageOf } from '#server/features/calendar/bench.views.ts';
import { notFound } from '#server/failure.ts';
import { sendFailure } from '#server/http/problem.ts';
import { bodyOf, param, queryOf, sendOutcome, type Serving } from '#server/http/respond.ts';

/** Days for which what is over can still be put right. */
const EVENTS_BEFORE = 14;

/** An event as the calendar shows it. */
function eventViewOf({ origin, stay, ...event }: CalendarEvent, typed: ReadonlySet<string>): EventView {
  const done = stay?.done.map(({ instrumentId, itemIds }) => ({ instrumentId, itemIds: [...itemIds] })) ?? [];
  return {
    ...event,
    instrumentIds: [...event.instrumentIds],
    stay: stay && { done, cost: stay.cost && { ...stay.cost } },
    calendar: origin?.calendar ?? null,
    asImported: origin !== null && !typed.has(event.key),
  };
}

export function calendarRoutes(services: Serving, reedDaysOf: ReedDaysOf): Router {
  const router = Router();
  router.get(calendarPaths.events, (req, res) => {
    const { playerId, today } = queryOf(eventsQuery, req);
    const { calendar } = services(req);
    const typed = new Set(calendar.typed(playerId).map(({ key }) => key));
    res.json(
      calendar
        .of(playerId)
        .filter((event) => lastDayOf(event) >= addDays(today, -EVENTS_BEFORE))
        .map((event) => eventViewOf(event, typed)),
    );
  });
  router.get(sittingPaths.plan, async (req, res) => {
    const { playerId, today } = queryOf(sittingsQuery, req);
    sendOutcome(res, await sittingsPageOf(services(req), playerId, today));
  });
  router.get(sittingPaths.file, async (req, res) => {
    const { playerId, today } = queryOf(sittingsQuery, req);
    const now = { on: today, atMinute: clockOf(services(req).nowMs()).atMinute };
    const file = await calendarOut(services(req), playerId, { now, reedDaysOf });
    if (!file.ok) return sendOutcome(res, file);
    res.attachment('ulu.ics').type('text/calendar').send(file.value);
  });
  router.get(benchPaths.page, (req, res) => {
    const { playerId, today } = queryOf(benchQuery, req);
    sendOutcome(res, benchPageOf(services(req), playerId, today));
  });
  router.get(sittingPaths.feed, (req, res) => {
    const { playerId } = queryOf(feedQuery, req);
    const secret = services(req).calendar.secretOf(playerId);
    res.json({ path: secret === null ? null : pathOfFeed(secret) });
  });
  router.post(sittingPaths.feed, (req, res) => {
    const { playerId } = bodyOf(feedQuery, req);
    const renewed = renewFeed(services(req), playerId);
    sendOutcome(res, renewed.ok ? succeed({ path: renewed.value }) : renewed);
  });
  // Whoever guesses is told nothing, and soon nothing at all.
  const guessing = rateLimit({
    windowMs: MS_PER_MINUTE,
    limit: MOST_GUESSES,
    skipSuccessfulRequests: true,
    standardHeaders: false,
    legacyHeaders: false,
    handler: (_req, res) => sendFailure(res, { code: 'busy', field: '', fault: { code: 'too-much-at-once' } }),
  });
  router.get(sittingPaths.subscribed, guessing, async (req, res) => {
    const [, secret = ''] = /^([\w-]{32})\.ics$/.exec(param(req, 'secret')) ?? [];
    const playerId = services(req).calendar.playerOfSecret(secret);
    if (playerId === undefined) return sendFailure(res, notFound('', { code: 'no-such-address' }));
    const now = clockOf(services(req).nowMs());
    const file = await calendarOut(services(req), playerId, { now, reedDaysOf });
    if (!file.ok) return sendOutcome(res, file);
    res.type('text/calendar').send(file.value);
  });
  return router;
}
const MS_PER_MINUTE = 60_000;
/** Wrong addresses a minute. */
const MOST_GUESSES = 20;

/** What day it is where this machine stands: a calendar program does not say where it is. */
function clockOf(ms: number): WallClock {
  const at = new Date(ms);
  return {
    on: localDate(`${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}`),
    atMinute: at.getHours() * 60 + at.getMinutes(),
  };
}
const pad = (value: number): string => String(value).padStart(2, '0');
