import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import type { StoredAside } from '../../storage/database';
import type { PlanEditor } from './usePlan';

type Props = {
  editor: Pick<PlanEditor, 'trouble' | 'retry' | 'choose'>;
  /** Why the plan that is stored cannot be read, as long as it is stored. */
  unread: string | undefined;
  aside: readonly StoredAside[];
  onExportPlan: () => void;
  onExportStored: () => void;
  onExportAside: (one: StoredAside) => void;
  onRemoveAside: (one: StoredAside) => void;
};

const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** What must be known of a plan before one goes on: that it is not stored, that two tabs differ, what was set aside. */
export function PlanNotices({
  editor: { trouble, retry, choose },
  unread,
  aside,
  onExportPlan,
  onExportStored,
  onExportAside,
  onRemoveAside,
}: Props) {
  return (
    <div className="plan-notices">
      {trouble?.kind === 'unsaved' && (
        <Alert
          severity="error"
          action={
            <>
              <Button color="inherit" onClick={retry}>
                Try again
              </Button>
              <Button color="inherit" onClick={onExportPlan}>
                Export the project
              </Button>
            </>
          }
        >
          The plan is not stored as it is shown. {trouble.says} It is tried again by itself; leaving this page now would lose what was
          changed.
        </Alert>
      )}
      {trouble?.kind === 'differs' && (
        <Alert
          severity="warning"
          action={
            <>
              <Button color="inherit" onClick={() => void choose('mine')}>
                Keep this one
              </Button>
              <Button color="inherit" onClick={() => void choose('theirs')}>
                Take the other
              </Button>
            </>
          }
        >
          Another tab changed the same part of this plan in another way. Nothing is lost: the plan that you do not choose is set aside.
        </Alert>
      )}
      {unread !== undefined && (
        <Alert
          severity="warning"
          action={
            <Button color="inherit" onClick={onExportStored}>
              Export it as it is
            </Button>
          }
        >
          {unread} It stays as it is; what you do here begins another plan, and this one is set aside then.
        </Alert>
      )}
      {aside.map((one) => (
        <Alert
          key={one.id}
          severity="info"
          action={
            <>
              <Button color="inherit" onClick={() => onExportAside(one)}>
                Export it as it is
              </Button>
              <Button color="inherit" onClick={() => onRemoveAside(one)}>
                Throw it away
              </Button>
            </>
          }
        >
          Set aside {day.format(one.at)}: {one.why}
        </Alert>
      ))}
    </div>
  );
}
