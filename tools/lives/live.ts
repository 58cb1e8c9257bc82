import { addDays } from '#core/time/local-date.ts';
import { openHousehold } from '#tools/lives/household.ts';
import type { Day, Life, Lived } from '#tools/lives/life.ts';
import { MORNING, Person } from '#tools/lives/person.ts';

/** Lives a life from its first day to its last, or only so many days of it. */
export async function live(life: Life, days = life.days): Promise<Lived> {
  const house = await openHousehold(life.from);
  try {
    house.setClock(life.from, 60);
    const person = new Person(house, life.opens);
    await life.begin(person);
    const lived: Day[] = [];
    for (let day = 0; day < Math.min(days, life.days); day++) {
      const on = addDays(life.from, day);
      house.setClock(on, MORNING);
      person.deeds = [];
      person.lines = [];
      const withCalendar = day % (life.calendarEvery ?? 1) === 0;
      const morning = await person.look(withCalendar);
      await life.live(person, day);
      person.night();
      const evening = await person.look(withCalendar);
      lived.push({ on, morning, evening, deeds: person.deeds, lines: person.lines });
    }
    return { life, days: lived };
  } finally {
    await house.stop();
  }
}
