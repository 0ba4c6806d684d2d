import { counted, ruleTitle, severities, type Severity } from '@liana/core';
import { type ReactNode, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { SeverityMark } from '../../theme/Glyph';
import {
  choicesOf,
  type FindingsState,
  foldersOf,
  frameworkLabel,
  type Grouping,
  groupings,
  stateFilters,
  stateWords,
  type Told,
} from './state';

const groupWords: Readonly<Record<Grouping, string>> = {
  severity: 'How bad',
  rule: 'Rule',
  component: 'Component',
  file: 'File',
  page: 'Page',
};

export const exportForms = [
  ['sarif', 'SARIF'],
  ['csv', 'CSV'],
  ['markdown', 'Markdown'],
  ['json', 'JSON'],
  ['patch', 'Patch of all certain fixes'],
  ['settings', 'Settings for the shell command'],
  ['project', 'Project file, with what was decided'],
] as const;
export type ExportForm = (typeof exportForms)[number][0];

type Props = {
  state: FindingsState;
  told: readonly Told[];
  /** What fits the state, whatever its severity. */
  fitting: readonly Told[];
  shown: number;
  gone: number;
  onChange: (change: Readonly<Record<string, string | undefined>>) => void;
  onExport: (form: ExportForm) => void;
};

/** What is shown of the findings, in which order, and what can be taken away from here. */
export function FindingsControls({ state, told, fitting, shown, gone, onChange, onExport }: Props) {
  const [text, setText] = useState(state.text);
  const [asked, setAsked] = useState(state.text);
  const [known, setKnown] = useState(state.text);
  // What the URL says of itself, and was not asked for here, is what the field says.
  if (state.text !== known) {
    setKnown(state.text);
    if (state.text !== asked) {
      setAsked(state.text);
      setText(state.text);
    }
  }
  const toggle = (severity: Severity): void => {
    const without = severities.filter((one) => state.without.has(one) !== (one === severity));
    onChange({ without: without.join('.') });
  };
  // Typing shows its result when it pauses; each letter would be a step of the browser's history.
  useEffect(() => {
    if (text === asked) return;
    const timer = setTimeout(() => {
      setAsked(text);
      onChange({ text });
    }, 150);
    return () => clearTimeout(timer);
  }, [text, asked, onChange]);
  const rules = choicesOf(told, ({ finding }) => [finding.rule]);
  const frameworks = choicesOf(told, ({ finding }) => [finding.framework]);
  const folders = choicesOf(told, ({ finding }) => foldersOf(finding.at.file)).sort((a, b) => a.value.localeCompare(b.value));
  const pages = choicesOf(told, ({ finding }) => finding.onPages);

  return (
    <div className="controls">
      {severities.map((severity) => {
        const count = fitting.filter(({ finding }) => finding.severity === severity).length;
        return (
          <button
            key={severity}
            type="button"
            className="chip"
            aria-pressed={!state.without.has(severity)}
            onClick={() => toggle(severity)}
          >
            <SeverityMark severity={severity} />
            {severity === 'tidy' ? `${count.toLocaleString('en')} to tidy` : counted(count, severity)}
          </button>
        );
      })}
      <input
        className="chip find-in-findings"
        type="search"
        placeholder="Find in findings"
        aria-label="Find in findings"
        value={text}
        onChange={(event) => setText(event.currentTarget.value)}
      />
      <Choice label="Group by" value={state.group} onChoose={(group) => onChange({ group })}>
        {groupings.map((one) => (
          <option key={one} value={one}>
            By {groupWords[one].toLowerCase()}
          </option>
        ))}
      </Choice>
      <Choice label="Decided" value={state.state} onChoose={(decided) => onChange({ state: decided })}>
        {stateFilters.map((one) => (
          <option key={one} value={one}>
            {stateWords[one]}
          </option>
        ))}
      </Choice>
      <Choice label="Rule" value={state.rule} onChoose={(rule) => onChange({ rule })} narrow>
        <option value="">All rules</option>
        <Counted choices={rules} words={ruleTitle} />
      </Choice>
      {frameworks.length > 1 && (
        <Choice label="Framework" value={state.framework} onChoose={(framework) => onChange({ framework })}>
          <option value="">All frameworks</option>
          <Counted choices={frameworks} words={frameworkLabel} />
        </Choice>
      )}
      {folders.length > 1 && (
        <Choice label="Folder" value={state.folder} onChoose={(folder) => onChange({ in: folder })} narrow>
          <option value="">All folders</option>
          <Counted choices={folders} words={(folder) => folder} />
        </Choice>
      )}
      {pages.length > 1 && (
        <Choice label="Page" value={state.page} onChoose={(on) => onChange({ on })} narrow>
          <option value="">All pages</option>
          <Counted choices={pages} words={(page) => page} />
        </Choice>
      )}
      <span className="findings-more">
        {gone > 0 && <span>{counted(gone, 'finding')} gone since the last reading.</span>}
        <Choice
          label="Take the findings shown away as a file"
          value=""
          narrow
          onChoose={(value) => {
            const form = exportForms.find(([one]) => one === value)?.[0];
            if (form) onExport(form);
          }}
        >
          <option value="">{shown === 0 ? 'Export …' : `Export ${shown} …`}</option>
          {exportForms.map(([form, words]) => (
            <option key={form} value={form} disabled={shown === 0 && form !== 'settings' && form !== 'project'}>
              {words}
            </option>
          ))}
        </Choice>
        <Link to="../overlap" relative="path" style={{ color: 'inherit' }}>
          By likeness
        </Link>
        <Link to="/help" style={{ color: 'inherit' }}>
          All rules
        </Link>
      </span>
    </div>
  );
}

type ChoiceProps = {
  label: string;
  value: string;
  narrow?: boolean;
  onChoose: (value: string) => void;
  children: ReactNode;
};

function Choice({ label, value, narrow = false, onChoose, children }: ChoiceProps) {
  return (
    <select
      aria-label={label}
      className={narrow ? 'chip narrow' : 'chip'}
      value={value}
      onChange={(event) => onChoose(event.currentTarget.value)}
    >
      {children}
    </select>
  );
}

/** What can be filtered by, each with how many findings it has. */
function Counted({ choices, words }: { choices: ReturnType<typeof choicesOf>; words: (value: string) => string }) {
  return choices.map(({ value, count }) => (
    <option key={value} value={value}>
      {words(value)} ({count})
    </option>
  ));
}
