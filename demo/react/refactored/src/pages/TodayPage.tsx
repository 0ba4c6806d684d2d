import { useEffect, useState } from 'react';
import { firstNotices, firstPassages, locks } from '@/data/canal';
import { LockCard } from '@/locks/LockCard';
import { LockList } from '@/locks/LockList';
import { LockPanel } from '@/locks/LockPanel';
import { NoticeStrip } from '@/parts/NoticeStrip';
import { type Booking, PassageForm } from '@/passages/PassageForm';
import { PassageQueue } from '@/passages/PassageQueue';
import { AppShell } from '@/shell/AppShell';

export function TodayPage() {
  const [notices, setNotices] = useState(firstNotices);
  const [passages, setPassages] = useState(firstPassages);
  const [selectedLock, setSelectedLock] = useState<string | null>(null);
  const selected = locks.find((lock) => lock.id === selectedLock);

  useEffect(() => {
    const choose = (event: Event) => setSelectedLock((event as CustomEvent<{ lockId: string }>).detail.lockId);
    document.addEventListener('lock-chosen', choose);
    return () => document.removeEventListener('lock-chosen', choose);
  }, []);

  const dismiss = (id: string) => setNotices((all) => all.filter((notice) => notice.id !== id));
  const book = (booking: Booking) => setPassages((all) => [...all, { ...booking, id: crypto.randomUUID(), status: 'waiting' }]);
  const clear = (id: string) =>
    setPassages((all) => all.map((passage) => (passage.id === id ? { ...passage, status: 'cleared' } : passage)));

  return (
    <AppShell>
      <NoticeStrip notices={notices} onDismiss={dismiss} />
      <LockList locks={locks}>
        {(lock) => (
          <LockCard lock={lock} isSelected={lock.id === selectedLock} onSelect={setSelectedLock}>
            <PassageQueue items={passages.filter((passage) => passage.lockId === lock.id)} onClear={clear} />
          </LockCard>
        )}
      </LockList>
      {selected && (
        <LockPanel
          lock={selected}
          waiting={passages.filter((passage) => passage.lockId === selected.id && passage.status === 'waiting').length}
        />
      )}
      <PassageForm locks={locks} onBook={book} />
    </AppShell>
  );
}
