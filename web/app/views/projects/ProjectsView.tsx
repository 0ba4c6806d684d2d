import { messageOf } from '@liana/core';
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

type Told = { readonly intent: string; readonly id: string; readonly name: string };
type Submit = ReturnType<typeof useFetcher<Told>>['submit'];

/** Says what came of an act upon a project, with what takes it back. */
function useToldActs(data: Told | undefined, submit: Submit): void {
  const tell = useTell();
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
}

/** A project whose record cannot be shown. */
function DamagedAlert({ damaged: { name, says }, onRemove }: { damaged: Damaged; onRemove: () => void }) {
  return (
    <Alert
      severity="warning"
      sx={{ mt: 2 }}
      action={
        <Button color="inherit" onClick={onRemove}>
          Remove it
        </Button>
      }
    >
      {name} cannot be shown, because what is stored is not what Liana wrote: {says}. It stays as it is.
    </Alert>
  );
}

/** What Liana does, and where source, or a page to carve, is brought in. */
function NewProject({ isFirst, onBring }: { isFirst: boolean; onBring: ReturnType<typeof useHandIn> }) {
  const tell = useTell();
  const navigate = useNavigate();
  const newPlan = async (): Promise<void> => {
    const id = await newPlanProject('A new plan').catch((error: unknown) => tell(messageOf(error)));
    if (id) await navigate(`/projects/${id}/carve`);
  };
  return (
    <section aria-label="What Liana does">
      <h2>{isFirst ? 'See through a component application' : 'Another project'}</h2>
      <p className="lead">
        What a page is made of, where each value lives and what it passes through, who hears an event, and which bindings are broken or
        superfluous. Liana reads the source itself, in this browser; nothing leaves your machine.
      </p>
      <div className="drop" role="group" aria-label="Bring source in">
        <OpenButtons onBring={onBring} />
        <Button variant="text" onClick={() => void newPlan()}>
          Start from a page
        </Button>
        <p>
          Or drop a folder, files or a zip archive anywhere on this page. Liana reads React, Vue, Svelte, Angular, Astro, custom elements
          and Lightning web components; dependencies, build output and what .gitignore names are left out. “Start from a page” carves a
          saved page or a picture into parts.
        </p>
      </div>
    </section>
  );
}

/** The first page: bring source in, or open what this browser keeps. */
export function ProjectsView({ projects, damaged, usage }: Props) {
  const [isWhole, setIsWhole] = useState(false);
  const handIn = useHandIn();
  const fetcher = useFetcher<Told>();
  const { revalidate } = useRevalidator();
  const { data, submit } = fetcher;

  // What another tab brings in, renames or deletes is shown here too.
  useEffect(() => onStoredElsewhere(({ what }) => void (what === 'projects' && revalidate())), [revalidate]);

  useToldActs(data, submit);

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
      {damaged.map((one) => (
        <DamagedAlert
          key={one.id}
          damaged={one}
          onRemove={() => void submit({ intent: 'remove', id: one.id, name: one.name }, { method: 'post' })}
        />
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
        <NewProject isFirst={projects.length === 0} onBring={handIn} />
        <figure className="home-picture">
          <TreePicture />
          <figcaption>A value goes down, an event comes up, and one prop that is needed is passed by nobody.</figcaption>
        </figure>
      </div>
      <DemoCards onBring={handIn} />
    </main>
  );
}
