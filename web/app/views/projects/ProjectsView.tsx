import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { Link, useFetcher, useNavigate, useRevalidator } from 'react-router';
import { useTell } from '../../parts/Notices';
import { ThemeSwitch } from '../../parts/ThemeSwitch';
import { useHandIn } from '../../parts/useHandIn';
import type { Project } from '../../storage/database';
import { newPlanProject } from '../../storage/plans';
import { DemoCards } from './DemoCards';
import { OpenButtons } from './OpenButtons';
import { onStoredElsewhere } from '../../storage/tabs';
import type { Damaged } from '../../storage/projects';
import type { Usage } from '../../storage/usage';
import { ProjectItem } from './ProjectItem';
import { TreePicture } from './TreePicture';
import { UsageLine } from './UsageLine';

/** Of the kept projects, so many before one asks for all. */
const firstShown = 6;

type Props = { projects: readonly Project[]; damaged: readonly Damaged[]; usage: Usage };

/** The first page: bring source in, or open what this browser keeps. */
export function ProjectsView({ projects, damaged, usage }: Props) {
  const [isWhole, setIsWhole] = useState(false);
  const handIn = useHandIn();
  const fetcher = useFetcher<{ intent: string; id: string; name: string }>();
  const tell = useTell();
  const { revalidate } = useRevalidator();
  const { data, submit } = fetcher;
  const navigate = useNavigate();
  const newPlan = async (): Promise<void> => {
    const id = await newPlanProject('A new plan').catch((error: unknown) => tell(error instanceof Error ? error.message : String(error)));
    if (id) await navigate(`/projects/${id}/carve`);
  };

  // What another tab brings in, renames or deletes is shown here too.
  useEffect(() => onStoredElsewhere(({ what }) => void (what === 'projects' && revalidate())), [revalidate]);

  useEffect(() => {
    switch (data?.intent) {
      case 'clear readings':
        return tell('The readings were cleared.');
      case 'delete':
        return tell(`${data.name} was deleted.`, {
          label: 'Undo',
          run: () => void submit({ intent: 'restore', id: data.id, name: data.name }, { method: 'post' }),
        });
      case 'gone':
        return tell(`${data.name} was deleted for good, because the browser has no room left.`);
      case 'past':
        return tell(`${data.name} cannot be brought back: what it took was needed for something else.`);
      case 'renamed elsewhere':
        return tell(`Another tab has called it ${data.name} meanwhile. That stands.`);
    }
  }, [data, submit, tell]);

  const recent = [...projects].sort((a, b) => b.readAt - a.readAt);
  const shown = isWhole ? recent : recent.slice(0, firstShown);
  return (
    <main className="home">
      <header className="home-head">
        <h1>Liana</h1>
        <nav aria-label="Help">
          <Button component={Link} to="/help">
            What Liana finds
          </Button>
          <ThemeSwitch />
        </nav>
      </header>
      {damaged.map(({ id, name, says }) => (
        <Alert
          key={id}
          severity="warning"
          sx={{ mt: 2 }}
          action={
            <Button color="inherit" onClick={() => void submit({ intent: 'remove', id, name }, { method: 'post' })}>
              Remove it
            </Button>
          }
        >
          {name} cannot be shown, because what is stored is not what Liana wrote: {says}. It stays as it is.
        </Alert>
      ))}
      {projects.length > 0 && (
        <section aria-label="Projects">
          <h2>Your projects, the last read first</h2>
          <ul className="project-list">
            {shown.map((project) => (
              <ProjectItem key={project.id} project={project} onBring={handIn} onSubmit={(form) => void submit(form, { method: 'post' })} />
            ))}
          </ul>
          {recent.length > shown.length && <Button onClick={() => setIsWhole(true)}>{`Show all ${recent.length}`}</Button>}
          <UsageLine usage={usage} onClear={() => void submit({ intent: 'clear readings' }, { method: 'post' })} />
        </section>
      )}
      <div className="home-lead">
        <section aria-label="What Liana does">
          <h2>{projects.length > 0 ? 'Another project' : 'See through a component application'}</h2>
          <p className="lead">
            What a page is made of, where each value lives and what it passes through, who hears an event, and which bindings are broken or
            superfluous. Liana reads the source itself, in this browser; nothing leaves your machine.
          </p>
          <div className="drop" role="group" aria-label="Bring source in">
            <OpenButtons onBring={handIn} />
            <Button variant="text" onClick={() => void newPlan()}>
              Start from a page
            </Button>
            <p>
              Or drop a folder, files or a zip archive anywhere on this page. Liana reads React, Vue, Svelte, Angular, Astro, custom
              elements and Lightning web components; dependencies, build output and what .gitignore names are left out. “Start from a page”
              carves a saved page or a picture into parts.
            </p>
          </div>
        </section>
        <figure className="home-picture">
          <TreePicture />
          <figcaption>A value goes down, an event comes up, and one prop that is needed is passed by nobody.</figcaption>
        </figure>
      </div>
      <DemoCards onBring={handIn} />
    </main>
  );
}
