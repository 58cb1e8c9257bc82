import { itemIn } from '#core/book/practice.ts';
import type { Format } from '#core/explain/format.ts';
import { partHere, type CauseHere, type FaultsHere } from '#core/faults/faults-for.ts';
import type { Outcomes } from '#core/faults/fault-net.ts';
import { handsOfRemedy, handsSaid, thenWords } from '#core/faults/fault-words.ts';
import type { FaultsStanding } from '#core/faults/faults-standing.ts';
import { risksIn, type RiskNoted } from '#core/faults/risks.ts';
import { partName } from '#core/instruments/bore-strip.ts';
import type { PlayerId } from '#core/instruments/instrument.ts';
import type { PlayerAbilities } from '#core/players/player.ts';
import type { Situation } from '#core/situation/situation.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { SuspectView } from '#contract/faults.ts';
import { lastReedRisks } from '#server/features/faults/last-reed.ts';
import type { Reading } from '#server/readings.ts';
import type { Services } from '#server/services.ts';

/** One instrument as its faults are looked at. */
export type Looked = {
  readonly reading: Reading;
  readonly situation: Situation;
  readonly faults: FaultsStanding;
  readonly here: FaultsHere;
  readonly risks: readonly RiskNoted[];
  /** What was found to be the cause on the player's other instruments. */
  readonly ofPlayer: Outcomes;
  readonly format: Format;
  /** Whom it is told: its player, or somebody grown up who looks after it. */
  readonly reader: PlayerAbilities;
  /** Whose hands would do it: its player's, and a child's where a child reads. */
  readonly doer: PlayerAbilities;
};

/**
 * The faults of an instrument with what the record says beside; undefined where there is none.
 *
 * @param by who reads it: its own player where nobody is named, or nobody of that name is known
 */
export function lookAt(services: Services, id: string, today: LocalDate, by?: PlayerId): Looked | undefined {
  const reading = services.readings.of(id);
  if (!reading) return undefined;
  const situation = reading.situation(today);
  const { faults } = situation;
  const ofRecord = risksIn({
    today,
    instrument: reading.instrument,
    player: reading.player,
    plays: reading.facts.plays,
    care: situation.care,
    conditions: situation.conditions,
    air: reading.facts.air,
    faults,
  });
  const risks = [...ofRecord, ...lastReedRisks(services, reading, today)];
  const ofPlayer = services.faults.foundOnOthers(reading.player.id, reading.instrument.id);
  const reader = (by !== undefined && services.players.find(by)) || reading.player;
  const doer = reader.standing === 'child' ? reader : reading.player;
  return { reading, situation, faults, here: faults.here, risks, ofPlayer, format: services.format, reader, doer };
}

export const nameOfPart = ({ situation }: Looked, part: CauseHere['part'] | undefined): string | null => {
  const found = partHere(situation.kind, part);
  return found === null ? null : partName(situation.kind, found);
};

export function remedyView(cause: CauseHere, { situation, reader, doer }: Looked): SuspectView['remedy'] {
  const { remedy } = cause;
  const hands = handsOfRemedy(cause, doer);
  const item = remedy.care?.map((id) => itemIn(situation.methods.practice, id)).find((one) => one !== undefined);
  const isOwn = hands === 'player' || hands === 'with-a-grown-up' || hands === 'with-the-teacher';
  return {
    handWords: handsSaid(hands, reader),
    isOwn,
    heading: remedy.heading,
    how: remedy.how,
    never: remedy.never ?? null,
    inReeds: remedy.inReeds === true,
    atTable: remedy.atTable === true,
    thenWords: isOwn || remedy.hand === 'teacher' ? thenWords(remedy.then, reader) : null,
    care: item ? { itemId: item.id, name: item.name, isRun: isOwn && item.place !== 'bench' } : null,
  };
}
