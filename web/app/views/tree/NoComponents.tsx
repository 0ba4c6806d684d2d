import { Link } from 'react-router';
import type { Summary } from '../../analysis/answers';

/** A project in which Liana found nothing to draw: says what it did find, and why that may be. */
export function NoComponents({ summary }: { summary: Summary }) {
  const [problem] = summary.problems;
  return (
    <div className="work-area" style={{ gridTemplateColumns: '1fr' }}>
      <section className="sheet empty">
        <h2>No components were found</h2>
        <p>
          {summary.files} files were read. Liana draws components of React, Vue, Svelte, Angular and Astro, custom elements and Lightning
          web components, and none was seen in them.
          {summary.problems.length > 0 && problem
            ? ` ${summary.problems.length === 1 ? 'One place' : `${summary.problems.length} places`} could not be read in full, first ${problem.file}, line ${problem.line}: ${problem.message}`
            : ''}
        </p>
        <p>
          <Link to="/">Open another folder</Link>
        </p>
      </section>
    </div>
  );
}
