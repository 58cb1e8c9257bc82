import { describe, expect, test } from '@jest/globals';
import { KIND_IDS, type PartId } from '#core/instruments/kind.ts';
import { aloneIn, aloneNamed, concernsAlone, practiceAlone } from '#core/methods/practice-alone.ts';
import { foldRun } from '#core/packup/run-log.ts';
import { careDoneBy } from '#core/packup/run-care.ts';
import { keepPlan } from '#core/packup/kept-plan.ts';
import { BOOK } from '#core/tables/book.ts';
import { planOf, practiceOf, type AnyInstrument } from '#core/testing/any-run.ts';
import { casesOf } from '#core/testing/cases.ts';
import { buildMeets } from '#core/instruments/build.ts';
import { boreStrip } from '#core/instruments/bore-strip.ts';
import { waterOfParts } from '#core/water/water-of-parts.ts';
import { instantOfMs } from '#core/time/instant.ts';

/** Every build and way there is of every kind, with each set of parts it may be played in. */
const played = KIND_IDS.flatMap((kind) =>
  casesOf(BOOK, kind).flatMap((instrument) => {
    const whole = practiceOf(BOOK, instrument);
    return aloneIn(whole).map((alone) => ({ instrument, whole, alone, practice: practiceAlone(whole, alone) }));
  }),
);
const named = ({ instrument, alone }: (typeof played)[number]) => `${instrument.kind} ${alone.id}`;

describe('parts that are played by themselves', () => {
  test('there are of every kind but those that are one piece to their player', () => {
    const without = KIND_IDS.filter((kind) => aloneIn(practiceOf(BOOK, { kind })).length === 0);
    expect(without).toEqual(['bamboo-flute', 'highland-pipes']);
    const onePiece = practiceOf(BOOK, { kind: 'soprano-saxophone', build: { pieces: 'one-piece' } });
    expect(aloneIn(onePiece)).toEqual([]);
    expect(aloneNamed(onePiece, 'mouthpiece-and-neck')).toBeUndefined();
  });

  test('come out of the case without anything that stays joined to them there', () => {
    const torn = played.filter(({ whole, alone }) =>
      whole.anatomy.couplings.some(
        ({ of, played: together, cased, when }) =>
          buildMeets(whole.build, when) &&
          together &&
          cased === true &&
          alone.pieces.includes(of[0]) !== alone.pieces.includes(of[1]) &&
          // A mouthpipe of brass is no part of the mouthpiece it takes.
          of.some((piece) => alone.pieces.includes(piece)),
      ),
    );
    expect(torn.map(named)).toEqual([]);
  });

  test('are all that a run of theirs touches', () => {
    const wrong = played.flatMap((one) =>
      one.practice.steps.flatMap(({ id, part, does, alone }) => {
        const elsewhere = !concernsAlone(one.alone, part) && does.length > 0 && alone === undefined;
        return elsewhere ? [`${named(one)}: ${id} is on the ${part}`] : [];
      }),
    );
    expect(wrong).toEqual([]);
  });

  test('leave nothing waiting that their own packing up does not do', () => {
    const at = instantOfMs(0);
    const waiting = played.flatMap((one) => {
      const instrument: AnyInstrument = { ...one.instrument, alone: one.alone.id };
      const plan = keepPlan(planOf(BOOK, { instruments: [instrument], due: ['after'] }));
      const log = plan.steps.map(({ key, look }) =>
        look
          ? ({ kind: 'answered', stepKey: key, answer: look.answers[0]?.id ?? '', at } as const)
          : ({ kind: 'ticked', stepKey: key, at } as const),
      );
      const done = new Set(careDoneBy(foldRun(plan, log)).map(({ itemId }) => itemId));
      return one.whole.items
        .filter(({ trigger }) => trigger.kind === 'every-play' && trigger.moment === 'after')
        .filter(({ id, part }) => concernsAlone(one.alone, part) && !one.whole.off.has(id) && !done.has(id))
        .map(({ id }) => `${named(one)}: ${id}`);
    });
    expect([...new Set(waiting)]).toEqual([]);
  });

  test.each([
    ['oboe', 'reed', ['into-cup', 'lamp']],
    ['bassoon', 'reed-and-bocal', ['into-cup', 'lamp', 'take-bocal', 'reed-on']],
    ['cor-anglais', 'reed-and-bocal', ['into-cup', 'lamp', 'take-bocal', 'reed-on']],
    ['flute', 'head-joint', ['head-alone']],
    [
      'alto-saxophone',
      'mouthpiece-and-neck',
      ['wet-in-water', 'take-neck', 'mouthpiece-on', 'reed-on', 'ligature-on', 'cap-on', 'cap-off'],
    ],
  ] as const)('of the %s, %s: are made ready with nothing that the rest is made ready with', (kind, alone, wanted) => {
    const { steps } = planOf(BOOK, { instruments: [{ kind, alone }], due: ['before'] });
    // The case, and what is only done where something is dry, are everybody's.
    const own = steps.filter(({ step }) => step.does.length > 0 && step.onlyIf === undefined);
    const names = own.map(({ step: { id } }) => id.replace(/^[^/]*\//, ''));
    expect(names.filter((name) => name !== 'case-flat')).toEqual(wanted);
  });

  test('hold the water that gathers in them, and none of it goes further', () => {
    for (const { whole, practice, alone } of played) {
      const parts = boreStrip(practice.kind, whole.build, 10).filter(({ waterGrams }) => waterGrams > 0);
      expect(parts.every(({ id }) => alone.pieces.some((piece) => piece === id))).toBe(true);
      expect(practice.kind.water.keptShare).toBeLessThanOrEqual(whole.kind.water.keptShare);
    }
  });
});

test('the water of all parts is the water of the whole; of none, none', () => {
  const { tube, water } = BOOK.kinds.clarinet;
  const all = new Set<PartId>(tube.map(({ id }) => id));
  expect(waterOfParts(water, tube, all)).toEqual(water);
  expect(waterOfParts(water, tube, new Set()).keptShare).toBe(0);
  // Half the wall of a tube of two equal parts is half of what is to be dried.
  const half = { ...(tube[0] as (typeof tube)[number]), lengthMm: 100, boreMm: [10, 10] as const, waterShare: 0.5 };
  const two = [
    { ...half, id: 'barrel' as const },
    { ...half, id: 'bell' as const },
  ];
  const one = waterOfParts(water, two, new Set(['bell']));
  expect(one.keptShare).toBeCloseTo(water.keptShare / 2, 12);
  expect(one.wettedBoreSquareMetres).toBeCloseTo(water.wettedBoreSquareMetres / 2, 12);
});
