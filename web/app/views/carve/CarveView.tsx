import { removeSheet, type Sheet, messageOf } from '@liana/core';
import { type KeyboardEvent, type RefObject, useState } from 'react';
import { useTell } from '../../parts/Notices';
import type { Project, StoredAside, StoredLook } from '../../storage/database';
import { type KeptPlan, removeAside, restoreAside, storedDocument } from '../../storage/plans';
import { CarveControls } from './CarveControls';
import { CarvePanel } from './CarvePanel';
import { dataAddress, download, fileName } from './download';
import { exportPlan, type ExportKind } from './exports';
import { NoPages } from './NoPages';
import { PartsTree } from './PartsTree';
import { PlanNotices } from './PlanNotices';
import { Stage } from './Stage';
import { StageHelp } from './StageHelp';
import type { CarveState } from './state';
import { useBringing } from './useBringing';
import { useCarving } from './useCarving';
import { useMarking } from './useMarking';
import type { PlanEditor } from './usePlan';

type Props = {
  project: Project;
  first: KeptPlan;
  wrong: string | undefined;
  looks: readonly StoredLook[];
  aside: readonly StoredAside[];
  state: CarveState;
};

/** The browser's own choice of files, for pages. */
function PagesInput({ pick, onPages }: { pick: RefObject<HTMLInputElement | null>; onPages: (given: File[]) => void }) {
  return (
    <input
      ref={pick}
      type="file"
      hidden
      multiple
      aria-label="Pages"
      accept=".png,.jpg,.jpeg,.webp,.avif,.html,.htm,.css,.zip,image/*"
      onChange={(event) => {
        const given = [...(event.target.files ?? [])];
        event.target.value = '';
        if (given.length > 0) onPages(given);
      }}
    />
  );
}

type StageProps = {
  carving: ReturnType<typeof useCarving>;
  marking: ReturnType<typeof useMarking>;
  sheet: Sheet;
  zoom: number | undefined;
  onZoom: (zoom: number | undefined) => void;
};

/** The page that is carved; a plan made from code has none to show. */
function SheetStage({ carving, marking, sheet, zoom, onZoom }: StageProps) {
  if (sheet.file === '')
    return (
      <section className="sheet stage-words">
        <p>This plan was made from code; its page was never seen. Add a picture or a saved page to mark it.</p>
      </section>
    );
  return (
    <Stage
      plan={carving.plan}
      sheet={sheet}
      shown={carving.shown}
      chosen={carving.chosen}
      zoom={zoom}
      onZoom={onZoom}
      onChoose={carving.chooseRegion}
      onDraw={marking.draw}
      onMarkAt={marking.pointAt}
      onPut={marking.put}
      onMeasured={marking.onMeasured}
      onKeyDown={marking.onKeyDown}
      help={<StageHelp />}
    />
  );
}

/** A page carved into parts: the page with its marks, the plan, and what follows from it. */
export function CarveView({ project, first, wrong, looks: keptLooks, aside, state }: Props) {
  const [zoom, setZoom] = useState<number>();
  const carving = useCarving(project, first, keptLooks, state);
  const marking = useMarking(carving, zoom, setZoom);
  const { isBringing, pick, bring, ask, onDrop } = useBringing(carving);
  const { editor, plan, tree, sheet, shown, part, region, looks, setSays, go } = carving;
  const { past, future, edit, undo, redo } = editor;
  const { acts } = marking;
  const tell = useTell();

  const onHistoryKey = (event: KeyboardEvent): void => {
    const isField = /^(INPUT|TEXTAREA|SELECT)$/.test((event.target as HTMLElement).tagName);
    if (!(event.ctrlKey || event.metaKey) || isField) return;
    const key = event.key.toLowerCase();
    if (key === 'z' && !event.shiftKey) undo();
    else if (key === 'y' || (key === 'z' && event.shiftKey)) redo();
    else return;
    event.preventDefault();
  };
  const saveAs = (kind: ExportKind): void => {
    exportPlan(kind, project.id, plan, sheet, looks, shown.kind === 'picture' ? addressOf(looks, sheet?.file) : undefined).catch(
      (error: unknown) => tell(messageOf(error)),
    );
  };
  const takeOut = (): void => {
    if (!sheet) return;
    edit(removeSheet(plan, sheet.id));
    go({ sheet: undefined, region: undefined, part: undefined });
    setSays('The page was taken out. Ctrl and Z brings it back.');
  };

  return (
    <div className="carve" onKeyDown={onHistoryKey} onDrop={onDrop} onDragOver={(event) => event.preventDefault()}>
      <PagesInput pick={pick} onPages={(given) => void bring(given)} />
      <Notices project={project} editor={editor} wrong={wrong} aside={aside} onExportPlan={() => saveAs('project')} />
      <CarveControls
        plan={plan}
        tree={tree}
        sheet={sheet}
        isBusy={isBringing || marking.isSeeking}
        canUndo={past.length > 0}
        canRedo={future.length > 0}
        hasChoice={region !== undefined}
        says={carving.says}
        onSheet={(id) => go({ sheet: id, region: undefined })}
        onBring={ask}
        onRemove={takeOut}
        onRepeats={() => void marking.findRepeats()}
        onSuggest={() => go({ show: 'suggested' })}
        onSplit={marking.split}
        onWrap={() => acts['w']?.()}
        onLift={() => acts['l']?.()}
        onLower={() => acts['o']?.()}
        onDelete={() => acts['Delete']?.()}
        onUndo={undo}
        onRedo={redo}
        onSave={saveAs}
        onWidth={(width) => sheet && edit({ ...plan, sheets: plan.sheets.map((one) => (one.id === sheet.id ? { ...one, width } : one)) })}
      />
      {sheet ? (
        <div className="carve-area">
          <SheetStage carving={carving} marking={marking} sheet={sheet} zoom={zoom} onZoom={setZoom} />
          <div className="carve-side">
            <PartsTree plan={plan} tree={tree} chosen={part?.id} onChoose={(node) => carving.choosePart(node.part)} />
            <CarvePanel carving={carving} />
          </div>
        </div>
      ) : (
        <NoPages
          project={project}
          isBusy={isBringing}
          onBring={() => ask('new')}
          onFiles={(given) => void bring(given)}
          onPlan={async (made, brought) => {
            await editor.bring(brought, made);
            carving.setLooks(brought.map((look) => ({ ...look, projectId: project.id })));
          }}
        />
      )}
    </div>
  );
}

type NoticesProps = Pick<Props, 'project' | 'wrong' | 'aside'> & {
  editor: PlanEditor;
  onExportPlan: () => void;
};

/** What is said of the stored plan, and of what was set aside of it. */
function Notices({ project, editor, wrong, aside, onExportPlan }: NoticesProps) {
  const [setAside, setSetAside] = useState(aside);
  const tell = useTell();
  const saveDocument = (document: unknown): void =>
    download(`${fileName(project.name)}-plan.json`, [`${JSON.stringify(document, undefined, 2)}\n`], 'application/json');
  const throwAway = (one: StoredAside): void => {
    if (one.id === undefined) return;
    void removeAside(one.id);
    setSetAside(setAside.filter((other) => other.id !== one.id));
    tell('What was set aside is gone.', {
      label: 'Undo',
      run: () => void restoreAside(one).then(() => setSetAside((now) => [...now, one])),
    });
  };
  return (
    <PlanNotices
      editor={editor}
      unread={editor.past.length === 0 ? wrong : undefined}
      aside={setAside}
      onExportPlan={onExportPlan}
      onExportStored={() => void storedDocument(project.id).then((stored) => saveDocument(stored))}
      onExportAside={(one) => saveDocument(one.document)}
      onRemoveAside={throwAway}
    />
  );
}

function addressOf(looks: readonly StoredLook[], file: string | undefined): string | undefined {
  const look = looks.find((one) => one.file === file);
  return look && dataAddress(look.bytes, look.type);
}
