import Papa from 'papaparse';
import type { Finding, Severity } from '../model/finding';
import { severities } from '../model/finding';
import type { ComponentId } from '../model/ids';
import type { Model } from '../model/model';
import type { FilePath } from '../model/span';
import { findRepeats, findTwins, piecesOf } from '../overlap';
import { carriedProps, type SharedValue, sharedValues } from '../rules';
import { unfold } from '../tree';

/** How one component is used: by how many uses in code, by how many others, at how many places of all pages. */
export type ReuseFigure = {
  readonly id: ComponentId;
  readonly name: string;
  readonly file: FilePath;
  readonly uses: number;
  readonly owners: number;
  readonly places: number;
  readonly lines: number;
};

export type PageFigure = {
  readonly id: string;
  readonly name: string;
  readonly places: number;
  /** The deepest place, the page itself counting 1. */ readonly depth: number;
};

/** What a project amounts to, in numbers that can be counted again. */
export type Figures = {
  readonly components: number;
  readonly files: number;
  readonly lines: number;
  readonly pages: readonly PageFigure[];
  readonly reuse: readonly ReuseFigure[];
  /** Props that a component only hands on, over all components. */
  readonly carried: number;
  /** All props of all contracts. */
  readonly props: number;
  /** Of the weight of all markup, 0 to 1, what stands elsewhere too: all places of a stretch but the first. */
  readonly repeated: number;
  readonly twins: number;
  readonly shared: readonly SharedValue[];
  readonly findings: Readonly<Record<Severity, number>>;
};

/** Counts a project. Findings are those that are given; pages of which nothing above is known count as pages too. */
export function figuresOf(model: Model, findings: readonly Finding[]): Figures {
  const own = [...model.components.values()].filter((one) => one.role === 'component' && one.fileRole === 'source');
  const places = new Map<ComponentId, number>();
  const pages = model.pages.map((page): PageFigure => {
    const tree = unfold(model, page);
    let depth = 0;
    for (const place of tree.places) {
      places.set(place.component, (places.get(place.component) ?? 0) + 1);
      depth = Math.max(depth, place.depth + 1);
    }
    return { id: page.id, name: page.name, places: tree.places.length, depth };
  });
  const reuse = own.map((component): ReuseFigure => {
    const uses = (model.usesOf.get(component.id) ?? []).filter((use) => model.components.get(use.owner)?.fileRole === 'source');
    return {
      id: component.id,
      name: component.name,
      file: component.file,
      uses: uses.length,
      owners: new Set(uses.map((use) => use.owner)).size,
      places: places.get(component.id) ?? 0,
      lines: component.facts.lines ?? 0,
    };
  });
  const weight = own.reduce((sum, component) => sum + piecesOf(model, component).total, 0);
  const again = findRepeats(model).reduce((sum, repeated) => sum + repeated.weight * (repeated.places.length - 1), 0);
  return {
    components: own.length,
    files: new Set(own.map((one) => one.file)).size,
    lines: own.reduce((sum, one) => sum + (one.facts.lines ?? 0), 0),
    pages,
    reuse: reuse.sort((a, b) => b.uses - a.uses || a.name.localeCompare(b.name)),
    carried: carriedProps(model),
    props: own.reduce((sum, one) => sum + one.contract.members.size, 0),
    repeated: weight === 0 ? 0 : Math.min(1, again / weight),
    twins: findTwins(model).reduce((sum, cluster) => sum + cluster.members.length, 0),
    shared: sharedValues(model),
    findings: Object.fromEntries(
      severities.map((severity) => [severity, findings.filter((one) => one.severity === severity).length]),
    ) as Record<Severity, number>,
  };
}

/** Figures of a hundred components; 0 for a project without any. */
export const perHundred = (count: number, components: number): number => (components === 0 ? 0 : (100 * count) / components);

/** The figures as lines of a table: what is counted, of what, and how many. */
export function figuresCsv(figures: Figures): string {
  const rows: { figure: string; of: string; file: string; count: number | string }[] = [
    { figure: 'components', of: '', file: '', count: figures.components },
    { figure: 'files with components', of: '', file: '', count: figures.files },
    { figure: 'lines of components', of: '', file: '', count: figures.lines },
    { figure: 'props in all contracts', of: '', file: '', count: figures.props },
    { figure: 'props only handed on', of: '', file: '', count: figures.carried },
    { figure: 'share of markup that is repeated', of: '', file: '', count: figures.repeated.toFixed(4) },
    { figure: 'components that are like another', of: '', file: '', count: figures.twins },
    ...severities.map((severity) => ({ figure: `findings: ${severity}`, of: '', file: '', count: figures.findings[severity] })),
    ...severities.map((severity) => ({
      figure: `findings of a hundred components: ${severity}`,
      of: '',
      file: '',
      count: perHundred(figures.findings[severity], figures.components).toFixed(1),
    })),
    ...figures.pages.flatMap((page) => [
      { figure: 'places of a page', of: page.name, file: '', count: page.places },
      { figure: 'depth of a page', of: page.name, file: '', count: page.depth },
    ]),
    ...figures.shared.flatMap((one) => [
      { figure: `components that read a ${one.kind}`, of: one.name, file: one.file, count: one.readers },
      { figure: `components that write a ${one.kind}`, of: one.name, file: one.file, count: one.writers },
    ]),
    ...figures.reuse.flatMap((one) => [
      { figure: 'uses of a component', of: one.name, file: one.file, count: one.uses },
      { figure: 'owners of a component', of: one.name, file: one.file, count: one.owners },
      { figure: 'places of a component', of: one.name, file: one.file, count: one.places },
    ]),
  ];
  // A cell that begins like a formula would be run by a spreadsheet.
  return `${Papa.unparse(rows, { escapeFormulae: true })}\r\n`;
}
