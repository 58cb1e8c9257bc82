import { describe, expect, test } from '@jest/globals';
import type { CauseId } from '#core/book/fault.ts';
import { METHOD_IDS } from '#core/book/method-ids.ts';
import { faultsFor, withRemedies } from '#core/faults/faults-for.ts';
import { faultsStanding } from '#core/faults/faults-standing.ts';
import { NO_FAULTS } from '#core/faults/fault-record.ts';
import type { InstrumentId } from '#core/instruments/instrument.ts';
import { KIND_IDS, type KindId } from '#core/instruments/kind.ts';
import { usualBuild } from '#core/instruments/usual-build.ts';
import { methodOf, isAsked } from '#core/methods/chosen-method.ts';
import { BOOK } from '#core/tables/book.ts';
import { localDate } from '#core/time/local-date.ts';

const buildOf = (kind: KindId) => usualBuild(BOOK.kinds[kind]);
const remedyOf = (kind: KindId, id: CauseId, method: keyof typeof BOOK.methods, choice: string) => {
  const instrument = { id: 'one' as InstrumentId, kind, build: buildOf(kind) };
  const remedies = [methodOf(BOOK, method).choices[choice]?.remedies];
  const { here } = faultsStanding(BOOK, instrument, NO_FAULTS, {
    today: localDate('2026-12-01'),
    events: [],
    remedies,
  });
  return here.causes.find((cause) => cause.id === id)?.remedy;
};

describe('who puts it right, as it was chosen', () => {
  test('a spring, a pad and a jammed mouthpiece go to the hand that was chosen, and keep what is never done', () => {
    const spring = (choice: string) => remedyOf('clarinet', 'keyed/spring-off', 'spring-off-hook', choice);
    expect([spring('teacher')?.hand, spring('bench-only')?.hand]).toEqual(['teacher', 'bench']);
    expect(spring('bench-only')?.never).toBe(spring('teacher')?.never);
    const pad = (choice: string) => remedyOf('flute', 'keyed/pad-lost', 'pad-complaint', choice)?.hand;
    expect([pad('teacher-first'), pad('bench-at-once')]).toEqual(['teacher', 'bench']);
    const jammed = (choice: string) => remedyOf('trumpet', 'brass/mouthpiece-jammed', 'stuck-mouthpiece', choice);
    expect([jammed('bench')?.hand, jammed('teacher-with-puller')?.hand]).toEqual(['bench', 'teacher']);
    expect(jammed('teacher-with-puller')).toMatchObject({
      then: 'bench',
      never: expect.stringMatching(/^Never twist/),
    });
  });

  test('nothing chosen leaves the tables as they are, and nothing is ever given to a player’s own hands', () => {
    const here = faultsFor(BOOK, 'horn', buildOf('horn'));
    expect(withRemedies(here, [undefined, undefined])).toBe(here);
    for (const method of METHOD_IDS)
      for (const { remedies } of Object.values(methodOf(BOOK, method).choices))
        for (const [id, remedy] of Object.entries(remedies ?? {}))
          expect([id, remedy?.hand]).not.toEqual([id, 'player']);
  });

  test('who is asked the question can have what it is about', () => {
    for (const method of METHOD_IDS)
      for (const { remedies } of Object.values(methodOf(BOOK, method).choices))
        for (const id of Object.keys(remedies ?? {}))
          for (const kind of KIND_IDS)
            if (isAsked(BOOK, method, kind, buildOf(kind)))
              expect([method, kind, faultsFor(BOOK, kind, buildOf(kind)).causes.some((one) => one.id === id)]).toEqual([
                ...[method, kind],
                true,
              ]);
  });
});
