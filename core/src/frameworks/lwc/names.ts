import type { FilePath } from '../../model/span';
import { ownValue } from '../../model/own-value';

/** A class or a template of a bundle: the folder and the file bear one name. */
const main = /(?:^|\/)([^/]+)\/([A-Za-z_]\w*)\/\2\.(?:js|ts)$/;

/** The namespace and the name of the bundle whose class stands in a file; undefined for all other files. */
export function bundleOf(file: FilePath): { readonly namespace: string; readonly name: string } | undefined {
  const [, folder, name] = main.exec(file) ?? [];
  return folder === undefined || name === undefined ? undefined : { namespace: folder === 'lwc' ? 'c' : folder, name };
}

/** Attributes of the platform whose properties have other names than their words tell. */
const platformProperties: Readonly<Record<string, string>> = {
  accesskey: 'accessKey',
  bgcolor: 'bgColor',
  colspan: 'colSpan',
  contenteditable: 'contentEditable',
  crossorigin: 'crossOrigin',
  datetime: 'dateTime',
  for: 'htmlFor',
  formaction: 'formAction',
  ismap: 'isMap',
  maxlength: 'maxLength',
  minlength: 'minLength',
  novalidate: 'noValidate',
  readonly: 'readOnly',
  rowspan: 'rowSpan',
  tabindex: 'tabIndex',
  usemap: 'useMap',
};

/** `readOnly` → `readonly`: the attribute of the platform for a property whose words do not tell it; undefined for all others. */
export const platformAttribute = (property: string): string | undefined =>
  Object.keys(platformProperties).find((one) => ownValue(platformProperties, one) === property);

/** `ear-tag` → `earTag`, `block-i-d` → `blockID`, `readonly` → `readOnly`: the property that an attribute of markup sets. */
export const propertyOf = (attribute: string): string =>
  ownValue(platformProperties, attribute) ?? attribute.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());

/** `earTag` → `ear-tag`: how markup writes a property. */
export const attributeOf = (property: string): string => property.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`);

/** `c-water-sum` → the namespace `c` and the name `waterSum`; undefined for a tag of the platform. */
export function tagParts(tag: string): { readonly namespace: string; readonly name: string } | undefined {
  const [, namespace, rest] = /^([a-z][a-z0-9_]*)-([a-z][\w-]*)$/i.exec(tag) ?? [];
  return namespace === undefined || rest === undefined ? undefined : { namespace, name: propertyOf(rest) };
}
