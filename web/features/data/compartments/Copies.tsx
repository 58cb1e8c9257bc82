import { Alert, Button, LinearProgress, Stack, Typography } from '@mui/material';
import { dataPaths, type DataView } from '#contract/data.ts';
import { useCopyNow } from '#web/features/data/data.actions.ts';
import { BrassButton } from '#web/ui/BrassButton.tsx';
import { Actions } from '#web/ui/Actions.tsx';
import { Compartment } from '#web/ui/Compartment.tsx';
import { PlainList, PlainRow } from '#web/ui/PlainList.tsx';
import { Text } from '#web/ui/Text.tsx';
import { Grow } from '#web/ui/layout.tsx';

type CopiesProps = { readonly view: DataView; readonly onTakeBack: (copy: string) => void };

/** The copies of the record: how old the newest is, another in one tap, and each to be kept elsewhere or taken back. */
export function Copies({ view: { copies, age, isOld }, onTakeBack }: CopiesProps) {
  const making = useCopyNow();
  return (
    <Compartment title="Copies of your record">
      <Stack spacing={1.5}>
        <Text strong ink={isOld ? 'stop.ink' : undefined}>
          {age}
        </Text>
        <BrassButton disabled={making.isPending} onClick={() => making.mutate()}>
          Make a copy now
        </BrassButton>
        {making.isPending && <LinearProgress aria-label="Making a copy" />}
        {making.error && <Alert severity="error">{making.error.message}</Alert>}
        {making.data && (
          <Alert severity="success" role="status">
            {making.data.words}
          </Alert>
        )}
        <Typography variant="body2" color="text.secondary">
          One is made each day you use Ulu. Those of the last seven days, five weeks and twelve months are kept. Save
          one on another disk now and then: a copy on the same disk dies with it.
        </Typography>
        <PlainList>
          {copies.map(({ name, words }) => (
            <PlainRow key={name} between wrap>
              <Grow basis="1 1 12rem">
                <Typography>{words}</Typography>
              </Grow>
              <Actions>
                <Button color="inherit" href={dataPaths.copy(name)} aria-label={`Save the copy of ${words}`}>
                  Save
                </Button>
                <Button color="inherit" onClick={() => onTakeBack(name)} aria-label={`Take back the copy of ${words}`}>
                  Take back…
                </Button>
              </Actions>
            </PlainRow>
          ))}
        </PlainList>
      </Stack>
    </Compartment>
  );
}
