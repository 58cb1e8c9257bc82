import { HANDOVER_ANSWERS, HANDOVER_HOLDS_DAYS, type HandoverAnswer, type LineSaid } from '#core/calendar/handover.ts';
import type { HandoverList } from '#core/book/packing.ts';
import { daysBetween, parseLocalDate, type LocalDate } from '#core/time/local-date.ts';

/** What has been said of the lines so far; it waits on this device until the list is kept. */
export type Draft = { readonly on: LocalDate; readonly said: Readonly<Record<string, HandoverAnswer>> };

/** Under which name the draft of a list waits. */
export const draftName = (instrumentId: string, list: HandoverList): string => `ulu.handover.${list}.${instrumentId}`;

const isAnswer = (value: unknown): value is HandoverAnswer => HANDOVER_ANSWERS.some((one) => one === value);

/** A draft as it was kept; an empty one where there is none, nobody can read it, or it was begun too long ago. */
export function draftFrom(kept: string | null, today: LocalDate): Draft {
  const empty: Draft = { on: today, said: {} };
  try {
    const { on: day, said } = JSON.parse(kept ?? '') as { on?: unknown; said?: unknown };
    const on = parseLocalDate(String(day));
    if (on === undefined || typeof said !== 'object' || said === null) return empty;
    const days = daysBetween(on, today);
    if (days < 0 || days >= HANDOVER_HOLDS_DAYS.value) return empty;
    return { on, said: Object.fromEntries(Object.entries(said).filter((one) => isAnswer(one[1]))) };
  } catch {
    return empty;
  }
}

/** What was said, in the order of the list. */
export const linesSaid = (ids: readonly string[], { said }: Draft): LineSaid[] =>
  ids.flatMap((line) => {
    const answer = said[line];
    return answer === undefined ? [] : [{ line, answer }];
  });

/** The first line nobody has said anything of; null where all were gone through. */
export const nextLine = (ids: readonly string[], { said }: Draft): string | null =>
  ids.find((id) => said[id] === undefined) ?? null;
