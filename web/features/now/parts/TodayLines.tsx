import { Typography } from '@mui/material';
import { counted } from '#core/explain/format.ts';
import type { TodayLineView, TodayView } from '#contract/today.ts';
import { QuietLine } from '#web/features/now/parts/QuietLines.tsx';
import { TodayRow } from '#web/features/now/parts/TodayRow.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';

/** Due lines shown at once; the rest is a tap away under Care. */
const DUE_SHOWN = 6;

type TodayLinesProps = {
  readonly view: TodayView;
  readonly busy: boolean;
  readonly onPackUp: (line: TodayLineView) => void;
  readonly onDo: (line: TodayLineView) => void;
  readonly onLayOut: (line: TodayLineView) => void;
  readonly onLookOver: (line: TodayLineView) => void;
};

/** The day in one list: what is under way, what stands wet, what is due; and in quiet lines what there is no more to do to. */
export function TodayLines({ view: { lines, fine, unknown, away }, ...log }: TodayLinesProps) {
  const due = lines.filter(({ what }) => what === 'due');
  const shown = [...lines.filter(({ what }) => what !== 'due'), ...due.slice(0, DUE_SHOWN)];
  return (
    <Compartment>
      {shown.length === 0 && (
        <Typography>
          {unknown.length === 0
            ? 'Nothing stands wet and nothing is due.'
            : 'Nothing stands wet, and nothing is known to be due.'}
        </Typography>
      )}
      <PlainList>
        {shown.map((line) => (
          <TodayRow key={`${line.what} ${line.instrumentId} ${line.clock?.itemId ?? ''}`} line={line} {...log} />
        ))}
      </PlainList>
      {due.length > DUE_SHOWN && (
        <TallLink to="/care">{counted(due.length - DUE_SHOWN, 'more thing')} due, under Care</TallLink>
      )}
      <QuietLine of={fine}>Nothing to do</QuietLine>
      <QuietLine of={unknown}>Not known when some of their care was last done</QuietLine>
      <QuietLine of={away}>At the bench</QuietLine>
    </Compartment>
  );
}
