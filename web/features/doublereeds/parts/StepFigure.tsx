import type { ReedStep } from '#core/doublereeds/examination.ts';
import { Arrow, EdgeReed, FlatReed, INK, TipReed, type Shape } from '#web/features/doublereeds/parts/ReedFigure.tsx';

const MIDDLE = 60;

/** Where and which way a step is taken. */
function drawingOf(step: ReedStep, shape: Shape, wired: boolean) {
  if (step === 'clip')
    return (
      <FlatReed shape={shape}>
        <path d="M12 20h96" stroke={INK} strokeWidth={2.5} strokeDasharray="7 5" />
        <Arrow from={[4, 20]} to={[22, 20]} />
        <Arrow from={[116, 20]} to={[98, 20]} />
      </FlatReed>
    );
  if (step === 'twist')
    return (
      <TipReed shape={shape} opening={8}>
        <Arrow from={[30, 70]} to={[74, 70]} />
        <Arrow from={[90, 130]} to={[46, 130]} />
      </TipReed>
    );
  const [y, reach] = wired ? [122, 34] : [96, 26];
  const isFlat = step === 'close';
  const Side = isFlat ? EdgeReed : FlatReed;
  return (
    <Side shape={shape}>
      <Arrow from={[2, y]} to={[MIDDLE - (isFlat ? 14 : reach) + (isFlat ? 0 : 8), y]} />
      <Arrow from={[118, y]} to={[MIDDLE + (isFlat ? 14 : reach) - (isFlat ? 0 : 8), y]} />
    </Side>
  );
}

const WORDS: Readonly<Record<ReedStep, string>> = {
  clip: 'The reed from its flat side, with a line just below its tip where it is clipped',
  twist: 'The tip from the front, each half turned a trace against the other',
  close: 'The reed from its edge, pressed on its two flats between the heart and the thread',
  open: 'The reed from its flat side, pressed at its two edges between the heart and the thread',
};
const WIRED: Readonly<Partial<Record<ReedStep, string>>> = {
  close: 'The reed from its edge, pressed at the first wire on its two flats',
  open: 'The reed from its flat side, pressed at the first wire at its two sides',
};

/** A step, drawn with where and which way. */
export const StepFigure = ({
  step,
  shape,
  wired,
}: {
  readonly step: ReedStep;
  readonly shape: Shape;
  readonly wired: boolean;
}) => (
  <svg
    viewBox="0 0 120 200"
    width="100%"
    height={220}
    role="img"
    aria-label={(wired ? WIRED[step] : undefined) ?? WORDS[step]}
  >
    {drawingOf(step, shape, wired)}
  </svg>
);
