import { Typography } from '@mui/material';
import { duration } from '#core/explain/format.ts';
import type { ShownStep } from '#contract/shown-run.ts';
import { Caution } from '#web/ui/Caution.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';
import { WhyFold } from '#web/ui/WhyFold.tsx';
import { Grid, Row } from '#web/ui/layout.tsx';

/** What has to lie ready, one thing beside the other. */
function Supplies({ supplies }: { readonly supplies: readonly string[] }) {
  if (supplies.length === 0) return null;
  return (
    <Row wrap align="baseline">
      <Typography variant="body2" color="text.secondary">
        You need
      </Typography>
      <PlainList inline gap={0.75}>
        {supplies.map((one) => (
          <Typography
            component="li"
            variant="body2"
            key={one}
            sx={{ border: '1px solid', borderColor: 'well.rim', borderRadius: 2, px: 1, py: 0.125, fontWeight: 600 }}
          >
            {one}
          </Typography>
        ))}
      </PlainList>
    </Row>
  );
}

/** How a step is done, and what to mind while doing it. */
export function StepHow({
  step: { how, cautions },
  large = false,
}: {
  readonly step: ShownStep;
  readonly large?: boolean;
}) {
  return (
    <Grid>
      {how && (
        <Typography sx={{ maxWidth: '62ch', ...(large ? { fontSize: { xs: '1.0625rem', sm: '1.125rem' } } : {}) }}>
          {how}
        </Typography>
      )}
      {cautions.map((caution) => (
        <Caution key={caution}>{caution}</Caution>
      ))}
    </Grid>
  );
}

/** What a step takes, why it is done, and what skipping it costs. */
export function StepReasons({ step }: { readonly step: ShownStep }) {
  const { heading, why, harm, supplies, way, wait } = step;
  return (
    <Grid>
      <Supplies supplies={supplies} />
      {(why || harm) && (
        <Typography variant="body2" color="text.secondary">
          {why}
          {why && harm && ' '}
          {harm && `If you skip this: ${harm}.`}
        </Typography>
      )}
      {wait && (
        <Typography variant="body2">
          Then it waits about {duration(wait.minutes)} by itself: {wait.why}. Go on meanwhile
          {wait.most === null ? '.' : `, but leave it no longer than ${duration(wait.most)}.`}
        </Typography>
      )}
      {way.length > 0 && <WhyFold lines={way} about={heading} label="Why this way" />}
    </Grid>
  );
}
