import type { ReactNode } from 'react';
import { useKeeper } from '@/shell/keeper';
import type { Stand } from './relief';
import { ReliefDay } from './ReliefDay';

type Props = { stands: Stand[]; limit?: number; dense?: boolean; footer?: ReactNode; onPick: (standId: string) => void };

export function ReliefList({ stands, limit = 8, dense, footer, onPick }: Props) {
  const { keeper } = useKeeper();
  const title = keeper.onDuty ? `${keeper.name} is on duty` : `${keeper.name} is off duty`;

  return (
    <section>
      <h2>{title}</h2>
      <dl className="facts" title="Reliefs">
        <dt id="relief-kept" className="fact">
          Kept by
        </dt>
        <dd aria-labelledby="relief-kept" className="value">
          {keeper.name}
        </dd>
        <dt id="relief-sum" className="fact">
          Reliefs
        </dt>
        <dd aria-labelledby="relief-sum" className="value">
          {stands.length}
        </dd>
      </dl>
      <ReliefDay stands={stands.slice(0, limit)} onPick={(standId) => onPick(standId)} />
      {footer}
    </section>
  );
}
