import { partOf, type SheetId, messageOf } from '@liana/core';
import { type DragEvent, useEffect, useEffectEvent, useRef, useState } from 'react';
import { bringPages } from '../../carving/bring';
import { useTell } from '../../parts/Notices';
import type { Carving } from './useCarving';

/** How a page is asked for: a new one, another one in the place of that which is shown, or another state of it. */
export type Asked = 'new' | 'replace' | 'look';

const isPage = (file: File): boolean => /\.(png|jpe?g|webp|avif|html?|zip)$/i.test(file.name) || file.type.startsWith('image/');

/** How pages come in: chosen, dropped or pasted. `pick` is the field in which files are chosen. */
export function useBringing({ project, editor, plan, sheet, looks, setLooks, go }: Carving) {
  const [isBringing, setIsBringing] = useState(false);
  const tell = useTell();
  const pick = useRef<HTMLInputElement>(null);
  const instead = useRef<SheetId>(undefined);
  const lookOf = useRef<string>(undefined);

  const bring = async (given: readonly File[]): Promise<void> => {
    setIsBringing(true);
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
      tell(messageOf(error));
    } finally {
      instead.current = undefined;
      lookOf.current = undefined;
      setIsBringing(false);
    }
  };
  const ask = (how: Asked): void => {
    instead.current = how === 'replace' ? sheet?.id : undefined;
    lookOf.current = how === 'look' && sheet ? partOf(plan, sheet.page)?.name : undefined;
    pick.current?.click();
  };
  const onDrop = (event: DragEvent): void => {
    const given = [...event.dataTransfer.files];
    if (!given.some(isPage)) return;
    event.preventDefault();
    event.stopPropagation();
    void bring(given);
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

  return { isBringing, pick, bring, ask, onDrop };
}
