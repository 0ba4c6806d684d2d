import ToggleButton from '@mui/material/ToggleButton';
import type { ReactNode } from 'react';

type Props = { isOn: boolean; isOff?: boolean; onToggle: () => void; children: ReactNode };

/** Something that is shown or left out, or one of a few that stand beside each other. */
export function Toggle({ isOn, isOff = false, onToggle, children }: Props) {
  return (
    <ToggleButton value="" size="small" selected={isOn} disabled={isOff} onChange={onToggle}>
      {children}
    </ToggleButton>
  );
}
