import { localDate } from '#core/time/local-date.ts';
import { askedAbout, happenedTo, itHelped, wasCleared, type Truth } from '#tools/lives/asking.ts';
import { doWhatIsDue, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';
import type { Person } from '#tools/lives/person.ts';

const [KNOCKED, COLD_NIGHT, LOOKED_AT, SLOW_VALVE, COLD_AGAIN, CROOKED] = [2, 8, 14, 17, 20, 22];

/** A night in the cold that did no harm: it is not played until it is as warm as the room. */
async function growsWarm(person: Person): Promise<void> {
  await happenedTo(person, 'clarinet', 'cold-night');
  const begun = await person.dares(() => person.run('before', [{ instrumentId: 'clarinet' }]));
  person.note(`  clarinet: made ready while it is cold? ${begun ? 'yes' : 'refused'}`);
  // Two hours later it is.
  await wasCleared(person, 'clarinet');
}

/** Pops in the cold, and nobody can tell whether there is a line. */
async function popsInTheCold(person: Person): Promise<void> {
  await happenedTo(person, 'clarinet', 'cold-night');
  await askedAbout(person, {
    instrumentId: 'clarinet',
    noticed: ['wooden/pop'],
    truth: { 'wooden/line': 'cannot-tell' },
  });
  const begun = await person.dares(() => person.run('before', [{ instrumentId: 'clarinet' }]));
  person.note(`  clarinet: made ready all the same? ${begun ? 'yes' : 'refused'}`);
}

/** The clarinet squeaks; what it comes to is done, and helps. */
async function squeaks(person: Person, truth: Truth): Promise<void> {
  const noticed = ['single-reed/squeak'] as const;
  await itHelped(person, await askedAbout(person, { instrumentId: 'clarinet', noticed, truth }));
}

/** The valve hangs; it is oiled, and helps. */
async function valveHangs(person: Person): Promise<void> {
  const truth = { 'piston/oil-helps': 'yes' } as const;
  await itHelped(person, await askedAbout(person, { instrumentId: 'trumpet', noticed: ['piston/slow'], truth }));
}

/** What goes wrong, and what is done about it, by day. */
const HAPPENS: Readonly<Record<number, (person: Person) => Promise<void>>> = {
  [KNOCKED]: async (person) => {
    await happenedTo(person, 'clarinet', 'knocked', 'mouthpiece');
    await squeaks(person, { 'single-reed/mouthpiece-chipped': 'yes' });
  },
  [COLD_NIGHT]: popsInTheCold,
  [LOOKED_AT]: (person) => wasCleared(person, 'clarinet'),
  [SLOW_VALVE]: valveHangs,
  [COLD_AGAIN]: growsWarm,
  // Set anew on the spot, and played on.
  [CROOKED]: (person) => squeaks(person, { 'single-reed/crooked-seen': 'yes', 'single-reed/reset-helps': 'yes' }),
};

export const life: Life = {
  name: 'three-things-go-wrong',
  who: 'A grown-up whose mouthpiece is knocked, whose clarinet pops after a night in the cold and grows warm after another, whose valve hangs and whose reed sits crooked.',
  from: localDate('2026-01-12'),
  days: 24,
  nature: 'does-as-they-like',
  opens: ['care', 'calendar'],
  calendarEvery: 4,
  begin: async (person) => {
    await person.arrive('grown-up', ['key-oil']);
    await person.own('clarinet', 'clarinet');
    await person.own('trumpet', 'trumpet');
    await person.hasTime([20, 20, 20, 20, 20, 40, 40]);
  },
  live: async (person, day) => {
    await HAPPENS[day]?.(person);
    const isStopped = day >= COLD_NIGHT && day < LOOKED_AT;
    if (day % 2 === 0 && !isStopped) await practise(person, { instrumentId: 'clarinet', minutes: 40, obeys: false });
    if (day % 2 === 1) await practise(person, { instrumentId: 'trumpet', minutes: 40, obeys: false });
    if (day % 7 === 6) for (const id of ['clarinet', 'trumpet']) await doWhatIsDue(person, id);
  },
};
