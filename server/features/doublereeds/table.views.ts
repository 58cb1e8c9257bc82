import type { Format } from '#core/explain/format.ts';
import { NOTICED, type TableEvent } from '#core/doublereeds/examination.ts';
import type { ExaminationTold } from '#core/doublereeds/examination-noted.ts';
import { NOTICED_WORDS } from '#core/doublereeds/look-words.ts';
import { SORT_FIGURES, type ReedSort } from '#core/doublereeds/reed-sort.ts';
import {
  crowSaid,
  lookSaid,
  NOT_APPLICABLE,
  SCRAPE_WORDS,
  SOAK_SAID_WORDS,
  stepSaid,
} from '#core/doublereeds/table-words.ts';
import { succeed, type Outcome } from '#core/kernel/outcome.ts';
import { boxNames, reedName } from '#core/reeds/reed-words.ts';
import { SCRAPES, type ReedId } from '#core/reeds/reed.ts';
import type { TableView } from '#contract/doublereeds.ts';
import type { Failure } from '#server/failure.ts';
import { moveView } from '#server/features/doublereeds/move.views.ts';
import {
  atHand,
  doubleReed,
  examinationsOf,
  type AtHand,
  instrumentsOfKind,
  type DoubleReed,
} from '#server/features/doublereeds/table-at-hand.ts';
import type { Services } from '#server/services.ts';

/** One thing that was said at the table, as it is read. */
export function eventSaid(event: TableEvent, sort: ReedSort, format: Format): string {
  switch (event.what) {
    case 'soak':
      return SOAK_SAID_WORDS[event.said];
    case 'look':
      return lookSaid(event.look, event.answer, sort, []);
    case 'crow':
      return crowSaid(event);
    case 'step':
      return stepSaid(event.step, event.tenths, format);
  }
}

/** What a reed is called among those of its player. */
export const nameOf = ({ boxes, box, number }: DoubleReed): string =>
  reedName({ boxName: boxNames(boxes).get(box.key) ?? box.name, number });

function examinationView({ format }: Services, table: AtHand, nowMs: number): TableView['examination'] {
  const { told } = table;
  const { key, way, on, interviewOf } = told;
  return {
    key,
    way,
    on,
    interviewOf,
    said: told.told.map(({ key: saidKey, event }) => ({
      key: saidKey,
      words: eventSaid(event, table.setting.sort, format),
    })),
    move: moveView(table, { format, nowMs }),
  };
}

/** What the last examination that is over came to. */
function lastOf(services: Services, reed: DoubleReed, all: readonly ExaminationTold[]): TableView['last'] {
  const told = all.at(-1);
  if (told === undefined) return null;
  const nowMs = told.told.at(-1)?.event.atMs ?? told.atMs;
  const table = atHand(services, reed, { told, before: all.slice(0, -1), nowMs });
  const words = table.move.move === 'end' ? moveView(table, { format: services.format, nowMs }).title : PUT_DOWN;
  return { on: told.on, words };
}
const PUT_DOWN = 'It was put down before its end';

/** A reed on the table: what is asked before it begins, and what is next. */
export function tableOf(services: Services, id: ReedId): Outcome<TableView, Failure> {
  const found = doubleReed(services, id);
  if (!found.ok) return found;
  const reed = found.value;
  const { player, box, sort, scrapeUnsaid } = reed;
  const nowMs = services.nowMs();
  const { going, before } = examinationsOf(services, id, nowMs);
  const { key: boxKey, ...content } = box;
  const [instrument] = instrumentsOfKind(services, player.id, box.kind);
  return succeed({
    playerId: player.id,
    playerName: player.name,
    standing: player.standing,
    reedId: id,
    name: nameOf(reed),
    kindName: services.book.kinds[box.kind].name,
    sort,
    askScrape: scrapeUnsaid ? { boxKey, box: { ...content, before: [...content.before] } } : null,
    scrapes: SCRAPES.map((scrape) => ({ scrape, words: SCRAPE_WORDS[scrape] })),
    noticed: NOTICED.map((noticed) => ({ noticed, words: NOTICED_WORDS[noticed] })),
    notApplicable: NOT_APPLICABLE[SORT_FIGURES[sort].crow],
    instrumentId: instrument?.id ?? null,
    examination: going
      ? examinationView(services, atHand(services, reed, { told: going, before, nowMs }), nowMs)
      : null,
    last: lastOf(services, reed, before),
  });
}
