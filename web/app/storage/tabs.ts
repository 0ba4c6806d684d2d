/** Something that was stored, for other tabs that show the same. */
export type Stored = { readonly what: 'plan' | 'decisions' | 'projects'; readonly projectId: string };

const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('liana');
// Where tests run outside of a browser, an open channel would keep the process.
(channel as unknown as { unref?: () => void } | undefined)?.unref?.();

/** Tells all other tabs and workers of this browser. */
export function announce(stored: Stored): void {
  channel?.postMessage(stored);
}

/** Calls back for what other tabs store; gives what ends that. */
export function onStoredElsewhere(listener: (stored: Stored) => void): () => void {
  const heard = ({ data }: MessageEvent<Stored>): void => listener(data);
  channel?.addEventListener('message', heard);
  return () => channel?.removeEventListener('message', heard);
}
