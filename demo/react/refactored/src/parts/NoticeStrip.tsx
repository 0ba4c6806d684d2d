import type { Notice } from '@/data/canal';

type Props = { notices: Notice[]; onDismiss: (id: string) => void };

export function NoticeStrip({ notices, onDismiss }: Props) {
  if (notices.length === 0) return null;

  return (
    <>
      {notices.map((notice) => (
        <p key={notice.id} className="notice">
          {notice.text} <button onClick={() => onDismiss(notice.id)}>Dismiss</button>
        </p>
      ))}
    </>
  );
}
