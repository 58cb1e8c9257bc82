import { ButtonBase, Typography } from '@mui/material';
import { PlainList } from '#web/ui/PlainList.tsx';
import type { ReedView } from '#contract/reed-views.ts';
import { Text } from '#web/ui/Text.tsx';
import { Row } from '#web/ui/layout.tsx';

type ReedSlotsProps = {
  readonly reeds: readonly ReedView[];
  readonly proposed: string | null;
  readonly onReed: (reed: ReedView) => void;
};

const WIDTH = 44;
const HEIGHT = 92;
/** Where the vamp begins to thin towards the tip, and where the bark of the stock begins. */
const TIP_ARC = 10;
const STOCK = 60;
const SMALL = 2.4;

/** A reed from the front: its tip on top, cane as far as its life goes and paler where nobody knows, the stock at the heel. */
type BladeProps = {
  readonly reed: Pick<ReedView, 'stage' | 'shareOfLife'>;
  /** Beside words it is as high as they are. */
  readonly small?: true;
};
function Blade({ reed: { stage, shareOfLife }, small }: BladeProps) {
  const outline = `M8 ${TIP_ARC + 2}Q22 -4 36 ${TIP_ARC + 2}L34 ${HEIGHT - 4}H10z`;
  const isOfUnknownAge = shareOfLife === null && stage !== 'new' && stage !== 'retired';
  const gone = stage === 'retired' ? 1 : (shareOfLife ?? 0);
  const top = 2 + (HEIGHT - 6) * gone;
  const ink = 'var(--ulu-palette-text-primary)';
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width={small ? WIDTH / SMALL : WIDTH}
      height={small ? HEIGHT / SMALL : HEIGHT}
      aria-hidden
    >
      <clipPath id={`left-${stage}-${Math.round(top * 10)}`}>
        <rect x={0} y={top} width={WIDTH} height={HEIGHT - top} />
      </clipPath>
      <path d={outline} fill="var(--ulu-palette-well-deep)" />
      <path
        d={outline}
        clipPath={`url(#left-${stage}-${Math.round(top * 10)})`}
        fillOpacity={isOfUnknownAge ? 0.45 : 1}
        fill="var(--ulu-palette-cane-main)"
      />
      <path
        d={outline}
        fill="none"
        strokeWidth={2}
        strokeDasharray={stage === 'new' ? '4 3' : undefined}
        stroke={ink}
      />
      {stage !== 'retired' && <path d={`M10 ${STOCK}h24`} strokeWidth={1.5} stroke={ink} />}
      {stage === 'retired' && <path d={`M8 ${HEIGHT - 6}L36 8`} strokeWidth={2.5} stroke={ink} />}
      {stage === 'breaking-in' && (
        <path d="M14 68v14M22 68v14M30 68v14" strokeWidth={2} stroke="var(--ulu-palette-cane-ink)" />
      )}
    </svg>
  );
}

/** The reeds of a box in their slots, each with its number; a tap opens what is known of it. */
export const ReedSlots = ({ reeds, proposed, onReed }: ReedSlotsProps) => (
  <PlainList inline gap={0.5}>
    {reeds.map((reed) => (
      <li key={reed.reedId}>
        <ButtonBase
          onClick={() => onReed(reed)}
          aria-label={`Reed ${reed.number}: ${reed.words}`}
          sx={{
            flexDirection: 'column',
            width: 60,
            py: 0.75,
            borderRadius: 2,
            border: '2px solid',
            borderColor: reed.reedId === proposed ? 'cane.ink' : 'transparent',
            opacity: reed.stage === 'retired' ? 0.72 : 1,
            '&:hover': { bgcolor: 'well.deep' },
          }}
        >
          <Blade reed={reed} />
          <Text component="span" strong>
            {reed.number}
          </Text>
        </ButtonBase>
      </li>
    ))}
  </PlainList>
);

const SIGNS = [
  { words: 'new', reed: { stage: 'new', shareOfLife: 0 } },
  { words: 'being broken in', reed: { stage: 'breaking-in', shareOfLife: 0 } },
  { words: 'cane as high as its life goes on', reed: { stage: 'in-rotation', shareOfLife: 0.5 } },
  { words: 'of unknown age', reed: { stage: 'in-rotation', shareOfLife: null } },
  { words: 'played no more', reed: { stage: 'retired', shareOfLife: 1 } },
] as const;

const isLike = (
  one: Pick<ReedView, 'stage' | 'shareOfLife'>,
  sign: Pick<ReedView, 'stage' | 'shareOfLife'>,
): boolean =>
  sign.stage === 'in-rotation'
    ? one.stage !== 'new' && one.stage !== 'retired' && (one.shareOfLife === null) === (sign.shareOfLife === null)
    : one.stage === sign.stage;

/** What the drawings of these reeds mean: each that is there, once. */
export const ReedSigns = ({ reeds }: { readonly reeds: readonly ReedView[] }) => (
  <PlainList inline gap={1} aria-label="What the drawings mean">
    {SIGNS.filter(({ reed }) => reeds.some((one) => isLike(one, reed))).map(({ words, reed }) => (
      <Row key={words} component="li" gap={0.75} align="center">
        <Blade reed={reed} small />
        <Typography component="span" variant="body2">
          {words}
        </Typography>
      </Row>
    ))}
  </PlainList>
);
