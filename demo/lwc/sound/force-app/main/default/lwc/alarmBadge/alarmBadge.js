import { LightningElement, wire } from 'lwc';
import { APPLICATION_SCOPE, MessageContext, subscribe, unsubscribe } from 'lightning/messageService';
import LOCK_ALARM from '@salesforce/messageChannel/LockAlarm__c';

/** Shows the alarm that any lock raises, on whatever page. */
export default class AlarmBadge extends LightningElement {
  lock;
  subscription;

  @wire(MessageContext)
  context;

  connectedCallback() {
    this.subscription = subscribe(
      this.context,
      LOCK_ALARM,
      (message) => {
        this.lock = message.lock;
      },
      { scope: APPLICATION_SCOPE },
    );
  }

  disconnectedCallback() {
    unsubscribe(this.subscription);
  }
}
