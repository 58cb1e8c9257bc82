import { isOneOf } from '#core/kernel/typed.ts';
import type { CareClockView } from '#contract/care.ts';
import type { StripPin } from '#web/ui/bore-strip-marks.tsx';

const PRESSING = ['overdue', 'due', 'unknown', 'soon'] as const;
type Pressing = (typeof PRESSING)[number];
const isPressing = (state: string): state is Pressing => isOneOf(PRESSING, state);

/** One pin a part: its most pressing state, and how many items share it. */
export function pinsOf(clocks: readonly CareClockView[]): StripPin[] {
  const calling = clocks.filter(({ everyPlay, gauge }) => !everyPlay && isPressing(gauge.state));
  return [...new Set(calling.map(({ part }) => part))].flatMap((part) => {
    const here = calling.filter((clock) => clock.part === part);
    const state = PRESSING.find((one) => here.some(({ gauge }) => gauge.state === one));
    return state ? [{ part, state, count: here.filter(({ gauge }) => gauge.state === state).length }] : [];
  });
}
