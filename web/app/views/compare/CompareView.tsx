import { counted } from '@liana/core';
import { type KeyboardEvent, useMemo, useRef, useEffect } from 'react';
import { Link, useFetcher, useNavigate } from 'react-router';
import type { VersionDetail, VersionsAnswer } from '../../analysis/answers';
import { getAnalyst } from '../../analysis/client';
import type { VersionForm } from '../../analysis/versions';
import type { Origin } from '../../storage/database';
import { ActMenu } from '../../parts/controls/ActMenu';
import { Choice, type Option } from '../../parts/controls/Choice';
import { Toggle } from '../../parts/controls/Toggle';
import { useTell } from '../../parts/Notices';
import { useUrlParams } from '../../parts/useUrlParams';
import { ChangeMark } from '../../theme/Glyph';
import { download, fileName } from '../carve/download';
import { AddVersion } from './AddVersion';
import { type CompareState, groupsOf, type Listed, noteOf, parseCompareState, withCompare } from './state';
import { VersionCard } from './VersionCard';
import { Ways } from './Ways';

type Props = {
  project: { readonly id: string; readonly name: string; readonly origin: Origin };
  /** Sides that can be chosen. */
  sides: readonly Option[];
  compared: VersionsAnswer | undefined;
  /** Why the two could not be compared. */
  wrong: string | undefined;
  chosen: VersionDetail | undefined;
};

const forms: readonly (readonly [VersionForm, string, string])[] = [
  ['markdown', 'Markdown, for a review', 'md'],
  ['json', 'JSON', 'json'],
  ['csv', 'CSV', 'csv'],
  ['sarif', 'SARIF of what breaks', 'sarif'],
];

const markOf = ({ holds, status }: Listed): 'breaks' | 'changed' | 'same' =>
  holds === false ? 'breaks' : status === 'changed' || status === 'new' || status === 'gone' ? 'changed' : 'same';

/** Two versions of a project: what no longer holds, what changed, and for each component both sides. */
export function CompareView({ project, sides, compared, wrong, chosen }: Props) {
  const [params, change] = useUrlParams();
  const navigate = useNavigate();
  const tell = useTell();
  const fetcher = useFetcher();
  const state = useMemo(() => parseCompareState(params), [params]);
  const groups = useMemo(() => (compared ? groupsOf(compared, state.untouched) : []), [compared, state.untouched]);
  const entries = useMemo(() => groups.flatMap((group) => group.entries), [groups]);
  const wordsOf = (side: string): string => sides.find(({ value }) => value === side)?.words ?? side;
  const set = (next: Readonly<Record<string, string | undefined>>): void =>
    change((before) => withCompare(before, next), { replace: true });
  const linkTo = (key: string): string => `?${withCompare(params, { component: key })}`;
  const step = (by: number): void => {
    const at = entries.findIndex(({ key }) => key === state.component);
    const next = entries[at < 0 ? 0 : at + by];
    if (next) void navigate(linkTo(next.key), { preventScrollReset: true });
  };
  const exportAs = async (form: VersionForm, ending: string): Promise<void> => {
    if (!state.before) return;
    const text = await getAnalyst().versionsExported(
      project.id,
      state.before,
      state.after,
      `${wordsOf(state.before)} and ${wordsOf(state.after)}`,
      form,
    );
    download(`${fileName(project.name)}-compared.${ending}`, [text], form === 'csv' ? 'text/csv' : 'text/plain');
  };
  const keep = (): void => {
    void fetcher.submit(
      { name: `kept ${new Date().toLocaleString('en', { dateStyle: 'medium', timeStyle: 'short' })}` },
      { method: 'post' },
    );
    tell('The project as it is now is kept, to be compared with later.');
  };
  const reading = /^reading:(\d+)$/.exec(state.before ?? '')?.[1];
  const remove =
    reading === undefined
      ? undefined
      : (): void => {
          void fetcher.submit({ remove: reading }, { method: 'post' }).then(() => set({ before: undefined, component: undefined }));
          tell(`${wordsOf(`reading:${reading}`)} is no longer kept.`);
        };
  if (state.adding)
    return (
      <AddVersion
        project={project}
        folder={project.origin.kind === 'folder' ? project.origin.handle : undefined}
        onAdded={(added) => void navigate(`?${withCompare(params, { add: undefined, before: `reading:${added}`, component: undefined })}`)}
        onLeave={() => set({ add: undefined })}
      />
    );
  return (
    <>
      <CompareControls
        state={state}
        sides={sides}
        summary={compared?.summary}
        onSet={set}
        onKeep={keep}
        onRemove={remove}
        onExport={(form, ending) => void exportAs(form, ending)}
      />
      {wrong !== undefined && (
        <div className="work-area" style={{ gridTemplateColumns: '1fr' }}>
          <section className="sheet empty">
            <h2>The two could not be compared</h2>
            <p>{wrong}</p>
          </section>
        </div>
      )}
      {!compared && wrong === undefined && <NoSide hasOther={sides.length > 1} addTo={`?${withCompare(params, { add: 'yes' })}`} />}
      {compared && (
        <div className="findings-area">
          <section className="sheet" aria-label="Components">
            <List groups={groups} chosen={state.component} linkTo={linkTo} onStep={step} />
          </section>
          {chosen ? (
            <VersionCard detail={chosen} before={wordsOf(state.before ?? '')} after={wordsOf(state.after)} />
          ) : (
            <Whole compared={compared} />
          )}
        </div>
      )}
    </>
  );
}

type ControlsProps = {
  state: CompareState;
  sides: readonly Option[];
  summary: string | undefined;
  onSet: (change: Readonly<Record<string, string | undefined>>) => void;
  onKeep: () => void;
  /** Absent where the earlier side is not a version that is kept. */
  onRemove: (() => void) | undefined;
  onExport: (form: VersionForm, ending: string) => void;
};

/** Which two are compared, what is listed, and what can be taken away from here. */
function CompareControls({ state, sides, summary, onSet, onKeep, onRemove, onExport }: ControlsProps) {
  return (
    <div className="controls">
      <span>Before</span>
      <Choice
        label="The earlier version"
        value={state.before ?? ''}
        options={sides}
        most={260}
        placeholder="choose a version"
        onChoose={(value) => onSet({ before: value, component: undefined })}
      />
      <span>After</span>
      <Choice
        label="The later version"
        value={state.after}
        options={sides}
        most={260}
        onChoose={(value) => onSet({ after: value, component: undefined })}
      />
      {summary !== undefined && (
        <Toggle isOn={state.untouched} onToggle={() => onSet({ untouched: state.untouched ? undefined : 'yes' })}>
          not touched
        </Toggle>
      )}
      <span className="findings-more">
        <ActMenu
          words="Versions"
          label="Versions to compare with"
          acts={[
            { words: 'Add a commit, a folder or an archive', run: () => onSet({ add: 'yes' }) },
            { words: 'Keep the project as it is now', run: onKeep },
            ...(onRemove ? [{ words: 'Take the earlier version away', run: onRemove }] : []),
          ]}
        />
        {summary !== undefined && (
          <ActMenu
            words="Export"
            label="Export the comparison"
            acts={forms.map(([form, words, ending]) => ({ words, run: () => onExport(form, ending) }))}
          />
        )}
      </span>
      {summary !== undefined && (
        <span className="controls-end" role="status">
          {summary}
        </span>
      )}
    </div>
  );
}

type ListProps = {
  groups: ReturnType<typeof groupsOf>;
  chosen: string | undefined;
  linkTo: (key: string) => string;
  onStep: (by: number) => void;
};

function List({ groups, chosen, linkTo, onStep }: ListProps) {
  const current = useRef<HTMLAnchorElement>(null);
  useEffect(() => {
    current.current?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  const onKeyDown = (event: KeyboardEvent): void => {
    const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (by === 0) return;
    event.preventDefault();
    onStep(by);
  };
  if (groups.length === 0) return <p className="empty-note">No component was touched.</p>;
  return (
    <div
      className="finding-list"
      tabIndex={0}
      role="listbox"
      aria-label="Components, what no longer holds first. Arrow keys go from one to the next."
      onKeyDown={onKeyDown}
    >
      {groups.map(({ title, entries }) => (
        <div key={title} role="group" aria-label={title}>
          <div className="finding-group" role="presentation">
            {title} <span className="count">{entries.length.toLocaleString('en')}</span>
          </div>
          {entries.map((one) => (
            <Link
              key={one.key}
              ref={one.key === chosen ? current : null}
              to={linkTo(one.key)}
              className="finding-item"
              role="option"
              aria-selected={one.key === chosen}
              aria-current={one.key === chosen}
              tabIndex={-1}
              preventScrollReset
            >
              <ChangeMark kind={markOf(one)} />
              <b>{one.name}</b>
              <span className="count">{noteOf(one)}</span>
              <span className="where">{one.file}</span>
            </Link>
          ))}
        </div>
      ))}
    </div>
  );
}

/** The comparison as a whole, while no component is chosen. */
function Whole({ compared }: { compared: VersionsAnswer }) {
  const { summary, breaks, ways, answers, newFindings, goneFindings } = compared;
  return (
    <section className="card detail" aria-label="The whole">
      <h2>The whole</h2>
      <p>{summary}</p>
      {breaks.length > 0 && (
        <>
          <h3>Broken now, and not before</h3>
          <ul className="plain-list">
            {breaks.map(({ key, says, file, line }) => (
              <li key={key}>
                {says} <small className="mono">{`${file}:${line}`}</small>
              </li>
            ))}
          </ul>
        </>
      )}
      <Ways ways={ways} />
      {answers.length > 0 && (
        <>
          <h3>Another answers</h3>
          <ul className="plain-list">
            {answers.map(({ component, place, key, before, after }) => (
              <li key={`${component} ${place} ${key}`}>
                <b className="mono">{key}</b> of {component}
                {place ? ` in ${place}` : ''}: {before ?? 'nobody'} before, {after ?? 'nobody'} now
              </li>
            ))}
          </ul>
        </>
      )}
      <p>
        {counted(newFindings, 'finding')} more than before, {counted(goneFindings, 'finding')} no longer there.
      </p>
    </section>
  );
}

function NoSide({ hasOther, addTo }: { hasOther: boolean; addTo: string }) {
  return (
    <div className="work-area" style={{ gridTemplateColumns: '1fr' }}>
      <section className="sheet empty">
        <h2>Compare with an earlier version</h2>
        <p>
          {hasOther
            ? 'Choose what stood before. Liana then tells what no longer holds, what changed for whom, and where values go now.'
            : 'There is nothing to compare with yet. Each time this project is read again, what stood before is kept. You can also open the other version as a project of its own.'}
        </p>
        <p>
          <Link to={addTo}>Add a commit, a folder or an archive</Link> to compare this project with.
        </p>
      </section>
    </div>
  );
}
