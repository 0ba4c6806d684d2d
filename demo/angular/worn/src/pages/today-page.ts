import { AsyncPipe } from '@angular/common';
import { Component, inject, signal } from '@angular/core';
import { toObservable } from '@angular/core/rxjs-interop';
import { combineLatest, map } from 'rxjs';
import { locks } from '../data/canal';
import { Levels } from '../data/levels';
import { Passages } from '../data/passages';
import { LockCard } from '../locks/lock-card';
import { NoticeStrip } from '../parts/notice-strip';
import { PassageForm } from '../passages/passage-form';

@Component({
  selector: 'tow-today-page',
  imports: [AsyncPipe, LockCard, NoticeStrip, PassageForm],
  templateUrl: './today-page.html',
})
export class TodayPage {
  protected readonly locks = locks;
  protected readonly levels = inject(Levels);
  protected readonly passages = inject(Passages);
  protected readonly selected = signal('');
  protected readonly onlyWaiting = signal(false);
  protected readonly notices: string[] = [];

  protected readonly byLock$ = combineLatest({ all: this.passages.all$, onlyWaiting: toObservable(this.onlyWaiting) }).pipe(
    map(({ all, onlyWaiting }) => {
      const shown = onlyWaiting ? all.filter((one) => one.status === 'waiting') : all;
      return locks.map((lock) => ({ lock, passages: shown.filter((one) => one.lockId === lock.id) }));
    }),
  );

  protected warn(): void {
    this.notices.push('Low water below Quarry Rise until 16:00.');
  }

  protected dismiss(notice: string): void {
    this.notices.splice(this.notices.indexOf(notice), 1);
  }

  protected pick(id: string): void {
    this.selected.update((before) => (before === id ? '' : id));
  }
}
