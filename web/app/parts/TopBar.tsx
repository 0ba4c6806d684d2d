import { Link, NavLink, useSearchParams } from 'react-router';
import type { Summary } from '../analysis/answers';
import type { Project } from '../storage/database';
import { Follow } from './Follow';
import { frameworkWords } from './frameworks';
import { Search } from './Search';
import { ThemeSwitch } from './ThemeSwitch';

/** The bar across the top of every view of a project: where one is, the steps, and the search. */
export function TopBar({ project, summary, open }: { project: Project; summary: Summary; open: number }) {
  const base = `/projects/${project.id}`;
  const [params] = useSearchParams();
  const chosen = params.get('page');
  // The page that one looks at stays the same from view to view.
  const page = chosen === null ? '' : `?page=${encodeURIComponent(chosen)}`;
  return (
    <header className="bar">
      <Link to="/" className="brand" aria-label="Liana, all projects">
        Liana
      </Link>
      <span className="project" title={project.name}>
        <Link to={base} title="The project in figures">
          {project.name}
        </Link>{' '}
        <small>
          {project.origin.kind === 'plan' && summary.files === 0
            ? '· a plan, no source yet'
            : `· ${frameworkWords(summary.frameworks) || 'no framework'} · ${summary.components.toLocaleString('en')} components`}
        </small>
      </span>
      {project.origin.kind === 'folder' && project.origin.handle && (
        <Follow key={project.id} projectId={project.id} handle={project.origin.handle} />
      )}
      <nav aria-label="Steps">
        <NavLink to={`${base}/carve`}>Carve</NavLink>
        <NavLink to={`${base}/tree${page}`}>Tree</NavLink>
        <NavLink to={`${base}/trace${page}`}>Trace</NavLink>
        <NavLink to={`${base}/findings`}>
          Findings
          {open > 0 && (
            <span className="badge" title="Findings that nothing is decided about">
              {open.toLocaleString('en')}
            </span>
          )}
        </NavLink>
        <NavLink to={`${base}/compare`}>Compare</NavLink>
      </nav>
      <Search projectId={project.id} />
      <ThemeSwitch />
    </header>
  );
}
