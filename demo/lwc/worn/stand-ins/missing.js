import { LightningElement } from 'lwc';

/** Stands where a bundle is named that does not exist. */
export default class Missing extends LightningElement {}
