import { Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { hasABack } from '#core/reeds/reed.ts';
import type { ReedBoxView } from '#contract/reed-views.ts';
import { useToday } from '#web/clock/today.ts';
import { useReadAir } from '#web/features/air/air.actions.ts';
import { airQueries } from '#web/features/air/air.queries.ts';
import { AirToday } from '#web/features/air/parts/AirToday.tsx';
import { choosePath, tablePath } from '#web/session/reed-paths.ts';
import { Boxes, type Opened } from '#web/features/reeds/parts/Boxes.tsx';
import { Makes } from '#web/features/reeds/parts/Makes.tsx';
import { PlayReeds } from '#web/features/reeds/parts/PlayReeds.tsx';
import { ReedNow } from '#web/features/reeds/parts/ReedNow.tsx';
import { ReedPlan } from '#web/features/reeds/compartments/ReedPlan.tsx';
import { Supply } from '#web/features/reeds/parts/Supply.tsx';
import { useReedPlay } from '#web/features/reeds/reed-play.actions.ts';
import { useReedBox, useReedSaid } from '#web/features/reeds/reeds.actions.ts';
import { Compartment } from '#web/ui/Compartment.tsx';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';
import { Column, Over, TwoColumns } from '#web/ui/TwoColumns.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { ReadyForConcert, type ReedsOfKindProps } from '#web/features/reeds/compartments/ReadyForConcert.tsx';
import { Space } from '#web/ui/layout.tsx';

const [LifeChart] = lazyPart(async () => (await import('#web/features/reeds/parts/LifeChart.tsx')).LifeChart, 220);

const [ReedSheet] = lazyPart(async () => (await import('#web/features/reeds/parts/ReedSheet.tsx')).ReedSheet);

const [BoxSheet] = lazyPart(async () => (await import('#web/features/reeds/parts/BoxSheet.tsx')).BoxSheet);

/** The reeds of one kind of instrument: which one now, the boxes, the last plays, and what is to come. */
export function ReedsOfKind({ of, playerId, currency }: ReedsOfKindProps & { readonly currency: string | null }) {
  const today = useToday();
  const [opened, setOpened] = useState<Opened | null>(null);
  const [editing, setEditing] = useState<{ readonly old: ReedBoxView | null } | null>(null);
  const saying = useReedSaid();
  const air = useReadAir();
  const read = useQuery(airQueries.of(playerId, today)).data?.read ?? null;
  const playing = useReedPlay();
  const entering = useReedBox();
  const box = of.boxes.find(({ reeds }) => reeds.some(({ reedId }) => reedId === opened?.reedId));
  const reed = box?.reeds.find(({ reedId }) => reedId === opened?.reedId);
  const edit = (old: ReedBoxView | null) => {
    entering.open();
    setEditing({ old });
  };
  const add = () => edit(null);
  return (
    <Space component="section" aria-label={of.kindName} below={3}>
      <TwoColumns wide="left" longRight>
        <Over>
          <Typography variant="h2">{of.kindName}</Typography>
        </Over>
        <Column>
          <Compartment>
            <ReedNow of={of} onAddBox={add} />
            {of.family === 'double' && of.instruments[0] && (
              <TallLink to={choosePath(of.instruments[0].instrumentId)}>Lay a reed on the table</TallLink>
            )}
            {of.boxes.length > 0 && <AirToday playerId={playerId} read={read} air={air} />}
          </Compartment>
        </Column>
        <Column long>
          <Boxes of={of} onReed={setOpened} onEdit={edit} onAdd={add} />
          {of.boxes.length > 0 && <ReadyForConcert of={of} playerId={playerId} />}
        </Column>
        <Column>
          {of.boxes.length > 0 && (
            <>
              <Compartment title="Last played">
                <PlayReeds of={of} playing={playing} />
              </Compartment>
              <Compartment title="How long they live">
                <WhyFold lines={of.life.because} about="how long the reeds live">
                  <Typography component="span">{of.life.words}</Typography>
                </WhyFold>
                <LifeChart life={of.life} />
              </Compartment>
              <Compartment title="Which make again">
                <Makes makes={of.makes} />
              </Compartment>
              <Compartment title="Supply">
                <Supply supply={of.supply} currency={currency} />
              </Compartment>
            </>
          )}
        </Column>
      </TwoColumns>
      {of.boxes.length > 0 && <ReedPlan kind={of.kind} playerId={playerId} />}
      {opened && box && reed && (
        <ReedSheet
          name={opened.name}
          reed={reed}
          family={of.family}
          hasBack={hasABack(of.family, box.material)}
          said={saying}
          faults={of.instruments[0] ? `/faults/${of.instruments[0].instrumentId}` : null}
          table={of.family === 'double' ? tablePath(of.instruments[0]?.instrumentId ?? null, reed.reedId) : null}
          onClose={() => setOpened(null)}
        />
      )}
      {editing && (
        <BoxSheet
          playerId={playerId}
          of={of}
          old={editing.old}
          currency={currency}
          today={today}
          box={entering}
          onClose={() => setEditing(null)}
        />
      )}
    </Space>
  );
}
