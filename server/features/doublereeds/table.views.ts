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
  goingOn,
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
export const nameOf = ({ reeds }: Services, { box, number, player }: DoubleReed): string =>
  reedName({ boxName: boxNames(reeds.boxes(player.id)).get(box.key) ?? box.name, number });

function examinationView(services: Services, reed: DoubleReed, told: ExaminationTold): TableView['examination'] {
  const { format, nowMs } = services;
  const table = atHand(services, reed, told, nowMs());
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
    move: moveView(table, { format, nowMs: nowMs() }),
  };
}

/** What the last examination that is over came to. */
function lastOf(services: Services, reed: DoubleReed, last: ExaminationTold | undefined): TableView['last'] {
  if (last === undefined) return null;
  const { move } = atHand(services, reed, last, last.told.at(-1)?.event.atMs ?? last.atMs);
  const shown = moveView(
    { ...atHand(services, reed, last, last.atMs), move },
    { format: services.format, nowMs: last.atMs },
  );
  return { on: last.on, words: move.move === 'end' ? shown.title : 'It was put down before its end.' };
}

/** A reed on the table: what is asked before it begins, and what is next. */
export function tableOf(services: Services, id: ReedId): Outcome<TableView, Failure> {
  const found = doubleReed(services, id);
  if (!found.ok) return found;
  const reed = found.value;
  const { player, box, sort, scrapeUnsaid } = reed;
  const going = goingOn(services, id, services.nowMs());
  const before = services.doubleReeds.ofReed(id).filter(({ key }) => key !== going?.key);
  const { key: boxKey, ...content } = box;
  const [instrument] = instrumentsOfKind(services, player.id, box.kind);
  return succeed({
    playerId: player.id,
    playerName: player.name,
    standing: player.standing,
    reedId: id,
    name: nameOf(services, reed),
    kindName: services.book.kinds[box.kind].name,
    sort,
    askScrape: scrapeUnsaid ? { boxKey, box: { ...content, before: [...content.before] } } : null,
    scrapes: SCRAPES.map((scrape) => ({ scrape, words: SCRAPE_WORDS[scrape] })),
    noticed: NOTICED.map((noticed) => ({ noticed, words: NOTICED_WORDS[noticed] })),
    notApplicable: NOT_APPLICABLE[SORT_FIGURES[sort].crow],
    instrumentId: instrument?.id ?? null,
    examination: going ? examinationView(services, reed, going) : null,
    last: lastOf(services, reed, before.at(-1)),
  });
}
