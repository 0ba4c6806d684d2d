import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { Lock, Passage } from '../data/canal';
import { Hint } from '../parts/hint';
import { PassageQueue } from '../passages/passage-queue';
import { GateSwitch } from './gate-switch';
import { LevelGauge } from './level-gauge';

@Component({
  selector: 'tow-lock-card',
  imports: [GateSwitch, Hint, LevelGauge, PassageQueue],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './lock-card.html',
})
export class LockCard {
  readonly lock = input.required<Lock>();
  readonly level = input.required<number>();
  readonly passages = input<Passage[]>([]);
  readonly selected = input(false);
  readonly picked = output<string>();
  readonly filled = output<number>();
  readonly cleared = output<string>();

  protected pick(): void {
    this.picked.emit(this.lock().id);
  }
}
