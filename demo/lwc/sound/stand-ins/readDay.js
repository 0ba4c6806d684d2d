import { locks } from 'c/canal';

const hours = [
  { at: '06:00', level: 1.1 },
  { at: '10:00', level: 1.4 },
  { at: '14:00', level: 1.2 },
];

/** A stand-in for what the server answers: the day of one lock. */
export default class ReadDay {
  constructor(callback) {
    this.callback = callback;
  }

  connect() {}

  update({ lockId }) {
    const lock = locks.find((one) => one.id === lockId);
    if (lock) this.callback({ data: { name: lock.name, hours }, error: undefined });
    else this.callback({ data: undefined, error: { message: 'There is no such lock.' } });
  }

  disconnect() {}
}
