const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** The time of day; a plain element, which needs no more. */
export class ClockBadge extends HTMLElement {
  #timer;

  connectedCallback() {
    this.#show();
    this.#timer = setInterval(() => this.#show(), 30_000);
  }

  disconnectedCallback() {
    clearInterval(this.#timer);
  }

  #show() {
    this.textContent = clock.format(new Date());
  }
}

customElements.define('clock-badge', ClockBadge);
