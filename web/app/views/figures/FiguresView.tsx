import Button from '@mui/material/Button';
import { counted, type Figures, perHundred, severities } from '@liana/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { severityWords } from '../../theme/Glyph';
import { download, fileName } from '../carve/download';
import { type Bar, inSteps, layBars, stepWords } from './charts';

type Props = { readonly project: { readonly id: string; readonly name: string }; readonly figures: Figures; readonly csv: string };

const width = 190;
const bounds = [0, 1, 2, 3, 6, 11];

/** A number with what it is, how it is counted, and where it leads. */
function Figure({
  value,
  title,
  children,
  to,
  says,
}: {
  value: string;
  title: string;
  says: string;
  to?: string | undefined;
  children?: ReactNode;
}) {
  return (
    <section className="card figure" aria-label={title}>
      <h2>
        <span className="big">{value}</span> {to === undefined ? title : <Link to={to}>{title}</Link>}
      </h2>
      {children}
      <p>{says}</p>
    </section>
  );
}

/** Bars with their words at the left and their numbers at the right. */
function Bars({ bars, label, unit }: { bars: readonly Bar[]; label: string; unit?: string }) {
  const { bars: laid } = layBars(bars, width);
  return (
    <table className="bars" aria-label={label}>
      <tbody>
        {laid.map((bar) => (
          <tr key={bar.label}>
            <th scope="row" title={bar.label}>
              {bar.to === undefined ? bar.label : <Link to={bar.to}>{bar.label}</Link>}
            </th>
            <td className="measure">
              <svg width={width} height={bar.height} aria-hidden="true">
                <rect width={bar.width} height={bar.height} rx={2} />
              </svg>
            </td>
            <td className="number">
              {bar.value.toLocaleString('en')}
              {unit}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The figures, and the address below which what they count is shown. */
type FigureProps = { readonly figures: Figures; readonly base: string };

/** How many components and pages there are. */
function SizeFigures({ figures, base }: FigureProps) {
  const steps = inSteps(
    figures.reuse.map((one) => one.uses),
    bounds,
  );
  const deepest = [...figures.pages].sort((a, b) => b.depth - a.depth || b.places - a.places);
  return (
    <>
      <Figure
        value={figures.components.toLocaleString('en')}
        title="components"
        to={`${base}/tree`}
        says="Declared in the project’s own source, without tests and stories. Below, how many are used by how many uses in code; lists count once."
      >
        <Bars
          label="Components by their uses"
          bars={bounds.map((_, index) => ({
            label: `used ${stepWords(bounds, index)} ${bounds[index] === 1 ? 'time' : 'times'}`,
            value: steps[index] ?? 0,
          }))}
        />
      </Figure>
      <Figure
        value={figures.pages.length.toLocaleString('en')}
        title={figures.pages.length === 1 ? 'page' : 'pages'}
        to={`${base}/tree`}
        says="Each with the places of its tree, and how deep the deepest stands, the page itself counting 1."
      >
        <Bars
          label="Places of the pages"
          bars={deepest.slice(0, 6).map((page) => ({
            label: `${page.name}, ${page.depth} deep`,
            value: page.places,
            to: `${base}/tree?page=${encodeURIComponent(page.id)}`,
          }))}
        />
        {deepest.length > 6 && <small>and {counted(deepest.length - 6, 'page')} more</small>}
      </Figure>
    </>
  );
}

/** What may be superfluous, and what was found. */
function TidyFigures({ figures, base }: FigureProps) {
  const share = (value: number): string => `${(100 * value).toFixed(value > 0 && value < 0.1 ? 1 : 0)} %`;
  const all = severities.reduce((sum, severity) => sum + figures.findings[severity], 0);
  return (
    <>
      <Figure
        value={figures.carried.toLocaleString('en')}
        title="props only handed on"
        to={`${base}/findings?rule=prop-carried&state=all`}
        says={`Of ${counted(figures.props, 'prop')} in all contracts: declared by a component that neither reads nor changes them, but hands them to another.`}
      >
        <Bars
          label="Props"
          bars={[
            { label: 'only handed on', value: figures.carried },
            { label: 'used where declared', value: figures.props - figures.carried },
          ]}
        />
      </Figure>
      <Figure
        value={share(figures.repeated)}
        title="of the markup is repeated"
        to={`${base}/findings?rule=markup-repeated&state=all`}
        says="Stretches of some size with the same structure: all places but the first, by the weight of their tags and attributes against that of all markup."
      />
      <Figure
        value={figures.twins.toLocaleString('en')}
        title={figures.twins === 1 ? 'component is like another' : 'components are like another'}
        to={`${base}/overlap`}
        says="They share at least 80 % of the smaller one, markup, contract and behaviour taken together."
      />
      <Figure
        value={perHundred(all, figures.components).toFixed(1)}
        title="findings a hundred components"
        to={`${base}/findings?state=all`}
        says={`${counted(all, 'finding')}, whatever was decided about them.`}
      >
        <Bars
          label="Findings of a hundred components"
          bars={severities.map((severity) => ({
            label: severityWords[severity].group,
            value: Number(perHundred(figures.findings[severity], figures.components).toFixed(1)),
          }))}
        />
      </Figure>
    </>
  );
}

/** What is shared, and what is used most. */
function UseFigures({ figures, base }: FigureProps) {
  return (
    <>
      <Figure
        value={figures.shared.length.toLocaleString('en')}
        title="stores and contexts"
        says="With how many components read each, and after the comma how many write or provide it."
      >
        <Bars
          label="Readers of stores and contexts"
          bars={figures.shared.slice(0, 8).map((one) => ({
            label: `${one.name}, ${one.writers} ${one.kind === 'context' ? (one.writers === 1 ? 'provides' : 'provide') : one.writers === 1 ? 'writes' : 'write'}`,
            value: one.readers,
            to: `${base}/trace?find=${encodeURIComponent(one.name)}`,
          }))}
        />
      </Figure>
      <Figure
        value={(figures.reuse[0]?.uses ?? 0).toLocaleString('en')}
        title="uses of the most used component"
        says="The components with the most uses in code; in brackets, by how many others."
      >
        <Bars
          label="Most used components"
          bars={figures.reuse.slice(0, 8).map((one) => ({
            label: `${one.name} (${one.owners})`,
            value: one.uses,
            to: `${base}/tree?component=${encodeURIComponent(one.id)}`,
          }))}
        />
      </Figure>
    </>
  );
}

/** What a project amounts to: exact figures, each with how it is counted, leading to what it counts. */
export function FiguresView({ project, figures, csv }: Props) {
  const base = `/projects/${project.id}`;
  return (
    <>
      <div className="controls">
        <b>{project.name} in figures</b>
        <span>
          {counted(figures.files, 'file')} with components, {counted(figures.lines, 'line')} of them
        </span>
        <span className="findings-more">
          <Button size="small" variant="outlined" onClick={() => download(`${fileName(project.name)}-figures.csv`, [csv], 'text/csv')}>
            Export as CSV
          </Button>
        </span>
      </div>
      <main className="figures" tabIndex={-1}>
        <SizeFigures figures={figures} base={base} />
        <TidyFigures figures={figures} base={base} />
        <UseFigures figures={figures} base={base} />
      </main>
    </>
  );
}
