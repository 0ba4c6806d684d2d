import type * as t from '@babel/types';
import type { ModuleScope } from '../../../read/script/body';
import { bare, dottedName, keyName } from '../../../read/script/syntax';
import { apiName } from './api';

const controls = /^(?:Untyped)?Form(?:Control|Group|Array|Record)$/;

/** Methods by which a control is given another value, or a list of controls others. */
export const setsControl = /^(?:setValue|patchValue|reset|push|insert|removeAt|clear|setControl|addControl|removeControl)$/;

const fromForms = '@angular/forms';

/** `new FormControl('')`, `this.fb.nonNullable.group({ … })`: the call that makes a control of a form; undefined for all else. */
export function controlMade(module: ModuleScope, given: t.Node): t.CallExpression | t.NewExpression | undefined {
  const node = bare(given);
  if (node.type === 'NewExpression') return controls.test(apiName(module, node.callee) ?? '') ? node : undefined;
  if (node.type !== 'CallExpression' || node.callee.type !== 'MemberExpression') return undefined;
  const isMaking = /^(?:group|control|array|record)$/.test(keyName({ key: node.callee.property }) ?? '');
  return isMaking && buildsForms(module) ? node : undefined;
}

const buildsForms = ({ imported }: ModuleScope): boolean =>
  [...imported.values()].some((one) => one.from === fromForms && /FormBuilder$/.test(one.imported));

/** Whether a type is that of a control, as a field is annotated with that is made later: `form!: FormGroup`. */
export const isControlType = ({ imported }: ModuleScope, name: string): boolean => {
  const origin = imported.get(name);
  return origin?.from === fromForms && controls.test(origin.imported);
};

/** What controls begin with: `new FormControl(name)`, `{ name: [name, Validators.required] }`; empty where that is told nowhere. */
export function firstValues(made: t.CallExpression | t.NewExpression): t.Node[] {
  const [first] = made.arguments;
  return first ? valuesIn(first) : [];
}

function valuesIn(given: t.Node): t.Node[] {
  const node = bare(given);
  switch (node.type) {
    case 'ObjectExpression':
      return node.properties.flatMap((one) => (one.type === 'ObjectProperty' ? valuesIn(one.value) : []));
    // With its validators behind it.
    case 'ArrayExpression':
      return node.elements[0] ? [node.elements[0]] : [];
    case 'NewExpression':
      return controls.test(dottedName(node.callee)?.split('.').at(-1) ?? '') ? firstValues(node) : [node];
    default:
      return [node];
  }
}

/** When the framework calls a method of a class that stands for a field of a form; undefined for all other methods. */
export function calledByForm(method: string): string | undefined {
  switch (method) {
    case 'writeValue':
      return 'when its form sets a value';
    case 'registerOnChange':
    case 'registerOnTouched':
      return 'when a form takes it as a field';
    case 'setDisabledState':
      return 'when its form is turned on or off';
    default:
      return undefined;
  }
}

/** Whether a class stands for a field of a form, by its text. */
export const isFieldOfForm = (text: string): boolean => /\bimplements\b[^{]*\bControlValueAccessor\b|\bNG_VALUE_ACCESSOR\b/.test(text);
