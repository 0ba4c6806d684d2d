/** A stand-in for a channel that nobody is on. */
export default 'LocksAlarm__c';
