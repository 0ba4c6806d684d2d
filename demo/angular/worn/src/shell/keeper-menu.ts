import { Component, inject, output } from '@angular/core';
import { Keeper } from '../data/keeper';

@Component({
  selector: 'tow-keeper-menu',
  template: `
    <p>
      {{ keeper.name() }}
      <button type="button" (click)="keeper.change('R. Fenwright')">Hand over</button>
      <button type="button" (click)="signOff.emit(keeper.name())">Sign off</button>
    </p>
  `,
})
export class KeeperMenu {
  protected readonly keeper = inject(Keeper);
  readonly signOff = output<string>();
}
