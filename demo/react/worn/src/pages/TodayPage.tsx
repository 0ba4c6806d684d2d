import { useEffect, useState } from 'react';
import { firstNotices, firstPassages, locks } from '@/data/canal';
import { LockList } from '@/locks/LockList';
import { LockPanel } from '@/locks/LockPanel';
import { NoticeStrip } from '@/parts/NoticeStrip';
import { type Booking, PassageForm } from '@/passages/PassageForm';
import { AppShell } from '@/shell/AppShell';

export function TodayPage() {
  const [notices] = useState(firstNotices);
  const [passages, setPassages] = useState(firstPassages);
  const [selectedLock, setSelectedLock] = useState<string | null>(null);
  const selected = locks.find((lock) => lock.id === selectedLock);

  useEffect(() => {
    const choose = (event: Event) => setSelectedLock((event as CustomEvent<{ lockId: string }>).detail.lockId);
    document.addEventListener('lock-chosen', choose);
    return () => document.removeEventListener('lock-chosen', choose);
  }, []);

  const dismiss = (id: string) => {
    notices.splice(
      notices.findIndex((notice) => notice.id === id),
      1,
    );
  };
  const book = (booking: Booking) => setPassages((all) => [...all, { ...booking, id: crypto.randomUUID(), status: 'waiting' }]);
  const clear = (id: string) =>
    setPassages((all) => all.map((passage) => (passage.id === id ? { ...passage, status: 'cleared' } : passage)));

  return (
    <AppShell>
      <NoticeStrip notices={notices} onDismiss={dismiss} />
      <LockList locks={locks} passages={passages} selectedLock={selectedLock} onSelect={setSelectedLock} />
      {selected && (
        <LockPanel
          lock={selected}
          waiting={passages.filter((passage) => passage.lockId === selected.id && passage.status === 'waiting')}
          onClear={clear}
        />
      )}
      <PassageForm locks={locks} onBook={book} />
    </AppShell>
  );
}
