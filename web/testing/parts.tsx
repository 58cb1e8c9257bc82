import { ThemeProvider } from '@mui/material';
import { configure, fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { theme } from '#web/theme/theme.ts';

// Whether something is hidden is worked out of the styles of all that is round it, for each button anew: a part of the
// screen drawn by itself hides nothing.
configure({ defaultHidden: true });

type Name = string | RegExp;

/** A part of the screen by itself, in the app's theme; what it links to leads nowhere. */
export const draw = (part: ReactNode) =>
  render(part, {
    wrapper: ({ children }) => (
      <ThemeProvider theme={theme}>
        <MemoryRouter>{children}</MemoryRouter>
      </ThemeProvider>
    ),
  });

/** What a finger does, by the words a screen reader would say. */
export const tap = (name: Name) => fireEvent.click(screen.getByRole('button', { name }));
export const tick = (name: Name) => fireEvent.click(screen.getByRole('checkbox', { name }));
/** One of a list that opens. */
export function choose(list: Name, option: Name): void {
  fireEvent.mouseDown(screen.getByRole('combobox', { name: list }));
  fireEvent.click(screen.getByRole('option', { name: option }));
}
export const typeInto = (field: Name, value: string) =>
  fireEvent.change(screen.getByLabelText(field), { target: { value } });
export const isDead = (name: Name): boolean => screen.getByRole<HTMLButtonElement>('button', { name }).disabled;
