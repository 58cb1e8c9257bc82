import { doneThereWords, ticketLine, workName } from '#core/bench/bench-words.ts';
import { handoverLines, type HandoverNoted } from '#core/calendar/handover.ts';
import { ticketText, type Ticket } from '#core/bench/ticket.ts';
import { bookItem } from '#core/book/book.ts';
import type { HandoverList, Packing } from '#core/book/packing.ts';
import { workDoneAtBench } from '#core/calendar/event.ts';
import {
  lineWords,
  measureWords,
  readingWords,
  TAKEN_BY_WORDS,
  WAY_WORDS,
} from '#core/inspections/inspection-words.ts';
import type { MeasureStanding } from '#core/inspections/inspections-standing.ts';
import { buildWords } from '#core/instruments/build-words.ts';
import { kindName } from '#core/instruments/kind.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { TicketView } from '#contract/bench.ts';
import { noInstrument, type Failure } from '#server/failure.ts';
import { benchAsked, workFor, type BenchAskedOf } from '#server/views/bench-asked.ts';
import { noteOf, standsOf } from '#server/views/interview-stands.ts';
import { lookAt } from '#server/views/looked-at.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';

/** What was read of a thing last, with how and by whom. */
function readingLine({ measure, place, lines, newest }: MeasureStanding, { format }: Services): string | null {
  const way = lines.at(-1)?.way;
  if (newest === null || way === undefined) return null;
  const what = readingWords(way, newest.value, format);
  return `${measureWords(measure, place)}: ${what}, ${WAY_WORDS[way.id]}, by ${TAKEN_BY_WORDS[newest.by]} on ${format.date(newest.on)}`;
}

/** What was done there last, and when. */
function lastStay({ facts, instrument }: Reading, { book, format }: Services): string | null {
  const last = workDoneAtBench(facts.events, instrument.id).toSorted((a, b) => (a.on < b.on ? 1 : -1))[0];
  if (last === undefined) return null;
  const items = last.itemIds.flatMap((id) => bookItem(book, id) ?? []);
  const works = last.works.map((id) => workName(book, id));
  return `${format.date(last.on)}. ${doneThereWords(items, works)}`;
}

/** Everything the bench is told of one instrument. */
function ticketOf(asked: BenchAskedOf, reading: Reading): Ticket {
  const { services, today, terms } = asked;
  const { format, book } = services;
  const { instrument, player } = reading;
  const { kind, inspections } = reading.situation(today);
  const looked = lookAt(services, instrument.id, today);
  const open = looked?.faults.open;
  const note = looked && open ? noteOf(open, standsOf(open, 'sure', looked), looked).split('\n') : [];
  return {
    today,
    instrument: instrument.name,
    kindName: kindName(kind, instrument.build),
    build: buildWords(kind, instrument.build),
    serial: services.serials.of(instrument.id),
    player: player.name,
    bench: { name: terms.name, phone: terms.phone },
    wanted: (workFor(asked, reading)?.jobs ?? []).map((job) => ticketLine(job, book, format)),
    note,
    readings: inspections.standing.flatMap((one) => {
      const words = readingLine(one, services);
      return words === null
        ? []
        : [{ name: measureWords(one.measure, one.place), words, line: lineWords(one, format) }];
    }),
    last: lastStay(reading, services),
    hasCase: kind.loose.some(({ id }) => id === 'case'),
  };
}

/** When a list was gone through last, and what was not so then. */
function goneThrough(list: HandoverList, { facts: { handovers } }: Reading, packing: Packing): TicketView['packed'] {
  const last: HandoverNoted | undefined = handovers.findLast((one) => one.list === list);
  if (last === undefined) return null;
  const notSo = last.lines.filter(({ answer }) => answer === 'not-so');
  return { on: last.on, notSo: notSo.map(({ line }) => packing[list].find(({ id }) => id === line)?.text ?? line) };
}

/** What the bench is told, what is seen to before it goes and when it is back. */
export function ticketViewOf(services: Services, id: string, today: LocalDate): Outcome<TicketView, Failure> {
  const reading = services.readings.of(id);
  const asked = reading && benchAsked(services, reading.player.id, today);
  if (!reading || !asked) return fail(noInstrument());
  const ticket = ticketOf(asked, reading);
  const { kind, build } = reading.instrument;
  const way = { kind, build, isSent: asked.terms.shippingDays > 0 };
  const { packing } = services.book;
  const listOf = (list: HandoverList) =>
    handoverLines(packing, list, way).map(({ id: line, text, amiss }) => ({ id: line, text, amiss }));
  return succeed({
    ...ticket,
    instrumentId: reading.instrument.id,
    build: [...ticket.build],
    note: [...ticket.note],
    bench: { ...ticket.bench },
    wanted: ticket.wanted.map(({ name, why }) => ({ name, text: why })),
    readings: ticket.readings.map(({ words, line }) => ({ name: words, text: line })),
    packing: listOf('out'),
    packed: goneThrough('out', reading, packing),
    pickUp: listOf('back'),
    fetched: goneThrough('back', reading, packing),
    withSomebody: reading.player.standing !== 'grown-up',
    asText: ticketText(ticket, services.format),
  });
}
