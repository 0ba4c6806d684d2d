import {
  elementAt,
  likeness,
  type PageTree,
  type PartId,
  type Plan,
  type Region,
  shapeOf,
  type SheetId,
  skeletonOf,
  skeletonWriters,
} from '@liana/core';
import { useMemo } from 'react';
import { Toggle } from '../../parts/controls/Toggle';
import { download, fileName, skeletonArchive } from './download';
import { MatchPanel } from './MatchPanel';
import { PartPanel } from './PartPanel';
import { SkeletonPanel } from './SkeletonPanel';
import { panels, panelWords } from './state';
import { StrandsPanel } from './StrandsPanel';
import { SuggestedPanel } from './SuggestedPanel';
import type { Carving } from './useCarving';
import { ValuesPanel } from './ValuesPanel';

/** What is shown of the plan beside the page: a part, the values, what is suggested, the strands, the skeleton, the code it meets. */
export function CarvePanel({ carving }: { carving: Carving }) {
  const { state, go } = carving;
  return (
    <section className="card" aria-label={panelWords[state.show]}>
      <nav className="panel-choice" aria-label="Plan">
        {panels.map((one) => (
          <Toggle key={one} isOn={state.show === one} onToggle={() => go({ show: one })}>
            {panelWords[one]}
          </Toggle>
        ))}
      </nav>
      <Panel carving={carving} />
    </section>
  );
}

function Panel({ carving }: { carving: Carving }) {
  const { state, editor, plan, tree, sheet, shown, looks, boxes, part, go, choosePart } = carving;
  const { edit } = editor;
  switch (state.show) {
    case 'part':
      return part ? (
        <PartPanel key={part.id} plan={plan} tree={tree} part={part} onEdit={edit} onPart={(id) => go({ part: id })} />
      ) : (
        <p>Choose a part on the page or in the tree.</p>
      );
    case 'values':
      return <Values carving={carving} />;
    case 'suggested':
      return <SuggestedPanel plan={plan} sheet={sheet} shown={shown} looks={looks} boxes={boxes} onEdit={edit} />;
    case 'strands':
      return <StrandsPanel plan={plan} tree={tree} chosen={part?.id} onPart={choosePart} />;
    case 'skeleton':
    case 'code':
      return <Code carving={carving} />;
  }
}

function Values({ carving: { editor, plan, tree, shown, sheet } }: { carving: Carving }) {
  const page = shown.kind === 'html' ? shown.page : undefined;
  const looksLike = useMemo(() => likenessIn(plan, page, sheet?.id), [plan, page, sheet?.id]);
  return <ValuesPanel plan={plan} tree={tree} looksLike={looksLike} onEdit={editor.edit} />;
}

/** What is written of a plan: its skeleton in a framework, or the code of the project that it meets. */
function Code({ carving: { project, state, editor, plan, pages, looks, go, choosePart } }: { carving: Carving }) {
  const skeleton = useMemo(() => skeletonOf(plan, pages.trees, pages.sheetText), [plan, pages]);
  const known = (name: string | undefined): boolean => skeletonWriters.some((one) => one.framework === name);
  const framework = (known(state.framework) ? state.framework : project.frameworks?.find(known)) ?? 'react';
  const files = useMemo(() => skeletonWriters.find((one) => one.framework === framework)?.write(skeleton) ?? [], [skeleton, framework]);
  if (state.show === 'code')
    return (
      <MatchPanel
        projectId={project.id}
        hasSource={project.files > 0}
        skeleton={skeleton}
        plan={plan}
        onPlan={editor.edit}
        onPart={(name) => {
          const found = plan.parts.find((one) => one.name === name);
          if (found) choosePart(found.id);
        }}
      />
    );
  const save = (): void => {
    const pictures = skeleton.pictures.flatMap((address) => looks.filter((look) => look.file.endsWith(address.replace(/^\.?\//, ''))));
    download(`${fileName(plan.name)}-skeleton.zip`, [skeletonArchive(files, pictures)], 'application/zip');
  };
  return (
    <SkeletonPanel
      files={files}
      file={state.file}
      framework={framework}
      frameworks={skeletonWriters.map((one) => one.framework)}
      onFramework={(next) => go({ framework: next, file: undefined })}
      warning={pages.isLoading ? 'The pages are still being read.' : undefined}
      onFile={(file) => go({ file })}
      onDownload={save}
    />
  );
}

/** How alike the elements of two parts are, where both stand on the page that is shown. */
function likenessIn(
  plan: Plan,
  page: PageTree | undefined,
  sheet: SheetId | undefined,
): (one: PartId, other: PartId) => number | undefined {
  const at = (part: PartId): number => {
    const region = plan.regions.find((one: Region) => one.part === part && one.sheet === sheet && one.selector !== '');
    return page && region ? elementAt(page, region.selector) : -1;
  };
  return (one, other) => {
    const [left, right] = [at(one), at(other)];
    if (!page || left < 0 || right < 0) return undefined;
    return page.nodes[left]?.label === page.nodes[right]?.label ? likeness(shapeOf(page, left), shapeOf(page, right)) : 0;
  };
}
