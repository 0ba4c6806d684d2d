import { useEffect, useState } from 'react';

/** Tells of the passage that was booked last, by whichever part of the page. */
export default function BookedNotice({ children }) {
  const [boat, setBoat] = useState('');
  useEffect(() => {
    const told = (event) => setBoat(event.detail.boat);
    document.addEventListener('passage-bookd', told);
    return () => document.removeEventListener('passage-bookd', told);
  }, []);
  return <p className="notice">{boat === '' ? children : `Booked: ${boat}`}</p>;
}
