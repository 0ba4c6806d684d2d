import type { ReactNode } from 'react';

type Props = { children: ReactNode };

export function BoatBadge({ children }: Props) {
  return <strong>{children}</strong>;
}
