import { WorkNotice } from './WorkNotice';

/** What stands on the page until the browser has what it keeps. */
export function Splash() {
  return (
    <>
      <div className="splash">Liana</div>
      <WorkNotice />
    </>
  );
}
