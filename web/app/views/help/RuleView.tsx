import { frameworkWords } from '../../parts/frameworks';
import type { RuleHelp } from '../../shipped/help.server';
import { SeverityMark, severityWords } from '../../theme/Glyph';

/** One rule: what it says, why that matters, and code with the fault and without it. */
export function RuleView({ rule: { id, title, severity, help } }: { rule: RuleHelp }) {
  const forms = [
    { of: '', ...help },
    ...Object.entries(help.forms ?? {}).map(([framework, form]) => ({ of: frameworkWords([framework]), ...form })),
  ];
  return (
    <>
      <h1>{title}</h1>
      <p className="help-kind">
        <SeverityMark severity={severity} /> {severityWords[severity].group} · <code>{id}</code>
      </p>
      <p>{help.what}</p>
      <p>{help.why}</p>
      {forms.map(({ of, fault, sound }) => (
        <section key={of} className="help-forms">
          <div>
            <h3>{of === '' ? 'The fault' : `The fault in ${of}`}</h3>
            <pre tabIndex={0}>{fault}</pre>
          </div>
          <div>
            <h3>{of === '' ? 'Sound' : `Sound in ${of}`}</h3>
            <pre tabIndex={0}>{sound}</pre>
          </div>
        </section>
      ))}
    </>
  );
}
