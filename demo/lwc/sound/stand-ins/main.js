import { createElement } from 'lwc';
import LockPage from 'c/lockPage';
import RosterPage from 'c/rosterPage';
import TodayPage from 'c/todayPage';

/** Puts the page that the address asks for into the document, as the platform would. */
const address = window.location.pathname;
const page = address.startsWith('/roster')
  ? createElement('c-roster-page', { is: RosterPage })
  : address.startsWith('/locks/')
    ? createElement('c-lock-page', { is: LockPage })
    : createElement('c-today-page', { is: TodayPage });
if (address.startsWith('/locks/')) page.recordId = address.slice('/locks/'.length);
document.body.append(page);
