import { useState } from 'react';
import { firstShifts } from '@/data/canal';
import { HintBubble } from '@/parts/HintBubble';
import { ReliefCorner } from '@/relief/ReliefCorner';
import { ShiftTable } from '@/roster/ShiftTable';
import { AppShell } from '@/shell/AppShell';
import { KeeperContext, type KeeperValue } from '@/shell/keeper';
import { LockPage } from './LockPage';

/** Notes in the roster are written for whoever stands in, not for the keeper who is signed in. */
const relief: KeeperValue = { keeper: { name: 'The relief keeper', onDuty: false }, signOff: () => undefined };

export function RosterPage() {
  const [shifts, setShifts] = useState(firstShifts);
  const swap = (id: string) => setShifts((all) => all.map((shift) => (shift.id === id ? { ...shift, keeper: 'to be found' } : shift)));

  return (
    <AppShell>
      <h1>Roster</h1>
      <HintBubble label="A swapped shift is offered to all keepers.">
        <p>{shifts.length} shifts this week</p>
      </HintBubble>
      <KeeperContext value={relief}>
        <ShiftTable shifts={shifts} onSwap={swap} />
      </KeeperContext>
      <ReliefCorner />
      <LockPage />
    </AppShell>
  );
}
