import { ThemeProvider } from '@mui/material';
import { configure, fireEvent, render, screen } from '@testing-library/react';
import type { ReactNode } from 'react';
import { MemoryRouter } from 'react-router';
import { theme } from '#web/theme/theme.ts';

// Whether something is hidden, and what it is called, is worked out of the styles of all that is round it, for each button
// anew. A part of the screen drawn by itself hides nothing, and nothing here hangs on how it looks.
configure({ defaultHidden: true });
const unstyled = document.createElement('div').style;
window.getComputedStyle = () => unstyled;

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
/** One of a list that opens; one that has just closed still lies beneath it for a moment. */
export function choose(list: Name, option: Name): void {
  fireEvent.mouseDown(screen.getByRole('combobox', { name: list }));
  const found = screen.getAllByRole('option', { name: option }).at(-1);
  if (found === undefined) throw new Error(`${String(list)} has no ${String(option)}`);
  fireEvent.click(found);
}
export const typeInto = (field: Name, value: string) =>
  fireEvent.change(screen.getByLabelText(field), { target: { value } });
export const isDead = (name: Name): boolean => screen.getByRole<HTMLButtonElement>('button', { name }).disabled;
