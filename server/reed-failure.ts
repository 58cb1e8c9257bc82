import type { ReedRefusal, ReedsInPlayRefusal } from '#core/reeds/reeds-in-play.ts';
import { conflict, invalid, notFound, type Failure } from '#server/failure.ts';

/** How what cannot be said of a reed is answered. */
export function reedFailure(field: string, refusal: ReedRefusal | Omit<ReedsInPlayRefusal, 'field'>): Failure {
  const { code } = refusal;
  const answered =
    code === 'no-such-box' || code === 'no-such-reed'
      ? notFound
      : code === 'box-not-here-yet' || code === 'reed-has-ended'
        ? conflict
        : invalid;
  return answered(field, refusal as ReedRefusal);
}
