import { Box, Typography } from '@mui/material';
import type { SignId } from '#core/book/fault.ts';
import { LineButton } from '#web/ui/LineButton.tsx';
import { PlainList } from '#web/ui/PlainList.tsx';

type Choosable = { readonly sign: SignId; readonly words: string; readonly partName?: string | null };

type SignChoiceProps = {
  readonly signs: readonly Choosable[];
  readonly chosen: readonly SignId[];
  readonly onToggle: (sign: SignId) => void;
};

/** Signs to be tapped, several at once. */
export const SignChoice = ({ signs, chosen, onToggle }: SignChoiceProps) => (
  <PlainList gap={1} columns={{ xs: '1fr', sm: 'repeat(auto-fill, minmax(240px, 1fr))' }}>
    {signs.map(({ sign, words, partName }) => (
      <Box component="li" key={sign}>
        <LineButton
          fullWidth
          variant={chosen.includes(sign) ? 'contained' : 'outlined'}
          color={chosen.includes(sign) ? 'primary' : 'inherit'}
          aria-pressed={chosen.includes(sign)}
          onClick={() => onToggle(sign)}
        >
          <span>
            {words}
            {partName && (
              <Typography component="span" variant="body2" sx={{ display: 'block', opacity: 0.8 }}>
                {partName}
              </Typography>
            )}
          </span>
        </LineButton>
      </Box>
    ))}
  </PlainList>
);
