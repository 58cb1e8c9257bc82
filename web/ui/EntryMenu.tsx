import { Menu, MenuItem } from '@mui/material';

export type MenuEntry = { readonly words: string; readonly act: () => void };
type EntryMenuProps = {
  readonly anchor: HTMLElement;
  readonly entries: readonly MenuEntry[];
  readonly onClose: () => void;
};

/** A few things that can be done, one of which is chosen. It comes with its first tap. */
export function EntryMenu({ anchor, entries, onClose }: EntryMenuProps) {
  return (
    <Menu open anchorEl={anchor} onClose={onClose}>
      {entries.map(({ words, act }) => (
        <MenuItem
          key={words}
          onClick={() => {
            onClose();
            act();
          }}
        >
          {words}
        </MenuItem>
      ))}
    </Menu>
  );
}
