import { useRef } from 'react';
import { locks } from '@/data/canal';

type Props = { currentId: string };

/** The canal as a line with its locks. It tells the page which one was chosen by an event of its own. */
export function CanalMap({ currentId }: Props) {
  const map = useRef<SVGSVGElement>(null);
  const choose = (lockId: string) => map.current?.dispatchEvent(new CustomEvent('lock-chosen', { bubbles: true, detail: { lockId } }));

  return (
    <svg ref={map} viewBox="0 0 120 20" width={120} height={20} role="group" aria-label="Locks along the canal">
      {locks.map((lock, index) => (
        <circle
          key={lock.id}
          cx={20 + index * 40}
          cy={10}
          r={lock.id === currentId ? 8 : 5}
          role="button"
          aria-label={lock.name}
          onClick={() => choose(lock.id)}
        />
      ))}
    </svg>
  );
}
