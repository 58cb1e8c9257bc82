import { AGENT_REFUSALS } from '#core/agents/agent-refusal-words.ts';
import { EVENT_REFUSALS } from '#core/calendar/event-refusal-words.ts';
import { ICS_REFUSALS } from '#core/ics/ics-words.ts';
import { CARE_REFUSALS } from '#core/care/care-refusal-words.ts';
import { CONDITION_REFUSALS } from '#core/conditions/condition-refusal-words.ts';
import { HANDOVER_REFUSALS } from '#core/calendar/handover-refusal-words.ts';
import { COST_REFUSALS } from '#core/costs/cost-refusal-words.ts';
import { DOUBLEREED_REFUSALS } from '#core/doublereeds/doublereed-refusal-words.ts';
import { FAULT_REFUSALS } from '#core/faults/fault-refusal-words.ts';
import type { RefusalOf, RefusalTable } from '#core/explain/refusal.ts';
import type { Format } from '#core/explain/format.ts';
import { REQUEST_REFUSALS } from '#core/failure/request-refusal-words.ts';
import { INSPECTION_REFUSALS } from '#core/inspections/inspection-refusal-words.ts';
import { INSTRUMENT_REFUSALS } from '#core/instruments/instrument-refusal-words.ts';
import { METHOD_REFUSALS } from '#core/methods/method-refusal-words.ts';
import { RUN_REFUSALS } from '#core/packup/run-refusal-words.ts';
import { PLAYER_REFUSALS } from '#core/players/player-refusal-words.ts';
import { PLAY_REFUSALS } from '#core/plays/play-refusal-words.ts';
import { AIR_REFUSALS } from '#core/air/air-refusal-words.ts';
import { REED_REFUSALS } from '#core/reeds/reed-refusal-words.ts';
import { RECORD_REFUSALS } from '#core/record/record-refusal-words.ts';

/** The tables of every room. A code stands in one of them only. */
export const REFUSAL_TABLES = [
  RECORD_REFUSALS,
  INSTRUMENT_REFUSALS,
  PLAYER_REFUSALS,
  PLAY_REFUSALS,
  AIR_REFUSALS,
  REED_REFUSALS,
  DOUBLEREED_REFUSALS,
  EVENT_REFUSALS,
  ICS_REFUSALS,
  METHOD_REFUSALS,
  CONDITION_REFUSALS,
  COST_REFUSALS,
  HANDOVER_REFUSALS,
  AGENT_REFUSALS,
  CARE_REFUSALS,
  FAULT_REFUSALS,
  INSPECTION_REFUSALS,
  RUN_REFUSALS,
  REQUEST_REFUSALS,
] as const;
type Refusals<Tables extends readonly RefusalTable[]> = { [Index in keyof Tables]: RefusalOf<Tables[Index]> }[number];

/** Everything that can be wrong, as data: a code and its figures. */
export type Refusal = Refusals<typeof REFUSAL_TABLES>;
export type RefusalCode = Refusal['code'];

type Words = (refusal: Refusal, format: Format) => string;
const WORDS = new Map<string, Words>(REFUSAL_TABLES.flatMap((table) => Object.entries(table) as [string, Words][]));

/** A refusal in words. */
export function refusalWords(refusal: Refusal, format: Format): string {
  const words = WORDS.get(refusal.code);
  if (words === undefined) throw new Error(`nobody has words for ${refusal.code}`);
  return words(refusal, format);
}
