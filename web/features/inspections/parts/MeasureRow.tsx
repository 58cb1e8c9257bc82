import { Button, Typography } from '@mui/material';
import type { MeasureView } from '#contract/inspections.ts';
import { FORMAT } from '#web/clock/format.ts';
import { lazyPart } from '#web/ui/lazy-part.tsx';
import { Caution } from '#web/ui/Caution.tsx';
import { HeardOnly } from '#web/ui/HeardOnly.tsx';
import { Row, Space } from '#web/ui/layout.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';
import { Text } from '#web/ui/Text.tsx';
import { useWhyFold } from '#web/ui/WhyFold.tsx';

const [TrendChart] = lazyPart(
  async () => (await import('#web/features/inspections/parts/TrendChart.tsx')).TrendChart,
  230,
);

/** Every reading that is drawn, for those who hear the page. */
const Heard = ({ measure }: { readonly measure: MeasureView }) => (
  <HeardOnly>
    <table>
      <caption>Readings</caption>
      <tbody>
        {measure.lines
          .flatMap(({ points }) => points)
          .map(({ on, value }, at) => (
            <tr key={at}>
              <th scope="row">{FORMAT.date(on)}</th>
              <td>{FORMAT.number(value)}</td>
            </tr>
          ))}
      </tbody>
    </table>
  </HeardOnly>
);

type MeasureRowProps = {
  readonly measure: MeasureView;
  readonly open: boolean;
  readonly onToggle: () => void;
};

/** One thing that is measured: what was read last, what that says, where it goes. */
export function MeasureRow({ measure, open, onToggle }: MeasureRowProps) {
  const { name, placeName, newest, words, lines, because, stops } = measure;
  const title = placeName === null ? name : `${name}: ${placeName}`;
  const { button, fold } = useWhyFold({ lines: because, about: title });
  const isDrawn = lines.some(({ points }) => points.length > 1);
  return (
    <li>
      <Space above={1} below={1}>
        <Row between gap={1.5} align="baseline">
          <Text strong>{title}</Text>
          {newest && (
            <Text ink={newest.grade === 'bench' ? 'stop.ink' : undefined} align="right">
              {newest.grade === 'good' ? newest.words : `${newest.words} · ${newest.gradeWords}`}
            </Text>
          )}
        </Row>
        {stops && newest?.grade === 'bench' && (
          <Caution danger>Do not play it until somebody has looked. Say in Faults what you see.</Caution>
        )}
        <Typography>{words}</Typography>
        <Row gap={1} align="center">
          {button}
          {isDrawn && (
            <Button
              size="small"
              color="inherit"
              aria-expanded={open}
              aria-label={`${open ? 'Hide the line' : 'Show the line'}: ${title}`}
              onClick={onToggle}
            >
              {open ? 'Hide the line' : 'Show the line'}
            </Button>
          )}
          {newest && <Quiet small>Read on {FORMAT.date(newest.on)}</Quiet>}
        </Row>
        {fold}
        {open && isDrawn && (
          <>
            <TrendChart measure={measure} />
            <Heard measure={measure} />
          </>
        )}
      </Space>
    </li>
  );
}
