import { counted, ruleTitle, severities, type Severity } from '@liana/core';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { ActMenu } from '../../parts/controls/ActMenu';
import { Choice, type Option } from '../../parts/controls/Choice';
import { SearchField } from '../../parts/controls/SearchField';
import { Toggle } from '../../parts/controls/Toggle';
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

/** The text of the field of the search, which the URL follows with a pause and may set, too. */
function useTyped(said: string, onChange: Props['onChange']): [string, (text: string) => void] {
  const [text, setText] = useState(said);
  const [asked, setAsked] = useState(said);
  const [known, setKnown] = useState(said);
  // What the URL says of itself, and was not asked for here, is what the field says.
  if (said !== known) {
    setKnown(said);
    if (said !== asked) {
      setAsked(said);
      setText(said);
    }
  }
  // Typing shows its result when it pauses; each letter would be a step of the browser's history.
  useEffect(() => {
    if (text === asked) return;
    const timer = setTimeout(() => {
      setAsked(text);
      onChange({ text });
    }, 150);
    return () => clearTimeout(timer);
  }, [text, asked, onChange]);
  return [text, setText];
}

/** What the findings are of; a choice stands there where there is more than one. */
function Filters({ state, told, onChange }: Pick<Props, 'state' | 'told' | 'onChange'>) {
  const rules = choicesOf(told, ({ finding }) => [finding.rule]);
  const frameworks = choicesOf(told, ({ finding }) => [finding.framework]);
  const folders = choicesOf(told, ({ finding }) => foldersOf(finding.at.file)).sort((a, b) => a.value.localeCompare(b.value));
  const pages = choicesOf(told, ({ finding }) => finding.onPages);
  return (
    <>
      <Choice
        label="Rule"
        value={state.rule}
        most={112}
        options={withAll('All rules', rules, ruleTitle)}
        onChoose={(rule) => onChange({ rule })}
      />
      {frameworks.length > 1 && (
        <Choice
          label="Framework"
          value={state.framework}
          options={withAll('All frameworks', frameworks, frameworkLabel)}
          onChoose={(framework) => onChange({ framework })}
        />
      )}
      {folders.length > 1 && (
        <Choice
          label="Folder"
          value={state.folder}
          most={112}
          options={withAll('All folders', folders, (folder) => folder)}
          onChoose={(folder) => onChange({ in: folder })}
        />
      )}
      {pages.length > 1 && (
        <Choice
          label="Page"
          value={state.page}
          most={112}
          options={withAll('All pages', pages, (page) => page)}
          onChoose={(on) => onChange({ on })}
        />
      )}
    </>
  );
}

/** What is shown of the findings, in which order, and what can be taken away from here. */
export function FindingsControls({ state, told, fitting, shown, gone, onChange, onExport }: Props) {
  const [text, setText] = useTyped(state.text, onChange);
  const toggle = (severity: Severity): void => {
    const without = severities.filter((one) => state.without.has(one) !== (one === severity));
    onChange({ without: without.join('.') });
  };
  return (
    <div className="controls">
      {severities.map((severity) => {
        const count = fitting.filter(({ finding }) => finding.severity === severity).length;
        return (
          <Toggle key={severity} isOn={!state.without.has(severity)} onToggle={() => toggle(severity)}>
            <SeverityMark severity={severity} />
            {severity === 'tidy' ? `${count.toLocaleString('en')} to tidy` : counted(count, severity)}
          </Toggle>
        );
      })}
      <SearchField label="Find in findings" placeholder="Find in findings" value={text} width={140} onChange={setText} />
      <Choice
        label="Group by"
        value={state.group}
        options={groupings.map((one) => ({ value: one, words: `By ${groupWords[one].toLowerCase()}` }))}
        onChoose={(group) => onChange({ group })}
      />
      <Choice
        label="Decided"
        value={state.state}
        options={stateFilters.map((one) => ({ value: one, words: stateWords[one] }))}
        onChoose={(decided) => onChange({ state: decided })}
      />
      <Filters state={state} told={told} onChange={onChange} />
      <span className="findings-more">
        {gone > 0 && <span>{counted(gone, 'finding')} gone since the last reading.</span>}
        <ActMenu
          label="Take the findings shown away as a file"
          words={shown === 0 ? 'Export …' : `Export ${shown} …`}
          acts={exportForms.map(([form, words]) => ({
            words,
            isOff: shown === 0 && form !== 'settings' && form !== 'project',
            run: () => onExport(form),
          }))}
        />
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

/** What can be filtered by, each with how many findings it has, below the choice of all. */
function withAll(all: string, choices: ReturnType<typeof choicesOf>, words: (value: string) => string): Option[] {
  return [{ value: '', words: all }, ...choices.map(({ value, count }) => ({ value, words: `${words(value)} (${count})` }))];
}
