import type { CauseId, MishapStop, SignId, StopRule } from '#core/book/fault.ts';
import type { Book } from '#core/book/book.ts';
import type { CalendarEvent } from '#core/calendar/event.ts';
import {
  isOpen,
  risksOfMishap,
  wasTapped,
  type EndSaid,
  type FaultFacts,
  type InterviewNoted,
  type MishapNoted,
} from '#core/faults/fault-record.ts';
import type { Outcomes } from '#core/faults/fault-net.ts';
import { faultsFor, withRemedies, type FaultsHere } from '#core/faults/faults-for.ts';
import { stoppedByAnswer } from '#core/faults/stops.ts';
import { answersOf, type Said, type Tried } from '#core/faults/said.ts';
import type { Instrument } from '#core/instruments/instrument.ts';
import { addDays, type LocalDate } from '#core/time/local-date.ts';

/** What stops an instrument, since when, and the fact that is ended when it is well again. */
export type StopStanding = {
  readonly rule: StopRule | MishapStop;
  /** Nobody could tell: until a named person has looked. */
  readonly unsure: boolean;
  readonly since: LocalDate;
  readonly key: string;
};

/** How what is wrong with an instrument stands on a day. */
export type FaultsStanding = {
  readonly here: FaultsHere;
  /** The newest that is still being asked about. */
  readonly open: InterviewNoted | null;
  readonly stopped: StopStanding | null;
  /** Everything that stops it, the one that is said among them. */
  readonly stops: readonly StopStanding[];
  /** What happened to it and still counts. */
  readonly mishaps: readonly MishapNoted[];
  /** What was found to be the cause before. */
  readonly outcomes: Outcomes;
};

/** One thing said, with the fact it can be taken back by; null where it came with the beginning. */
export type SaidInInterview = Said & { readonly key: string | null };
/** What was said in an interview, as it is asked on. */
export const saidIn = ({ noticed, answers }: InterviewNoted): SaidInInterview[] => [
  ...noticed.map((sign): SaidInInterview => ({ key: null, sign, answer: 'yes', noticed: true })),
  ...answers,
];
/** The signs that are so by what was said last of each in an interview. */
export const saidYes = (interview: InterviewNoted): SignId[] =>
  [...answersOf(saidIn(interview))].flatMap(([sign, answer]) => (answer === 'yes' ? [sign] : []));
export const triedIn = ({ outcomes }: InterviewNoted): Tried[] =>
  outcomes.map(({ cause, helped }) => ({ cause, helped }));

const saysAllOf = (other: InterviewNoted, { noticed }: InterviewNoted): boolean => {
  const said = saidYes(other);
  return noticed.every((sign) => said.includes(sign));
};

/** When and by whom it was ended; a remedy that helped ends it as well. */
function endedBy({ end, outcomes }: InterviewNoted): EndSaid | null {
  const helped = outcomes.find((one) => one.helped);
  if (end !== null || helped === undefined) return end;
  const { key, on, atWallMinute } = helped;
  return { key, on, atWallMinute, by: 'self' };
}

/**
 * Interviews with the ends they share: what ends one of them ends what was tapped by then and says no more. So every tap
 * stops by itself, and nobody has to say twice that somebody has looked.
 */
export function withSharedEnds(interviews: readonly InterviewNoted[]): InterviewNoted[] {
  const shared = (one: InterviewNoted): EndSaid | null => {
    for (const other of interviews) {
      const end = endedBy(other);
      if (end !== null && one.atWallMinute <= end.atWallMinute && saysAllOf(other, one)) return end;
    }
    return null;
  };
  return interviews.map((one) => {
    const end = wasTapped(one) && isOpen(one) ? shared(one) : null;
    return end === null ? one : { ...one, end, endedAlong: true };
  });
}

/** The one that is asked on: the newest, but none that was tapped and says no more than another. */
function askedOn(open: readonly InterviewNoted[]): InterviewNoted | null {
  const says = (one: InterviewNoted, at: number) =>
    open.some((other, its) => (!wasTapped(other) || its < at) && other !== one && saysAllOf(other, one));
  return open.filter((one, at) => !wasTapped(one) || !says(one, at)).at(-1) ?? null;
}

function stopOf(here: FaultsHere, interview: InterviewNoted): StopStanding | null {
  const stopped = stoppedByAnswer(here, answersOf(saidIn(interview)));
  if (stopped?.by !== 'answer') return null;
  return { rule: stopped.rule, unsure: stopped.answer === 'cannot-tell', since: interview.on, key: interview.key };
}

/** A stop that ends by itself is that of the day it happened; of a night that was said later, of the morning as well. */
function isOver({ clearedBy, overNight }: MishapStop, { on, saidLater, end }: MishapNoted, today: LocalDate): boolean {
  const last = overNight && saidLater ? addDays(on, 1) : on;
  return end !== null || (clearedBy === 'self' && last < today);
}

function stopOfMishap(here: FaultsHere, noted: MishapNoted, today: LocalDate): StopStanding | null {
  const rule = here.mishapStops.find(({ mishap }) => mishap === noted.mishap);
  if (!rule || isOver(rule, noted, today)) return null;
  return { rule, unsure: false, since: noted.on, key: noted.key };
}

/** The day an instrument last came back from the bench; null where it never was there. */
export const backFromBench = (events: readonly CalendarEvent[], id: string, today: LocalDate): LocalDate | null =>
  events
    .filter(
      ({ what, instrumentIds, until, on }) =>
        what === 'bench' && instrumentIds.some((one) => one === id) && (until ?? on) < today,
    )
    .map(({ on, until }) => until ?? on)
    .sort()
    .at(-1) ?? null;

/** Has what it may have done been found since, and put right? */
function isPutRight(mishap: MishapNoted, interviews: readonly InterviewNoted[], { causes }: FaultsHere): boolean {
  const risks = risksOfMishap(mishap);
  const found = interviews.flatMap(({ outcomes }) => outcomes.filter(({ helped, on }) => helped && on >= mishap.on));
  return found.some(({ cause }) => {
    const likelier = causes.find(({ id }) => id === cause)?.likelier;
    return risks.some((risk) => likelier?.[risk] !== undefined);
  });
}

/** Does it still count? For two weeks (estimate); a knock until the instrument was at the bench. */
function stillCounts({ mishap, on }: MishapNoted, days: number, back: LocalDate | null, today: LocalDate): boolean {
  if (on > today) return false;
  return mishap === 'knocked' ? back === null || back < on : addDays(on, days) >= today;
}

/** How often each cause was found on this instrument: what helped is what it was. */
export function outcomesOf(interviews: readonly InterviewNoted[]): Outcomes {
  const of = new Map<CauseId, number>();
  const helped = interviews.flatMap(({ outcomes }) => outcomes.filter((one) => one.helped));
  for (const { cause } of helped) of.set(cause, (of.get(cause) ?? 0) + 1);
  return { known: helped.length, of };
}

export type FaultsAsked = {
  readonly today: LocalDate;
  readonly events: readonly CalendarEvent[];
  /** Remedies as the methods in force have them. */
  readonly remedies?: Parameters<typeof withRemedies>[1];
};

/** Works out how what is wrong with an instrument stands; nothing is stored. */
export function faultsStanding(
  book: Book,
  { id, kind, build }: Pick<Instrument, 'id' | 'kind' | 'build'>,
  { interviews, mishaps }: FaultFacts,
  { today, events, remedies = [] }: FaultsAsked,
): FaultsStanding {
  const here = withRemedies(faultsFor(book, kind, build), remedies);
  const back = backFromBench(events, id, today);
  const open = interviews.filter(isOpen);
  const stops = [
    ...open.map((one) => stopOf(here, one)),
    ...mishaps.map((one) => stopOfMishap(here, one, today)),
  ].filter((one) => one !== null);
  return {
    here,
    open: askedOn(open),
    stops,
    // What may not be played at all comes before what may not be forced.
    stopped: stops.find(({ rule }) => rule.stands === 'not-played') ?? stops[0] ?? null,
    mishaps: mishaps.filter(
      (one) => stillCounts(one, here.figures.mishapDays.value, back, today) && !isPutRight(one, interviews, here),
    ),
    outcomes: outcomesOf(interviews),
  };
}

/** Is it not to be played, nor cared for beyond what its stop says? */
export const isLaidBy = ({ stopped }: Pick<FaultsStanding, 'stopped'>): boolean =>
  stopped !== null && stopped.rule.stands !== 'no-force';
