import './shell/app-shell.js';
import './pages/today-page.js';
import './pages/roster-page.js';
