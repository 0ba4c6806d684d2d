import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import SnackbarContent from '@mui/material/SnackbarContent';
import { createContext, type ReactNode, useCallback, useContext, useState } from 'react';

type Action = {
  readonly label: string;
  readonly run: () => void;
  /** It cannot be done anywhere else: the notice stays until it is answered or closed. */
  readonly stays?: true;
};
type Notice = { readonly text: string; readonly action?: Action; readonly id: number };
type Tell = (text: string, action?: Action) => void;

const NoticeContext = createContext<Tell | null>(null);

/** Tells the user something in passing, with at most one thing to do about it. */
export function useTell(): Tell {
  const tell = useContext(NoticeContext);
  if (!tell) throw new Error('useTell needs Notices above it.');
  return tell;
}

/** Shows one notice at a time at the foot of the window. */
export function Notices({ children }: { children: ReactNode }) {
  const [notice, setNotice] = useState<Notice | null>(null);
  const tell = useCallback<Tell>((text, action) => setNotice({ text, id: Date.now(), ...(action ? { action } : {}) }), []);
  const close = () => setNotice(null);

  return (
    <NoticeContext value={tell}>
      {children}
      <Snackbar
        key={notice?.id ?? 0}
        open={notice !== null}
        autoHideDuration={notice?.action?.stays ? null : notice?.action ? 12_000 : 8_000}
        onClose={(_, reason) => reason !== 'clickaway' && close()}
      >
        {/* No wider than the lists on the left, so that it does not lie over what one decides with beside them. */}
        <SnackbarContent
          sx={{ maxWidth: { sm: 500 } }}
          message={notice?.text}
          action={
            <>
              {notice?.action && (
                <Button
                  color="inherit"
                  onClick={() => {
                    notice.action?.run();
                    close();
                  }}
                >
                  {notice.action.label}
                </Button>
              )}
              <Button color="inherit" onClick={close}>
                Close
              </Button>
            </>
          }
        />
      </Snackbar>
    </NoticeContext>
  );
}
