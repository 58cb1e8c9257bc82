import { Button, Typography } from '@mui/material';
import { useState } from 'react';
import { counted } from '#core/explain/format.ts';
import type { ReedBoxView, ReedView, ReedsOfKindView } from '#contract/reed-views.ts';
import { FORMAT } from '#web/clock/format.ts';
import { ReedSigns, ReedSlots } from '#web/features/reeds/parts/ReedSlots.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { Row, Space } from '#web/ui/layout.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Quiet } from '#web/ui/Quiet.tsx';

/** A reed somebody has tapped. */
export type Opened = { readonly name: string; readonly reedId: string };

type BoxRowProps = {
  readonly box: ReedBoxView;
  readonly proposed: string | null;
  readonly onReed: (one: Opened) => void;
  readonly onEdit: (box: ReedBoxView) => void;
};

/** One box: its name, where it lies, and its reeds in their slots. */
function BoxRow({ box, proposed, onReed, onEdit }: BoxRowProps) {
  const { name, place, material, cameOn, reeds } = box;
  const aside = [`came ${FORMAT.shortDate(cameOn)}`, material === 'synthetic' ? 'synthetic' : null, place];
  return (
    <Space below={1.5}>
      <Row between align="center">
        <Text strong>
          {name} <Quiet>{aside.filter((one) => one !== null).join(' · ')}</Quiet>
        </Text>
        <Button color="inherit" onClick={() => onEdit(box)} aria-label={`Edit the box: ${name}`}>
          Edit
        </Button>
      </Row>
      <ReedSlots
        reeds={reeds}
        proposed={proposed}
        onReed={({ reedId, number }: ReedView) => onReed({ name: `${name}, reed ${number}`, reedId })}
      />
    </Space>
  );
}

/** The boxes with their reeds, the newest first; those of which no reed is left come when they are asked for. */
export function Boxes({
  of,
  onReed,
  onEdit,
  onAdd,
}: {
  readonly of: ReedsOfKindView;
  readonly onReed: (one: Opened) => void;
  readonly onEdit: (box: ReedBoxView) => void;
  readonly onAdd: () => void;
}) {
  const [all, setAll] = useState(false);
  const proposed = of.today.play.find(({ isBrokenIn }) => isBrokenIn)?.reedId ?? of.today.play[0]?.reedId ?? null;
  const isFinished = ({ reeds }: ReedBoxView) => reeds.every(({ stage }) => stage === 'retired');
  const finished = of.boxes.filter(isFinished);
  const shown = all ? of.boxes : of.boxes.filter((box) => !isFinished(box));
  return (
    <Compartment
      title="Boxes"
      aside={
        <Button color="inherit" onClick={onAdd}>
          Add a box
        </Button>
      }
    >
      {shown.map((box) => (
        <BoxRow key={box.key} box={box} proposed={proposed} onReed={onReed} onEdit={onEdit} />
      ))}
      <ReedSigns reeds={shown.flatMap(({ reeds }) => reeds)} />
      {of.boxes.length === 0 && <Typography color="text.secondary">Boxes you add stand here.</Typography>}
      {finished.length > 0 && (
        <Button color="inherit" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Hide' : 'Show'} {counted(finished.length, 'finished box')}
        </Button>
      )}
    </Compartment>
  );
}
