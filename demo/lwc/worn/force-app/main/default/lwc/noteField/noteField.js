import { api, LightningElement } from 'lwc';

export default class NoteField extends LightningElement {
  @api shiftId = '';
  note = '';
  isDirty = false;

  get hint() {
    return `Note for ${this.shiftId}`;
  }

  handleInput(event) {
    this.note = event.target.value;
    this.isDirty = true;
  }

  handleSave() {
    this.isDirty = false;
    this.dispatchEvent(new CustomEvent('notesaved', { detail: { note: this.note } }));
  }
}
