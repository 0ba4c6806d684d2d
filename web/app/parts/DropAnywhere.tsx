import { type DragEvent, type ReactNode, useState } from 'react';
import { handInDropped } from '../analysis/hand-in';
import { useHandIn } from './useHandIn';

const holdsFiles = (event: DragEvent): boolean => event.dataTransfer.types.includes('Files');

/** Source can be dropped anywhere on the page. */
export function DropAnywhere({ children }: { children: ReactNode }) {
  const [isOver, setIsOver] = useState(false);
  const handIn = useHandIn();

  return (
    <div
      className={isOver ? 'dropping' : undefined}
      onDragEnter={(event) => holdsFiles(event) && setIsOver(true)}
      onDragOver={(event) => {
        if (holdsFiles(event)) event.preventDefault();
      }}
      onDragLeave={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget as Node | null)) setIsOver(false);
      }}
      onDrop={(event) => {
        if (!holdsFiles(event)) return;
        event.preventDefault();
        setIsOver(false);
        const { items } = event.dataTransfer;
        void handIn(() => handInDropped(items));
      }}
    >
      {children}
    </div>
  );
}
