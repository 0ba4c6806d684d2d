import { Injectable } from '@angular/core';
import { BehaviorSubject } from 'rxjs';
import { firstPassages, Passage } from './canal';

/** The passages of the day, as they come and go. */
@Injectable({ providedIn: 'root' })
export class Passages {
  private readonly held = new BehaviorSubject<readonly Passage[]>(firstPassages);
  readonly all$ = this.held.asObservable();

  clear(id: string): void {
    this.held.next(this.held.value.map((one) => (one.id === id ? { ...one, status: 'cleared' } : one)));
  }

  book(passage: Passage): void {
    this.held.next([...this.held.value, passage]);
  }
}
