import { BENCH_EXAMPLES } from '#server/testing/examples/bench.ts';
import { CALENDAR_EXAMPLES } from '#server/testing/examples/calendar.ts';
import { CARE_EXAMPLES } from '#server/testing/examples/care.ts';
import { DOUBLEREED_EXAMPLES } from '#server/testing/examples/doublereeds.ts';
import { FAULT_EXAMPLES } from '#server/testing/examples/faults.ts';
import { PLAYER_EXAMPLES } from '#server/testing/examples/players.ts';
import { PLAY_AND_RUN_EXAMPLES } from '#server/testing/examples/plays-and-runs.ts';
import { REED_EXAMPLES } from '#server/testing/examples/reeds.ts';
import type { TriedKinds } from '#server/testing/examples/example.ts';

/** An example of each kind of fact that can be logged, by its kind. */
export const oneOfEach: TriedKinds = {
  ...PLAY_AND_RUN_EXAMPLES,
  ...CARE_EXAMPLES,
  ...FAULT_EXAMPLES,
  ...PLAYER_EXAMPLES,
  ...REED_EXAMPLES,
  ...DOUBLEREED_EXAMPLES,
  ...CALENDAR_EXAMPLES,
  ...BENCH_EXAMPLES,
};
