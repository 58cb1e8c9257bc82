import { instrumentPage, carePaths, type CareClockView, type InstrumentPage } from '#contract/care.ts';
import { calendarPaths } from '#contract/calendar.ts';
import { loggedKey } from '#contract/fact.ts';
import { instrumentPaths } from '#contract/instruments.ts';
import { packupPaths, runFact, runView, type RunView } from '#contract/packup.ts';
import { playerPaths } from '#contract/players.ts';
import { playPaths } from '#contract/plays.ts';
import { reedPlanView, reedsPage, type ReedPlanView, type ReedsOfKindView } from '#contract/reed-views.ts';
import { reedPaths } from '#contract/reeds.ts';
import { shownRun } from '#contract/shown-run.ts';
import { feedView, sittingPaths, sittingsView } from '#contract/sittings.ts';
import { todayPaths, todayView } from '#contract/today.ts';
import { CASED_DAMP, type CareItemId } from '#core/book/care-ids.ts';
import type { AloneId } from '#core/instruments/alone.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { stepAtHand } from '#core/packup/run-progress.ts';
import type { RunKind } from '#core/packup/run-log.ts';
import type { Standing } from '#core/players/player.ts';
import { BOOK } from '#core/tables/book.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';
import { Refused, type Household } from '#tools/lives/household.ts';
import { benchSeen } from '#tools/lives/benching.ts';
import { readByAnother, standingIn } from '#tools/lives/calendar-read.ts';
import type { Deed, PageName, Seen } from '#tools/lives/life.ts';

/** Moments of a day by the wall clock, minutes. */
export const MORNING = 8 * 60;
export const EVENING = 19 * 60;
const NIGHT = 21 * 60 + 30;

/** No run has more steps. */
const MOST_STEPS = 400;

/** Minutes on reeds of one play. */
export type OnReeds = readonly { readonly reedId: string; readonly minutes: number }[];

/**
 * Somebody in front of the program: opens pages, plays, packs up, and says so. All of it goes over the wire; what was done
 * is kept as deeds, what is worth reading as lines of a diary.
 */
export class Person {
  readonly id = 'somebody';
  deeds: Deed[] = [];
  lines: string[] = [];
  readonly instruments = new Map<string, KindId>();

  constructor(
    private readonly house: Household,
    private readonly opens: readonly PageName[],
  ) {}

  get today(): LocalDate {
    return this.house.now().on;
  }

  /** The minute of the day. */
  get minute(): number {
    return this.house.now().atMinute;
  }

  note(line: string): void {
    this.lines.push(line);
  }

  at(minute: number): void {
    this.house.setClock(this.today, minute);
  }

  /** Logs a fact now. */
  async log(path: string, body: object): Promise<string> {
    const answer = await this.house.post(path, { key: this.house.newKey(), now: this.house.now(), ...body });
    return loggedKey.validateSync(answer, { stripUnknown: true }).key;
  }

  /** Asks something that is sent, and writes nothing. */
  ask(path: string, body: object): Promise<unknown> {
    return this.house.post(path, { now: this.house.now(), ...body });
  }

  /** Asks a page by its address. */
  get(path: string): Promise<unknown> {
    return this.house.get(path);
  }

  // ---- moving in
  async arrive(standing: Standing, does: readonly string[] = []): Promise<void> {
    await this.house.post(playerPaths.list, { id: this.id, name: 'Somebody', standing, does });
  }

  async own(id: string, kind: KindId, { since = 400, cameNew = true, build = {} }: Owning = {}): Promise<void> {
    await this.house.post(instrumentPaths.add, {
      id,
      name: BOOK.kinds[kind].name,
      kind,
      build: { ...usualBuild(BOOK.kinds[kind]), ...build },
      playerId: this.id,
      acquiredOn: addDays(this.today, -since),
      cameNew,
      today: this.today,
    });
    this.instruments.set(id, kind);
  }

  /** A box of reeds; `before` minutes each has been played, 0 new. */
  box(kind: KindId, name: string, before: readonly (number | null)[], over: object = {}): Promise<string> {
    return this.log(reedPaths.boxes, {
      playerId: this.id,
      kind,
      name,
      cut: null,
      strength: null,
      material: 'cane',
      breakIn: 'week',
      place: null,
      cost: null,
      cameOn: this.today,
      before,
      ...over,
    });
  }

  concert(instrumentIds: readonly string[], inDays: number, minutes = 60): Promise<string> {
    return this.log(calendarPaths.events, {
      playerId: this.id,
      what: 'concert',
      on: addDays(this.today, inDays),
      until: null,
      minutes,
      instrumentIds,
      name: null,
    });
  }

  /** Minutes they have for care by weekday, Monday first. */
  hasTime(minutes: readonly number[]): Promise<string> {
    return this.log(sittingPaths.times, { playerId: this.id, minutes });
  }

  // ---- pages
  async reedsOf(kind: KindId): Promise<ReedsOfKindView | null> {
    const page = await this.reeds();
    return page.kinds.find((one) => one.kind === kind) ?? null;
  }

  private async reeds() {
    return reedsPage.validateSync(await this.house.get(reedPaths.of(this.id, this.house.now())), { strict: true });
  }

  async reedPlan(kind: KindId): Promise<ReedPlanView> {
    const { on, atMinute } = this.house.now();
    const asked = `${reedPaths.plan}?playerId=${this.id}&kind=${kind}&today=${on}&atMinute=${atMinute}`;
    return reedPlanView.validateSync(await this.house.get(asked), { strict: true });
  }

  async care(instrumentId: string): Promise<InstrumentPage> {
    return instrumentPage.validateSync(await this.house.get(carePaths.page(instrumentId, this.today)), {
      strict: true,
    });
  }

  async look(withCalendar: boolean): Promise<Seen> {
    const { house, opens } = this;
    const today = todayView.validateSync(await house.get(todayPaths.of(this.id, house.now())), { strict: true });
    const care = new Map<string, InstrumentPage>();
    if (opens.includes('care')) for (const id of this.instruments.keys()) care.set(id, await this.care(id));
    return {
      today,
      care,
      reeds: opens.includes('reeds') ? await this.reeds() : null,
      sittings: opens.includes('calendar') && withCalendar ? await this.calendar() : null,
      ...(opens.includes('bench') ? await benchSeen(this) : { bench: null, costs: null }),
      ...(opens.includes('calendar') && withCalendar ? await this.file() : { file: null, told: null }),
    };
  }

  async calendar() {
    const asked = await this.house.get(sittingPaths.of(this.id, this.today));
    return sittingsView.validateSync(asked, { strict: true });
  }

  /** The calendar as a file that is taken in, and as a program sees it that subscribes to its address. */
  private async file(): Promise<Pick<Seen, 'file' | 'told'>> {
    const { house } = this;
    const file = readByAnother(await house.text(sittingPaths.fileOf(this.id, this.today)));
    const known = feedView.validateSync(await house.get(sittingPaths.feedOf(this.id)), { strict: true });
    // After a move to another machine there is no address yet.
    const { path } = known.path
      ? known
      : feedView.validateSync(await house.post(sittingPaths.feed, { playerId: this.id }), { strict: true });
    return { file: standingIn(file), told: readByAnother(await house.text(path ?? '')) };
  }

  // ---- playing and caring
  /** Says that something was played; on which reeds, where somebody says so. */
  async play(instrumentId: string, minutes: number, on: OnReeds = [], alone: AloneId | null = null): Promise<string> {
    const { atMinute } = this.house.now();
    const key = await this.log(playPaths.log, {
      instrumentId,
      playerId: this.id,
      endedOn: this.today,
      endedAtMinute: atMinute,
      minutes,
      roomCelsius: null,
      alone,
      ...(on.length > 0 ? { reeds: { shares: on, high: 'none' } } : {}),
    });
    this.deeds.push({ did: 'played', instrumentId, minutes, reeds: on.map(({ reedId }) => reedId) });
    return key;
  }

  /** Goes through a run to its end, step by step as it is said, every look found as it usually is. */
  async run(
    kind: RunKind,
    shares: readonly RunShare[],
    { isAway = false }: { readonly isAway?: boolean } = {},
  ): Promise<void> {
    const { house } = this;
    const begun = await house.post(packupPaths.start, {
      key: house.newKey(),
      now: house.now(),
      playerId: this.id,
      kind,
      parts: shares.map(({ instrumentId, playKey = null, itemIds = [] }) => ({ instrumentId, playKey, itemIds })),
      minutesAtHand: null,
    });
    const { key, plan } = runFact.answer.validateSync(begun, { strict: true });
    // Waits are waited for: the clock of the house stands still, and the run is gone through in its own order.
    if (isAway) await this.say(key, { kind: 'away' });
    const mine = plan.steps.filter(({ away }) => (isAway ? away === 'now' || away === 'only' : away !== 'only'));
    for (const step of mine.slice(0, MOST_STEPS)) {
      if (step.look === null) await this.say(key, { kind: 'ticked', stepKey: step.key });
      else await this.say(key, { kind: 'answered', stepKey: step.key, answer: step.look.answers[0]?.id });
    }
    await this.say(key, { kind: 'finished', now: house.now() });
    const after = runView.validateSync(await house.get(packupPaths.one(key)), { strict: true }) as unknown as RunView;
    for (const { instrumentId, itemId } of after.done ?? []) this.deeds.push({ did: 'cared', instrumentId, itemId });
    if (isAway) for (const { instrumentId } of shares) this.deeds.push({ did: 'cased-damp', instrumentId });
    const open = stepAtHand(shownRun(after).steps, Infinity);
    if (open !== null) this.note(`  left open: ${open.heading}`);
  }

  private async say(runKey: string, event: object): Promise<void> {
    await this.house.post(packupPaths.events(runKey), { key: this.house.newKey(), ...event });
  }

  /** Lays out what was cased damp, and dries it. */
  async layOut(instrumentId: string): Promise<void> {
    if ((await this.care(instrumentId)).damp === null) return;
    await this.run('care', [{ instrumentId, itemIds: [CASED_DAMP] }]);
    this.note(`  laid out and dried ${instrumentId}`);
  }

  async careDone(instrumentId: string, itemId: CareItemId): Promise<string> {
    const key = await this.log(carePaths.log, { instrumentId, itemId, doneOn: this.today, by: 'player' });
    this.deeds.push({ did: 'cared', instrumentId, itemId });
    return key;
  }

  /** Says something of a reed: a grade, a back rubbed flat, its end. */
  said(reedId: string, saying: object): Promise<string> {
    return this.log(reedPaths.said, { reedId, feel: null, goodFor: null, signs: [], cause: null, ...saying });
  }

  /** Takes back what was logged, and remembers how everything stood before it was logged and stands now. */
  async undo(what: string, doIt: () => Promise<string>): Promise<void> {
    const before = await this.look(true);
    const deeds = [...this.deeds];
    const key = await doIt();
    await this.house.post('/api/withdrawals', { key: this.house.newKey(), targetKey: key });
    const after = await this.look(true);
    this.deeds = [...deeds, { did: 'undid', what, before, after }];
    this.note(`  did and undid: ${what}`);
  }

  /** Moves to another machine, and remembers how everything stood there and stands here. */
  async move(): Promise<void> {
    const before = await this.look(true);
    await this.house.move();
    const after = await this.look(true);
    this.deeds = [...this.deeds, { did: 'moved', before, after }];
    this.note('  moved to another machine');
  }

  /** Tries something that may be refused; true where it was not. */
  async dares(what: () => Promise<unknown>): Promise<boolean> {
    try {
      await what();
      return true;
    } catch (error) {
      if (error instanceof Refused && error.status < 500) return false;
      throw error;
    }
  }

  night(): void {
    this.at(NIGHT);
  }
}

type Owning = {
  readonly since?: number;
  readonly cameNew?: boolean;
  readonly build?: Readonly<Record<string, string>>;
};
export type RunShare = {
  readonly instrumentId: string;
  readonly playKey?: string | null;
  readonly itemIds?: readonly CareItemId[];
};

export const isDue = ({ gauge }: CareClockView): boolean => gauge.state === 'due' || gauge.state === 'overdue';
