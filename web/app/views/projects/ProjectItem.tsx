import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { type ChangeEvent, type FormEvent, useRef, useState } from 'react';
import { Link } from 'react-router';
import { handInDemo, handInFiles, readFolderAgain } from '../../analysis/hand-in';
import { frameworkWords } from '../../parts/frameworks';
import type { Project } from '../../storage/database';
import { leftOutWords } from './left-out';

type Props = {
  project: Project;
  onBring: (bring: () => Promise<string | undefined>) => Promise<void>;
  onSubmit: (form: { intent: string; id: string; name?: string; seen?: string }) => void;
};

const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

/** One kept project: open, rename, read again, delete. */
export function ProjectItem({ project, onBring, onSubmit }: Props) {
  const [isRenaming, setIsRenaming] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const { origin } = project;

  const rename = (event: FormEvent<HTMLFormElement>): void => {
    event.preventDefault();
    const name = String(new FormData(event.currentTarget).get('name'));
    onSubmit({ intent: 'rename', id: project.id, name, seen: project.name });
    setIsRenaming(false);
  };
  const readAgain = (): void => {
    if (origin.kind === 'demo') void onBring(() => handInDemo(origin.framework, origin.edition));
    else if (origin.kind === 'folder' && origin.handle)
      void onBring(() => readFolderAgain(origin.handle as FileSystemDirectoryHandle, project.id));
    else picker.current?.click();
  };
  const take = (event: ChangeEvent<HTMLInputElement>): void => {
    const files = [...(event.target.files ?? [])];
    event.target.value = '';
    if (files.length > 0) void onBring(() => handInFiles(files, project.id));
  };

  return (
    <li>
      <div className="title">
        {isRenaming ? (
          <form onSubmit={rename}>
            <TextField
              name="name"
              size="small"
              label="Name"
              defaultValue={project.name}
              autoFocus
              onKeyDown={(event) => {
                if (event.key === 'Escape') setIsRenaming(false);
              }}
            />{' '}
            <Button type="submit">Save</Button>
            <Button onClick={() => setIsRenaming(false)}>Cancel</Button>
          </form>
        ) : (
          <>
            <Link to={`/projects/${project.id}${project.origin.kind === 'plan' ? '/carve' : ''}`}>{project.name}</Link>
            <small>
              {project.origin.kind === 'plan' ? 'A plan. ' : ''}
              {project.frameworks && project.frameworks.length > 0 ? `${frameworkWords(project.frameworks)}. ` : ''}
              {project.files.toLocaleString('en')} files, {Math.ceil(project.bytes / 1024).toLocaleString('en')} KB, read{' '}
              {day.format(project.readAt)}. {leftOutWords(project)}
            </small>
          </>
        )}
      </div>
      {!isRenaming && (
        <div>
          <Button onClick={() => setIsRenaming(true)}>Rename</Button>
          <Button onClick={readAgain}>Read again</Button>
          <Button color="error" onClick={() => onSubmit({ intent: 'delete', id: project.id })}>
            Delete
          </Button>
        </div>
      )}
      <input
        ref={picker}
        type="file"
        hidden
        aria-label={`Source of ${project.name}`}
        {...(origin.kind === 'zip' ? { accept: '.zip' } : { webkitdirectory: '' })}
        multiple
        onChange={take}
      />
    </li>
  );
}
