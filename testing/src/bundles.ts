import type { Files } from './project';

/** A bundle: the body of its class, its template, what stands before the class, and whether the platform may place it. */
export type Bundle = {
  readonly js?: string;
  readonly html?: string;
  readonly head?: string;
  readonly exposed?: boolean;
  readonly base?: string;
};

const upper = (name: string): string => name.replace(/^./, (letter) => letter.toUpperCase());

/** The files of a project of Lightning web components: a class, a template and what offers it, for each bundle by its name. */
export function bundles(all: Readonly<Record<string, Bundle>>): Files {
  const files: Record<string, string> = {};
  for (const [name, { js = '', html = '', head = '', exposed, base = 'LightningElement' }] of Object.entries(all)) {
    const at = `force-app/main/default/lwc/${name}/${name}`;
    files[`${at}.js`] =
      `import { LightningElement, api, track, wire } from 'lwc';\n${head}export default class ${upper(name)} extends ${base} {\n${js}\n}\n`;
    files[`${at}.html`] = `<template>\n${html}\n</template>\n`;
    if (exposed) files[`${at}.js-meta.xml`] = '<LightningComponentBundle><isExposed>true</isExposed></LightningComponentBundle>';
  }
  return files;
}

/** A small project with bundles of both frameworks, one in the other. */
export const board: Files = {
  ...bundles({
    board: {
      exposed: true,
      js: "  locks = [];\n  picked = '';\n  pick(event) { this.picked = event.detail; }",
      html: '<template for:each={locks} for:item="lock"><c-lock-row key={lock.id} lock={lock} onpick={pick}></c-lock-row></template><p lwc:if={picked}>{picked}</p><p lwc:else>nothing</p>',
    },
    lockRow: {
      js: "  @api lock;\n  get label() { return `${this.lock.name} lock`; }\n  pick() { this.dispatchEvent(new CustomEvent('pick', { detail: this.lock.id })); }",
      html: '<button onclick={pick}>{label}</button><slot></slot>',
    },
  }),
  'force-app/main/default/aura/House/House.cmp':
    '<aura:component implements="flexipage:availableForAllPageTypes">\n<aura:attribute name="count" type="Integer" default="0" />\n<aura:handler name="init" value="{!this}" action="{!c.begin}" />\n<aura:if isTrue="{!v.count}"><c:board /></aura:if>\n</aura:component>',
  'force-app/main/default/aura/House/HouseController.js':
    '({\n  begin: function (component, event, helper) {\n    helper.add(component);\n  }\n})',
  'force-app/main/default/aura/House/HouseHelper.js':
    "({\n  add: function (component) {\n    component.set('v.count', component.get('v.count') + 1);\n  }\n})",
};
