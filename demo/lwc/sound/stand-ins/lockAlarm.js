/** A stand-in for the channel of the alarm. */
export default 'LockAlarm__c';
