/** How high the water stands, as a bar; a plain element, set by its attributes. */
export class LevelGauge extends HTMLElement {
  static observedAttributes = ['level', 'max'];

  connectedCallback() {
    this.render();
  }

  attributeChangedCallback() {
    if (this.isConnected) this.render();
  }

  render() {
    const level = Number(this.getAttribute('level'));
    const max = Number(this.getAttribute('max'));
    this.innerHTML = `<label>Level <meter class="gauge" min="0" max="${max}" value="${level}"></meter> ${level.toFixed(1)} m</label>`;
  }
}

customElements.define('level-gauge', LevelGauge);
