import type { Exception } from '#core/book/handling-exception.ts';

/** What the trade does against a rule of handling, and why it may. */
export const EXCEPTIONS: readonly Exception[] = [
  {
    rule: 'dry-things-unattached',
    step: 'piston-brass/brush-mouthpipe',
    thing: 'mouthpipe',
    why: 'At the tap the water runs through the mouthpipe and out at the open main slide; the valves are held clear of it.',
    mark: 'practice',
  },
  {
    rule: 'uncoated',
    step: 'horn/rinse-again',
    by: 'horn/grease-legs',
    method: { id: 'horn-monthly-order', choices: ['grease-then-rinse'] },
    why: 'One school greases each slide and closes the horn before the flush, so that none is exchanged; the slides stay in.',
    mark: 'one-voice',
  },
];
