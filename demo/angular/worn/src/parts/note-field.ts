import { Component, model } from '@angular/core';

@Component({
  selector: 'tow-note-field',
  template: `<textarea [value]="note()" (input)="note.set($any($event.target).value)"></textarea>`,
})
export class NoteField {
  readonly note = model('');
}
