import { useState } from 'react';
import { firstShifts } from '@/data/canal';
import { HintBubble } from '@/parts/HintBubble';
import { ShiftTable } from '@/roster/ShiftTable';
import { AppShell } from '@/shell/AppShell';

export function RosterPage() {
  const [shifts, setShifts] = useState(firstShifts);
  const swap = (id: string) => setShifts((all) => all.map((shift) => (shift.id === id ? { ...shift, keeper: 'to be found' } : shift)));

  return (
    <AppShell>
      <h1>Roster</h1>
      <HintBubble label="A swapped shift is offered to all keepers.">
        <p>{shifts.length} shifts this week</p>
      </HintBubble>
      <ShiftTable shifts={shifts} onSwap={swap} />
    </AppShell>
  );
}
