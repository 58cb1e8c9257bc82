import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { ListedPlayer } from '#core/players/profile.ts';
import { MinderChoice } from '#web/features/players/parts/MinderChoice.tsx';
import { PlayerForm, type PlayerEntry } from '#web/features/players/parts/PlayerForm.tsx';
import { useAddPlayer, useLogMinder, useLogProfile } from '#web/features/players/players.actions.ts';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { choosePlayer } from '#web/session/current-player.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { useNotice } from '#web/ui/Notice.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Grid, Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

function Person({ player, people }: { readonly player: ListedPlayer; readonly people: readonly ListedPlayer[] }) {
  const [open, setOpen] = useState(false);
  const profile = useLogProfile();
  const minder = useLogMinder();
  const keep = (entry: PlayerEntry) =>
    profile.log({ playerId: player.id, ...entry }, { said: `${entry.name} is saved.`, onLogged: () => setOpen(false) });
  return (
    <PlainRow>
      <Row gap={2} between align="center">
        <Text strong>{player.name}</Text>
        <Button
          color="inherit"
          aria-expanded={open}
          aria-label={`${open ? 'Close' : 'Edit'}: ${player.name}`}
          onClick={() => setOpen(!open)}
        >
          {open ? 'Close' : 'Edit'}
        </Button>
      </Row>
      {open && player.standing !== 'grown-up' && (
        <Space above={1.5} below={1.5}>
          <MinderChoice
            player={player}
            people={people}
            onChoose={(minderId) =>
              minder.log(
                { playerId: player.id, minderId },
                { said: `${player.name}: noted who looks after the instruments.` },
              )
            }
          />
        </Space>
      )}
      {open && <PlayerForm known={player} busy={profile.busy} problem={profile.problem} onSave={keep} />}
    </PlainRow>
  );
}

/** The people of the record: what each is and does themselves decides who a step is for. */
export function PlayersPage() {
  const players = useQuery(playerQueries.list());
  const add = useAddPlayer();
  const notice = useNotice();
  const [count, setCount] = useState(0);
  return (
    <QueryView query={players}>
      {(people) => (
        <Grid gap={2} width={760}>
          <Typography variant="h1">Who plays</Typography>
          {people.length > 0 && (
            <Compartment>
              <PlainList>
                {people.map((player) => (
                  <Person key={player.id} player={player} people={people} />
                ))}
              </PlainList>
            </Compartment>
          )}
          <Compartment title="Somebody new">
            <PlayerForm
              key={count}
              busy={add.busy}
              problem={add.problem}
              onSave={(entry) =>
                add.log(entry, {
                  onAnswered: ({ id }) => {
                    choosePlayer(id);
                    setCount(count + 1);
                    notice({ text: `${entry.name} is in the record.` });
                  },
                })
              }
            />
          </Compartment>
        </Grid>
      )}
    </QueryView>
  );
}
