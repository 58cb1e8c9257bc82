import { USUAL_BENCH, type BenchTerms } from '#core/bench/bench-terms.ts';
import {
  DAYS_BEFORE_AUDIENCE,
  type BenchAnswer,
  type BestStay,
  type Clash,
  type Stretch,
} from '#core/bench/bench-window.ts';
import type { BenchWork } from '#core/bench/bench-work.ts';
import type { CareItem } from '#core/book/care-item.ts';
import { eventWords } from '#core/calendar/event.ts';
import type { WhyLine } from '#core/explain/explained.ts';
import { asSentence, counted, duration, listed, type Format } from '#core/explain/format.ts';
import { dateOfDay, dayNumber, type LocalDate } from '#core/time/local-date.ts';

const daysWords = ({ from, to }: Stretch, format: Format): string =>
  from === to ? `on ${format.weekdayDate(from)}` : `from ${format.weekdayDate(from)} to ${format.weekdayDate(to)}`;

/** When it should go, in one sentence. */
export function benchHeadline({ best, isLate }: BenchAnswer, format: Format): string {
  if (best === null) return 'No day makes sense in that time.';
  const back = `It is back about ${format.weekdayDate(best.back)}.`;
  return isLate
    ? `Take it there as soon as you can: ${format.weekdayDate(best.on)}. ${back}`
    : `Take it there on ${format.weekdayDate(best.on)}. ${back}`;
}

/** The earliest and the latest day that make sense, and what lies between. */
export function windowsWords({ windows, isLate }: BenchAnswer, { until }: BenchWork, format: Format): string {
  const [first] = windows;
  const last = windows.at(-1);
  if (first === undefined || last === undefined)
    return isLate
      ? 'Every day of the next four months clashes with something: see why. Ask for a spare, and take it there anyway.'
      : `Every day until ${format.date(until)} clashes with something: see why. A spare would make room.`;
  if (isLate) return `It is late already. The first day that makes sense is ${format.weekdayDate(first.from)}.`;
  return `Any day ${listed(windows.map((one) => daysWords(one, format)))} makes sense.`;
}

function dueLine({ clocks }: BenchWork, format: Format): WhyLine[] {
  return clocks.map(({ item, due, state }) => {
    const name = asSentence(item.name.toLowerCase());
    if (due === null) return { rule: 'called', text: `${name}: a sign was seen. ${item.why}`, mark: item.mark };
    if (state === 'due' || state === 'overdue')
      return { rule: 'due', text: `${name}: ${state === 'due' ? 'due now' : 'overdue'}. ${item.why}`, mark: item.mark };
    const range =
      due.earliest === due.latest ? '' : `, between ${format.date(due.earliest)} and ${format.date(due.latest)}`;
    return { rule: 'due', text: `${name}: due ${format.date(due.on)}${range}. ${item.why}`, mark: item.mark };
  });
}

const TAKEN: readonly (keyof typeof USUAL_BENCH)[] = ['workingDays', 'shippingDays', 'settlingDays'];
/** How long it is away, and whose figures these are. */
function termsLine(terms: BenchTerms): WhyLine {
  const { workingDays, shippingDays, settlingDays } = terms;
  const way =
    shippingDays === 0 ? 'carried there by hand' : `${counted(shippingDays, 'day')} on the way, there and again back`;
  const isUsual = TAKEN.every((figure) => terms[figure] === USUAL_BENCH[figure].value);
  return {
    rule: 'terms',
    text: `${counted(workingDays, 'working day')} at the bench, ${way}, and ${counted(settlingDays, 'day')} to get used to it again.`,
    mark: isUsual ? 'estimate' : 'yours',
  };
}

/** On which days of a stay the bench is shut. */
function shutLine(best: BenchAnswer['best'], shut: WhySetting['shut'], format: Format): WhyLine[] {
  if (best === null) return [];
  const within = [...shut].filter(([day]) => day >= dayNumber(best.on) && day <= dayNumber(best.back));
  if (within.length === 0) return [];
  const days = within.map(([day, name]) => `${format.date(dateOfDay(day))} (${name})`);
  return [{ rule: 'shut', text: `The bench is shut on ${listed(days)}, and no parcel comes.`, mark: 'yours' }];
}

/** From when it may be played to an audience again. */
const readyLine = (best: BenchAnswer['best'], terms: BenchTerms, format: Format): WhyLine[] =>
  best === null
    ? []
    : [
        {
          rule: 'ready',
          text: `From ${format.weekdayDate(best.ready)} on it may be played to an audience again.`,
          mark: termsLine(terms).mark,
        },
      ];

/** What each rests on: the book on servicing, the calendar's own entry, or a guess that nobody else is there. */
const CLASH_MARKS: Readonly<Record<Clash['kind'], WhyLine['mark']>> = {
  audience: 'practice',
  'own-stay': 'yours',
  kin: 'practice',
  journey: 'estimate',
  shut: 'estimate',
  'shut-on-the-way': 'practice',
};
const CLASH_WORDS: Readonly<Record<Clash['kind'], string>> = {
  audience: 'It has to be back and played in before.',
  'own-stay': 'It is there already.',
  kin: 'Another of its kind is away then, and one of them stays to be played.',
  journey: 'Nobody is there to take it or to fetch it.',
  shut: '',
  'shut-on-the-way': '',
};

function clashLine({ kind, event }: Clash, format: Format): WhyLine[] {
  if (event === null) return [];
  const until = event.until ?? event.on;
  const days = until === event.on ? format.date(event.on) : `${format.date(event.on)} to ${format.date(until)}`;
  return [
    { rule: kind, text: `${asSentence(eventWords(event))}, ${days}. ${CLASH_WORDS[kind]}`, mark: CLASH_MARKS[kind] },
  ];
}

/** Why a day that loses so much is chosen all the same. */
function lostWords({ losesLeast }: BestStay, isLate: boolean): string {
  if (isLate) return 'what is overdue goes all the same';
  return losesLeast
    ? 'no other day that makes sense costs less'
    : `a day that costs less would leave fewer than ${DAYS_BEFORE_AUDIENCE} days before an audience`;
}

/** What is played to an audience soon after it. */
function soonLine(best: BenchAnswer['best'], isLate: boolean, format: Format): WhyLine[] {
  if (best === null || best.before === null) return [];
  const what = `${asSentence(eventWords(best.before))} on ${format.date(best.before.on)} comes soon after`;
  return [
    {
      rule: 'soon-after',
      text: `${what}: ${isLate ? 'what is overdue does not wait for it' : `no day that makes sense leaves ${DAYS_BEFORE_AUDIENCE} days before an audience`}.`,
      mark: 'estimate',
    },
  ];
}

type WhySetting = {
  readonly terms: BenchTerms;
  /** Public holidays where the bench is, by the number of the day. */
  readonly shut: ReadonlyMap<number, string>;
  readonly today: LocalDate;
  /** Its player learns at a school. */
  readonly isPupil: boolean;
  readonly format: Format;
};

/** Why that day: what is due, how long it takes, what is in the way, and what is lost. */
export function benchWhy(
  work: BenchWork,
  { best, inTheWay, isLate }: BenchAnswer,
  { terms, shut, today, isPupil, format }: WhySetting,
): WhyLine[] {
  const early = `Before ${format.date(work.from)} less than three quarters of its time have run; after`;
  const span: WhyLine = {
    rule: 'span',
    text: `${work.from > today ? early : 'After'} ${format.date(work.until)} half its time more has gone by.`,
    mark: 'estimate',
  };
  const lost: WhyLine[] =
    best === null
      ? []
      : [
          {
            rule: 'lost',
            text:
              best.minutesLost === 0
                ? 'Nothing is expected to be played on it in that time.'
                : `About ${duration(best.minutesLost)} of playing fall into that time: ${lostWords(best, isLate)}.`,
            mark: 'estimate',
          },
        ];
  const school: WhyLine[] = isPupil
    ? [
        {
          rule: 'school',
          text: 'A school’s instrument goes in over the long holiday: enter it in the calendar, and nothing is lost.',
          mark: 'practice',
        },
      ]
    : [];
  return [
    ...dueLine(work, format),
    ...(isLate ? [] : [span]),
    termsLine(terms),
    ...inTheWay.flatMap((clash) => clashLine(clash, format)),
    ...shutLine(best, shut, format),
    ...readyLine(best, terms, format),
    ...soonLine(best, isLate, format),
    ...lost,
    ...school,
    ...(terms.shippingDays > 0 && terms.shippingDays < 5
      ? [
          {
            rule: 'weekend',
            text: 'A parcel is sent so that it does not lie over a weekend or a holiday, there or back.',
            mark: 'practice',
          } as const,
        ]
      : []),
  ];
}

type Work = Pick<CareItem, 'name' | 'place' | 'trigger'>;
/** What a sign called to the bench for; null for what is done there in its turn. */
const signPutRight = ({ place, trigger }: Work): string | null =>
  place === 'bench' && trigger.kind === 'when-noticed' ? trigger.sign : null;

/** An item of care as something that may have been done on it: "Bench service", "Put right: a dent". */
export function benchDeed(item: Work): string {
  const sign = signPutRight(item);
  return sign === null ? item.name : `Put right: ${sign}`;
}

/** What was done there: "Done there: bench service. Put right: a dent." */
export function doneThereWords(items: readonly Work[]): string {
  const signs = items.flatMap((item) => signPutRight(item) ?? []);
  const names = items.filter((item) => signPutRight(item) === null).map(({ name }) => name.toLowerCase());
  if (signs.length === 0) return `Done there: ${names.length === 0 ? 'nothing of its care' : listed(names)}.`;
  const right = `Put right: ${listed(signs)}.`;
  return names.length === 0 ? right : `Done there: ${listed(names)}. ${right}`;
}
