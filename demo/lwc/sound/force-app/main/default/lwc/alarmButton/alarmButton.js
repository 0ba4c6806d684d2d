import { api, LightningElement, wire } from 'lwc';
import { MessageContext, publish } from 'lightning/messageService';
import LOCK_ALARM from '@salesforce/messageChannel/LockAlarm__c';

export default class AlarmButton extends LightningElement {
  @api lock = '';

  @wire(MessageContext)
  context;

  handleRaise() {
    publish(this.context, LOCK_ALARM, { lock: this.lock });
  }
}
