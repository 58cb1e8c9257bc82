/** Who asks. Today always whoever sits at this machine; with accounts, one of them. */
export type Caller = {
  readonly kind: 'person-at-this-machine';
  /** What they ask with, under the name it gave itself: long work goes by device in turn. */
  readonly device: string;
  /** Aborted when they have gone and nobody waits for the answer any more. */
  readonly left: AbortSignal;
};
export const AT_THIS_MACHINE: Caller = {
  kind: 'person-at-this-machine',
  device: '',
  left: new AbortController().signal,
};
