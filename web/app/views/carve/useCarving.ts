import { homeOf, type PartId, type Plan, planTree, type RegionId } from '@liana/core';
import { useEffect, useEffectEvent, useMemo, useState } from 'react';
import { useUrlParams } from '../../parts/useUrlParams';
import type { Project, StoredLook } from '../../storage/database';
import type { KeptPlan } from '../../storage/plans';
import { type CarveState, withCarveState } from './state';
import { usePages } from './usePages';
import { usePlan } from './usePlan';
import { type ElementBoxes, useSheet } from './useSheet';

const noBoxes: ElementBoxes = new Map();

/** What is carved at the moment, and how another part of it is chosen. */
export type Carving = ReturnType<typeof useCarving>;

/** The plan that is edited, the page and the marks that the address chooses in it, and what was said last. */
export function useCarving(project: Project, first: KeptPlan, keptLooks: readonly StoredLook[], state: CarveState) {
  const editor = usePlan(project, first);
  const { plan } = editor;
  const [looks, setLooks] = useState(keptLooks);
  const [, change] = useUrlParams();
  const [measured, setMeasured] = useState<{ file: string; boxes: ElementBoxes }>({ file: '', boxes: noBoxes });
  const [words, setSays] = useState('');
  const [more, setMore] = useState<ReadonlySet<RegionId>>(new Set());

  const sheet = plan.sheets.find((one) => one.id === state.sheet) ?? plan.sheets[0];
  const shown = useSheet(sheet, looks);
  const boxes = measured.file === sheet?.file ? measured.boxes : noBoxes;
  const tree = useMemo(() => planTree(plan), [plan]);
  const part = plan.parts.find((one) => one.id === state.part);
  const region = plan.regions.find((one) => one.id === state.region);
  const pages = usePages(plan, looks, state.show === 'skeleton' || state.show === 'code');
  const chosen = useMemo(() => new Set([...(region ? [region.id] : []), ...more]), [region, more]);
  const lives = plan.values.filter((value) => part && homeOf(plan, tree, value).part === part.id).length;

  const go = (next: Partial<Record<keyof CarveState, string | undefined>>): void =>
    change((before) => withCarveState(before, next), { replace: true });
  /** Chooses a mark by itself, or beside those that are chosen. */
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
  /** Chooses a part, and one of its marks: on the page that is shown where it has one there. */
  const choosePart = (id: PartId): void => {
    const at = plan.regions.find((one) => one.part === id && one.sheet === sheet?.id) ?? plan.regions.find((one) => one.part === id);
    const page = plan.sheets.find((one) => one.page === id);
    setMore(new Set());
    go({ part: id, region: at?.id, sheet: (at?.sheet ?? page?.id ?? sheet?.id) || undefined, show: 'part' });
  };
  /** Keeps an edit that made or cut marks, and chooses what it made. */
  const mark = (made: { plan: Plan; part: PartId; regions: readonly RegionId[] } | undefined, said: string): void => {
    if (!made) return;
    editor.edit(made.plan);
    setMore(new Set());
    go({ part: made.part, region: made.regions[0], show: 'part' });
    setSays(said);
  };
  const forgetMore = (): void => setMore(new Set());

  // After a merge an id may be that of another part: nothing stays chosen.
  const onMerge = useEffectEvent(() => go({ region: undefined, part: undefined }));
  useEffect(() => {
    if (editor.merges > 0) onMerge();
  }, [editor.merges]);

  return {
    project,
    state,
    editor,
    plan,
    tree,
    sheet,
    shown,
    boxes,
    part,
    region,
    chosen,
    pages,
    looks,
    says: words || (part && lives > 0 ? `${part.name} keeps ${lives} of the values.` : ''),
    setLooks,
    setMeasured,
    setSays,
    go,
    chooseRegion,
    choosePart,
    mark,
    forgetMore,
  };
}
