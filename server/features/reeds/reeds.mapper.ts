import { endOf } from '#core/plays/play.ts';
import type { ReedBox, ReedSaid, ReedSaying, ReedUse, SaidOfReed } from '#core/reeds/reed.ts';
import type { LocalDate } from '#core/time/local-date.ts';
import type { reedBoxes, reedPlays, reedSayings } from '#server/features/reeds/reeds.table.ts';
import type { PlayRow } from '#server/features/plays/plays.table.ts';

export type BoxBody = Omit<ReedBox, 'key'>;

export const boxBodyFromRow = ({
  factId: _factId,
  costMinor,
  currency,
  scrape,
  lengthTenths,
  ...row
}: typeof reedBoxes.$inferSelect): BoxBody => ({
  ...row,
  ...(scrape !== null && { scrape }),
  ...(lengthTenths !== null && { lengthTenths }),
  cost: costMinor === null || currency === null ? null : { minor: costMinor, currency },
});
export const boxFromRow = ({ key, box }: { key: string; box: typeof reedBoxes.$inferSelect }): ReedBox => ({
  key,
  ...boxBodyFromRow(box),
});
export const rowFromBox = ({ cost, ...box }: BoxBody) => ({
  ...box,
  costMinor: cost?.minor ?? null,
  currency: cost?.currency ?? null,
});

type Told = { readonly told: typeof reedPlays.$inferSelect; readonly play: PlayRow };

/**
 * The minutes of each reed in a play as that stands now. Where its minutes were corrected, one reed follows and several
 * keep their shares.
 */
export const playMinutes = ({ told: { shares, ofMinutes, high }, play }: Told): ReedUse[] =>
  shares.map(({ reedId, minutes }) => ({
    reedId,
    on: play.endedOn,
    endedAt: endOf(play),
    minutes: (minutes * play.minutes) / ofMinutes,
    high,
  }));

/** The columns of a saying as the core has it. @throws Error where a row breaks its own table's rule */
function sayingOf({
  what,
  feel,
  goodFor,
  signs,
  cause,
  resistance,
  sits,
}: Omit<SaidOfReed, 'playerId' | 'reedId'>): ReedSaying {
  if (what === 'graded' && feel !== null)
    return { what, feel, goodFor, signs, ...(resistance && { resistance }), ...(sits && { sits }) };
  if (what === 'ended' && cause !== null) return { what, cause };
  if (what === 'flattened') return { what };
  throw new Error(`a reed is ${what} without what belongs to it`);
}
export const sayingBodyFromRow = ({
  factId: _factId,
  resistance,
  sits,
  ...row
}: typeof reedSayings.$inferSelect): SaidOfReed => ({
  ...row,
  ...(resistance && { resistance }),
  ...(sits && { sits }),
});
/** What was said of a reed, on its day. */
export const saidOn = (body: SaidOfReed, on: LocalDate): ReedSaid => ({
  ...sayingOf(body),
  reedId: body.reedId,
  on,
});
