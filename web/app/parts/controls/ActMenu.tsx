import Button from '@mui/material/Button';
import ListSubheader from '@mui/material/ListSubheader';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useId, useRef, useState } from 'react';

export type Act = {
  readonly words: string;
  readonly run: () => void;
  readonly isOff?: boolean;
  /** Said once above the first act of each group. */
  readonly group?: string;
};

type Props = { words: string; label: string; acts: readonly Act[] };

/** A button that opens a list of things to do. */
export function ActMenu({ words, label, acts }: Props) {
  const button = useRef<HTMLButtonElement>(null);
  const [isOpen, setIsOpen] = useState(false);
  const id = useId();
  return (
    <>
      <Button
        ref={button}
        variant="outlined"
        color="inherit"
        aria-label={label}
        aria-haspopup="menu"
        aria-expanded={isOpen}
        aria-controls={isOpen ? id : undefined}
        onClick={() => setIsOpen(true)}
      >
        {words}
      </Button>
      <Menu id={id} anchorEl={() => button.current} open={isOpen} onClose={() => setIsOpen(false)}>
        {acts.flatMap((act, index) => [
          act.group !== undefined && act.group !== acts[index - 1]?.group ? (
            <ListSubheader key={`group ${act.group}`}>{act.group}</ListSubheader>
          ) : null,
          <MenuItem
            key={act.words}
            disabled={act.isOff ?? false}
            onClick={() => {
              setIsOpen(false);
              act.run();
            }}
          >
            {act.words}
          </MenuItem>,
        ])}
      </Menu>
    </>
  );
}
