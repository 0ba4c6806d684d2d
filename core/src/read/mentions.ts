import type { ComponentFacts, PageListener } from '../model/facts';
import { type MemberKey, memberOf } from '../model/member';
import { literalPattern } from '../model/literal-pattern';

/** Modules that the text loads while it runs: `import('./Chart')`, `import.meta.glob('./parts/*.vue')`. */
export function loadedLater(text: string): string[] {
  return [
    ...text.matchAll(
      /\b(?:import\s*\(\s*(?:\/\*[\s\S]*?\*\/\s*)?|import\.meta\.glob\w*(?:<[^>]*>)?\(\s*|require(?:\.context)?\(\s*)(['"`])([^'"`\n]+)\1/g,
    ),
  ].map((match) => match[2] ?? '');
}

/** Modules that a text imports for what they do alone: `import './gauge.js'`. */
export const importedForEffects = (text: string): string[] =>
  Array.from(text.matchAll(/(?:^|[;}\n])\s*import\s*(['"])([^'"\n]+)\1/g), ([, , from = '']) => from);

/** Names of events that some code listens for: `addEventListener('towpath:alarm', …)`. */
export function listenedNames(text: string): string[] {
  return [...new Set([...text.matchAll(/\baddEventListener\(\s*(['"`])([^'"`\n]+)\1/g)].map((match) => match[2] ?? ''))];
}

const asksPage = String.raw`document\s*\.\s*(querySelector|querySelectorAll|getElementById)(?:<[^>]*>)?\(\s*(?<quote>['"])([^'"\n]+)\k<quote>\s*\)`;

/** What is asked of the page, as a selector. */
const selectorAsked = (method: string | undefined, text: string): string => (method === 'getElementById' ? `#${text}` : text);

/**
 * Listeners that a script puts on what it asks the page for: by a name that holds it, in the same expression, or on each
 * of several.
 */
export function listenersOnPage(text: string): PageListener[] {
  if (!text.includes('document') || !text.includes('addEventListener')) return [];
  const held = new Map<string, string>();
  for (const [, name = '', method, , asked = ''] of text.matchAll(
    new RegExp(String.raw`\b(?:const|let|var)\s+([\w$]+)\s*=\s*${asksPage}`, 'g'),
  ))
    held.set(name, selectorAsked(method, asked));
  const each = String.raw`\s*\.\s*forEach\(\s*\(?\s*([\w$]+)\s*(?::[^)]*)?\)?\s*=>\s*\{?\s*`;
  for (const [, method, , asked = '', name = ''] of text.matchAll(new RegExp(asksPage + each, 'g')))
    held.set(name, selectorAsked(method, asked));
  for (const [, list = '', name = ''] of text.matchAll(new RegExp(String.raw`\b([\w$]+)${each}`, 'g'))) {
    const asked = held.get(list);
    if (asked !== undefined && !held.has(name)) held.set(name, asked);
  }
  const listening = new RegExp(
    String.raw`(?:${asksPage}|(?<![\w$.])([\w$]+))\s*[?!]?\s*\??\.\s*addEventListener\(\s*(?<mark>['"])([^'"\n]+)\k<mark>`,
    'g',
  );
  return Array.from(text.matchAll(listening)).flatMap((match): PageListener[] => {
    const [whole, method, , asked, name = '', , event = ''] = match;
    const selector = asked === undefined ? held.get(name) : selectorAsked(method, asked);
    if (selector === undefined) return [];
    const end = match.index + whole.length;
    return [{ selector, event, span: { start: match.index, end }, nameSpan: { start: end - event.length - 1, end: end - 1 } }];
  });
}

/** Names of props that some code reads off an element which it holds: `child.props.label`, `const { label } = vnode.props`. */
export function propsReadOutside(text: string): string[] {
  const member = text.matchAll(/(?<!\bthis)\s*\??\.props\s*[?!]*(?:\.\s*([\w$]+)|\??\.?\[\s*['"]([^'"\n]+)['"])/g);
  const taken = text.matchAll(/\{([^{}]*)\}\s*=\s*(?!this\b)[\w$.?!()[\]]+\??\.props\b/g);
  const names = [...taken].flatMap((match) => (match[1] ?? '').split(',').map((one) => one.split(/[:=]/)[0]?.trim() ?? ''));
  return [...new Set([...[...member].map((match) => match[1] ?? match[2] ?? ''), ...names])].filter((name) => name !== '');
}

/** Names of members that a script sets on what it holds, and not on itself: `gauge.level = 1`, `Object.assign(gauge, { level: 1 })`. */
export function namesSetOutside(text: string): string[] {
  const set = text.matchAll(/(?<=[\w$)\]])(?<!\bthis)\??\.([A-Za-z_$][\w$]*)\s*=(?![=>])/g);
  const given = text.matchAll(/[{,]\s*([A-Za-z_$][\w$]*)\s*:/g);
  return [...new Set(Array.from([...set, ...given], ([, name = '']) => name))];
}

/** Names of members that a script reads of what it holds, and not of itself: `gauge.level`. */
export function namesReadOutside(text: string): string[] {
  return [...new Set(Array.from(text.matchAll(/(?<=[\w$)\]])(?<!\bthis)\??\.([A-Za-z_$][\w$]*)(?![\w$(])/g), ([, name = '']) => name))];
}

/** Names of members that a script opens by a call on what it holds, and not on itself: `item.route()`. */
export function namesOpenedOutside(text: string): string[] {
  return [...new Set(Array.from(text.matchAll(/(?<=[\w$)\]])(?<!\bthis)\??\.([A-Za-z_$][\w$]*)\(\)/g), ([, name = '']) => name))];
}

/** Names to which members are added that are not written there: `Object.assign(Card, parts)`, `Card[name] = part`. */
export function openedNames(text: string): string[] {
  if (!/\bObject\.assign\(|\]\s*=(?!=)/.test(text)) return [];
  const added = text.matchAll(/\bObject\.assign\(\s*([\w$]+)\s*,\s*(?:[^{\s]|\{[^}]*\.\.\.)/g);
  const computed = text.matchAll(/^\s*([\w$]+)\[[^\]]+\]\s*=(?!=)/gm);
  return [...added, ...computed].map((match) => match[1] ?? '');
}

/** Names that a text declares, of a file that declares them for all others. */
export function declaredForAll(text: string): string[] {
  return [...text.matchAll(/\b(?:const|let|var|function|class|enum)\s+([\w$]+)/g)].map((match) => match[1] ?? '');
}

/**
 * The props of a component whose names stand nowhere in its text but where they are declared: in a
 * type, in the options of a declaration, or taken out of the props. Whatever else the text does with
 * a name counts as a mention, so that these surely are not read. `byDeclaration`: a prop that is
 * declared need not be taken out of the props.
 */
export function unmentionedProps({ members: props, span, form }: ComponentFacts, byDeclaration: boolean, text: string): MemberKey[] {
  const own = form === 'file' ? text : text.slice(span.start, span.end);
  return props.flatMap(({ key, name }) => {
    if (memberOf(key).kind !== 'prop' || !/^[A-Za-z_$][\w$]*$/.test(name)) return [];
    let taken = 0;
    for (const match of own.matchAll(new RegExp(`(?<![\\w$])${literalPattern(name)}(?![\\w$])`, 'g'))) {
      const [before, after] = [own.slice(0, match.index).trimEnd(), own.slice(match.index + name.length)];
      // A member of a type, or an option of a declaration.
      if (/^\s*\?\s*:/.test(after) || (/^\s*:/.test(after) && /[{;,]$/.test(before))) continue;
      if (byDeclaration && /['"]$/.test(before) && /^['"]/.test(after) && /[[,]\s*['"]$/.test(before)) continue;
      // Taken out of the props: `{ boat, dense = false }`, `export let dense`.
      const isTaken = (/[{,]$/.test(before) && /^\s*[,}=]/.test(after) && !/^\s*==/.test(after)) || /\bexport let$/.test(before);
      if (!isTaken) return [];
      taken++;
    }
    // Under another name it may be read; a declaration by a macro need not take it out at all.
    return taken === 1 || (taken === 0 && byDeclaration) ? [key] : [];
  });
}
