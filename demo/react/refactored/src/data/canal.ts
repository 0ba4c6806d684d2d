export type Lock = { id: string; name: string; rise: number };

export type Status = 'waiting' | 'in lock' | 'cleared';

export type Passage = { id: string; lockId: string; boat: string; eta: string; status: Status };

export type Notice = { id: string; text: string };

export type Keeper = { name: string; onDuty: boolean };

export type Shift = { id: string; keeper: string; day: string; hours: string };

export const locks: Lock[] = [
  { id: 'aldermoor', name: 'Aldermoor Lock', rise: 2.1 },
  { id: 'quarry', name: 'Quarry Rise', rise: 3.4 },
  { id: 'saltings', name: 'Saltings Gate', rise: 1.6 },
];

export const firstPassages: Passage[] = [
  { id: 'p1', lockId: 'aldermoor', boat: 'Marsh Heron', eta: '09:20', status: 'in lock' },
  { id: 'p2', lockId: 'aldermoor', boat: 'Slow Answer', eta: '09:45', status: 'waiting' },
  { id: 'p3', lockId: 'saltings', boat: 'Tin Kettle', eta: '10:10', status: 'waiting' },
];

export const firstNotices: Notice[] = [{ id: 'n1', text: 'Low water below Quarry Rise until 16:00.' }];

export const firstShifts: Shift[] = [
  { id: 's1', keeper: 'M. Oake', day: 'Monday', hours: '06–14' },
  { id: 's2', keeper: 'R. Fenwright', day: 'Monday', hours: '14–22' },
  { id: 's3', keeper: 'M. Oake', day: 'Tuesday', hours: '06–14' },
];
