import { Link } from 'react-router';
import { ClockBadge } from '@/parts/ClockBadge';
import { AlarmBadge } from './AlarmBadge';
import { KeeperMenu } from './KeeperMenu';

export function TopBar() {
  return (
    <header className="top-bar">
      <strong>Towpath</strong>
      <nav>
        <Link to="/">Today</Link>
        <Link to="/roster">Roster</Link>
      </nav>
      <AlarmBadge />
      <ClockBadge />
      <KeeperMenu />
    </header>
  );
}
