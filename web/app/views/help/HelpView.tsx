import { counted, ruleFamilies, severities, type Severity } from '@liana/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { SearchField } from '../../parts/controls/SearchField';
import { Toggle } from '../../parts/controls/Toggle';
import { useUrlParams } from '../../parts/useUrlParams';
import type { RuleHelp } from '../../shipped/help.server';
import { SeverityMark, severityWords } from '../../theme/Glyph';
import { familyWords, rulesNamed } from './families';

/** All rules, by what they are about, to be searched and narrowed to how bad they are. */
export function HelpView({ rules }: { rules: readonly RuleHelp[] }) {
  const [params, change] = useUrlParams();
  const [text, setText] = useState(params.get('find') ?? '');
  const severity = severities.find((one) => one === params.get('severity'));
  const shown = rulesNamed(rules, text, severity);
  const set = (name: 'find' | 'severity', value: string | undefined): void =>
    change(
      (before) => {
        const next = new URLSearchParams(before);
        if (value) next.set(name, value);
        else next.delete(name);
        return next;
      },
      { replace: true },
    );
  const find = (asked: string): void => {
    setText(asked);
    set('find', asked);
  };
  const choose = (one: Severity): void => set('severity', severity === one ? undefined : one);
  return (
    <>
      <h1>What Liana finds</h1>
      <div className="help-tools">
        <SearchField label="Find a rule" placeholder="Find a rule" value={text} width={170} onChange={find} />
        {severities.map((one) => (
          <Toggle key={one} isOn={severity === one} onToggle={() => choose(one)}>
            <SeverityMark severity={one} />
            {severityWords[one].group}
          </Toggle>
        ))}
        <span role="status">{counted(shown.length, 'rule')}</span>
      </div>
      {shown.length === 0 && <p>No rule has these words. Fewer of them, or another, may find it.</p>}
      {ruleFamilies.map((family) => {
        const own = shown.filter((rule) => rule.family === family);
        return own.length === 0 ? null : (
          <section key={family} aria-label={familyWords[family]}>
            <h2>{familyWords[family]}</h2>
            <ul className="help-rules">
              {own.map((rule) => (
                <li key={rule.id} id={rule.id}>
                  <SeverityMark severity={rule.severity} />
                  <div>
                    <Link to={`/help/${rule.id}`}>{rule.title}</Link> <code>{rule.id}</code>
                    <p>{rule.help.what}</p>
                  </div>
                </li>
              ))}
            </ul>
          </section>
        );
      })}
    </>
  );
}
