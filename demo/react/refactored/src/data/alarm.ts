/** Everybody who keeps a lock hears this, in whichever window the board is open. */
export const alarmChannel = 'towpath-alarm';

export type Alarm = { lockId: string; lockName: string };
