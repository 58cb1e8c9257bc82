import { Box, Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { PlayerView } from '#contract/players.ts';
import { newKey } from '#web/api/new-key.ts';
import { PlayerForm } from '#web/features/players/parts/PlayerForm.tsx';
import { playerQueries, useAddPlayer, useLogProfile } from '#web/features/players/players.queries.ts';
import { useWithdraw } from '#web/features/record/record.queries.ts';
import { choosePlayer } from '#web/session/current-player.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { useNotice } from '#web/ui/Notice.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';

function Person({ player }: { readonly player: PlayerView }) {
  const [open, setOpen] = useState(false);
  const profile = useLogProfile();
  const withdraw = useWithdraw();
  const notice = useNotice();
  const keep = (entry: Omit<PlayerView, 'id'>) =>
    profile.log(
      { playerId: player.id, ...entry },
      {
        onSuccess: (key) => {
          setOpen(false);
          notice({ text: `${entry.name} is kept.`, undo: () => withdraw.mutate(key) });
        },
      },
    );
  return (
    <Box
      component="li"
      sx={{ borderTop: '1px solid', borderColor: 'divider', py: 1, '&:first-of-type': { borderTop: 'none' } }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', justifyContent: 'space-between', gap: 2 }}>
        <Typography sx={{ fontWeight: 650 }}>{player.name}</Typography>
        <Button
          color="inherit"
          aria-expanded={open}
          aria-label={`Change ${player.name}`}
          onClick={() => setOpen(!open)}
        >
          {open ? 'Leave it' : 'Change'}
        </Button>
      </Box>
      {open && <PlayerForm known={player} busy={profile.busy} problem={profile.problem} onSave={keep} />}
    </Box>
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
        <Box sx={{ maxWidth: 760, mx: 'auto', display: 'grid', gap: 2 }}>
          <Typography variant="h1">Who plays</Typography>
          {people.length > 0 && (
            <Compartment>
              <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
                {people.map((player) => (
                  <Person key={player.id} player={player} />
                ))}
              </Box>
            </Compartment>
          )}
          <Compartment title="Somebody new">
            <PlayerForm
              key={count}
              busy={add.isPending}
              problem={add.error?.message ?? null}
              onSave={(entry) => {
                const id = newKey();
                add.mutate(
                  { ...entry, id },
                  {
                    onSuccess: () => {
                      choosePlayer(id);
                      setCount(count + 1);
                      notice({ text: `${entry.name} is in the record.` });
                    },
                  },
                );
              }}
            />
          </Compartment>
        </Box>
      )}
    </QueryView>
  );
}
