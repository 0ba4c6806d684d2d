import { LightningElement } from 'lwc';

/** The frame of every page. What is in it may ask, by an event, who keeps the locks. */
export default class AppShell extends LightningElement {
  keeper = { name: 'M. Oake', onDuty: true };
  asked = new Set();

  constructor() {
    super();
    this.addEventListener('keeperrequest', (event) => this.answerKeeper(event));
  }

  answerKeeper(event) {
    event.stopPropagation();
    this.asked.add(event.detail.answer);
    event.detail.answer(this.keeper);
  }

  signOff() {
    this.keeper = { ...this.keeper, onDuty: false };
    for (const answer of this.asked) answer(this.keeper);
  }
}
