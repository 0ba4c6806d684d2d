import { InjectionToken } from '@angular/core';

/** How far a level may stand above the rise of its lock before that is an alarm, in metres. */
export const ALARM_LIMIT = new InjectionToken<number>('alarm limit');
