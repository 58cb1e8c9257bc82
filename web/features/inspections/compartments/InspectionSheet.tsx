import { Button, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useState } from 'react';
import type { LocalDate } from '#core/time/local-date.ts';
import type { Said } from '#contract/fact.ts';
import type { inspectionFact, InspectionsPage } from '#contract/inspections.ts';
import { TAKEN_BY, type TakenBy } from '#core/inspections/measures-for.ts';
import { useInspect } from '#web/features/inspections/inspections.actions.ts';
import { askedBy, readingsOf, shownReading, type Asked } from '#web/features/inspections/draft.ts';
import { AskedReading } from '#web/features/inspections/parts/AskedReading.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { DateField } from '#web/ui/DateField.tsx';
import { Grid } from '#web/ui/layout.tsx';
import { LineButton } from '#web/ui/LineButton.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { Sheet } from '#web/ui/Sheet.tsx';
import { SheetEnd } from '#web/ui/SheetEnd.tsx';

type InspectionSheetProps = {
  readonly page: InspectionsPage;
  /** What was said, where it is put right. */
  readonly said?: Said<typeof inspectionFact>;
  readonly corrects?: string;
  readonly onClose: () => void;
};

const READERS: Readonly<Record<TakenBy, string>> = { player: 'The player', teacher: 'A teacher', bench: 'The bench' };

type Draft = {
  readonly by: TakenBy;
  readonly on: LocalDate | null;
  readonly asked: readonly Asked[];
  /** Which is asked now; one after the last is the list of all. */
  readonly at: number;
};

type ListProps = { readonly asked: readonly Asked[]; readonly onGoTo: (at: number) => void };

/** What was read and what was left out, before it is kept. */
const ReadSoFar = ({ asked, onGoTo }: ListProps) => (
  <PlainList height="46dvh">
    {asked.map(({ measure, way, value, isSaid }, at) => (
      <PlainRow key={`${measure.measure} ${measure.place ?? ''}`} between>
        <Typography>
          {measure.name}
          {measure.placeName !== null && `: ${measure.placeName}`}
        </Typography>
        <LineButton
          color="inherit"
          aria-label={`${isSaid ? shownReading(way, value) : 'Left out'}: change ${measure.name}${measure.placeName === null ? '' : `, ${measure.placeName}`}`}
          onClick={() => onGoTo(at)}
        >
          {isSaid ? shownReading(way, value) : 'Left out'}
        </LineButton>
      </PlainRow>
    ))}
  </PlainList>
);

/** Looks an instrument over: one thing after the other, then all of it to be kept. */
export function InspectionSheet({ page, said, corrects, onClose }: InspectionSheetProps) {
  const inspect = useInspect();
  const [draft, setDraft] = useState<Draft>(() => {
    const by = said?.by ?? 'player';
    const asked = askedBy(page.measures, by, said?.readings);
    return { by, on: said?.readOn ?? page.today, asked, at: said === undefined ? -1 : asked.length };
  });
  const { by, on, asked, at } = draft;
  const readings = readingsOf(asked);
  const shown = asked[at];
  const goTo = (next: number) => setDraft({ ...draft, at: next });
  const put = (one: Asked, next: number) =>
    setDraft({ ...draft, asked: asked.map((known, index) => (index === at ? one : known)), at: next });
  const keep = () => {
    if (on === null) return;
    inspect.log(
      { instrumentId: page.instrumentId, readOn: on, by, readings },
      { said: 'The readings are noted.', ...(corrects === undefined ? {} : { corrects }), onLogged: onClose },
    );
  };
  return (
    <Sheet onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="inspection-title">
      <DialogTitle id="inspection-title" variant="h2">
        Look {page.name} over
      </DialogTitle>
      <DialogContent>
        {at < 0 && (
          <Grid gap={2}>
            <ChooseOne
              label="Who reads it?"
              options={TAKEN_BY.map((value) => ({ value, words: READERS[value] }))}
              value={by}
              onChange={(value) =>
                setDraft({ ...draft, by: value, asked: askedBy(page.measures, value, said?.readings) })
              }
            />
            <DateField label="On" value={on} onChange={(value) => setDraft({ ...draft, on: value })} />
            <Quiet>
              {page.taken} {asked.length} things can be read. Leave out what you cannot read: it stays unknown.
            </Quiet>
            <LineButton variant="contained" disabled={asked.length === 0 || on === null} onClick={() => goTo(0)}>
              Begin
            </LineButton>
            <Button color="inherit" onClick={onClose}>
              Not now
            </Button>
          </Grid>
        )}
        {shown && (
          <AskedReading
            key={`${at} ${shown.way.way}`}
            asked={shown}
            place={`${at + 1} of ${asked.length}`}
            onChange={(one) => put(one, at)}
            onKeep={(one) => put(one, at + 1)}
            onLeaveOut={() => put({ ...shown, isSaid: false }, at + 1)}
            onBack={at === 0 ? null : () => goTo(at - 1)}
          />
        )}
        {at >= asked.length && (
          <Grid gap={1.5}>
            <ReadSoFar asked={asked} onGoTo={goTo} />
            {readings.length === 0 && <Quiet>Nothing has been read. What is left out stays unknown.</Quiet>}
            <SheetEnd
              problem={inspect.problem}
              disabled={inspect.busy || readings.length === 0 || on === null}
              onKeep={keep}
              onClose={onClose}
            >
              Keep {readings.length === 1 ? '1 reading' : `${readings.length} readings`}
            </SheetEnd>
          </Grid>
        )}
      </DialogContent>
    </Sheet>
  );
}
