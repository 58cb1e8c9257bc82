import { Button } from '@mui/material';
import { Link } from 'react-router';
import type { InstrumentPage } from '#contract/care.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Space } from '#web/ui/layout.tsx';

type StoppedNowProps = {
  readonly page: Pick<InstrumentPage, 'instrument' | 'stopped'>;
  readonly busy: boolean;
  readonly onPlayed: () => void;
};

/** It is not to be played: what is done meanwhile, and where to go on. */
export const StoppedNow = ({ page: { instrument, stopped }, busy, onPlayed }: StoppedNowProps) =>
  stopped && (
    <>
      <Text variant="h1" color="stop.ink" below={1}>
        Stopped: not to be played.
      </Text>
      <Text strong>{stopped.heading}.</Text>
      <Text below={2}>
        {stopped.meanwhile} {stopped.why}
      </Text>
      <BrassButton {...{ component: Link, to: `/faults/${instrument.id}` }}>See what it is</BrassButton>
      <Space above={1}>
        <Button color="inherit" disabled={busy} onClick={onPlayed}>
          I have played it
        </Button>
      </Space>
    </>
  );

/** What is known to be wrong with it, where anything is. */
export const WrongLines = ({ page: { wrong, stopped } }: { readonly page: InstrumentPage }) => (
  <>
    {stopped && (
      <Text strong above={1.5}>
        {stopped.heading}.
      </Text>
    )}
    {wrong && <Text above={1.5}>{wrong.words}.</Text>}
  </>
);

/** The way to say that something is wrong, or to go on with it. */
export const SomethingWrong = ({ page: { instrument, wrong } }: { readonly page: InstrumentPage }) => (
  <Button color="inherit" {...{ component: Link, to: `/faults/${instrument.id}` }}>
    {wrong ? 'Go on finding out' : 'Something is wrong'}
  </Button>
);
