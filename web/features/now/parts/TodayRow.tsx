import { Box, Button } from '@mui/material';
import { Link } from 'react-router';
import { duration } from '#core/explain/format.ts';
import type { TodayLineView } from '#contract/today.ts';
import { HANDS_WORDS } from '#web/ui/hands-words.ts';
import { PlainRow } from '#web/ui/PlainList.tsx';
import { Silhouette } from '#web/ui/Silhouette.tsx';
import { TubeGauge } from '#web/ui/TubeGauge.tsx';
import { useWhyFold } from '#web/ui/WhyFold.tsx';
import { Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import { TallLink } from '#web/ui/TallLink.tsx';

type TodayRowProps = {
  readonly line: TodayLineView;
  readonly busy: boolean;
  readonly onPackUp: (line: TodayLineView) => void;
  readonly onDo: (line: TodayLineView) => void;
  readonly onLayOut: (line: TodayLineView) => void;
  readonly onLookOver: (line: TodayLineView) => void;
};

/** Whose it is, where it is not the player's own: "Ife’s Clarinet". */
const nameOf = ({ name, ownerName }: TodayLineView): string =>
  ownerName === null ? name : `${ownerName.split(' ')[0] ?? ownerName}’s ${name}`;

function headline(line: TodayLineView): { readonly first: string; readonly second: string } {
  const { what, words, clock } = line;
  const name = nameOf(line);
  if (what === 'run') return { first: name, second: 'A run is under way. Nothing you ticked is lost.' };
  if (clock === null) return { first: name, second: words ?? '' };
  const hands = clock.atBench ? null : HANDS_WORDS[clock.hands];
  const standing = clock.everyPlay ? 'left from packing up: before the next play' : clock.gauge.words;
  return { first: clock.name, second: [name, standing, hands].filter((one) => one !== null).join(' · ') };
}

const BENCH_WAYS = { pack: ['/pack', 'Pack it'], fetch: ['', 'See it'] } as const;

/** The one thing to do about a line. */
function RowAction({ line, busy, onPackUp, onDo, onLayOut, onLookOver }: TodayRowProps) {
  const { what, instrumentId, runKey, clock } = line;
  const name = nameOf(line);
  const shape = { variant: 'outlined', color: 'inherit', disabled: busy } as const;
  if (what === 'run')
    return (
      <Button
        {...shape}
        {...{ component: Link, to: `/pack-up/${instrumentId}/${runKey ?? ''}` }}
        aria-label={`Go on: ${name}`}
      >
        Go on
      </Button>
    );
  if (what === 'stopped' || what === 'wrong')
    return (
      <Button
        {...shape}
        {...{ component: Link, to: `/faults/${instrumentId}` }}
        aria-label={`${what === 'stopped' ? 'See it' : 'Go on'}: ${name}`}
      >
        {what === 'stopped' ? 'See it' : 'Go on'}
      </Button>
    );
  if (what === 'damp')
    return (
      <Button {...shape} onClick={() => onLayOut(line)} aria-label={`Lay it out and dry it: ${name}`}>
        Lay it out
      </Button>
    );
  if (what === 'first-note')
    return (
      <Button {...shape} onClick={() => onLookOver(line)} aria-label={`Look it over: ${name}`}>
        Look it over
      </Button>
    );
  if (what === 'measure')
    return (
      <Button {...shape} {...{ component: Link, to: `/bench/${instrumentId}` }} aria-label={`Measure: ${name}`}>
        Measure
      </Button>
    );
  if (what === 'pack' || what === 'fetch') {
    const [path, says] = BENCH_WAYS[what];
    return (
      <Button {...shape} {...{ component: Link, to: `/bench/${instrumentId}${path}` }} aria-label={`${says}: ${name}`}>
        {says}
      </Button>
    );
  }
  if (clock === null)
    return (
      <Button {...shape} onClick={() => onPackUp(line)} aria-label={`Pack up: ${name}`}>
        Pack up
      </Button>
    );
  const atHome = clock.hands !== 'bench' && clock.gauge.state !== 'waiting';
  return atHome ? (
    <Button
      {...shape}
      onClick={() => onDo(line)}
      aria-label={`Do it · ${duration(Math.max(1, clock.minutes))}: ${clock.name}, ${name}`}
    >
      Do it · {duration(Math.max(1, clock.minutes))}
    </Button>
  ) : (
    <Button
      {...shape}
      {...{ component: Link, to: `/care/${instrumentId}` }}
      aria-label={`See it: ${clock.name}, ${name}`}
    >
      See it
    </Button>
  );
}

/** One line of today's list: what it is, whose, and the one thing to do; the reasons open below the whole row. */
export function TodayRow(props: TodayRowProps) {
  const { line } = props;
  const { instrumentId, kind, clock, what } = line;
  const { first, second } = headline(line);
  const because = clock?.because ?? line.because;
  const why = useWhyFold({ lines: because, about: `${first}, ${nameOf(line)}` });
  const over = clock?.gauge.state === 'overdue' || what === 'stopped';
  return (
    <PlainRow columns="44px minmax(0, 1fr) auto">
      <Box aria-hidden sx={{ display: 'grid', placeItems: 'center' }}>
        {clock && !clock.everyPlay ? (
          <TubeGauge gauge={clock.gauge} atBench={clock.hands === 'bench' || clock.gauge.state === 'waiting'} />
        ) : (
          <Silhouette kind={kind} size={40} />
        )}
      </Box>
      <Space>
        <TallLink to={`/now/${instrumentId}`} strong calm>
          {first}
        </TallLink>
        <Text
          variant="body2"
          ink={what === 'wet' || what === 'damp' ? 'water.ink' : over ? 'stop.ink' : 'text.secondary'}
        >
          {second} {because.length > 0 && why.button}
        </Text>
      </Space>
      <RowAction {...props} />
      {why.fold}
    </PlainRow>
  );
}
