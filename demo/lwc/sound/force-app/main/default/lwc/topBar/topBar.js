import { LightningElement } from 'lwc';

export default class TopBar extends LightningElement {}
