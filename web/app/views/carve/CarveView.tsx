import {
  agreement,
  type Box,
  elementAt,
  homeOf,
  lowerRegion,
  liftRegion,
  likeness,
  markPart,
  moveRegions,
  nest,
  type PageTree,
  type PartId,
  partOf,
  type Plan,
  planTree,
  plural,
  type Region,
  type RegionId,
  removeRegions,
  removeSheet,
  shapeOf,
  type SheetId,
  singular,
  skeletonOf,
  skeletonWriters,
  splitRegion,
  tidy,
  wrapRegions,
  withProposedProps,
} from '@liana/core';
import { type DragEvent, type KeyboardEvent, useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { bringPages } from '../../carving/bring';
import { Toggle } from '../../parts/controls/Toggle';
import { useTell } from '../../parts/Notices';
import { useUrlParams } from '../../parts/useUrlParams';
import type { Project, StoredAside, StoredLook } from '../../storage/database';
import { type KeptPlan, removeAside, restoreAside, storedDocument } from '../../storage/plans';
import { CarveControls } from './CarveControls';
import { dataAddress, download, fileName, skeletonArchive } from './download';
import { exportPlan, type ExportKind } from './exports';
import { MatchPanel } from './MatchPanel';
import { NoPages } from './NoPages';
import { PartPanel } from './PartPanel';
import { PartsTree } from './PartsTree';
import { PlanNotices } from './PlanNotices';
import { hold, markAt, nextMark, piecesOf } from './pointing';
import { SkeletonPanel } from './SkeletonPanel';
import { markRepeats } from './repeats';
import { Stage } from './Stage';
import { StageHelp } from './StageHelp';
import { type CarveState, panels, panelWords, withCarveState } from './state';
import { StrandsPanel } from './StrandsPanel';
import { SuggestedPanel } from './SuggestedPanel';
import { usePages } from './usePages';
import { usePlan } from './usePlan';
import { type ElementBoxes, useSheet } from './useSheet';
import { ValuesPanel } from './ValuesPanel';

type Props = {
  project: Project;
  first: KeptPlan;
  wrong: string | undefined;
  looks: readonly StoredLook[];
  aside: readonly StoredAside[];
  state: CarveState;
};

const noBoxes: ElementBoxes = new Map();

/** A page carved into parts: the page with its marks, the plan, and what follows from it. */
export function CarveView({ project, first, wrong, looks: kept, aside, state }: Props) {
  const editor = usePlan(project, first);
  const { plan, past, future, edit, undo, redo } = editor;
  const [looks, setLooks] = useState(kept);
  const [setAside, setSetAside] = useState(aside);
  const [, change] = useUrlParams();
  const [zoom, setZoom] = useState<number>();
  const [measured, setMeasured] = useState<{ file: string; boxes: ElementBoxes }>({ file: '', boxes: noBoxes });
  const [says, setSays] = useState('');
  const [more, setMore] = useState<ReadonlySet<RegionId>>(new Set());
  const [isBusy, setIsBusy] = useState(false);
  const tell = useTell();
  const pick = useRef<HTMLInputElement>(null);
  const instead = useRef<SheetId>(undefined);
  const lookOf = useRef<string>(undefined);

  const sheet = plan.sheets.find((one) => one.id === state.sheet) ?? plan.sheets[0];
  const shown = useSheet(sheet, looks);
  const boxes = measured.file === sheet?.file ? measured.boxes : noBoxes;
  const tree = useMemo(() => planTree(plan), [plan]);
  const part = plan.parts.find((one) => one.id === state.part);
  const region = plan.regions.find((one) => one.id === state.region);
  const pages = usePages(plan, looks, state.show === 'skeleton' || state.show === 'code');
  const chosen = useMemo(() => new Set([...(region ? [region.id] : []), ...more]), [region, more]);

  const wantsCode = state.show === 'skeleton' || state.show === 'code';
  const skeleton = useMemo(() => (wantsCode ? skeletonOf(plan, pages.trees, pages.sheetText) : undefined), [plan, pages, wantsCode]);
  const known = (name: string | undefined): boolean => skeletonWriters.some((one) => one.framework === name);
  const framework = known(state.framework) ? state.framework : (project.frameworks?.find(known) ?? 'react');
  const files = useMemo(
    () => (skeleton ? (skeletonWriters.find((one) => one.framework === framework)?.write(skeleton) ?? []) : []),
    [skeleton, framework],
  );

  const go = (next: Partial<Record<keyof CarveState, string | undefined>>, replace = true): void =>
    change((before) => withCarveState(before, next), { replace });
  const chooseRegion = (id: RegionId | undefined, adds = false): void => {
    if (adds && id) {
      setMore(new Set([...more, id]));
      return;
    }
    setMore(new Set());
    const next = plan.regions.find((one) => one.id === id);
    go({
      region: id,
      part: next?.part,
      ...(next ? { show: state.show === 'values' || state.show === 'suggested' ? 'part' : state.show } : {}),
    });
  };
  const choosePart = (id: PartId): void => {
    const at = plan.regions.find((one) => one.part === id && one.sheet === sheet?.id) ?? plan.regions.find((one) => one.part === id);
    const page = plan.sheets.find((one) => one.page === id);
    setMore(new Set());
    go({ part: id, region: at?.id, sheet: (at?.sheet ?? page?.id ?? sheet?.id) || undefined, show: 'part' });
  };

  // After a merge an id may be that of another part: nothing stays chosen.
  const onMerge = useEffectEvent(() => go({ region: undefined, part: undefined }));
  useEffect(() => {
    if (editor.merges > 0) onMerge();
  }, [editor.merges]);

  const mark = (made: { plan: Plan; part: PartId; regions: readonly RegionId[] } | undefined, words: string): void => {
    if (!made) return;
    edit(made.plan);
    setMore(new Set());
    go({ part: made.part, region: made.regions[0], show: 'part' });
    setSays(words);
  };
  const draw = (box: Box): void => {
    if (sheet) mark(markPart(plan, sheet.id, '', [hold(box, shown, boxes)]), 'Marked. Enter gives it a name.');
  };
  const put = (id: RegionId, box: Box): void => {
    const held = hold(box, shown, boxes);
    const moved = moveRegions(plan, new Map([[id, held.box]]));
    edit(
      held.selector === undefined
        ? moved
        : { ...moved, regions: moved.regions.map((one) => (one.id === id ? { ...one, selector: held.selector ?? '' } : one)) },
    );
  };

  const bring = async (given: readonly File[]): Promise<void> => {
    setIsBusy(true);
    try {
      const target = instead.current;
      const brought = await bringPages(plan, given, new Set(looks.map((look) => look.file)), {
        ...(target ? { instead: target } : {}),
        ...(lookOf.current ? { page: lookOf.current } : {}),
      });
      await editor.bring(brought.looks, brought.plan);
      setLooks([
        ...looks.filter((look) => !brought.looks.some((one) => one.file === look.file)),
        ...brought.looks.map((look) => ({ ...look, projectId: project.id })),
      ]);
      go({ sheet: brought.sheet, part: undefined, region: undefined });
    } catch (error) {
      tell(error instanceof Error ? error.message : String(error));
    } finally {
      instead.current = undefined;
      lookOf.current = undefined;
      setIsBusy(false);
    }
  };
  // A paste is sent to whatever has the focus, and that may be nothing in this view.
  const onPaste = useEffectEvent((event: ClipboardEvent) => {
    const given = [...(event.clipboardData?.files ?? [])];
    if (given.length > 0) void bring(given);
  });
  useEffect(() => {
    document.addEventListener('paste', onPaste);
    return () => document.removeEventListener('paste', onPaste);
  }, []);
  const ask = (how: 'new' | 'replace' | 'look'): void => {
    instead.current = how === 'replace' ? sheet?.id : undefined;
    lookOf.current = how === 'look' && sheet ? partOf(plan, sheet.page)?.name : undefined;
    pick.current?.click();
  };

  const findRepeats = async (): Promise<void> => {
    if (!region || !sheet) return setSays('Choose a mark first.');
    setIsBusy(true);
    try {
      const { plan: next, found } = await markRepeats({ plan, region, sheet, shown, boxes, pages: pages.trees, looks });
      const part = partOf(next, region.part);
      const props = part?.props.length ?? 0;
      if (found > 0) edit(next);
      setSays(
        found === 0
          ? `Nothing else is like ${part?.name ?? 'it'}.`
          : `${found} more like ${part?.name ?? 'it'} marked${props > 0 ? `; what varies became ${props} props` : ''}.`,
      );
    } catch (error) {
      tell(error instanceof Error ? error.message : String(error));
    } finally {
      setIsBusy(false);
    }
  };

  const split = (across: 'rows' | 'columns'): void => {
    if (!region) return setSays('Choose a mark first.');
    const pieces = piecesOf(region.box, across, shown, boxes, (page) => elementAt(page, region.selector));
    const name = partOf(plan, region.part)?.name ?? '';
    const item = singular(name) === name ? '' : singular(name);
    const made = splitRegion(plan, region.id, pieces, item);
    if (!made) return setSays(`No gutter was found to cut ${name} into ${across}.`);
    const page = shown.kind === 'html' ? shown.page : undefined;
    mark(
      page && sheet ? { ...made, plan: withProposedProps(made.plan, made.part, sheet.id, page) } : made,
      `Cut into ${pieces.length} ${across}.`,
    );
  };

  const nudge = (event: KeyboardEvent, box: Box): Box => {
    const step = event.shiftKey ? 10 : 1;
    const dx = event.key === 'ArrowRight' ? step : event.key === 'ArrowLeft' ? -step : 0;
    const dy = event.key === 'ArrowDown' ? step : event.key === 'ArrowUp' ? -step : 0;
    return event.altKey
      ? tidy({ ...box, width: Math.max(4, box.width + dx), height: Math.max(4, box.height + dy) })
      : tidy({ ...box, x: Math.max(0, box.x + dx), y: Math.max(0, box.y + dy) });
  };

  const acts: Readonly<Record<string, () => void>> = {
    n: () => {
      if (!sheet) return;
      const within = region?.box ?? { x: 0, y: 0, width: sheet.width, height: sheet.height };
      const marked = plan.regions.filter((one) => one.sheet === sheet.id).map((one) => one.box);
      const next = nextMark(within, shown, boxes, marked);
      if (next) mark(markPart(plan, sheet.id, '', [next]), 'Marked. Enter gives it a name.');
      else setSays('Nothing is left to mark in here.');
    },
    r: () => void findRepeats(),
    s: () => split('rows'),
    c: () => split('columns'),
    w: () => {
      if (chosen.size === 0) return setSays('Choose marks to wrap first; Shift and click adds one.');
      const name = partOf(plan, region?.part ?? ('' as PartId))?.name ?? '';
      mark(
        wrapRegions(plan, [...chosen], chosen.size > 1 && name !== '' ? `${plural(name)}List`.replace(/sList$/, 'List') : ''),
        'Wrapped.',
      );
    },
    l: () => {
      if (!region) return;
      const lifted = liftRegion(plan, region.id);
      edit(lifted);
      setSays(lifted === plan ? 'It is right on the page already.' : 'Lifted out of what is around it.');
    },
    o: () => {
      if (!region) return;
      const lowered = lowerRegion(plan, region.id);
      edit(lowered);
      setSays(lowered === plan ? 'Nothing beside it lies beneath it.' : 'Lowered into what it lies on.');
    },
    Delete: () => {
      if (chosen.size === 0) return;
      const around = region && nest(plan).get(region.id);
      edit(removeRegions(plan, [...chosen]));
      setMore(new Set());
      go({ region: around ?? undefined, part: plan.regions.find((one) => one.id === around)?.part });
      setSays('Deleted. Ctrl and Z brings it back.');
    },
    Enter: () => {
      go({ show: 'part' });
      focusSoon('part-name');
    },
    Escape: () => chooseRegion(undefined),
    '+': () => setZoom((zoom ?? 0.5) * 1.25),
    '-': () => setZoom((zoom ?? 0.5) / 1.25),
    '0': () => setZoom(undefined),
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    if (event.ctrlKey || event.metaKey) return;
    if (event.key.startsWith('Arrow') && region) edit(moveRegions(plan, new Map([[region.id, nudge(event, region.box)]])));
    else if (event.key.startsWith('Arrow')) return;
    else {
      const act = acts[event.key === 'Backspace' ? 'Delete' : event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!act || ((event.target as HTMLElement).tagName === 'BUTTON' && event.key === 'Enter')) return;
      act();
    }
    event.preventDefault();
  };
  const onHistoryKey = (event: KeyboardEvent): void => {
    const isField = /^(INPUT|TEXTAREA|SELECT)$/.test((event.target as HTMLElement).tagName);
    if (!(event.ctrlKey || event.metaKey) || isField) return;
    const key = event.key.toLowerCase();
    if (key === 'z' && !event.shiftKey) undo();
    else if (key === 'y' || (key === 'z' && event.shiftKey)) redo();
    else return;
    event.preventDefault();
  };

  const looksLike = useMemo(() => likenessIn(plan, shown.kind === 'html' ? shown.page : undefined, sheet?.id), [plan, shown, sheet?.id]);
  const onMeasured = (found: ElementBoxes, height: number): void => {
    if (!sheet) return;
    setMeasured({ file: sheet.file, boxes: found });
    const page = shown.kind === 'html' ? shown.page : undefined;
    // At another width the page is laid out anew: marks go with their elements.
    const regions = plan.regions.map((one) => {
      const box = page && one.sheet === sheet.id && one.selector !== '' ? found.get(elementAt(page, one.selector)) : undefined;
      return box && agreement(box, one.box) < 1 ? { ...one, box } : one;
    });
    const isMoved = regions.some((one, index) => one !== plan.regions[index]);
    const isOther = height > 0 && height !== sheet.height;
    if (!isMoved && !isOther) return;
    const sheets = plan.sheets.map((one) => (one.id === sheet.id && isOther ? { ...one, height } : one));
    edit({ ...plan, sheets, regions }, { joins: true });
  };
  const dropFiles = (event: DragEvent): void => {
    const given = [...event.dataTransfer.files];
    if (
      given.length === 0 ||
      !given.some((file) => /\.(png|jpe?g|webp|avif|html?|zip)$/i.test(file.name) || file.type.startsWith('image/'))
    )
      return;
    event.preventDefault();
    event.stopPropagation();
    void bring(given);
  };
  const saveSkeleton = (): void => {
    const pictures = (skeleton?.pictures ?? []).flatMap((address) =>
      looks.filter((look) => look.file.endsWith(address.replace(/^\.?\//, ''))),
    );
    download(`${fileName(plan.name)}-skeleton.zip`, [skeletonArchive(files, pictures)], 'application/zip');
  };
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
  const saveAs = (kind: ExportKind): void => {
    exportPlan(kind, project.id, plan, sheet, looks, shown.kind === 'picture' ? addressOf(looks, sheet?.file) : undefined).catch(
      (error: unknown) => tell(error instanceof Error ? error.message : String(error)),
    );
  };

  const panel = (): React.ReactNode => {
    switch (state.show) {
      case 'part':
        return part ? (
          <PartPanel key={part.id} plan={plan} tree={tree} part={part} onEdit={edit} onPart={(id) => go({ part: id })} />
        ) : (
          <p>Choose a part on the page or in the tree.</p>
        );
      case 'values':
        return <ValuesPanel plan={plan} tree={tree} looksLike={looksLike} onEdit={edit} />;
      case 'suggested':
        return <SuggestedPanel plan={plan} sheet={sheet} shown={shown} boxes={boxes} onEdit={edit} />;
      case 'strands':
        return <StrandsPanel plan={plan} tree={tree} chosen={part?.id} onPart={choosePart} />;
      case 'skeleton':
        return (
          <SkeletonPanel
            files={files}
            file={state.file}
            framework={framework ?? 'react'}
            frameworks={skeletonWriters.map((one) => one.framework)}
            onFramework={(framework) => go({ framework, file: undefined })}
            warning={pages.isLoading ? 'The pages are still being read.' : undefined}
            onFile={(file) => go({ file })}
            onDownload={saveSkeleton}
          />
        );
      case 'code':
        return skeleton === undefined ? null : (
          <MatchPanel
            projectId={project.id}
            hasSource={project.files > 0}
            skeleton={skeleton}
            plan={plan}
            onPlan={edit}
            onPart={(name) => {
              const found = plan.parts.find((one) => one.name === name);
              if (found) choosePart(found.id);
            }}
          />
        );
    }
  };

  const lives = plan.values.filter((value) => part && homeOf(plan, tree, value).part === part.id).length;
  return (
    <div className="carve" onKeyDown={onHistoryKey} onDrop={dropFiles} onDragOver={(event) => event.preventDefault()}>
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
          if (given.length > 0) void bring(given);
        }}
      />
      <PlanNotices
        editor={editor}
        unread={past.length === 0 ? wrong : undefined}
        aside={setAside}
        onExportPlan={() => saveAs('project')}
        onExportStored={() => void storedDocument(project.id).then((stored) => saveDocument(stored))}
        onExportAside={(one) => saveDocument(one.document)}
        onRemoveAside={throwAway}
      />
      <CarveControls
        plan={plan}
        tree={tree}
        sheet={sheet}
        isBusy={isBusy}
        canUndo={past.length > 0}
        canRedo={future.length > 0}
        hasChoice={region !== undefined}
        says={says || (part && lives > 0 ? `${part.name} keeps ${lives} of the values.` : '')}
        onSheet={(id) => go({ sheet: id, region: undefined })}
        onBring={ask}
        onRemove={() => {
          if (!sheet) return;
          edit(removeSheet(plan, sheet.id));
          go({ sheet: undefined, region: undefined, part: undefined });
          setSays('The page was taken out. Ctrl and Z brings it back.');
        }}
        onRepeats={() => void findRepeats()}
        onSuggest={() => go({ show: 'suggested' })}
        onSplit={split}
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
          {sheet.file === '' ? (
            <section className="sheet stage-words">
              <p>This plan was made from code; its page was never seen. Add a picture or a saved page to mark it.</p>
            </section>
          ) : (
            <Stage
              plan={plan}
              sheet={sheet}
              shown={shown}
              chosen={chosen}
              zoom={zoom}
              onZoom={setZoom}
              onChoose={chooseRegion}
              onDraw={draw}
              onMarkAt={(x, y) => {
                const found = markAt(
                  x,
                  y,
                  shown,
                  boxes,
                  plan.regions.filter((one) => one.sheet === sheet.id).map((one) => one.box),
                );
                if (found) mark(markPart(plan, sheet.id, '', [found]), 'Marked. Enter gives it a name.');
              }}
              onPut={put}
              onMeasured={onMeasured}
              onKeyDown={onKeyDown}
              help={<StageHelp />}
            />
          )}
          <div className="carve-side">
            <PartsTree plan={plan} tree={tree} chosen={part?.id} onChoose={(node) => choosePart(node.part)} />
            <section className="card" aria-label={panelWords[state.show]}>
              <nav className="panel-choice" aria-label="Plan">
                {panels.map((one) => (
                  <Toggle key={one} isOn={state.show === one} onToggle={() => go({ show: one })}>
                    {panelWords[one]}
                  </Toggle>
                ))}
              </nav>
              {panel()}
            </section>
          </div>
        </div>
      ) : (
        <NoPages
          project={project}
          isBusy={isBusy}
          onBring={() => ask('new')}
          onFiles={(given) => void bring(given)}
          onPlan={async (made, brought) => {
            await editor.bring(brought, made);
            setLooks(brought.map((look) => ({ ...look, projectId: project.id })));
          }}
        />
      )}
    </div>
  );
}

/** Focuses a field that may come only with the next rendering: a quick Enter after marking is not lost. */
function focusSoon(id: string, tries = 30): void {
  const field = document.getElementById(id);
  if (field) field.focus();
  else if (tries > 0) requestAnimationFrame(() => focusSoon(id, tries - 1));
}

function addressOf(looks: readonly StoredLook[], file: string | undefined): string | undefined {
  const look = looks.find((one) => one.file === file);
  return look && dataAddress(look.bytes, look.type);
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
