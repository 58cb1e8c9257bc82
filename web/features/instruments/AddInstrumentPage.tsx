import { Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { KindView } from '#contract/instruments.ts';
import { useToday } from '#web/clock/today.ts';
import { useAddInstrument } from '#web/features/instruments/instruments.actions.ts';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { InstrumentForm, type InstrumentEntry } from '#web/features/instruments/parts/InstrumentForm.tsx';
import { KindChoice } from '#web/features/instruments/parts/KindChoice.tsx';
import { PlayerForm } from '#web/features/players/parts/PlayerForm.tsx';
import { useAddPlayer } from '#web/features/players/players.actions.ts';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { choosePlayer, useCurrentPlayer } from '#web/session/current-player.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Grid } from '#web/ui/layout.tsx';

/** The first steps of an empty record, and of every later instrument: who plays, which kind, how it is built. */
export function AddInstrumentPage() {
  const today = useToday();
  const kinds = useQuery(instrumentQueries.kinds());
  const players = useQuery(playerQueries.list());
  const current = useCurrentPlayer(players.data);
  const [kind, setKind] = useState<KindView | null>(null);
  const addPlayer = useAddPlayer();
  const addInstrument = useAddInstrument();
  const navigate = useNavigate();

  const save = (entry: InstrumentEntry) => {
    if (!kind) return;
    addInstrument.log(
      { ...entry, kind: kind.id, today },
      { onAnswered: ({ id }) => void navigate(entry.cameNew ? `/now/${id}` : `/add/${id}/history`) },
    );
  };

  return (
    <QueryView query={players}>
      {(people) => (
        <Grid gap={2} width={760}>
          <Typography variant="h1">{people.length === 0 ? 'First steps' : 'Add an instrument'}</Typography>
          {people.length === 0 ? (
            <Compartment title="Who plays?">
              <PlayerForm
                busy={addPlayer.busy}
                problem={addPlayer.problem}
                onSave={(entry) => addPlayer.log(entry, { onAnswered: ({ id }) => choosePlayer(id) })}
              />
            </Compartment>
          ) : (
            <>
              <Compartment title="Which kind?">
                <QueryView query={kinds} height={80}>
                  {(list) => <KindChoice kinds={list} chosen={kind?.id ?? null} onChoose={setKind} />}
                </QueryView>
              </Compartment>
              {kind && current && (
                <Compartment title="How is it built?">
                  <InstrumentForm
                    key={kind.id}
                    kind={kind}
                    people={people}
                    playerId={current.id}
                    today={today}
                    busy={addInstrument.busy}
                    problem={addInstrument.problem}
                    onSave={save}
                  />
                </Compartment>
              )}
            </>
          )}
        </Grid>
      )}
    </QueryView>
  );
}
