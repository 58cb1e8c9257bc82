import { Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useNavigate, useSearchParams } from 'react-router';
import { counted } from '#core/explain/format.ts';
import { reedId } from '#core/reeds/reed.ts';
import type { ChooseView } from '#contract/doublereeds.ts';
import { useToday } from '#web/clock/today.ts';
import { useTableActions } from '#web/features/doublereeds/doublereeds.actions.ts';
import { doubleReedQueries } from '#web/features/doublereeds/doublereeds.queries.ts';
import { PupilButtons } from '#web/features/doublereeds/parts/PupilButtons.tsx';
import { looksPath, tablePath } from '#web/session/reed-paths.ts';
import { useQuickLook } from '#web/features/doublereeds/use-quick-look.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { AnswerButton } from '#web/ui/AnswerButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';
import { NOT_ON_THIS_SHELF } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';

function Choose({ choose }: { readonly choose: ChooseView }) {
  const actions = useTableActions();
  const quick = useQuickLook(actions);
  const navigate = useNavigate();
  const today = useToday();
  const [params] = useSearchParams();
  const { instrumentId, playerId, reeds, fresh, pupils, name, playerName } = choose;
  const others = pupils.filter((one) => one.playerId !== playerId);
  const own = pupils.find((one) => one.instrumentId === instrumentId);
  const go = (id: string) => void navigate(`${tablePath(instrumentId, id)}?${params.toString()}`);
  return (
    <TwoColumns wide="left">
      <Column>
        <Compartment>
          <Typography variant="h1">Which reed is it?</Typography>
          <Typography color="text.secondary">
            {name}, {playerName}
          </Typography>
          {reeds.length === 0 && (
            <Text above={1}>No reed of it is in use. Lay a reed without a box on the table, or open a new one.</Text>
          )}
          <Grid columns={{ xs: '1fr', sm: '1fr 1fr' }} above={1.5}>
            {reeds.map((reed) => (
              <AnswerButton key={reed.reedId} onClick={() => go(reed.reedId)}>
                {reed.name}
              </AnswerButton>
            ))}
            {own && (
              <AnswerButton
                disabled={actions.busy}
                onClick={() =>
                  own.unboxed === null
                    ? actions.unboxed({ playerId, kind: own.kind }, today, (id) => go(id))
                    : go(own.unboxed)
                }
              >
                A reed without a box
              </AnswerButton>
            )}
          </Grid>
          <Row above={1.5}>
            <TallLink to={looksPath(instrumentId)}>All looks on one sheet</TallLink>
          </Row>
        </Compartment>
      </Column>
      <Column last>
        {fresh.length > 0 && (
          <Compartment title="Reeds that have just come">
            <Typography>Two minutes each, side by side in one cup: keep, show, or send back.</Typography>
            <Grid above={1}>
              {fresh.map(({ boxKey, name: boxName, numbers }) => (
                <AnswerButton
                  key={boxKey}
                  disabled={actions.busy}
                  onClick={() => quick.ofBox(instrumentId, reedId(boxKey, numbers[0] ?? 1))}
                >
                  {boxName}&ensp;<Quiet>{counted(numbers.length, 'reed')}</Quiet>
                </AnswerButton>
              ))}
            </Grid>
          </Compartment>
        )}
        {others.length > 0 && (
          <Compartment title="A class before the first note">
            <Typography>A reed of each in one tap, the next in one more. No box is needed.</Typography>
            <PupilButtons pupils={others} busy={actions.busy} onPupil={quick.ofPupil} />
          </Compartment>
        )}
      </Column>
    </TwoColumns>
  );
}

/** Which reed is laid on the table. */
export function ChooseReedPage() {
  const query = useQuery(doubleReedQueries.choose(useInstrumentId(), useToday()));
  return (
    <QueryView query={query} height={480} missing={NOT_ON_THIS_SHELF}>
      {(choose) => <Choose choose={choose} />}
    </QueryView>
  );
}
