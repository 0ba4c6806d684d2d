/** Attributes that elements of the platform have, in lower case: what falls through to one may be meant for it. */
export const platformAttributes: ReadonlySet<string> = new Set(
  (
    'accept action align allow alt as async autocapitalize autocomplete autofocus autoplay capture charset checked cite class color cols colspan content ' +
    'contenteditable controls coords crossorigin cx cy d data datetime decoding default defer dir dirname disabled download draggable dx dy enctype ' +
    'enterkeyhint exportparts fill for form formaction headers height hidden high href hreflang id inert inputmode is itemid itemprop kind label lang ' +
    'list loading loop low max maxlength media method min minlength multiple muted name nonce novalidate offset open opacity optimum part path pattern ' +
    'ping placeholder points popover poster preload property r readonly rel required reversed role rows rowspan rx ry sandbox scope selected shape size sizes ' +
    'slot span spellcheck src srcdoc srclang srcset start step stroke style summary tabindex target title transform translate type usemap value viewbox ' +
    'width wrap x x1 x2 xmlns y y1 y2'
  ).split(' '),
);
