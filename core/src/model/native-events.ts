/** Events that the platform raises on elements. */
const native: ReadonlySet<string> = new Set(
  (
    'abort animationcancel animationend animationiteration animationstart auxclick beforeinput beforematch beforetoggle blur cancel canplay canplaythrough ' +
    'change click close compositionend compositionstart compositionupdate contextmenu copy cuechange cut dblclick drag dragend dragenter dragleave dragover ' +
    'dragstart drop durationchange emptied ended error focus focusin focusout formdata fullscreenchange fullscreenerror gotpointercapture input invalid ' +
    'keydown keypress keyup load loadeddata loadedmetadata loadstart lostpointercapture message mousedown mouseenter mouseleave mousemove mouseout mouseover ' +
    'mouseup paste pause play playing pointercancel pointerdown pointerenter pointerleave pointermove pointerout pointerover pointerup progress ratechange ' +
    'reset resize scroll scrollend search securitypolicyviolation seeked seeking select selectionchange selectstart slotchange stalled submit suspend ' +
    'timeupdate toggle touchcancel touchend touchmove touchstart transitioncancel transitionend transitionrun transitionstart visibilitychange volumechange ' +
    'waiting wheel hashchange popstate storage online offline beforeunload unload pagehide pageshow beforeprint afterprint languagechange messageerror ' +
    'orientationchange devicemotion deviceorientation DOMContentLoaded readystatechange rejectionhandled unhandledrejection timer'
  ).split(' '),
);

/** Tells whether the platform raises an event of this name: `click`, `pointerdown`. */
export function isNativeEvent(name: string): boolean {
  return native.has(name);
}
