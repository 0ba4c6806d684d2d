import { LightningElement } from 'lwc';

/** The frame of every page. What is in it may ask, by an event, who keeps the locks. */
export default class AppShell extends LightningElement {
  keeper = { name: 'M. Oake', onDuty: true };

  constructor() {
    super();
    this.addEventListener('keeperrequest', (event) => this.answerKeeper(event));
  }

  answerKeeper(event) {
    event.stopPropagation();
    event.detail.answer(this.keeper);
  }
}
