import { type ReactNode, useState } from 'react';

type Props = { label: string; children: ReactNode };

export function HintBubble({ label, children }: Props) {
  const [isOpen, setIsOpen] = useState(false);

  return (
    <span onMouseEnter={() => setIsOpen(true)} onMouseLeave={() => setIsOpen(false)}>
      {children}
      {isOpen && (
        <span role="tooltip" className="hint">
          {label}
        </span>
      )}
    </span>
  );
}
