/** Members that every element has from the platform: what a class reads of these is nobody's property. */
const names =
  'accessKey after animate append appendChild attachInternals attachShadow attributes autofocus baseURI before blur childElementCount childNodes children ' +
  'classList className click clientHeight clientWidth clientLeft clientTop cloneNode closest compareDocumentPosition computedStyleMap contains contentEditable ' +
  'dataset dir dispatchEvent draggable enterKeyHint firstChild firstElementChild focus getAnimations getAttribute getAttributeNames getAttributeNode ' +
  'getBoundingClientRect getClientRects getElementsByClassName getElementsByTagName getRootNode hasAttribute hasAttributes hasChildNodes hidden hidePopover id ' +
  'inert innerHTML innerText inputMode insertAdjacentElement insertAdjacentHTML insertAdjacentText insertBefore isConnected isContentEditable isEqualNode ' +
  'isSameNode lang lastChild lastElementChild localName matches namespaceURI nextElementSibling nextSibling nodeName nodeType nodeValue normalize ' +
  'offsetHeight offsetLeft offsetParent offsetTop offsetWidth outerHTML outerText ownerDocument parentElement parentNode part popover prefix prepend ' +
  'previousElementSibling previousSibling querySelector querySelectorAll remove removeAttribute removeChild removeEventListener addEventListener ' +
  'replaceChild replaceChildren replaceWith role scroll scrollBy scrollHeight scrollIntoView scrollLeft scrollTo scrollTop scrollWidth setAttribute ' +
  'shadowRoot showPopover slot assignedSlot spellcheck style tabIndex tagName textContent title toggleAttribute togglePopover translate ' +
  'constructor hasOwnProperty toString valueOf isPrototypeOf propertyIsEnumerable';

/** Tags of the platform. */
const ofPlatform: ReadonlySet<string> = new Set(
  (
    'a abbr address area article aside audio b base bdi bdo blockquote body br button canvas caption center cite code col colgroup data datalist dd del details dfn ' +
    'dialog div dl dt em embed fieldset figcaption figure font footer form frame h1 h2 h3 h4 h5 h6 head header hgroup hr html i iframe image img input ins kbd label ' +
    'legend li link main map mark marquee math menu meta meter nav noscript object ol optgroup option output p param picture pre progress q rp rt ruby s samp ' +
    'script search section select slot small source span strike strong style sub summary sup svg table tbody td template textarea tfoot th thead time title tr ' +
    'track tt u ul var video wbr'
  ).split(' '),
);

/** Whether a tag stands for an element that the platform has. */
export const isPlatformTag = (tag: string): boolean => ofPlatform.has(tag);

/** Names with a hyphen that are the platform’s own. */
const hyphened = new Set(
  'annotation-xml color-profile font-face font-face-src font-face-uri font-face-format font-face-name missing-glyph'.split(' '),
);

/** Whether a tag is one that a script defines. */
export const isElementTag = (tag: string): boolean => /^[a-z][^\s/>]*-/.test(tag) && !hyphened.has(tag);

export const elementMembers: ReadonlySet<string> = new Set(names.split(' '));

/** Attributes that any element may bear, for the platform or for who styles it. */
export const commonAttributes: ReadonlySet<string> = new Set(
  (
    'accesskey autocapitalize autofocus class contenteditable dir draggable enterkeyhint exportparts hidden id inert inputmode is itemid itemprop itemref ' +
    'itemscope itemtype key lang nonce part popover role slot spellcheck style tabindex title translate'
  ).split(' '),
);

/** Whether an attribute says something to the platform or to who looks the element up, whatever the component declares. */
export const isCommonAttribute = (name: string): boolean =>
  commonAttributes.has(name) || /^(?:data|aria|xml|xlink)[-:]/.test(name) || /^on[a-z]+$/.test(name);
