import type { TypeExpr } from '../../model/types';
import { readType } from '../script/types';
import type { ClassMember } from './class';

/** The type that a field is annotated with; undefined where it has none. */
export function annotatedType(member: ClassMember): TypeExpr | undefined {
  const annotation = 'typeAnnotation' in member ? member.typeAnnotation : undefined;
  return annotation?.type === 'TSTypeAnnotation' ? readType(annotation.typeAnnotation) : undefined;
}
