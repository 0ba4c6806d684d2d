import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useEffect } from 'react';
import { Link, useFetcher, useNavigate } from 'react-router';
import { handInDemo } from '../../analysis/hand-in';
import { useTell } from '../../parts/Notices';
import { ThemeSwitch } from '../../parts/ThemeSwitch';
import { useHandIn } from '../../parts/useHandIn';
import type { Project } from '../../storage/database';
import { newPlanProject } from '../../storage/plans';
import { OpenButtons } from './OpenButtons';
import { ProjectItem } from './ProjectItem';

type Props = { projects: readonly Project[]; damaged: readonly string[] };

/** The first page: bring source in, or open what this browser keeps. */
export function ProjectsView({ projects, damaged }: Props) {
  const handIn = useHandIn();
  const fetcher = useFetcher<{ intent: string; id: string; name: string }>();
  const tell = useTell();
  const { data, submit } = fetcher;
  const navigate = useNavigate();
  const newPlan = async (): Promise<void> => {
    const id = await newPlanProject('A new plan').catch((error: unknown) => tell(error instanceof Error ? error.message : String(error)));
    if (id) await navigate(`/projects/${id}/carve`);
  };

  useEffect(() => {
    if (data?.intent !== 'delete') return;
    tell(`${data.name} was deleted.`, { label: 'Undo', run: () => void submit({ intent: 'restore', id: data.id }, { method: 'post' }) });
  }, [data, submit, tell]);

  return (
    <main className="home">
      <div style={{ display: 'flex', justifyContent: 'space-between', alignItems: 'start' }}>
        <h1>Liana</h1>
        <ThemeSwitch />
      </div>
      <p className="lead">
        See what a page is made of, where each value lives and what it passes through, who hears an event, and which bindings are broken.
        Liana reads the source itself, in this browser; nothing leaves your machine.
      </p>
      <section className="drop" aria-label="Bring source in">
        <OpenButtons onBring={handIn} />
        <Button variant="text" onClick={() => void handIn(() => handInDemo('react', 'worn'))}>
          Open the demo
        </Button>
        <Button variant="text" onClick={() => void handIn(() => handInDemo('vue', 'worn'))}>
          In Vue
        </Button>
        <Button variant="text" onClick={() => void handIn(() => handInDemo('svelte', 'worn'))}>
          In Svelte
        </Button>
        <Button variant="text" onClick={() => void newPlan()}>
          Start from a page
        </Button>
        <p>
          Or drop a folder, files or a zip archive anywhere on this page. Liana reads React, Vue and Svelte; dependencies, build output and
          what .gitignore names are left out.
        </p>
      </section>
      {damaged.length > 0 && (
        <Alert severity="warning" sx={{ mt: 2 }}>
          {damaged.length === 1 ? 'One saved project' : `${damaged.length} saved projects`} cannot be shown, because what is stored is not
          what Liana wrote: {damaged.join('; ')}.
        </Alert>
      )}
      {projects.length > 0 ? (
        <section aria-label="Projects">
          <ul className="project-list">
            {projects.map((project) => (
              <ProjectItem key={project.id} project={project} onBring={handIn} onSubmit={(form) => void submit(form, { method: 'post' })} />
            ))}
          </ul>
        </section>
      ) : (
        <p className="lead" style={{ marginTop: 26 }}>
          Nothing is open yet. The demo shows a small application, with faults planted in it. <Link to="/help">What Liana finds</Link>
        </p>
      )}
    </main>
  );
}
