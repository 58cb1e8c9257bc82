import { costPaths } from '#contract/costs.ts';
import { addDays, localDate } from '#core/time/local-date.ts';
import { AtTheBench, reads } from '#tools/lives/benching.ts';
import { doWhatIsDue, isWeekday, practise } from '#tools/lives/habits.ts';
import type { Life } from '#tools/lives/life.ts';
import type { Person } from '#tools/lives/person.ts';

/** Seconds the upper joint holds: it loses two in five weeks, and holds nine once its pads are new. */
const NEW = 9;
const LOST_A_DAY = 2 / 35;
const EVERY_DAYS = 14;

/** Begun anew with each life. */
let bench = new AtTheBench('EUR');
let newSince = 0;

/** What today asks for before it goes to the bench. */
async function packsUpLate(person: Person): Promise<void> {
  const { awaitsPackUp, goesToday } = await person.care('clarinet');
  if (!awaitsPackUp || !goesToday) return;
  person.note('  packed up clarinet before it goes to the bench');
  await person.run('after', [{ instrumentId: 'clarinet', itemIds: [] }]);
}

export const life: Life = {
  name: 'pads-that-wear',
  who: 'A clarinettist whose pads wear, who reads how long the joint holds, goes to the bench when it is said with what was played the evening before, and saves for it.',
  from: localDate('2026-02-02'),
  days: 150,
  nature: 'does-what-is-said',
  opens: ['bench', 'care'],
  begin: async (person) => {
    bench = new AtTheBench('EUR');
    newSince = 0;
    await person.arrive('grown-up', ['key-oil', 'bore-oil', 'screws']);
    await person.own('clarinet', 'clarinet', { since: 500 });
    const cost = { minor: 11_000, currency: 'EUR' };
    const bill = { instrumentId: 'clarinet', sort: 'bill', works: ['service'], what: null, cost };
    await person.log(costPaths.bill, { ...bill, saidOn: addDays(person.today, -40) });
    const service = { done: [{ instrumentId: 'clarinet', itemIds: ['wind/bench-service'] }], cost: null };
    await person.log('/api/events', {
      ...{ playerId: person.id, what: 'bench', minutes: null, name: null, instrumentIds: ['clarinet'] },
      ...{ on: addDays(person.today, -50), until: addDays(person.today, -40), stay: service },
    });
  },
  live: async (person, day) => {
    const isAway = bench.isAway('clarinet', person.today);
    const eve = bench.isAway('clarinet', addDays(person.today, 1));
    // On the evening before it goes there nobody has time: it is packed up in the morning.
    if (isAway) await packsUpLate(person);
    else if (eve || isWeekday(person, 0, 2, 4))
      await practise(person, { instrumentId: 'clarinet', minutes: 45, obeys: true, packsUp: !eve });
    const works = person.deeds.length;
    await bench.day(person);
    if (!bench.isAway('clarinet', person.today)) await doWhatIsDue(person, 'clarinet');
    const back = person.deeds.slice(works).find(({ did }) => did === 'came-back');
    if (back?.did === 'came-back' && back.works.includes('pads')) newSince = day;
    if (isAway || bench.isAway('clarinet', person.today) || day % EVERY_DAYS !== 0) return;
    const held = Math.max(0.5, NEW - LOST_A_DAY * (day - newSince));
    const value = Math.round(held * 2) / 2;
    await reads(person, { instrumentId: 'clarinet', measure: 'held-shut/upper-joint', way: 'sucked-shut', value });
  },
};
