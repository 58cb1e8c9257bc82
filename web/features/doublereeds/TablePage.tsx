import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { Link, useSearchParams } from 'react-router';
import { isOneOf } from '#core/kernel/typed.ts';
import { NOTICED } from '#core/doublereeds/examination.ts';
import { partsOfReedId, reedId, type ReedId } from '#core/reeds/reed.ts';
import { PupilButtons } from '#web/features/doublereeds/parts/PupilButtons.tsx';
import { useQuickLook } from '#web/features/doublereeds/use-quick-look.ts';
import type { TableView } from '#contract/doublereeds.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useTableActions, type TableActions } from '#web/features/doublereeds/doublereeds.actions.ts';
import { doubleReedQueries } from '#web/features/doublereeds/doublereeds.queries.ts';
import { looksPath, tablePath, useReedId } from '#web/session/reed-paths.ts';
import { MoveAtHand } from '#web/features/doublereeds/parts/MoveAtHand.tsx';
import { AskScrape, TableStart } from '#web/features/doublereeds/parts/TableStart.tsx';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Row, Space } from '#web/ui/layout.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';

/** How often it is asked again: a step that waits for the water comes by itself; what lies too long dries. */
const WAITING_MS = 3_000;
const IDLE_MS = 30_000;

type Shown = { readonly table: TableView; readonly actions: TableActions; readonly answeredMs: number };

/** Looked at beside others: the next of the box, or of the class. */
function NextBeside({
  instrumentId,
  reed,
  isClass,
  actions,
}: {
  readonly instrumentId: string;
  readonly reed: ReedId;
  readonly isClass: boolean;
  readonly actions: TableActions;
}) {
  const quick = useQuickLook(actions);
  const choose = useQuery(doubleReedQueries.choose(instrumentId, useToday())).data;
  if (choose === undefined) return null;
  if (isClass) {
    const others = choose.pupils.filter((one) => one.instrumentId !== instrumentId);
    return <PupilButtons pupils={others} busy={actions.busy} onPupil={quick.ofPupil} />;
  }
  const { boxKey, number } = partsOfReedId(reed) ?? { boxKey: '', number: 0 };
  const next = choose.fresh.find((one) => one.boxKey === boxKey)?.numbers.find((one) => one > number);
  return next === undefined ? null : (
    <BrassButton size="large" disabled={actions.busy} onClick={() => quick.ofBox(instrumentId, reedId(boxKey, next))}>
      Next: reed {next}
    </BrassButton>
  );
}

function AtEnd({ table, actions }: Omit<Shown, 'answeredMs'>) {
  const [params] = useSearchParams();
  const { instrumentId, examination } = table;
  const beside = params.get('beside');
  const back = `/reeds${instrumentId === null ? '' : `/${instrumentId}`}`;
  const interviewOf = examination?.interviewOf ?? null;
  return (
    <>
      {beside !== null && instrumentId !== null && (
        <Space above={2}>
          <NextBeside instrumentId={instrumentId} reed={table.reedId} isClass={beside === 'class'} actions={actions} />
        </Space>
      )}
      <Row wrap above={2}>
        {interviewOf !== null && (
          <BrassButton size="large" {...{ component: Link, to: `/faults/${interviewOf}` }}>
            Go on with what is wrong
          </BrassButton>
        )}
        <BrassButton size="large" leads={interviewOf === null && beside === null} {...{ component: Link, to: back }}>
          To the reeds
        </BrassButton>
        <Button
          color="inherit"
          size="large"
          disabled={actions.busy}
          onClick={() =>
            actions.begin(table.reedId, { way: 'whole', noticed: [], soakedMinutes: 0, interviewKey: null })
          }
        >
          Look at it once more
        </Button>
      </Row>
    </>
  );
}

function Table({ table, actions, answeredMs }: Shown) {
  const [params] = useSearchParams();
  const { examination, askScrape, sort, name, kindName, notApplicable, last, playerName } = table;
  const known = (params.get('noticed') ?? '').split(',').filter((one) => isOneOf(NOTICED, one));
  const shape = sort === 'bassoon' ? 'bassoon' : 'oboe';
  return (
    <TwoColumns wide="left">
      <Column>
        <Space>
          <Typography variant="h2" component="h1">
            {name}
          </Typography>
          <Typography color="text.secondary">
            {kindName}, {playerName}
          </Typography>
        </Space>
        {examination ? (
          <MoveAtHand
            examination={examination}
            shape={shape}
            answeredMs={answeredMs}
            actions={actions}
            atEnd={<AtEnd table={table} actions={actions} />}
          />
        ) : askScrape ? (
          <AskScrape table={table} busy={actions.busy} onScrape={(scrape) => actions.scrape(askScrape, scrape)} />
        ) : (
          <TableStart
            table={table}
            busy={actions.busy}
            known={known}
            onBegin={(said) =>
              actions.begin(table.reedId, { way: 'whole', interviewKey: params.get('interview'), ...said })
            }
          />
        )}
      </Column>
      <Column last>
        {examination && examination.said.length > 0 && (
          <Compartment title="What was said">
            <PlainList>
              {examination.said.map(({ key, words }) => (
                <PlainRow key={key}>
                  <Typography>{words}</Typography>
                </PlainRow>
              ))}
            </PlainList>
          </Compartment>
        )}
        <Compartment title="This reed">
          {last && (
            <Typography>
              Last time: {last.words.charAt(0).toLowerCase() + last.words.slice(1)}.{' '}
              <Quiet>{FORMAT.weekdayDate(last.on)}</Quiet>
            </Typography>
          )}
          {notApplicable && <Typography color="text.secondary">{notApplicable}</Typography>}
          <Row wrap>
            <TallLink to={`${tablePath(table.instrumentId ?? null, table.reedId)}/card`}>Its card</TallLink>
            <TallLink to={looksPath(table.instrumentId ?? null)}>All looks on one sheet</TallLink>
          </Row>
        </Compartment>
      </Column>
    </TwoColumns>
  );
}

/** The double-reed table: soak, looks, crow, one small step at a time. */
export function TablePage() {
  const actions = useTableActions();
  const query = useQuery({
    ...doubleReedQueries.table(useReedId(), useToday()),
    refetchInterval: ({ state }) => (state.data?.examination?.move.soak?.says === null ? WAITING_MS : IDLE_MS),
  });
  return (
    <QueryView query={query} height={560}>
      {(table) => <Table key={table.reedId} table={table} actions={actions} answeredMs={query.dataUpdatedAt} />}
    </QueryView>
  );
}
