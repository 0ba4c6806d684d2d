import { counted, ruleTitle, severities, type Severity } from '@liana/core';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { SeverityMark } from '../../theme/Glyph';
import { choicesOf, type FindingsState, frameworkLabel, type Grouping, groupings, stateFilters, stateWords, type Told } from './state';

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
  const toggle = (severity: Severity): void => {
    const without = severities.filter((one) => state.without.has(one) !== (one === severity));
    onChange({ without: without.join('.') });
  };
  // Typing shows its result when it pauses; each letter would be a step of the browser's history.
  useEffect(() => {
    if (text === state.text) return;
    const timer = setTimeout(() => onChange({ text }), 150);
    return () => clearTimeout(timer);
  }, [text, state.text, onChange]);
  const rules = choicesOf(told, ({ finding }) => [finding.rule]);
  const frameworks = choicesOf(told, ({ finding }) => [finding.framework]);
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
            {counted(count, severity === 'tidy' ? 'thing' : severity)}
            {severity === 'tidy' ? ' to tidy' : ''}
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
      <select
        aria-label="Group by"
        className="chip"
        value={state.group}
        onChange={(event) => onChange({ group: event.currentTarget.value })}
      >
        {groupings.map((one) => (
          <option key={one} value={one}>
            By {groupWords[one].toLowerCase()}
          </option>
        ))}
      </select>
      <select
        aria-label="Decided"
        className="chip"
        value={state.state}
        onChange={(event) => onChange({ state: event.currentTarget.value })}
      >
        {stateFilters.map((one) => (
          <option key={one} value={one}>
            {stateWords[one]}
          </option>
        ))}
      </select>
      <select
        aria-label="Rule"
        className="chip narrow"
        value={state.rule}
        onChange={(event) => onChange({ rule: event.currentTarget.value })}
      >
        <option value="">All rules</option>
        {rules.map((one) => (
          <option key={one.value} value={one.value}>
            {ruleTitle(one.value)} ({one.count})
          </option>
        ))}
      </select>
      {frameworks.length > 1 && (
        <select
          aria-label="Framework"
          className="chip"
          value={state.framework}
          onChange={(event) => onChange({ framework: event.currentTarget.value })}
        >
          <option value="">All frameworks</option>
          {frameworks.map((one) => (
            <option key={one.value} value={one.value}>
              {frameworkLabel(one.value)} ({one.count})
            </option>
          ))}
        </select>
      )}
      {pages.length > 1 && (
        <select
          aria-label="Page"
          className="chip narrow"
          value={state.page}
          onChange={(event) => onChange({ on: event.currentTarget.value })}
        >
          <option value="">All pages</option>
          {pages.map((one) => (
            <option key={one.value} value={one.value}>
              {one.value} ({one.count})
            </option>
          ))}
        </select>
      )}
      <span className="findings-more">
        {gone > 0 && <span>{counted(gone, 'finding')} gone since the last reading.</span>}
        <select
          aria-label="Take the findings shown away as a file"
          className="chip narrow"
          value=""
          disabled={shown === 0}
          onChange={(event) => {
            const form = exportForms.find(([one]) => one === event.currentTarget.value)?.[0];
            if (form) onExport(form);
          }}
        >
          <option value="">Export {shown} …</option>
          {exportForms.map(([form, words]) => (
            <option key={form} value={form}>
              {words}
            </option>
          ))}
        </select>
        <Link to="/help" style={{ color: 'inherit' }}>
          What Liana finds
        </Link>
      </span>
    </div>
  );
}
