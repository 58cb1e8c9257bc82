import type { Subject } from '#core/record/fact.ts';
import type { Caller } from '#server/caller.ts';

/** Of whom something tells that somebody wants to see or to say, looked up where it matters; of nobody: the whole record. */
export type OfWhom = () => readonly Subject[];

/** May whoever asks see this, or say it? Asked at the door of every request, and wherever a fact is written. */
export type May = (caller: Caller, ofWhom: OfWhom) => boolean;

/** Whoever sits at this machine may. With accounts, somebody else is asked in its place. */
export const everybodyMay: May = () => true;

/** Whoever asked may not. */
export class NotAllowed extends Error {}
