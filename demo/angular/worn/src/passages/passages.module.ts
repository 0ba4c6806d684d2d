import { NgModule } from '@angular/core';
import { NgIf } from '@angular/common';
import { StatusPill } from './status-pill';
import { SentencePipe } from './sentence.pipe';

/** What is left of earlier days, when parts were declared in modules. */
@NgModule({
  declarations: [StatusPill, SentencePipe],
  imports: [NgIf],
  exports: [StatusPill],
})
export class PassagesModule {}
