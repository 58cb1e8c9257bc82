import { standingIn } from '#tools/lives/calendar-read.ts';
import { describe, expect, test } from '@jest/globals';
import { localDate } from '#core/time/local-date.ts';
import type { Breach, Life, Lived, Rule, ToldEvent } from '#tools/lives/life.ts';
import { livesAndRules } from '#tools/lives/all.ts';
import { live } from '#tools/lives/live.ts';

/** Lives of which a share is lived here, so many days each; the whole is `npm run lives`. */
const SHARE = {
  'horn-that-is-dropped': 25,
  'beginner-with-a-new-box': 6,
  'corrects-and-undoes': 2,
  'moves-to-a-new-laptop': 4,
} as const;

const { lives, rules } = await livesAndRules();
const lifeOf = (name: string): Life => {
  const life = lives.find((one) => one.name === name);
  if (life === undefined) throw new Error(`no such life: ${name}`);
  return life;
};
const brokenIn = (lived: Lived): string[] =>
  rules
    .filter(({ expected }) => expected === undefined)
    .flatMap((rule) => rule.judge(lived).map(({ on, words }) => `${rule.name}, ${on}: ${words}`));

describe('lived with for some days', () => {
  test.each(Object.entries(SHARE))('%s: no rule is broken', async (name, days) => {
    const lived = await live(lifeOf(name), days);
    expect(lived.days).toHaveLength(days);
    expect(lived.days.some(({ deeds }) => deeds.some(({ did }) => did === 'played'))).toBe(true);
    expect(brokenIn(lived)).toEqual([]);
  });

  test('the same life lived again is the same', async () => {
    const life = lifeOf('child-with-one-reed');
    const [once, again] = [await live(life, 2), await live(life, 2)];
    expect(again.days.map(({ lines }) => lines)).toEqual(once.days.map(({ lines }) => lines));
  });
});

describe('a rule', () => {
  const ruleOf = (name: string): Rule => {
    const rule = rules.find((one) => one.name === name);
    if (rule === undefined) throw new Error(`no such rule: ${name}`);
    return rule;
  };
  const judged = (name: string, lived: Lived): readonly Breach[] => ruleOf(name).judge(lived);

  test('each has a name of its own, words, and finds what it is for', async () => {
    expect(new Set(rules.map(({ name }) => name)).size).toBe(rules.length);
    for (const { words } of rules) expect(words).toMatch(/^[A-Z].*\.$/);
    const lived = await live(lifeOf('beginner-with-a-new-box'), 3);
    /** The same life, with something wrong on its last morning. */
    const spoilt = (spoil: (morning: Lived['days'][number]['morning']) => object): Lived => ({
      ...lived,
      days: lived.days.map((day, at) =>
        at === lived.days.length - 1 ? { ...day, morning: { ...day.morning, ...spoil(day.morning) } } : day,
      ),
    });
    const silent = spoilt(({ reeds }) => ({
      reeds: reeds && {
        ...reeds,
        kinds: reeds.kinds.map((kind) => ({ ...kind, today: { words: ['Nothing.'], play: [], beyond: null } })),
      },
    }));
    expect(judged('something-to-play', silent)).toHaveLength(1);
    expect(judged('something-to-play', lived)).toEqual([]);
    const [last] = lived.days.slice(-1);
    const done = lived.days.flatMap(({ deeds }) => deeds).find(({ did }) => did === 'cared');
    expect(done).toBeDefined();
    const undone: Lived = {
      ...lived,
      days: lived.days.map((day) => ({
        ...day,
        deeds: last
          ? [
              {
                did: 'undid' as const,
                what: 'a play',
                before: last.morning,
                after: lived.days[0]?.morning ?? last.morning,
              },
            ]
          : [],
      })),
    };
    expect(judged('undone-is-as-before', undone).length).toBeGreaterThan(0);
    const before = last?.morning ?? undone.days[0]!.morning;
    const deeds = [{ did: 'moved' as const, before, after: lived.days[0]?.morning ?? before }];
    const lost: Lived = { ...lived, days: lived.days.map((day) => ({ ...day, deeds })) };
    expect(judged('moved-is-as-before', lost).length).toBeGreaterThan(0);
  });

  test('of what stands wet finds what is not said, and what is said of what has gone', () => {
    const wet = { awaitsPackUp: true, openRunKey: null, stopped: null, awayUntil: null, goesToday: false };
    const found = (over: object, ...whats: string[]) => {
      const seen = {
        today: { lines: whats.map((what) => ({ what, instrumentId: 'horn' })) },
        care: new Map([['horn', { ...wet, ...over }]]),
      };
      return judged('wet-is-on-today', { days: [{ on: '2026-03-02', morning: seen, evening: seen }] } as never).length;
    };
    const going = { awayUntil: '2026-03-05', goesToday: true };
    expect([found({}), found({}, 'pack'), found(going, 'pack')]).toEqual([2, 2, 2]);
    expect([found({}, 'wet'), found(going, 'wet', 'pack'), found({ openRunKey: 'run' }, 'run')]).toEqual([0, 0, 0]);
    const gone = { awayUntil: '2026-03-05' };
    expect([found(gone, 'wet'), found(gone), found({ awaitsPackUp: false })]).toEqual([2, 0, 0]);
  });

  test('of what is noticed finds what was tapped and is not said, and what was mended and still is', () => {
    const clock = (noticed: boolean) => ({
      ...{ itemId: 'keyed/water-in-hole', noticed, noticedSign: noticed ? 'keyed/gurgle' : null },
    });
    const noticed = { did: 'noticed', instrumentId: 'oboe', itemId: 'keyed/water-in-hole' };
    const mended = { did: 'mended', instrumentId: 'oboe', signs: ['keyed/gurgle'] };
    const found = (isNoticed: boolean, ...deeds: object[]) => {
      const evening = { care: new Map([['oboe', { clocks: [clock(isNoticed)] }]]) };
      const days = [{ on: localDate('2026-11-30'), evening, deeds }];
      return judged('noticed-is-one-thing', { days } as unknown as Lived).map(({ words }) => words);
    };
    expect(found(true, noticed)).toEqual([]);
    expect(found(false, noticed)[0]).toMatch(/does not say so/);
    expect(found(false, noticed, mended)).toEqual([]);
    expect(found(true, noticed, mended)[0]).toMatch(/still said/);
    expect(found(true, mended, noticed)).toEqual([]);
    expect(found(false, noticed, { ...noticed, did: 'cared' })).toEqual([]);
  });

  test('of a subscriber finds what stands twice, what changes unsaid, what is lost, and what is done and comes back', () => {
    const [monday, tuesday] = [localDate('2026-11-30'), localDate('2026-12-01')];
    const told = (over: Partial<ToldEvent> = {}): ToldEvent => ({
      uid: 'a',
      sequence: 1,
      isCancelled: false,
      on: localDate('2026-12-09'),
      summary: 'Care of instruments, about 10 min',
      when: 'on Wednesday',
      content: 'as it was',
      ...over,
    });
    const of = (...files: (readonly ToldEvent[])[]) => {
      const [morning, evening] = files.map(
        (file) => ({ told: file, file: standingIn(file) }) as unknown as Lived['days'][number]['morning'],
      );
      const days = [{ on: monday, morning, evening, deeds: [], lines: [] }] as unknown as Lived['days'];
      return judged('a-subscriber-believes-it', { days } as Lived).map(({ words }) => words);
    };
    expect(of([told()], [told({ sequence: 2, content: 'changed' })])).toEqual([]);
    expect(of([told()], [told({ sequence: 2, isCancelled: true, content: 'gone' })])).toEqual([]);
    expect(of([told({ on: monday })], [])).toEqual([]);
    expect(of([told()], [told(), told()])[0]).toMatch(/twice/);
    expect(of([told()], [told({ content: 'changed' })])[0]).toMatch(/same sequence/);
    expect(of([told()], [told({ sequence: 0 })])[0]).toMatch(/sequence 0, and had 1/);
    expect(of([told({ on: tuesday })], [])[0]).toMatch(/is gone, and nobody was told/);
    const other = { file: new Map([['a', 'on Thursday']]), told: [told()] };
    const day = {
      on: monday,
      morning: other,
      evening: other,
      deeds: [],
      lines: [],
    } as unknown as Lived['days'][number];
    expect(judged('a-subscriber-believes-it', { days: [day] } as unknown as Lived)[0]?.words).toBe(
      'the file says on Thursday, its address on Wednesday',
    );
    const done = { summary: 'Care of instruments, done', content: 'done' };
    expect(of([told(done)], [told({ sequence: 2 })])[0]).toMatch(/was done, and is planned again/);
  });
});
