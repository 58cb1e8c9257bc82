import type { InstrumentId } from '#core/instruments/instrument.ts';
import { Autocomplete, createFilterOptions, TextField, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { AgentList } from '#contract/agents.ts';
import type { ShelfPlace } from '#contract/instruments.ts';
import { useToday } from '#web/clock/today.ts';
import { agentQueries } from '#web/features/agents/agents.queries.ts';
import { Dilution } from '#web/features/agents/parts/Dilution.tsx';
import { Verdicts } from '#web/features/agents/parts/Verdicts.tsx';
import { instrumentQueries } from '#web/features/instruments/instruments.queries.ts';
import { CurrentPlayer } from '#web/features/players/parts/CurrentPlayer.tsx';
import { playerQueries } from '#web/features/players/players.queries.ts';
import { Caution } from '#web/ui/Caution.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Grid } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';

type Named = AgentList[number];

/** By its name, and by what else people call it. */
const findAgents = createFilterOptions<Named>({ stringify: ({ name, alsoCalled }) => [name, ...alsoCalled].join(' ') });

function AgentChoice({
  agents,
  label,
  value,
  onChange,
}: {
  readonly agents: AgentList;
  readonly label: string;
  readonly value: Named | null;
  readonly onChange: (agent: Named | null) => void;
}) {
  return (
    <Autocomplete
      options={[...agents]}
      groupBy={({ group }) => group}
      getOptionLabel={({ name }) => name}
      filterOptions={findAgents}
      isOptionEqualToValue={(a, b) => a.id === b.id}
      value={value}
      onChange={(_event, next) => onChange(next)}
      renderInput={(params) => <TextField {...params} label={label} />}
    />
  );
}

/** The verdicts for one instrument, once both are chosen. */
function Answer({ agent, instrumentId }: { readonly agent: Named; readonly instrumentId: InstrumentId | null }) {
  const today = useToday();
  const query = useQuery(agentQueries.verdicts(agent.id, instrumentId, today));
  return (
    <Compartment title={agent.name}>
      <QueryView query={query} height={200}>
        {(view) => <Verdicts view={view} />}
      </QueryView>
    </Compartment>
  );
}

function Together({ one, other }: { readonly one: Named; readonly other: Named }) {
  const query = useQuery(agentQueries.mixing(one.id, other.id));
  return (
    <QueryView query={query} height={60}>
      {({ danger, care, text }) => (
        <Caution danger={danger} role={danger ? 'alert' : 'status'} above={1.5}>
          {care ? `Care: ${text}` : text}
        </Caution>
      )}
    </QueryView>
  );
}

/** An instrument by its name, and by its kind where the name does not say it. */
const called = ({ name, kindName }: { readonly name: string; readonly kindName: string }): string =>
  kindName.toLowerCase().includes(name.toLowerCase()) ? kindName : `${name}, ${kindName.toLowerCase()}`;

/** No instrument in particular. */
const ANYTHING = { id: '', name: 'Anything', kindName: 'whatever it is' } as const;

/** `places`: whoever holds the device first. */
function Loaded({ list, places }: { readonly list: AgentList; readonly places: readonly ShelfPlace[] }) {
  const [params] = useSearchParams();
  const [agent, setAgent] = useState<Named | null>(null);
  const [other, setOther] = useState<Named | null>(null);
  const [chosen, setChosen] = useState<string | null>(params.get('of'));
  const place = chosen === ANYTHING.id ? ANYTHING : (places.find(({ id }) => id === chosen) ?? places[0] ?? ANYTHING);
  return (
    <Grid gap={2} width={860}>
      <Typography variant="h1">May I use …</Typography>
      <Compartment>
        <Grid gap={2} columns={{ xs: '1fr', sm: '1fr 1fr' }}>
          <AgentChoice agents={list} label="What have you got in your hand?" value={agent} onChange={setAgent} />
          <Autocomplete
            options={[ANYTHING, ...places]}
            disableClearable
            getOptionLabel={called}
            isOptionEqualToValue={(a, b) => a.id === b.id}
            value={place}
            onChange={(_event, next) => setChosen(next.id)}
            renderInput={(input) => <TextField {...input} label="On which instrument?" />}
          />
        </Grid>
        {!agent && (
          <Text color="text.secondary" above={1.5}>
            A bottle, a grease, a cloth or a tool: the answer comes for every part, with its reason.
          </Text>
        )}
      </Compartment>
      {agent && <Answer agent={agent} instrumentId={place.id === ANYTHING.id ? null : place.id} />}
      <Compartment title="Two of them together">
        <AgentChoice agents={list} label="And with what?" value={other} onChange={setOther} />
        {agent && other && <Together one={agent} other={other} />}
      </Compartment>
      <Compartment title="Make hydrogen peroxide weaker">
        <Dilution />
      </Compartment>
    </Grid>
  );
}

/** "May this touch that?": an agent and an instrument, the verdict for every part; two agents together; dilution. */
export function MayIUsePage() {
  const agents = useQuery(agentQueries.list());
  const shelf = useQuery(instrumentQueries.shelf(useToday()));
  const players = useQuery(playerQueries.list());
  return (
    <QueryView query={agents} height={300}>
      {(list) => (
        <QueryView query={shelf} height={300}>
          {(places) => (
            <CurrentPlayer players={players} height={300}>
              {(player) => (
                <Loaded
                  list={list}
                  places={places.toSorted(
                    (a, b) => Number(b.playerId === player?.id) - Number(a.playerId === player?.id),
                  )}
                />
              )}
            </CurrentPlayer>
          )}
        </QueryView>
      )}
    </QueryView>
  );
}
