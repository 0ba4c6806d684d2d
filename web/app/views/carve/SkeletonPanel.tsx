import type { SkeletonFile } from '@liana/core';
import Button from '@mui/material/Button';
import { wholeFile } from '../../analysis/excerpt';
import { Code } from '../../parts/Code';
import { Choice } from '../../parts/controls/Choice';
import { frameworkWords } from '../../parts/frameworks';

type Props = {
  files: readonly SkeletonFile[];
  file: string | undefined;
  framework: string;
  frameworks: readonly string[];
  warning: string | undefined;
  onFramework: (framework: string) => void;
  onFile: (file: string) => void;
  onDownload: () => void;
};

/** The plan as code to start from: each file can be read before it is taken. */
export function SkeletonPanel({ files, file, framework, frameworks, warning, onFramework, onFile, onDownload }: Props) {
  const parts = files.filter((one) => /src\/(pages|parts)\//.test(one.file));
  const shown = files.find((one) => one.file === file) ?? parts[0] ?? files[0];
  if (parts.length === 0)
    return (
      <>
        <h2>Skeleton</h2>
        <p>Mark parts on a page first; then the code to start from is here.</p>
      </>
    );
  return (
    <>
      <h2>Skeleton</h2>
      {warning && <p className="warn tidy">{warning}</p>}
      <p className="row-of-controls">
        <span>Written in</span>
        <Choice
          label="Framework"
          value={framework}
          options={frameworks.map((one) => ({ value: one, words: frameworkWords([one]) }))}
          onChoose={onFramework}
        />
      </p>
      <p className="row-of-controls">
        <span>File</span>
        <Choice
          label="File"
          value={shown?.file ?? ''}
          most={240}
          options={files.map((one) => ({ value: one.file, words: one.file }))}
          onChoose={onFile}
        />
        <Button size="small" variant="contained" onClick={onDownload}>
          Download {files.length} files
        </Button>
      </p>
      {shown && <Code key={shown.file} excerpt={wholeFile(shown.file, shown.text)} caption={frameworkWords([framework])} />}
    </>
  );
}
