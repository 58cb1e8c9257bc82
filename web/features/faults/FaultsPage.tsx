import { playerQueries } from '#web/features/players/players.queries.ts';
import { useCurrentPlayer } from '#web/session/current-player.ts';
import { Button, Typography } from '@mui/material';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import type { InterviewWay } from '#core/faults/interview.ts';
import type { FaultsPage as FaultsView, InterviewView } from '#contract/faults.ts';
import type { InstrumentPage } from '#contract/care.ts';
import { FORMAT } from '#web/clock/format.ts';
import { useToday } from '#web/clock/today.ts';
import { useInstrumentId } from '#web/session/instrument-id.ts';
import { instrumentPageQueries } from '#web/record/instrument-page.queries.ts';
import { useFaultActions, type FaultActions } from '#web/features/faults/faults.actions.ts';
import { faultQueries } from '#web/features/faults/faults.queries.ts';
import { LookItUp } from '#web/features/faults/compartments/LookItUp.tsx';
import { AskedQuestion } from '#web/features/faults/parts/AskedQuestion.tsx';
import { MayBe } from '#web/features/faults/parts/MayBe.tsx';
import { Mishaps } from '#web/features/faults/compartments/Mishaps.tsx';
import { NextStep } from '#web/features/faults/parts/NextStep.tsx';
import { SaidSoFar } from '#web/features/faults/parts/SaidSoFar.tsx';
import { StartInterview } from '#web/features/faults/parts/StartInterview.tsx';
import { Stopped } from '#web/features/faults/parts/Stopped.tsx';
import { ChooseOne } from '#web/ui/ChooseOne.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { NOT_ON_THIS_SHELF } from '#web/ui/Problem.tsx';
import { QueryView } from '#web/ui/QueryView.tsx';
import { Column, TwoColumns } from '#web/ui/TwoColumns.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

const WAYS = [
  { value: 'quick', words: 'A quick guess' },
  { value: 'sure', words: 'To be sure' },
] as const satisfies readonly { value: InterviewWay; words: string }[];

type Asking = {
  readonly page: FaultsView;
  readonly care: InstrumentPage;
  readonly actions: FaultActions;
};

/** The question that is asked, or the right thing next. */
function Interview({ interview, care, actions }: Asking & { readonly interview: InterviewView }) {
  const { question, key } = interview;
  if (question === null) return <NextStep interview={interview} instrumentId={care.instrument.id} actions={actions} />;
  const last = interview.said.findLast((one) => one.key !== null)?.key ?? null;
  return (
    <AskedQuestion
      question={question}
      interview={interview}
      strip={care.strip}
      busy={actions.busy}
      onAnswer={(answer, so) => actions.answer(key, question, answer, so)}
      onBack={last === null ? null : () => actions.takeBack(last)}
    />
  );
}

type NoteProps = {
  readonly interview: InterviewView;
  readonly actions: FaultActions;
  /** What is stopped is not let be. */
  readonly mayLetBe: boolean;
};

/** For whoever looks at it next. */
function Note({ interview, actions, mayLetBe }: NoteProps) {
  const [copied, setCopied] = useState(false);
  return (
    <Compartment
      title={interview.forChild ? 'Show this to a grown-up' : 'The note for teacher or bench'}
      aside={
        <Button
          color="inherit"
          onClick={() => {
            void navigator.clipboard.writeText(interview.note).then(() => setCopied(true));
          }}
        >
          {copied ? 'Copied' : 'Copy'}
        </Button>
      }
    >
      <Typography sx={{ whiteSpace: 'pre-line' }}>{interview.note}</Typography>
      {mayLetBe && (
        <Space above={1}>
          <Button color="inherit" disabled={actions.busy} onClick={() => actions.end(interview.key, 'nobody')}>
            Let it be
          </Button>
        </Space>
      )}
    </Compartment>
  );
}

function Loaded({
  page,
  care,
  way,
  onWay,
}: Omit<Asking, 'actions'> & { readonly way: InterviewWay; readonly onWay: (way: InterviewWay) => void }) {
  const actions = useFaultActions(page.instrumentId, page.playerId);
  const { open, stopped } = page;
  const [params] = useSearchParams();
  const sign = params.get('sign');
  // What was noticed elsewhere is said here at once, unless it has been.
  const [more, setMore] = useState(sign !== null && open !== null && open.said.every((one) => one.sign !== sign));
  /** By what was answered in this very interview: a rule, whatever the odds. */
  const isStopped = open !== null && open.key === stopped?.key;
  return (
    <TwoColumns wide="left">
      <Column>
        {stopped && (
          <Stopped stop={stopped} busy={actions.busy} onCleared={() => actions.end(stopped.key, stopped.clearedBy)} />
        )}
        {open && !isStopped && <Interview page={page} care={care} actions={actions} interview={open} />}
        {open ? (
          <Compartment
            title="What was said"
            aside={
              <Button color="inherit" aria-expanded={more} onClick={() => setMore(!more)}>
                Notice more
              </Button>
            }
          >
            <SaidSoFar interview={open} onAnswer={(line, answer, so) => actions.answer(open.key, line, answer, so)} />
          </Compartment>
        ) : (
          <StartInterview
            page={page}
            busy={actions.busy}
            part={params.get('part')}
            sign={sign}
            title={`What do you notice on ${care.instrument.name}?`}
            action="Find out what it may be"
            onBegin={actions.begin}
          />
        )}
        {open && more && (
          <StartInterview
            page={page}
            busy={actions.busy}
            sign={sign}
            title="What else do you notice?"
            action="Add it"
            onBegin={(signs) => {
              for (const sign of signs) actions.alsoNotice(open.key, sign);
              setMore(false);
            }}
          />
        )}
      </Column>
      <Column last>
        {open && !isStopped && (
          <Compartment title="What it may be">
            <ChooseOne label="How thoroughly" labelHidden options={WAYS} value={way} onChange={onWay} />
            <Space above={1}>
              <MayBe interview={open} />
            </Space>
          </Compartment>
        )}
        {open && <Note interview={open} actions={actions} mayLetBe={!isStopped} />}
        <Mishaps page={page} />
        {page.before.length > 0 && (
          <Compartment title="What it was before">
            <PlainList>
              {page.before.map(({ key, on, text }) => (
                <PlainRow key={key}>
                  <Typography>
                    {text}
                    <Quiet> {FORMAT.weekdayDate(on)}</Quiet>
                  </Typography>
                </PlainRow>
              ))}
            </PlainList>
          </Compartment>
        )}
        {!open && <LookItUp instrumentId={page.instrumentId} />}
      </Column>
    </TwoColumns>
  );
}

/** Something is wrong: from what is noticed to the right hand. */
export function FaultsPage() {
  const instrumentId = useInstrumentId();
  const today = useToday();
  const [way, setWay] = useState<InterviewWay>('quick');
  const care = useQuery(instrumentPageQueries.of(instrumentId, today));
  const holder = useCurrentPlayer(useQuery(playerQueries.list()).data);
  const query = useQuery(faultQueries.page(instrumentId, today, way, holder?.id));
  return (
    <QueryView query={care} height={560} missing={NOT_ON_THIS_SHELF}>
      {(shown) => (
        <QueryView query={query} height={560} missing={NOT_ON_THIS_SHELF}>
          {(page) => <Loaded page={page} care={shown} way={way} onWay={setWay} />}
        </QueryView>
      )}
    </QueryView>
  );
}
