import { ownValue } from '../model/own-value'; /** How React spells what HTML and SVG write otherwise. Names not here are the same, or are given as they are. */
const spelt: Readonly<Record<string, string>> = Object.fromEntries(
  [
    'className:class htmlFor:for tabIndex readOnly maxLength minLength colSpan rowSpan autoComplete autoFocus srcSet crossOrigin dateTime encType enterKeyHint formNoValidate hrefLang inputMode noValidate spellCheck useMap acceptCharset:accept-charset httpEquiv:http-equiv',
    'viewBox preserveAspectRatio xlinkHref:xlink:href clipPath:clip-path clipRule:clip-rule fillOpacity:fill-opacity fillRule:fill-rule fontFamily:font-family fontSize:font-size fontWeight:font-weight stopColor:stop-color stopOpacity:stop-opacity strokeDasharray:stroke-dasharray strokeDashoffset:stroke-dashoffset strokeLinecap:stroke-linecap strokeLinejoin:stroke-linejoin strokeMiterlimit:stroke-miterlimit strokeOpacity:stroke-opacity strokeWidth:stroke-width textAnchor:text-anchor dominantBaseline:dominant-baseline gradientUnits gradientTransform patternUnits',
  ].flatMap((line) =>
    line.split(' ').map((pair) => {
      const at = pair.indexOf(':');
      return at < 0 ? [pair.toLowerCase(), pair] : [pair.slice(at + 1), pair.slice(0, at)];
    }),
  ),
);

/** Attributes that React’s types know by the name HTML gives them. */
const plain = new Set(
  'id title lang dir role hidden href target rel src alt width height name value type placeholder min max step pattern required disabled checked multiple size rows cols wrap label open controls loop muted poster media sizes start span scope headers action method accept list form high low optimum cite loading decoding draggable translate x y x1 y1 x2 y2 cx cy r rx ry d points fill stroke transform opacity offset'.split(
    ' ',
  ),
);
const counts = new Set('tabIndex colSpan rowSpan maxLength minLength rows cols size span start'.split(' '));
const flags = new Set(
  'required disabled checked multiple readOnly autoFocus open controls loop muted hidden noValidate formNoValidate defaultChecked reversed'.split(
    ' ',
  ),
);
const dropped = /^(on.*|selected|data-liana-node|xmlns(:.*)?)$/i;

export type JsxAttribute =
  | { readonly kind: 'none' }
  /** `name="text"`, `name={code}`, or `name` alone. */
  | { readonly kind: 'plain'; readonly name: string }
  | { readonly kind: 'count' | 'flag'; readonly name: string }
  | { readonly kind: 'style' }
  /** A name that React’s types do not know; given by a spread. */
  | { readonly kind: 'spread'; readonly name: string };

/** How an attribute of an element is written in JSX. */
export function jsxAttribute(tag: string, attribute: string): JsxAttribute {
  if (dropped.test(attribute)) return { kind: 'none' };
  if (attribute === 'style') return { kind: 'style' };
  if (/^(data|aria)-[\w-]+$/.test(attribute)) return { kind: 'plain', name: attribute };
  const known = ownValue(spelt, attribute.toLowerCase());
  const name = known ?? attribute;
  if ((name === 'value' && /^(input|textarea|select)$/.test(tag)) || (name === 'checked' && tag === 'input'))
    return name === 'value' ? { kind: 'plain', name: 'defaultValue' } : { kind: 'flag', name: 'defaultChecked' };
  if (flags.has(name)) return { kind: 'flag', name };
  if (counts.has(name) && !tag.includes('-')) return { kind: 'count', name };
  return known !== undefined || plain.has(name) ? { kind: 'plain', name } : { kind: 'spread', name: attribute };
}

/** `color: red; margin-top: 2px` → `{ color: 'red', marginTop: '2px' }`, with whether it sets properties of its own. */
export function jsxStyle(style: string): { readonly code: string; readonly hasOwn: boolean } {
  const rules = style.match(/(?:[^;"'(]|"[^"]*"|'[^']*'|\([^)]*\))+/g) ?? [];
  const entries = rules.flatMap((rule): string[] => {
    const at = rule.indexOf(':');
    const name = rule.slice(0, at).trim();
    const value = rule.slice(at + 1).trim();
    if (at < 0 || name === '' || value === '') return [];
    const key = name.startsWith('--')
      ? name
      : name
          .toLowerCase()
          .replace(/^-ms-/, 'ms-')
          .replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());
    return [`${/^[A-Za-z]+$/.test(key) ? key : quoted(key)}: ${quoted(value)}`];
  });
  return { code: `{ ${entries.join(', ')} }`, hasOwn: rules.some((rule) => rule.trim().startsWith('--')) };
}

/** A text as a TypeScript string. */
export function quoted(text: string): string {
  const body = JSON.stringify(text).slice(1, -1).replace(/\\"/g, '"').replace(/'/g, "\\'");
  return `'${body.replace(/\u2028/g, '\\u2028').replace(/\u2029/g, '\\u2029')}'`;
}

/** A text between tags: as it is where JSX leaves it as it is, else as a string in braces. */
export function jsxText(text: string, keepsSpace: boolean): string {
  const collapsed = keepsSpace ? text : text.replace(/[ \t\n\r\f]+/g, ' ');
  return /[{}<>&\\]|^\s|\s$|[^\S ]/.test(collapsed) ? `{${quoted(collapsed)}}` : collapsed;
}
