import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { CauseId, RiskId, SignId } from '#core/book/fault.ts';
import { NO_OUTCOMES, priorOf, type Outcomes } from '#core/faults/fault-net.ts';
import { causeHere, faultsFor, isOneLook } from '#core/faults/faults-for.ts';
import { findSigns } from '#core/faults/find-signs.ts';
import { interview, type Interview, type InterviewWay } from '#core/faults/interview.ts';
import { askedSigns, effortOf, LOOK_FIRST_BITS, WORTH_BITS, type Question } from '#core/faults/questions.ts';
import { answered, answeredOfAll, answersOf, saidOfKnown, type Said } from '#core/faults/said.ts';
import { ANSWERS, type Answer } from '#core/faults/stops.ts';
import type { Build } from '#core/instruments/build.ts';
import type { KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import { BOOK } from '#core/tables/book.ts';
import { gainOfNamingSetBySet, gainSetBySet, setsOfCauses } from '#core/testing/fault-oracle.ts';

/** One kind of each that differ in what can be wrong with them. */
const KINDS: readonly KindId[] = [
  'clarinet',
  'alto-saxophone',
  'oboe',
  'bassoon',
  'piccolo',
  'bamboo-flute',
  'highland-pipes',
  'trumpet',
  'horn',
  'trombone',
];
const GROWN_UP: PlayerAbilities = { standing: 'grown-up', does: [] };
type Told = {
  readonly risks?: readonly RiskId[];
  readonly answers?: readonly (readonly [SignId, Answer])[];
  readonly said?: readonly Said[];
  readonly build?: Build;
  readonly player?: PlayerAbilities;
  readonly way?: InterviewWay;
  readonly tried?: readonly { readonly cause: SignId; readonly helped: boolean }[];
};
function ask(kind: KindId, noticed: readonly SignId[], told: Told = {}): Interview {
  const { risks = [], answers = [], player = GROWN_UP, way = 'sure', tried = [] } = told;
  return interview({
    here: faultsFor(BOOK, kind, told.build ?? usualBuild(BOOK.kinds[kind])),
    beforehand: { risks: new Set(risks), outcomes: NO_OUTCOMES, ofPlayer: NO_OUTCOMES },
    player,
    way,
    said: [
      ...noticed.map((sign): Said => ({ sign, answer: 'yes', noticed: true })),
      ...answers.map(([sign, answer]): Said => ({ sign, answer, noticed: false })),
      ...(told.said ?? []),
    ],
    tried,
  });
}
const first = (stands: Interview) => stands.suspected[0]?.cause.id;
const asked = (stands: Interview) => stands.next?.sign.id;
const signsOf = ({ next }: Interview) => (next ? askedSigns(next) : []);
/** No, or none of these. */
const no = (next: Question): Said =>
  next.together?.several ? answeredOfAll(askedSigns(next), []) : answered(askedSigns(next), 'no');

describe('look-alikes: what is seen and what is in the record, and what is asked first (common practice, no source)', () => {
  test.each<[string, KindId, SignId[], RiskId[], SignId]>([
    [
      'squeaks, mouthpiece dropped yesterday',
      'clarinet',
      ['single-reed/squeak'],
      ['mouthpiece-knocked'],
      'single-reed/mouthpiece-chipped',
    ],
    ['squeaks, the weather turned', 'clarinet', ['single-reed/squeak'], ['weather-change'], 'single-reed/rocks'],
    ['squeaks, first month', 'clarinet', ['single-reed/squeak'], ['new-player'], 'single-reed/much-in-mouth'],
    ['a key is not flat', 'clarinet', ['keyed/not-flat'], [], 'keyed/cork-gone'],
    ['stuffy trumpet, dropped mouthpiece', 'trumpet', ['brass/stuffy'], ['mouthpiece-knocked'], 'brass/shank-rocks'],
    ['stuffy trumpet, bath long ago', 'trumpet', ['brass/stuffy'], ['bath-overdue'], 'brass/pipe-film'],
    ['no sound with one valve, bath today', 'trumpet', ['piston/silent'], ['valves-out-today'], 'piston/number-wrong'],
    ['one slow valve after a fall', 'trumpet', ['piston/slow'], ['knocked'], 'piston/one-only'],
    ['a wooden clarinet airy in a cold church', 'clarinet', ['keyed/fuzzy'], ['cold-room'], 'wooden/line'],
    ['oboe reed flat since yesterday', 'oboe', ['double-reed/fell-flat'], [], 'double-reed/light-line'],
    ['blows hard, nothing sounds', 'oboe', ['double-reed/nothing-sounds'], [], 'double-reed/lips-at-tip'],
    [
      'slowly harder, high notes first',
      'oboe',
      ['double-reed/slowly-harder', 'double-reed/high-weak'],
      [],
      'double-reed/corners-seen',
    ],
    ['hiss at the bocal', 'bassoon', ['bassoon/hiss-at-bocal'], [], 'double-reed/soak-helps'],
    ['the third repair in a year', 'clarinet', ['any/again-and-again'], [], 'any/moves-in-case'],
  ])('%s', (_what, kind, noticed, risks, sign) => {
    expect(asked(ask(kind, noticed, { risks }))).toBe(sign);
  });

  test('low notes fail after a knock on a flute: the bench, and nothing is bent', () => {
    const stands = ask('flute', ['keyed/low-fails'], { risks: ['knocked'], answers: [['keyed/seen-bent', 'yes']] });
    expect(first(stands)).toBe('keyed/bent');
    expect(stands.suspected[0]?.cause.remedy).toMatchObject({ hand: 'bench' });
    expect(stands.suspected[0]?.cause.remedy.never).toContain('Never bend');
  });
  test('a sticky key after a sweet drink: plain paper, never drawn from under skin', () => {
    const stands = ask('clarinet', ['keyed/sticky'], { risks: ['sweet-drink'] });
    expect(first(stands)).toBe('keyed/dirty-pad');
    const paper = faultsFor(BOOK, 'clarinet', {}).signs.find(({ id }) => id === 'keyed/paper-helps');
    expect(paper?.how).toContain('Never pull the paper from under a skin pad');
  });
  test('a joint tight in a damp week though greased: wait, no force', () => {
    const stands = ask('clarinet', ['corked/tight'], {
      risks: ['damp-air'],
      answers: [['corked/tight-greased', 'yes']],
    });
    expect(first(stands)).toBe('wooden/swollen');
    expect(stands.suspected[0]?.cause.remedy.never).toContain('Do not force');
  });
  test('a reed flat and soft for weeks: it is too soft, and a teacher clips', () => {
    const stands = ask('oboe', ['double-reed/whole-flat'], { answers: [['double-reed/balm', 'yes']] });
    expect(first(stands)).toBe('double-reed/too-soft');
    expect(stands.suspected[0]?.cause.remedy.hand).toBe('teacher');
  });
  test('a rattle: the loose screw before the bent rod', () => {
    const stands = ask('clarinet', ['keyed/rattle'], { answers: [['keyed/post-moves', 'no']] });
    expect(first(stands)).toBe('keyed/screw-loose');
  });
  test('pipes lose pressure: the stocks come before the bag', () => {
    const stands = ask('highland-pipes', ['pipes/loses']);
    const at = (id: string) => [...stands.chances].sort((a, b) => b[1] - a[1]).findIndex(([cause]) => cause === id);
    expect(at('pipes/hemp')).toBeLessThan(at('pipes/seam'));
  });
});

test('a slow valve after a fall that grates: the bench, never sanded', () => {
  const stands = ask('trumpet', ['piston/slow'], {
    risks: ['knocked'],
    answers: [
      ['piston/one-only', 'yes'],
      ['piston/grates', 'yes'],
    ],
  });
  expect(first(stands)).toBe('piston/casing-bent');
  expect(stands.suspected[0]?.word).toBe('nearly-sure');
  expect(stands.suspected[0]?.cause.remedy.never).toContain('Never sand');
});

describe('stops go by rule', () => {
  test('one yes stops, however unlikely a crack is; no lets it go on', () => {
    expect(ask('clarinet', ['keyed/stuffy']).next?.stop?.sign).toBe('wooden/line');
    const yes = ask('clarinet', ['keyed/stuffy'], { answers: [['wooden/line', 'yes']] });
    expect(yes).toMatchObject({ end: 'stopped', next: null, stopped: { answer: 'yes' } });
    const unsure = ask('clarinet', ['keyed/stuffy'], { answers: [['wooden/line', 'cannot-tell']] });
    expect(unsure).toMatchObject({ end: 'stopped', stopped: { answer: 'cannot-tell' } });
    expect(ask('clarinet', ['keyed/stuffy'], { answers: [['wooden/line', 'no']] }).stopped).toBeNull();
  });
  test('plastic has no wood to crack', () => {
    const build: Build = { ...usualBuild(BOOK.kinds.clarinet), body: 'plastic' };
    expect(ask('clarinet', ['keyed/stuffy'], { build }).next?.stop).toBeNull();
  });
  test('a crack in a reed stops no instrument', () => {
    const stands = ask('oboe', ['double-reed/fell-flat'], { answers: [['double-reed/light-line', 'yes']] });
    expect(stands.stopped).toBeNull();
    expect(first(stands)).toBe('double-reed/crack');
  });
});

describe('how it ends', () => {
  test('a slow valve nothing can be seen of is oiled and tried among the first five questions', () => {
    const said: Said[] = [];
    for (let n = 0; n < 5; n++) {
      const { next } = ask('trumpet', ['piston/slow'], { way: 'quick', said });
      if (next === null) break;
      said.push(next.sign.id === 'piston/oil-helps' ? answered(askedSigns(next), 'yes') : no(next));
    }
    expect(said.map(({ sign }) => sign)).toContain('piston/oil-helps');
    expect(ask('trumpet', ['piston/slow'], { way: 'quick', said }).suspected[0]).toMatchObject({
      word: 'nearly-sure',
      cause: { id: 'piston/dry' },
    });
  });

  test('a first look comes before the first remedy', () => {
    const stands = ask('trumpet', ['piston/silent'], { risks: ['valves-out-today'] });
    expect(stands.suspected[0]?.word).toBe('nearly-sure');
    expect(stands.end).toBeNull();
    expect(ask('trumpet', ['piston/silent'], { way: 'quick', answers: [['piston/number-wrong', 'yes']] }).end).toBe(
      'clear',
    );
  });
  test('to be sure takes two looks, where a second one tells anything; a quick guess takes one', () => {
    const seen: [SignId, Answer][] = [['flute/crown-loose', 'yes']];
    const once = ask('flute', ['flute/octaves-out'], { answers: seen });
    expect(once.suspected[0]?.word).toBe('nearly-sure');
    expect([once.end, asked(once)]).toEqual([null, 'flute/rod-mark-off']);
    expect(ask('flute', ['flute/octaves-out'], { answers: seen, way: 'quick' }).end).toBe('clear');
    const twice = ask('flute', ['flute/octaves-out'], { answers: [...seen, ['flute/rod-mark-off', 'yes']] });
    expect(twice.suspected[0]?.word).toBe('nearly-sure');
    // And what else is noticed.
    expect([twice.end, twice.next?.together?.several]).toEqual([null, true]);
    const said = twice.next ? [no(twice.next)] : [];
    const told = ask('flute', ['flute/octaves-out'], { answers: [...seen, ['flute/rod-mark-off', 'yes']], said });
    expect([told.suspected[0]?.word, told.end]).toEqual(['nearly-sure', 'clear']);
  });
  test('“I cannot tell” three times running leads to a person', () => {
    const unsure: [SignId, Answer][] = [];
    for (let n = 0; n < 3; n++) {
      const sign = asked(ask('clarinet', ['single-reed/squeak'], { answers: unsure }));
      if (sign !== undefined) unsure.push([sign, 'cannot-tell']);
    }
    expect(ask('clarinet', ['single-reed/squeak'], { answers: unsure }).end).toBe('cannot-tell');
    expect(ask('clarinet', ['single-reed/squeak'], { answers: unsure.slice(0, 2) }).end).toBeNull();
    // One answer between them, and it is no running any more.
    const [one, two, three] = unsure as [[SignId, Answer], [SignId, Answer], [SignId, Answer]];
    const between: [SignId, Answer][] = [one, two, ['keyed/gurgle', 'no'], three, ['any/smells', 'cannot-tell']];
    expect(ask('clarinet', ['single-reed/squeak'], { answers: between }).end).not.toBe('cannot-tell');
  });
  test('the quick way asks five questions at most', () => {
    for (const kind of KINDS) {
      const here = faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
      for (const { id } of here.signs.filter(({ sort }) => sort === 'complaint')) {
        const said: Said[] = [];
        for (;;) {
          const stands = ask(kind, [id], { way: 'quick', said });
          if (stands.next === null) break;
          said.push(no(stands.next));
          // What stops the instrument is asked beside the five.
          if (said.length > 7) throw new Error(`${kind}: ${id} goes on and on`);
        }
      }
    }
  });
  test('an answer that goes against an earlier one is said so', () => {
    const stands = ask('clarinet', ['keyed/gurgle'], {
      answers: [
        ['keyed/blown-clear', 'yes'],
        ['wooden/line', 'no'],
        ['keyed/pad-torn', 'no'],
      ],
    });
    expect(stands.against).toBeNull();
  });
  test('a remedy that did not help makes its cause less likely, one that helped more', () => {
    const chance = (tried: Told['tried']) =>
      ask('clarinet', ['keyed/sticky'], tried ? { tried } : {}).chances.get('keyed/dirty-pad') ?? 0;
    const before = chance(undefined);
    expect(chance([{ cause: 'keyed/dirty-pad', helped: false }])).toBeLessThan(before);
    expect(chance([{ cause: 'keyed/dirty-pad', helped: true }])).toBeGreaterThan(before);
  });
});

test('whatever was said is taken apart into what is asked at one look', () => {
  const here = faultsFor(BOOK, 'clarinet', usualBuild(BOOK.kinds.clarinet));
  expect(isOneLook(here, ['keyed/cork-gone', 'keyed/seen-bent'])).toBe(true);
  expect(isOneLook(here, ['keyed/cork-gone', 'keyed/pad-torn'])).toBe(false);
  expect(isOneLook(here, ['keyed/cork-gone', 'keyed/gurgle'])).toBe(false);
  expect(isOneLook(here, ['keyed/cork-gone', 'keyed/cork-gone'])).toBe(false);
  expect(isOneLook(here, ['keyed/gurgle'])).toBe(false);
});

describe('an answer that goes against an earlier one', () => {
  const against = (...answers: [SignId, Answer][]) => ask('trumpet', ['piston/slow'], { answers }).against;
  test('is said with the earlier answer without which it would surprise least', () => {
    // Oil helps what is dry: that it does, once a bent casing is as good as sure, is a surprise.
    expect(against(['piston/one-only', 'yes'], ['piston/grates', 'yes'])).toBeNull();
    expect(against(['piston/grates', 'yes'])).toBeNull();
    expect(against(['piston/grates', 'cannot-tell'], ['brass/dent-seen', 'yes'])).toBeNull();
  });
  test('speaks of an earlier one, never of the last, and of none that tells nothing', () => {
    const here = faultsFor(BOOK, 'trumpet', usualBuild(BOOK.kinds.trumpet));
    const complaints = here.signs.filter(({ sort }) => sort === 'complaint').map(({ id }) => id);
    let found = 0;
    for (const sign of here.signs.map(({ id }) => id))
      for (const last of here.signs.map(({ id }) => id)) {
        if (sign === last) continue;
        const said = ask('trumpet', [complaints[0] ?? 'brass/stuffy'], {
          answers: [
            [sign, 'yes'],
            [last, 'yes'],
          ],
        }).against;
        if (said === null) continue;
        found++;
        expect([sign, complaints[0]]).toContain(said);
        // Said anew without it, the last answer goes against nothing more.
        const others = [complaints[0], sign].filter((one) => one !== undefined && one !== said) as SignId[];
        expect(ask('trumpet', others, { answers: [[last, 'yes']] }).against).toBeNull();
      }
    expect(found).toBeGreaterThan(0);
  });
});

describe('several things that one look shows', () => {
  const look = ask('clarinet', ['keyed/not-flat']);
  test('are one question, the one that tells most before the others', () => {
    expect(look.next?.together?.signs.map(({ id }) => id)).toEqual([
      'keyed/cork-gone',
      'keyed/seen-bent',
      'keyed/spring-seen',
      'keyed/screw-proud',
    ]);
    expect(signsOf(look)[0]).toBe('keyed/cork-gone');
  });
  test('one that is named says no to the others, and is one question', () => {
    const named = ask('clarinet', ['keyed/not-flat'], {
      said: [answered(signsOf(look), 'yes', 'keyed/seen-bent')],
    });
    const each = ask('clarinet', ['keyed/not-flat'], {
      answers: [
        ['keyed/seen-bent', 'yes'],
        ['keyed/cork-gone', 'no'],
        ['keyed/spring-seen', 'no'],
        ['keyed/screw-proud', 'no'],
      ],
    });
    expect(named.asked).toBe(1);
    expect(each.asked).toBe(4);
    expect([...named.chances]).toEqual([...each.chances]);
    expect(first(named)).toBe('keyed/bent');
  });
  test('what is seen is believed, whatever the record makes likely beside it', () => {
    const seen = ask('clarinet', ['keyed/not-flat'], {
      risks: ['long-play', 'swab-skipped'],
      answers: [['wooden/line', 'no']],
      said: [answered(signsOf(look), 'yes', 'keyed/spring-seen')],
    });
    expect(first(seen)).toBe('keyed/spring-off');
    expect(seen.suspected[0]?.word).not.toBe('possible');
    // Water in a hole is likely after such a play, and shows nothing of what was noticed.
    expect(seen.suspected.map(({ cause }) => cause.id)).not.toContain('keyed/water-in-hole');
  });
  test('the rule that stops is no answer about what was noticed: the look at it comes next', () => {
    const risks: RiskId[] = ['long-play', 'swab-skipped', 'dry-air'];
    const next = ask('clarinet', ['keyed/not-flat'], { risks, answers: [['wooden/line', 'no']] });
    expect(signsOf(next)[0]).toBe('keyed/cork-gone');
  });
  test('none of them, and nobody can tell', () => {
    const none = ask('clarinet', ['keyed/not-flat'], { said: [answered(signsOf(look), 'no')] });
    expect(none.chances.get('keyed/bent')).toBeLessThan(look.chances.get('keyed/bent') ?? 0);
    const unsure = ask('clarinet', ['keyed/not-flat'], { said: [answered(signsOf(look), 'cannot-tell')] });
    const nothing = ask('clarinet', ['keyed/not-flat'], { answers: [['keyed/rattle', 'cannot-tell']] });
    expect(unsure.chances).toEqual(nothing.chances);
    for (const stands of [none, unsure])
      expect(signsOf(stands).filter((sign) => signsOf(look).includes(sign))).toEqual([]);
  });
  test('one of them noticed since takes its part, and the others stay as they were said', () => {
    const noticed: Said = { sign: 'keyed/screw-proud', answer: 'yes', noticed: true };
    const after = ask('clarinet', ['keyed/not-flat'], { said: [answered(signsOf(look), 'no'), noticed] });
    const apart = ask('clarinet', ['keyed/not-flat'], {
      answers: [
        ['keyed/cork-gone', 'no'],
        ['keyed/seen-bent', 'no'],
        ['keyed/spring-seen', 'no'],
        ['keyed/screw-proud', 'yes'],
      ],
    });
    expect([...after.chances]).toEqual([...apart.chances]);
  });
});

describe('what else is noticed', () => {
  const squeak = (told: Told = {}) => ask('clarinet', ['single-reed/squeak'], told);
  const isRest = ({ next }: Interview) => next?.together?.several === true;
  const first = squeak({ way: 'quick' });
  const looked = first.next ? [no(first.next)] : [];

  test('is asked once the first look has not settled it, and not before', () => {
    expect(isRest(first)).toBe(false);
    for (const way of ['quick', 'sure'] as const) expect(isRest(squeak({ way, said: looked }))).toBe(true);
    const found = ask('flute', ['flute/octaves-out'], { way: 'quick', answers: [['flute/crown-loose', 'yes']] });
    expect([found.suspected[0]?.word, found.end]).toEqual(['nearly-sure', 'clear']);
  });
  test('is every complaint there is but what was said, and nothing that stops an instrument or waits for a look', () => {
    for (const kind of KINDS) {
      const { whatElse, stops, signs } = faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
      expect(whatElse.signs.filter(({ id }) => stops.some(({ sign }) => sign === id))).toEqual([]);
      const complaints = signs.filter(({ sort, id }) => sort === 'complaint' && stops.every(({ sign }) => sign !== id));
      expect(whatElse.signs).toEqual(complaints);
    }
    const rest = signsOf(squeak({ said: looked }));
    expect(rest).not.toContain('single-reed/squeak');
    expect(rest.length).toBe(26);
  });
  test('says the same as each of them answered by itself, and is one question', () => {
    const rest = signsOf(squeak({ said: looked }));
    const so: SignId[] = ['single-reed/high-weak', 'keyed/stuffy'];
    const atOnce = squeak({ said: [...looked, answeredOfAll(rest, so)] });
    const each = rest.map((sign): Said => answered([sign], so.includes(sign) ? 'yes' : 'no'));
    const apart = squeak({ said: [...looked, ...each] });
    for (const [cause, chance] of apart.chances) expect(atOnce.chances.get(cause)).toBeCloseTo(chance, 12);
    expect([atOnce.asked, apart.asked]).toEqual([2, 1 + rest.length]);
    const nothing = squeak({ said: [...looked, answeredOfAll(rest, [])] });
    expect(nothing.chances.get('single-reed/spent') ?? 0).toBeLessThan(atOnce.chances.get('single-reed/spent') ?? 0);
  });
  test('is asked once: where nobody can tell, and where most of it was left without a word', () => {
    const rest = signsOf(squeak({ said: looked }));
    expect(isRest(squeak({ said: [...looked, answeredOfAll(rest, 'cannot-tell')] }))).toBe(false);
    const two = rest.slice(0, 2).map((sign): Said => answered([sign], 'no'));
    expect(isRest(squeak({ said: [...looked, ...two] }))).toBe(false);
  });
  test('what is said of it stands where the build lost a sign of it', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...signsOf(squeak({ said: looked }))), { minLength: 1 }),
        fc.func(fc.boolean()),
        fc.func(fc.boolean()),
        fc.boolean(),
        (signs, isSo, isKnown, isLook) => {
          const so = signs.filter((sign) => isSo(sign));
          const said = isLook ? answered(signs, so[0] ? 'yes' : 'no', so[0]) : answeredOfAll(signs, so);
          const known = saidOfKnown(said, (sign) => isKnown(sign));
          const wanted = [...answersOf([said])].filter(([sign]) => isKnown(sign));
          expect(new Map(answersOf(known ? [known] : []))).toEqual(new Map(wanted));
          expect(known === null).toBe(wanted.length === 0);
        },
      ),
    );
  });
});

describe('who may be asked', () => {
  test('a child is never asked to oil, to take valves out or to do what is not for them alone', () => {
    const wrong: string[] = [];
    for (const kind of KINDS) {
      const here = faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
      for (const { id } of here.signs.filter(({ sort }) => sort === 'complaint')) {
        const said: Said[] = [];
        for (let n = 0; n < 12; n++) {
          const { next } = ask(kind, [id], { said, player: { standing: 'child', does: [] } });
          if (next === null) break;
          const shown = next.together?.signs ?? [next.sign];
          if (shown.some(({ notAlone }) => notAlone)) wrong.push(`${kind}: ${next.sign.id}`);
          said.push(no(next));
        }
      }
    }
    expect(wrong).toEqual([]);
  });
});

test.each<KindId>(['highland-pipes', 'alto-saxophone', 'recorder', 'tuba'])(
  '%s: the question chosen tells most for its effort, set by set, among those without a tool',
  (kind) => {
    const here = faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
    const { figures } = here;
    const beforehand = { risks: new Set<RiskId>(), outcomes: NO_OUTCOMES, ofPlayer: NO_OUTCOMES };
    fc.assert(
      fc.property(fc.constantFrom(...here.signs.filter(({ sort }) => sort === 'complaint')), (sign) => {
        const stands = ask(kind, [sign.id]);
        if (stands.next === null || stands.next.stop) return;
        const causes = here.causes.filter(({ links }) => links.some((link) => link.sign === sign.id));
        const miss = (cause: (typeof causes)[number], id: SignId) => {
          const word = cause.links.find((link) => link.sign === id)?.word;
          return word === undefined ? 1 : 1 - figures.link[word].value;
        };
        const net = {
          priors: [...causes.map((cause) => priorOf(cause, here, beforehand)), figures.notInList.value],
          signs: here.signs.map(({ id, sort }) => ({
            leak: figures.leak[sort].value,
            misses: [
              ...causes.map((cause) => miss(cause, id)),
              sort === 'complaint' ? 1 - figures.notInListShows.value : 1,
            ],
          })),
          wrong: figures.wrong.value,
        };
        const at = here.signs.findIndex(({ id }) => id === sign.id);
        const sets = setsOfCauses(net, [{ sign: at, yes: true }], [1, 3]);
        const isShown = (id: SignId) =>
          id !== sign.id && causes.some(({ links }) => links.some((link) => link.sign === id));
        const seenTogether = BOOK.faults.together
          .map((look) => ({
            ...look,
            at: look.signs.flatMap((id) => here.signs.flatMap((one, index) => (one.id === id ? [index] : []))),
          }))
          .filter((look) => look.at.length > 1 && look.signs.some(isShown));
        const inALook = new Set(seenTogether.flatMap((look) => look.at));
        const worth = [
          ...here.signs.flatMap((one, index) => {
            if (inALook.has(index) || !isShown(one.id)) return [];
            const bare = one.tool === undefined && one.apart !== true;
            return [{ bits: gainSetBySet(sets, index), effort: effortOf(one, figures), bare }];
          }),
          // Minutes of the look and half a minute to answer, twice that where it must come apart.
          ...seenTogether.map(({ at, minutes, apart }) => ({
            bits: gainOfNamingSetBySet(sets, at),
            effort: (minutes + 0.5) * (apart ? 2 : 1),
            bare: apart !== true,
          })),
        ].filter(({ bits }) => bits >= WORTH_BITS);
        const plain = worth.filter(({ bits, bare }) => bits >= LOOK_FIRST_BITS && bare);
        const best = Math.max(...(plain.length > 0 ? plain : worth).map(({ bits, effort }) => bits / effort));
        expect(stands.next.bits / stands.next.effort).toBeCloseTo(best, 9);
      }),
      { numRuns: 12, seed: 27 },
    );
  },
);

describe('risks and words', () => {
  test('several risks multiply on the odds and stop at the most', () => {
    const here = faultsFor(BOOK, 'clarinet', usualBuild(BOOK.kinds.clarinet));
    const water = causeHere(here, 'keyed/water-in-hole');
    if (!water) throw new Error('no water in a tone hole');
    const prior = (...risks: RiskId[]) =>
      priorOf(water, here, { risks: new Set(risks), outcomes: NO_OUTCOMES, ofPlayer: NO_OUTCOMES });
    const odds = (p: number) => p / (1 - p);
    expect(prior()).toBeCloseTo(0.06, 12);
    expect(odds(prior('long-play'))).toBeCloseTo(4 * odds(0.06), 12);
    expect(prior('long-play', 'cold-room', 'swab-skipped')).toBe(0.6);
  });
  test('what was found before moves the prior as one of about ten', () => {
    const here = faultsFor(BOOK, 'clarinet', usualBuild(BOOK.kinds.clarinet));
    const water = causeHere(here, 'keyed/water-in-hole');
    if (!water) throw new Error('no water in a tone hole');
    const outcomes = { known: 2, of: new Map([['keyed/water-in-hole' as const, 1]]) };
    const found = (ofPlayer: Outcomes) => priorOf(water, here, { risks: new Set(), outcomes, ofPlayer });
    expect(found(NO_OUTCOMES)).toBeCloseTo((0.06 * 10 + 1) / 12, 12);
    // On other instruments of the player: the same counts as here, and what cannot be wrong here says nothing.
    const elsewhere = {
      known: 5,
      of: new Map<CauseId, number>([
        ['keyed/water-in-hole', 2],
        ['piston/dry', 3],
      ]),
    };
    expect(found(elsewhere)).toBeCloseTo((0.06 * 10 + 3) / 14, 12);
  });
  test.each<[string, KindId, SignId]>([
    ['it squeals like a goose', 'clarinet', 'single-reed/squeak'],
    ['spit noise, bubbles', 'clarinet', 'keyed/gurgle'],
    ['G sharp sticks', 'alto-saxophone', 'keyed/sticky'],
    ['valve hangs', 'trumpet', 'piston/slow'],
    ['mouthpiece jammed', 'trumpet', 'brass/mouthpiece-stuck'],
    ['low notes drop an octave', 'flute', 'keyed/low-fails'],
    ['slide frozen', 'euphonium', 'brass/stuck'],
    ['bag loses air', 'highland-pipes', 'pipes/loses'],
  ])('“%s” is found', (typed, kind, sign) => {
    const here = faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
    expect(
      findSigns(here.signs, typed)
        .slice(0, 3)
        .map(({ id }) => id),
    ).toContain(sign);
  });
  test('nothing is guessed from nothing', () => {
    const here = faultsFor(BOOK, 'clarinet', usualBuild(BOOK.kinds.clarinet));
    expect(findSigns(here.signs, '')).toEqual([]);
    expect(findSigns(here.signs, 'the of and')).toEqual([]);
    expect(findSigns(here.signs, 'xyzzy')).toEqual([]);
  });
});

test('whatever is answered, in whatever order, the interview comes to an end', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...KINDS),
      fc.nat(40),
      fc.array(fc.constantFrom(...ANSWERS), { minLength: 90, maxLength: 90 }),
      fc.constantFrom<InterviewWay>('quick', 'sure'),
      (kind, from, answers, way) => {
        const here = faultsFor(BOOK, kind, usualBuild(BOOK.kinds[kind]));
        const complaints = here.signs.filter(({ sort }) => sort === 'complaint');
        const noticed = complaints[from % complaints.length]?.id ?? 'any/smells';
        const said: Said[] = [];
        for (const answer of answers) {
          const stands = ask(kind, [noticed], { way, said });
          const all = [...stands.chances.values()];
          if (all.some((one) => !(one >= 0 && one <= 1 + 1e-9))) throw new Error('no chance');
          const signs = signsOf(stands);
          if (signs.length === 0) return;
          // Any of them is named, not always the first.
          said.push(answered(signs, answer, signs[said.length % signs.length]));
        }
        throw new Error(`${kind}, ${noticed}: no end`);
      },
    ),
    { numRuns: 25, seed: 27 },
  );
});
