import { estimate } from '#core/explain/explained.ts';
import { NO_CLIPS, sumsWith, type ClipSums } from '#core/doublereeds/clip-effect.ts';
import { examinationOf, lastSaidMs, type ExaminationTold } from '#core/doublereeds/examination-noted.ts';
import { clipsSeen, type ClipSeen } from '#core/doublereeds/examination.ts';
import type { TableSetting } from '#core/doublereeds/next-move.ts';
import { RISELESS_CLIPS, type ReedSort } from '#core/doublereeds/reed-sort.ts';
import type { Standing } from '#core/players/player.ts';
import type { ReedBox } from '#core/reeds/reed.ts';

const MS_PER_HOUR = 3_600_000;
/** What was done to a reed in so many hours is one sitting: it is to be played, and looked at again another day. */
export const SITTING_HOURS = estimate(12);
/** Nothing said for so long, the reed was put down: whoever sits down again begins anew. */
export const PUT_DOWN_HOURS = estimate(3);

export const isPutDown = (one: ExaminationTold, nowMs: number): boolean =>
  nowMs - lastSaidMs(one) > PUT_DOWN_HOURS.value * MS_PER_HOUR;

const done = (examinations: readonly ExaminationTold[]) => {
  let [clippedTenths, openings] = [0, 0];
  for (const { told } of examinations)
    for (const { event } of told) {
      if (event.what !== 'step') continue;
      if (event.step === 'clip') clippedTenths += event.tenths;
      else if (event.step !== 'twist') openings += 1;
    }
  return { clippedTenths, openings };
};

/** The clips of some examinations, each in its order. */
export const clipsOf = (examinations: readonly ExaminationTold[]): ClipSeen[] =>
  examinations.flatMap((one) => clipsSeen(examinationOf(one).events));

/** Clips of all reeds of a kind, added up. */
export const sumsOf = (examinations: readonly ExaminationTold[]): ClipSums => sumsWith(NO_CLIPS, clipsOf(examinations));

export type OfReed = {
  readonly sort: ReedSort;
  readonly standing: Standing;
  readonly box: ReedBox;
  readonly number: number;
  /** It is played no more. */
  readonly hasEnded: boolean;
  /** Everything of this reed that was said before this examination began, the oldest first. */
  readonly before: readonly ExaminationTold[];
  /** Clips of this player's reeds of the kind, without those of this examination. */
  readonly ofKind: () => ClipSums;
  /** When this examination began, ms. */
  readonly beganMs: number;
};

/** What the record says of a reed to whoever sits down with it. */
export function tableSetting({ sort, standing, box, number, hasEnded, before, ofKind, beganMs }: OfReed): TableSetting {
  const sitting = before.filter((one) => beganMs - lastSaidMs(one) < SITTING_HOURS.value * MS_PER_HOUR);
  return {
    sort,
    standing,
    clippedTenths: done(before).clippedTenths,
    sitting: done(sitting),
    lengthTenths: box.lengthTenths ?? null,
    arrivedUsed: box.before[number - 1] !== 0,
    clips: clipsOf(before).slice(-RISELESS_CLIPS),
    ofKind,
    hasEnded,
  };
}
