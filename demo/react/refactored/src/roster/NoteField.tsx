import { useContext, useState } from 'react';
import { KeeperContext } from '@/shell/keeper';

type Props = { label: string };

export function NoteField({ label }: Props) {
  const keeping = useContext(KeeperContext);
  const [note, setNote] = useState('');

  return <input aria-label={label} title={keeping?.keeper.name} value={note} onChange={(event) => setNote(event.target.value)} />;
}
