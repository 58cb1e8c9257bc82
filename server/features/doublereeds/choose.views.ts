import { UNBOXED_NAME } from '#core/doublereeds/unboxed.ts';
import { sortOf } from '#core/doublereeds/reed-sort.ts';
import type { Instrument, PlayerId } from '#core/instruments/instrument.ts';
import { fail, succeed, type Outcome } from '#core/kernel/outcome.ts';
import { wallMinute } from '#core/plays/play.ts';
import { reedStates, type ReedState } from '#core/reeds/reed-state.ts';
import { boxNames, reedName, standingWords } from '#core/reeds/reed-words.ts';
import { reedId, type ReedId } from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { ChooseView } from '#contract/doublereeds.ts';
import { conflict, noInstrument, type Failure } from '#server/failure.ts';
import type { Services } from '#server/services.ts';

/** The double reeds of a player on one kind of instrument, as they stand today. */
function reedsOfKind({ reeds }: Services, { playerId, kind }: Pick<Instrument, 'playerId' | 'kind'>, today: LocalDate) {
  const { boxes, uses, said } = reeds.record(playerId);
  const names = boxNames(boxes);
  return boxes
    .filter((box) => box.kind === kind)
    .flatMap((box): ReedState[] => {
      const within = <One extends { readonly reedId: ReedId }>(all: readonly One[]) =>
        all.filter((one) => one.reedId.startsWith(`${box.key}/`));
      const record = { box, boxName: names.get(box.key) ?? box.name, uses: within(uses), said: within(said) };
      return reedStates(record, { today, family: 'double' });
    });
}

/** The reed of a player that stands in no box and has not ended: it is taken up again, not entered anew. */
function unboxedOf({ reeds }: Services, playerId: PlayerId, kind: Instrument['kind']): ReedId | null {
  const box = reeds.boxes(playerId).findLast((one) => one.kind === kind && one.name === UNBOXED_NAME);
  if (box === undefined) return null;
  const id = reedId(box.key, 1);
  return reeds.record(playerId).said.some((one) => one.reedId === id && one.what === 'ended') ? null : id;
}

function pupilsOf(services: Services): ChooseView['pupils'] {
  const { instruments, readings, book } = services;
  return instruments.all().flatMap(({ id }) => {
    const reading = readings.of(id);
    if (!reading) return [];
    const { instrument, player } = reading;
    if (instrument.leftOn !== null || sortOf(instrument.kind, null) === undefined) return [];
    return [
      {
        instrumentId: instrument.id,
        playerId: player.id,
        playerName: player.name,
        kind: instrument.kind,
        kindName: book.kinds[instrument.kind].name,
        unboxed: unboxedOf(services, player.id, instrument.kind),
      },
    ];
  });
}

/** Which reed is laid on the table. */
export function chooseOf(services: Services, id: string, today: LocalDate): Outcome<ChooseView, Failure> {
  const reading = services.readings.of(id);
  if (!reading) return fail(noInstrument());
  const { instrument, player } = reading;
  if (sortOf(instrument.kind, null) === undefined) return fail(conflict('instrumentId', { code: 'no-double-reed' }));
  const all = reedsOfKind(services, instrument, today);
  const nowWall = wallMinute(today, 0);
  const inUse = all.filter(({ stage }) => stage !== 'new' && stage !== 'retired');
  const fresh = new Map<string, ReedState[]>();
  for (const reed of all) if (reed.stage === 'new') fresh.set(reed.box.key, [...(fresh.get(reed.box.key) ?? []), reed]);
  return succeed({
    instrumentId: instrument.id,
    playerId: player.id,
    name: instrument.name,
    playerName: player.name,
    reeds: inUse
      .toSorted((a, b) => (b.lastPlayedOn ?? '').localeCompare(a.lastPlayedOn ?? ''))
      .map((reed) => ({ reedId: reed.id, name: reedName(reed), words: standingWords(reed, nowWall, services.format) })),
    fresh: [...fresh].map(([boxKey, reeds]) => ({
      boxKey,
      name: reeds[0]?.boxName ?? '',
      numbers: reeds.map(({ number }) => number),
    })),
    pupils: pupilsOf(services),
  });
}
