import { useState } from 'react';
import { stands } from './relief';

/** Where reliefs are asked, and where they are looked up. */
export function ReliefDesk() {
  const [who, setWho] = useState('');
  const [from, setFrom] = useState('06:00');
  const [until, setUntil] = useState('14:00');
  const [reason, setReason] = useState('');
  const [isSent, setIsSent] = useState(false);
  const [text, setText] = useState('');
  const [order, setOrder] = useState('name');
  const [page, setPage] = useState(1);
  const [isWide, setIsWide] = useState(false);
  const asked = `${who}, ${from} to ${until}: ${reason}`;
  const isReady = who !== '' && reason !== '' && !isSent;
  const found = stands.filter((stand) => stand.name.includes(text));
  const sorted = [...found].sort((a, b) => (order === 'name' ? a.name.localeCompare(b.name) : a.days.length - b.days.length));
  const shown = sorted.slice((page - 1) * 10, page * 10);
  const send = () => {
    if (!isReady) return;
    setIsSent(true);
    setWho('');
    setReason('');
  };
  const restart = () => {
    setIsSent(false);
    setFrom('06:00');
    setUntil('14:00');
  };
  const search = (next: string) => {
    setText(next);
    setPage(1);
  };
  const turn = () => setPage(page + 1);
  const widen = () => {
    setIsWide(!isWide);
    setOrder(isWide ? 'name' : 'days');
  };

  return (
    <section>
      <form onSubmit={send} onReset={restart}>
        <input aria-label="Who" value={who} onChange={(event) => setWho(event.target.value)} />
        <input aria-label="From" value={from} onChange={(event) => setFrom(event.target.value)} />
        <input aria-label="Until" value={until} onChange={(event) => setUntil(event.target.value)} />
        <input aria-label="Reason" value={reason} onChange={(event) => setReason(event.target.value)} />
        <output>{isSent ? 'Sent.' : asked}</output>
      </form>
      <div>
        <input aria-label="Find" value={text} onChange={(event) => search(event.target.value)} />
        <button onClick={widen}>{isWide ? 'Narrow' : 'Wide'}</button>
        <ol>
          {shown.map((stand) => (
            <li key={stand.id}>{stand.name}</li>
          ))}
        </ol>
        <button onClick={turn}>More</button>
      </div>
    </section>
  );
}
