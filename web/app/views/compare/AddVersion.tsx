import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { messageOf } from '@liana/core';
import { useState } from 'react';
import { getAnalyst, runWork, Stopped } from '../../analysis/client';
import type { Commit, Commits } from '../../analysis/git/commits';
import { givenIn, permitFolder } from '../../analysis/hand-in';
import type { Given } from '../../analysis/sources';
import { PickSource } from '../../parts/controls/PickSource';
import { chosenCommits, timeWords, versionName } from './commits';

type Props = {
  project: { readonly id: string; readonly name: string };
  /** The folder that the project was read from, where the browser keeps it. */
  folder: FileSystemDirectoryHandle | undefined;
  /** Called with the number of the reading that was kept. */
  onAdded: (reading: number) => void;
  onLeave: () => void;
};

type Source = { readonly name: string; readonly given: Given };

/** Adds a side to compare with: a folder or an archive as it lies there, or a commit of its repository. The project stays as it is. */
export function AddVersion({ project, folder, onAdded, onLeave }: Props) {
  const [source, setSource] = useState<Source>();
  const [commits, setCommits] = useState<Commits>();
  const [wrong, setWrong] = useState<string>();

  const attempt = async (run: () => Promise<void>): Promise<void> => {
    setWrong(undefined);
    try {
      await run();
    } catch (error) {
      if (error instanceof Stopped || (error instanceof DOMException && error.name === 'AbortError')) return;
      setWrong(messageOf(error));
    }
  };
  const add = (name: string, given: Given): Promise<void> =>
    attempt(async () =>
      onAdded(await runWork(`Reading ${name}`, (analyst, report) => analyst.addVersion(project.id, name, given, report))),
    );
  const look = (next: Source): Promise<void> =>
    attempt(async () => {
      const found = await runWork(`Looking for commits in ${next.name}`, (analyst) => analyst.commits(next.given));
      if (!found) return add(next.name, next.given);
      setSource(next);
      setCommits(found);
    });
  const addCommit = (of: Source, commit: Commit): Promise<void> =>
    add(versionName(commit), { kind: 'commit', of: of.given, hash: commit.hash });

  return (
    <div className="work-area" style={{ gridTemplateColumns: '1fr', paddingTop: 12 }}>
      <section className="sheet add-version" aria-label="Add a version">
        <h2>Add a version to compare with</h2>
        {source && commits ? (
          <CommitList
            source={source}
            commits={commits}
            onTake={() => void add(source.name, source.given)}
            onChoose={(commit) => void addCommit(source, commit)}
            onNamed={(text) =>
              void attempt(async () => {
                const commit = await getAnalyst().commitNamed(source.given, text);
                if (!commit) throw new Error(`${source.name} has no branch, tag or commit that is called ${text}.`);
                await addCommit(source, commit);
              })
            }
          />
        ) : (
          <>
            <p>
              It is kept beside {project.name}, which stays as it is. Of a folder or an archive that holds a <code>.git</code>, you can
              choose a branch, a tag or a commit.
            </p>
            <Sources folder={folder} onLook={(next) => void look(next)} onAttempt={(run) => void attempt(run)} />
          </>
        )}
        {wrong !== undefined && <p role="alert">{wrong}</p>}
        <p>
          <Button color="inherit" onClick={onLeave}>
            Back
          </Button>
        </p>
      </section>
    </div>
  );
}

type SourcesProps = {
  folder: FileSystemDirectoryHandle | undefined;
  onLook: (source: Source) => void;
  onAttempt: (run: () => Promise<void>) => void;
};

/** Where a version may come from. */
function Sources({ folder, onLook, onAttempt }: SourcesProps) {
  const lookIn = (handle: FileSystemDirectoryHandle): void => onLook({ name: handle.name, given: { kind: 'handle', handle } });
  return (
    <p className="add-version-from">
      {folder && (
        <Button
          variant="contained"
          onClick={() =>
            onAttempt(async () => {
              await permitFolder(folder);
              lookIn(folder);
            })
          }
        >
          The folder of this project
        </Button>
      )}
      <PickSource
        labels={{ folder: 'Folder of the version', archive: 'Zip archive of the version' }}
        isMain={!folder}
        onFolder={(ask) => onAttempt(async () => lookIn(await ask()))}
        onFiles={(files) => onLook(givenIn(files))}
      />
    </p>
  );
}

type CommitListProps = {
  source: Source;
  commits: Commits;
  /** Takes it as it lies in the folder. */
  onTake: () => void;
  onChoose: (commit: Commit) => void;
  onNamed: (text: string) => void;
};

/** The branches, tags and commits of a repository, as many as a text leaves over. */
function CommitList({ source, commits, onTake, onChoose, onNamed }: CommitListProps) {
  const [text, setText] = useState('');
  const { shown, more } = chosenCommits(commits.all, text);
  return (
    <>
      <TextField
        size="small"
        autoFocus
        hiddenLabel
        placeholder="Branch, tag, commit, or words of its message"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onKeyDown={(event) => {
          const [only] = shown;
          if (event.key !== 'Enter' || text.trim() === '') return;
          if (shown.length === 1 && only) onChoose(only);
          else onNamed(text.trim());
        }}
        slotProps={{ htmlInput: { 'aria-label': 'Branch, tag, commit, or words of its message', 'aria-describedby': 'commits-shown' } }}
      />
      <p id="commits-shown" role="status">
        {commits.all.length === 0 && text.trim() === ''
          ? `No branch, tag or commit of ${source.name} can be listed.`
          : shown.length === 0
            ? `None of those listed fits. Press Enter to look for ${text.trim()} in the whole repository.`
            : more > 0
              ? `${more.toLocaleString('en')} more fit; go on typing to see them.`
              : ''}
      </p>
      <ul className="commit-list" aria-label={`Versions in ${source.name}`}>
        {text.trim() === '' && (
          <li>
            <button type="button" onClick={onTake}>
              <b>{source.name}</b> <span>as it lies in the folder</span>
            </button>
          </li>
        )}
        {shown.map((commit) => (
          <li key={`${commit.kind} ${commit.name}`}>
            <button type="button" onClick={() => onChoose(commit)}>
              <b className="mono">{commit.name}</b> <small>{commit.kind}</small> <span>{commit.title}</span>{' '}
              <small>{timeWords(commit.at)}</small>
            </button>
          </li>
        ))}
      </ul>
      {commits.problems.length > 0 && (
        <p>
          What could not be read: {commits.problems.slice(0, 5).join('; ')}
          {commits.problems.length > 5 ? '; and more' : ''}.
        </p>
      )}
    </>
  );
}
