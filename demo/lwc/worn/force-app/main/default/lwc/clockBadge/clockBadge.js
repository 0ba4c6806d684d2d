import { LightningElement } from 'lwc';

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** The time of day. */
export default class ClockBadge extends LightningElement {
  time = clock.format(new Date());

  connectedCallback() {
    setInterval(() => {
      this.time = clock.format(new Date());
    }, 30_000);
  }
}
