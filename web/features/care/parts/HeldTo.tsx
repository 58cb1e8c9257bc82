import { Button, Typography } from '@mui/material';
import { Link } from 'react-router';
import type { InstrumentPage } from '#contract/care.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Bullets } from '#web/ui/Quiet.tsx';

/** What is never done to it. */
export function NeverDos({ page: { neverDos, instrument } }: { readonly page: InstrumentPage }) {
  return (
    <Compartment
      title="Never"
      aside={
        <Button {...{ component: Link, to: `/may-i-use?of=${instrument.id}` }} color="inherit">
          May I use …
        </Button>
      }
    >
      <Bullets gap={0.75}>
        {neverDos.map(({ id, text, why }) => (
          <Typography component="li" key={id} variant="body2">
            <strong>{text}</strong> {why}
          </Typography>
        ))}
      </Bullets>
    </Compartment>
  );
}

/** What its player holds to where practice differs, and the way to all the questions. */
export function Methods({ page: { habits, instrument } }: { readonly page: InstrumentPage }) {
  return (
    <Compartment
      title="Methods"
      aside={
        <Button {...{ component: Link, to: `/care/${instrument.id}/methods` }} variant="outlined" color="inherit">
          Where practice differs
        </Button>
      }
    >
      <Bullets gap={0.5}>
        {habits.map((habit) => (
          <Typography component="li" variant="body2" key={habit}>
            {habit}
          </Typography>
        ))}
      </Bullets>
      {habits.length === 0 && (
        <Typography variant="body2" color="text.secondary">
          Methods differ; choose yours and see what each choice costs in a year.
        </Typography>
      )}
    </Compartment>
  );
}

/** What an edited build no longer has: closed with the reason, its history kept. */
export function Closed({ page: { closed } }: { readonly page: InstrumentPage }) {
  if (closed.length === 0) return null;
  return (
    <Compartment title="Closed">
      <Bullets gap={0.75}>
        {closed.map(({ itemId, name, why }) => (
          <Typography component="li" key={itemId} variant="body2">
            <strong>{name}.</strong> {why}
          </Typography>
        ))}
      </Bullets>
    </Compartment>
  );
}
