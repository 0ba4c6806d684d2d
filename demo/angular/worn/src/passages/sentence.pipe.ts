import { Pipe, PipeTransform } from '@angular/core';

@Pipe({ name: 'sentence', standalone: false })
export class SentencePipe implements PipeTransform {
  transform(text: string): string {
    return text.charAt(0).toUpperCase() + text.slice(1);
  }
}
