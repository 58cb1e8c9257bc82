import { USUAL_BENCH, type BenchTerms } from '#core/bench/bench-terms.ts';
import type { BenchAnswer, BenchDay, Clash } from '#core/bench/bench-days.ts';
import { noticedOn, type BenchJob, type BenchWork } from '#core/bench/bench-jobs.ts';
import { RATES } from '#core/bench/rates.ts';
import type { AwayFor, ShutDays } from '#core/bench/stay.ts';
import type { WorkId } from '#core/book/work.ts';
import type { Book } from '#core/book/book.ts';
import { signOf, type CareItem } from '#core/book/care-item.ts';
import { eventWords } from '#core/calendar/event.ts';
import type { ItemClock } from '#core/care/care-clock.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { asSentence, counted, duration, listed, type Format } from '#core/explain/format.ts';
import { CHANCE_WORDS_SAID } from '#core/faults/fault-words.ts';
import { lineWords, measureWords, readingWords } from '#core/inspections/inspection-words.ts';
import type { MeasureStanding } from '#core/inspections/inspections-standing.ts';
import { dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';

/** When it should go, in one sentence. */
export function benchHeadline(
  { days: [best] }: BenchAnswer,
  { due }: BenchWork,
  today: LocalDate,
  format: Format,
): string {
  if (best === undefined)
    return 'Every day of the next year clashes with something: see why. Ask for a spare, and take it there anyway.';
  const back = best.back === best.on ? 'It is done on that day.' : `It is back about ${format.weekdayDate(best.back)}.`;
  const isDue = due <= today ? 'It is due. ' : '';
  return `${isDue}Take it there on ${format.weekdayDate(best.on)}. ${back}`;
}

function clockLine(clock: ItemClock, format: Format): WhyLine {
  const { item, due, state } = clock;
  const name = asSentence(item.name.toLowerCase());
  if (due === null) return { rule: 'called', text: `${name}: a sign was seen. ${item.why}`, mark: item.mark };
  if (state === 'due' || state === 'overdue')
    return { rule: 'due', text: `${name}: ${state === 'due' ? 'due now' : 'overdue'}. ${item.why}`, mark: item.mark };
  const range =
    due.earliest === due.latest ? '' : `, between ${format.date(due.earliest)} and ${format.date(due.latest)}`;
  return { rule: 'due', text: `${name}: due ${format.date(due.on)}${range}. ${item.why}`, mark: item.mark };
}

function measureLine(standing: MeasureStanding, format: Format): WhyLine {
  const { measure, place, newest, lines } = standing;
  const way = lines.at(-1)?.way;
  const read =
    newest && way ? `: ${readingWords(way, newest.value, format)}, read on ${format.date(newest.on)}. ` : '. ';
  const goes = newest?.grade === 'bench' ? 'That is work for the bench.' : lineWords(standing, format);
  return { rule: 'read', text: `${measureWords(measure, place)}${read}${goes}`, mark: 'yours' };
}

/** What asks for the bench, and why. */
export function jobLine({ reason }: BenchJob, format: Format): WhyLine {
  if ('clock' in reason) return clockLine(reason.clock, format);
  if ('standing' in reason) return measureLine(reason.standing, format);
  if ('stop' in reason) {
    const { rule, since } = reason.stop;
    return {
      rule: 'stop',
      text: `${rule.heading}, since ${format.date(since)}. It waits until somebody there has looked.`,
      mark: rule.mark,
    };
  }
  const chance = CHANCE_WORDS_SAID[reason.word].toLowerCase();
  return {
    rule: 'fault',
    text: `What was noticed on ${format.date(reason.since)}: ${chance} “${reason.cause.name.toLowerCase()}”, work for the bench.`,
    mark: reason.cause.mark,
  };
}

/** What a bench is told of a piece of work: what it is, and since when or until when. */
export function ticketLine(job: BenchJob, book: Book, format: Format): { readonly name: string; readonly why: string } {
  const { reason } = job;
  if (!('clock' in reason)) return { name: jobName(job, book), why: jobLine(job, format).text };
  const seen = noticedOn(reason.clock);
  if (seen !== null) return { name: benchDeed(reason.clock.item), why: `Seen on ${format.date(seen)}.` };
  return { name: reason.clock.item.name, why: `Due on ${format.date(job.due)}.` };
}

/** What is to be done there, in a few words: "Bench service", "A slide freed: tuning slide". */
export function jobName({ reason, work }: BenchJob, book: Book): string {
  if ('clock' in reason) return reason.clock.item.name;
  return measureWords(book.benchWorks.works[work], 'standing' in reason ? reason.standing.place : null);
}

type Said = { readonly away: AwayFor; readonly terms: BenchTerms };
/** How long it is away, and whose figures these are. */
function termsLine({ away, terms }: Said): WhyLine {
  const { workingDays, shippingDays, settlingDays } = away;
  const way =
    shippingDays === 0 ? 'carried there by hand' : `${counted(shippingDays, 'day')} on the way, there and again back`;
  const there = workingDays === 0 ? 'Done while you wait' : `${counted(workingDays, 'working day')} at the bench`;
  const TAKEN = ['workingDays', 'shippingDays', 'settlingDays'] as const;
  const isSaid = TAKEN.some((figure) => terms[figure] !== USUAL_BENCH[figure].value);
  const isYours = isSaid && TAKEN.every((figure) => away[figure] === terms[figure]);
  return {
    rule: 'terms',
    text: `${there}, ${way}, and ${counted(settlingDays, 'day')} to get used to it again.`,
    mark: isYours ? 'yours' : 'estimate',
  };
}

/** On which days of a stay the bench is shut. */
function shutLine({ on, back }: BenchDay, shut: ShutDays, format: Format): WhyLine[] {
  const within = [...shut].filter(([day]) => day >= dayNumber(on) && day <= dayNumber(back));
  if (within.length === 0) return [];
  const days = within.map(([day, name]) => `${format.date(dateOfDay(day))} (${name})`);
  return [{ rule: 'shut', text: `The bench is shut on ${listed(days)}, and no parcel comes.`, mark: 'yours' }];
}

/** What each rests on: the book on servicing, the calendar's own entry, or a guess that nobody else is there. */
const CLASH_MARKS: Readonly<Record<Clash['kind'], WhyLine['mark']>> = {
  audience: 'practice',
  'own-stay': 'yours',
  kin: 'practice',
  journey: 'estimate',
  shut: 'estimate',
  'shut-on-the-way': 'practice',
  'no-shipping': 'yours',
};
const CLASH_WORDS: Readonly<Record<Clash['kind'], string>> = {
  audience: 'It has to be back and played in before.',
  'own-stay': 'It is there already.',
  kin: 'The others of its kind are away then, and one of them stays to be played.',
  journey: 'Nobody is there to take it or to fetch it.',
  shut: '',
  'shut-on-the-way': '',
  'no-shipping': '',
};

function clashLine({ kind, event }: Clash, format: Format): WhyLine[] {
  if (event === null) return [];
  const until = event.until ?? event.on;
  const days = until === event.on ? format.date(event.on) : `${format.date(event.on)} to ${format.date(until)}`;
  return [
    { rule: kind, text: `${asSentence(eventWords(event))}, ${days}. ${CLASH_WORDS[kind]}`, mark: CLASH_MARKS[kind] },
  ];
}

const RATE_WORDS: Readonly<Record<keyof BenchDay['costs'], string>> = {
  lost: 'of playing fall into that time',
  overdue: 'for each week after its date, as heavy as what neglect of it costs',
  settling: 'for rehearsals in the days of getting used to it',
  shipping: 'for the days on the way',
  early: 'for a service that would be early',
};

/** What a day costs, reason by reason: what stands in the lines adds up to what stands in the last. */
export function dayWhy(
  day: BenchDay,
  { hasSpare, format }: { readonly hasSpare: boolean; readonly format: Format },
): WhyLine[] {
  const { costs, sum, ready } = day;
  const lines = (Object.keys(RATE_WORDS) as (keyof BenchDay['costs'])[])
    .filter((rule) => costs[rule] > 0)
    .map((rule): WhyLine => {
      const spare =
        rule === 'lost' && hasSpare
          ? `, counted at ${format.number(RATES.lostWithSpare.value)} because another of its kind stays at home`
          : '';
      return { rule, text: `${duration(costs[rule])} ${RATE_WORDS[rule]}${spare}.`, mark: 'estimate' };
    });
  return [
    ...(lines.length === 0
      ? [{ rule: 'free', text: 'It costs no playing at all.', mark: 'estimate' } as const]
      : [...lines, { rule: 'sum', text: `Together ${duration(sum)}.`, mark: 'estimate' } as const]),
    {
      rule: 'ready',
      text: `From ${format.weekdayDate(ready)} on it may be played to an audience again.`,
      mark: 'estimate',
    },
  ];
}

/** What a day costs in a few words. */
export const dayWords = ({ sum }: BenchDay): string =>
  sum === 0 ? 'It costs no playing.' : `It counts as ${duration(sum)} of playing.`;

/** What it costs to wait a month. */
function laterLine({ days: [best], monthLater }: BenchAnswer, format: Format): WhyLine[] {
  if (best === undefined || monthLater === null) return [];
  const more = monthLater.sum - best.sum;
  const when = `Waiting about a month, until ${format.weekdayDate(monthLater.on)},`;
  return [
    {
      rule: 'later',
      text: more === 0 ? `${when} costs no more.` : `${when} costs ${duration(more)} more.`,
      mark: 'estimate',
    },
  ];
}

/** Of days that are offered, the one that loses the least playing, where that is another than the best. */
function leastLostLine({ days }: BenchAnswer, format: Format): WhyLine[] {
  const [best] = days;
  const least = days.toSorted((a, b) => a.costs.lost - b.costs.lost)[0];
  if (best === undefined || least === undefined || least.costs.lost === best.costs.lost) return [];
  return [
    {
      rule: 'least-lost',
      text: `Of these, ${format.weekdayDate(least.on)} loses the least playing (${duration(least.costs.lost)}), and costs more for other reasons.`,
      mark: 'estimate',
    },
  ];
}

export type WhySetting = Said & {
  readonly shut: ShutDays;
  /** Its player learns at a school. */
  readonly isPupil: boolean;
  readonly format: Format;
};

/** Why these days: what is due, how long it takes, what is in the way, what waiting costs. */
export function benchWhy(
  { jobs }: BenchWork,
  answer: BenchAnswer,
  { terms, away, shut, isPupil, format }: WhySetting,
): WhyLine[] {
  const [best] = answer.days;
  const isSent = away.shippingDays > 0;
  return [
    ...jobs.map((job) => jobLine(job, format)),
    termsLine({ away, terms }),
    ...answer.inTheWay.flatMap((clash) => clashLine(clash, format)),
    ...(best ? shutLine(best, shut, format) : []),
    ...laterLine(answer, format),
    ...leastLostLine(answer, format),
    ...(isPupil
      ? [
          {
            rule: 'school',
            text: 'A school’s instrument goes in over the long holiday: enter it in the calendar, and nothing is lost.',
            mark: 'practice',
          } as const,
        ]
      : []),
    ...(isSent && away.shippingDays < 5
      ? [
          {
            rule: 'weekend',
            text: 'A parcel is sent so that it does not lie over a weekend or a holiday, there or back.',
            mark: 'practice',
          } as const,
        ]
      : []),
    ...(isSent && terms.noShippingMonths.length > 0
      ? [{ rule: 'frost', text: 'In the months you have named nothing is sent.', mark: 'yours' } as const]
      : []),
  ];
}

type ItemDone = Pick<CareItem, 'name' | 'place' | 'trigger'>;
/** What a sign called to the bench for; null for what is done there in its turn. */
const signPutRight = (item: ItemDone): string | null =>
  item.place === 'bench' && item.trigger.kind === 'when-noticed' ? (signOf(item) ?? null) : null;

/** An item of care as something that may have been done on it: "Bench service", "Put right: a dent". */
export function benchDeed(item: ItemDone): string {
  const sign = signPutRight(item);
  return sign === null ? item.name : `Put right: ${sign}`;
}

/** What was done there: "Done there: bench service. Put right: a dent." */
export function doneThereWords(items: readonly ItemDone[], works: readonly string[] = []): string {
  const signs = items.flatMap((item) => signPutRight(item) ?? []);
  const names = [...items.filter((item) => signPutRight(item) === null).map(({ name }) => name), ...works].map((name) =>
    name.toLowerCase(),
  );
  if (signs.length === 0) return `Done there: ${names.length === 0 ? 'nothing of its care' : listed(names)}.`;
  const right = `Put right: ${listed(signs)}.`;
  return names.length === 0 ? right : `Done there: ${listed(names)}. ${right}`;
}

/** What a piece of work at the bench is called. */
export const workName = ({ benchWorks }: Book, id: WorkId): string => benchWorks.works[id].name;
