import { AGENT_FAULTS } from '#core/agents/agent-fault-words.ts';
import { EVENT_FAULTS } from '#core/calendar/event-fault-words.ts';
import { ICS_FAULTS } from '#core/ics/ics-words.ts';
import { CARE_FAULTS } from '#core/care/care-fault-words.ts';
import { CONDITION_FAULTS } from '#core/conditions/condition-fault-words.ts';
import type { FaultOf, FaultTable } from '#core/explain/fault.ts';
import type { Format } from '#core/explain/format.ts';
import { REQUEST_FAULTS } from '#core/failure/request-fault-words.ts';
import { INSTRUMENT_FAULTS } from '#core/instruments/instrument-fault-words.ts';
import { METHOD_FAULTS } from '#core/methods/method-fault-words.ts';
import { RUN_FAULTS } from '#core/packup/run-fault-words.ts';
import { PLAYER_FAULTS } from '#core/players/player-fault-words.ts';
import { PLAY_FAULTS } from '#core/plays/play-fault-words.ts';
import { AIR_FAULTS } from '#core/air/air-fault-words.ts';
import { REED_FAULTS } from '#core/reeds/reed-fault-words.ts';
import { RECORD_FAULTS } from '#core/record/record-fault-words.ts';

/** The tables of every room. A code stands in one of them only. */
export const FAULT_TABLES = [
  RECORD_FAULTS,
  INSTRUMENT_FAULTS,
  PLAYER_FAULTS,
  PLAY_FAULTS,
  AIR_FAULTS,
  REED_FAULTS,
  EVENT_FAULTS,
  ICS_FAULTS,
  METHOD_FAULTS,
  CONDITION_FAULTS,
  AGENT_FAULTS,
  CARE_FAULTS,
  RUN_FAULTS,
  REQUEST_FAULTS,
] as const;
type Faults<Tables extends readonly FaultTable[]> = { [Index in keyof Tables]: FaultOf<Tables[Index]> }[number];

/** Everything that can be wrong, as data: a code and its figures. */
export type Fault = Faults<typeof FAULT_TABLES>;
export type FaultCode = Fault['code'];

type Words = (fault: Fault, format: Format) => string;
const WORDS = new Map<string, Words>(FAULT_TABLES.flatMap((table) => Object.entries(table) as [string, Words][]));

/** A fault in words. */
export function faultWords(fault: Fault, format: Format): string {
  const words = WORDS.get(fault.code);
  if (words === undefined) throw new Error(`nobody has words for ${fault.code}`);
  return words(fault, format);
}
