import type { PageTree, Plan, SheetId, SheetText } from '@liana/core';
import { useEffect, useMemo, useState } from 'react';
import { askCarver } from '../../carving/client';
import { lookText } from '../../carving/look-text';
import type { StoredLook } from '../../storage/database';
import { resolveAddress } from './useSheet';

export type ReadPages = { readonly trees: ReadonlyMap<SheetId, PageTree>; readonly sheetText: SheetText; readonly isLoading: boolean };

/** The saved pages of a plan, read; only once somebody asks for what needs them. */
export function usePages(plan: Plan, looks: readonly StoredLook[], isWanted: boolean): ReadPages {
  const [read, setRead] = useState<ReadonlyMap<string, PageTree>>(new Map());
  const files = plan.sheets.filter((sheet) => sheet.kind === 'html').map((sheet) => sheet.file);
  const missing = isWanted ? files.find((file) => !read.has(file) && looks.some((look) => look.file === file)) : undefined;

  useEffect(() => {
    const look = looks.find((one) => one.file === missing);
    if (missing === undefined || !look) return;
    let isCurrent = true;
    askCarver((remote) => remote.read(lookText(look)))
      .then((page) => isCurrent && setRead((before) => new Map([...before, [missing, page]])))
      .catch(
        () => isCurrent && setRead((before) => new Map([...before, [missing, { nodes: [], title: '', root: {}, styles: [], cuts: [] }]])),
      );
    return () => {
      isCurrent = false;
    };
  }, [missing, looks]);

  return useMemo(() => {
    const sheets = plan.sheets.flatMap((sheet): [SheetId, PageTree][] => {
      const page = read.get(sheet.file);
      return page && page.nodes.length > 0 ? [[sheet.id, page]] : [];
    });
    const sheetText: SheetText = (id, address) => {
      const page = plan.sheets.find((sheet) => sheet.id === id);
      const look = looks.find((one) => one.file === resolveAddress(page?.file ?? '', address));
      return look && lookText(look);
    };
    return { trees: new Map(sheets), sheetText, isLoading: missing !== undefined };
  }, [plan.sheets, read, looks, missing]);
}
