import { Box, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useId } from 'react';
import { Text } from '#web/ui/Text.tsx';

type ChooseOneProps<Value extends string> = {
  readonly label: string;
  /** Said to those who hear the page only, where the choices speak for themselves. */
  readonly labelHidden?: true;
  readonly options: readonly { readonly value: Value; readonly words: string }[];
  readonly value: Value;
  readonly onChange: (value: Value) => void;
};

/** One of a few, each as large as a thumb; nothing to type, nothing to open. */
export function ChooseOne<Value extends string>({
  label,
  labelHidden,
  options,
  value,
  onChange,
}: ChooseOneProps<Value>) {
  const id = useId();
  return (
    <Box>
      {labelHidden !== true && (
        <Text id={id} variant="body2" color="text.secondary" below={0.5}>
          {label}
        </Text>
      )}
      <ToggleButtonGroup
        exclusive
        fullWidth
        value={value}
        onChange={(_event, next: Value | null) => next !== null && onChange(next)}
        {...(labelHidden === true ? { 'aria-label': label } : { 'aria-labelledby': id })}
      >
        {options.map((option) => (
          <ToggleButton key={option.value} value={option.value}>
            {option.words}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
    </Box>
  );
}
