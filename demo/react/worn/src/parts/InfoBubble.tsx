import { type ReactNode, useState } from 'react';

type Props = { text: string; children: ReactNode };

export function InfoBubble({ text, children }: Props) {
  const [visible, setVisible] = useState(false);

  return (
    <span onMouseEnter={() => setVisible(true)} onMouseLeave={() => setVisible(false)}>
      {children}
      {visible && (
        <span role="tooltip" className="info">
          {text}
        </span>
      )}
    </span>
  );
}
