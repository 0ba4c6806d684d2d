import type { Component } from '../../model/model';
import { locate, type Location } from '../../model/span';

/** Where a finding about a component as a whole stands: at its name, or at the start of the file that it is. */
export function headOf({ facts, file }: Component): Location {
  const { form, span, nameSpan } = facts;
  return locate(file, form === 'file' ? { start: span.start, end: span.start + 1 } : nameSpan);
}
